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
 * Peak velocity pressure, EN 1991-1-4 4.2 to 4.5, with the recommended values where a national
 * annex may differ.
 *
 * @param values of the symbols of the formulas
 */
public record PeakPressure(Input input, Values values) implements WindPressure {

    private static final Measured FACTOR = Measured.NUMBER.digits(3);
    private static final Measured ROUGHNESS = Measured.METRE.digits(3);

    private static final Formulas FORMULAS = Formulas.of("EN 1991-1-4")
            .in("z_e", "reference height", Measured.METRE)
            .in("h_dis", "displacement height", Measured.METRE)
            .let(
                    "z_p",
                    "height in the profile, which closely spaced buildings upwind lift",
                    "{z_e} − {h_dis}",
                    Measured.METRE,
                    "A.5")
            .in("c_prob", "factor of the return period", Measured.NUMBER)
            .in("c_dir", "direction factor", FACTOR)
            .in("c_season", "season factor", FACTOR)
            .in("v_b0", "fundamental value, 10-minute mean, 50 years", Measured.METRE_PER_SECOND)
            .let(
                    "v_b",
                    "basic wind velocity",
                    "{c_prob} · {c_dir} · {c_season} · {v_b0}",
                    Measured.METRE_PER_SECOND,
                    "4.2")
            .in("z_0", "roughness length", ROUGHNESS)
            .in("z_0,II", "roughness length of terrain II", ROUGHNESS)
            .let("k_r", "terrain factor", "0.19 · ({z_0} / {z_0,II})^0.07", Measured.NUMBER, "4.3.2")
            .in("z_min", "least height", ROUGHNESS)
            .let("c_r", "roughness factor", "{k_r} · ln(max({z_p}, {z_min}) / {z_0})", Measured.NUMBER, "4.3.2")
            .in("c_o", "orography factor", Measured.NUMBER)
            .let("v_m", "mean velocity", "{c_r} · {c_o} · {v_b}", Measured.METRE_PER_SECOND, "4.3.1")
            .in("k_I", "turbulence factor", FACTOR)
            .let(
                    "I_v",
                    "turbulence intensity",
                    "{k_I} / ({c_o} · ln(max({z_p}, {z_min}) / {z_0}))",
                    Measured.NUMBER,
                    "4.4")
            .in("ρ", "density of air", Measured.KILOGRAM_PER_CUBIC_METRE)
            .let("q_p", "peak velocity pressure", "(1 + 7 · {I_v}) · ½ · {ρ} · {v_m}²", Measured.PASCAL, "4.5")
            .build();

    /**
     * @param velocityMPerS fundamental value v_b,0: 10-minute mean at 10 m in terrain II, 50 years
     * @param referenceHeightM height z_e; with a parapet the roof height and the parapet
     * @param displacementM what the profile is lifted by closely spaced buildings upwind, A.5; 0 for none
     * @param terrain 0, I, II, III or IV
     * @param probabilityFactor 1 for 50 years
     * @param densityKgPerM3 of air
     */
    public record Input(
            double velocityMPerS,
            double referenceHeightM,
            double displacementM,
            String terrain,
            double probabilityFactor,
            double directionFactor,
            double seasonFactor,
            double orography,
            double densityKgPerM3) {}

    /** Computes it. The terrain must be in the table. */
    public static PeakPressure of(Input in, EnTables tables) {
        EnTables.Terrain t = tables.terrain(in.terrain());
        From terrain = From.table(tables.terrainTable(), "terrain " + in.terrain());
        From recommended = From.table(tables.recommendedTable());
        Values values = FORMULAS.values()
                .put("z_e", in.referenceHeightM())
                .put("h_dis", in.displacementM())
                .put("c_prob", in.probabilityFactor())
                .put("c_dir", in.directionFactor())
                .put("c_season", in.seasonFactor())
                .put("v_b0", in.velocityMPerS())
                .put("z_0", t.roughnessM(), terrain)
                .put("z_0,II", tables.recommended("z0_terrain_II_m"), recommended)
                .put("z_min", t.leastHeightM(), terrain)
                .put("c_o", in.orography())
                .put("k_I", tables.recommended("turbulence_kI"), recommended)
                .put("ρ", in.densityKgPerM3(), recommended);
        return new PeakPressure(in, values.compute());
    }

    /** Terrain factor. */
    public double kr() {
        return values.get("k_r");
    }

    /** Roughness factor at the reference height. */
    public double cr() {
        return values.get("c_r");
    }

    /** Mean velocity v_m. */
    public double meanMPerS() {
        return values.si("v_m");
    }

    /** Intensity I_v. */
    public double turbulence() {
        return values.get("I_v");
    }

    /** Peak velocity pressure q_p. */
    @Override
    public double pressurePa() {
        return values.si("q_p");
    }

    /** Factor for a return period, EN 1991-1-4 Eq. (4.2); 1 for 50 years. */
    public static double probabilityFactor(double years, EnTables tables) {
        double k = tables.recommended("probability_K");
        double wanted = 1 - k * Math.log(-Math.log(1 - 1 / years));
        double fifty = 1 - k * Math.log(-Math.log(0.98));
        return Math.pow(wanted / fifty, tables.recommended("probability_n"));
    }

    /**
     * The lines of its working.
     *
     * @param terms where the factors, {@code z_e}, {@code h_dis} and {@code v_b0} come from
     */
    public List<Step> steps(Terms terms) {
        return values.steps(terms);
    }
}
