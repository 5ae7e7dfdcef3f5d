package whipsaw.core.structure;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * What lasts under each of the four feet of a module.
 *
 * @param values of the symbols of the formula
 */
public record FootLoad(Values values) {
    private static final Formulas FORMULAS = Formulas.of("")
            .in("W", "weight of the heaviest module with racking and blocks", Measured.PART_FORCE)
            .in("A", "area of a foot or of the plate under it", Measured.PART_AREA)
            .let("p", "under each of its four feet", "{W} / 4 / {A}", Measured.CONTACT, "a quarter of the weight")
            .build();

    static FootLoad of(double kg, double areaM2) {
        return new FootLoad(FORMULAS.values()
                .put("W", kg * Ballast.GRAVITY, From.figure(null))
                .put("A", areaM2)
                .compute());
    }

    /** Pressure under a foot. */
    public double pa() {
        return values.get("p");
    }

    /**
     * The line of its working.
     *
     * @param terms where {@code A} comes from
     */
    public List<Step> steps(Terms terms, UnitSystem units) {
        return values.steps(terms, units);
    }
}
