package whipsaw.core.site;

import static whipsaw.core.units.Show.significant;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.table.EnTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;

/**
 * Peak velocity pressure, EN 1991-1-4 4.2 to 4.5, with the recommended values where a national
 * annex may differ.
 *
 * @param basicMPerS basic wind velocity v_b
 * @param kr terrain factor
 * @param cr roughness factor at the reference height
 * @param meanMPerS mean velocity v_m
 * @param turbulence intensity I_v
 * @param pressurePa peak velocity pressure q_p
 */
public record PeakPressure(
        Input input,
        EnTables.Terrain terrain,
        double basicMPerS,
        double kr,
        double cr,
        double meanMPerS,
        double turbulence,
        double pressurePa)
        implements WindPressure {

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
            double densityKgPerM3) {
        /** Height in the profile, z. */
        double profileM() {
            return referenceHeightM - displacementM;
        }
    }

    /** Computes it. The terrain must be in the table. */
    public static PeakPressure of(Input in, EnTables tables) {
        EnTables.Terrain t = tables.terrain(in.terrain());
        double basic = in.probabilityFactor() * in.directionFactor() * in.seasonFactor() * in.velocityMPerS();
        double kr = 0.19 * Math.pow(t.roughnessM() / tables.recommended("z0_terrain_II_m"), 0.07); // 4.3.2
        double log = Math.log(Math.max(in.profileM(), t.leastHeightM()) / t.roughnessM());
        double cr = kr * log;
        double mean = cr * in.orography() * basic;
        double turbulence = tables.recommended("turbulence_kI") / (in.orography() * log); // 4.4
        double peak = (1 + 7 * turbulence) * 0.5 * in.densityKgPerM3() * mean * mean; // 4.5
        return new PeakPressure(in, t, basic, kr, cr, mean, turbulence, peak);
    }

    /** Factor for a return period, EN 1991-1-4 Eq. (4.2); 1 for 50 years. */
    public static double probabilityFactor(double years, EnTables tables) {
        double k = tables.recommended("probability_K");
        double wanted = 1 - k * Math.log(-Math.log(1 - 1 / years));
        double fifty = 1 - k * Math.log(-Math.log(0.98));
        return Math.pow(wanted / fifty, tables.recommended("probability_n"));
    }

    /** The lines of its working. */
    public List<Step> steps(Terms terms, EnTables tables) {
        Term z0 = Term.data(
                "z_0",
                "roughness length, terrain " + input.terrain(),
                significant(terrain.roughnessM(), 3) + " m",
                Origin.TABLE,
                tables.terrainTable());
        boolean lifted = input.displacementM() > 0;
        Term above = terms.term("z_e", "reference height", significant(input.referenceHeightM(), 4) + " m");
        Term ze = lifted
                ? Term.computed("z_p", "height in the lifted profile", significant(input.profileM(), 4) + " m", null)
                : above;
        String height = "{" + ze.symbol() + "}";
        Term zMin = Term.data(
                "z_min",
                "least height, terrain " + input.terrain(),
                significant(terrain.leastHeightM(), 3) + " m",
                Origin.TABLE,
                tables.terrainTable());
        Term co = terms.term("c_o", "orography factor", significant(input.orography(), 4));
        List<Step> steps = new ArrayList<>();
        if (lifted) {
            steps.add(Step.of(
                    "z_p",
                    "height in the profile that buildings upwind lift",
                    "{z_e} − {h_dis}",
                    significant(input.profileM(), 4) + " m",
                    "EN 1991-1-4 A.5",
                    above,
                    terms.term("h_dis", "displacement height", significant(input.displacementM(), 4) + " m")));
        }
        steps.addAll(List.of(
                Step.of(
                        "v_b",
                        "basic wind velocity",
                        "{c_prob} · {c_dir} · {c_season} · {v_b0}",
                        significant(basicMPerS, 5) + " m/s",
                        "EN 1991-1-4 4.2",
                        terms.term("c_prob", "factor of the return period", significant(input.probabilityFactor(), 4)),
                        terms.term("c_dir", "direction factor", significant(input.directionFactor(), 3)),
                        terms.term("c_season", "season factor", significant(input.seasonFactor(), 3)),
                        terms.term(
                                "v_b0",
                                "fundamental value, 10-minute mean, 50 years",
                                significant(input.velocityMPerS(), 5) + " m/s")),
                Step.of(
                        "k_r",
                        "terrain factor",
                        "0.19 · ({z_0} / {z_0,II})^0.07",
                        significant(kr, 4),
                        "EN 1991-1-4 4.3.2",
                        z0,
                        Term.data(
                                "z_0,II",
                                "roughness length of terrain II",
                                significant(tables.recommended("z0_terrain_II_m"), 3) + " m",
                                Origin.TABLE,
                                tables.recommendedTable())),
                Step.of(
                        "c_r",
                        "roughness factor",
                        "{k_r} · ln(max(" + height + ", {z_min}) / {z_0})",
                        significant(cr, 4),
                        "EN 1991-1-4 4.3.2",
                        Term.computed("k_r", "terrain factor", significant(kr, 4), null),
                        ze,
                        zMin,
                        z0),
                Step.of(
                        "v_m",
                        "mean velocity",
                        "{c_r} · {c_o} · {v_b}",
                        significant(meanMPerS, 5) + " m/s",
                        "EN 1991-1-4 4.3.1",
                        Term.computed("c_r", "roughness factor", significant(cr, 4), null),
                        co,
                        Term.computed("v_b", "basic wind velocity", significant(basicMPerS, 5) + " m/s", null)),
                Step.of(
                        "I_v",
                        "turbulence intensity",
                        "{k_I} / ({c_o} · ln(max(" + height + ", {z_min}) / {z_0}))",
                        significant(turbulence, 4),
                        "EN 1991-1-4 4.4",
                        Term.data(
                                "k_I",
                                "turbulence factor",
                                significant(tables.recommended("turbulence_kI"), 3),
                                Origin.TABLE,
                                tables.recommendedTable()),
                        co,
                        ze,
                        zMin,
                        z0),
                Step.of(
                        "q_p",
                        "peak velocity pressure",
                        "(1 + 7 · {I_v}) · ½ · {ρ} · {v_m}²",
                        Show.both(UnitSystem.METRIC, Dimension.LOAD, pressurePa),
                        "EN 1991-1-4 4.5",
                        Term.computed("I_v", "turbulence intensity", significant(turbulence, 4), null),
                        Term.data(
                                "ρ",
                                "density of air",
                                significant(input.densityKgPerM3(), 4) + " kg/m³",
                                Origin.TABLE,
                                tables.recommendedTable()),
                        Term.computed("v_m", "mean velocity", significant(meanMPerS, 5) + " m/s", null))));
        return List.copyOf(steps);
    }
}
