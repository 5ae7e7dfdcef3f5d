package whipsaw.core.site;

import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;

/** What the place does to the roof: velocity pressure and zones. */
public record SiteActions(VelocityPressure velocity, RoofZones zones) {

    /** Edition whose velocity pressure and panel coefficients are used. */
    public static final String EDITION = "7-16";

    public static SiteActions of(Job job, RoofPlan plan, CodeTables tables) {
        Job.Site site = job.site();
        VelocityPressure.Input input = new VelocityPressure.Input(
                site.wind().si(),
                job.roof().height().si(),
                site.exposure(),
                EDITION,
                site.kzt(),
                VelocityPressure.BUILDING_KD,
                site.elevation().si(),
                VelocityPressure.LOWEST_HEIGHT_M);
        return new SiteActions(VelocityPressure.of(input, tables.wind()), RoofZones.of(plan));
    }
}
