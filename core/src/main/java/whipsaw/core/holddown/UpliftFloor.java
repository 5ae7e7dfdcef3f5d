package whipsaw.core.holddown;

import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.EnRoofPressure;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;

/**
 * What no module is designed for less than: a least uplift that was entered, and for a net-coefficient set a share of
 * the roof's own suction by the code.
 *
 * @param leastPa NaN when none was entered
 * @param share of the suction; NaN when none was chosen
 * @param peakPa peak velocity pressure; NaN where there is no share
 * @param parapetOverHeight of the roof
 */
public record UpliftFloor(double leastPa, double share, double peakPa, double parapetOverHeight, CodeTables tables) {

    public static UpliftFloor of(Job job, RoofPlan plan, SiteActions site, CodeTables tables) {
        Job.Site s = job.site();
        return new UpliftFloor(
                s.leastUplift() == null ? Double.NaN : s.leastUplift().si(),
                s.floorShare(),
                Double.isNaN(s.floorShare()) || site.wind() == null
                        ? Double.NaN
                        : site.wind().pressurePa(),
                plan.highestParapetM() / job.roof().height().si(),
                tables);
    }

    /** Suction on the roof itself in a zone at an area, negative. */
    public double suction(String zone, double areaM2) {
        return EnRoofPressure.of(zone, parapetOverHeight, areaM2, tables.en()).cpe();
    }

    /** NaN without a share. */
    public double sharePa(String zone, double areaM2) {
        return Double.isNaN(peakPa) ? Double.NaN : -share * suction(zone, areaM2) * peakPa;
    }

    PanelPressure raised(PanelPressure p) {
        double floor = sharePa(p.zone(), p.effectiveAreaM2());
        PanelPressure result = p;
        if (floor > result.upliftPa()) {
            result = new PanelPressure.Raised(p, floor, "the share of the roof's own suction");
        }
        if (leastPa > result.upliftPa()) {
            result = new PanelPressure.Raised(p, leastPa, "the least design uplift");
        }
        return result;
    }
}
