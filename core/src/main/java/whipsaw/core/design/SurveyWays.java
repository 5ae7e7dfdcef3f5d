package whipsaw.core.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.algorithm.Angle;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Site;
import whipsaw.core.roof.EdgeOffsets;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.SiteSizeReport;
import whipsaw.core.roof.TapeFit;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What would bring the job in line with what its survey found. */
final class SurveyWays {
    private SurveyWays() {}

    /** A change not yet tried. */
    record Idea(String words, List<Change> changes) {}

    static List<Idea> of(Design design, Check check) {
        String id = check.id();
        List<Idea> ideas = new ArrayList<>();
        Job job = design.job();
        if (id.startsWith("survey.terrain-")) {
            boolean en = job.site().code() instanceof Site.EnSite;
            Path<String> path = en
                    ? JobPaths.EN.to(Site.EnSite::terrain)
                    : JobPaths.ASCE.to(Site.AsceSite::ground).to(Site.Ground::exposure);
            ideas.add(new Idea(
                    (en ? "Terrain category " : "Exposure ") + check.demand() + " for wind",
                    List.of(Change.set(path, check.demand()))));
        } else if (id.startsWith("survey.fall-")) {
            for (Fabric.BayNote n : job.roof().fabric().bayNotes()) {
                if (id.equals("survey.fall-" + n.bay()) && n.fall() != null) {
                    ideas.add(new Idea(
                            "Fall of the roof " + n.fall().typed() + ", as found in bay " + n.bay(),
                            List.of(Change.set(
                                    JobPaths.ROOF.to(Roof::slope), n.fall().typed()))));
                }
            }
        } else if (id.equals("survey.closes") && check.verdict() == Verdict.CLOSE && !check.isRatio()) {
            ideas.add(anglesFound(design));
        } else if (id.equals("survey.sizes") && check.isRatio()) {
            sizes(design, ideas);
        } else if (id.startsWith("survey.offset-")) {
            job.roof().obstructions().stream()
                    .filter(o -> id.equals("survey.offset-" + o.id()))
                    .forEach(o -> back(design, o, ideas));
        }
        return ideas;
    }

    /** Corners as the fit found them instead of as they were called. */
    private static Idea anglesFound(Design design) {
        List<Change> changes = new ArrayList<>();
        List<String> words = new ArrayList<>();
        List<TapeFit.Observation> corners = design.plan().fit().observations().stream()
                .filter(o -> o.kind() == TapeFit.Kind.CORNER)
                .toList();
        // a corner's turn is kept with the leg that ends there
        for (int leg = 0; leg < corners.size(); leg++) {
            double turn = Math.round(corners.get(leg).fitted() * 1000) / 1000.0;
            changes.add(Change.set(JobPaths.TAPED.at(Outline.Taped::legs, leg).to(Outline.TapedLeg::turnDeg), turn));
            words.add(Show.number(Math.abs(turn), 2) + "°");
        }
        return new Idea("Corner angles as the fit found them: " + String.join(", ", words), changes);
    }

    /** The outline and the places of things enlarged alike about the first corner, or walked by the tapes. */
    private static void sizes(Design design, List<Idea> ideas) {
        UnitSystem units = design.job().project().units();
        SiteSizeReport report = design.taken().sizes();
        List<Coordinate> corners =
                design.plan().edges().stream().map(RoofPlan.Edge::from).toList();
        Coordinate fixed = corners.get(0);
        List<Change> changes = new ArrayList<>();
        List<Object> drawn = new ArrayList<>();
        for (Coordinate c : corners) {
            drawn.add(scaled(units, c, fixed, report.scale()));
        }
        changes.add(Change.set(JobPaths.OUTLINE, Map.of("kind", "drawn", "corners", drawn)));
        for (Obstruction o : design.job().roof().obstructions()) {
            Map<String, Object> at = scaled(units, new Coordinate(o.x().si(), o.y().si()), fixed, report.scale());
            Path<Footprint> thing = JobPaths.footprint(o.id());
            changes.add(Change.set(thing.to(Footprint::x), at.get("x")));
            changes.add(Change.set(thing.to(Footprint::y), at.get("y")));
        }
        ideas.add(new Idea(
                "Outline and places of things scaled by " + Show.number(report.scale(), 4) + ", which leaves "
                        + Show.both(units, Dimension.PART_LENGTH, report.leftM())
                        + "; pins, runs and members stay: look at them again",
                changes));
        byTapes(design, corners, ideas);
    }

    private static Map<String, Object> scaled(UnitSystem units, Coordinate c, Coordinate fixed, double by) {
        return Map.of(
                "x", Show.exact(units, Dimension.ROOF_LENGTH, fixed.x + (c.x - fixed.x) * by),
                "y", Show.exact(units, Dimension.ROOF_LENGTH, fixed.y + (c.y - fixed.y) * by));
    }

    /** With a tape for every edge: their lengths, corners turning as drawn, and the tapes across to fit them. */
    private static void byTapes(Design design, List<Coordinate> corners, List<Idea> ideas) {
        Roof.SiteSizes sizes = design.job().roof().sizes();
        int n = corners.size();
        List<Object> legs = new ArrayList<>();
        List<Object> across = new ArrayList<>();
        for (Outline.TapedDiagonal t : sizes.tapes()) {
            if (t.crosses(n)) {
                across.add(Map.of(
                        "from", t.from(), "to", t.to(), "length", t.length().typed()));
            }
        }
        for (int i = 1; i <= n; i++) {
            int from = i;
            int to = i % n + 1;
            Outline.TapedDiagonal edge = sizes.tapes().stream()
                    .filter(t -> Math.min(t.from(), t.to()) == Math.min(from, to)
                            && Math.max(t.from(), t.to()) == Math.max(from, to))
                    .findFirst()
                    .orElse(null);
            if (edge == null) {
                return;
            }
            double in = Angle.angle(corners.get(from - 1), corners.get(to - 1));
            double out = Angle.angle(corners.get(to - 1), corners.get(to % n));
            double turn = Math.toDegrees(Angle.normalize(out - in));
            legs.add(Map.of("length", edge.length().typed(), "turnDeg", Math.rint(turn * 100) / 100));
        }
        Map<String, Object> outline = new LinkedHashMap<>(Map.of(
                "kind", "taped", "face", sizes.insideFace() ? "inside" : "outside", "closing", "fit", "legs", legs));
        outline.put("diagonals", across);
        ideas.add(new Idea(
                "Outline by the tapes, corners turning as drawn", List.of(Change.set(JobPaths.OUTLINE, outline))));
    }

    /** The thing back where it was measured, or its place as it is without the measurement. */
    private static void back(Design design, Obstruction o, List<Idea> ideas) {
        UnitSystem units = design.job().project().units();
        Path<Footprint> path = JobPaths.footprint(o.id());
        try {
            Coordinate at = EdgeOffsets.place(
                    EdgeOffsets.read(o.footprint().measured(), design.plan(), Dimension.ROOF_LENGTH.unit(units)),
                    o,
                    design.plan());
            ideas.add(new Idea(
                    o.name() + " back to " + o.footprint().measured(),
                    List.of(
                            Change.set(path.to(Footprint::x), Show.exact(units, Dimension.ROOF_LENGTH, at.x)),
                            Change.set(path.to(Footprint::y), Show.exact(units, Dimension.ROOF_LENGTH, at.y)))));
        } catch (EdgeOffsets.NoPlace e) {
            // the edges it names are gone: only the other way is left
        }
        ideas.add(new Idea(
                o.name() + " stays where it is drawn, the measurement goes",
                List.of(Change.remove(path.to(Footprint::measured)))));
    }
}
