package whipsaw.core.array;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateFilter;
import org.locationtech.jts.geom.Geometry;

/**
 * Coordinates of an array: s along the rows, t from the low edge of the front row towards the rear.
 *
 * @param alongX x of the unit vector of s on the plan
 * @param alongY y of it
 */
public record ArrayFrame(double alongX, double alongY) {

    /** Rows that face a direction on the plan, as an angle from the top of the sheet, clockwise. */
    public static ArrayFrame facing(double planAzimuthDeg) {
        double a = Math.toRadians(planAzimuthDeg);
        // t points away from the facing side (-sin, -cos); s is t turned clockwise
        return new ArrayFrame(clean(-Math.cos(a)), clean(Math.sin(a)));
    }

    private static double clean(double value) {
        double rounded = Math.rint(value);
        return Math.abs(value - rounded) < 1e-12 ? rounded : value;
    }

    /** Coordinate along the rows, m, of a place on the plan. */
    public double s(double x, double y) {
        return x * alongX + y * alongY;
    }

    /** Coordinate across the rows, m, of a place on the plan. */
    public double t(double x, double y) {
        return -x * alongY + y * alongX;
    }

    /** Place on the plan of coordinates along and across the rows, m. */
    public Coordinate plan(double s, double t) {
        return new Coordinate(s * alongX - t * alongY, s * alongY + t * alongX);
    }

    /** A plan geometry in the frame. */
    Geometry inFrame(Geometry plan) {
        Geometry copy = plan.copy();
        copy.apply((CoordinateFilter) c -> {
            double s = s(c.x, c.y);
            double t = t(c.x, c.y);
            c.x = s;
            c.y = t;
        });
        copy.geometryChanged();
        return copy;
    }
}
