package whipsaw.core.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Mean power of each hour of the day from a file of readings: one a line, a time with hours and minutes somewhere in the
 * first cells, and the power in kW in the last. Readings of every length of interval are averaged by the hour they begin
 * in. A first line without a number is taken as headings.
 */
public record UseByHour(List<Double> kw, int readings, List<String> leftOut) {
    private static final int HOURS = 24;
    private static final int MOST = 600_000;
    private static final int MOST_TOLD = 12;
    private static final Pattern TIME = Pattern.compile("(?:^|[^0-9:])([01]?\\d|2[0-4]):([0-5]\\d)");

    public UseByHour {
        kw = List.copyOf(kw);
        leftOut = List.copyOf(leftOut);
    }

    /** @throws IllegalArgumentException with the reason when no day comes of it */
    public static UseByHour read(String csv) {
        double[] sum = new double[HOURS];
        int[] count = new int[HOURS];
        List<String> leftOut = new ArrayList<>();
        int left = 0;
        int taken = 0;
        String[] lines = csv.split("\\R");
        if (lines.length > MOST) {
            throw new IllegalArgumentException("has " + lines.length + " lines: at most " + MOST + " are read");
        }
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip();
            if (line.isEmpty() || line.startsWith("#")) {
                continue;
            }
            Matcher time = TIME.matcher(line);
            double kw = lastCell(line);
            if (time.find() && kw >= 0) {
                int hour = Integer.parseInt(time.group(1)) % HOURS;
                sum[hour] += kw;
                count[hour]++;
                taken++;
            } else if (i > 0 || kw >= 0) {
                left++;
                if (leftOut.size() < MOST_TOLD) {
                    leftOut.add("line " + (i + 1) + ": " + (line.length() > 60 ? line.substring(0, 57) + "..." : line));
                }
            }
        }
        List<Double> kw = new ArrayList<>();
        for (int h = 0; h < HOURS; h++) {
            if (count[h] == 0) {
                throw new IllegalArgumentException(
                        "has no reading in the hour from " + h + ": a whole day is needed, as 2026-03-01 13:30, 42.5");
            }
            kw.add(Math.round(sum[h] / count[h] * 1000) / 1000.0);
        }
        if (left > leftOut.size()) {
            leftOut.add("and " + (left - leftOut.size()) + " more lines");
        }
        return new UseByHour(kw, taken, leftOut);
    }

    /** The number in the last cell of a line; below 0 where there is none. */
    static double lastCell(String line) {
        // where cells are parted otherwise a comma is a decimal one
        String[] cells = line.split(line.matches(".*[;\\t].*") ? "[;\\t]" : ",");
        return cells.length > 1 ? number(cells[cells.length - 1]) : -1;
    }

    private static double number(String cell) {
        try {
            double value = Double.parseDouble(cell.strip().replace("\"", "").replace(',', '.'));
            return Double.isFinite(value) ? value : -1;
        } catch (NumberFormatException e) {
            return -1;
        }
    }
}
