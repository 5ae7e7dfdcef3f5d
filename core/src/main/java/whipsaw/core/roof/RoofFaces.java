package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import whipsaw.core.job.Roof;
import whipsaw.core.job.RoofForm;

/**
 * The faces of a pitched roof and the lines between and around them; none of a flat roof.
 *
 * @param faces from the edge the survey counts from, or in the order drawn
 */
public record RoofFaces(List<RoofFace> faces, List<FaceLine> lines) {
    /** Of a flat roof. */
    public static final RoofFaces NONE = new RoofFaces(List.of(), List.of());

    /** Faces closer than this are one line. */
    private static final double TOUCH_M = 0.003;

    private static final double LEAST_LINE_M = 0.02;
    private static final double LEAST_FACE_M2 = 0.01;
    private static final double STEP_M = 0.02;

    /** Pieces not as deep as this across the folds are no faces of their own. */
    private static final double SLIVER_M = 0.35;

    private static final double LEVEL = 0.005;

    public RoofFaces {
        faces = List.copyOf(faces);
        lines = List.copyOf(lines);
    }

    /** Of a roof whose form has passed {@link FaceRules}. */
    static RoofFaces of(Roof roof, List<RoofPlan.Edge> edges, Polygon outline) {
        List<RoofFace> faces = new ArrayList<>();
        if (roof.fabric().form() instanceof RoofForm.Folded folded) {
            folded(folded, edges.get(folded.edge() - 1), outline, faces);
        } else if (roof.fabric().form() instanceof RoofForm.Hipped hipped) {
            hipped(hipped.slope().si(), edges, outline, faces);
        } else if (roof.fabric().form() instanceof RoofForm.Faces drawn) {
            double up = roof.upAzimuth().si();
            for (RoofForm.DrawnFace f : drawn.faces()) {
                // azimuths turn clockwise from the top of the sheet
                double to = Math.toRadians(f.fallsTo().si() - up);
                faces.add(new RoofFace(
                        faces.size() + 1,
                        polygon(f),
                        f.slope().si(),
                        -Math.sin(to),
                        -Math.cos(to),
                        f.low().si()));
            }
        }
        return faces.isEmpty() ? NONE : new RoofFaces(faces, lines(faces));
    }

    static Polygon polygon(RoofForm.DrawnFace face) {
        return RoofPlan.polygon(face.corners().stream()
                .map(c -> new Coordinate(c.x().si(), c.y().si()))
                .toList());
    }

