package whipsaw.core.run;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * What conductors and devices are chosen for where a current flows for hours, NEC 705.28(B), 705.30, 215.2(A)(1).
 *
 * @param values of the symbols of the formula
 */
public record ContinuousCurrent(Values values) {
    private static final Formulas FORMULAS = Formulas.of("NEC")
            .in("I", "current", Measured.AMPERE)
            .let("I_c", "continuous", "1.25 · {I}", Measured.AMPERE, "705.28(B), 215.2(A)(1)")
            .build();

    /** 1.25 times a current that flows for three hours or more, NEC 690.8(B). */
    public static ContinuousCurrent of(double currentA) {
        return new ContinuousCurrent(
                FORMULAS.values().put("I", currentA, From.figure(null)).compute());
    }

    /** The current chosen for. */
    public double amperes() {
        return values.get("I_c");
    }

    /** The line of its working. */
    public List<Step> steps() {
        return values.steps(Terms.typed());
    }
}
