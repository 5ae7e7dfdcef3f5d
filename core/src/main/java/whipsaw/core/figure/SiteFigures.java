package whipsaw.core.figure;

import static whipsaw.core.units.Show.significant;

import whipsaw.core.array.PairSpacing;
import whipsaw.core.array.RowSpacing;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Site;
import whipsaw.core.roof.Traverse;
import whipsaw.core.site.PeakPressure;
import whipsaw.core.site.Topography;
import whipsaw.core.site.VelocityPressure;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** Workings of the survey, the site and the spacing of rows. */
final class SiteFigures {
    private SiteFigures() {}

    static Working windPressure(Design design, CodeTables tables) {
        Site site = design.job().site();
        UnitSystem units = design.job().project().units();
        if (design.site().wind() == null) {
            return Working.of("site.qh", "Wind pressure at roof height", "not established")
                    .note("No wind speed has been given for the code family of the job.")
                    .build();
        }
        String answer = Show.both(units, Dimension.LOAD, design.site().wind().pressurePa());
        if (design.site().wind() instanceof PeakPressure q) {
            Terms terms = Terms.of(
                    Term.byRule("z_e", "", "", "roof height and highest parapet"),
                    Term.given("h_dis", "", "", ((Site.EnSite) site.code()).displacement()),
                    Term.given("v_b0", "", "", site.wind()));
            return Working.of("site.qh", "Peak velocity pressure at roof height", answer)
                    .steps(q.steps(terms))
                    .note("The wind speed is a 10-minute mean with a return period of 50 years; c_prob takes it to the"
                            + " period of the job. A ground snow load is typed for the period that is wanted.")
                    .note("Recommended values: the national annex in force decides.")
                    .build();
        }
        VelocityPressure q = (VelocityPressure) design.site().wind();
        Terms terms = Terms.of(
                Term.given("z", "", "", design.job().roof().height()),
                Term.given("z_e", "", "", site.elevation()),
                Term.given("K_zt", "", "", null),
                Term.given("V", "", "", site.wind()));
        Working.Builder w = Working.of("site.qh", "Velocity pressure at mean roof height", answer);
        Topography hill = design.site().topography();
        if (hill != null) {
            w.steps(hill.steps());
            w.note("That nothing as high stands upwind, and that the building is in the upper half of the hill, is for"
                    + " you to see on the ground.");
        }
        if (q.input().edition().equals("7-22")) {
            w.note("7-22 writes K_d into the pressure equations; it is taken once, here.");
        }
        return w.steps(q.steps(terms))
                .note("The wind speed is a 3-second gust at strength level for risk category "
                        + ((Site.AsceSite) site.code()).riskCategory()
                        + "; there is no importance factor on wind.")
                .build();
    }

    static Working closure(Design design) {
        Traverse t = design.plan().tape();
        UnitSystem units = design.job().project().units();
        String gap = Show.both(units, Dimension.ROOF_LENGTH, t.closureM());
        String ratio = Double.isNaN(t.ratio()) ? "closes" : "1 in " + Show.number(t.ratio(), 0);
        return Working.of("survey.closure", "Closing error of the tape", gap)
                .step(
                        "ΔA",
                        "angular misclosure, spread evenly over the corners",
                        "Σ turns − 360°",
                        Show.number(t.misclosureDeg(), 2) + " deg",
                        "compass-rule adjustment")
                .step(
                        "e",
                        "closing error",
                        "√({e_x}² + {e_y}²)",
                        gap,
                        "compass-rule adjustment",
                        Term.computed("e_x", "sum of the legs in x", Show.number(t.closureX(), 3) + " m", null),
                        Term.computed("e_y", "sum of the legs in y", Show.number(t.closureY(), 3) + " m", null))
                .step(
                        "",
                        "perimeter over closing error",
                        "{P} / {e}",
                        ratio,
                        "",
                        Term.computed("P", "perimeter", Show.both(units, Dimension.ROOF_LENGTH, t.perimeterM()), null),
                        Term.computed("e", "closing error", gap, null))
                .note("Each corner is moved in proportion to the length walked to it.")
                .note(
                        "A small closing error does not prove a good survey: equal errors on opposite sides close well. Tape a diagonal.")
                .build();
    }

