package whipsaw.core.formula;

import java.util.Arrays;
import java.util.List;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Values of the symbols of a group of formulas: those that are put in, each with where it comes from, and the results.
 * Not changed after {@link #compute}.
 */
public final class Values {
    private final Formulas formulas;
    private final double[] values;
    private final From[] from;

    Values(Formulas formulas, int count) {
        this.formulas = formulas;
        this.values = new double[count];
        this.from = new From[count];
        Arrays.fill(values, Double.NaN);
        Arrays.fill(from, From.TYPED);
    }

    /**
     * Puts a value in.
     *
     * @param si in the SI unit of its quantity
     */
    public Values put(String symbol, double si) {
        return put(symbol, si, From.TYPED);
    }

    /** The same with where it comes from, as far as the computation knows. */
    public Values put(String symbol, double si, From source) {
        int place = formulas.place(symbol);
        if (!formulas.putIn(place)) {
            throw new IllegalArgumentException(symbol + " is a result");
        }
        values[place] = formulas.measured(place).fromSi(si);
        from[place] = source;
        return this;
    }

    /** Computes all results. */
    public Values compute() {
        formulas.compute(values);
        return this;
    }

    /** Whether there is a symbol of the name. */
    public boolean has(String symbol) {
        return formulas.has(symbol);
    }

    /** The value of a symbol in the unit of its formula. */
    public double get(String symbol) {
        return values[formulas.place(symbol)];
    }

    /** The same in SI. */
    public double si(String symbol) {
        int place = formulas.place(symbol);
        return formulas.measured(place).si(values[place]);
    }

    String shown(int place, UnitSystem first) {
        return formulas.measured(place).shown(values[place], first);
    }

    From from(int place) {
        return from[place];
    }

    /**
     * The lines of their working.
     *
     * @param terms where values come from that were put in without saying so
     */
    public List<Step> steps(Terms terms) {
        return formulas.steps(this, terms, null);
    }

    /** The same with what is shown in both systems in the order of a job. */
    public List<Step> steps(Terms terms, UnitSystem units) {
        return formulas.steps(this, terms, units);
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Values other && formulas == other.formulas && Arrays.equals(values, other.values);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(values);
    }
}
