package whipsaw.core.site;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.WindTables;
import whipsaw.core.units.Unit;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Velocity pressure, ASCE 7-16 and 7-22 26.10.
 *
 * <p>The formula is dimensional; it is evaluated in feet, miles per hour and pounds per square
 * foot and the result converted, because the rounded SI constants differ by up to 0.1 %.
 *
 * @param input what it was computed from
 * @param values of the symbols of the formulas
 */
public record VelocityPressure(Input input, Values values) implements WindPressure {

    private static final Formulas FORMULAS = Formulas.of("ASCE 7")
            .in("C", "multiplier", Measured.NUMBER)
            .in("z", "height above ground", Measured.FOOT)
            .in("z_min", "lowest height of the profile", Measured.FOOT.digits(4))
            .in("z_g", "gradient height", Measured.FOOT.digits(4))
            .in("α", "power law exponent", Measured.NUMBER)
            .let(
                    "K_z",
                    "exposure coefficient at the height",
                    "{C} · (min(max({z}, {z_min}), {z_g}) / {z_g})^(2 / {α})",
                    Measured.NUMBER,
                    "Table 26.10-1")
            .in("z_e", "ground elevation", Measured.FOOT)
            .dimensional("K_e", "ground elevation factor", "exp(−0.0000362 · {z_e})", Measured.NUMBER, "26.9")
            .in("K_zt", "topographic factor", Measured.NUMBER)
            .in("K_d", "directionality factor", Measured.NUMBER.digits(3))
            .in("V", "basic wind speed", Measured.MILE_PER_HOUR)
            .dimensional(
                    "q_h",
                    "velocity pressure",
                    "0.00256 · {K_z} · {K_zt} · {K_d} · {K_e} · {V}²",
                    Measured.PSF,
                    "Eq. 26.10-1 (psf, mph)")
            .build();

    /** Lowest height of the profile in Chapter 29. */
    public static final double LOWEST_HEIGHT_M = 15 * 0.3048;

    /** Directionality factor of buildings, cladding and rooftop panels, Table 26.6-1. */
    public static final double BUILDING_KD = 0.85;

    /**
     * @param speedMPerS basic wind speed, 3-second gust at strength level
     * @param heightM height above ground
     * @param exposure B, C or D
     * @param edition {@code 7-16} or {@code 7-22}
     * @param kzt topographic factor
     * @param kd directionality factor
     * @param groundElevationM above sea level
     * @param lowestHeightM below it the profile is constant
     */
    public record Input(
            double speedMPerS,
            double heightM,
            String exposure,
            String edition,
            double kzt,
            double kd,
            double groundElevationM,
            double lowestHeightM) {}

    /** Computes it. The exposure and edition must be in the table. */
    public static VelocityPressure of(Input in, WindTables tables) {
        WindTables.Exposure c = tables.exposure(in.edition(), in.exposure());
        From row = From.table(tables.exposureTable(), in.edition() + " exposure " + in.exposure());
        Values values = FORMULAS.values()
                .put("C", c.multiplier(), row)
                .put("z", in.heightM())
                .put("z_min", in.lowestHeightM(), From.rule("Chapter 29: 15 ft"))
                .put("z_g", Unit.FOOT.toSi(c.gradientHeightFt()), row)
                .put("α", c.alpha(), row)
                .put("z_e", in.groundElevationM())
                .put("K_zt", in.kzt())
                .put("K_d", in.kd(), From.rule("Table 26.6-1, buildings and rooftop panels"))
                .put("V", in.speedMPerS());
        return new VelocityPressure(in, values.compute());
    }

    /** Exposure coefficient. */
    public double kz() {
        return values.get("K_z");
    }

    /** Ground elevation factor. */
    public double ke() {
        return values.get("K_e");
    }

    /** With the directionality factor. */
    @Override
    public double pressurePa() {
        return values.si("q_h");
    }

    /** The quantity 7-22 calls velocity pressure. */
    public double pressureWithoutKdPa() {
        return pressurePa() / input.kd();
    }

    /**
     * The lines of its working.
     *
     * @param terms where {@code z}, {@code z_e}, {@code K_zt} and {@code V} come from
     */
    public List<Step> steps(Terms terms) {
        return values.steps(terms);
    }
}
