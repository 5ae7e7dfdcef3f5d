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
 * Snow on a roof, EN 1991-1-3 5.2.
 *
 * @param values of the symbols of the formulas
 */
public record EnSnow(Input input, Values values) implements SnowLoad {
    private static final Formulas SLIDING = formulas("max(0, min(1, (60° − {α}) / 30°)) · {μ_flat}");
    private static final Formulas RETAINED = formulas("max({μ_flat}, max(0, min(1, (60° − {α}) / 30°)) · {μ_flat})");

    private static Formulas formulas(String shape) {
        return Formulas.of("EN 1991-1-3")
                .in("μ_flat", "of a flat roof", Measured.NUMBER.digits(3))
                .in("α", "fall of the roof", Measured.DEGREES)
                .let("μ_1", "shape coefficient", shape, Measured.NUMBER.digits(3), "Table 5.2")
                .in("C_e", "exposure coefficient", Measured.NUMBER.digits(3))
                .in("C_t", "thermal coefficient", Measured.NUMBER.digits(3))
                .in("s_k", "characteristic ground snow load", Measured.PASCAL)
                .let("s", "snow on the roof", "{μ_1} · {C_e} · {C_t} · {s_k}", Measured.PASCAL, "5.2")
                .build();
    }

    /**
     * @param groundPa characteristic value s_k
     * @param slopeDeg of the roof
     * @param retained whether snow is kept from sliding off
     */
    public record Input(double groundPa, double slopeDeg, double exposure, double thermal, boolean retained) {}

    /** Computes it with the recommended values of the tables. */
    public static EnSnow of(Input in, EnTables tables) {
        return new EnSnow(
                in,
                (in.retained() ? RETAINED : SLIDING)
                        .values()
                        .put("μ_flat", tables.recommended("snow_mu_flat"), From.table(tables.recommendedTable()))
                        .put("α", in.slopeDeg())
                        .put("C_e", in.exposure())
                        .put("C_t", in.thermal())
                        .put("s_k", in.groundPa())
                        .compute());
    }

    /** Shape coefficient. */
    public double mu1() {
        return values.get("μ_1");
    }

    /** Snow on the roof, s. */
    @Override
    public double roofPa() {
        return values.si("s");
    }

    /**
     * The lines of its working.
     *
     * @param terms where {@code α}, {@code C_e}, {@code C_t} and {@code s_k} come from
     */
    public List<Step> steps(Terms terms) {
        return values.steps(terms);
    }
}
