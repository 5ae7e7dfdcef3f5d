package whipsaw.core.run;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.ConductorTables;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Voltage drop of a run with the resistances of NEC Chapter 9: the current is shared by the parallel sets, the length is
 * one way. Good for small angles between the two voltages.
 *
 * @param values of the symbols of the formulas
 * @param reactancePerKft reactance, ohm per 1000 ft; 0 of direct current, NaN where the table does not list the size
 */
public record VoltageDrop(Values values, double reactancePerKft) {
    private static final Formulas DC = formulas("direct current", "2 · {I} / {n} · {R} · {L} / 1000");
    private static final Formulas ONE_PHASE = alternating("one phase", "2");
    private static final Formulas THREE_PHASE = alternating("three phases", "√3");

    private static Formulas alternating(String system, String factor) {
        return formulas(
                system, factor + " · {I} / {n} · ({R} · {cos φ} + {X} · √(1 − {cos φ}²)) · {L} / 1000", "cos φ", "X");
    }

    private static Formulas formulas(String system, String drop, String... alternating) {
        Formulas.Builder f = Formulas.of("NEC Chapter 9")
                .in("I", "current", Measured.AMPERE)
                .in("n", "parallel sets", Measured.NUMBER)
                .in("R", "resistance", Measured.OHM_PER_KFT)
                .in("L", "length one way", Measured.FOOT);
        for (String symbol : alternating) {
            boolean reactance = symbol.equals("X");
            f.in(symbol, reactance ? "reactance" : "power factor", reactance ? Measured.OHM_PER_KFT : Measured.NUMBER);
        }
        return f.let(
                        "ΔV",
                        "voltage drop, " + system,
                        drop,
                        Measured.VOLT.digits(4),
                        alternating.length == 0 ? "Table 8" : "Tables 8 and 9")
                .in("V", "voltage", Measured.VOLT)
                .let("ΔV_%", "per cent of the voltage", "100 · {ΔV} / {V}", Measured.NUMBER, "Tables 8 and 9")
                .build();
    }

    /** System of a circuit. */
    public enum System {
        DC("dc"),
        ONE_PHASE("1ph"),
        THREE_PHASE("3ph");

        private final String key;

        System(String key) {
            this.key = key;
        }

        /** Name in documents and calculations. */
        public String key() {
            return key;
        }

        private Formulas formulas() {
            return switch (this) {
                case DC -> VoltageDrop.DC;
                case ONE_PHASE -> VoltageDrop.ONE_PHASE;
                case THREE_PHASE -> VoltageDrop.THREE_PHASE;
            };
        }
    }

    /**
     * What the drop is computed of.
     *
     * @param lengthM one way
     * @param raceway {@code pvc} or {@code steel}
     * @param table9 AC resistances of Table 9, else DC resistances of Table 8; dc is always Table 8
     */
    public record Circuit(
            System system,
            double currentA,
            double voltageV,
            double lengthM,
            String material,
            String raceway,
            double powerFactor,
            boolean table9) {}

    /**
     * Computes it; NaN where the tables do not list the size.
     *
     * @param sets in parallel
     */
    public static VoltageDrop of(Circuit c, String size, int sets, ConductorTables tables) {
        boolean dc = c.system() == System.DC;
        boolean acTable = !dc && c.table9();
        double r =
                acTable ? tables.acOhmPerKft(size, c.material(), c.raceway()) : tables.dcOhmPerKft(size, c.material());
        Values values = c.system()
                .formulas()
                .values()
                .put("I", c.currentA())
                .put("n", sets, From.figure(null))
                .put(
                        "R",
                        r,
                        From.table(
                                acTable ? tables.acTable() : tables.dcTable(),
                                size + " " + c.material() + (acTable ? ", " + c.raceway() + " raceway" : "")
                                        + ", 75 °C"))
                .put("L", c.lengthM())
                .put("V", c.voltageV());
        double x = dc ? 0 : tables.reactanceOhmPerKft(size, c.raceway());
        if (!dc) {
            // a reactance that is not listed does not matter at a power factor of 1
            values.put("cos φ", c.powerFactor())
                    .put(
                            "X",
                            c.powerFactor() == 1 && Double.isNaN(x) ? 0 : x,
                            From.table(tables.acTable(), c.raceway() + " raceway"));
        }
        return new VoltageDrop(values.compute(), x);
    }

    /** Resistance, ohm per 1000 ft. */
    public double ohmPerKft() {
        return values.get("R");
    }

    /** Voltage drop. */
    public double dropV() {
        return values.get("ΔV");
    }

    /** The same as a share of the voltage, in per cent. */
    public double dropPct() {
        return values.get("ΔV_%");
    }

    /**
     * The lines of its working.
     *
     * @param terms where {@code I}, {@code L}, {@code V} and {@code cos φ} come from
     */
    public List<Step> steps(Terms terms) {
        return values.steps(terms);
    }
}
