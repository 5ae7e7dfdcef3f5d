package whipsaw.core.array;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.DoubleStream;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.util.LinearComponentExtracter;

/** Where modules may lie, asked row by row: the free intervals of a band of constant t. */
final class FreeRegion {
    private static final double TOUCH_M = 1e-7;

    /** A free stretch of a row. */
    record Interval(double from, double to) {}

    private record Segment(double s0, double t0, double s1, double t1) {
        double low() {
            return Math.min(t0, t1);
        }

        double high() {
            return Math.max(t0, t1);
        }

        double sAt(double t) {
            return t0 == t1 ? s0 : s0 + (t - t0) / (t1 - t0) * (s1 - s0);
        }
    }

    private final Segment[] byLow;
    private final double[] highestSoFar;
    private final IndexedPointInAreaLocator inside;
    private final double lowest;
    private final double highest;
    private final double leftmost;
    private final double rightmost;

    /** A region in frame coordinates. */
    FreeRegion(Geometry region) {
        List<Segment> segments = new ArrayList<>();
        for (Object line : LinearComponentExtracter.getLines(region)) {
            Coordinate[] c = ((LineString) line).getCoordinates();
            for (int i = 1; i < c.length; i++) {
                segments.add(new Segment(c[i - 1].x, c[i - 1].y, c[i].x, c[i].y));
            }
        }
        segments.sort(Comparator.comparingDouble(Segment::low));
        byLow = segments.toArray(Segment[]::new);
        highestSoFar = new double[byLow.length];
        double highestYet = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < byLow.length; i++) {
            highestYet = Math.max(highestYet, byLow[i].high());
            highestSoFar[i] = highestYet;
        }
        inside = region.isEmpty() ? null : new IndexedPointInAreaLocator(region);
        lowest = region.isEmpty() ? 0 : region.getEnvelopeInternal().getMinY();
        highest = region.isEmpty() ? 0 : region.getEnvelopeInternal().getMaxY();
        leftmost = region.isEmpty() ? 0 : region.getEnvelopeInternal().getMinX();
        rightmost = region.isEmpty() ? 0 : region.getEnvelopeInternal().getMaxX();
    }

    /** Places across the rows at which the region has a corner. */
    double[] corners() {
        return Arrays.stream(byLow)
                .flatMapToDouble(s -> DoubleStream.of(s.t0(), s.t1()))
                .distinct()
                .toArray();
    }

    double leftmost() {
        return leftmost;
    }

    double rightmost() {
        return rightmost;
    }

    double lowest() {
        return lowest;
    }

    double highest() {
        return highest;
    }

    /** Stretches in which the whole band from t0 to t1 is free, from left to right. */
    List<Interval> free(double t0, double t1) {
        double low = t0 + TOUCH_M;
        double high = t1 - TOUCH_M;
        List<double[]> blocked = new ArrayList<>();
        int first = Arrays.binarySearch(highestSoFar, low);
        for (int i = first < 0 ? -first - 1 : first; i < byLow.length; i++) {
            Segment segment = byLow[i];
            if (segment.low() > high) {
                break;
            }
            if (segment.high() < low) {
                continue;
            }
            if (segment.t0() == segment.t1()) {
                blocked.add(between(segment.s0(), segment.s1()));
            } else {
                blocked.add(between(
                        segment.sAt(Math.max(low, segment.low())), segment.sAt(Math.min(high, segment.high()))));
            }
        }
        blocked.sort(Comparator.comparingDouble(b -> b[0]));
        List<Interval> result = new ArrayList<>();
        double reached = Double.NaN;
        double middle = (t0 + t1) / 2;
        for (double[] b : blocked) {
            if (!Double.isNaN(reached) && b[0] > reached + TOUCH_M) {
                Coordinate probe = new Coordinate((reached + b[0]) / 2, middle);
                if (inside.locate(probe) != Location.EXTERIOR) {
                    result.add(new Interval(reached, b[0]));
                }
            }
            reached = Double.isNaN(reached) ? b[1] : Math.max(reached, b[1]);
        }
        return result;
    }

    private static double[] between(double a, double b) {
        return new double[] {Math.min(a, b), Math.max(a, b)};
    }
}
