package whipsaw.core.roof;

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

    /** Height of the face above its low line at a place on the plan, m. */
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
    public List<LinePieces.Piece> upAt(double fromLeftM) {
        double u = least(this::rawU) + fromLeftM;
        return LinePieces.over(plan, c -> rawU(c) - u);
    }

    /** The pieces of the face on the level line at a distance along the slope from its lowest place. */
    public List<LinePieces.Piece> acrossAt(double upTheSlopeM) {
        double v = least(this::rawV) + upTheSlopeM * Math.cos(Math.toRadians(slopeDeg));
        return LinePieces.over(plan, c -> rawV(c) - v);
    }
}
