package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Limits;

/**
 * Zones F, G, H and I of EN 1991-1-4 7.2.3 on any outline: the worst over wind square to every edge.
 * On a rectangle this is the code's figure for four directions; on other outlines it is a
 * convention that an engineer confirms.
 */
public record EnZones(RoofPlan plan, List<Windward> sides) implements RoofZones {
    private static final KeptAreas KEPT = new KeptAreas();

    /**
     * One edge as the windward one.
     *
     * @param e the lesser of the crosswind dimension and two roof heights
     * @param before edge at its start when that is an outside corner, else null
     * @param after edge at its end when that is an outside corner, else null
     */
    public record Windward(RoofPlan.Edge edge, double e, RoofPlan.Edge before, RoofPlan.Edge after) {}

    /** Zones F, G, H and I of a flat roof, EN 1991-1-4 7.2.3. */
    public static EnZones of(RoofPlan plan) {
        double twiceHeight = 2 * plan.roof().height().si();
        double e = Math.min(plan.shortSideM(), twiceHeight);
        WindOutline outline = WindOutline.of(plan, e / 10, e / 4);
        List<ZoneCorner> corners = outline.corners();
        List<Windward> sides = new ArrayList<>();
        for (RoofPlan.Edge edge : outline.walls()) {
            RoofPlan.Edge before = null;
            RoofPlan.Edge after = null;
            for (ZoneCorner corner : corners) {
                before = corner.after() == edge ? corner.before() : before;
                after = corner.before() == edge ? corner.after() : after;
            }
            sides.add(new Windward(edge, Math.min(crosswindM(plan, edge), twiceHeight), before, after));
        }
        return new EnZones(plan, sides);
    }

    /** Extent of the building along an edge. */
    private static double crosswindM(RoofPlan plan, RoofPlan.Edge edge) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (RoofPlan.Edge other : plan.edges()) {
            double along = -other.from().x * edge.normalY() + other.from().y * edge.normalX();
            least = Math.min(least, along);
            most = Math.max(most, along);
        }
        return most - least;
    }

    @Override
    public String zone(Coordinate[] panel) {
        int worst = 0;
        for (Windward side : sides) {
            if (!EdgeDistance.within(panel, side.edge(), side.e() / 2)) {
                continue;
            }
            worst = Math.max(worst, 1);
            if (EdgeDistance.within(panel, side.edge(), side.e() / 10)) {
                boolean corner = near(panel, side.before(), side.e()) || near(panel, side.after(), side.e());
                worst = Math.max(worst, corner ? 3 : 2);
            }
        }
        return NAMES.get(worst);
    }

    /** Whether a place is in the mildest zone for wind square to one side. */
    public boolean mildest(Coordinate[] panel, Windward side) {
        return Limits.above(EdgeDistance.toEdge(panel, side.edge()), side.e() / 2);
    }

    private static final List<String> NAMES = List.of("I", "H", "G", "F");

    private static boolean near(Coordinate[] panel, RoofPlan.Edge side, double e) {
        return side != null && Limits.atMost(EdgeDistance.toLine(panel, side), e / 4);
    }

    @Override
    public List<Area> areas() {
        return KEPT.of(plan.outline(), plan.roof().height().si(), this::drawn);
    }

    @Override
    public boolean areasAtHand() {
        return KEPT.has(plan.outline(), plan.roof().height().si());
    }

    private List<Area> drawn() {
        List<Geometry> corners = new ArrayList<>();
        List<Geometry> strips = new ArrayList<>();
        List<Geometry> wide = new ArrayList<>();
        for (Windward side : sides) {
            Geometry strip = ZoneCorner.strip(side.edge(), side.e() / 10, plan);
            strips.add(strip);
            wide.add(ZoneCorner.strip(side.edge(), side.e() / 2, plan));
            for (RoofPlan.Edge end : new RoofPlan.Edge[] {side.before(), side.after()}) {
                if (end != null) {
                    corners.add(ZoneCorner.common(strip, ZoneCorner.slab(end, side.e() / 4, plan)));
                }
            }
        }
        Geometry f = ZoneCorner.union(corners, plan);
        Geometry g = ZoneCorner.union(strips, plan);
        Geometry h = ZoneCorner.union(wide, plan);
        List<Area> areas = new ArrayList<>();
        areas.add(new Area("I", 0, ZoneCorner.less(plan.outline(), h)));
        areas.add(new Area("H", 1, ZoneCorner.less(h, g)));
        areas.add(new Area("G", 2, ZoneCorner.less(g, f)));
        areas.add(new Area("F", 3, f));
        areas.removeIf(a -> a.shape().isEmpty());
        return areas;
    }

    @Override
    public String rule() {
        return "e = min(crosswind side, 2 h); within e/10 of an edge: G, and within e/4 of its outside corner: F;"
                + " within e/2: H; else I; the worst over all edges";
    }
}