    private static void folded(RoofForm.Folded form, RoofPlan.Edge edge, Polygon outline, List<RoofFace> faces) {
        List<RoofForm.Fold> folds = form.folds();
        Envelope box = outline.getEnvelopeInternal();
        double far = 2 * (box.getWidth() + box.getHeight()) + edge.from().distance(new Coordinate(0, 0));
        int last = folds.size() - 1;
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < last; i++) {
            double from = folds.get(i).across().si();
            double to = folds.get(i + 1).across().si();
            if (to - from < TOUCH_M) {
                continue;
            }
            // the outer faces reach to the outline, which need not be quite parallel to the folds
            Polygon strip = strip(edge, i == 0 ? -far : from, i == last - 1 ? far : to, far);
            Geometry on = OverlayNGRobust.overlay(outline, strip, OverlayNG.INTERSECTION);
            for (int p = 0; p < on.getNumGeometries(); p++) {
                if (on.getGeometryN(p) instanceof Polygon part && part.getArea() > LEAST_FACE_M2) {
                    parts.add(new Part(i, part));
                }
            }
        }
        for (Part part : withoutSlivers(parts, edge)) {
            faces.add(face(faces.size() + 1, part, folds, edge));
        }
    }

    /** A piece of the roof between two folds, by the number of the first. */
    private record Part(int fold, Polygon shape) {
        double depthM(RoofPlan.Edge edge) {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (Coordinate c : shape.getCoordinates()) {
                double across = edge.insideOfLine(c.x, c.y);
                least = Math.min(least, across);
                most = Math.max(most, across);
            }
            return most - least;
        }
    }

    /** An edge that is not quite parallel to a fold leaves a sliver beside it, which goes to the face it touches. */
    private static List<Part> withoutSlivers(List<Part> parts, RoofPlan.Edge edge) {
        List<Part> kept = new ArrayList<>(parts);
        for (Part sliver : parts) {
            if (sliver.depthM(edge) >= SLIVER_M) {
                continue;
            }
            for (int i = 0; i < kept.size(); i++) {
                Part other = kept.get(i);
                if (other != sliver
                        && other.depthM(edge) >= SLIVER_M
                        && other.shape().distance(sliver.shape()) < 1e-9) {
                    Geometry both = OverlayNGRobust.overlay(other.shape(), sliver.shape(), OverlayNG.UNION);
                    if (both instanceof Polygon whole) {
                        kept.set(i, new Part(other.fold(), whole));
                        kept.remove(sliver);
                        break;
                    }
                }
            }
        }
        return kept;
    }

    private static RoofFace face(int number, Part part, List<RoofForm.Fold> folds, RoofPlan.Edge edge) {
        RoofForm.Fold a = folds.get(part.fold());
        RoofForm.Fold b = folds.get(part.fold() + 1);
        double from = a.across().si();
        double run = b.across().si() - from;
        double rise = b.height().si() - a.height().si();
        double way = rise >= 0 ? 1 : -1;
        double lowest = Double.POSITIVE_INFINITY;
        for (Coordinate c : part.shape().getCoordinates()) {
            lowest = Math.min(lowest, a.height().si() + (edge.insideOfLine(c.x, c.y) - from) * rise / run);
        }
        return new RoofFace(
                number,
                part.shape(),
                Math.toDegrees(Math.atan(Math.abs(rise) / run)),
                -edge.normalX() * way,
                -edge.normalY() * way,
                lowest);
    }

    private static Polygon strip(RoofPlan.Edge edge, double from, double to, double far) {
        double tx = -edge.normalY();
        double ty = edge.normalX();
        List<Coordinate> ring = new ArrayList<>();
        for (double[] at : new double[][] {{-far, from}, {far, from}, {far, to}, {-far, to}}) {
            ring.add(new Coordinate(
                    edge.from().x + tx * at[0] - edge.normalX() * at[1],
                    edge.from().y + ty * at[0] - edge.normalY() * at[1]));
        }
        return RoofPlan.polygon(ring);
    }

    /** On a convex outline the face of an edge is all that lies nearer to its line than to any other. */
    private static void hipped(double slopeDeg, List<RoofPlan.Edge> edges, Polygon outline, List<RoofFace> faces) {
        for (RoofPlan.Edge own : edges) {
            List<Coordinate> ring =
                    new ArrayList<>(List.of(outline.getExteriorRing().getCoordinates()));
            ring.remove(ring.size() - 1);
            for (RoofPlan.Edge other : edges) {
                if (other != own) {
                    ring = nearer(ring, own, other);
                }
            }
            if (ring.size() > 2 && Math.abs(RoofPlan.signedArea(ring)) > LEAST_FACE_M2) {
                faces.add(new RoofFace(
                        faces.size() + 1, RoofPlan.polygon(ring), slopeDeg, -own.normalX(), -own.normalY(), 0));
            }
        }
    }

    private static List<Coordinate> nearer(List<Coordinate> ring, RoofPlan.Edge own, RoofPlan.Edge other) {
        List<Coordinate> kept = new ArrayList<>();
        for (int i = 0; i < ring.size(); i++) {
            Coordinate a = ring.get(i);
            Coordinate b = ring.get((i + 1) % ring.size());
            double da = own.insideOfLine(a.x, a.y) - other.insideOfLine(a.x, a.y);
            double db = own.insideOfLine(b.x, b.y) - other.insideOfLine(b.x, b.y);
            if (da <= 1e-9) {
                kept.add(a);
            }
            if ((da < -1e-9 && db > 1e-9) || (da > 1e-9 && db < -1e-9)) {
                double part = da / (da - db);
                kept.add(new Coordinate(a.x + part * (b.x - a.x), a.y + part * (b.y - a.y)));
            }
        }
        return kept;
    }

    /** The face under a place; the nearest one beside the roof; null of a flat roof. */
    public RoofFace at(Coordinate c) {
        var point = RoofPlan.GEOMETRY.createPoint(c);
        return faces.stream()
                .min(Comparator.comparingDouble(f -> f.plan().distance(point)))
                .orElse(null);
    }

    /** Height of the roof's surface above its lowest line; 0 on a flat roof. */
    public double heightM(Coordinate c) {
        RoofFace face = at(c);
        return face == null ? 0 : face.heightM(c);
    }

    /** Slope of the steepest face; 0 without faces. */
    public double steepestDeg() {
        return faces.stream().mapToDouble(RoofFace::slopeDeg).max().orElse(0);
    }

    /** Lines of a kind, summed. */
    public double lengthM(FaceLine.Kind kind) {
        return lines.stream()
                .filter(l -> l.kind() == kind)
                .mapToDouble(FaceLine::lengthM)
                .sum();
    }

    private static List<FaceLine> lines(List<RoofFace> faces) {
        List<FaceLine> lines = new ArrayList<>();
        for (RoofFace face : faces) {
            Coordinate[] ring = face.plan().getExteriorRing().getCoordinates();
            boolean ccw = Orientation.isCCW(ring);
            for (int i = 1; i < ring.length; i++) {
                LineSegment side = ccw ? new LineSegment(ring[i - 1], ring[i]) : new LineSegment(ring[i], ring[i - 1]);
                List<double[]> shared = new ArrayList<>();
                for (RoofFace other : faces) {
                    if (other != face
                            && other.plan().getEnvelopeInternal().intersects(new Envelope(side.p0, side.p1))) {
                        shared(side, face, other, shared, lines);
                    }
                }
                outer(side, face, shared, lines);
            }
        }
        return lines;
    }

    /** Pieces of a side that another face has too; each is kept once, by the face of the lower number. */
    private static void shared(
            LineSegment side, RoofFace face, RoofFace other, List<double[]> shared, List<FaceLine> lines) {
        double length = side.getLength();
        Coordinate[] ring = other.plan().getExteriorRing().getCoordinates();
        for (int i = 1; i < ring.length; i++) {
            LineSegment its = new LineSegment(ring[i - 1], ring[i]);
            double a = Math.max(0, Math.min(1, Math.min(side.projectionFactor(its.p0), side.projectionFactor(its.p1))));
            double b = Math.max(0, Math.min(1, Math.max(side.projectionFactor(its.p0), side.projectionFactor(its.p1))));
            Coordinate from = side.pointAlong(a);
            Coordinate to = side.pointAlong(b);
            if ((b - a) * length < LEAST_LINE_M || its.distance(from) > TOUCH_M || its.distance(to) > TOUCH_M) {
                continue;
            }
            shared.add(new double[] {a, b});
            if (face.number() < other.number()) {
                lines.add(new FaceLine(
                        kind(from, to, face, other),
                        from,
                        to,
                        face.heightM(from),
                        face.heightM(to),
                        face.number(),
                        other.number()));
            }
        }
    }

    private static void outer(LineSegment side, RoofFace face, List<double[]> shared, List<FaceLine> lines) {
        shared.sort(Comparator.comparingDouble(s -> s[0]));
        double reached = 0;
        List<double[]> gaps = new ArrayList<>();
        for (double[] s : shared) {
            gaps.add(new double[] {reached, s[0]});
            reached = Math.max(reached, s[1]);
        }
        gaps.add(new double[] {reached, 1});
        for (double[] gap : gaps) {
            if ((gap[1] - gap[0]) * side.getLength() < LEAST_LINE_M) {
                continue;
            }
            Coordinate from = side.pointAlong(gap[0]);
            Coordinate to = side.pointAlong(gap[1]);
            double inwards = rate(face, -(to.y - from.y), to.x - from.x);
            boolean level = Math.abs(face.heightM(to) - face.heightM(from)) < LEVEL * from.distance(to);
            FaceLine.Kind kind =
                    !level ? FaceLine.Kind.GABLE : inwards < -LEVEL ? FaceLine.Kind.HEAD : FaceLine.Kind.EAVE;
            lines.add(new FaceLine(kind, from, to, face.heightM(from), face.heightM(to), face.number(), 0));
        }
    }

    /** How fast a face rises in a direction. */
    private static double rate(RoofFace face, double dx, double dy) {
        return face.tan() * (face.upX() * dx + face.upY() * dy) / Math.hypot(dx, dy);
    }

    /** Sides run anticlockwise, so that the face lies to their left and the other to their right. */
    private static FaceLine.Kind kind(Coordinate from, Coordinate to, RoofFace face, RoofFace other) {
        Coordinate middle = new Coordinate((from.x + to.x) / 2, (from.y + to.y) / 2);
        if (Math.abs(face.heightM(middle) - other.heightM(middle)) > STEP_M) {
            return FaceLine.Kind.STEP;
        }
        double left = rate(face, -(to.y - from.y), to.x - from.x);
        double right = rate(other, to.y - from.y, -(to.x - from.x));
        if (Math.abs(left + right) < LEVEL) {
            return FaceLine.Kind.JOIN;
        }
        if (left + right > 0) {
            return FaceLine.Kind.VALLEY;
        }
        boolean level = Math.abs(face.heightM(to) - face.heightM(from)) < LEVEL * from.distance(to);
        return level ? FaceLine.Kind.RIDGE : FaceLine.Kind.HIP;
    }
}
