package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Limits;

/**
 * Zones of ASCE 7-16 Fig. 29.4-7 on any outline. A convention that an engineer confirms: nearer than
 * the width to one edge is zone 2; nearer than it to both edges of an outside corner, their lines
 * taken as extended, is zone 3; an inside corner makes zone 2 only.
 *
 * @param widthM two roof heights
 */
public record AsceZones(RoofPlan plan, double widthM, List<ZoneCorner> corners) implements RoofZones {

    public static AsceZones of(RoofPlan plan) {
        return new AsceZones(plan, 2 * plan.roof().height().si(), ZoneCorner.of(plan));
    }

    @Override
    public String zone(Coordinate[] panel) {
        for (ZoneCorner corner : corners) {
            if (Limits.atMost(EdgeDistance.toLine(panel, corner.before()), widthM)
                    && Limits.atMost(EdgeDistance.toLine(panel, corner.after()), widthM)) {
                return "3";
            }
        }
        return plan.edges().stream().anyMatch(edge -> EdgeDistance.within(panel, edge, widthM)) ? "2" : "1";
    }

    @Override
    public List<Area> areas() {
        List<Geometry> strips = new ArrayList<>();
        plan.edges().forEach(edge -> strips.add(ZoneCorner.strip(edge, widthM, plan)));
        Geometry near = ZoneCorner.union(strips, plan);
        Geometry corner = cornerAreas();
        List<Area> areas = new ArrayList<>();
        areas.add(new Area("1", 0, ZoneCorner.less(ZoneCorner.less(plan.outline(), near), corner)));
        areas.add(new Area("2", 1, ZoneCorner.less(near, corner)));
        areas.add(new Area("3", 2, corner));
        areas.removeIf(a -> a.shape().isEmpty());
        return areas;
    }

    /** Zone 3 as one shape. */
    public Geometry cornerAreas() {
        List<Geometry> areas = new ArrayList<>();
        for (ZoneCorner corner : corners) {
            Geometry both = ZoneCorner.common(
                    ZoneCorner.slab(corner.before(), widthM, plan), ZoneCorner.slab(corner.after(), widthM, plan));
            areas.add(ZoneCorner.common(both, plan.outline()));
        }
        return ZoneCorner.union(areas, plan);
    }

    @Override
    public String rule() {
        return "within two roof heights of one edge: 2; of both edges of an outside corner: 3; else 1";
    }
}
