package whipsaw.core.roof;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Roof;
import whipsaw.core.job.RoofForm;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What the form of a pitched roof has to satisfy: faces cover the roof, once. */
final class FaceRules {
    private static final Path<RoofForm.Folded> FOLDED = JobPaths.FORM.as(RoofForm.Folded.class);
    private static final Path<RoofForm.Faces> FACES = JobPaths.FORM.as(RoofForm.Faces.class);

    /** A fold this far from the outline is taken as lying on it. */
    private static final double SHORT_M = 0.35;

    private static final double OVERLAP_M2 = 0.05;
    private static final double UNCOVERED_PART = 0.01;

    private final List<RoofPlan.Edge> edges;
    private final Polygon outline;
    private final UnitSystem units;
    private final List<Problem> problems;

    private FaceRules(List<RoofPlan.Edge> edges, Polygon outline, UnitSystem units, List<Problem> problems) {
        this.edges = edges;
        this.outline = outline;
        this.units = units;
        this.problems = problems;
    }

    static void check(Roof roof, List<RoofPlan.Edge> edges, Polygon outline, UnitSystem units, List<Problem> problems) {
        FaceRules rules = new FaceRules(edges, outline, units, problems);
        RoofForm form = roof.fabric().form();
        if (form instanceof RoofForm.Folded folded) {
            rules.folded(folded);
        } else if (form instanceof RoofForm.Hipped) {
            rules.convex();
        } else if (form instanceof RoofForm.Faces faces) {
            rules.drawn(faces);
        }
    }

    private void folded(RoofForm.Folded form) {
        if (form.edge() > edges.size()) {
            problems.add(Problem.at(
                    FOLDED.to(RoofForm.Folded::edge),
                    form.edge(),
                    "is not there: the outline has edges 1 to " + edges.size()));
            return;
        }
        RoofPlan.Edge edge = edges.get(form.edge() - 1);
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Coordinate c : outline.getCoordinates()) {
            double across = edge.insideOfLine(c.x, c.y);
            least = Math.min(least, across);
            most = Math.max(most, across);
        }
        List<RoofForm.Fold> folds = form.folds();
        double first = folds.get(0).across().si();
        double last = folds.get(folds.size() - 1).across().si();
        if (first - least > SHORT_M || Math.abs(most - last) > SHORT_M) {
            problems.add(Problem.at(
                    FOLDED.to(RoofForm.Folded::folds),
                    length(first) + " to " + length(last),
                    "do not reach over the roof, which lies from "
                            + length(least)
                            + " to "
                            + length(most)
                            + " inside edge "
                            + form.edge()
                            + ": tape the first and the last line again, or choose the edge they count from"));
        }
        for (int i = 1; i < folds.size(); i++) {
            double run = folds.get(i).across().si() - folds.get(i - 1).across().si();
            double rise = Math.abs(
                    folds.get(i).height().si() - folds.get(i - 1).height().si());
            if (run > 1e-6 && Math.toDegrees(Math.atan2(rise, run)) > 75) {
                problems.add(
                        new Problem(
                                FOLDED.at(RoofForm.Folded::folds, i)
                                        .to(RoofForm.Fold::height)
                                        .toString(),
                                "Level line " + (i + 1),
                                folds.get(i).height().typed(),
                                "makes a face steeper than 75 deg: give both lines the same distance where the face is upright"));
            }
        }
        double lowest = folds.stream().mapToDouble(f -> f.height().si()).min().orElse(0);
        if (lowest > 1e-6) {
            problems.add(Problem.at(
                    FOLDED.to(RoofForm.Folded::folds),
                    length(lowest),
                    "is the least height: heights count from the lowest line, which has 0"));
        }
    }

    private void convex() {
        double hull = outline.convexHull().getArea();
        if (outline.getArea() < hull * (1 - 1e-6)) {
            problems.add(new Problem(
                    JobPaths.FORM.kind(),
                    "Form",
                    "hipped",
                    "needs an outline without re-entrant corners: draw the faces of this roof one by one"));
        }
    }

    private void drawn(RoofForm.Faces form) {
        List<Polygon> faces = form.faces().stream().map(RoofFaces::polygon).toList();
        for (int i = 0; i < faces.size(); i++) {
            if (!faces.get(i).isValid() || faces.get(i).getArea() < OVERLAP_M2) {
                problems.add(new Problem(
                        FACES.at(RoofForm.Faces::faces, i)
                                .to(RoofForm.DrawnFace::corners)
                                .toString(),
                        "Face " + (i + 1),
                        place(faces.get(i).getCoordinate()),
                        "crosses itself or has no area: check the order of its corners"));
                return;
            }
        }
        for (int i = 0; i < faces.size(); i++) {
            for (int j = i + 1; j < faces.size(); j++) {
                if (!faces.get(i).getEnvelopeInternal().intersects(faces.get(j).getEnvelopeInternal())) {
                    continue;
                }
                Geometry both = OverlayNGRobust.overlay(faces.get(i), faces.get(j), OverlayNG.INTERSECTION);
                if (both.getArea() > OVERLAP_M2) {
                    problems.add(new Problem(
                            FACES.at(RoofForm.Faces::faces, j)
                                    .to(RoofForm.DrawnFace::corners)
                                    .toString(),
                            "Faces " + (i + 1) + " and " + (j + 1),
                            area(both.getArea()),
                            "lie over each other near "
                                    + place(both.getInteriorPoint().getCoordinate())
                                    + ": move the corners so that they share a line"));
                }
            }
        }
        Geometry bare = OverlayNGRobust.overlay(outline, UnaryUnionOp.union(faces), OverlayNG.DIFFERENCE);
        if (bare.getArea() > UNCOVERED_PART * outline.getArea()) {
            problems.add(Problem.at(
                    FACES.to(RoofForm.Faces::faces),
                    area(bare.getArea()),
                    "of the roof has no face, near "
                            + place(bare.getInteriorPoint().getCoordinate()) + ": draw one there or move a corner"));
        }
    }

    private String length(double m) {
        return Show.both(units, Dimension.ROOF_LENGTH, m);
    }

    private String area(double m2) {
        return Show.both(units, Dimension.AREA, m2);
    }

    private String place(Coordinate c) {
        return "x " + Show.in(units, Dimension.ROOF_LENGTH, c.x) + ", y " + Show.in(units, Dimension.ROOF_LENGTH, c.y);
    }
}
