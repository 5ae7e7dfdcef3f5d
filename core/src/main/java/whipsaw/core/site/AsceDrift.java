package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Snow drift against a parapet, plant or a row, ASCE 7-16 7.7 and 7.8, evaluated in feet and pounds. The drift lies on
 * the balanced snow; the surcharges of rain and of the least roof load do not act with it.
 *
 * @param height values up to the height a drift would have
 * @param load values of the drift that is taken
 * @param drifts whether a drift has to be taken
 * @param lengthM from the obstacle to its end
 */
public record AsceDrift(Input input, Values height, Values load, boolean drifts, double lengthM) implements SnowDrift {
    private static final Formulas HEIGHT = Formulas.of("ASCE 7-16")
            .in("p_g", "ground snow load", Measured.PSF)
            .in("a", "slope of the density", Measured.NUMBER)
            .in("b", "its least value", Measured.PCF)
            .in("c", "its greatest value", Measured.PCF)
            .dimensional("γ", "density of snow", "min({a} · {p_g} + {b}, {c})", Measured.PCF, "Eq. 7.7-1")
            .in("p_f", "flat-roof snow", Measured.PSF)
            .dimensional("h_b", "height of the balanced snow", "{p_f} / {γ}", Measured.FOOT.digits(3), "7.7.1")
            .in("h_o", "height of the obstacle", Measured.FOOT)
            .let("h_c", "height above the balanced snow", "{h_o} − {h_b}", Measured.FOOT.digits(3), "7.7.1")
            .in("F", "factor of the place", Measured.NUMBER)
            .in("I_s", "importance factor", Measured.NUMBER)
            .in("k", "factor on the height", Measured.NUMBER)
            .in("l_u", "length of roof the snow comes from", Measured.FOOT)
            .in("l_min", "least length that counts", Measured.FOOT)
            .in("r", "taken off", Measured.FOOT)
            .dimensional(
                    "h_d",
                    "height of the drift where nothing ends it",
                    "{F} · √{I_s} · max(0, {k} · max({l_u}, {l_min})^(1 / 3) · ({p_g} + 10)^(1 / 4) − {r})",
                    Measured.FOOT.digits(3),
                    "Fig. 7.6-1 (ft, psf)")
            .build();

    private static final Formulas LOAD = Formulas.of("ASCE 7-16")
            .in("γ", "density of snow", Measured.PCF)
            .in(
                    "h",
                    "height of the drift: of h_d and h_c the lower, 0 where none has to be taken",
                    Measured.FOOT.digits(3))
            .dimensional("p_d", "largest surcharge", "{γ} · {h}", Measured.PSF, "7.7.1")
            .in("p_f", "flat-roof snow", Measured.PSF)
            .let("p", "all snow at the obstacle", "{p_f} + {p_d}", Measured.PSF, "7.8")
            .build();

    /**
     * @param fetchM length of roof the snow comes from
     * @param factor on the height: 1 of a leeward step, else 0.75
     */
    public record Input(
            double groundPa, double flatPa, double importance, double fetchM, double obstacleM, double factor) {}

    /** Computes it with the parameters of the table. */
    public static AsceDrift of(Input in, ParameterTable t) {
        Unit ft = Unit.FOOT;
        From table = From.table(t.table());
        Values height = HEIGHT.values()
                .put("p_g", in.groundPa())
                .put("a", t.value("density_slope"), table)
                .put("b", t.value("density_base_pcf"), table)
                .put("c", t.value("density_most_pcf"), table)
                .put("p_f", in.flatPa())
                .put("h_o", in.obstacleM())
                .put("F", in.factor())
                .put("I_s", in.importance())
                .put("k", t.value("height_coefficient"), table)
                .put("l_u", in.fetchM())
                .put("l_min", ft.toSi(t.value("least_fetch_ft")), table)
                .put("r", ft.toSi(t.value("height_less_ft")), table)
                .compute();
        double above = height.get("h_c");
        double balanced = height.get("h_b");
        double full = height.get("h_d");
        boolean drifts = in.groundPa() > 0
                && above > 0
                && !(balanced > 0 && Limits.above(t.value("least_height_ratio"), above / balanced));
        double width = t.value("width_factor") * full;
        if (drifts && Limits.above(full, above)) {
            width = Math.min(t.value("width_factor") * full * full / above, t.value("width_most_factor") * above);
        }
        Values load = LOAD.values()
                .put("γ", height.get("γ"), From.figure(null))
                .put("h", drifts ? ft.toSi(Math.min(full, above)) : 0, From.figure(null))
                .put("p_f", in.flatPa())
                .compute();
        return new AsceDrift(in, height, load, drifts, drifts ? ft.toSi(width) : 0);
    }

    /** Density of snow, ASCE 7-16 eq. 7.7-1. */
    public double densityPcf() {
        return height.get("γ");
    }

    /** The same of a ground snow load. */
    static double densityPcf(double groundPa, ParameterTable t) {
        return of(new Input(groundPa, groundPa, 1, 1, 1, 1), t).densityPcf();
    }

    /** Flat-roof snow the drift lies on. */
    public double flatPa() {
        return input.flatPa();
    }

    /** Height of the balanced snow. */
    public double balancedM() {
        return height.si("h_b");
    }

    /** Height of the obstacle above it. */
    public double aboveM() {
        return height.si("h_c");
    }

    /** Height the drift would have without the obstacle's end. */
    public double fullM() {
        return height.si("h_d");
    }

    /** Height of the drift. */
    public double heightM() {
        return load.si("h");
    }

    /** Largest surcharge, at the obstacle. */
    public double surchargePa() {
        return load.si("p_d");
    }

    /** With the balanced snow. */
    @Override
    public double peakPa() {
        return load.si("p");
    }

    /**
     * The lines of its working.
     *
     * @param terms where {@code p_g}, {@code p_f}, {@code h_o}, {@code F}, {@code I_s} and {@code l_u} come from
     */
    @Override
    public List<Step> steps(Terms terms) {
        List<Step> steps = new ArrayList<>(height.steps(terms));
        steps.addAll(load.steps(terms));
        return steps;
    }

    /** Load at a distance from the obstacle; the balanced snow beyond the drift. */
    public double at(double distanceM) {
        double part = lengthM > 0 ? Math.max(0, 1 - distanceM / lengthM) : 0;
        return flatPa() + part * surchargePa();
    }
}
