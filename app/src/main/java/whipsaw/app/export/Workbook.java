package whipsaw.app.export;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.dhatim.fastexcel.Worksheet;
import whipsaw.app.Product;

/** Schedules as one XLSX file, a tab each, written row by row. Cells hold numbers or texts, never formulas. */
public final class Workbook {
    private static final int WIDEST = 70;
    private static final int SAMPLE = 300;

    private Workbook() {}

    public static byte[] of(List<Schedule> schedules) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (org.dhatim.fastexcel.Workbook book =
                new org.dhatim.fastexcel.Workbook(out, "Whipsaw", Product.majorMinor())) {
            for (Schedule schedule : schedules) {
                fill(book.newWorksheet(schedule.name()), schedule);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** Characters of the widest cell of each column, as far as the first rows tell. */
    private static int[] widths(Schedule schedule) {
        int[] widths = schedule.columns().stream().mapToInt(String::length).toArray();
        for (List<Object> cells :
                schedule.rows().subList(0, Math.min(SAMPLE, schedule.rows().size()))) {
            for (int c = 0; c < cells.size(); c++) {
                if (cells.get(c) != null) {
                    widths[c] = Math.max(widths[c], cells.get(c).toString().length());
                }
            }
        }
        return widths;
    }

    private static void fill(Worksheet sheet, Schedule schedule) throws IOException {
        sheet.freezePane(0, 1);
        int[] widths = widths(schedule);
        for (int c = 0; c < widths.length; c++) {
            sheet.width(c, Math.min(widths[c], WIDEST) + 2);
            sheet.value(0, c, schedule.columns().get(c));
            sheet.style(0, c).bold().set();
        }
        for (int r = 0; r < schedule.rows().size(); r++) {
            List<Object> cells = schedule.rows().get(r);
            for (int c = 0; c < cells.size(); c++) {
                Object value = cells.get(c);
                if (value instanceof Number number) {
                    sheet.value(r + 1, c, number.doubleValue());
                } else if (value != null) {
                    sheet.value(r + 1, c, value.toString());
                }
            }
        }
        sheet.finish();
    }
}
