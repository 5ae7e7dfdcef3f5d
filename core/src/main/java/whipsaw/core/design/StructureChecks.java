package whipsaw.core.design;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.PanelPressure;
import whipsaw.core.job.Job;
import whipsaw.core.job.Structure;
import whipsaw.core.structure.ArraySeismic;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.structure.FootPressure;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.structure.SeismicDisplacement;
import whipsaw.core.structure.SetDowns;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Whether the members take the array, and whether strengthening that was chosen has been seen done. */
final class StructureChecks {
    private static final String SOURCE = "simple spans under the roof and the feet of the array";

    private StructureChecks() {}

    static List<Check> of(Design design, CodeTables tables) {
        List<Check> checks = new ArrayList<>();
        national(design, tables, checks);
        floor(design, checks);
        seismic(design, checks);
        attached(design, checks);
        feet(design, checks);
        RoofMembers members = design.members();
        if (!members.missing().isEmpty()) {
            checks.add(Check.stated(
                    "roof.members",
                    "Members of the roof",
                    "missing: " + String.join(", ", members.missing()),
                    "known",
                    Verdict.NOT_ESTABLISHED,
                    SOURCE,
                    "roof.footprint",
                    "enter what is missing; until then nothing is said of the members"));
        }
        for (RoofMembers.Checked checked : members.sets()) {
            checks.add(set(checked));
            if (design.faceWind() != null) {
                checks.add(lifted(design, checked));
            }
        }
        if (design.faceWind() != null && !members.sets().isEmpty()) {
            checks.add(unevenSnow(design));
        }
        for (SetDowns.Stand stand : SetDowns.of(design.job(), design.plan(), tables)) {
            checks.add(setDown(design, stand));
        }
        for (Structure.Work work : design.job().roof().fabric().structure().works()) {
            checks.add(signed(design, work));
        }
        return checks;
    }

    /** A set of national parameters may be withdrawn after a job chose it. */
    private static void national(Design design, CodeTables tables, List<Check> checks) {
        if (design.job().site().code() instanceof Job.EnSite en
                && !en.national().isEmpty()
                && !tables.has(en.national())) {
            checks.add(Check.stated(
                    "site.national",
                    "National parameters",
                    en.national() + " are not there any more",
                    "a set that is there, or none",
                    Verdict.NOT_ESTABLISHED,
                    "chosen with the site",
                    "site.qh",
                    "everything is worked out with recommended values: choose another set or put it back"));
        }
    }

    /** Said when a floor under the uplift decides for some modules; what is built then rests on it. */
    private static void floor(Design design, List<Check> checks) {
        List<HoldDown.Demand> raised = design.holdDown().demands().stream()
                .filter(d -> d.pressure() instanceof PanelPressure.Raised)
                .toList();
        if (raised.isEmpty()) {
            return;
        }
        UnitSystem units = design.job().project().units();
        PanelPressure.Raised r = (PanelPressure.Raised) raised.get(0).pressure();
        checks.add(Check.stated(
                "wind.floor",
                "Floor under the uplift",
                "governs on " + raised.size() + " of "
                        + design.holdDown().demands().size() + " modules",
                Show.both(units, Dimension.LOAD, r.upliftPa()) + " by " + r.by(),
                Verdict.PASSES,
                "entered with the site",
                "uplift/" + raised.get(0).module().number(),
                ""));
    }

    private static void seismic(Design design, List<Check> checks) {
        ArraySeismic s = design.seismic();
        if (s == null) {
            return;
        }
        String title = "Room to slide in an earthquake";
        String source = "ASCE 7-16 13.6.12, unattached arrays";
        if (!s.missing().isEmpty()) {
            checks.add(Check.stated(
                    "seismic.room",
                    title,
                    "missing: " + String.join(", ", s.missing()),
                    "known",
                    Verdict.NOT_ESTABLISHED,
                    source,
                    "roof.footprint",
                    "enter S_DS and the stories of the building"));
            return;
        }
        UnitSystem units = design.job().project().units();
        SeismicDisplacement d = s.displacement();
        ArraySeismic.Room tightest = s.rooms().get(0);
        checks.add(Check.stated(
                "seismic.room",
                title,
                Show.both(
                                units,
                                Dimension.ROOF_LENGTH,
                                tightest.need().clearance().clearM()) + " at " + tightest.name(),
                "at least "
                        + Show.both(
                                units, Dimension.ROOF_LENGTH, tightest.need().requiredM()),
                d.reasons().isEmpty() ? Verdict.PASSES : Verdict.NEEDS_ENGINEER,
                source,
                "seismic.room",
                d.reasons().isEmpty()
                        ? ""
                        : words(d.reasons()) + ": attachments, more room, or an engineer's judgement"));
    }

