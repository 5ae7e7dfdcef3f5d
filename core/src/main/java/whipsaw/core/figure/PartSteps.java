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
        compare("M", words, Show.moment(units, part.effect()), Show.moment(units, part.limit()), part, before);
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

    /** @param limit parameter of the span's part that is allowed */
    void deflection(String words, String limit, MemberTables tables, MemberState.Part part, MemberState.Part before) {
        compare(
                "δ",
                words + ", limit: span over " + Show.number(tables.limit(limit), 0),
                Show.both(units, Dimension.PART_LENGTH, part.effect()),
                Show.both(units, Dimension.PART_LENGTH, part.limit()),
                part,
                before);
    }

    void compare(
            String symbol, String words, String effect, String limit, MemberState.Part part, MemberState.Part before) {
        w.step(
                symbol,
                words,
                "{effect} / {limit}",
                Show.number(part.utilisation(), 3) + " (" + Show.number(before.utilisation(), 3)
                        + " without the array)",
                part.combination(),
                Term.computed("effect", "largest there is", effect, null),
                Term.computed("limit", "what it takes", limit, null));
    }
}
