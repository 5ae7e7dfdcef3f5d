package whipsaw.core.site;

import static whipsaw.core.units.Show.significant;

import java.util.List;
import java.util.Map;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.job.Site;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Wind over a ridge, an escarpment or a hill, ASCE 7-16 and 7-22 26.8. That nothing as high stands upwind, and that the
 * building is in the upper half of the hill, is for the user to see on the ground.
 *
 * @param values of the symbols of the formulas
 * @param tooLow why the hill does not count; empty when it does
 */
public record Topography(Values values, String tooLow) {
    private static final Measured FACTOR = Measured.NUMBER.digits(3);

    private static final Formulas FORMULAS = Formulas.of("ASCE 7")
            .in("H", "height of the hill", Measured.FOOT)
            .in("L_h", "from the crest to half the height", Measured.FOOT)
            .let("H/L_h", "steepness", "{H} / {L_h}", FACTOR, "26.8.1")
            .in("S", "most steepness that counts", FACTOR)
            .let(
                    "L",
                    "half length, of a steeper hill the one of that steepness",
                    "max({L_h}, {H} / {S})",
                    Measured.FOOT,
                    "Fig. 26.8-1")
            .in("k", "factor of the shape", FACTOR)
            .let("K_1", "for the shape", "{k} · min({H/L_h}, {S})", FACTOR, "Fig. 26.8-1")
            .in("x", "distance from the crest", Measured.FOOT)
            .in("μ", "reach of the hill, in half lengths", FACTOR)
            .let("K_2", "for the distance from the crest", "max(0, 1 − {x} / ({μ} · {L}))", FACTOR, "Fig. 26.8-1")
            .in("γ", "fading with height", FACTOR)
            .in("z", "height above ground", Measured.FOOT)
            .let("K_3", "for the height above ground", "exp(−{γ} · {z} / {L})", FACTOR, "Fig. 26.8-1")
            .let("K_zt", "topographic factor", "(1 + {K_1} · {K_2} · {K_3})²", Measured.NUMBER, "Eq. 26.8-1")
            .build();

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
        boolean downwind = hill.distance().si() > 0;
        From read = From.table(table, hill.shape() + ", exposure " + ground.exposure());
        Values values = FORMULAS.values()
                .put("H", hill.height().si(), From.typed(hill.height()))
                .put("L_h", hill.halfLength().si(), From.typed(hill.halfLength()))
                .put("S", CodeTable.number(row, "most_steepness"), read)
                .put("k", CodeTable.number(row, "k1_per_steepness"), read)
                .put("x", Math.abs(hill.distance().si()), From.typed(hill.distance()))
                .put("μ", CodeTable.number(row, downwind ? "mu_downwind" : "mu_upwind"), read)
                .put("γ", CodeTable.number(row, "gamma"), read)
                .put("z", heightM)
                .compute();
        double least = CodeTable.number(row, "least_height_ft");
        double leastSteep = CodeTable.number(row, "least_steepness");
        String tooLow = "";
        if (Limits.above(leastSteep, values.get("H/L_h"))) {
            tooLow = "height over half length is below " + significant(leastSteep, 2);
        } else if (Limits.above(least, Unit.FOOT.fromSi(hill.height().si()))) {
            tooLow = "it is lower than " + significant(least, 3) + " ft, exposure " + ground.exposure();
        }
        return new Topography(values, tooLow);
    }

    /** K_zt; 1 where the hill does not count. */
    public double factor() {
        return tooLow.isEmpty() ? values.get("K_zt") : 1;
    }

    /** The factor of a job: by its hill, else as typed. */
    static double factor(Site.Ground ground, double heightM, CodeTables tables) {
        Topography t = of(ground, heightM, tables);
        return t == null ? ground.kzt() : t.factor();
    }

    /** The lines of its working. */
    public List<Step> steps() {
        List<Step> all = values.steps(Terms.typed());
        return tooLow.isEmpty()
                ? all
                : List.of(all.get(0), Step.of("K_zt", "the hill does not count: " + tooLow, "", "1", "ASCE 7 26.8.1"));
    }
}
