package whipsaw.core.working;

import java.util.List;

/**
 * One line of a working. The formula is written with its symbols in braces, {@code 0.00256 {K_z}
 * {V}²}; {@link #symbolic()} shows the symbols and {@link #substituted()} the values.
 *
 * @param symbol of the result, or an empty text for a rule in words
 * @param meaning of the result
 * @param formula with symbols in braces
 * @param result with unit
 * @param clause of the standard, the method or our own convention
 * @param terms the values put in, in any order
 */
public record Step(String symbol, String meaning, String formula, String result, String clause, List<Term> terms) {

    public Step {
        terms = List.copyOf(terms);
    }

    /** A step of terms one by one. */
    public static Step of(String symbol, String meaning, String formula, String result, String clause, Term... terms) {
        return new Step(symbol, meaning, formula, result, clause, List.of(terms));
    }

    /** The formula in symbols. */
    public String symbolic() {
        return formula.replace("{", "").replace("}", "");
    }

    /** The formula with the values put in. */
    public String substituted() {
        String text = formula;
        for (Term term : terms) {
            text = text.replace("{" + term.symbol() + "}", term.value());
        }
        return text.replace("{", "").replace("}", "");
    }

    /** Status of the least reliable value put in, or null when none rests on data. */
    public DataStatus status() {
        return terms.stream().map(Term::status).reduce(null, DataStatus::worse);
    }
}
