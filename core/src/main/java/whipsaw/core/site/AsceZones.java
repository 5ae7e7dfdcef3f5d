package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;

/**
 * Zones of ASCE 7-16 Fig. 29.4-7 on any outline. A convention that an engineer confirms: nearer than
 * the width to one edge is zone 2; nearer than it to both edges of an outside corner, their lines
 * taken as extended, is zone 3; an inside corner makes zone 2 only.
 *
 * @param widthM of the edge zones: two roof heights as the table ships
 * @param boxes around what each corner may make zone 3
 */
public record AsceZones(RoofPlan plan, double widthM, WindOutline outline, List<Envelope> boxes) implements RoofZones {
    private static final KeptAreas KEPT = new KeptAreas();

    /** Zones 1, 1', 2 and 3 of a flat roof, by the table of widths. */
    public static AsceZones of(RoofPlan plan, ParameterTable table) {
        double width = table.value("tilted_width_h") * plan.roof().height().si();
        WindOutline outline = WindOutline.of(plan, WindOutline.ASCE_ROUNDED * width, width);
        return new AsceZones(
                plan,
                width,
                outline,
                outline.corners().stream()
                        .map(c -> ZoneCorner.bothSlabs(c.before(), c.after(), width, plan)
                                .getEnvelopeInternal())
                        .toList());
    }

    @Override
    public String zone(Coordinate[] panel) {
        double x = (panel[0].x + panel[2].x) / 2;
        double y = (panel[0].y + panel[2].y) / 2;
        double reach = ZoneCorner.REACH * Math.hypot(panel[0].x - x, panel[0].y - y);
        for (int i = 0; i < outline.corners().size(); i++) {
            ZoneCorner corner = outline.corners().get(i);
            if (ZoneCorner.mayHold(x, y, reach, boxes.get(i))
                    && Limits.atMost(EdgeDistance.toLine(panel, corner.before()), widthM)
                    && Limits.atMost(EdgeDistance.toLine(panel, corner.after()), widthM)) {
                return "3";
            }
        }
        return outline.index().near(panel, widthM).stream().anyMatch(edge -> EdgeDistance.within(panel, edge, widthM))
                ? "2"
                : "1";
    }

    @Override
    public List<Area> areas() {
        return KEPT.of(plan.outline(), widthM, this::drawn);
    }

    @Override
    public boolean areasAtHand() {
        return KEPT.has(plan.outline(), widthM);
    }

    private List<Area> drawn() {
        Geometry field = ZoneCorner.common(outline.field(widthM), plan.outline());
        Geometry corner = cornerAreas();
        List<Area> areas = new ArrayList<>();
        areas.add(new Area("1", 0, ZoneCorner.less(field, corner)));
        areas.add(new Area("2", 1, ZoneCorner.less(ZoneCorner.less(plan.outline(), field), corner)));
        areas.add(new Area("3", 2, corner));
        areas.removeIf(a -> a.shape().isEmpty());
        return areas;
    }

    /** Zone 3 as one shape. */
    public Geometry cornerAreas() {
        List<Geometry> areas = new ArrayList<>();
        for (ZoneCorner corner : outline.corners()) {
            areas.add(ZoneCorner.bothSlabs(corner.before(), corner.after(), widthM, plan));
        }
        return areas.isEmpty()
                ? plan.outline().getFactory().createPolygon()
                : ZoneCorner.common(ZoneCorner.union(areas, plan), plan.outline());
    }

    @Override
    public String rule() {
        return "within " + Show.number(widthM / plan.roof().height().si(), 2)
                + " roof heights of one edge: 2; of both edges of an outside corner: 3; else 1";
    }
}
