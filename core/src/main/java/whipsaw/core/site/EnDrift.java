package whipsaw.core.site;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.EnTables;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Snow drifted against an obstruction, EN 1991-1-3 6.2.
 *
 * @param values of the symbols of the formulas
 */
public record EnDrift(Values values) implements SnowDrift {
    private static final Formulas FORMULAS = Formulas.of("EN 1991-1-3")
            .in("γ", "weight of snow", Measured.NEWTON_PER_CUBIC_METRE.digits(3))
            .in("h", "height of the obstruction", Measured.METRE)
            .in("s_k", "characteristic ground snow load", Measured.PASCAL.alone())
            .in("μ_min", "least value", Measured.NUMBER.digits(3))
            .in("μ_max", "greatest value", Measured.NUMBER.digits(3))
            .let(
                    "μ_2",
                    "shape coefficient at the obstruction",
                    "min(max({γ} · {h} / {s_k}, {μ_min}), {μ_max})",
                    Measured.NUMBER.digits(3),
                    "6.2(2)")
            .in("C_e", "exposure coefficient", Measured.NUMBER.digits(3))
            .in("C_t", "thermal coefficient", Measured.NUMBER.digits(3))
            .let("s_2", "all snow at the obstruction", "{μ_2} · {C_e} · {C_t} · {s_k}", Measured.PASCAL, "5.2, 6.2")
            .in("l_min", "shortest", Measured.METRE)
            .in("l_max", "longest", Measured.METRE)
            .let(
                    "l_s",
                    "length of the drift",
                    "min(max(2 · {h}, {l_min}), {l_max})",
                    Measured.METRE.digits(3),
                    "6.2(2)")
            .build();

    /**
     * Computes it with the recommended values of the tables.
     *
     * @param groundPa characteristic ground snow load, above 0
     * @param heightM of the obstruction
     * @param exposure coefficient C_e
     * @param thermal coefficient C_t
     */
    public static EnDrift of(double groundPa, double heightM, double exposure, double thermal, EnTables tables) {
        From table = From.table(tables.recommendedTable());
        return new EnDrift(FORMULAS.values()
                .put("γ", 1000 * tables.recommended("snow_weight_kN_per_m3"), table)
                .put("h", heightM)
                .put("s_k", groundPa)
                .put("μ_min", tables.recommended("obstruction_mu_least"), table)
                .put("μ_max", tables.recommended("obstruction_mu_most"), table)
                .put("C_e", exposure)
                .put("C_t", thermal)
                .put("l_min", tables.recommended("obstruction_length_least_m"), table)
                .put("l_max", tables.recommended("obstruction_length_most_m"), table)
                .compute());
    }

    /** Shape coefficient at the obstruction. */
    public double mu2() {
        return values.get("μ_2");
    }

    /** From the obstruction to the end of the drift. */
    @Override
    public double lengthM() {
        return values.si("l_s");
    }

    /** All snow at the obstruction. */
    @Override
    public double peakPa() {
        return values.si("s_2");
    }

    /**
     * The lines of its working.
     *
     * @param terms where {@code h}, {@code s_k}, {@code C_e} and {@code C_t} come from
     */
    @Override
    public List<Step> steps(Terms terms) {
        return values.steps(terms);
    }
}
