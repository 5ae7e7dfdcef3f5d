package whipsaw.core.energy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import whipsaw.core.job.WeatherYear;

/**
 * Reads hourly weather in the EPW format: eight heading lines, the first with the place, then a line for each hour. Of a
 * line are read month, day, hour, dry bulb temperature, global and diffuse horizontal irradiation and wind.
 */
public final class EpwFile {
    private static final int HEADINGS = 8;
    private static final int LEAP_HOURS = 8784;
    private static final int[] DAYS = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};

    private static final int MONTH = 1;
    private static final int DAY = 2;
    private static final int HOUR = 3;
    private static final int TEMPERATURE = 6;
    private static final int GLOBAL = 13;
    private static final int DIFFUSE = 15;
    private static final int WIND = 21;

    /** From these on a figure means missing. */
    private static final double MISSING_C = 99.9;

    private static final double MISSING_WH = 9999;
    private static final double MISSING_WIND = 999;

    /** More irradiation than this no hour has, Wh/m2. */
    private static final double MOST_WH = 1500;

    private static final double COLDEST_C = -70;

    private EpwFile() {}

    /** @throws IllegalArgumentException with the reason in words, the line among them */
    public static WeatherYear read(String text) {
        String[] lines = text.strip().split("\\R");
        if (lines.length < HEADINGS || !lines[0].startsWith("LOCATION,")) {
            throw new IllegalArgumentException("does not begin with a line LOCATION: an EPW file is wanted");
        }
        String[] place = lines[0].split(",", -1);
        if (place.length < 10) {
            throw new IllegalArgumentException("says no place in its first line: LOCATION, city, ..., latitude,"
                    + " longitude, hours ahead of UTC, elevation");
        }
        double[] days = new double[365 * 72];
        boolean[] known = new boolean[Weather.HOURS];
        double wind = 0;
        int winds = 0;
        if (lines.length - HEADINGS > LEAP_HOURS) {
            throw new IllegalArgumentException("has " + (lines.length - HEADINGS) + " hours: a year has 8760");
        }
        for (int i = HEADINGS; i < lines.length; i++) {
            String[] cells = lines[i].split(",", -1);
            String where = "line " + (i + 1);
            if (cells.length <= WIND) {
                throw new IllegalArgumentException(where + " has " + cells.length + " cells of the 35 of an hour");
            }
            int month = whole(cells[MONTH], where + ", month", 1, 12);
            int day = whole(cells[DAY], where + ", day", 1, month == 2 ? 29 : DAYS[month - 1]);
            int hour = whole(cells[HOUR], where + ", hour", 1, 24) - 1;
            if (day > DAYS[month - 1]) {
                continue;
            }
            int at = (Arrays.stream(DAYS).limit(month - 1).sum() + day - 1) * 24 + hour;
            if (known[at]) {
                throw new IllegalArgumentException(
                        where + " tells " + day + "/" + month + " hour " + (hour + 1) + " again");
            }
            known[at] = true;
            int of = at / 24 * 72 + at % 24;
            days[of] = figure(cells[GLOBAL], where + ", global irradiation", 0, MOST_WH, MISSING_WH);
            days[of + 24] = figure(cells[DIFFUSE], where + ", diffuse irradiation", 0, MOST_WH, MISSING_WH);
            days[of + 48] = figure(cells[TEMPERATURE], where + ", temperature", COLDEST_C, MISSING_C, MISSING_C);
            double w = number(cells[WIND], where + ", wind");
            if (w >= 0 && w < MISSING_WIND) {
                wind += w;
                winds++;
            }
        }
        missing(known);
        List<Double> all = new ArrayList<>(days.length);
        for (double d : days) {
            all.add(d);
        }
        return new WeatherYear(
                name(place),
                number(place[6], "latitude"),
                number(place[7], "longitude"),
                number(place[8], "hours ahead of UTC"),
                winds == 0 ? 0 : Math.round(100 * wind / winds) / 100.0,
                all);
    }

    private static String name(String[] place) {
        String name = place[1].strip() + (place[3].isBlank() ? "" : ", " + place[3].strip());
        String source = place[4].isBlank() ? "" : " (" + place[4].strip() + ")";
        return (name + source).length() > 160 ? name.substring(0, Math.min(160, name.length())) : name + source;
    }

    private static void missing(boolean[] known) {
        int missing = 0;
        int first = -1;
        for (int h = 0; h < known.length; h++) {
            if (!known[h]) {
                missing++;
                first = first < 0 ? h : first;
            }
        }
        if (missing > 0) {
            throw new IllegalArgumentException("lacks " + missing + " hours of the year, the first on day "
                    + (first / 24 + 1) + " of 365, hour " + (first % 24 + 1));
        }
    }

    private static int whole(String cell, String where, int least, int most) {
        double n = number(cell, where);
        if (n != Math.rint(n) || n < least || n > most) {
            throw new IllegalArgumentException(where + " is " + cell.strip() + ": " + least + " to " + most);
        }
        return (int) n;
    }

    private static double figure(String cell, String where, double least, double most, double missing) {
        double n = number(cell, where);
        if (n >= missing) {
            throw new IllegalArgumentException(where + " is missing (" + cell.strip() + ")");
        }
        if (!(n >= least && n <= most)) {
            throw new IllegalArgumentException(
                    where + " is " + cell.strip() + ": " + Math.round(least) + " to " + Math.round(most));
        }
        return n;
    }

    private static double number(String cell, String where) {
        double n;
        try {
            n = Double.parseDouble(cell.strip());
        } catch (NumberFormatException e) {
            n = Double.NaN;
        }
        if (!Double.isFinite(n)) {
            throw new IllegalArgumentException(where + " is no number: '" + cell.strip() + "'");
        }
        return n;
    }
}
