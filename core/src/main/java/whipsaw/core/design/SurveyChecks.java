package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Site;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.EdgeOffsets;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.SheetLines;
import whipsaw.core.schema.Shape;
import whipsaw.core.survey.HoldDowns;
import whipsaw.core.survey.SightLines;
import whipsaw.core.survey.SurveyRules;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What a survey found that stops the job, or that the rest of the job contradicts. */
final class SurveyChecks {
    private static final List<String> ASCE_ROUGH_TO_OPEN = List.of("B", "C", "D");
    private static final List<String> EN_ROUGH_TO_OPEN = List.of("IV", "III", "II", "I", "0");

    private final Design design;
    private final Job job;
    private final Survey survey;
    private final UnitSystem units;
    private final List<Check> checks = new ArrayList<>();

    private SurveyChecks(Design design) {
        this.design = design;
        this.job = design.job();
        this.survey = job.survey();
        this.units = job.project().units();
    }

    static List<Check> of(Design design) {
        SurveyChecks all = new SurveyChecks(design);
        all.otherRoof();
        all.method();
        all.permitted();
        all.covering();
        all.offsets();
        all.purlins();
        all.checks.addAll(BayNoteChecks.of(all.design));
        all.terrain();
        all.electrical();
        all.unseen();
        return all.checks;
    }

    /** Of a roof without an array. */
    static List<Check> ofRoof(Design design) {
        SurveyChecks all = new SurveyChecks(design);
        all.offsets();
        return all.checks;
    }

    private void stated(
            String id, String title, String found, String wanted, Verdict verdict, String rule, String remark) {
        stated(id, title, found, wanted, verdict, null, rule, remark);
    }

    private void stated(
            String id,
            String title,
            String found,
            String wanted,
            Verdict verdict,
            Place place,
            String rule,
            String remark) {
        checks.add(new Check(id, title, found, wanted, Double.NaN, verdict, place, rule, "survey.found/" + id, remark));
    }

    private String length(double m) {
        return Show.both(units, Dimension.ROOF_LENGTH, m);
    }

    /** The answers of a survey are those of the first roof: of another one nobody has said them. */
    private void otherRoof() {
        if (!job.on().equals(job.document().roofs().get(0))) {
            stated(
                    "survey.other-roof",
                    "Survey of this roof",
                    "answers of " + job.document().roofs().get(0).name() + " stand in",
                    "its own",
                    Verdict.NEEDS_ENGINEER,
                    "one sheet of answers to a job",
                    "age, wetness and strength of the covering, the deck and the warranty may differ here: somebody has to"
                            + " look at this roof and say that they hold for it");
        }
    }

    /** Ballasted trays are all this version can hold down. */
    private void method() {
        if (!job.roof().takesTrays()) {
            stated(
                    "array.method",
                    "Array on this roof",
                    job.roof().covering() + (job.roof().fabric().flat() ? "" : ", pitched"),
                    "a hold-down for it",
                    Verdict.NOT_ESTABLISHED,
                    "ballasted trays stand on flat membranes only",
                    "surveyed and drawn; clamps and rails on metal are not designed yet, so no modules are placed: purlins"
                            + " are checked under the weight entered for an array all over the faces");
        }
    }

    /** What holds the array has to be permitted on this covering. */
    private void permitted() {
        if (!job.roof().takesTrays()) {
            return;
        }
        permitted(HoldDowns.of(job, "ballast"));
        ArrayChoice.Attachments attachments = job.array().attachments();
        if (design.attached() == null) {
            return;
        }
        if (attachments.kind().isEmpty()) {
            stated(
                    "array.attachment-kind",
                    "How attachments are fixed",
                    "not said",
                    String.join(
                            ", ",
                            Shape.of(ArrayChoice.Attachments.class).slot("kind").choices()),
                    Verdict.NOT_ESTABLISHED,
                    "permitted by covering, age and deck",
                    "say under Hold-down whether they are bonded, screwed or bolted");
            return;
        }
        permitted(HoldDowns.of(job, attachments.kind()));
    }

