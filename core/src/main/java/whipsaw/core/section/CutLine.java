package whipsaw.core.section;

import org.locationtech.jts.geom.Coordinate;

/** The line of a section on the plan, in metres, looked along from A to B. */
public record CutLine(Coordinate a, Coordinate b) {

    /** Length of the cut, m. */
    public double lengthM() {
        return a.distance(b);
    }

    /** The point a distance from A. */
    public Coordinate at(double distanceM) {
        double part = distanceM / lengthM();
        return new Coordinate(a.x + (b.x - a.x) * part, a.y + (b.y - a.y) * part);
    }

    /** Direction from A to B from the top of the sheet, clockwise, in degrees. */
    public double planAzimuthDeg() {
        return Math.toDegrees(Math.atan2(b.x - a.x, b.y - a.y));
    }

    /**
     * The part of the line inside a convex polygon, as distances from A, or null when it misses it.
     * Cyrus and Beck's clipping; the corners may run either way round.
     */
    double[] inside(Coordinate[] corners) {
        double twice = 0;
        for (int i = 0; i < corners.length; i++) {
            Coordinate p = corners[i];
            Coordinate q = corners[(i + 1) % corners.length];
            twice += p.x * q.y - q.x * p.y;
        }
        double side = twice > 0 ? 1 : -1;
        double from = 0;
        double to = 1;
        for (int i = 0; i < corners.length; i++) {
            Coordinate p = corners[i];
            Coordinate q = corners[(i + 1) % corners.length];
            // inside is to the left of every side of a counter-clockwise ring
            double nx = -(q.y - p.y) * side;
            double ny = (q.x - p.x) * side;
            double start = (a.x - p.x) * nx + (a.y - p.y) * ny;
            double change = (b.x - a.x) * nx + (b.y - a.y) * ny;
            if (change == 0) {
                if (start < 0) {
                    return null;
                }
            } else if (change > 0) {
                from = Math.max(from, -start / change);
            } else {
                to = Math.min(to, -start / change);
            }
        }
        return from < to ? new double[] {from * lengthM(), to * lengthM()} : null;
    }
}
