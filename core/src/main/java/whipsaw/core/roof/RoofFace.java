package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Polygon;

/**
 * One plane face of a pitched roof. Heights are above the lowest line of the roof.
 *
 * <p>Its own frame is that of somebody at the eave looking up the slope: u to the right, v up, both in plan and both
 * from the face's least.
 *
 * @param number from 1
 * @param plan its shape in plan
 * @param slopeDeg of the face
 * @param upX x of the unit vector in plan that points up the slope
 * @param upY y of it
 * @param lowM height where v is 0
 */
public record RoofFace(int number, Polygon plan, double slopeDeg, double upX, double upY, double lowM) {
    private static final double SAME_M = 1e-6;

    /** A piece of a line in plan. */
    public record Piece(Coordinate from, Coordinate to) {
        public double lengthM() {
            return from.distance(to);
        }
    }

    private double rawU(Coordinate c) {
        return c.x * upY - c.y * upX;
    }

    private double rawV(Coordinate c) {
        return c.x * upX + c.y * upY;
    }

    private double least(java.util.function.ToDoubleFunction<Coordinate> of) {
        double least = Double.POSITIVE_INFINITY;
        for (Coordinate c : plan.getCoordinates()) {
            least = Math.min(least, of.applyAsDouble(c));
        }
        return least;
    }

    private double most(java.util.function.ToDoubleFunction<Coordinate> of) {
        return -least(c -> -of.applyAsDouble(c));
    }

    public double heightM(Coordinate c) {
        return lowM + (rawV(c) - least(this::rawV)) * tan();
    }

    double tan() {
        return Math.tan(Math.toRadians(slopeDeg));
    }

    /** True area of the face. */
    public double areaM2() {
        return plan.getArea() / Math.cos(Math.toRadians(slopeDeg));
    }

    /** From its lowest to its highest place along the slope. */
    public double slopeLengthM() {
        return (most(this::rawV) - least(this::rawV)) / Math.cos(Math.toRadians(slopeDeg));
    }

    /** From its left end to its right, looking up from the eave. */
    public double widthM() {
        return most(this::rawU) - least(this::rawU);
    }

    /** The pieces of the face on the line at a distance from its left end, running up the slope. */
    public List<Piece> upAt(double fromLeftM) {
        double u = least(this::rawU) + fromLeftM;
        return pieces(c -> rawU(c) - u);
    }

    /** The pieces of the face on the level line at a distance along the slope from its lowest place. */
    public List<Piece> acrossAt(double upTheSlopeM) {
        double v = least(this::rawV) + upTheSlopeM * Math.cos(Math.toRadians(slopeDeg));
        return pieces(c -> rawV(c) - v);
    }

    /** Where a line, given by the signed distance from it, runs over the face. */
    private List<Piece> pieces(java.util.function.ToDoubleFunction<Coordinate> off) {
        Coordinate[] ring = plan.getExteriorRing().getCoordinates();
        List<Coordinate> crossings = new ArrayList<>();
        for (int i = 1; i < ring.length; i++) {
            double a = off.applyAsDouble(ring[i - 1]);
            double b = off.applyAsDouble(ring[i]);
            // half-open, so that a corner on the line counts once
            if (a < 0 != b < 0) {
                double part = a / (a - b);
                crossings.add(new Coordinate(
                        ring[i - 1].x + part * (ring[i].x - ring[i - 1].x),
                        ring[i - 1].y + part * (ring[i].y - ring[i - 1].y)));
            }
        }
        Collections.sort(crossings, (p, q) -> {
            int byX = Math.abs(p.x - q.x) > SAME_M ? Double.compare(p.x, q.x) : 0;
            return byX != 0 ? byX : Double.compare(p.y, q.y);
        });
        List<Piece> pieces = new ArrayList<>();
        for (int i = 1; i < crossings.size(); i += 2) {
            if (crossings.get(i - 1).distance(crossings.get(i)) > SAME_M) {
                pieces.add(new Piece(crossings.get(i - 1), crossings.get(i)));
            }
        }
        return pieces;
    }
}
