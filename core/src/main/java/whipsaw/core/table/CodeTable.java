package whipsaw.core.table;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import whipsaw.core.data.CsvRows;
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
 * @param csv the data as it was read
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
        String csv,
        List<Map<String, String>> rows)
        implements DataSource {

    /**
     * A table from its CSV text, first line the column names, lines with {@code #} left out.
     *
     * @throws IllegalArgumentException when it is no such text
     */
    public static CodeTable read(
            String id, String title, String source, String edition, DataStatus status, String remark, String csv) {
        return new CodeTable(id, title, source, edition, status, remark, sha256(csv), csv, CsvRows.read(csv));
    }

    private static String sha256(String text) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public String words() {
        return source;
    }

    @Override
    public String inFull() {
        return title + ": " + source;
    }

    /** The same figures with another standing. */
    public CodeTable standing(String toSource, String toEdition, DataStatus toStatus, String toRemark) {
        return new CodeTable(id, title, toSource, toEdition, toStatus, toRemark, hash, csv, rows);
    }

    /** A number of a row; NaN where the cell is empty. */
    public static double number(Map<String, String> row, String column) {
        return CsvRows.number(row, column);
    }
}
