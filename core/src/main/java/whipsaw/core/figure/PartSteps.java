package whipsaw.core.figure;

import whipsaw.core.structure.MemberState;
import whipsaw.core.table.MemberTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** Steps that hold one effect of loads on a member or a strip of deck against what it takes. */
record PartSteps(Working.Builder w, UnitSystem units) {

    void moment(String words, MemberState.Part part, MemberState.Part before) {
        compare(
                "M",
                words,
                Show.both(units, Dimension.MOMENT, part.effect()),
                Show.both(units, Dimension.MOMENT, part.limit()),
                part,
                before);
    }

    void force(String symbol, String words, MemberState.Part part, MemberState.Part before) {
        compare(
                symbol,
                words,
                Show.both(units, Dimension.FORCE, part.effect()),
                Show.both(units, Dimension.FORCE, part.limit()),
                part,
                before);
    }

    /** @param spanOver what the span is divided by for what is allowed */
    void deflection(
            String words,
            double spanOver,
            MemberTables.Deflection limits,
            MemberState.Part part,
            MemberState.Part before) {
        w.step(
                "δ",
                words + ", limit: span over " + Show.number(spanOver, 0),
                "{effect} / {limit}",
                ratios(part, before),
                part.combination() + "; " + limits.clause(),
                Term.computed(
                        "effect", "largest there is", Show.both(units, Dimension.PART_LENGTH, part.effect()), null),
                Term.computed("limit", "what it takes", Show.both(units, Dimension.PART_LENGTH, part.limit()), null));
    }

    private static String ratios(MemberState.Part part, MemberState.Part before) {
        return Show.number(part.utilisation(), 3) + " (" + Show.number(before.utilisation(), 3) + " without the array)";
    }

    void compare(
            String symbol, String words, String effect, String limit, MemberState.Part part, MemberState.Part before) {
        w.step(
                symbol,
                words,
                "{effect} / {limit}",
                ratios(part, before),
                part.combination(),
                Term.computed("effect", "largest there is", effect, null),
                Term.computed("limit", "what it takes", limit, null));
    }
}
