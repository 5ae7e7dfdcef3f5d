package whipsaw.core.energy;

import java.util.Arrays;
import java.util.List;

/**
 * Demand of a user by hour of the year, kW: a base, and another one while a shift runs.
 *
 * @param baseKw outside shifts
 * @param shiftKw in place of it while one runs
 * @param startHour of a shift, local standard time
 * @param shiftHours past midnight if need be
 * @param workDays days a shift starts on, Monday 0
 */
public record LoadShape(double baseKw, double shiftKw, int startHour, int shiftHours, List<Integer> workDays) {
    /** The first of January is a Wednesday. */
    private static final int FIRST_DAY = 2;

    public LoadShape {
        workDays = List.copyOf(workDays);
    }

    /** Every hour of the year; the shift of the day before it runs into it. */
    public double[] hours() {
        double[] kw = new double[Weather.HOURS];
        Arrays.fill(kw, baseKw);
        for (int day = -1 - shiftHours / 24; day < 365; day++) {
            if (workDays.contains(Math.floorMod(day + FIRST_DAY, 7))) {
                int from = day * 24 + startHour;
                for (int h = Math.max(0, from); h < Math.min(Weather.HOURS, from + shiftHours); h++) {
                    kw[h] = shiftKw;
                }
            }
        }
        return kw;
    }
}
