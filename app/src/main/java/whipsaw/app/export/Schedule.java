package whipsaw.app.export;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import whipsaw.app.print.CsvCell;

/**
 * A table that leaves the application. Units stand in the names of its columns.
 *
 * @param rows numbers, texts, or null for an empty cell
 */
public record Schedule(String name, List<String> columns, List<List<Object>> rows) {

    public Schedule {
        columns = List.copyOf(columns);
        rows = List.copyOf(rows);
    }

    /** Collects the rows of a schedule. */
    static final class Builder {
        private final String name;
        private final List<String> columns;
        private final List<List<Object>> rows = new ArrayList<>();

        Builder(String name, String... columns) {
            this.name = name;
            this.columns = List.of(columns);
        }

        void row(Object... cells) {
            if (cells.length != columns.size()) {
                throw new IllegalArgumentException(name + ": " + cells.length + " cells for " + columns.size());
            }
            // null stands for an empty cell
            rows.add(Collections.unmodifiableList(Arrays.asList(cells)));
        }

        Schedule build() {
            return new Schedule(name, columns, rows);
        }
    }

    /** The table as CSV; texts that a spreadsheet would run as formulas are neutralised. */
    public String csv() {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(columns);
            for (List<Object> row : rows) {
                for (Object cell : row) {
                    csv.print(cell instanceof String text ? CsvCell.safe(text) : cell);
                }
                csv.println();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
