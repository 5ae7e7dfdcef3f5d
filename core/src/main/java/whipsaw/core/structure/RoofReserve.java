package whipsaw.core.structure;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.units.Limits;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Average added load against a roof's allowance.
 *
 * @param values of the symbols of the formulas
 * @param allowancePa NaN when it is not known
 */
public record RoofReserve(double massKg, double areaM2, Values values, double allowancePa) {
    private static final Formulas LOAD = formulas(false);
    private static final Formulas AGAINST = formulas(true);

    private static Formulas formulas(boolean allowance) {
        Formulas.Builder f = Formulas.of("")
                .in("W", "weight", Measured.FORCE)
                .in("A", "area", Measured.SQUARE_METRE)
                .let("q", "average added load", "{W} / {A}", Measured.PASCAL, "weight over area");
        return allowance
                ? f.in("q_a", "allowance for added load", Measured.PASCAL)
                        .let("η", "utilisation", "{q} / {q_a}", Measured.NUMBER.digits(3), "load over allowance")
                        .build()
                : f.build();
    }

    /**
     * Computes it; without an area there is no load.
     *
     * @param allowancePa NaN when it is not known
     */
    public static RoofReserve of(double massKg, double areaM2, double allowancePa) {
        Values values = (Double.isNaN(allowancePa) ? LOAD : AGAINST)
                .values()
                .put("W", areaM2 > 0 ? massKg * Ballast.GRAVITY : 0, From.figure(null))
                .put("A", areaM2 > 0 ? areaM2 : 1, From.figure(null));
        if (!Double.isNaN(allowancePa)) {
            values.put("q_a", allowancePa);
        }
        return new RoofReserve(massKg, areaM2, values.compute(), allowancePa);
    }

    /** Weight over the area. */
    public double loadPa() {
        return values.si("q");
    }

    /** Load over the allowance; NaN when the allowance is not known. */
    public double utilisation() {
        return Double.isNaN(allowancePa) ? Double.NaN : values.get("η");
    }

    /** Whether the load is within the allowance; false while there is none. */
    public boolean ok() {
        return Limits.atMost(utilisation(), 1);
    }

    /**
     * The lines of its working.
     *
     * @param terms where {@code q_a} comes from
     */
    public List<Step> steps(Terms terms, UnitSystem units) {
        return values.steps(terms, units);
    }
}
