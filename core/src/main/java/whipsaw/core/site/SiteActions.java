package whipsaw.core.site;

import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.job.WindFactors;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.EditionTable;
import whipsaw.core.units.Measure;

/**
 * What the place does to the roof.
 *
 * @param wind pressure at roof height; null while no wind speed has been given
 * @param topography of the hill the building stands on; null without one
 * @param zones of the roof
 * @param snow on the roof; null while no snow load has been given
 * @param drifts of that snow on a flat roof; null without snow or on a pitched one
 */
public record SiteActions(WindPressure wind, Topography topography, RoofZones zones, SnowLoad snow, SnowDrifts drifts) {

    /** Wind, snow and zones of a roof by the code family of the job; what is missing stays null. */
    public static SiteActions of(Job job, RoofPlan plan, CodeTables tables) {
        SnowLoad snow = snow(job, plan, tables);
        SnowDrifts drifts = snow == null || !job.roof().fabric().flat() ? null : SnowDrifts.of(job, plan, snow, tables);
        if (job.site().code() instanceof Site.EnSite en) {
            return new SiteActions(peak(job, en, plan, tables), null, EnZones.of(plan), snow, drifts);
        }
        Site.AsceSite asce = (Site.AsceSite) job.site().code();
        return new SiteActions(
                velocity(job, VelocityPressure.LOWEST_HEIGHT_M, tables),
                Topography.of(asce.ground(), job.roof().height().si(), tables),
                AsceZones.of(plan, tables.zones()),
                snow,
                drifts);
    }

    /**
     * Velocity pressure at the height of the roof of a job of the ASCE family; null while no wind speed has been given.
     *
     * @param lowestHeightM of the profile
     */
    public static VelocityPressure velocity(Job job, double lowestHeightM, CodeTables tables) {
        Site.AsceSite site = (Site.AsceSite) job.site().code();
        if (site.wind() == null) {
            return null;
        }
        double heightM = job.roof().height().si();
        VelocityPressure.Input input = new VelocityPressure.Input(
                site.wind().si(),
                heightM,
                site.ground().exposure(),
                site.edition().name(),
                Topography.factor(site.ground(), heightM, tables),
                VelocityPressure.BUILDING_KD,
                job.site().elevation().si(),
                lowestHeightM);
        return VelocityPressure.of(input, tables.wind());
    }

    private static PeakPressure peak(Job job, Site.EnSite site, RoofPlan plan, CodeTables tables) {
        if (site.wind() == null) {
            return null;
        }
        WindFactors factors = site.factors();
        PeakPressure.Input input = new PeakPressure.Input(
                site.wind().si(),
                job.roof().height().si() + plan.highestParapetM(),
                site.displacement() == null ? 0 : site.displacement().si(),
                site.terrain(),
                PeakPressure.probabilityFactor(factors.returnYears(), tables.en()),
                factors.direction(),
                factors.season(),
                factors.orography(),
                tables.en().recommended("rho_kg_per_m3"));
        return PeakPressure.of(input, tables.en());
    }

    private static SnowLoad snow(Job job, RoofPlan plan, CodeTables tables) {
        Measure given = job.site().roofSnow();
        Measure ground = job.site().snow();
        if (given != null) {
            return new GivenSnow(given.si());
        }
        if (ground == null) {
            return null;
        }
        double slope = job.roof().slope().si();
        if (job.site().code() instanceof Site.EnSite site) {
            return EnSnow.of(
                    new EnSnow.Input(ground.si(), slope, site.snowExposure(), site.snowThermal(), false), tables.en());
        }
        Site.AsceSite site = (Site.AsceSite) job.site().code();
        if (!tables.editions().has(site.edition(), EditionTable.Part.SNOW)) {
            return ground.si() == 0 ? new GivenSnow(0) : null;
        }
        return AsceSnow.of(
                new AsceSnow.Input(
                        ground.si(),
                        site.snowExposure(),
                        site.snowThermal(),
                        tables.snow().value("importance_" + site.riskCategory()),
                        slope,
                        // the way the roof falls is not asked for: the longer one is on the safe side
                        plan.longSideM()),
                tables.snow());
    }
}
