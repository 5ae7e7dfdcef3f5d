package whipsaw.core.structure;

import java.util.List;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.units.Measure;

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

    public boolean known() {
        return !Double.isNaN(roofKg) && !Double.isNaN(therePa);
    }

    /** Seismic weight with the array over that without. */
    public double lateral() {
        return (roofKg + addedKg) / roofKg;
    }

    /** Gravity load where the array is heaviest over that without it. */
    public double gravity() {
        return (therePa + addedPa) / therePa;
    }
}
