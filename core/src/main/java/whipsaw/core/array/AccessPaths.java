package whipsaw.core.array;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.FirePathTable;

/**
 * Paths an array leaves by a rule: across the rows between sections, and from hatches, standpipes and smoke vents
 * straight to the nearest roof edge. Paths along the rows are walkways of the row grid.
 *
 * @param rule null for none
 */
public record AccessPaths(FirePathTable.Rule rule, List<Strip> strips) {
    private static final GeometryFactory FACTORY = new GeometryFactory();

    public AccessPaths {
        strips = List.copyOf(strips);
    }

    /**
     * A strip of roof without modules.
     *
     * @param words where it leads
     * @param area on the plan
     */
    public record Strip(String words, Polygon area) {}

    /** None at all. */
    static final AccessPaths NONE = new AccessPaths(null, List.of());

    /**
     * Paths of one array.
     *
     * @param own the area of the array as if the roof bore nothing, in its frame
     */
    static AccessPaths of(Job job, RoofPlan plan, FirePathTable table, ArrayFrame frame, Geometry own) {
        if (job.array().paths().isEmpty() || own.isEmpty()) {
            return NONE;
        }
        FirePathTable.Rule rule = table.forSides(job.array().paths(), plan.longSideM(), plan.shortSideM());
        List<Strip> strips = new ArrayList<>();
        double left = own.getEnvelopeInternal().getMinX();
        double width = own.getEnvelopeInternal().getWidth();
        double low = own.getEnvelopeInternal().getMinY();
        double high = own.getEnvelopeInternal().getMaxY();
        int sections = (int) Math.ceil((width + rule.betweenM()) / (rule.largestM() + rule.betweenM()) - 1e-9);
        double section = (width - (sections - 1) * rule.betweenM()) / sections;
        for (int i = 1; i < sections; i++) {
            double from = left + i * section + (i - 1) * rule.betweenM();
            double to = from + rule.betweenM();
            strips.add(new Strip(
                    "path between sections " + i + " and " + (i + 1),
                    polygon(frame.plan(from, low), frame.plan(to, low), frame.plan(to, high), frame.plan(from, high))));
        }
        for (Obstruction o : job.roof().obstructions()) {
            if (ObstructionKinds.of(o).path()) {
                strips.add(new Strip("path to " + o.name(), toEdge(o, plan, rule.toHatchM())));
                strips.add(new Strip("around " + o.name(), RoofPlan.grown(o, rule.toHatchM())));
            }
        }
        return new AccessPaths(rule, strips);
    }

    /** From the middle of a thing straight to the nearest edge. */
    private static Polygon toEdge(Obstruction o, RoofPlan plan, double widthM) {
        Coordinate middle = RoofPlan.footprint(o).getCentroid().getCoordinate();
        LineSegment nearest = null;
        for (RoofPlan.Edge e : plan.edges()) {
            LineSegment edge = new LineSegment(e.from(), e.to());
            if (nearest == null || edge.distance(middle) < nearest.distance(middle)) {
                nearest = edge;
            }
        }
        LineSegment way = new LineSegment(middle, nearest.closestPoint(middle));
        double half = widthM / 2;
        if (way.getLength() < half) {
            return RoofPlan.grown(o, 0);
        }
        return polygon(
                way.pointAlongOffset(0, half),
                way.pointAlongOffset(1, half),
                way.pointAlongOffset(1, -half),
                way.pointAlongOffset(0, -half));
    }

    private static Polygon polygon(Coordinate a, Coordinate b, Coordinate c, Coordinate d) {
        return FACTORY.createPolygon(new Coordinate[] {a, b, c, d, a.copy()});
    }
}
