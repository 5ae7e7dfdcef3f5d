package whipsaw.core.data;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Comma-separated values: first line the column names, lines with {@code #} left out. */
public final class CsvRows {
    /** What is wrong with a text that cannot be taken apart into cells. */
    public static final String NOT_CSV =
            "it is no CSV: a cell in quotes is not closed, or something stands after its closing quote";

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setCommentMarker('#')
            .setTrim(true)
            .get();

    private CsvRows() {}

    /**
     * Rows by column name.
     *
     * @throws IllegalArgumentException when it is no such text
     */
    public static List<Map<String, String>> read(String csv) {
        List<Map<String, String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(csv), FORMAT)) {
            for (CSVRecord record : parser) {
                if (!record.isConsistent()) {
                    throw new IllegalArgumentException(
                            "line " + record.getParser().getCurrentLineNumber() + " has " + record.size()
                                    + " cells, not " + parser.getHeaderNames().size());
                }
                rows.add(record.toMap());
            }
        } catch (IOException | UncheckedIOException e) {
            throw new IllegalArgumentException(NOT_CSV);
        }
        return rows;
    }

    /** A text file under {@code resources/whipsaw}. */
    public static String resource(String name) {
        try (InputStream in = CsvRows.class.getResourceAsStream("/whipsaw/" + name)) {
            if (in == null) {
                throw new IllegalStateException("missing data file " + name);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Rows of a shipped file. */
    public static List<Map<String, String>> shipped(String name) {
        return read(resource(name));
    }

    /** A number of a row; NaN where the cell is empty. */
    public static double number(Map<String, String> row, String column) {
        String cell = row.get(column);
        if (cell == null) {
            throw new IllegalStateException("no column " + column);
        }
        return cell.isBlank() ? Double.NaN : Double.parseDouble(cell);
    }
}
