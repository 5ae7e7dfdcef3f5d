package whipsaw.core.site;

import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Measure;

/**
 * What the place does to the roof.
 *
 * @param wind pressure at roof height; null while no wind speed has been given
 * @param zones of the roof
 * @param snow on the roof; null while no snow load has been given
 * @param drifts of that snow on a flat roof; null without snow or on a pitched one
 */
public record SiteActions(WindPressure wind, RoofZones zones, SnowLoad snow, SnowDrifts drifts) {

    /** Edition whose velocity pressure and panel coefficients are used. */
    public static final String EDITION = "7-16";

    public static SiteActions of(Job job, RoofPlan plan, CodeTables tables) {
        if (job.site().code() instanceof Job.EnSite en) {
            SnowLoad snow = snow(job, en, tables);
            return new SiteActions(
                    peak(job, en, plan, tables), EnZones.of(plan), snow, drifts(job, plan, snow, tables));
        }
        Job.AsceSite asce = (Job.AsceSite) job.site().code();
        SnowLoad snow = snow(job, asce, plan, tables);
        return new SiteActions(velocity(job, asce, tables), AsceZones.of(plan), snow, drifts(job, plan, snow, tables));
    }

    private static SnowDrifts drifts(Job job, RoofPlan plan, SnowLoad snow, CodeTables tables) {
        return snow == null || !job.roof().fabric().flat() ? null : SnowDrifts.of(job, plan, snow, tables);
    }

    private static VelocityPressure velocity(Job job, Job.AsceSite site, CodeTables tables) {
        if (site.wind() == null) {
            return null;
        }
        VelocityPressure.Input input = new VelocityPressure.Input(
                site.wind().si(),
                job.roof().height().si(),
                site.exposure(),
                EDITION,
                site.kzt(),
                VelocityPressure.BUILDING_KD,
                job.site().elevation().si(),
                VelocityPressure.LOWEST_HEIGHT_M);
        return VelocityPressure.of(input, tables.wind());
    }

    private static PeakPressure peak(Job job, Job.EnSite site, RoofPlan plan, CodeTables tables) {
        if (site.wind() == null) {
            return null;
        }
        PeakPressure.Input input = new PeakPressure.Input(
                site.wind().si(),
                job.roof().height().si() + plan.highestParapetM(),
                site.terrain(),
                site.directionFactor(),
                site.seasonFactor(),
                site.orography(),
                tables.en().recommended("rho_kg_per_m3"));
        return PeakPressure.of(input, tables.en());
    }

    private static AsceSnow snow(Job job, Job.AsceSite site, RoofPlan plan, CodeTables tables) {
        Measure ground = site.snow();
        if (ground == null) {
            return null;
        }
        return AsceSnow.of(
                new AsceSnow.Input(
                        ground.si(),
                        site.snowExposure(),
                        site.snowThermal(),
                        tables.snow().value("importance_" + site.riskCategory()),
                        job.roof().slope().si(),
                        plan.shortSideM()),
                tables.snow());
    }

    private static EnSnow snow(Job job, Job.EnSite site, CodeTables tables) {
        Measure ground = site.snow();
        if (ground == null) {
            return null;
        }
        return EnSnow.of(
                new EnSnow.Input(ground.si(), job.roof().slope().si(), site.snowExposure(), site.snowThermal(), false),
                tables.en());
    }
}
