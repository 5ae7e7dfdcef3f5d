package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.algorithm.Intersection;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;

/**
 * Sizes taped on site beside the outline as it was drawn or traced.
 *
 * @param lines every tape with what it measures on the drawing, the largest difference first
 * @param scale the drawing would have to be enlarged by, by least squares over all tapes
 * @param leftM largest difference that stays after that
 * @param corners angles that three tapes give, beside those of the drawing
 */
public record SiteSizeReport(List<Line> lines, double scale, double leftM, List<Angle> corners) {

    public SiteSizeReport {
        lines = List.copyOf(lines);
        corners = List.copyOf(corners);
    }

    /**
     * @param drawnM NaN where a corner of it is not on the drawing
     */
    public record Line(Outline.TapedDiagonal tape, double drawnM) {
        /** What the tape has more than the drawing. */
        public double moreM() {
            return tape.length().si() - drawnM;
        }

        /** What the tape ran along, for readers. */
        public String name(int corners) {
            int from = Math.min(tape.from(), tape.to());
            int to = Math.max(tape.from(), tape.to());
            boolean edge = to == from + 1 || (from == 1 && to == corners);
            return edge ? "edge " + (to == from + 1 ? from : to) : from + "-" + to;
        }
    }

    /** A corner by the tapes on either side of it and the one across, and as drawn. */
    public record Angle(int corner, double tapedDeg, double drawnDeg) {
        /** What the tapes have more than the drawing, degrees. */
        public double moreDeg() {
            return tapedDeg - drawnDeg;
        }
    }

    /** Null where nothing was taped beside the outline. */
    public static SiteSizeReport of(RoofPlan plan) {
        Roof.SiteSizes sizes = plan.roof().sizes();
        if (sizes == null || !(plan.roof().outline() instanceof Outline.Drawn)) {
            return null;
        }
        List<Coordinate> corners = corners(plan, sizes.insideFace());
        List<Line> lines = new ArrayList<>();
        double both = 0;
        double drawn = 0;
        for (Outline.TapedDiagonal t : sizes.tapes()) {
            boolean there = Math.max(t.from(), t.to()) <= corners.size();
            double length = there ? corners.get(t.from() - 1).distance(corners.get(t.to() - 1)) : Double.NaN;
            lines.add(new Line(t, length));
            both += there ? length * t.length().si() : 0;
            drawn += there ? length * length : 0;
        }
        double scale = drawn > 0 ? both / drawn : 1;
        double left = lines.stream()
                .filter(l -> !Double.isNaN(l.drawnM()))
                .mapToDouble(l -> Math.abs(l.tape().length().si() - scale * l.drawnM()))
                .max()
                .orElse(0);
        lines.sort(Comparator.comparingDouble((Line l) -> Double.isNaN(l.drawnM()) ? -1e9 : -Math.abs(l.moreM())));
        return new SiteSizeReport(lines, scale, left, angles(sizes.tapes(), corners));
    }

    /** Outer corners, or where the inner faces of neighbouring edges meet. */
    private static List<Coordinate> corners(RoofPlan plan, boolean inside) {
        List<Coordinate> corners = new ArrayList<>();
        int n = plan.edges().size();
        for (int i = 0; i < n; i++) {
            RoofPlan.Edge before = plan.edges().get((i + n - 1) % n);
            RoofPlan.Edge after = plan.edges().get(i);
            Coordinate meet = inside
                    ? Intersection.intersection(
                            inner(before, true), inner(before, false), inner(after, true), inner(after, false))
                    : null;
            corners.add(meet == null ? after.from() : meet);
        }
        return corners;
    }

    private static Coordinate inner(RoofPlan.Edge e, boolean begin) {
        Coordinate c = begin ? e.from() : e.to();
        return new Coordinate(c.x - e.normalX() * e.parapetThicknessM(), c.y - e.normalY() * e.parapetThicknessM());
    }

    private static List<Angle> angles(List<Outline.TapedDiagonal> tapes, List<Coordinate> corners) {
        List<Angle> angles = new ArrayList<>();
        int n = corners.size();
        for (int i = 1; i <= n; i++) {
            int before = i == 1 ? n : i - 1;
            int after = i == n ? 1 : i + 1;
            double a = taped(tapes, before, i);
            double b = taped(tapes, i, after);
            double c = taped(tapes, before, after);
            double cos = (a * a + b * b - c * c) / (2 * a * b);
            if (Math.abs(cos) < 1) {
                Coordinate at = corners.get(i - 1);
                Coordinate p = corners.get(before - 1);
                Coordinate q = corners.get(after - 1);
                double drawn = org.locationtech.jts.algorithm.Angle.angleBetween(p, at, q);
                angles.add(new Angle(i, Math.toDegrees(Math.acos(cos)), Math.toDegrees(drawn)));
            }
        }
        return angles;
    }

    /** NaN where it was not taped. */
    private static double taped(List<Outline.TapedDiagonal> tapes, int from, int to) {
        return tapes.stream()
                .filter(t -> (t.from() == from && t.to() == to) || (t.from() == to && t.to() == from))
                .mapToDouble(t -> t.length().si())
                .findFirst()
                .orElse(Double.NaN);
    }
}
