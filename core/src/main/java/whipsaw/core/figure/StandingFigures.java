package whipsaw.core.figure;

import whipsaw.core.design.Design;
import whipsaw.core.structure.ArraySeismic;
import whipsaw.core.structure.CoverPressure;
import whipsaw.core.structure.FootPressure;
import whipsaw.core.structure.SeismicDisplacement;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** Workings of how an array stands: the room it has to slide, and the pressure under its feet. */
final class StandingFigures {
    private StandingFigures() {}

    /** Null when the method is not asked for or something it needs is missing. */
    static Working room(Design design, CodeTables tables) {
        ArraySeismic s = design.seismic();
        if (s == null || s.displacement() == null) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        SeismicDisplacement d = s.displacement();
        String slides = Show.both(units, Dimension.ROOF_LENGTH, d.displacementM());
        Working.Builder w = Working.of("seismic.room", "Room to slide in an earthquake", slides + " to be clear")
                .steps(d.displacement()
                        .steps(Terms.of(
                                Term.data(
                                        "I_e",
                                        "",
                                        "",
                                        Origin.TABLE,
                                        tables.seismic().table()),
                                Term.given("S_DS", "", "", null))));
        for (ArraySeismic.Room room : s.rooms()) {
            w.step(
                            "",
                            "to " + room.name(),
                            "",
                            Show.both(units, Dimension.ROOF_LENGTH, room.need().requiredM())
                                    + (room.need().ok() ? " wanted, " : " wanted, and only ")
                                    + Show.both(
                                            units,
                                            Dimension.ROOF_LENGTH,
                                            room.need().clearance().clearM())
                                    + " there",
                            "13.6.12")
                    .steps(room.need().room().steps(Terms.typed(), units));
        }
        return w.note(
                        "Also wanted: roof slope up to 1 in 20, friction of at least 0.4 by test, up to 6 stories, risk category up to III, the array tied together for 0.2 S_DS W.")
                .note(
                        "A parapet counts as a curb where it is high enough and entered as designed for the array running into it. Design categories A and B may be exempt: the engineer says so. The factor between parts of an array is read with LOW confidence.")
                .build();
    }

    /** Lasting pressure on the covering; null where it is not asked. */
    static Working cover(Design design) {
        CoverPressure c = design.cover();
        if (c == null) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        String lasting =
                Double.isNaN(c.lastingPa()) ? "not established" : Show.both(units, Dimension.CONTACT, c.lastingPa());
        Working.Builder w = Working.of("roof.cover", "Feet on the covering", lasting + " lasting");
        if (!Double.isNaN(c.lastingPa())) {
            w.steps(c.load().steps(Terms.typed(), units)).note("The heaviest module is " + c.module() + ".");
        }
        w.step(
                "p_R",
                c.softens()
                        ? "what the covering carries for good, the lower of cool and hot"
                        : "what it carries for good",
                c.softens() ? "min({cool}, {hot})" : "{cool}",
                contact(units, c.mostPa()),
                "the covering's maker",
                Term.computed("cool", "entered in the survey", contact(units, c.coolMostPa()), null),
                Term.computed("hot", "in summer heat", contact(units, c.hotMostPa()), null));
        if (!c.plate() && !Double.isNaN(design.job().survey().number("spreaderSide"))) {
            w.note("The plate in the survey is no larger than the foot and spreads nothing: it is not counted.");
        }
        return w.note(c.reason() + ".")
                .note(
                        c.plate()
                                ? "The plate is taken as stiff: its maker or the engineer says how thick it has to be."
                                : "A foot is taken as stiff. A plate under it spreads the load: enter its side in the survey.")
                .build();
    }

    private static String contact(UnitSystem units, double pa) {
        return Double.isNaN(pa) ? "not known" : Show.both(units, Dimension.CONTACT, pa);
    }

    /** Pressure under a foot; null when nothing is known of feet or insulation. */
    static Working feet(Design design, CodeTables tables) {
        FootPressure f = design.feet();
        if (f == null) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        String lasting = Show.both(units, Dimension.CONTACT, f.lastingPa());
        Working.Builder w = Working.of("roof.feet", "Feet on the insulation", lasting + " lasting")
                .steps(f.load()
                        .steps(
                                Terms.of(Term.data(
                                        "A",
                                        "",
                                        "",
                                        Origin.CATALOGUE,
                                        design.job().array().tray().info())),
                                units))
                .note("The heaviest module is " + f.module() + ".");
        if (!Double.isNaN(f.withSnowPa())) {
            w.step(
                    "p_s",
                    "with the even snow on the module",
                    "{p} + snow",
                    Show.both(units, Dimension.CONTACT, f.withSnowPa()),
                    "",
                    Term.computed("p", "lasting", lasting, null));
        }
        if (!Double.isNaN(f.withWindPa())) {
            w.step(
                    "p_w",
                    "with the wind on the module that is pressed most",
                    "{c}",
                    Show.both(units, Dimension.CONTACT, f.withWindPa()),
                    "the combination that is worst, at allowable level",
                    Term.computed("c", "combination", f.windCombination(), "wind.down"));
        }
        if (!Double.isNaN(f.strengthPa())) {
            insulation(w, f, tables, units);
        }
        return w.note(
                        "The maker of the insulation gives what may last on it; these shares are a convention until then.")
                .build();
    }

    /** What the insulation takes. */
    private static void insulation(Working.Builder w, FootPressure f, CodeTables tables, UnitSystem units) {
        for (String share : new String[] {"lasting_share_of_strength", "with_snow_share_of_strength"}) {
            w.step(
                    "p_R",
                    share.startsWith("lasting") ? "what may last on the insulation" : "what may act with snow or wind",
                    "{f} · {σ_10}",
                    Show.both(
                            units,
                            Dimension.CONTACT,
                            f.strengthPa() * tables.feet().value(share)),
                    "",
                    Term.data(
                            "f",
                            "share",
                            Show.number(tables.feet().value(share), 2),
                            Origin.TABLE,
                            tables.feet().table()),
                    Term.computed(
                            "σ_10",
                            "compressive strength, surveyed",
                            Show.both(units, Dimension.CONTACT, f.strengthPa()),
                            null));
        }
    }
}
