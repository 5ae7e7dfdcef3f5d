package whipsaw.core.holddown;

import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.EnRoofPressure;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.EnTables;
import whipsaw.core.table.WindTables;

/**
 * What no module is designed for less than: a least uplift that was entered, and for a net-coefficient set a share of
 * what the code itself gives.
 *
 * @param leastPa NaN when none was entered
 * @param share of what the code gives; NaN when none was chosen
 * @param own what the code gives; null where there is no share or no wind
 */
public record UpliftFloor(double leastPa, double share, Own own) {

    /** What a code family itself gives, beside a net-coefficient set. */
    public sealed interface Own permits RoofSuction, TiltedPanel {
        /** Suction, positive. */
        double pa(String zone, boolean atArrayEdge, double areaM2);

        /** What it is, for a reader. */
        String words();
    }

    /** Suction on the roof itself, EN 1991-1-4. */
    public record RoofSuction(double peakPa, double parapetOverHeight, EnTables tables) implements Own {
        /** Coefficient in a zone at an area, negative. */
        public double coefficient(String zone, double areaM2) {
            return EnRoofPressure.of(zone, parapetOverHeight, areaM2, tables).cpe();
        }

        @Override
        public double pa(String zone, boolean atArrayEdge, double areaM2) {
            return -coefficient(zone, areaM2) * peakPa;
        }

        @Override
        public String words() {
            return "the share of the roof's own suction";
        }
    }

    /** A single row of panels one way by ASCE 7 29.4.3, whatever the arrangement of the set. */
    public record TiltedPanel(TiltedArray.Setting oneModule, WindTables tables) implements Own {
        /** What the code gives a single panel of the tilt, ASCE 7-16 29.4.3. */
        public TiltedArray.Pressure pressure(String zone, boolean atArrayEdge, double areaM2) {
            return TiltedArray.pressure(oneModule.withArea(areaM2), zone, atArrayEdge, tables);
        }

        @Override
        public double pa(String zone, boolean atArrayEdge, double areaM2) {
            return pressure(zone, atArrayEdge, areaM2).upliftPa();
        }

        @Override
        public String words() {
            return "the share of 29.4.3";
        }
    }

    /** The floors of a job; none where neither a share nor a least uplift is entered. */
    public static UpliftFloor of(Job job, RoofPlan plan, SiteActions site, CodeTables tables) {
        Site s = job.site();
        Own own = null;
        if (!Double.isNaN(s.floorShare())
                && site.wind() != null
                && !s.code().coefficients().isEmpty()) {
            own = s.code() instanceof Site.EnSite
                    ? new RoofSuction(
                            site.wind().pressurePa(),
                            plan.highestParapetM() / job.roof().height().si(),
                            tables.en())
                    : new TiltedPanel(PanelMethod.setting(job, plan, site), tables.wind());
        }
        return new UpliftFloor(
                s.leastUplift() == null ? Double.NaN : s.leastUplift().si(), s.floorShare(), own);
    }

    /** NaN without a share. */
    public double sharePa(String zone, boolean atArrayEdge, double areaM2) {
        return own == null ? Double.NaN : share * own.pa(zone, atArrayEdge, areaM2);
    }

    PanelPressure raised(PanelPressure p, boolean atArrayEdge) {
        double floor = sharePa(p.zone(), atArrayEdge, p.effectiveAreaM2());
        PanelPressure result = p;
        if (floor > result.upliftPa()) {
            result = new PanelPressure.Raised(p, floor, own.words());
        }
        if (leastPa > result.upliftPa()) {
            result = new PanelPressure.Raised(p, leastPa, "the minimum design uplift");
        }
        return result;
    }
}