    private static void attached(Design design, List<Check> checks) {
        AttachedArray a = design.attached();
        if (a == null) {
            return;
        }
        UnitSystem units = design.job().project().units();
        String each = "one takes "
                + Show.both(units, Dimension.FORCE, a.each().tension().si()) + " up, "
                + Show.both(units, Dimension.FORCE, a.each().shear().si()) + " along";
        boolean known = a.missing().isEmpty();
        checks.add(Check.stated(
                "array.attachments",
                "Attachments",
                a.needed() + (known ? "" : " by wind alone; missing for the earthquake: " + a.missing()),
                each,
                known ? Verdict.CLOSE : Verdict.NOT_ESTABLISHED,
                "as entered; first estimate, pooled along each row",
                "array.attachments",
                known
                        ? "an engineer confirms what one takes, that the racking carries the load to them, and what they"
                                + " pull on deck and members"
                        : "enter it under Site"));
    }

    private static void feet(Design design, List<Check> checks) {
        FootPressure f = design.feet();
        if (f == null) {
            return;
        }
        UnitSystem units = design.job().project().units();
        boolean lasting = f.lastingPa() / f.lastingMostPa() >= f.withSnowPa() / f.withSnowMostPa();
        String title = "Feet on the insulation, module " + f.module();
        if (Double.isNaN(f.utilisation())) {
            checks.add(Check.stated(
                    "roof.feet",
                    title,
                    Show.both(units, Dimension.CONTACT, f.lastingPa()),
                    "not known",
                    Verdict.NOT_ESTABLISHED,
                    "compressive strength of the insulation",
                    "roof.feet",
                    "enter the strength of the insulation"
                            + (Double.isNaN(f.withSnowPa()) ? " and the ground snow load" : "")));
            return;
        }
        checks.add(Check.compare(
                "roof.feet",
                title,
                Show.both(units, Dimension.CONTACT, lasting ? f.lastingPa() : f.withSnowPa())
                        + (lasting ? ", lasting" : ", with snow"),
                Show.both(units, Dimension.CONTACT, lasting ? f.lastingMostPa() : f.withSnowMostPa()),
                f.utilisation(),
                null,
                "share of the insulation's compressive strength",
                "roof.feet",
                "larger pads, a board under them, or fewer blocks here"));
    }

    private static String words(List<String> reasons) {
        return String.join(
                "; ",
                reasons.stream()
                        .map(r -> switch (r) {
                            case "clearance" -> "too little room";
                            case "friction_lt_0.4" -> "friction below 0.4";
                            case "more_than_6_stories" -> "more than 6 stories";
                            case "risk_category_IV" -> "risk category IV";
                            default -> "roof steeper than 1 in 20";
                        })
                        .toList());
    }

    private static Check set(RoofMembers.Checked checked) {
        RoofMembers.Member worst = checked.worst();
        List<RoofMembers.Member> failing = checked.failing();
        Set<Integer> bays = new LinkedHashSet<>();
        (failing.isEmpty() ? List.of(worst) : failing)
                .forEach(m -> bays.add(m.line().bay()));
        String id = checked.set().id();
        String title = checked.set().name();
        double utilisation = worst.after().utilisation();
        long small = checked.members().stream()
                .filter(RoofMembers.Member::bySmallIncrease)
                .count();
        String words = worst.line().number() + ", " + worst.after().governing();
        Place place = new Place(
                failing.isEmpty() ? "member " + worst.line().number() : failing.size() + " members",
                Place.Kind.BAYS,
                List.copyOf(bays));
        String figure = "member/" + id + "/" + worst.line().number();
        if (failing.isEmpty() && small > 0) {
            return new Check(
                    "roof.members-" + id,
                    title,
                    Show.number(utilisation, 2) + " at " + words,
                    "1.00",
                    Double.NaN,
                    Verdict.CLOSE,
                    place,
                    "rule of small increases, chosen in the job",
                    figure,
                    small + " of them rest on the rule of small increases of existing buildings: an engineer confirms"
                            + " that it holds here");
        }
        return Check.compare(
                "roof.members-" + id,
                title,
                Show.number(utilisation, 2) + " at " + words,
                "1.00",
                utilisation,
                place,
                SOURCE,
                figure,
                failing.size() + " of " + checked.members().size()
                        + " carry too much: fewer modules here, strengthening, or another bay");
    }

