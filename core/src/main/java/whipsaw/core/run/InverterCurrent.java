package whipsaw.core.run;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.ConductorTables;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Rated output current of inverters and the device that protects their circuit.
 *
 * @param values of the symbols of the formula
 * @param continuous current the device is chosen for, NEC 690.9(B), 705.30
 * @param deviceA next standard rating; 0 when there is none
 */
public record InverterCurrent(Values values, ContinuousCurrent continuous, int deviceA) {
    private static final Formulas ONE_PHASE = formulas("{n} · {S} / {V}");
    private static final Formulas THREE_PHASE = formulas("{n} · {S} / (√3 · {V})");

    private static Formulas formulas(String current) {
        return Formulas.of("")
                .in("n", "inverters on the feeder", Measured.NUMBER)
                .in("S", "rating of one", Measured.VOLT_AMPERE)
                .in("V", "line voltage", Measured.VOLT)
                .let("I", "rated current", current, Measured.AMPERE, "rated output, NEC 705.28(A)")
                .build();
    }

    /**
     * Computes it.
     *
     * @param inverters on the circuit
     * @param powerVa rated apparent power of one
     * @param voltageV line voltage
     * @param phases 1 or 3
     */
    public static InverterCurrent of(
            int inverters, double powerVa, double voltageV, int phases, ConductorTables tables) {
        Values values = (phases == 3 ? THREE_PHASE : ONE_PHASE)
                .values()
                .put("n", inverters, From.figure("total.ac"))
                .put("S", powerVa)
                .put("V", voltageV)
                .compute();
        ContinuousCurrent continuous = ContinuousCurrent.of(values.get("I"));
        return new InverterCurrent(values, continuous, tables.deviceAtLeast(continuous.amperes()));
    }

    /** Rated current. */
    public double currentA() {
        return values.get("I");
    }

    /** What the device is chosen for. */
    public double continuousA() {
        return continuous.amperes();
    }

    /**
     * The lines of its working.
     *
     * @param terms where {@code S} and {@code V} come from
     */
    public List<Step> steps(Terms terms) {
        List<Step> steps = new ArrayList<>(values.steps(terms));
        steps.addAll(continuous.steps());
        return steps;
    }
}
