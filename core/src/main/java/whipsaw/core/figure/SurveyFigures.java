package whipsaw.core.figure;

import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.roof.SurveyReport;
import whipsaw.core.roof.TapeFit;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** The working of a fitted tape survey: every tape with what the fit makes of it. */
final class SurveyFigures {
    private static final String METHOD = "least squares; data snooping, Baarda 1968";

    private SurveyFigures() {}

    static Working fit(Design design) {
        UnitSystem units = design.job().project().units();
        SurveyReport report = SurveyReport.of((Job.Taped) design.job().roof().outline(), units);
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
}
