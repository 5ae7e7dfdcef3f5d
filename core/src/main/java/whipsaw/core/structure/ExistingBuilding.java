package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.units.Measure;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * What the array adds to an existing building of the ASCE family, loads as they are: to the weight an earthquake moves,
 * counted against the roof's own weight alone, and to the gravity load of a member where the array is heaviest.
 *
 * @param addedKg all arrays on the roof
 * @param roofKg what an earthquake moves without the array: by an engineer, else the roof's own weight; NaN when its
 *     dead load is not known
 * @param byEngineer whether an engineer gave it
 * @param addedPa where the array is heaviest
 * @param therePa dead load with the larger of snow and live load; NaN when not known
 */
public record ExistingBuilding(double addedKg, double roofKg, boolean byEngineer, double addedPa, double therePa) {
    private static final Formulas LATERAL = Formulas.of("IEBC")
            .in("W", "weight an earthquake moves without the array", Measured.FORCE)
            .in("m", "weight of the arrays", Measured.FORCE)
            .let(
                    "r_E",
                    "with the array over without",
                    "({W} + {m}) / {W}",
                    Measured.NUMBER,
                    "alterations: lateral load")
            .build();
    private static final Formulas GRAVITY = Formulas.of("IEBC")
            .in("w", "dead load with the larger of snow and live load", Measured.PASCAL)
            .in("q", "array where it is heaviest", Measured.PASCAL)
            .let(
                    "r_G",
                    "with the array over without",
                    "({w} + {q}) / {w}",
                    Measured.NUMBER,
                    "alterations: gravity load")
            .build();

    /** Null where the rule is not asked for, nothing is placed or its weight is not established. */
    public static ExistingBuilding of(
            Job job, RoofPlan plan, SiteActions site, List<LaidArray> arrays, RoofLoads loads) {
        boolean placed = loads.window() != null
                && arrays.stream().allMatch(a -> a.holdDown().established());
        if (!(job.site().code() instanceof Site.AsceSite) || !placed) {
            return null;
        }
        Structure s = job.roof().fabric().structure();
        double dead =
                s.dead() == null || s.dead().si() == 0 ? Double.NaN : s.dead().si();
        double live = s.live() == null ? 0 : s.live().si();
        double snow = site.snow() == null ? 0 : site.snow().roofPa();
        Measure given = s.seismicWeight();
        return new ExistingBuilding(
                loads.totalKg(),
                given == null ? dead * plan.areaM2() / Ballast.GRAVITY : given.si(),
                given != null,
                loads.window().load().loadPa(),
                dead + Math.max(live, snow));
    }

    /** Whether what was there is known, so that the two can be compared. */
    public boolean known() {
        return !Double.isNaN(roofKg) && !Double.isNaN(therePa);
    }

    /** Seismic weight with the array over that without. */
    public double lateral() {
        return lateralValues().get("r_E");
    }

    private Values lateralValues() {
        From roof =
                From.rule(byEngineer ? "by an engineer" : "existing dead load times the roof's area, the roof alone");
        return LATERAL.values()
                .put("W", roofKg * Ballast.GRAVITY, roof)
                .put("m", addedKg * Ballast.GRAVITY, From.figure("roof.footprint"))
                .compute();
    }

    /** Gravity load where the array is heaviest over that without it. */
    public double gravity() {
        return gravityValues().get("r_G");
    }

    private Values gravityValues() {
        return GRAVITY.values()
                .put("w", therePa, From.figure(null))
                .put("q", addedPa, From.figure("roof.window"))
                .compute();
    }

    /** The lines of its working. */
    public List<Step> steps(UnitSystem units) {
        List<Step> steps = new ArrayList<>(lateralValues().steps(Terms.typed(), units));
        steps.addAll(gravityValues().steps(Terms.typed(), units));
        return steps;
    }
}
