package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;

/**
 * Corners of the building's outer edge. A tape survey is closed by least squares or by the compass rule; one of the
 * inside faces is moved out by the thickness of each parapet.
 *
 * @param tape the survey closed by the compass rule, or null when the outline was drawn
 * @param fit the survey fitted by least squares, or null when it was not
 */
record OutlineShape(List<Coordinate> corners, Traverse tape, TapeFit fit) {
    /** A closing error of more than one part in so many of the perimeter is refused, and not spread. */
    static final double WORST_CLOSURE = 20;

    private static final double PARALLEL = 1e-6;

    static OutlineShape of(Roof roof) {
        if (roof.outline() instanceof Outline.Drawn drawn) {
            return new OutlineShape(
                    drawn.corners().stream()
                            .map(c -> new Coordinate(c.x().si(), c.y().si()))
                            .toList(),
                    null,
                    null);
        }
        Outline.Taped taped = (Outline.Taped) roof.outline();
        Traverse tape = Traverse.of(
                taped.legs().stream()
                        .map(l -> new Traverse.Leg(l.length().si(), l.turnDeg()))
                        .toList(),
                true);
        List<Coordinate> corners = new ArrayList<>();
        boolean fits = taped.closing() == Outline.Closing.FIT && tape.closureM() * WORST_CLOSURE <= tape.perimeterM();
        TapeFit fit = fits ? TapeFit.of(legs(taped), checks(taped), TapeFit.Accuracy.USUAL) : null;
        for (Coordinate c : fit == null ? tape.vertices() : fit.vertices()) {
            // a walk with right turns starts up the sheet, so that the roof lies above and right of
            // it
            corners.add(tape.counterClockwise() ? new Coordinate(c.x, c.y) : new Coordinate(-c.y, c.x));
        }
        return new OutlineShape(taped.insideFace() ? grown(corners, roof) : corners, tape, fit);
    }

    static List<TapeFit.Leg> legs(Outline.Taped taped) {
        return taped.legs().stream()
                .map(l -> new TapeFit.Leg(l.length().si(), l.turnDeg(), l.measured()))
                .toList();
    }

    /** What was taped besides the walk: diagonals, then offsets. */
    static List<TapeFit.Check> checks(Outline.Taped taped) {
        List<TapeFit.Check> checks = new ArrayList<>();
        for (Outline.TapedDiagonal d : taped.diagonals()) {
            checks.add(new TapeFit.Diagonal(d.from() - 1, d.to() - 1, d.length().si()));
        }
        for (Outline.TapedOffset o : taped.offsets()) {
            checks.add(new TapeFit.Offset(
                    o.corner() - 1, o.from() - 1, o.to() - 1, o.length().si()));
        }
        return checks;
    }

    static Roof.Parapet parapet(Roof roof, int edge) {
        for (Roof.Parapet parapet : roof.parapets()) {
            if (parapet.edge() == edge) {
                return parapet;
            }
        }
        return null;
    }

    /** Each edge moved out by its parapet's thickness; corners where the moved lines meet. */
    private static List<Coordinate> grown(List<Coordinate> inner, Roof roof) {
        int n = inner.size();
        double out = RoofPlan.signedArea(inner) > 0 ? 1 : -1;
        List<Coordinate> result = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            int before = (i + n - 1) % n;
            double[] a = line(inner.get(before), inner.get(i), out, thickness(roof, before + 1));
            double[] b = line(inner.get(i), inner.get((i + 1) % n), out, thickness(roof, i + 1));
            double cross = a[0] * b[1] - a[1] * b[0];
            if (Math.abs(cross) < PARALLEL) {
                double move = b[2] - b[0] * inner.get(i).x - b[1] * inner.get(i).y;
                result.add(new Coordinate(inner.get(i).x + b[0] * move, inner.get(i).y + b[1] * move));
            } else {
                result.add(new Coordinate((a[2] * b[1] - b[2] * a[1]) / cross, (a[0] * b[2] - b[0] * a[2]) / cross));
            }
        }
        return result;
    }

    private static double thickness(Roof roof, int edge) {
        Roof.Parapet parapet = parapet(roof, edge);
        return parapet == null ? 0 : parapet.thickness().si();
    }

    /** The line through two points moved outwards, as unit normal and offset. */
    private static double[] line(Coordinate a, Coordinate b, double out, double by) {
        double length = a.distance(b);
        double nx = (b.y - a.y) * out / length;
        double ny = -(b.x - a.x) * out / length;
        return new double[] {nx, ny, nx * a.x + ny * a.y + by};
    }
}
