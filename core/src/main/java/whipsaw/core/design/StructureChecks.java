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
import whipsaw.core.job.Site;
import whipsaw.core.job.Structure;
import whipsaw.core.structure.DeckSpan;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.structure.SetDowns;
import whipsaw.core.structure.SignOff;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Whether the members take the array, and whether strengthening that was chosen has been seen done. */
final class StructureChecks {
    private static final double NEAR = 0.0005;
    private static final String SOURCE =
            "simple spans under the roof and the feet of the array, under gravity and with wind";

    private StructureChecks() {}

    static List<Check> of(Design design, CodeTables tables) {
        List<Check> checks = new ArrayList<>();
        national(design, tables, checks);
        floor(design, checks);
        checks.addAll(StandingChecks.of(design));
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
        if (members.deck() != null) {
            checks.add(deck(design, members.deck()));
        }
        for (RoofMembers.Checked checked : members.sets()) {
            checks.add(set(design, checked));
            if (design.faceWind() != null) {
                checks.add(lifted(design, checked));
            }
        }
        if (design.faceWind() != null && !design.faceWind().known()) {
            checks.add(Check.stated(
                    "roof.flush",
                    "Wind on modules parallel to the roof",
                    "missing: " + design.faceWind().missing(),
                    "by a method, or by an engineer",
                    Verdict.NOT_ESTABLISHED,
                    "ASCE 7-16 29.4.4",
                    "flush/roof",
                    "enter an engineer's net uplift among the loads of pitched faces"));
        }
        if (design.faceWind() != null && !members.sets().isEmpty()) {
            checks.add(unevenSnow(design));
        }
        for (SetDowns.Stand stand : design.setDowns()) {
            checks.add(setDown(design, stand));
        }
        for (Structure.Work work : design.job().roof().fabric().structure().works()) {
            checks.add(signed(design, work));
        }
        return checks;
    }

    /** A set of national parameters may be withdrawn after a job chose it. */
    private static void national(Design design, CodeTables tables, List<Check> checks) {
        if (design.job().site().code() instanceof Site.EnSite en
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
                        + Show.count(design.holdDown().demands().size(), "module"),
                Show.both(units, Dimension.LOAD, r.upliftPa()) + " by " + r.by(),
                Verdict.PASSES,
                "entered with the site",
                "uplift/" + raised.get(0).module().id(),
                ""));
    }

    /** How much of what it may carry a member carries; near the limit it shows on which side. */
    private static String used(String name, double utilisation) {
        return name + " at " + Show.number(100 * utilisation, Math.abs(utilisation - 1) < NEAR ? 3 : 1) + " %";
    }

    private static Check set(Design design, RoofMembers.Checked checked) {
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
        String words = used(worst.line().number(), utilisation) + " in "
                + worst.after().governing();
        Place place = new Place(
                failing.isEmpty() ? "member " + worst.line().number() : failing.size() + " members",
                Place.Kind.BAYS,
                List.copyOf(bays));
        String figure = "member/" + id + "/" + worst.line().number();
        if (failing.isEmpty() && !design.downWind().known()) {
            return new Check(
                    "roof.members-" + id,
                    title,
                    words + ", without wind",
                    Check.WHOLE,
                    Double.NaN,
                    Verdict.NOT_ESTABLISHED,
                    place,
                    SOURCE,
                    figure,
                    "what the wind presses on the roof is not known: "
                            + design.downWind().missing() + "; enter an engineer's value under Structure");
        }
        if (failing.isEmpty() && small > 0) {
            return new Check(
                    "roof.members-" + id,
                    title,
                    words,
                    Check.WHOLE,
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
                words,
                Check.WHOLE,
                utilisation,
                place,
                SOURCE,
                figure,
                failing.size() + " of " + checked.members().size()
                        + " carry too much: fewer modules here, strengthening, or another bay");
    }

    private static Check deck(Design design, DeckSpan deck) {
        double utilisation = deck.after().utilisation();
        String bay = design.plan().bays().get(deck.bay()).name();
        return Check.compare(
                "roof.deck",
                "Deck between members",
                used(deck.from() + " to " + deck.to(), utilisation) + " in "
                        + deck.after().governing(),
                Check.WHOLE,
                utilisation,
                new Place("bay " + bay, Place.Kind.BAYS, List.of(deck.bay())),
                "a strip as a simple span under the feet on it",
                "roof.deck",
                "larger pads over more deck, fewer blocks here, or members added between");
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
            missing.add("allowable end uplift");
        }
        boolean over = worst != null && worst.uplift().utilisation() > 1;
        if (!missing.isEmpty() && !over) {
            return Check.stated(
                    id,
                    title,
                    worst == null
                            ? "not known"
                            : Show.both(units, Dimension.MOMENT, worst.uplift().momentNm()) + " up, "
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
                used(worst.line().number(), worst.uplift().utilisation()),
                Check.WHOLE,
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
        String name = design.job().roof().fabric().structure().nameOf(work);
        String where = work.bays().isEmpty() ? "all bays" : String.join(", ", work.bays());
        boolean done = !work.signedBy().isEmpty();
        String lapsed = done ? SignOff.lapsed(design.job(), design.members(), work) : "";
        Structure.SignedFor now = SignOff.now(design.job(), design.members(), work);
        int photos = work.photos().size();
        Verdict verdict =
                !done || !lapsed.isEmpty() ? Verdict.NEEDS_ENGINEER : photos == 0 ? Verdict.CLOSE : Verdict.PASSES;
        String signature = done ? work.signedBy() + ", " + work.signedOn() : "not signed off";
        String figures = done && work.signedFor() != null
                ? " for " + Show.number(work.signedFor().utilisation(), 2)
                        + (now == null ? "" : ", now " + Show.number(now.utilisation(), 2))
                : "";
        String remark =
                "photograph it before it is closed, and enter who signed it off and when: nothing is loaded before";
        if (!lapsed.isEmpty()) {
            remark = "the signature has lapsed: " + lapsed
                    + "; the engineer looks again, then clear it and enter it anew";
        } else if (done) {
            remark = photos == 0 ? "no photograph is kept of what is closed now" : "";
        }
        return Check.stated(
                "roof.works-" + work.id(),
                "Strengthening seen done: " + name,
                signature + figures + ", " + Show.count(photos, "photograph"),
                "photographed, and signed off by an engineer",
                verdict,
                "strengthening chosen in " + where,
                "roof.footprint",
                remark);
    }
}
