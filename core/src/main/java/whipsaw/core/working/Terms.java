package whipsaw.core.working;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Where the inputs of a formula come from, by symbol. A formula writes its steps with the values it
 * used; this adds the origin, source and status that only its caller knows.
 */
public final class Terms {
    private final Map<String, Term> bySymbol = new LinkedHashMap<>();

    /** Inputs typed straight into a single calculation. */
    public static Terms typed() {
        return new Terms();
    }

    /** Origins of terms by their symbols. */
    public static Terms of(Term... terms) {
        Terms result = new Terms();
        for (Term term : terms) {
            result.bySymbol.put(term.symbol(), term);
        }
        return result;
    }

    /** The same with more terms; a later one replaces an earlier one of the same symbol. */
    public Terms and(Term... terms) {
        Terms result = new Terms();
        result.bySymbol.putAll(bySymbol);
        result.bySymbol.putAll(of(terms).bySymbol);
        return result;
    }

    /** The term of an input as the formula used it, with what is known of its origin. */
    public Term term(String symbol, String meaning, String value) {
        Term known = bySymbol.get(symbol);
        if (known == null) {
            return new Term(symbol, meaning, value, Origin.GIVEN, null, null, null);
        }
        return new Term(symbol, meaning, value, known.origin(), known.source(), known.status(), known.figure());
    }
}
