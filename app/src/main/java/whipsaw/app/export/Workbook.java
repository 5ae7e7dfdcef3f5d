package whipsaw.app.export;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;

/** Schedules as one XLSX file, a tab each. Cells hold numbers or texts, never formulas. */
public final class Workbook {
    private static final int WIDEST = 70;
    private static final int SAMPLE = 300;
    private static final int PER_CHARACTER = 256;

    private Workbook() {}

    public static byte[] of(List<Schedule> schedules) {
        try (XSSFWorkbook book = new XSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            Font bold = book.createFont();
            bold.setBold(true);
            CellStyle head = book.createCellStyle();
            head.setFont(bold);
            for (Schedule schedule : schedules) {
                fill(book.createSheet(schedule.name()), schedule, head);
            }
            book.write(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void fill(Sheet sheet, Schedule schedule, CellStyle head) {
        Row names = sheet.createRow(0);
        int[] widths = new int[schedule.columns().size()];
        for (int c = 0; c < widths.length; c++) {
            Cell cell = names.createCell(c);
            cell.setCellValue(schedule.columns().get(c));
            cell.setCellStyle(head);
            widths[c] = schedule.columns().get(c).length();
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
                if (r < SAMPLE && value != null) {
                    widths[c] = Math.max(widths[c], value.toString().length());
                }
            }
        }
        for (int c = 0; c < widths.length; c++) {
            sheet.setColumnWidth(c, (Math.min(widths[c], WIDEST) + 2) * PER_CHARACTER);
        }
        sheet.createFreezePane(0, 1);
    }
}
