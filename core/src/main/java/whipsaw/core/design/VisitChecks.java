package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.PinKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Whether what a visit wrote down can be: legs of cable routes, and photographs it says were taken. */
final class VisitChecks {
    private VisitChecks() {}

    static List<Check> of(Design design) {
        Survey survey = design.job().survey();
        List<Check> checks = new ArrayList<>();
        for (Survey.Route r : survey.routes()) {
            legs(design.job().project().units(), r, checks);
        }
        boolean shown = survey.pins().stream()
                .anyMatch(
                        p -> p.kind().equals(PinKinds.FROM_BELOW) && !p.photos().isEmpty());
        if (survey.yes("seenBelow") && !shown) {
            checks.add(stated(
                    "survey.seen-below",
                    "Photographs from below",
                    "said to be taken, none at its place",
                    "a pin \"" + PinKinds.FROM_BELOW + "\" with a photograph",
                    Verdict.CLOSE,
                    "pin where each was taken and add it on the survey sheet"));
        }
        return checks;
    }

    /** A leg cannot be shorter than its ends are apart. */
    private static void legs(UnitSystem units, Survey.Route r, List<Check> checks) {
        for (int i = 0; i < r.legs().size(); i++) {
            Survey.RouteLeg leg = r.legs().get(i);
            double straight = leg.place() == null ? 0 : leg.place().lengthM();
            if (Limits.above(straight, leg.length().si())) {
                checks.add(stated(
                        "survey.leg-" + r.id() + "-" + (i + 1),
                        "Length of a cable route",
                        r.name() + ", leg " + (i + 1) + ": "
                                + Show.both(
                                        units,
                                        Dimension.ROOF_LENGTH,
                                        leg.length().si()),
                        "at least " + Show.both(units, Dimension.ROOF_LENGTH, straight)
                                + ", between its ends on the plan",
                        Verdict.FAILS,
                        "measure it again, or put its ends where they are"));
            }
        }
    }

    private static Check stated(String id, String title, String found, String wanted, Verdict verdict, String remark) {
        return Check.stated(
                id, title, found, wanted, verdict, "the survey against itself", "survey.found/" + id, remark);
    }
}
