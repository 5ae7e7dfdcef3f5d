package whipsaw.core.roof;

import java.util.Arrays;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;

/**
 * Area of a polygon inside a rectangle, by clipping at its four sides in turn. Of a polygon with inside corners the rest
 * may hang together by lines without area, which add nothing.
 */
public final class RectangleClip {
    private RectangleClip() {}

    /** Area of a polygon that lies in a rectangle, m². */
    public static double areaInside(Coordinate[] polygon, Envelope cell) {
        Coordinate[] rest = polygon;
        rest = clip(rest, 1, 0, cell.getMinX());
        rest = clip(rest, -1, 0, -cell.getMaxX());
        rest = clip(rest, 0, 1, cell.getMinY());
        rest = clip(rest, 0, -1, -cell.getMaxY());
        return area(rest);
    }

    /** The part with {@code nx x + ny y >= limit}. */
    private static Coordinate[] clip(Coordinate[] polygon, double nx, double ny, double limit) {
        Coordinate[] result = new Coordinate[polygon.length * 2];
        int count = 0;
        for (int i = 0; i < polygon.length; i++) {
            Coordinate a = polygon[i];
            Coordinate b = polygon[(i + 1) % polygon.length];
            double da = nx * a.x + ny * a.y - limit;
            double db = nx * b.x + ny * b.y - limit;
            if (da >= 0) {
                result[count++] = a;
            }
            if ((da > 0 && db < 0) || (da < 0 && db > 0)) {
                double part = da / (da - db);
                result[count++] = new Coordinate(a.x + part * (b.x - a.x), a.y + part * (b.y - a.y));
            }
        }
        return Arrays.copyOf(result, count);
    }

    /** Area of a polygon, m², whichever way its corners run. */
    public static double area(Coordinate[] polygon) {
        double twice = 0;
        for (int i = 0; i < polygon.length; i++) {
            Coordinate a = polygon[i];
            Coordinate b = polygon[(i + 1) % polygon.length];
            twice += a.x * b.y - b.x * a.y;
        }
        return Math.abs(twice) / 2;
    }
}