    private void permitted(HoldDowns.Way way) {
        Verdict verdict =
                switch (way.answer()) {
                    case PERMITTED -> Verdict.PASSES;
                    case ASK, NOT_KNOWN -> Verdict.NOT_ESTABLISHED;
                    case NOT_PERMITTED -> Verdict.FAILS;
                };
        if (verdict != Verdict.PASSES) {
            stated(
                    "array.hold-down-" + way.holdDown(),
                    "Hold-down on this covering",
                    way.holdDown() + ": " + way.answer().words(),
                    "permitted on " + job.roof().covering(),
                    verdict,
                    "our convention; the covering's maker and the warranty decide",
                    way.reason());
        }
    }

    private void covering() {
        String state = survey.text("coverState");
        if (state.equals("leaking") || state.equals("to be replaced")) {
            stated(
                    "survey.cover-state",
                    "State of the covering",
                    state,
                    "sound",
                    Verdict.FAILS,
                    "an old roof is replaced first, not afterwards",
                    "mend or replace it before anything is set down");
        }
        double age = survey.number("coverAge");
        if (Double.isNaN(age)) {
            return;
        }
        SurveyRules.Rule life = SurveyRules.of("life_" + job.roof().covering());
        double array = SurveyRules.value("array_life");
        boolean over = age >= life.value();
        if (over || age + array > life.value()) {
            stated(
                    "survey.cover-age",
                    "Age of the covering",
                    Show.number(age, 0) + " years",
                    "a life of " + Show.number(life.value(), 0) + " years, the array's " + Show.number(array, 0)
                            + " still to come",
                    over ? Verdict.FAILS : Verdict.CLOSE,
                    life.source(),
                    over
                            ? "at the end of its life: replace it first, or have its maker say how long it lasts"
                            : "ends before the array does: price taking the array up once, or replace it first");
        }
    }

    /** Things that were measured from two edges and do not lie there any more. */
    private void offsets() {
        double allowed = SurveyRules.value("offset_agrees");
        for (Obstruction o : job.roof().obstructions()) {
            if (o.footprint().measured().isEmpty()) {
                continue;
            }
            double off;
            try {
                Coordinate at = EdgeOffsets.place(
                        EdgeOffsets.read(o.footprint().measured(), design.plan(), Dimension.ROOF_LENGTH.unit(units)),
                        o,
                        design.plan());
                off = at.distance(new Coordinate(o.x().si(), o.y().si()));
            } catch (EdgeOffsets.NoPlace e) {
                stated(
                        "survey.offset-" + o.id(),
                        o.name() + " where it was measured",
                        o.footprint().measured(),
                        "edges that are there",
                        Verdict.NOT_ESTABLISHED,
                        "measured from two edges",
                        e.getMessage());
                continue;
            }
            if (off > allowed) {
                stated(
                        "survey.offset-" + o.id(),
                        o.name() + " where it was measured",
                        length(off) + " off",
                        length(allowed),
                        Verdict.FAILS,
                        "measured: " + o.footprint().measured(),
                        "the outline or the thing changed since: enter the distances again");
            }
        }
    }

    /** Purlin spacings that do not add up to the slope they lie on. */
    private void purlins() {
        double allowed = SurveyRules.value("purlins_agree");
        for (int i = 0; i < design.taken().sheets().size(); i++) {
            RoofFace face = design.plan().faces().faces().get(i);
            SheetLines lines = design.taken().sheets().get(i);
            if (lines.buildUp() == null || lines.buildUp().purlins() == null) {
                continue;
            }
            double gap = lines.purlinGapM();
            boolean beyond = gap < -allowed;
            boolean missing = gap > lines.buildUp().purlins().largestM() + allowed;
            if (beyond || missing) {
                stated(
                        "survey.purlins-" + face.number(),
                        "Purlins of face " + face.number(),
                        length(lines.purlinsEndM()) + " in all",
                        length(face.slopeLengthM()) + " up the slope",
                        Verdict.FAILS,
                        "spacings add up to the slope",
                        beyond
                                ? "they go on beyond the top: a spacing was counted twice or the slope is longer"
                                : "more than one spacing is missing below the top: count them again");
            }
        }
    }

