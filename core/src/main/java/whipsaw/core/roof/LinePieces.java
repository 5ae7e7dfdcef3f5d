package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Polygon;

/** Pieces of a line that lie on a shape. */
public final class LinePieces {
    private static final double SAME_M = 1e-6;

    private LinePieces() {}

    /** A piece of a line in plan. */
    public record Piece(Coordinate from, Coordinate to) {
        /** Length on the plan, m. */
        public double lengthM() {
            return from.distance(to);
        }
    }

    /** Where a line, given by the signed distance from it, runs over a shape without holes. */
    public static List<Piece> over(Polygon shape, ToDoubleFunction<Coordinate> off) {
        Coordinate[] ring = shape.getExteriorRing().getCoordinates();
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
