package whipsaw.core.energy;

import java.util.Arrays;

/** A figure of every hour of the year, as kW; local standard time. Immutable. */
public final class Hours {
    private final double[] kw;

    private Hours(double[] kw) {
        this.kw = kw;
    }

    /** A copy of 8,760 figures. */
    public static Hours of(double[] kw) {
        if (kw.length != Weather.HOURS) {
            throw new IllegalArgumentException("a year has " + Weather.HOURS + " hours, here " + kw.length);
        }
        return new Hours(kw.clone());
    }

    /** One of them, from 0. */
    public double at(int hour) {
        return kw[hour];
    }

    /** All in a row. */
    public double[] all() {
        return kw.clone();
    }

    /** Energy, kWh. */
    public double kwh() {
        return Arrays.stream(kw).sum();
    }

    /** The largest of them. */
    public double most() {
        return Arrays.stream(kw).max().orElse(0);
    }

    /** Mean of each hour of the day in each month, twelve times 24. */
    public double[][] byMonthAndHour() {
        double[][] mean = new double[12][24];
        int[] days = new int[12];
        for (int h = 0; h < kw.length; h++) {
            mean[Weather.monthOf(h)][h % 24] += kw[h];
            days[Weather.monthOf(h)] += h % 24 == 0 ? 1 : 0;
        }
        for (int m = 0; m < mean.length; m++) {
            for (int h = 0; h < 24; h++) {
                mean[m][h] /= days[m];
            }
        }
        return mean;
    }
}
