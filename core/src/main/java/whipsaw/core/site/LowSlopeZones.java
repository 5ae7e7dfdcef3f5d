package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Limits;

/**
 * Zones of roofs up to 7 deg, ASCE 7-16 Fig. 30.3-2A, on any outline. A convention that an engineer confirms: the L
 * at an outside corner is within 0.6 h of the lines of both edges and within 0.2 h of one of them; an inside corner
 * makes no zone 3. A ridge of so flat a roof is no edge.
 *
 * @param heightM mean roof height
 */
public record LowSlopeZones(RoofPlan plan, double heightM, List<ZoneCorner> corners) implements RoofZones {
    private static final KeptAreas KEPT = new KeptAreas();
    private static final double CORNER = 0.2;
    private static final double EDGE = 0.6;
    private static final double INNER = 1.2;

    public static LowSlopeZones of(RoofPlan plan) {
        return new LowSlopeZones(plan, plan.roof().height().si(), ZoneCorner.of(plan));
    }

    @Override
    public String zone(Coordinate[] panel) {
        for (ZoneCorner corner : corners) {
            double a = EdgeDistance.toLine(panel, corner.before());
            double b = EdgeDistance.toLine(panel, corner.after());
            if (Limits.atMost(Math.max(a, b), EDGE * heightM) && Limits.atMost(Math.min(a, b), CORNER * heightM)) {
                return "3";
            }
        }
        if (near(panel, EDGE * heightM)) {
            return "2";
        }
        return near(panel, INNER * heightM) ? "1" : "1p";
    }

    private boolean near(Coordinate[] panel, double widthM) {
        return plan.index().near(panel, widthM).stream().anyMatch(e -> EdgeDistance.within(panel, e, widthM));
    }

    @Override
    public List<Area> areas() {
        return KEPT.of(plan.outline(), heightM, this::drawn);
    }

    @Override
    public boolean areasAtHand() {
        return KEPT.has(plan.outline(), heightM);
    }

    private List<Area> drawn() {
        Geometry outline = plan.outline();
        Geometry field = outline.buffer(-INNER * heightM, 16);
        Geometry inner = outline.buffer(-EDGE * heightM, 16);
        List<Geometry> legs = new ArrayList<>();
        for (ZoneCorner c : corners) {
            Geometry both = ZoneCorner.bothSlabs(c.before(), c.after(), EDGE * heightM, plan);
            legs.add(ZoneCorner.common(both, ZoneCorner.slab(c.before(), CORNER * heightM, plan)));
            legs.add(ZoneCorner.common(both, ZoneCorner.slab(c.after(), CORNER * heightM, plan)));
        }
        Geometry corner = legs.isEmpty()
                ? outline.getFactory().createPolygon()
                : ZoneCorner.common(ZoneCorner.union(legs, plan), outline);
        List<Area> areas = new ArrayList<>();
        areas.add(new Area("1p", 0, ZoneCorner.less(field, corner)));
        areas.add(new Area("1", 1, ZoneCorner.less(ZoneCorner.less(inner, field), corner)));
        areas.add(new Area("2", 2, ZoneCorner.less(ZoneCorner.less(outline, inner), corner)));
        areas.add(new Area("3", 3, corner));
        areas.removeIf(a -> a.shape().isEmpty());
        return areas;
    }

    @Override
    public String rule() {
        return "within 0.6 roof heights of an edge: 2, its outside corners 0.2 heights wide: 3; within 1.2 heights: 1;"
                + " else 1'";
    }
}
