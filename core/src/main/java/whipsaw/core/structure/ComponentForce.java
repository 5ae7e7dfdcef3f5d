package whipsaw.core.structure;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Seismic force of an attached array at the height of the roof, ASCE 7-16 13.3.1, with its bounds.
 *
 * @param values of the symbols of the formulas
 */
public record ComponentForce(Values values) {
    private static final Formulas FORMULAS = Formulas.of("ASCE 7-16")
            .in("a_p", "amplification", Measured.NUMBER.digits(3))
            .in("S_DS", "spectral acceleration", Measured.NUMBER.digits(3))
            .in("W", "weight of the array with its blocks", Measured.FORCE)
            .in("R_p", "response", Measured.NUMBER.digits(3))
            .in("I_p", "importance", Measured.NUMBER.digits(3))
            .in("z/h", "height of the array over that of the roof", Measured.NUMBER.digits(3))
            .let(
                    "F",
                    "before its bounds",
                    "0.4 · {a_p} · {S_DS} · {W} / ({R_p} / {I_p}) · (1 + 2 · {z/h})",
                    Measured.FORCE,
                    "Eq. 13.3-1")
            .in("k_max", "upper bound", Measured.NUMBER.digits(3))
            .in("k_min", "lower bound", Measured.NUMBER.digits(3))
            .let(
                    "F_p",
                    "seismic force of the whole array, strength level",
                    "min({k_max} · {S_DS} · {I_p} · {W}, max({k_min} · {S_DS} · {I_p} · {W}, {F}))",
                    Measured.FORCE,
                    "Eq. 13.3-2, 13.3-3")
            .in("k_E", "factor to allowable level", Measured.NUMBER.digits(3))
            .let("F_a", "the same at allowable level", "{k_E} · {F_p}", Measured.FORCE, "2.4.5")
            .build();

    /**
     * Computes it.
     *
     * @param sds spectral acceleration at short periods, in g
     * @param riskCategory of the building
     * @param weightN of the array with its blocks
     */
    public static ComponentForce of(double sds, String riskCategory, double weightN, ParameterTable t) {
        From table = From.table(t.table());
        return new ComponentForce(FORMULAS.values()
                .put("a_p", t.value("attached_ap"), table)
                .put("S_DS", sds)
                .put("W", weightN, From.figure("roof.footprint"))
                .put("R_p", t.value("attached_rp"), table)
                .put("I_p", t.value("component_importance_" + riskCategory), table)
                .put("z/h", 1, From.rule("on the roof"))
                .put("k_max", t.value("attached_most"), table)
                .put("k_min", t.value("attached_least"), table)
                .put("k_E", t.value("attached_asd"), table)
                .compute());
    }

    /** At strength level. */
    public double strengthN() {
        return values.get("F_p");
    }

    /** At allowable level. */
    public double allowableN() {
        return values.get("F_a");
    }

    /** The lines of its working. */
    public List<Step> steps(UnitSystem units) {
        return values.steps(Terms.typed(), units);
    }
}
