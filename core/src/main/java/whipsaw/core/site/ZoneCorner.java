package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import whipsaw.core.roof.RoofPlan;

/**
 * An outside corner with the two edges that meet there. Corners that turn by less than 20 deg count
 * as one bent edge, since their lines hardly cross.
 */
public record ZoneCorner(RoofPlan.Edge before, RoofPlan.Edge after) {
    private static final double LEAST_TURN_DEG = 20;

    static List<ZoneCorner> of(RoofPlan plan) {
        List<RoofPlan.Edge> edges = plan.edges();
        List<ZoneCorner> corners = new ArrayList<>();
        for (int i = 0; i < edges.size(); i++) {
            RoofPlan.Edge before = edges.get((i + edges.size() - 1) % edges.size());
            RoofPlan.Edge after = edges.get(i);
            boolean outside = inside(before, after.to()) && inside(after, before.from());
            double cos = before.normalX() * after.normalX() + before.normalY() * after.normalY();
            if (outside && cos < Math.cos(Math.toRadians(LEAST_TURN_DEG))) {
                corners.add(new ZoneCorner(before, after));
            }
        }
        return corners;
    }

    private static boolean inside(RoofPlan.Edge edge, Coordinate p) {
        return (p.x - edge.from().x) * edge.normalX() + (p.y - edge.from().y) * edge.normalY() < 0;
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
