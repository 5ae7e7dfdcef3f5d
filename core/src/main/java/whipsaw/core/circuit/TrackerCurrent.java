package whipsaw.core.circuit;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Current of the strings in parallel on a tracker, and what they can feed back into one of them, NEC 690.8 and 690.9.
 *
 * @param values of the symbols of the formulas
 */
public record TrackerCurrent(Values values) {
    private static final Formulas FORMULAS = Formulas.of("NEC")
            .in("n", "strings in parallel", Measured.NUMBER)
            .in("I_sc", "module", Measured.AMPERE)
            .let("I_max", "maximum circuit current", "1.25 · {n} · {I_sc}", Measured.AMPERE, "690.8(A)(1)")
            .let("I_back", "back-feed into one string", "max(0, {n} − 1) · 1.25 · {I_sc}", Measured.AMPERE, "690.9(A)")
            .build();

    /**
     * Computes it.
     *
     * @param parallel strings on the tracker
     * @param iscA short-circuit current of a module
     */
    public static TrackerCurrent of(int parallel, double iscA) {
        return new TrackerCurrent(FORMULAS.values()
                .put("n", parallel, From.figure(null))
                .put("I_sc", iscA)
                .compute());
    }

    /** Largest current of the circuit. */
    public double mostA() {
        return values.get("I_max");
    }

    /** What the other strings can feed back into one. */
    public double backFeedA() {
        return values.get("I_back");
    }

    /** The lines of its working. */
    public List<Step> steps(Terms terms) {
        return values.steps(terms);
    }
}
