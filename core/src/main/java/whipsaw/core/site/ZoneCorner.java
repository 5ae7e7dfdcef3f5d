package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import whipsaw.core.roof.RoofPlan;

/**
 * An outside corner with the two walls that meet there. Corners that turn by less than 20 deg count
 * as one bent wall, since their lines hardly cross; a bend of many such corners is a corner where it turns by 20 deg
 * within a length.
 */
public record ZoneCorner(RoofPlan.Edge before, RoofPlan.Edge after) {
    private static final double LEAST_TURN_DEG = 20;

    static List<ZoneCorner> of(List<RoofPlan.Edge> walls, double withinM) {
        int n = walls.size();
        List<ZoneCorner> corners = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            RoofPlan.Edge before = walls.get(i);
            double turn = WindOutline.turnDeg(before, walls.get((i + 1) % n));
            if (turn >= LEAST_TURN_DEG) {
                corners.add(new ZoneCorner(before, walls.get((i + 1) % n)));
                continue;
            }
            double length = 0;
            for (int j = i + 1; j < i + n && turn > 0 && length <= withinM; j++) {
                RoofPlan.Edge wall = walls.get(j % n);
                double step = WindOutline.turnDeg(wall, walls.get((j + 1) % n));
                length += wall.lengthM();
                if (step <= 0 || step >= LEAST_TURN_DEG || length > withinM) {
                    break;
                }
                turn += step;
                if (turn >= LEAST_TURN_DEG) {
                    corners.add(new ZoneCorner(before, walls.get((j + 1) % n)));
                    break;
                }
            }
        }
        return corners;
    }

    /** Lines that meet at 20 deg or more leave a panel's half diagonal less than three times itself to grow by. */
    static final double REACH = 3;

    /** Whether a panel about a place may lie within a width of both lines; false is certain. */
    static boolean mayHold(double x, double y, double reach, Envelope both) {
        return x >= both.getMinX() - reach
                && x <= both.getMaxX() + reach
                && y >= both.getMinY() - reach
                && y <= both.getMaxY() + reach;
    }

    /** The strip within a width of the line of an edge, on both sides. */
    static Geometry slab(RoofPlan.Edge edge, double widthM, RoofPlan plan) {
        double reach = 10 * (plan.longSideM() + widthM) / edge.lengthM();
        double dx = (edge.to().x - edge.from().x) * reach;
        double dy = (edge.to().y - edge.from().y) * reach;
        GeometryFactory factory = plan.outline().getFactory();
        return factory.createLineString(new Coordinate[] {
                    new Coordinate(edge.from().x - dx, edge.from().y - dy),
                    new Coordinate(edge.to().x + dx, edge.to().y + dy)
                })
                .buffer(widthM, 1, BufferParameters.CAP_FLAT);
    }

    /** The parallelogram within a width of the lines of two edges that do not run the same way. */
    static Geometry bothSlabs(RoofPlan.Edge a, RoofPlan.Edge b, double widthM, RoofPlan plan) {
        double det = a.normalX() * b.normalY() - a.normalY() * b.normalX();
        double atA = a.normalX() * a.from().x + a.normalY() * a.from().y;
        double atB = b.normalX() * b.from().x + b.normalY() * b.from().y;
        Coordinate[] ring = new Coordinate[5];
        int[][] sides = {{-1, -1}, {1, -1}, {1, 1}, {-1, 1}};
        for (int i = 0; i < 4; i++) {
            double ca = atA + sides[i][0] * widthM;
            double cb = atB + sides[i][1] * widthM;
            ring[i] = new Coordinate(
                    (ca * b.normalY() - cb * a.normalY()) / det, (a.normalX() * cb - b.normalX() * ca) / det);
        }
        ring[4] = ring[0];
        return plan.outline().getFactory().createPolygon(ring);
    }

    /** The part of the roof within a width of an edge. */
    static Geometry strip(RoofPlan.Edge edge, double widthM, RoofPlan plan) {
        Geometry strip = plan.outline()
                .getFactory()
                .createLineString(new Coordinate[] {edge.from(), edge.to()})
                .buffer(widthM, 16, BufferParameters.CAP_ROUND);
        return common(strip, plan.outline());
    }

    /** What two shapes have in common, also where their edges nearly touch. */
    static Geometry common(Geometry a, Geometry b) {
        return OverlayNGRobust.overlay(a, b, OverlayNG.INTERSECTION);
    }

    static Geometry less(Geometry a, Geometry b) {
        return OverlayNGRobust.overlay(a, b, OverlayNG.DIFFERENCE);
    }

    static Geometry union(List<Geometry> parts, RoofPlan plan) {
        return parts.isEmpty() ? plan.outline().getFactory().createPolygon() : OverlayNGRobust.union(parts);
    }
}
