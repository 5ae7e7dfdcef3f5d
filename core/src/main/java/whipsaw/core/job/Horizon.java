package whipsaw.core.job;

import java.util.List;

/** The skyline as seen from the roof: hills, woods and high buildings beyond it. */
public final class Horizon {
    private static final double TURN = 360;

    private Horizon() {}

    /**
     * A point of the skyline.
     *
     * @param azimuthDeg from true north
     * @param elevationDeg above level
     */
    public record Point(double azimuthDeg, double elevationDeg) {}

    /**
     * Height of the skyline in a direction, straight from point to point around the compass.
     *
     * @param points by rising azimuth; none for a level skyline
     * @return elevation in degrees
     */
    public static double elevationDeg(List<Point> points, double azimuthDeg) {
        if (points.isEmpty()) {
            return 0;
        }
        double at = (azimuthDeg % TURN + TURN) % TURN;
        Point before = points.get(points.size() - 1);
        double from = before.azimuthDeg() - TURN;
        for (Point p : points) {
            if (at <= p.azimuthDeg()) {
                return between(from, before, p.azimuthDeg(), p, at);
            }
            from = p.azimuthDeg();
            before = p;
        }
        Point first = points.get(0);
        return between(from, before, first.azimuthDeg() + TURN, first, at);
    }

    private static double between(double from, Point a, double to, Point b, double at) {
        double share = to - from <= 0 ? 1 : (at - from) / (to - from);
        return a.elevationDeg() + share * (b.elevationDeg() - a.elevationDeg());
    }
}
