package whipsaw.core.formula;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;

/**
 * A group of formulas that build on each other: what is put in, and each result by its formula. Declared as a constant of
 * the class it belongs to, so that a symbol that is not there, units that do not fit or a clause that is missing fail
 * when that class is loaded.
 */
public final class Formulas {
    /** One symbol: put in, or the result of a formula. */
    private record Symbol(
            String name, String meaning, Measured measured, String formula, Expression expression, String clause) {
        boolean putIn() {
            return expression == null;
        }
    }

    private final List<Symbol> symbols;
    private final Map<String, Integer> places;

    private Formulas(List<Symbol> symbols, Map<String, Integer> places) {
        this.symbols = List.copyOf(symbols);
        this.places = Map.copyOf(places);
    }

    /**
     * Begins a group.
     *
     * @param standard or method its clauses are of, as {@code EN 1991-1-4}; empty where they name their own
     */
    public static Builder of(String standard) {
        return new Builder(standard);
    }

    /** Declares a group, symbol by symbol, in the order in which they build on each other. */
    public static final class Builder {
        private final String standard;
        private final List<Symbol> symbols = new ArrayList<>();
        private final Map<String, Integer> places = new HashMap<>();
        private final List<Measured> measures = new ArrayList<>();

        private Builder(String standard) {
            this.standard = standard;
        }

        /** A value that is put in. */
        public Builder in(String symbol, String meaning, Measured measured) {
            return add(new Symbol(symbol, meaning, measured, "", null, ""));
        }

        /**
         * A result.
         *
         * @param formula with symbols in braces, as it is printed
         * @param clause of the standard
         */
        public Builder let(String symbol, String meaning, String formula, Measured measured, String clause) {
            return let(symbol, meaning, formula, measured, clause, false);
        }

        /** The same of a formula whose constants carry units of their own, as the standard gives it. */
        public Builder dimensional(String symbol, String meaning, String formula, Measured measured, String clause) {
            return let(symbol, meaning, formula, measured, clause, true);
        }

        private Builder let(
                String symbol, String meaning, String formula, Measured measured, String clause, boolean dimensional) {
            if (clause.isBlank()) {
                throw new IllegalArgumentException(symbol + " has no clause");
            }
            Expression e = new Expression(formula, s -> places.getOrDefault(s, -1), measures, dimensional);
            if (!dimensional && !e.measured().goesWith(measured)) {
                throw new IllegalArgumentException(symbol + " is not measured as its formula '" + formula + "' is");
            }
            String named = standard.isEmpty() ? clause : standard + " " + clause;
            return add(new Symbol(symbol, meaning, measured, formula, e, named));
        }

        private Builder add(Symbol symbol) {
            if (symbol.meaning().isBlank() || places.putIfAbsent(symbol.name(), symbols.size()) != null) {
                throw new IllegalArgumentException(symbol.name() + " is declared twice, or has no meaning");
            }
            symbols.add(symbol);
            measures.add(symbol.measured());
            return this;
        }

        /** The group; a value that is put in and read by no formula is an error. */
        public Formulas build() {
            Set<Integer> used = new HashSet<>();
            symbols.stream()
                    .filter(s -> !s.putIn())
                    .forEach(s -> used.addAll(s.expression().used()));
            for (int i = 0; i < symbols.size(); i++) {
                if (symbols.get(i).putIn() && !used.contains(i)) {
                    throw new IllegalArgumentException(symbols.get(i).name() + " is put in and never used");
                }
            }
            return new Formulas(symbols, places);
        }
    }

    /** Values to be put in and computed. */
    public Values values() {
        return new Values(this, symbols.size());
    }

    boolean has(String symbol) {
        return places.containsKey(symbol);
    }

    int place(String symbol) {
        Integer place = places.get(symbol);
        if (place == null) {
            throw new IllegalArgumentException("there is no symbol '" + symbol + "'");
        }
        return place;
    }

    Measured measured(int place) {
        return symbols.get(place).measured();
    }

    boolean putIn(int place) {
        return symbols.get(place).putIn();
    }

    /** Computes every result in turn; a value that was not put in is NaN and so is what follows from it. */
    void compute(double... values) {
        for (int i = 0; i < values.length; i++) {
            Symbol s = symbols.get(i);
            if (!s.putIn()) {
                values[i] = s.expression().at(values);
            }
        }
    }

    /** The lines of a working. */
    List<Step> steps(Values values, Terms terms, UnitSystem first) {
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < symbols.size(); i++) {
            Symbol s = symbols.get(i);
            if (s.putIn()) {
                continue;
            }
            List<Term> used = new ArrayList<>();
            s.expression().used().forEach(k -> used.add(term(k, values, terms, first)));
            steps.add(new Step(s.name(), s.meaning(), s.formula(), values.shown(i, first), s.clause(), used));
        }
        return steps;
    }

    private Term term(int place, Values values, Terms terms, UnitSystem first) {
        Symbol s = symbols.get(place);
        String shown = values.shown(place, first);
        if (!s.putIn()) {
            return Term.computed(s.name(), s.meaning(), shown, null);
        }
        From from = values.from(place);
        return from == From.TYPED ? terms.term(s.name(), s.meaning(), shown) : from.term(s.name(), s.meaning(), shown);
    }
}
