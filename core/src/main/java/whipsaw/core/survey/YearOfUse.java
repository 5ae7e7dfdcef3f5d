package whipsaw.core.survey;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import whipsaw.core.job.Survey;

/**
 * A year of readings as 8,760 hours by the clock of the tariff: mean power of every hour of 365 days, 29 February left
 * out. Readings of any length of interval count in the hour they begin in. The hour that summer time skips and hours
 * without a reading are filled and told.
 *
 * @param year as the job keeps it
 * @param readings taken
 * @param filled hours without a reading, which take the mean of that hour on the same kind of day and in that season
 * @param skipped hours that summer time skips, which take the mean of their neighbours
 * @param leftOut lines that could not be read
 */
public record YearOfUse(Survey.Year year, int readings, int filled, int skipped, List<String> leftOut) {
    /** Days of a year without a leap day. */
    public static final int DAYS = 365;

    private static final int HOURS = 24;
    private static final int MOST = 600_000;
    private static final int MOST_TOLD = 12;

    private static final Pattern ISO = Pattern.compile(
            "(\\d{4})-(\\d{1,2})-(\\d{1,2})[T ,;\\t]+(\\d{1,2}):(\\d{2})(?::\\d{2}(?:\\.\\d+)?)?\\s*(Z|[+-]\\d{2}:?\\d{2})?");
    private static final Pattern SLASHES =
            Pattern.compile("(\\d{1,2})([/.])(\\d{1,2})[/.](\\d{4})[ ,;\\t]+(\\d{1,2}):(\\d{2})(?::\\d{2})?");

    /** What the times of a file go by, where they do not say it themselves. */
    public enum Clock {
        /** The clock on the wall, with summer time. */
        LOCAL,
        /** Standard time all the year. */
        STANDARD,
        UTC
    }

    /**
     * How a file is read.
     *
     * @param zone of the tariff
     * @param monthFirst whether 3/4/2026 is 4 March
     * @param energy whether the last cell is kWh in the interval, and not kW
     * @param summerFrom first month of the tariff's summer
     * @param summerTo last month of it
     */
    public record How(ZoneId zone, Clock clock, boolean monthFirst, boolean energy, int summerFrom, int summerTo) {}

    /** Kinds of days that tariffs tell apart. */
    public enum Kind {
        WEEKDAY("weekdays"),
        WEEKEND("weekends");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** The part of the year for readers. */
        public String words() {
            return words;
        }

        static Kind of(LocalDate day) {
            return day.getDayOfWeek() == DayOfWeek.SATURDAY || day.getDayOfWeek() == DayOfWeek.SUNDAY
                    ? WEEKEND
                    : WEEKDAY;
        }
    }

    /** Mean power of the hours of one kind of day in one season. */
    public record Profile(boolean summer, Kind kind, int days, List<Double> kw) {
        public Profile {
            kw = List.copyOf(kw);
        }

        /** The part of the year for readers. */
        public String words() {
            return (summer ? "summer" : "winter") + " " + kind.words();
        }
    }

    public YearOfUse {
        leftOut = List.copyOf(leftOut);
    }

    private record Reading(LocalDateTime at, double value) {}

    /** Whether a file tells days, and enough of them for a year. */
    public static boolean tellsAYear(String csv) {
        return csv.lines()
                        .filter(l -> ISO.matcher(l).find() || SLASHES.matcher(l).find())
                        .limit(DAYS * HOURS / 2)
                        .count()
                >= DAYS * HOURS / 2;
    }

