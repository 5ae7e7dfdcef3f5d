package whipsaw.core.figure;

import whipsaw.core.design.Design;
import whipsaw.core.job.Structure;
import whipsaw.core.structure.DeckSpan;
import whipsaw.core.structure.MemberState;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.MemberTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** Working of the deck between members. */
final class DeckFigures {
    private DeckFigures() {}

    /** Null where nothing is known of the deck. */
    static Working deck(Design design, CodeTables tables) {
        DeckSpan d = design.members().deck();
        if (d == null) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        Structure s = design.job().roof().fabric().structure();
        Structure.Deck deck = s.deck();
        MemberState after = d.after();
        double snow = design.site().snow().roofPa();
        Working.Builder w = Working.of(
                        "roof.deck",
                        "Deck from " + d.from() + " to " + d.to(),
                        Show.number(100 * after.utilisation(), 1) + " % in " + after.governing() + "; "
                                + Show.number(100 * d.before().utilisation(), 1) + " % without the array")
                .step(
                        "L",
                        "from member to member",
                        "",
                        Show.both(units, Dimension.ROOF_LENGTH, d.spanM()),
                        "the worst strip of all gaps between members")
                .step(
                        "w",
                        "along the strip without the array, loads as they are, the members' weight left in",
                        s.live() == null ? "({g} + {s}) · {b}" : "({g} + {s} or {l}) · {b}",
                        even(s, snow, deck, units),
                        "",
                        Term.given(
                                "g",
                                "existing dead load",
                                Show.both(units, Dimension.LOAD, s.dead().si()),
                                s.dead()),
                        Term.computed(
                                "s", "snow; drifts are added", Show.both(units, Dimension.LOAD, snow), "site.snow"),
                        s.live() == null
                                ? Term.byRule("l", "roof live load", "none given", "")
                                : Term.given(
                                        "l",
                                        "roof live load",
                                        Show.both(
                                                units, Dimension.LOAD, s.live().si()),
                                        s.live()),
                        Term.given("b", "width of a strip", deck.width().typed(), deck.width()))
                .step(
                        "P",
                        "feet of modules on the strip",
                        "{n} feet",
                        Show.both(units, Dimension.FORCE, d.arrayN()),
                        "a foot is shared over the width of the strip",
                        Term.computed("n", "feet", String.valueOf(d.feet()), null));
        takes(w, design, d, tables);
        return w.note("Section " + deck.type().info().name() + ", "
                        + deck.type().info().status().words() + ", with the resistance factors of its material.")
                .note(
                        "Simple spans: a deck that runs on over members takes less in its spans and more over them. Crushing of"
                                + " its webs under a foot, fixings and uplift are left to the engineer.")
                .build();
    }

    /** What the strip takes of it. */
    private static void takes(Working.Builder w, Design design, DeckSpan d, CodeTables tables) {
        UnitSystem units = design.job().project().units();
        Structure.Deck deck = design.job().roof().fabric().structure().deck();
        MemberState after = d.after();
        PartSteps steps = new PartSteps(w, units);
        steps.moment("moment", after.moment(), d.before().moment());
        if (!Double.isNaN(after.shear().limit())) {
            steps.force("V", "shear", after.shear(), d.before().shear());
        }
        if (!Double.isNaN(after.total().limit())) {
            MemberTables.Deflection limits = tables.members()
                    .deflection(
                            design.job().site().code().combinations(),
                            deck.type().material());
            steps.deflection(
                    "deflection under all of it",
                    limits.totalSpanOver(),
                    limits,
                    after.total(),
                    d.before().total());
            steps.deflection(
                    "deflection under snow, live load or wind",
                    limits.variableSpanOver(),
                    limits,
                    after.variable(),
                    d.before().variable());
        }
    }

    private static String even(Structure s, double snowPa, Structure.Deck deck, UnitSystem units) {
        double width = deck.width().si();
        String snowed = Show.both(units, Dimension.LINE_LOAD, (s.dead().si() + snowPa) * width);
        return s.live() == null
                ? snowed
                : snowed + " or "
                        + Show.both(
                                units,
                                Dimension.LINE_LOAD,
                                (s.dead().si() + s.live().si()) * width);
    }
}