    /** The most open terrain of any sector decides. */
    private void terrain() {
        boolean en = job.site().code() instanceof Site.EnSite;
        List<String> order = en ? EN_ROUGH_TO_OPEN : ASCE_ROUGH_TO_OPEN;
        String used = job.site().code() instanceof Site.EnSite site
                ? site.terrain()
                : ((Site.AsceSite) job.site().code()).ground().exposure();
        for (String sector : List.of("North", "East", "South", "West")) {
            String found = survey.text("terrain" + sector.charAt(0));
            if (found.isEmpty()) {
                continue;
            }
            if (!order.contains(found)) {
                stated(
                        "survey.terrain-" + sector.charAt(0),
                        "Terrain to the " + sector.toLowerCase(Locale.ROOT),
                        found,
                        String.join(", ", order),
                        Verdict.NOT_ESTABLISHED,
                        "categories of the job's code family",
                        "belongs to the other code family: look again and enter it anew");
            } else if (order.indexOf(found) > order.indexOf(used)) {
                stated(
                        "survey.terrain-" + sector.charAt(0),
                        "Terrain to the " + sector.toLowerCase(Locale.ROOT),
                        found,
                        used + ", used for wind",
                        Verdict.FAILS,
                        "the most open sector decides unless wind is taken by direction",
                        "set the " + (en ? "terrain category" : "exposure") + " to " + found);
            }
        }
    }

    private void electrical() {
        double limit = survey.number("exportLimit");
        double ac = design.circuits().acVa();
        if (limit >= 0 && ac > limit * (1 + 1e-9)) {
            stated(
                    "survey.export",
                    "AC power and the export limit",
                    Show.number(ac / 1000, 1) + " kW",
                    survey.text("exportLimit"),
                    Verdict.CLOSE,
                    "set by the grid operator",
                    "needs an export control, or fewer modules");
        }
        double bus = survey.number("busbar");
        double main = survey.number("mainDevice");
        if (main > bus) {
            stated(
                    "survey.busbar",
                    "Main device and busbar",
                    survey.text("mainDevice"),
                    survey.text("busbar") + " busbar",
                    Verdict.FAILS,
                    "the main device protects the busbar",
                    "read both labels again; an electrician has to look at the board");
        }
        String wall = survey.text("inverterWall");
        if (List.of("sheet metal", "stud wall", "none").contains(wall)) {
            stated(
                    "survey.inverter-wall",
                    "Wall for the inverters",
                    wall,
                    "concrete, masonry or a steel frame",
                    Verdict.CLOSE,
                    "a large inverter weighs 100 kg and more",
                    "plan a frame on the floor or the columns");
        }
    }

    /** Whether anybody sees the array where nobody must. */
    private void unseen() {
        if (!survey.unseen()) {
            return;
        }
        if (survey.viewers().isEmpty() || !job.roof().fabric().flat()) {
            stated(
                    "sight.seen",
                    "Array not seen from the ground",
                    survey.viewers().isEmpty() ? "no viewer entered" : "a pitched roof",
                    "hidden from every viewer",
                    Verdict.NOT_ESTABLISHED,
                    "sight lines over the parapets of a flat roof",
                    survey.viewers().isEmpty()
                            ? "enter the places it is looked at from"
                            : "draw it and ask the planners");
            return;
        }
        SightLines lines = design.sight();
        List<Integer> seen = lines.seen();
        Place place = seen.isEmpty() ? null : new Place(Show.count(seen.size(), "module"), Place.Kind.MODULES, seen);
        checks.add(new Check(
                "sight.seen",
                "Array not seen from the ground",
                seen.size() + " of " + design.layout().modules().size() + " modules seen",
                "hidden from every viewer",
                Double.NaN,
                seen.isEmpty() ? Verdict.PASSES : Verdict.FAILS,
                place,
                "sight lines over the parapets; nothing beside the building hides anything",
                "survey.sight",
                seen.isEmpty() ? "" : "lower the tilt, set it back, or leave the seen ones out"));
    }
}