    private static Check lifted(Design design, RoofMembers.Checked checked) {
        UnitSystem units = design.job().project().units();
        String id = "roof.lifted-" + checked.set().id();
        String title = checked.set().name() + " lifted by the wind";
        String source = "simple spans under the net uplift of the roof, with and without modules";
        RoofMembers.Member worst = checked.lifted();
        List<String> missing = new ArrayList<>();
        if (worst == null) {
            missing.add(design.faceWind().missing() + " (or an engineer's uplift)");
        }
        if (Double.isNaN(checked.set().freeFlange())) {
            missing.add("the share they take with a free flange");
        }
        if (worst != null
                && !Double.isNaN(checked.set().freeFlange())
                && Double.isNaN(worst.uplift().limitNm())) {
            missing.add("the moment their section takes, which a load table does not say");
        }
        if (checked.set().connection() == null) {
            missing.add("what their ends may hand on");
        }
        boolean over = worst != null && worst.uplift().utilisation() > 1;
        if (!missing.isEmpty() && !over) {
            return Check.stated(
                    id,
                    title,
                    worst == null
                            ? "not known"
                            : Show.moment(units, worst.uplift().momentNm()) + " up, "
                                    + Show.both(
                                            units,
                                            Dimension.FORCE,
                                            worst.uplift().endN())
                                    + " at an end",
                    "missing: " + String.join(", ", missing),
                    Verdict.NOT_ESTABLISHED,
                    source,
                    worst == null
                            ? "site.qh"
                            : "lifted/" + checked.set().id() + "/"
                                    + worst.line().number(),
                    "an engineer gives what is missing");
        }
        return Check.compare(
                id,
                title,
                Show.number(worst.uplift().utilisation(), 2) + " at "
                        + worst.line().number(),
                "1.00",
                worst.uplift().utilisation(),
                null,
                source,
                "lifted/" + checked.set().id() + "/" + worst.line().number(),
                "braces at the lower flange, stronger ends, or fewer modules in the zones at the edges");
    }

    private static Check unevenSnow(Design design) {
        UnitSystem units = design.job().project().units();
        Measure given = design.job().roof().fabric().structure().onFaces().snow();
        double even = design.site().snow().roofPa();
        return Check.stated(
                "roof.uneven-snow",
                "Uneven snow on pitched faces",
                given == null ? "not known" : Show.both(units, Dimension.LOAD, given.si()),
                "even: " + Show.both(units, Dimension.LOAD, even),
                given == null && even > 0 ? Verdict.NOT_ESTABLISHED : Verdict.PASSES,
                given == null
                        ? "no method at hand: wind moves snow over a ridge, and it slides into valleys"
                        : "entered, by an engineer",
                "site.snow",
                given == null
                        ? "enter an engineer's uneven snow on the faces; until then members are checked under even snow"
                        : "");
    }

    private static Check setDown(Design design, SetDowns.Stand stand) {
        UnitSystem units = design.job().project().units();
        Structure.SetDown what = stand.what();
        String id = "roof.set-down-" + what.id();
        String title = what.name() + ", " + what.high() + " high, " + what.stage();
        String pressure = Show.both(units, Dimension.LOAD, stand.pressurePa());
        String source = "construction load and simple members below, with all of its stage, without snow and array";
        if (!stand.inTheWay().isEmpty()) {
            return Check.stated(
                    id,
                    title,
                    "stands on " + stand.inTheWay(),
                    "free roof",
                    Verdict.FAILS,
                    source,
                    "roof.footprint",
                    "put it elsewhere");
        }
        if (!stand.known()) {
            return Check.stated(
                    id,
                    title,
                    pressure,
                    "missing: the construction load allowed, or members",
                    Verdict.NOT_ESTABLISHED,
                    source,
                    "roof.footprint",
                    "enter the construction load an engineer allows; until then set nothing down");
        }
        boolean byMember = stand.worst() != null && stand.worst().after().utilisation() >= stand.utilisation();
        return Check.compare(
                id,
                title,
                byMember
                        ? Show.number(stand.utilisation(), 2) + " at member "
                                + stand.worst().line().number()
                        : pressure,
                byMember ? "1.00" : Show.both(units, Dimension.LOAD, stand.allowedPa()),
                stand.utilisation(),
                null,
                source,
                "roof.footprint",
                stand.mostHigh() == 0
                        ? "not even one may stand here: spread it over more members or put it elsewhere"
                        : "at most " + stand.mostHigh() + " on each other here");
    }

    private static Check signed(Design design, Structure.Work work) {
        String name = design.job().roof().fabric().structure().members().stream()
                .filter(m -> m.id().equals(work.members()))
                .map(Structure.Members::name)
                .findFirst()
                .orElse(work.members());
        String where = work.bays().isEmpty() ? "all bays" : String.join(", ", work.bays());
        boolean done = !work.signedBy().isEmpty();
        return Check.stated(
                "roof.works-" + work.id(),
                "Strengthening seen done: " + name,
                done ? work.signedBy() + ", " + work.signedOn() : "not signed off",
                "signed off by an engineer",
                done ? Verdict.PASSES : Verdict.NEEDS_ENGINEER,
                "strengthening chosen in " + where,
                "roof.footprint",
                done
                        ? ""
                        : "photograph it before it is closed, and enter who signed it off and when: nothing is loaded before");
    }
}
