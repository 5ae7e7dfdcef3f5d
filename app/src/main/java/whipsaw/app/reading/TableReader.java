package whipsaw.app.reading;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import whipsaw.core.exchange.DxfReader;

/** Reads a table out of a CSV file or the first sheet of an XLSX workbook, as texts. */
final class TableReader {
    /** Lines after the headings that are taken. */
    static final int MOST_ROWS = 500;

    static final int MOST_COLUMNS = 120;
    private static final int LONGEST_CELL = 300;
    private static final int FEWEST_HEADINGS = 3;

    private TableReader() {}

    /** A file that is no table, in words. */
    static class NoTable extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NoTable(String message) {
            super(message);
        }
    }

    /** Lines of cells; the first line has the headings. What stands above the headings is left out. */
    static List<List<String>> read(byte[] file) {
        boolean zipped = file.length > 3 && file[0] == 'P' && file[1] == 'K';
        List<List<String>> rows = zipped ? workbook(file) : csv(DxfReader.decode(file));
        int first = 0;
        while (first < rows.size()
                && rows.get(first).stream().filter(c -> !c.isBlank()).count() < FEWEST_HEADINGS) {
            first++;
        }
        if (first >= rows.size() - 1) {
            throw new NoTable("has no line of at least " + FEWEST_HEADINGS + " headings with lines under it");
        }
        List<List<String>> table = new ArrayList<>();
        table.add(apart(rows.get(first)));
        rows.subList(first + 1, rows.size()).stream()
                .filter(r -> r.stream().anyMatch(c -> !c.isBlank()))
                .forEach(table::add);
        return table;
    }

    /** Headings that stand there again get a number, so that each can be chosen. */
    private static List<String> apart(List<String> headings) {
        List<String> apart = new ArrayList<>();
        for (String heading : headings) {
            String own = heading;
            for (int n = 2; !heading.isBlank() && apart.contains(own); n++) {
                own = heading + " #" + n;
            }
            apart.add(own);
        }
        return apart;
    }

    private static List<List<String>> csv(String text) {
        String head = text.lines().limit(20).reduce("", (a, b) -> a + b);
        char parts = Stream.of(';', '\t', ',')
                .max((a, b) -> Long.compare(count(head, a), count(head, b)))
                .orElseThrow();
        List<List<String>> rows = new ArrayList<>();
        CSVFormat format =
                CSVFormat.DEFAULT.builder().setDelimiter(parts).setTrim(true).get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord record : parser) {
                rows.add(limited(record.toList(), rows.size()));
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new NoTable("is no table of cells with commas, semicolons or tabs between");
        }
        return rows;
    }

    private static long count(String text, char c) {
        return text.chars().filter(x -> x == c).count();
    }

    private static List<List<String>> workbook(byte[] file) {
        List<List<String>> rows = new ArrayList<>();
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file));
                Stream<Row> all = book.getFirstSheet().openStream()) {
            all.forEach(row -> {
                List<String> cells = new ArrayList<>();
                for (int c = 0; c < Math.min(row.getCellCount(), MOST_COLUMNS + 1); c++) {
                    cells.add(row.getOptionalCell(c).map(TableReader::text).orElse(""));
                }
                rows.add(limited(cells, rows.size()));
            });
        } catch (IOException e) {
            throw new NoTable("is no workbook that can be read");
        }
        return rows;
    }

    private static String text(Cell cell) {
        if (cell.getType() == CellType.NUMBER) {
            return cell.asNumber().stripTrailingZeros().toPlainString();
        }
        String text = cell.getType() == CellType.STRING ? cell.asString() : cell.getText();
        return text == null ? "" : text.strip();
    }

    private static List<String> limited(List<String> cells, int rows) {
        if (cells.size() > MOST_COLUMNS || rows > MOST_ROWS) {
            throw new NoTable("has more than " + MOST_ROWS + " lines or " + MOST_COLUMNS
                    + " columns: leave in what is to be taken");
        }
        return cells.stream()
                .map(c -> c.length() > LONGEST_CELL ? c.substring(0, LONGEST_CELL) : c)
                .toList();
    }
}
