package whipsaw.core.figure;

import whipsaw.core.check.Check;
import whipsaw.core.design.Design;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.SiteSizeReport;
import whipsaw.core.roof.SurveyReport;
import whipsaw.core.roof.TapeFit;
import whipsaw.core.survey.SightLines;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** The working of a fitted tape survey: every tape with what the fit makes of it. */
final class SurveyFigures {
    private static final String METHOD = "least squares; data snooping, Baarda 1968";

    private SurveyFigures() {}

    /** Sizes taped on site beside those of the drawing; null where none were. */
    static Working sizes(Design design) {
        SiteSizeReport report = design.taken().sizes();
        if (report == null) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        int corners = design.plan().edges().size();
        SiteSizeReport.Line worst = report.lines().get(0);
        Working.Builder w = Working.of(
                "survey.sizes",
                "Drawn outline against sizes taped on site",
                difference(units, worst) + " at " + worst.name(corners));
        for (SiteSizeReport.Line l : report.lines()) {
            String drawn = Double.isNaN(l.drawnM())
                    ? "not on the drawing"
                    : Show.both(units, Dimension.ROOF_LENGTH, l.drawnM());
            w.step(
                    "Δ",
                    l.name(corners),
                    "{taped} − {drawn}",
                    difference(units, l),
                    design.job().roof().sizes().insideFace() ? "inner faces" : "outer faces",
                    Term.given(
                            "taped",
                            "on site",
                            Show.both(
                                    units,
                                    Dimension.ROOF_LENGTH,
                                    l.tape().length().si()),
                            l.tape().length()),
                    Term.computed("drawn", "on the drawing", drawn, null));
        }
        for (SiteSizeReport.Angle a : report.corners()) {
            w.step(
                    "β",
                    "corner " + a.corner() + " by the tapes beside it and across",
                    "acos((a² + b² − c²) / (2 · a · b))",
                    Show.number(a.tapedDeg(), 2) + "°, drawn " + Show.number(a.drawnDeg(), 2) + "°",
                    "law of cosines");
        }
        w.step(
                "s",
                "scale that fits all tapes best",
                "Σ taped · drawn / Σ drawn²",
                Show.number(report.scale(), 4) + ", which leaves "
                        + Show.both(units, Dimension.PART_LENGTH, report.leftM()),
                "least squares");
        return w.note("The outline is laid out as it is drawn; the tapes stay beside it.")
                .build();
    }

    private static String difference(UnitSystem units, SiteSizeReport.Line l) {
        if (Double.isNaN(l.drawnM())) {
            return "not established";
        }
        double by = Math.abs(l.moreM());
        return Show.both(units, by < 1 ? Dimension.PART_LENGTH : Dimension.ROOF_LENGTH, by)
                + (l.moreM() < 0 ? " less" : " more");
    }

    static Working fit(Design design) {
        UnitSystem units = design.job().project().units();
        SurveyReport report = design.taken().tapes();
        TapeFit fit = report.fit();
        TapeFit.Accuracy a = TapeFit.Accuracy.USUAL;
        String accuracy = Show.in(units, Dimension.PART_LENGTH, a.tapeM());
        Working.Builder w = Working.of("survey.fit", "Fit of the tape survey", report.verdict())
                .step(
                        "σ_L",
                        "accuracy of a tape of length L, one standard deviation",
                        "√({σ_0}² + ({k} · L)²)",
                        "for each",
                        "our convention, to be replaced by the crew's own",
                        Term.byRule("σ_0", "of every tape", accuracy, "our convention"),
                        Term.byRule(
                                "k", "for each metre", Show.number(a.tapePerM() * 1000, 2) + " mm", "our convention"))
                .step(
                        "σ_c",
                        "accuracy of a corner",
                        "{square} taken as square, {angle} measured",
                        "for each",
                        "our convention",
                        Term.byRule("square", "corner", Show.number(a.squareDeg(), 2) + "°", "our convention"),
                        Term.byRule("angle", "angle", Show.number(a.angleDeg(), 2) + "°", "our convention"))
                .step(
                        "s_0²",
                        "weighted squares of all differences over the observations more than needed",
                        "Σ (v / σ)² / {f}",
                        Show.significant(fit.unitVariance(), 3),
                        METHOD,
                        Term.computed("f", "observations less unknowns", String.valueOf(fit.freedom()), null));
        for (SurveyReport.Line line : report.lines()) {
            w.step(
                    "",
                    line.name(),
                    "|v| / (σ · √r)",
                    Show.number(line.normalised(), 2) + (line.suspect() ? ", suspected" : "") + ": " + line.words(),
                    "suspected above " + Show.number(TapeFit.SUSPECT, 2));
        }
        if (!report.suspects().isEmpty()) {
            w.note(report.suspects());
        }
        if (!report.decide().isEmpty()) {
            w.note(report.decide());
        }
        return w.note(
                        "Corner 1 is where edge 1 begins. A tape that nothing checks shows no difference and can hide any error.")
                .build();
    }

