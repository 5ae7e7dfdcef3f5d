package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import whipsaw.core.roof.RectangleZones;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Limits;

/**
 * Wind zones of any outline. A convention that an engineer confirms: nearer than the width to one
 * edge is zone 2; nearer than it to both edges of an outside corner, their lines taken as extended,
 * is zone 3; an inside corner makes zone 2 only. Corners that turn by less than 20 deg count as one
 * bent edge, since their lines hardly cross.
 *
 * @param widthM two roof heights
 */
public record RoofZones(RoofPlan plan, double widthM, List<Corner> corners) {
    private static final double LEAST_TURN_DEG = 20;

    /** An outside corner with the two edges that meet there. */
    public record Corner(RoofPlan.Edge before, RoofPlan.Edge after) {}

    public static RoofZones of(RoofPlan plan) {
        List<RoofPlan.Edge> edges = plan.edges();
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < edges.size(); i++) {
            RoofPlan.Edge before = edges.get((i + edges.size() - 1) % edges.size());
            RoofPlan.Edge after = edges.get(i);
            boolean outside = inside(before, after.to()) && inside(after, before.from());
            double cos = before.normalX() * after.normalX() + before.normalY() * after.normalY();
            if (outside && cos < Math.cos(Math.toRadians(LEAST_TURN_DEG))) {
                corners.add(new Corner(before, after));
            }
        }
        return new RoofZones(plan, 2 * plan.roof().height().si(), corners);
    }

    private static boolean inside(RoofPlan.Edge edge, Coordinate p) {
        return (p.x - edge.from().x) * edge.normalX() + (p.y - edge.from().y) * edge.normalY() < 0;
    }

    /** Zone of a panel: the most severe it touches. */
    public String zone(Coordinate[] panel) {
        for (Corner corner : corners) {
            if (Limits.atMost(toLine(panel, corner.before()), widthM)
                    && Limits.atMost(toLine(panel, corner.after()), widthM)) {
                return "3";
            }
        }
        return RectangleZones.zone(toNearestEdge(panel), Double.POSITIVE_INFINITY, widthM);
    }

    /** Least distance of a panel from the line of an edge; 0 when it crosses it. */
    private static double toLine(Coordinate[] panel, RoofPlan.Edge edge) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Coordinate c : panel) {
            double d = (c.x - edge.from().x) * edge.normalX() + (c.y - edge.from().y) * edge.normalY();
            least = Math.min(least, d);
            most = Math.max(most, d);
        }
        return least <= 0 && most >= 0 ? 0 : Math.min(Math.abs(least), Math.abs(most));
    }

    /** Distance of a panel that lies on the roof from the nearest edge. */
    public double toNearestEdge(Coordinate[] panel) {
        double least = Double.POSITIVE_INFINITY;
        for (RoofPlan.Edge edge : plan.edges()) {
            least = Math.min(least, toEdge(panel, edge));
        }
        return least;
    }

    /** Distance of a panel from an edge, neither crossing the other. */
    public static double toEdge(Coordinate[] panel, RoofPlan.Edge edge) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < panel.length; i++) {
            Coordinate a = panel[i];
            Coordinate b = panel[(i + 1) % panel.length];
            least = Math.min(least, toSegment(a, edge.from(), edge.to()));
            least = Math.min(least, toSegment(edge.from(), a, b));
            least = Math.min(least, toSegment(edge.to(), a, b));
        }
        return least;
    }

    private static double toSegment(Coordinate p, Coordinate a, Coordinate b) {
        double dx = b.x - a.x;
        double dy = b.y - a.y;
        double t = ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy);
        double part = Math.min(1, Math.max(0, t));
        return Math.hypot(p.x - a.x - part * dx, p.y - a.y - part * dy);
    }

    /** Zone 2 and 3 together, for the drawing. */
    public Geometry edgeStrip() {
        GeometryFactory factory = plan.outline().getFactory();
        List<Geometry> strips = new ArrayList<>();
        for (RoofPlan.Edge edge : plan.edges()) {
            strips.add(factory.createLineString(new Coordinate[] {edge.from(), edge.to()})
                    .buffer(widthM, 16, BufferParameters.CAP_ROUND));
        }
        return UnaryUnionOp.union(strips).intersection(plan.outline());
    }

    /** Zone 3, for the drawing. */
    public Geometry cornerAreas() {
        GeometryFactory factory = plan.outline().getFactory();
        List<Geometry> areas = new ArrayList<>();
        for (Corner corner : corners) {
            Geometry both = slab(corner.before(), factory).intersection(slab(corner.after(), factory));
            areas.add(both.intersection(plan.outline()));
        }
        return areas.isEmpty() ? factory.createPolygon() : UnaryUnionOp.union(areas);
    }

    /** The strip within the width of the line of an edge. */
    private Geometry slab(RoofPlan.Edge edge, GeometryFactory factory) {
        double reach = 10 * (plan.longSideM() + widthM) / edge.lengthM();
        double dx = (edge.to().x - edge.from().x) * reach;
        double dy = (edge.to().y - edge.from().y) * reach;
        return factory.createLineString(new Coordinate[] {
                    new Coordinate(edge.from().x - dx, edge.from().y - dy),
                    new Coordinate(edge.to().x + dx, edge.to().y + dy)
                })
                .buffer(widthM, 1, BufferParameters.CAP_FLAT);
    }
}
