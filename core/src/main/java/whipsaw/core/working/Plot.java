package whipsaw.core.working;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * A curve a figure was read from, with the place where. Its places lie evenly in their logarithm.
 *
 * @param across what its places are, with unit
 * @param up what it gives
 * @param points place and value, in order of place
 * @param x place read at
 * @param y value read there
 */
public record Plot(String across, String up, List<double[]> points, double x, double y) {
    private static final int POINTS = 60;

    public Plot {
        points = List.copyOf(points);
    }

    /** A curve looked at between two places; the one read at is in it wherever it lies. */
    public static Plot of(String across, String up, double least, double most, DoubleUnaryOperator curve, double x) {
        double from = Math.log(Math.min(least, x));
        double to = Math.log(Math.max(most, x));
        List<double[]> points = new ArrayList<>();
        for (int i = 0; i <= POINTS; i++) {
            double at = Math.exp(from + (to - from) * i / POINTS);
            points.add(new double[] {at, curve.applyAsDouble(at)});
        }
        return new Plot(across, up, points, x, curve.applyAsDouble(x));
    }
}
