package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.survey.SurveyRules;
import whipsaw.core.units.Show;

/** Checks of what a visit noted on the bays of the grid. */
final class BayNoteChecks {
    private BayNoteChecks() {}

    static List<Check> of(Design design) {
        Job job = design.job();
        List<Check> checks = new ArrayList<>();
        SurveyRules.Rule most = SurveyRules.of("undulation_most");
        for (Fabric.BayNote n : job.roof().fabric().bayNotes()) {
            Place place = bay(design, n.bay());
            if (place == null) {
                checks.add(stated(
                        "survey.bay-" + n.bay(),
                        "Note on bay " + n.bay(),
                        n.bay(),
                        "a bay of the grid",
                        Verdict.NOT_ESTABLISHED,
                        null,
                        "bays are named by column and row",
                        "the grid changed since: note it at the bay it belongs to"));
                continue;
            }
            if (n.undulation() != null && n.undulation().si() > most.value()) {
                checks.add(stated(
                        "survey.even-" + n.bay(),
                        "Unevenness of bay " + n.bay(),
                        n.undulation().typed(),
                        Show.number(most.value(), 1) + "°",
                        Verdict.FAILS,
                        place,
                        most.source(),
                        "trays would rock or bear on one corner: level the bay, keep it free, or ask the maker"));
            }
            if (n.fall() != null
                    && job.roof().takesTrays()
                    && n.fall().si() > job.roof().slope().si() + 1e-9) {
                checks.add(stated(
                        "survey.fall-" + n.bay(),
                        "Fall of bay " + n.bay(),
                        n.fall().typed(),
                        job.roof().slope().typed() + ", used against sliding",
                        Verdict.FAILS,
                        place,
                        "the steepest part of the roof decides",
                        "set the fall of the roof to this one"));
            }
            if (n.ponds()) {
                checks.add(stated(
                        "survey.ponds-" + n.bay(),
                        "Standing water in bay " + n.bay(),
                        "water stands",
                        "water runs off",
                        Verdict.CLOSE,
                        place,
                        "drainage passes through or around the feet",
                        "clear the drain or keep feet out of the low place"));
            }
        }
        return checks;
    }

    private static Check stated(
            String id,
            String title,
            String found,
            String wanted,
            Verdict verdict,
            Place place,
            String rule,
            String remark) {
        return new Check(id, title, found, wanted, Double.NaN, verdict, place, rule, "survey.found/" + id, remark);
    }

    private static Place bay(Design design, String name) {
        List<RoofPlan.Bay> bays = design.plan().bays();
        for (int i = 0; i < bays.size(); i++) {
            if (bays.get(i).name().equals(name)) {
                return new Place("bay " + name, Place.Kind.BAYS, List.of(i));
            }
        }
        return null;
    }
}
