package whipsaw.core.exchange;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;

/** Entities as chains of points. */
final class Curves {
    private static final int MOST_CHORDS = 180;

    private Curves() {}

    /** A chain of points. */
    record Line(List<Coordinate> points, boolean closed) {}

    /** The chain of an entity; null, with a finding, when it has no length. */
    static Line of(Entity e, Findings findings) {
        Line line =
                switch (e.kind()) {
                    case "LINE" -> new Line(
                            List.of(e.point(0), new Coordinate(e.number(11, 0), e.number(21, 0))), false);
                    case "LWPOLYLINE" -> light(e);
                    case "POLYLINE" -> old(e);
                    case "CIRCLE" -> arc(e.point(0), e.number(40, 0), 0, 360, true);
                    case "ARC" -> arc(e.point(0), e.number(40, 0), e.number(50, 0), e.number(51, 0), false);
                    case "SPLINE" -> spline(e);
                    default -> throw new IllegalArgumentException(e.kind());
                };
        Coordinate first = e.has(10)
                ? e.point(0)
                : line.points().isEmpty() ? null : line.points().get(0);
        List<Coordinate> clean = new ArrayList<>();
        for (Coordinate c : line.points()) {
            if (clean.isEmpty() || !clean.get(clean.size() - 1).equals2D(c)) {
                clean.add(c);
            } else {
                findings.add("repeated point left out", c);
            }
        }
        boolean closed = line.closed();
        if (clean.size() > 2 && clean.get(0).equals2D(clean.get(clean.size() - 1))) {
            clean.remove(clean.size() - 1);
            closed = true;
        }
        if (clean.size() < 2) {
            findings.add(e.kind() + " without length left out", first);
            return null;
        }
        if (e.kind().equals("SPLINE")) {
            findings.add("SPLINE taken as chords, within 0.2 % of its size", first);
        } else if (clean.size() > line.points().size() / 2 && curved(e)) {
            findings.add("curve taken as chords, within 0.2 % of its radius", first);
        }
        return new Line(clean, closed && clean.size() > 2);
    }

    private static boolean curved(Entity e) {
        return e.kind().equals("CIRCLE")
                || e.kind().equals("ARC")
                || e.has(42) && e.kind().equals("LWPOLYLINE");
    }

    private static Line light(Entity e) {
        boolean closed = ((int) e.number(70, 0) & 1) == 1;
        List<Coordinate> points = new ArrayList<>();
        int n = e.count(10);
        for (int i = 0; i < n; i++) {
            points.add(e.point(i));
            if (e.bulge(i) != 0 && (closed || i + 1 < n)) {
                bulge(points, e.point(i), e.point((i + 1) % n), e.bulge(i));
            }
        }
        return new Line(points, closed);
    }

    private static Line old(Entity e) {
        boolean closed = ((int) e.number(70, 0) & 1) == 1;
        List<Entity> v = e.vertices();
        List<Coordinate> points = new ArrayList<>();
        for (int i = 0; i < v.size(); i++) {
            Coordinate own = v.get(i).has(10) ? v.get(i).point(0) : new Coordinate();
            points.add(own);
            double bulge = v.get(i).number(42, 0);
            if (bulge != 0 && (closed || i + 1 < v.size())) {
                bulge(points, own, v.get((i + 1) % v.size()).point(0), bulge);
            }
        }
        return new Line(points, closed);
    }

    /** Points of the arc between two points, themselves left out; the bulge is the tangent of a quarter of its angle. */
    private static void bulge(List<Coordinate> points, Coordinate a, Coordinate b, double bulge) {
        double angle = 4 * Math.atan(bulge);
        double chord = a.distance(b);
        if (chord == 0) {
            return;
        }
        double radius = chord / (2 * Math.sin(angle / 2));
        double mx = (a.x + b.x) / 2;
        double my = (a.y + b.y) / 2;
        double off = radius * Math.cos(angle / 2);
        double cx = mx - (b.y - a.y) / chord * off;
        double cy = my + (b.x - a.x) / chord * off;
        double start = Math.atan2(a.y - cy, a.x - cx);
        int n = chords(Math.abs(angle));
        for (int i = 1; i < n; i++) {
            double t = start + angle * i / n;
            points.add(new Coordinate(cx + Math.abs(radius) * Math.cos(t), cy + Math.abs(radius) * Math.sin(t)));
        }
    }