    /** @throws IllegalArgumentException with the reason when no year comes of it */
    public static YearOfUse read(String csv, How how) {
        List<Reading> readings = new ArrayList<>();
        List<String> leftOut = new ArrayList<>();
        String[] lines = csv.split("\\R");
        if (lines.length > MOST) {
            throw new IllegalArgumentException("has " + lines.length + " lines: at most " + MOST + " are read");
        }
        int left = 0;
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip();
            if (line.isEmpty() || line.startsWith("#")) {
                continue;
            }
            LocalDateTime at = time(line, how, i + 1);
            double value = UseByHour.lastCell(line);
            if (at != null && value >= 0) {
                readings.add(new Reading(at, value));
            } else if (i > 0) {
                left++;
                if (leftOut.size() < MOST_TOLD) {
                    leftOut.add("line " + (i + 1) + ": " + (line.length() > 60 ? line.substring(0, 57) + "..." : line));
                }
            }
        }
        if (left > leftOut.size()) {
            leftOut.add("and " + (left - leftOut.size()) + " more lines");
        }
        if (readings.isEmpty()) {
            throw new IllegalArgumentException("has no reading with a day and a time, as 2026-03-01 13:30, 42.5");
        }
        return of(readings, how, leftOut);
    }

    /** The time by the tariff's clock; null where the line has none. */
    private static LocalDateTime time(String line, How how, int number) {
        Matcher iso = ISO.matcher(line);
        Matcher slashes = SLASHES.matcher(line);
        try {
            if (iso.find()) {
                LocalDateTime t = LocalDate.of(whole(iso, 1), whole(iso, 2), whole(iso, 3))
                        .atStartOfDay()
                        .plusHours(hour(iso, 4))
                        .plusMinutes(whole(iso, 5));
                return iso.group(6) == null
                        ? byClock(t, how)
                        : OffsetDateTime.of(t, ZoneOffset.of(iso.group(6)))
                                .atZoneSameInstant(how.zone())
                                .toLocalDateTime();
            }
            if (slashes.find()) {
                boolean monthFirst = how.monthFirst() && slashes.group(2).equals("/");
                int month = whole(slashes, monthFirst ? 1 : 3);
                if (month > 12) {
                    throw new IllegalArgumentException("has a month " + month + " on line " + number
                            + ": dates are read as " + (monthFirst ? "month/day/year" : "day/month/year")
                            + "; write them as 2026-03-01");
                }
                return byClock(
                        LocalDate.of(whole(slashes, 4), month, whole(slashes, monthFirst ? 3 : 1))
                                .atStartOfDay()
                                .plusHours(hour(slashes, 5))
                                .plusMinutes(whole(slashes, 6)),
                        how);
            }
        } catch (DateTimeException e) {
            return null;
        }
        return null;
    }

    private static LocalDateTime byClock(LocalDateTime t, How how) {
        if (how.clock() == Clock.LOCAL) {
            return t;
        }
        ZoneOffset offset = how.clock() == Clock.UTC
                ? ZoneOffset.UTC
                : how.zone().getRules().getStandardOffset(t.toInstant(ZoneOffset.UTC));
        return t.atOffset(offset).atZoneSameInstant(how.zone()).toLocalDateTime();
    }

    private static int whole(Matcher m, int group) {
        return Integer.parseInt(m.group(group));
    }

    private static int hour(Matcher m, int group) {
        int hour = whole(m, group);
        if (hour > HOURS) {
            throw new DateTimeException("hour " + hour);
        }
        return hour;
    }

    private static YearOfUse of(List<Reading> readings, How how, List<String> leftOut) {
        double hours = how.energy() ? intervalHours(readings) : 1;
        LocalDate last = readings.stream()
                .map(r -> r.at().toLocalDate())
                .max(LocalDate::compareTo)
                .orElseThrow();
        // a last day that is not whole begins a new year
        long ofLast = readings.stream()
                .filter(r -> r.at().toLocalDate().equals(last))
                .map(r -> r.at().getHour())
                .distinct()
                .count();
        long there = IntStream.range(0, HOURS)
                .filter(h -> !skips(last.atTime(h, 0), how.zone()))
                .count();
        List<LocalDate> days = days(ofLast >= there ? last : last.minusDays(1));
        double[] sum = new double[DAYS * HOURS];
        int[] count = new int[DAYS * HOURS];
        int taken = 0;
        for (Reading r : readings) {
            int day = Collections.binarySearch(days, r.at().toLocalDate());
            if (day >= 0) {
                int slot = day * HOURS + r.at().getHour();
                sum[slot] += r.value() / hours;
                count[slot]++;
                taken++;
            }
        }
        double[] kw = new double[sum.length];
        for (int i = 0; i < kw.length; i++) {
            kw[i] = count[i] == 0 ? Double.NaN : sum[i] / count[i];
        }
        int skipped = skippedBySummerTime(kw, days, how.zone());
        int filled = filled(kw, days, how);
        List<Double> all =
                Arrays.stream(kw).mapToObj(v -> Math.round(v * 1000) / 1000.0).toList();
        Survey.Year year = new Survey.Year(how.zone().getId(), days.get(0), how.summerFrom(), how.summerTo(), all);
        return new YearOfUse(year, taken, filled, skipped, leftOut);
    }

    private static double intervalHours(List<Reading> readings) {
        List<Long> minutes = new ArrayList<>();
        for (int i = 1; i < readings.size(); i++) {
            long apart = Duration.between(
                            readings.get(i - 1).at(), readings.get(i).at())
                    .toMinutes();
            if (apart > 0) {
                minutes.add(apart);
            }
        }
        Collections.sort(minutes);
        if (minutes.isEmpty() || minutes.get(minutes.size() / 2) > 60) {
            throw new IllegalArgumentException(
                    "has readings more than an hour apart: energy is read by the hour or shorter");
        }
        return minutes.get(minutes.size() / 2) / 60.0;
    }

    /** The 365 days that end with one, in order, without 29 February. */
    static List<LocalDate> days(LocalDate last) {
        List<LocalDate> days = new ArrayList<>();
        for (LocalDate day = last; days.size() < DAYS; day = day.minusDays(1)) {
            if (day.getMonthValue() != 2 || day.getDayOfMonth() != 29) {
                days.add(day);
            }
        }
        Collections.reverse(days);
        return days;
    }

    /** Whether clocks go past an hour. */
    private static boolean skips(LocalDateTime at, ZoneId zone) {
        return zone.getRules().getValidOffsets(at).isEmpty();
    }

    private static int skippedBySummerTime(double[] kw, List<LocalDate> days, ZoneId zone) {
        int skipped = 0;
        for (int i = 1; i + 1 < kw.length; i++) {
            LocalDateTime at = days.get(i / HOURS).atTime(i % HOURS, 0);
            if (Double.isNaN(kw[i]) && skips(at, zone)) {
                kw[i] = (kw[i - 1] + kw[i + 1]) / 2;
                skipped += Double.isNaN(kw[i]) ? 0 : 1;
            }
        }
        return skipped;
    }

    private static int filled(double[] kw, List<LocalDate> days, How how) {
        int missing = (int) Arrays.stream(kw).filter(Double::isNaN).count();
        SurveyRules.Rule most = SurveyRules.of("readings_missing_most");
        if (missing > most.value() * kw.length) {
            throw new IllegalArgumentException("has no reading in " + missing + " of the " + kw.length + " hours from "
                    + days.get(0) + " to " + days.get(DAYS - 1) + ": " + most.source());
        }
        double[][] mean = new double[4][HOURS];
        int[][] count = new int[4][HOURS];
        for (int i = 0; i < kw.length; i++) {
            if (!Double.isNaN(kw[i])) {
                mean[set(days.get(i / HOURS), how)][i % HOURS] += kw[i];
                count[set(days.get(i / HOURS), how)][i % HOURS]++;
            }
        }
        for (int i = 0; i < kw.length; i++) {
            int set = set(days.get(i / HOURS), how);
            if (Double.isNaN(kw[i])) {
                if (count[set][i % HOURS] == 0) {
                    throw new IllegalArgumentException(
                            "has no reading at all from " + i % HOURS + ":00 on such days as " + days.get(i / HOURS));
                }
                kw[i] = mean[set][i % HOURS] / count[set][i % HOURS];
            }
        }
        return missing;
    }

    private static int set(LocalDate day, How how) {
        return (summer(day, how.summerFrom(), how.summerTo()) ? 2 : 0)
                + Kind.of(day).ordinal();
    }

    private static boolean summer(LocalDate day, int from, int to) {
        int month = day.getMonthValue();
        return from <= to ? month >= from && month <= to : month >= from || month <= to;
    }

    /** Means of a year by season and kind of day, those without a day left out. */
    public static List<Profile> profiles(Survey.Year year) {
        List<LocalDate> days = daysFrom(year.from());
        List<Profile> profiles = new ArrayList<>();
        for (boolean summer : new boolean[] {true, false}) {
            for (Kind kind : Kind.values()) {
                double[] sum = new double[HOURS];
                int n = 0;
                for (int d = 0; d < DAYS; d++) {
                    if (summer(days.get(d), year.summerFrom(), year.summerTo()) == summer
                            && Kind.of(days.get(d)) == kind) {
                        n++;
                        for (int h = 0; h < HOURS; h++) {
                            sum[h] += year.kw().get(d * HOURS + h);
                        }
                    }
                }
                int count = n;
                if (n > 0) {
                    profiles.add(new Profile(
                            summer,
                            kind,
                            n,
                            Arrays.stream(sum).mapToObj(s -> s / count).toList()));
                }
            }
        }
        return profiles;
    }

    private static List<LocalDate> daysFrom(LocalDate first) {
        List<LocalDate> days = new ArrayList<>();
        for (LocalDate day = first; days.size() < DAYS; day = day.plusDays(1)) {
            if (day.getMonthValue() != 2 || day.getDayOfMonth() != 29) {
                days.add(day);
            }
        }
        return days;
    }

    /** Mean power of the hours of the day over all the year. */
    public static List<Double> typicalDay(Survey.Year year) {
        List<Double> day = new ArrayList<>();
        for (int h = 0; h < HOURS; h++) {
            double sum = 0;
            for (int d = 0; d < DAYS; d++) {
                sum += year.kw().get(d * HOURS + h);
            }
            day.add(Math.round(sum / DAYS * 1000) / 1000.0);
        }
        return day;
    }
}