    static Working rowGap(Design design) {
        RowSpacing r = design.layout().spacing();
        UnitSystem units = design.job().project().units();
        ArrayChoice array = design.job().array();
        String chosen = Show.both(units, Dimension.PART_LENGTH, design.layout().gapM());
        if (design.layout().pairs() != null) {
            return valley(design, chosen);
        }
        Working.Builder w = Working.of("array.gap", "Row gap", chosen)
                .steps(r.steps(
                        Terms.of(
                                Term.data(
                                        "L",
                                        "",
                                        "",
                                        Origin.CATALOGUE,
                                        array.module().info()),
                                Term.given("β", "", "", array.tilt())),
                        units));
        if (!r.shadeFree()) {
            w.note("The sun is at or below the horizon within the window: no gap is shade-free.");
        }
        return w.step(
                        "",
                        design.layout().gapChosen()
                                ? "setting chosen in the job"
                                : "smallest setting of the tray system that is shade-free, else its largest",
                        "",
                        chosen,
                        array.tray().info().name())
                .note("The rows are taken as standing on a level roof; the fall of the roof is not in the gap.")
                .build();
    }

    private static Working valley(Design design, String chosen) {
        PairSpacing p = design.layout().pairs();
        UnitSystem units = design.job().project().units();
        ArrayChoice array = design.job().array();
        return Working.of("array.gap", "Valley between pairs", chosen)
                .steps(p.at(design.layout().gapM())
                        .steps(
                                Terms.of(
                                        Term.data(
                                                "ridge",
                                                "",
                                                "",
                                                Origin.CATALOGUE,
                                                array.tray().info()),
                                        Term.data(
                                                "v",
                                                "",
                                                "",
                                                Origin.CATALOGUE,
                                                array.tray().info())),
                                units))
                .note(
                        p.shadeFree()
                                ? "No shade at all in the window from "
                                        + SolarTime.clock(p.input().fromHour())
                                        + " to "
                                        + SolarTime.clock(p.input().toHour())
                                        + " of the shortest day would need a valley of "
                                        + Show.both(units, Dimension.PART_LENGTH, p.valleyM())
                                        + ", for a sun as low as "
                                        + Show.number(p.lowestProfileDeg(), 1)
                                        + "° in section."
                                : "The sun is below the horizon within the window: no valley is shade-free.")
                .note("The pairs are taken as standing on a level roof.")
                .build();
    }

    static Working setback(Design design, CodeTables tables) {
        UnitSystem units = design.job().project().units();
        String value = Show.both(units, Dimension.ROOF_LENGTH, design.layout().setbackM());
        Working.Builder w = Working.of("array.setback", "Perimeter set-back", value);
        if (design.layout().setbackRule() == null) {
            w.step(
                    "",
                    "typed in the job",
                    "{d}",
                    value,
                    "",
                    Term.given("d", "set-back", value, design.job().array().setback()));
        } else {
            w.step(
                    "",
                    "by the sides of the building: " + design.layout().setbackRule(),
                    "sides {a} and {b}",
                    value,
                    tables.setbacks().table().source(),
                    Term.computed(
                            "a",
                            "long side",
                            Show.both(
                                    units, Dimension.ROOF_LENGTH, design.plan().longSideM()),
                            null),
                    Term.computed(
                            "b",
                            "short side",
                            Show.both(
                                    units, Dimension.ROOF_LENGTH, design.plan().shortSideM()),
                            null),
                    Term.data(
                            "rule",
                            "common rule",
                            significant(design.layout().setbackM() / 0.3048, 3) + " ft",
                            Origin.DEFAULTED,
                            tables.setbacks().table()));
        }
        return w.note("Measured from the inner face of the parapet. The adopted fire code decides.")
                .build();
    }
}
