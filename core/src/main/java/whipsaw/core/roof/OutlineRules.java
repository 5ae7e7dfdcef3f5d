package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.algorithm.RobustLineIntersector;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What a roof has to satisfy before anything can be computed on it. */
public final class OutlineRules {
    private static final double LEAST_AREA_M2 = 4;
    private static final double TOUCH_M = 1e-6;

    private OutlineRules() {}

    /** All problems of a roof; empty when it can be used. */
    public static List<Problem> check(Roof roof, UnitSystem units) {
        List<Problem> problems = new ArrayList<>();
        if (roof.outline() instanceof Outline.Taped taped) {
            List<TapeSlips.Slip> slips = TapeSlips.of(taped, units);
            for (TapeSlips.Slip slip : slips) {
                problems.add(Problem.at(
                        JobPaths.TAPED.to(Outline.Taped::legs),
                        "corner " + slip.corner(),
                        "does not go together. " + slip.words()));
            }
            if (!slips.isEmpty()) {
                return problems;
            }
        }
        OutlineShape shape = OutlineShape.of(roof);
        Traverse tape = shape.tape();
        if (tape != null && tape.closureM() * OutlineShape.WORST_CLOSURE > tape.perimeterM()) {
            problems.add(Problem.at(
                    JobPaths.TAPED.to(Outline.Taped::legs),
                    Show.both(units, Dimension.ROOF_LENGTH, tape.closureM()),
                    "is the closing gap, more than 1 in "
                            + Show.number(OutlineShape.WORST_CLOSURE, 0)
                            + " of the perimeter: an edge or a turn is missing or wrong"));
            return problems;
        }
        if (roof.outline() instanceof Outline.Taped taped
                && taped.closing() == Outline.Closing.FIT
                && shape.fit() == null) {
            problems.add(Problem.at(
                    JobPaths.TAPED.to(Outline.Taped::closing),
                    "best fit",
                    taped.legs().size() > TapeFit.MOST_LEGS
                            ? "takes a walk of up to " + TapeFit.MOST_LEGS + " edges, and this one has "
                                    + taped.legs().size() + ": close it by the compass rule, or draw the corners"
                            : "leads to no outline near the walk: a turn or a length is far out; check them, or close it"
                                    + " by the compass rule"));
            return problems;
        }
        String crossing = crossing(shape.corners());
        if (crossing != null) {
            problems.add(Problem.at(
                    JobPaths.OUTLINE,
                    crossing,
                    "cross or touch: an outline must not meet itself; check the order of the corners"));
            return problems;
        }
        double area = Math.abs(RoofPlan.signedArea(shape.corners()));
        if (area < LEAST_AREA_M2) {
            problems.add(Problem.at(
                    JobPaths.OUTLINE,
                    Show.both(units, Dimension.AREA, area),
                    "is its area: a roof has at least " + Show.both(units, Dimension.AREA, LEAST_AREA_M2)));
            return problems;
        }
        parapets(roof, shape.corners().size(), problems);
        Polygon outline = RoofPlan.polygon(shape.corners());
        obstructions(roof, outline, units, problems);
        FaceRules.check(roof, RoofPlan.edges(roof, shape.corners()), outline, units, problems);
        return problems;
    }

    /** Names of two edges that meet where they should not, or null. */
    private static String crossing(List<Coordinate> corners) {
        int n = corners.size();
        RobustLineIntersector lines = new RobustLineIntersector();
        for (int i = 0; i < n; i++) {
            Coordinate a = corners.get(i);
            Coordinate b = corners.get((i + 1) % n);
            if (a.distance(b) < TOUCH_M) {
                return "edge " + (i + 1) + " without length";
            }
            for (int j = i + 1; j < n; j++) {
                Coordinate c = corners.get(j);
                Coordinate d = corners.get((j + 1) % n);
                if (!Envelope.intersects(a, b, c, d)) {
                    continue;
                }
                lines.computeIntersection(a, b, c, d);
                boolean neighbours = j == i + 1 || (i == 0 && j == n - 1);
                boolean foldsBack = neighbours && lines.getIntersectionNum() > 1; // one edge lies on the other
                if (lines.hasIntersection() && (!neighbours || foldsBack)) {
                    return "edges " + (i + 1) + " and " + (j + 1);
                }
            }
        }
        return null;
    }

    private static void parapets(Roof roof, int edges, List<Problem> problems) {
        Set<Integer> seen = new HashSet<>();
        for (int i = 0; i < roof.parapets().size(); i++) {
            int edge = roof.parapets().get(i).edge();
            Path<Integer> path = JobPaths.ROOF.at(Roof::parapets, i).to(Roof.Parapet::edge);
            if (edge > edges) {
                problems.add(Problem.at(path, edge, "is not there: the outline has edges 1 to " + edges));
            } else if (!seen.add(edge)) {
                problems.add(Problem.at(path, edge, "is given twice: one parapet per edge"));
            }
        }
    }

    private static void obstructions(Roof roof, Polygon outline, UnitSystem units, List<Problem> problems) {
        Set<String> ids = new HashSet<>();
        PreparedGeometry tolerant = PreparedGeometryFactory.prepare(outline.buffer(TOUCH_M));
        for (int i = 0; i < roof.obstructions().size(); i++) {
            Obstruction o = roof.obstructions().get(i);
            Path<Obstruction> thing = JobPaths.ROOF.at(Roof::obstructions, i);
            if (!ids.add(o.id())) {
                problems.add(
                        Problem.at(thing.to(Obstruction::id), o.id(), "is used twice: give each obstruction its own"));
            }
            if (!tolerant.covers(RoofPlan.footprint(o))) {
                Envelope box = outline.getEnvelopeInternal();
                problems.add(new Problem(
                        thing.to(Obstruction::footprint).to(Footprint::x).toString(),
                        o.name(),
                        o.x().typed() + ", " + o.y().typed(),
                        "does not lie wholly on the roof, which spans x "
                                + span(units, box.getMinX(), box.getMaxX())
                                + " and y "
                                + span(units, box.getMinY(), box.getMaxY())));
            }
        }
    }

    private static String span(UnitSystem units, double from, double to) {
        return Show.in(units, Dimension.ROOF_LENGTH, from) + " to " + Show.in(units, Dimension.ROOF_LENGTH, to);
    }
}
