package whipsaw.core.array;

import java.util.TreeMap;
import java.util.function.LongConsumer;

/**
 * The columns of one row: the grid all rows share, moved by hand or not, with wider gaps where aisles and breaks cut it.
 * A column behind a cut has a number more for each, so that modules beside one never count as neighbours.
 */
final class RowColumns {
    private static final double TOUCH_M = 1e-7;

    private final double phaseM;
    private final double pitchM;
    /** First column behind each cut, rising. */
    private final long[] cuts;
    /** What all cuts up to each widen the row by. */
    private final double[] widerM;

    /**
     * @param phaseM start of column 0
     * @param pitchM module and gap
     * @param cuts by the first column behind each: how much wider its gap is than that between modules
     */
    RowColumns(double phaseM, double pitchM, TreeMap<Long, Double> cuts) {
        this.phaseM = phaseM;
        this.pitchM = pitchM;
        this.cuts = cuts.keySet().stream().mapToLong(Long::longValue).toArray();
        this.widerM = cuts.values().stream().mapToDouble(Double::doubleValue).toArray();
        for (int i = 1; i < widerM.length; i++) {
            widerM[i] += widerM[i - 1];
        }
    }

    /** Cuts at or before a column. */
    private int before(long column) {
        int low = 0;
        int high = cuts.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (cuts[middle] <= column) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** Left side of a column. */
    double start(long column) {
        int n = before(column);
        return phaseM + column * pitchM + (n == 0 ? 0 : widerM[n - 1]);
    }

    /** Number of a column on the grid of the array, cuts counted. */
    long number(long column) {
        return column + before(column);
    }

    /** The first column whose left side is not before a place. */
    long from(double s) {
        double most = widerM.length == 0 ? 0 : widerM[widerM.length - 1];
        long column = (long) Math.ceil((s - most - phaseM) / pitchM - TOUCH_M);
        while (start(column) < s - TOUCH_M * pitchM) {
            column++;
        }
        return column;
    }

    /** The column whose left side is nearest to a place. */
    long nearest(double s) {
        long right = from(s);
        return start(right) - s <= s - start(right - 1) ? right : right - 1;
    }

    /** All columns whose modules lie within a stretch. */
    void each(FreeRegion.Interval free, double alongM, LongConsumer column) {
        long at = from(free.from());
        while (start(at) + alongM <= free.to() + TOUCH_M) {
            column.accept(at);
            at++;
        }
    }
}
