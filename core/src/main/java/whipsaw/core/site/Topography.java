package whipsaw.core.site;

import static whipsaw.core.units.Show.significant;

import java.util.List;
import java.util.Map;
import whipsaw.core.job.Site;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;

/**
 * Wind over a ridge, an escarpment or a hill, ASCE 7-16 and 7-22 26.8. That nothing as high stands upwind, and that the
 * building is in the upper half of the hill, is for the user to see on the ground.
 *
 * @param steepness height over half length
 * @param tooLow why the hill does not count; empty when it does
 * @param k1 for the shape and its steepness
 * @param k2 for the distance from the crest
 * @param k3 for the height above ground
 * @param factor K_zt
 */
public record Topography(
        Site.Hill hill,
        String exposure,
        double heightM,
        double steepness,
        String tooLow,
        double k1,
        double k2,
        double k3,
        double factor,
        CodeTable table) {
    /** Null without a hill. */
    public static Topography of(Site.Ground ground, double heightM, CodeTables tables) {
        Site.Hill hill = ground.hill();
        if (hill == null) {
            return null;
        }
        CodeTable table = tables.table("asce_topography");
        Map<String, String> row = table.rows().stream()
                .filter(r ->
                        r.get("shape").equals(hill.shape()) && r.get("exposure").equals(ground.exposure()))
                .findFirst()
                .orElseThrow();
        double steepness = hill.height().si() / hill.halfLength().si();
        double least = CodeTable.number(row, "least_height_ft");
        double leastSteep = CodeTable.number(row, "least_steepness");
        double mostSteep = CodeTable.number(row, "most_steepness");
        String tooLow = "";
        if (Limits.above(leastSteep, steepness)) {
            tooLow = "height over half length is below " + significant(leastSteep, 2);
        } else if (Limits.above(least, Unit.FOOT.fromSi(hill.height().si()))) {
            tooLow = "it is lower than " + significant(least, 3) + " ft, exposure " + ground.exposure();
        }
        boolean steep = Limits.above(steepness, mostSteep);
        double half = steep ? 2 * hill.height().si() : hill.halfLength().si();
        double mu = CodeTable.number(row, hill.distance().si() > 0 ? "mu_downwind" : "mu_upwind");
        double k1 = CodeTable.number(row, "k1_per_steepness") * Math.min(steepness, mostSteep);
        double k2 = Math.max(0, 1 - Math.abs(hill.distance().si()) / (mu * half));
        double k3 = Math.exp(-CodeTable.number(row, "gamma") * heightM / half);
        double sum = 1 + k1 * k2 * k3;
        return new Topography(
                hill,
                ground.exposure(),
                heightM,
                steepness,
                tooLow,
                k1,
                k2,
                k3,
                tooLow.isEmpty() ? sum * sum : 1,
                table);
    }

    /** The factor of a job: by its hill, else as typed. */
    static double factor(Site.Ground ground, double heightM, CodeTables tables) {
        Topography t = of(ground, heightM, tables);
        return t == null ? ground.kzt() : t.factor();
    }

    /** The lines of its working. */
    public List<Step> steps() {
        Term shape = Term.data("", hill.shape() + ", exposure " + exposure, "", Origin.TABLE, table);
        Step steep = Step.of(
                "H/L_h",
                "steepness, taken as 0.5 at most",
                "{H} / {L_h}",
                significant(steepness, 3),
                "ASCE 7 26.8.1",
                Term.given("H", "height of the hill", hill.height().typed(), hill.height()),
                Term.given(
                        "L_h",
                        "from the crest to half the height",
                        hill.halfLength().typed(),
                        hill.halfLength()));
        if (!tooLow.isEmpty()) {
            return List.of(steep, Step.of("K_zt", "the hill does not count: " + tooLow, "", "1", "ASCE 7 26.8.1"));
        }
        return List.of(
                steep,
                Step.of("K_1", "for the shape", "factor · {H/L_h}", significant(k1, 3), "Fig. 26.8-1", shape),
                Step.of(
                        "K_2",
                        "for the distance from the crest",
                        "1 − |{x}| / (μ · L_h)",
                        significant(k2, 3),
                        "Fig. 26.8-1",
                        Term.given("x", "downwind of the crest", hill.distance().typed(), hill.distance())),
                Step.of("K_3", "for the height above ground", "exp(−γ · z / L_h)", significant(k3, 3), "Fig. 26.8-1"),
                Step.of("K_zt", "topographic factor", "(1 + K_1 · K_2 · K_3)²", significant(factor, 4), "Eq. 26.8-1"));
    }
}