    /** Chords of an angle, so that each lies within the tolerance of its arc. */
    private static int chords(double angleRad) {
        double each = 2 * Math.acos(1 - DxfReader.TOLERANCE_PART);
        return (int) Math.max(2, Math.min(MOST_CHORDS, Math.ceil(angleRad / each)));
    }

    private static Line arc(Coordinate centre, double radius, double fromDeg, double toDeg, boolean whole) {
        double sweep = whole ? 360 : ((toDeg - fromDeg) % 360 + 360) % 360;
        int n = chords(Math.toRadians(sweep));
        List<Coordinate> points = new ArrayList<>();
        for (int i = 0; i < (whole ? n : n + 1); i++) {
            double t = Math.toRadians(fromDeg + sweep * i / n);
            points.add(new Coordinate(centre.x + radius * Math.cos(t), centre.y + radius * Math.sin(t)));
        }
        return new Line(points, whole);
    }

    /** De Boor's algorithm at even steps of the parameter; the control points when the file's knots do not fit them. */
    private static Line spline(Entity e) {
        int degree = (int) e.number(71, 3);
        List<Double> knots = e.numbers(40);
        int n = e.count(10);
        if (n == 0 && e.count(11) > 1) {
            return through(e);
        }
        List<Coordinate> control = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            control.add(e.point(i));
        }
        if (n <= degree || degree < 1 || knots.size() != n + degree + 1) {
            return new Line(control, false);
        }
        List<Coordinate> points = new ArrayList<>();
        double from = knots.get(degree);
        double to = knots.get(n);
        int steps = Math.min(MOST_CHORDS, 12 * (n - degree) + 12);
        for (int i = 0; i <= steps; i++) {
            points.add(deBoor(degree, knots, control, from + (to - from) * i / steps));
        }
        return new Line(points, false);
    }

    /** A spline given by the points it runs through: smooth between them by Catmull and Rom. */
    private static Line through(Entity e) {
        List<Double> x = e.numbers(11);
        List<Double> y = e.numbers(21);
        List<Coordinate> fit = new ArrayList<>();
        for (int i = 0; i < Math.min(x.size(), y.size()); i++) {
            fit.add(new Coordinate(x.get(i), y.get(i)));
        }
        boolean closed = ((int) e.number(70, 0) & 1) == 1;
        int n = fit.size();
        if (n < 2) {
            return new Line(fit, false);
        }
        int spans = closed ? n : n - 1;
        int steps = Math.max(2, Math.min(12, MOST_CHORDS / spans));
        List<Coordinate> points = new ArrayList<>();
        for (int i = 0; i < spans; i++) {
            Coordinate before = fit.get(closed ? (i + n - 1) % n : Math.max(0, i - 1));
            Coordinate a = fit.get(i);
            Coordinate b = fit.get((i + 1) % n);
            Coordinate after = fit.get(closed ? (i + 2) % n : Math.min(n - 1, i + 2));
            for (int k = 0; k < steps; k++) {
                double t = (double) k / steps;
                points.add(
                        new Coordinate(smooth(before.x, a.x, b.x, after.x, t), smooth(before.y, a.y, b.y, after.y, t)));
            }
        }
        if (!closed) {
            points.add(fit.get(n - 1));
        }
        return new Line(points, closed);
    }

    private static double smooth(double p, double a, double b, double q, double t) {
        return 0.5 * (2 * a + (b - p) * t + (2 * p - 5 * a + 4 * b - q) * t * t + (3 * a - p - 3 * b + q) * t * t * t);
    }

    private static Coordinate deBoor(int degree, List<Double> knots, List<Coordinate> control, double t) {
        int k = degree;
        while (k < control.size() - 1 && t >= knots.get(k + 1)) {
            k++;
        }
        Coordinate[] d = new Coordinate[degree + 1];
        for (int j = 0; j <= degree; j++) {
            d[j] = new Coordinate(control.get(j + k - degree));
        }
        for (int r = 1; r <= degree; r++) {
            for (int j = degree; j >= r; j--) {
                double low = knots.get(j + k - degree);
                double high = knots.get(j + 1 + k - r);
                double a = high > low ? (t - low) / (high - low) : 0;
                d[j] = new Coordinate(d[j - 1].x + (d[j].x - d[j - 1].x) * a, d[j - 1].y + (d[j].y - d[j - 1].y) * a);
            }
        }
        return d[degree];
    }
}
