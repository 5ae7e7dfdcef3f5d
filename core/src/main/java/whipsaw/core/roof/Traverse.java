package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;

/**
 * A tape survey: legs in walking order with the change of heading at the end of each, closed by the
 * compass rule.
 *
 * <p>Leg 0 runs along +x from (0, 0); turns are positive to the left. With balancing, each turn is
 * corrected by an equal part of the angular misclosure first. A small closing error does not prove
 * a good survey: equal errors on opposite sides close well.
 *
 * @param misclosureDeg sum of turns against a full circle
 * @param rawVertices before the closing error is spread
 * @param closureX east part of the closing error
 * @param closureY north part
 * @param perimeterM sum of the legs
 * @param vertices after it is spread in proportion to the legs
 */
public record Traverse(
        double misclosureDeg,
        List<Coordinate> rawVertices,
        double closureX,
        double closureY,
        double perimeterM,
        boolean counterClockwise,
        List<Coordinate> vertices) {
    private static final double CLOSED_M = 1e-6;

    /**
     * @param lengthM taped length of the edge
     * @param turnDeg change of heading at its end, left positive
     */
    public record Leg(double lengthM, double turnDeg) {}

    /** Walks the legs and shares the closing error by the compass rule where it is to be balanced. */
    public static Traverse of(List<Leg> legs, boolean balance) {
        double sum = legs.stream().mapToDouble(Leg::turnDeg).sum();
        double misclosure = sum - 360 * Math.signum(sum);
        double correction = balance ? -misclosure / legs.size() : 0;
        double[] dx = new double[legs.size()];
        double[] dy = new double[legs.size()];
        double heading = 0;
        double perimeter = 0;
        List<Coordinate> raw = new ArrayList<>();
        double x = 0;
        double y = 0;
        for (int i = 0; i < legs.size(); i++) {
            raw.add(new Coordinate(x, y));
            double length = legs.get(i).lengthM();
            dx[i] = length * Math.cos(Math.toRadians(heading));
            dy[i] = length * Math.sin(Math.toRadians(heading));
            x += dx[i];
            y += dy[i];
            perimeter += length;
            heading += legs.get(i).turnDeg() + correction;
        }
        raw.add(new Coordinate(x, y));
        List<Coordinate> adjusted = new ArrayList<>();
        double ax = 0;
        double ay = 0;
        for (int i = 0; i < legs.size(); i++) {
            adjusted.add(new Coordinate(ax, ay));
            double share = legs.get(i).lengthM() / perimeter;
            ax += dx[i] - x * share;
            ay += dy[i] - y * share;
        }
        return new Traverse(misclosure, raw, x, y, perimeter, sum > 0, adjusted);
    }

    /** Gap between the end and the beginning of the walk, m. */
    public double closureM() {
        return Math.hypot(closureX, closureY);
    }

    /** Perimeter over closing error; NaN when it closes to a micrometre. */
    public double ratio() {
        return closureM() <= CLOSED_M ? Double.NaN : perimeterM / closureM();
    }

    /** Area of the adjusted outline. */
    public double areaM2() {
        double twice = 0;
        for (int i = 0; i < vertices.size(); i++) {
            Coordinate a = vertices.get(i);
            Coordinate b = vertices.get((i + 1) % vertices.size());
            twice += a.x * b.y - b.x * a.y;
        }
        return Math.abs(twice) / 2;
    }
}
