package whipsaw.core.working;

import whipsaw.core.units.Measure;

/**
 * One value put into a formula.
 *
 * @param symbol as written in the formula, for example {@code K_z}
 * @param meaning in words
 * @param value with its unit, as put into the formula
 * @param origin where it comes from
 * @param source the table, catalogue entry, rule or person, or null
 * @param status of the data behind it, or null when it rests on none
 * @param figure key of the figure whose working explains it, or null
 */
public record Term(
        String symbol, String meaning, String value, Origin origin, String source, DataStatus status, String figure) {

    /** A value of the job itself; an assumption when it was typed as one. */
    public static Term given(String symbol, String meaning, String value, Measure measure) {
        boolean assumed = measure != null && measure.assumed();
        String typed = measure == null ? null : "typed " + measure.typed();
        return new Term(symbol, meaning, value, assumed ? Origin.ASSUMED : Origin.GIVEN, typed, null, null);
    }

    /** A value computed elsewhere, with the figure that shows how (null: an earlier step). */
    public static Term computed(String symbol, String meaning, String value, String figure) {
        return new Term(symbol, meaning, value, Origin.COMPUTED, null, null, figure);
    }

    /** A value of a code table or of a catalogue entry. */
    public static Term data(String symbol, String meaning, String value, Origin origin, DataSource source) {
        return new Term(symbol, meaning, value, origin, source.words(), source.status(), null);
    }

    /** A value that a stated rule supplied. */
    public static Term byRule(String symbol, String meaning, String value, String rule) {
        return new Term(symbol, meaning, value, Origin.DEFAULTED, rule, null, null);
    }
}
