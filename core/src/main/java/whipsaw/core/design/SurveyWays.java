package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Job;
import whipsaw.core.roof.EdgeOffsets;
import whipsaw.core.roof.TapeFit;
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
            boolean en = job.site().code() instanceof Job.EnSite;
            String path = en ? "$.site.terrain" : "$.site.exposure";
            ideas.add(new Idea(
                    (en ? "Terrain category " : "Exposure ") + check.demand() + " for wind",
                    List.of(new Change("set", path, check.demand()))));
        } else if (id.startsWith("survey.fall-")) {
            for (Fabric.BayNote n : job.roof().fabric().bayNotes()) {
                if (id.equals("survey.fall-" + n.bay()) && n.fall() != null) {
                    ideas.add(new Idea(
                            "Fall of the roof " + n.fall().typed() + ", as found in bay " + n.bay(),
                            List.of(new Change("set", "$.roof.slope", n.fall().typed()))));
                }
            }
        } else if (id.equals("survey.closes") && check.verdict() == Verdict.CLOSE && !check.isRatio()) {
            ideas.add(anglesFound(design));
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
            changes.add(new Change("set", "$.roof.outline.legs[" + leg + "].turnDeg", turn));
            words.add(Show.number(Math.abs(turn), 2) + "°");
        }
        return new Idea("Corner angles as the fit found them: " + String.join(", ", words), changes);
    }

    /** The thing back where it was measured, or its place as it is without the measurement. */
    private static void back(Design design, Job.Obstruction o, List<Idea> ideas) {
        UnitSystem units = design.job().project().units();
        String path = "$.roof.obstructions[id=" + o.id() + "].";
        try {
            Coordinate at = EdgeOffsets.place(
                    EdgeOffsets.read(o.footprint().measured(), design.plan(), Dimension.ROOF_LENGTH.unit(units)),
                    o,
                    design.plan());
            ideas.add(new Idea(
                    o.name() + " back to " + o.footprint().measured(),
                    List.of(
                            new Change("set", path + "x", Show.exact(units, Dimension.ROOF_LENGTH, at.x)),
                            new Change("set", path + "y", Show.exact(units, Dimension.ROOF_LENGTH, at.y)))));
        } catch (EdgeOffsets.NoPlace e) {
            // the edges it names are gone: only the other way is left
        }
        ideas.add(new Idea(
                o.name() + " stays where it is drawn, the measurement goes",
                List.of(new Change("remove", path + "measured", null))));
    }
}
