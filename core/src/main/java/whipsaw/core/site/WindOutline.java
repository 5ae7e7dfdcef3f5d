package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.data.CsvRows;
import whipsaw.core.roof.EdgeIndex;
import whipsaw.core.roof.RoofPlan;

/**
 * The outline of a building as the wind zones see it: its shape, not how it was drawn. Edges that run on in one line
 * are one wall; an outside corner that is cut or rounded in short pieces is the corner of the walls beside it, their
 * lines taken as extended. What is longer than a given length stays as it is. A convention that an engineer confirms.
 *
 * @param walls in the order of the outline
 * @param corners outside corners with the walls that make them
 * @param index walls by place
 * @param shape ring of the walls
 */
public record WindOutline(List<RoofPlan.Edge> walls, List<ZoneCorner> corners, EdgeIndex index, Geometry shape) {
    private static final Map<String, Double> RULES = CsvRows.shipped("site/wind-outline.csv").stream()
            .collect(Collectors.toMap(row -> row.get("rule"), row -> CsvRows.number(row, "value")));

    private static final double STRAIGHT_DEG = RULES.get("straight");
    private static final double MOST_TURN_DEG = RULES.get("most_turn");
    private static final double SHORT_M = RULES.get("short");

    /** Part of a zone's width of ASCE 7 within which a corner that is cut or rounded is one corner. */
    static final double ASCE_ROUNDED = RULES.get("asce_rounded");

    private static final int SLICES = 16;

    public WindOutline {
        walls = List.copyOf(walls);
        corners = List.copyOf(corners);
    }

    /**
     * @param shortM pieces up to this long in all, or up to 2 m, that round an outside corner are taken as the corner
     * @param cornerM an outside bend of many pieces, none of which is a corner, is one where it turns enough within this
     *     length
     */
    public static WindOutline of(RoofPlan plan, double shortM, double cornerM) {
        List<RoofPlan.Edge> walls = rounded(joined(plan.edges()), Math.max(shortM, SHORT_M));
        boolean drawn = walls.size() == plan.edges().size() && walls.equals(plan.edges());
        List<ZoneCorner> corners = ZoneCorner.of(walls, cornerM);
        return new WindOutline(
                walls,
                corners,
                drawn ? plan.index() : new EdgeIndex(walls),
                drawn ? plan.outline() : ring(plan, walls));
    }

    private static Geometry ring(RoofPlan plan, List<RoofPlan.Edge> walls) {
        Coordinate[] ring = new Coordinate[walls.size() + 1];
        for (int i = 0; i < walls.size(); i++) {
            ring[i] = walls.get(i).from();
        }
        ring[walls.size()] = ring[0];
        return plan.outline().getFactory().createPolygon(ring);
    }

    /** Turn from one edge to the next, degrees, positive at an outside corner. */
    static double turnDeg(RoofPlan.Edge a, RoofPlan.Edge b) {
        double cross = a.normalX() * b.normalY() - a.normalY() * b.normalX();
        double dot = a.normalX() * b.normalX() + a.normalY() * b.normalY();
        double turn = Math.toDegrees(Math.atan2(cross, dot));
        // the normal points out: the outline runs counter-clockwise where the edge has it on its right
        double right = (a.to().y - a.from().y) * a.normalX() - (a.to().x - a.from().x) * a.normalY();
        return right > 0 ? turn : -turn;
    }

    /** Edges that run on in one line made one. */
    private static List<RoofPlan.Edge> joined(List<RoofPlan.Edge> edges) {
        int n = edges.size();
        int start = 0;
        while (start < n && straight(edges.get((start + n - 1) % n), edges.get(start))) {
            start++;
        }
        if (start == n) {
            return edges;
        }
        List<RoofPlan.Edge> walls = new ArrayList<>();
        for (int i = 0; i < n; ) {
            RoofPlan.Edge first = edges.get((start + i) % n);
            RoofPlan.Edge last = first;
            int j = i + 1;
            // against the first: a slow bend is not straight because each of its pieces nearly is
            while (j < n && straight(last, edges.get((start + j) % n)) && straight(first, edges.get((start + j) % n))) {
                last = edges.get((start + j) % n);
                j++;
            }
            walls.add(j == i + 1 ? first : wall(first, first.from(), last.to()));
            i = j;
        }
        return walls;
    }

    private static boolean straight(RoofPlan.Edge a, RoofPlan.Edge b) {
        return Math.abs(turnDeg(a, b)) < STRAIGHT_DEG;
    }

    /** Short pieces round an outside corner taken out, the walls beside them drawn on until they meet. */
    private static List<RoofPlan.Edge> rounded(List<RoofPlan.Edge> walls, double shortM) {
        int n = walls.size();
        int start = 0;
        while (start < n && walls.get(start).lengthM() <= shortM) {
            start++;
        }
        if (start == n || n < 4) {
            return walls;
        }
        List<RoofPlan.Edge> kept = new ArrayList<>();
        kept.add(walls.get(start));
        int last = start;
        while (last < start + n) {
            int next = pastCorner(walls, last, start + n, shortM);
            RoofPlan.Edge before = kept.get(kept.size() - 1);
            RoofPlan.Edge after = next == start + n ? kept.get(0) : walls.get(next % n);
            if (next > last + 1) {
                Coordinate meet = meet(before, after);
                kept.set(kept.size() - 1, wall(before, before.from(), meet));
                after = wall(after, meet, after.to());
            }
            if (next == start + n) {
                kept.set(0, after);
            } else {
                kept.add(after);
            }
            last = next;
        }
        return kept.size() < 3 ? walls : kept;
    }

    /** The wall that ends a rounded outside corner behind a wall; the next one where there is none. */
    private static int pastCorner(List<RoofPlan.Edge> walls, int at, int end, double shortM) {
        int n = walls.size();
        double length = 0;
        double turn = turnDeg(walls.get(at % n), walls.get((at + 1) % n));
        int i = at + 1;
        while (i < end && turn > 0 && length + walls.get(i % n).lengthM() <= shortM) {
            double step = turnDeg(walls.get(i % n), walls.get((i + 1) % n));
            if (step <= 0 || turn + step > MOST_TURN_DEG) {
                return at + 1;
            }
            length += walls.get(i % n).lengthM();
            turn += step;
            i++;
        }
        return i;
    }

    private static Coordinate meet(RoofPlan.Edge a, RoofPlan.Edge b) {
        double det = a.normalX() * b.normalY() - a.normalY() * b.normalX();
        double ca = a.normalX() * a.from().x + a.normalY() * a.from().y;
        double cb = b.normalX() * b.from().x + b.normalY() * b.from().y;
        return new Coordinate((ca * b.normalY() - cb * a.normalY()) / det, (a.normalX() * cb - b.normalX() * ca) / det);
    }

    private static RoofPlan.Edge wall(RoofPlan.Edge like, Coordinate from, Coordinate to) {
        double length = from.distance(to);
        double dx = (to.x - from.x) / length;
        double dy = (to.y - from.y) / length;
        boolean right = dy * like.normalX() - dx * like.normalY() > 0;
        return new RoofPlan.Edge(
                like.number(),
                from,
                to,
                like.parapetHeightM(),
                like.parapetThicknessM(),
                right ? dy : -dy,
                right ? -dx : dx);
    }

    /** The part of the roof that is no nearer than a width to any wall. */
    Geometry field(double widthM) {
        return shape.buffer(-widthM, SLICES);
    }
}
