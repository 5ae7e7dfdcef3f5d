package whipsaw.core.site;

import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Limits;

/** Distances of a panel that lies on the roof from the roof's edges and from their lines. */
public final class EdgeDistance {
    private static final double FIRST_REACH_M = 6;

    private EdgeDistance() {}

    /** Least distance of a panel from the line of an edge, taken as extended; 0 when it crosses it. */
    static double toLine(Coordinate[] panel, RoofPlan.Edge edge) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Coordinate c : panel) {
            double d = (c.x - edge.from().x) * edge.normalX() + (c.y - edge.from().y) * edge.normalY();
            least = Math.min(least, d);
            most = Math.max(most, d);
        }
        return least <= 0 && most >= 0 ? 0 : Math.min(Math.abs(least), Math.abs(most));
    }

    /** Whether a panel is within a distance of an edge; most panels of a large roof are told apart by the edge's line alone. */
    public static boolean within(Coordinate[] panel, RoofPlan.Edge edge, double distanceM) {
        return !Limits.above(toLine(panel, edge), distanceM) && !Limits.above(toEdge(panel, edge), distanceM);
    }

    /** Distance of a panel from the nearest edge. */
    public static double toNearest(Coordinate[] panel, RoofPlan plan) {
        double reach = FIRST_REACH_M;
        while (true) {
            double least = Double.POSITIVE_INFINITY;
            var near = plan.index().near(panel, reach);
            for (RoofPlan.Edge edge : near) {
                least = Math.min(least, toEdge(panel, edge));
            }
            // an edge beyond the reach cannot be nearer than one within it
            if (least <= reach || near.size() == plan.edges().size()) {
                return least;
            }
            reach *= 2;
        }
    }

    /** Distance of a panel from an edge, neither crossing the other. */
    public static double toEdge(Coordinate[] panel, RoofPlan.Edge edge) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < panel.length; i++) {
            Coordinate a = panel[i];
            Coordinate b = panel[(i + 1) % panel.length];
            least = Math.min(least, squareToSegment(a, edge.from(), edge.to()));
            least = Math.min(least, squareToSegment(edge.from(), a, b));
            least = Math.min(least, squareToSegment(edge.to(), a, b));
        }
        return Math.sqrt(least);
    }

    /** Square of a distance: thousands are compared before one root is taken. */
    private static double squareToSegment(Coordinate p, Coordinate a, Coordinate b) {
        double dx = b.x - a.x;
        double dy = b.y - a.y;
        double square = dx * dx + dy * dy;
        double t = square == 0 ? 0 : ((p.x - a.x) * dx + (p.y - a.y) * dy) / square;
        double part = Math.min(1, Math.max(0, t));
        double x = p.x - a.x - part * dx;
        double y = p.y - a.y - part * dy;
        return x * x + y * y;
    }
}
