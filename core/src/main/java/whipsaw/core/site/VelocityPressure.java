package whipsaw.core.site;

import static whipsaw.core.units.Show.significant;

import java.util.List;
import whipsaw.core.table.WindTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;

/**
 * Velocity pressure, ASCE 7-16 and 7-22 26.10.
 *
 * <p>The formula is dimensional; it is evaluated here in feet, miles per hour and pounds per square
 * foot and the result converted, because the rounded SI constants differ by up to 0.1 %.
 *
 * @param input what it was computed from
 * @param kz exposure coefficient
 * @param ke ground elevation factor
 * @param pressurePa with the directionality factor
 * @param pressureWithoutKdPa the quantity 7-22 calls velocity pressure
 */
public record VelocityPressure(
        Input input, WindTables.Exposure constants, double kz, double ke, double pressurePa, double pressureWithoutKdPa)
        implements WindPressure {

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
        double zFt = Unit.FOOT.fromSi(Math.max(in.heightM(), in.lowestHeightM()));
        double part = Math.min(zFt, c.gradientHeightFt()) / c.gradientHeightFt();
        double kz = c.multiplier() * Math.pow(part, 2 / c.alpha());
        double ke = Math.exp(-0.0000362 * Unit.FOOT.fromSi(in.groundElevationM())); // 26.9
        double speedMph = Unit.MILE_PER_HOUR.fromSi(in.speedMPerS());
        double withoutKdPsf = 0.00256 * kz * in.kzt() * ke * speedMph * speedMph; // Eq. 26.10-1
        Unit psf = Unit.POUND_PER_SQUARE_FOOT;
        return new VelocityPressure(in, c, kz, ke, psf.toSi(withoutKdPsf * in.kd()), psf.toSi(withoutKdPsf));
    }

    /** The lines of its working. */
    public List<Step> steps(Terms terms, WindTables tables) {
        String table = input.edition() + " exposure " + input.exposure();
        Unit ft = Unit.FOOT;
        return List.of(
                Step.of(
                        "K_z",
                        "exposure coefficient at the height",
                        "{C} · (max({z}, {z_min}) / {z_g})^(2 / {α})",
                        significant(kz, 4),
                        "ASCE " + input.edition() + " Table 26.10-1",
                        Term.data(
                                "C",
                                "multiplier, " + table,
                                significant(constants.multiplier(), 4),
                                Origin.TABLE,
                                tables.exposureTable()),
                        terms.term("z", "height above ground", significant(ft.fromSi(input.heightM()), 5) + " ft"),
                        Term.byRule(
                                "z_min",
                                "lowest height of the profile",
                                significant(ft.fromSi(input.lowestHeightM()), 4) + " ft",
                                "Chapter 29: 15 ft"),
                        Term.data(
                                "z_g",
                                "gradient height, " + table,
                                significant(constants.gradientHeightFt(), 4) + " ft",
                                Origin.TABLE,
                                tables.exposureTable()),
                        Term.data(
                                "α",
                                "power law exponent, " + table,
                                significant(constants.alpha(), 4),
                                Origin.TABLE,
                                tables.exposureTable())),
                Step.of(
                        "K_e",
                        "ground elevation factor",
                        "exp(−0.0000362 · {z_e})",
                        significant(ke, 4),
                        "ASCE 7 26.9",
                        terms.term(
                                "z_e",
                                "ground elevation",
                                significant(ft.fromSi(input.groundElevationM()), 5) + " ft")),
                Step.of(
                        "q_h",
                        "velocity pressure",
                        "0.00256 · {K_z} · {K_zt} · {K_d} · {K_e} · {V}²",
                        Show.both(UnitSystem.US, Dimension.LOAD, pressurePa),
                        "ASCE 7 Eq. 26.10-1 (psf, mph)",
                        Term.computed("K_z", "exposure coefficient", significant(kz, 4), null),
                        terms.term("K_zt", "topographic factor", significant(input.kzt(), 4)),
                        Term.byRule(
                                "K_d",
                                "directionality factor",
                                significant(input.kd(), 3),
                                "Table 26.6-1, buildings and rooftop panels"),
                        Term.computed("K_e", "ground elevation factor", significant(ke, 4), null),
                        terms.term(
                                "V",
                                "basic wind speed",
                                significant(Unit.MILE_PER_HOUR.fromSi(input.speedMPerS()), 5) + " mph")));
    }
}