    /** What a survey found against the rule it is judged by; null when there is no such check. */
    static Working found(Design design, String id) {
        for (Check c : design.checks()) {
            if (c.id().equals(id)) {
                return Working.of("survey.found/" + id, c.title(), c.verdict().words())
                        .step(
                                "",
                                c.title(),
                                "{found} against {wanted}",
                                c.verdict().words(),
                                c.source(),
                                Term.computed(
                                        "found", "as surveyed or as it follows from the survey", c.demand(), null),
                                Term.byRule("wanted", "by the rule", c.capacity(), c.source()))
                        .note(c.remark())
                        .build();
            }
        }
        return null;
    }

    /** Every viewer's line over every parapet they look over. */
    static Working sight(Design design) {
        UnitSystem units = design.job().project().units();
        SightLines lines = design.sight();
        double high = design.layout().highEdgeM();
        Working.Builder w = Working.of(
                "survey.sight",
                "Sight lines from the ground",
                lines.seen().size() + " of " + design.layout().modules().size() + " modules seen");
        for (SightLines.View view : lines.views()) {
            Survey.Viewer v = view.viewer();
            for (SightLines.Over over : view.over()) {
                double parapet = over.line().parapetM();
                w.step(
                        "s",
                        v.name() + ": least set-back from edge " + over.edge() + " that hides the upper edge",
                        "({z} - {h_p}) / {m}, {m} = ({H} + {h_p} - {e} - {g}) / {D}",
                        Double.isNaN(over.setbackM())
                                ? "none hides it"
                                : Show.both(units, Dimension.ROOF_LENGTH, over.setbackM()),
                        "similar triangles, square to the edge",
                        Term.computed("z", "upper edge above the roof", length(units, high), "array.gap"),
                        Term.given("h_p", "parapet", length(units, parapet), null),
                        Term.given(
                                "H",
                                "roof above ground",
                                length(units, design.job().roof().height().si()),
                                design.job().roof().height()),
                        Term.given(
                                "e",
                                "eye above its ground",
                                length(units, v.eye().si()),
                                v.eye()),
                        Term.given(
                                "g",
                                "that ground above the building's",
                                length(units, v.ground().si()),
                                v.ground()),
                        Term.computed("D", "eye from the edge", length(units, over.distanceM()), null),
                        Term.computed(
                                "m",
                                "slope of the line",
                                Show.number(over.line().slope(), 4),
                                null));
            }
            w.step(
                    "",
                    "modules of which " + v.name() + " sees something",
                    "corners above every line they are looked at over",
                    String.valueOf(view.seen().size()),
                    "");
        }
        return w.note("Only parapets hide: nothing beside the building, no plant. Their thickness is neglected.")
                .note("Photographs from the places themselves are asked for by most planners.")
                .build();
    }

    private static String length(UnitSystem units, double m) {
        return Show.in(units, Dimension.ROOF_LENGTH, m);
    }
}
