package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;

/**
 * Zones of roofs up to 7 deg, ASCE 7-16 Fig. 30.3-2A, on any outline. A convention that an engineer confirms: the L
 * at an outside corner is within 0.6 h of the lines of both edges and within 0.2 h of one of them; an inside corner
 * makes no zone 3. A ridge of so flat a roof is no edge.
 *
 * @param heightM mean roof height
 */
public record LowSlopeZones(RoofPlan plan, double heightM, Widths widths, WindOutline outline) implements RoofZones {
    private static final KeptAreas KEPT = new KeptAreas();

    /**
     * Widths in metres.
     *
     * @param corner of the legs of the L at a corner
     * @param edge of the edge zone, and length of those legs
     * @param inner from the edge to the field
     */
    public record Widths(double corner, double edge, double inner) {
        /** At a mean roof height. */
        public static Widths at(double heightM, ParameterTable table) {
            return new Widths(
                    table.value("low_slope_corner_width_h") * heightM,
                    table.value("low_slope_edge_width_h") * heightM,
                    table.value("low_slope_inner_width_h") * heightM);
        }
    }

    /** Zones of a roof of at most 7°, ASCE 7-16 Fig. 30.3-2A. */
    public static LowSlopeZones of(RoofPlan plan, ParameterTable table) {
        double height = plan.roof().height().si();
        Widths widths = Widths.at(height, table);
        return new LowSlopeZones(plan, height, widths, WindOutline.of(plan, widths.corner(), widths.edge()));
    }

    @Override
    public String zone(Coordinate[] panel) {
        for (ZoneCorner corner : outline.corners()) {
            double a = EdgeDistance.toLine(panel, corner.before());
            double b = EdgeDistance.toLine(panel, corner.after());
            if (Limits.atMost(Math.max(a, b), widths.edge()) && Limits.atMost(Math.min(a, b), widths.corner())) {
                return "3";
            }
        }
        if (near(panel, widths.edge())) {
            return "2";
        }
        return near(panel, widths.inner()) ? "1" : "1p";
    }

    private boolean near(Coordinate[] panel, double widthM) {
        return outline.index().near(panel, widthM).stream().anyMatch(e -> EdgeDistance.within(panel, e, widthM));
    }

    @Override
    public List<Area> areas() {
        return KEPT.of(plan.outline(), widths, this::drawn);
    }

    @Override
    public boolean areasAtHand() {
        return KEPT.has(plan.outline(), widths);
    }

    private List<Area> drawn() {
        Geometry roof = plan.outline();
        Geometry field = ZoneCorner.common(outline.field(widths.inner()), roof);
        Geometry inner = ZoneCorner.common(outline.field(widths.edge()), roof);
        List<Geometry> legs = new ArrayList<>();
        for (ZoneCorner c : outline.corners()) {
            Geometry both = ZoneCorner.bothSlabs(c.before(), c.after(), widths.edge(), plan);
            legs.add(ZoneCorner.common(both, ZoneCorner.slab(c.before(), widths.corner(), plan)));
            legs.add(ZoneCorner.common(both, ZoneCorner.slab(c.after(), widths.corner(), plan)));
        }
        Geometry corner = legs.isEmpty()
                ? roof.getFactory().createPolygon()
                : ZoneCorner.common(ZoneCorner.union(legs, plan), roof);
        List<Area> areas = new ArrayList<>();
        areas.add(new Area("1p", 0, ZoneCorner.less(field, corner)));
        areas.add(new Area("1", 1, ZoneCorner.less(ZoneCorner.less(inner, field), corner)));
        areas.add(new Area("2", 2, ZoneCorner.less(ZoneCorner.less(roof, inner), corner)));
        areas.add(new Area("3", 3, corner));
        areas.removeIf(a -> a.shape().isEmpty());
        return areas;
    }

    @Override
    public String rule() {
        return "within " + heights(widths.edge()) + " roof heights of an edge: 2, its outside corners "
                + heights(widths.corner()) + " heights wide: 3; within " + heights(widths.inner())
                + " heights: 1; else 1'";
    }

    private String heights(double metres) {
        return Show.number(metres / heightM, 2);
    }
}
