package whipsaw.core.formula;

import whipsaw.core.units.Measure;
import whipsaw.core.working.DataSource;
import whipsaw.core.working.DataStatus;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;

/**
 * Where a value that is put into formulas comes from.
 *
 * @param source in words; null when there is nothing to say
 * @param status of the data it rests on; null when it rests on none
 * @param figure whose working explains it; null for none
 * @param detail added to its meaning, as the row of a table; empty for none
 */
public record From(Origin origin, String source, DataStatus status, String figure, String detail) {
    /** Put in as it is, by a calculation of its own. */
    public static final From TYPED = new From(Origin.GIVEN, null, null, null, "");

    /** Typed into the job: as known, or as an assumption. */
    public static From typed(Measure measure) {
        boolean assumed = measure != null && measure.assumed();
        String typed = measure == null ? null : "typed " + measure.typed();
        return new From(assumed ? Origin.ASSUMED : Origin.GIVEN, typed, null, null, "");
    }

    /** A code table, with the row it was taken from. */
    public static From table(DataSource table, String row) {
        return new From(Origin.TABLE, table.words(), table.status(), null, row);
    }

    /** The same of a table with one value of the name. */
    public static From table(DataSource table) {
        return table(table, "");
    }

    /** A catalogue entry, as the job holds it. */
    public static From catalogue(DataSource entry) {
        return new From(Origin.CATALOGUE, entry.words(), entry.status(), null, "");
    }

    /** A stated rule. */
    public static From rule(String rule) {
        return new From(Origin.DEFAULTED, rule, null, null, "");
    }

    /** Another figure; null where an earlier step of the same working shows it. */
    public static From figure(String figure) {
        return new From(Origin.COMPUTED, null, null, figure, "");
    }

    /** The term of a working. */
    Term term(String symbol, String meaning, String value) {
        String words = detail.isEmpty() ? meaning : meaning + ", " + detail;
        return new Term(symbol, words, value, origin, source, status, figure);
    }
}
