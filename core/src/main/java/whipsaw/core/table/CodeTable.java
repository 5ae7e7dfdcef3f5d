package whipsaw.core.table;

import java.util.List;
import java.util.Map;
import whipsaw.core.working.DataSource;
import whipsaw.core.working.DataStatus;

/**
 * A table of a standard or a coefficient set, as data.
 *
 * @param id stable key
 * @param title what it holds
 * @param source standard, edition and clause
 * @param edition of the standard
 * @param status how far it can be relied on
 * @param remark confidence in the figures and what to confirm first
 * @param hash SHA-256 of the data, kept in jobs that used it
 * @param rows by column name
 */
public record CodeTable(
        String id,
        String title,
        String source,
        String edition,
        DataStatus status,
        String remark,
        String hash,
        List<Map<String, String>> rows)
        implements DataSource {

    @Override
    public String words() {
        return source;
    }

    /** A number of a row; NaN where the cell is empty. */
    static double number(Map<String, String> row, String column) {
        String cell = row.get(column);
        if (cell == null) {
            throw new IllegalStateException("no column " + column);
        }
        return cell.isBlank() ? Double.NaN : Double.parseDouble(cell);
    }
}
