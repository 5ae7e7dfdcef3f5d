package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.catalogue.AttachmentType;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.structure.ArraySeismic;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.structure.CoverPressure;
import whipsaw.core.structure.FootPressure;
import whipsaw.core.structure.SeismicDisplacement;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Checks of how the array stands on the roof: in an earthquake, by its attachments, on its feet. */
final class StandingChecks {
    private StandingChecks() {}

    static List<Check> of(Design design) {
        List<Check> checks = new ArrayList<>();
        seismic(design, checks);
        attached(design, checks);
        feet(design, checks);
        cover(design, checks);
        return checks;
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
                    "enter it under Site"));
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

    /** Bays and places that attachments were asked for at, and that are not there. */
    private static void attachedWhere(Design design, List<Check> checks) {
        ArrayChoice.Attachments asked = design.job().array().attachments();
        List<String> unknown = asked == null
                ? List.of()
                : asked.bays().stream()
                        .filter(name -> design.plan().bays().stream()
                                .noneMatch(b -> b.name().equals(name)))
                        .toList();
        if (!unknown.isEmpty()) {
            checks.add(Check.stated(
                    "array.attached-bays",
                    "Bays with attachments",
                    "bay " + String.join(", ", unknown) + ": no such bay on this roof",
                    "bays that are there",
                    Verdict.NOT_ESTABLISHED,
                    "as entered",
                    "total.blocks",
                    "name bays as on the plan, or none for all of them"));
        }
        int lost = asked == null
                ? 0
                : asked.at().size()
                        - (int) design.holdDown().positions().stream()
                                .filter(p -> p.ballast().hold().attached())
                                .count();
        if (lost > 0 && asked.bays().isEmpty()) {
            checks.add(Check.stated(
                    "array.attached-places",
                    "Positions with attachments",
                    Show.count(lost, "place") + " of " + asked.at().size() + " at no position",
                    "a position at every place",
                    Verdict.NEEDS_ENGINEER,
                    "places as taken from the mix of blocks and attachments",
                    "total.blocks",
                    "the array has moved since: work out the mix of blocks and attachments anew"));
        }
    }

    private static void attached(Design design, List<Check> checks) {
        attachedWhere(design, checks);
        AttachedArray a = design.attached();
        if (a == null) {
            return;
        }
        if (a.each().part() != null) {
            part(design, a.each().part(), checks);
        }
        UnitSystem units = design.job().project().units();
        String each = "one takes "
                + Show.both(units, Dimension.FORCE, a.each().tension().si()) + " up, "
                + Show.both(units, Dimension.FORCE, a.each().shear().si()) + " along";
        boolean known = a.missing().isEmpty();
        String press = Double.isNaN(a.pressN())
                ? ""
                : "; up to " + Show.both(units, Dimension.FORCE, a.pressN()) + " presses down beside one";
        checks.add(new Check(
                "array.attachments",
                "Attachments",
                a.needed() + (known ? "" : " by wind alone; missing for the earthquake: " + a.missing()) + press,
                each,
                Double.NaN,
                known ? Verdict.NEEDS_ENGINEER : Verdict.NOT_ESTABLISHED,
                new Place(
                        Show.count(a.groups().size(), "group") + " of positions",
                        Place.Kind.POSITIONS,
                        a.groups().stream()
                                .flatMap(g -> g.positions().stream())
                                .map(HoldDown.Position::index)
                                .toList()),
                "as entered; first estimate, shared over no more than the tray system has been shown to share",
                "array.attachments",
                known
                        ? "their places are not designed and what they pull on deck and members is not checked: an engineer"
                                + " places them, and confirms what one takes and that the racking carries the load to them"
                        : "enter it under Site"));
    }

    /** What the maker of the attachment states of the roof it may stand on, and what its loads rest on. */
    private static void part(Design design, AttachmentType part, List<Check> checks) {
        UnitSystem units = design.job().project().units();
        double slope = design.job().roof().slope().si();
        if (part.steepest() != null) {
            checks.add(Check.compare(
                    "array.attached-slope",
                    "Slope the attachment is made for",
                    Show.in(units, Dimension.ANGLE, slope),
                    Show.in(units, Dimension.ANGLE, part.steepest().si()),
                    slope / part.steepest().si(),
                    null,
                    part.info().name() + ", as its maker states",
                    "array.attachments",
                    "take another attachment, or have its maker confirm it for this slope"));
        }
        if (part.basis().isBlank()) {
            checks.add(Check.stated(
                    "array.attached-basis",
                    "Test the attachment's loads rest on",
                    "none stated for " + part.info().name(),
                    "a test on a build-up like this one",
                    Verdict.NOT_ESTABLISHED,
                    "catalogue",
                    "array.attachments",
                    "have some pulled on this roof, or take one that was tested"));
        }
    }

    private static void feet(Design design, List<Check> checks) {
        FootPressure f = design.feet();
        if (f == null) {
            return;
        }
        UnitSystem units = design.job().project().units();
        boolean lasting = f.lastingPa() / f.lastingMostPa() >= f.shortPa() / f.withSnowMostPa();
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
                            + (Double.isNaN(f.withSnowPa()) ? " and the ground snow load" : "")
                            + (Double.isNaN(f.withWindPa()) ? " and the wind" : "")));
            return;
        }
        checks.add(Check.compare(
                "roof.feet",
                title,
                Show.both(units, Dimension.CONTACT, lasting ? f.lastingPa() : f.shortPa())
                        + (lasting ? ", lasting" : f.withSnowPa() >= f.withWindPa() ? ", with snow" : ", with wind"),
                Show.both(units, Dimension.CONTACT, lasting ? f.lastingMostPa() : f.withSnowMostPa()),
                f.utilisation(),
                null,
                "share of the insulation's compressive strength",
                "roof.feet",
                "larger pads, a board under them, or fewer blocks here"));
    }

    /** The covering under the feet, which softens in heat. */
    private static void cover(Design design, List<Check> checks) {
        CoverPressure c = design.cover();
        if (c == null) {
            return;
        }
        UnitSystem units = design.job().project().units();
        String title = "Feet on the covering" + (c.softens() ? " in summer heat" : "") + ", module " + c.module();
        String source = "the covering's maker";
        if (Double.isNaN(c.utilisation())) {
            checks.add(Check.stated(
                    "roof.cover",
                    title,
                    Double.isNaN(c.lastingPa())
                            ? "the size of a foot is not known"
                            : Show.both(units, Dimension.CONTACT, c.lastingPa()),
                    Double.isNaN(c.mostPa()) ? "not known" : Show.both(units, Dimension.CONTACT, c.mostPa()),
                    Verdict.NOT_ESTABLISHED,
                    source,
                    "roof.cover",
                    c.reason() + ": enter what its maker allows for good" + (c.softens() ? " in summer heat" : "")
                            + " in the survey, and the plate under each foot"));
            return;
        }
        checks.add(Check.compare(
                "roof.cover",
                title,
                Show.both(units, Dimension.CONTACT, c.lastingPa()) + (c.plate() ? " under the plate" : ""),
                Show.both(units, Dimension.CONTACT, c.mostPa()),
                c.utilisation(),
                null,
                source,
                "roof.cover",
                "a larger plate under each foot, or fewer blocks here"));
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
}
