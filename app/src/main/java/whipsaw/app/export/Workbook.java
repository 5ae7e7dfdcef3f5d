package whipsaw.app.export;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.streaming.DeferredSXSSFSheet;
import org.apache.poi.xssf.streaming.DeferredSXSSFWorkbook;
import org.apache.poi.xssf.streaming.SXSSFSheet;

/** Schedules as one XLSX file, a tab each, written row by row. Cells hold numbers or texts, never formulas. */
public final class Workbook {
    private static final int WIDEST = 70;
    private static final int SAMPLE = 300;
    private static final int PER_CHARACTER = 256;

    private Workbook() {}

    public static byte[] of(List<Schedule> schedules) {
        try (DeferredSXSSFWorkbook book = new DeferredSXSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            Font bold = book.createFont();
            bold.setBold(true);
            CellStyle head = book.createCellStyle();
            head.setFont(bold);
            for (Schedule schedule : schedules) {
                DeferredSXSSFSheet sheet = book.createSheet(schedule.name());
                sheet.createFreezePane(0, 1);
                int[] widths = widths(schedule);
                for (int c = 0; c < widths.length; c++) {
                    sheet.setColumnWidth(c, (Math.min(widths[c], WIDEST) + 2) * PER_CHARACTER);
                }
                sheet.setRowGenerator(rows -> fill(rows, schedule, head));
            }
            book.write(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
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

    private static void fill(SXSSFSheet sheet, Schedule schedule, CellStyle head) {
        Row names = sheet.createRow(0);
        for (int c = 0; c < schedule.columns().size(); c++) {
            Cell cell = names.createCell(c);
            cell.setCellValue(schedule.columns().get(c));
            cell.setCellStyle(head);
        }
        for (int r = 0; r < schedule.rows().size(); r++) {
            Row row = sheet.createRow(r + 1);
            List<Object> cells = schedule.rows().get(r);
            for (int c = 0; c < cells.size(); c++) {
                Object value = cells.get(c);
                if (value instanceof Number number) {
                    row.createCell(c).setCellValue(number.doubleValue());
                } else if (value != null) {
                    row.createCell(c).setCellValue(value.toString());
                }
            }
        }
    }
}
