package whipsaw.core.energy;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.MonthDay;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.Map;
import whipsaw.core.job.Survey;

/** Demand of an occupant in every hour of the hourly year, by local standard time. */
final class OccupantHours {
    private static final int DAYS = 365;
    private static final MonthDay LEAP = MonthDay.of(2, 29);

    private static final int REMEMBERED = 16;

    /** Hours of the occupants last asked for: the clock of a tariff takes time, and every option asks again. */
    private static final Map<Asked, double[]> KNOWN = new LinkedHashMap<>(32, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, double[]> eldest) {
            return size() > REMEMBERED;
        }
    };

    private record Asked(Survey.Occupant occupant, double utcOffsetH) {}

    private OccupantHours() {}

    /**
     * Of a year of readings each hour is taken at its own date by the clock of the tariff, summer time included; of a
     * typical day each hour as it is, every day.
     *
     * @param utcOffsetH local standard time ahead of UTC
     */
    static double[] of(Survey.Occupant occupant, double utcOffsetH) {
        synchronized (KNOWN) {
            return KNOWN.computeIfAbsent(new Asked(occupant, utcOffsetH), a -> hours(a.occupant(), a.utcOffsetH()))
                    .clone();
        }
    }

    private static double[] hours(Survey.Occupant occupant, double utcOffsetH) {
        double[] kw = new double[Weather.HOURS];
        Survey.Year year = occupant.year();
        ZoneOffset standard = ZoneOffset.ofTotalSeconds((int) Math.round(utcOffsetH * 3600));
        // any year without a leap day
        LocalDate first = LocalDate.of(2025, 1, 1);
        for (int k = 0; k < kw.length; k++) {
            kw[k] = year == null
                    ? occupant.kw().get(k % 24)
                    : year.kw().get(index(year, MonthDay.from(first.plusDays(k / 24)), k % 24, standard));
        }
        return kw;
    }

    private static int index(Survey.Year year, MonthDay day, int hour, ZoneOffset standard) {
        LocalDate on = day.atYear(year.from().getYear());
        if (on.isBefore(year.from())) {
            on = day.atYear(year.from().getYear() + 1);
        }
        LocalDateTime local = on.atTime(hour, 0)
                .atOffset(standard)
                .atZoneSameInstant(ZoneId.of(year.zone()))
                .toLocalDateTime();
        // 29 February is none of the days: what falls on it takes the day before
        LocalDate date = MonthDay.from(local.toLocalDate()).equals(LEAP)
                ? local.toLocalDate().minusDays(1)
                : local.toLocalDate();
        long days = ChronoUnit.DAYS.between(year.from(), date);
        return Math.floorMod((int) (days - leapDays(year.from(), date)), DAYS) * 24 + local.getHour();
    }

    /** 29ths of February from one day to another, which may come before it. */
    private static int leapDays(LocalDate from, LocalDate to) {
        if (to.isBefore(from)) {
            return -leapDays(to, from);
        }
        int count = 0;
        for (int y = from.getYear(); y <= to.getYear(); y++) {
            if (LocalDate.of(y, 1, 1).isLeapYear()) {
                LocalDate leap = LEAP.atYear(y);
                count += !leap.isBefore(from) && leap.isBefore(to) ? 1 : 0;
            }
        }
        return count;
    }
}
