package whipsaw.core.site;

import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.roof.RoofPlan;

/** Distances of a panel that lies on the roof from the roof's edges and from their lines. */
public final class EdgeDistance {
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

    /** Distance of a panel from the nearest edge. */
    public static double toNearest(Coordinate[] panel, RoofPlan plan) {
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
        double square = dx * dx + dy * dy;
        double t = square == 0 ? 0 : ((p.x - a.x) * dx + (p.y - a.y) * dy) / square;
        double part = Math.min(1, Math.max(0, t));
        return Math.hypot(p.x - a.x - part * dx, p.y - a.y - part * dy);
    }
}
