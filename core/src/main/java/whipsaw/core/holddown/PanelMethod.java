package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.data.CodeWords;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.EdgeDistance;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.EditionTable;
import whipsaw.core.table.NetCoefficients;
import whipsaw.core.units.Show;

/** How one code family finds the net pressure on a panel. */
abstract class PanelMethod {

    /** Limits of the method that this array passes, in words; empty inside its scope. */
    abstract List<String> outsideScope();

    /** What has to be entered before it can say anything; empty when nothing is missing. */
    abstract List<String> missing();

    abstract PanelPressure pressure(String zone, boolean atArrayEdge, double areaM2);

    /** Key of the load factors on weight and wind. */
    abstract String loadMethod();

    static PanelMethod of(Job job, RoofPlan plan, SiteActions site, ArrayLayout layout, CodeTables tables) {
        boolean ownOnly = job.site().code() instanceof Site.AsceSite
                && job.site().code().coefficients().isEmpty();
        return ownOnly
                ? new ByAsce(job, plan, site, layout, tables)
                : new ByNetCoefficients(job, plan, site, layout, tables);
    }

    private static String asce(Job job) {
        return ((Site.AsceSite) job.site().code()).edition().strength() ? "LRFD" : "ASD";
    }

    /** Building and panel as 29.4.3 wants to know them, the area one module. */
    static TiltedArray.Setting setting(Job job, RoofPlan plan, SiteActions site) {
        return new TiltedArray.Setting(
                job.roof().height().si(),
                plan.longSideM(),
                plan.shortSideM(),
                plan.highestParapetM(),
                job.array().tilt().si(),
                job.array().module().width().si(),
                job.array().module().areaM2(),
                site.wind() == null ? Double.NaN : site.wind().pressurePa());
    }

    /** ASCE 7-16 29.4.3. */
    static final class ByAsce extends PanelMethod {
        private final Job job;
        private final SiteActions site;
        private final ArrayLayout layout;
        private final CodeTables tables;
        private final TiltedArray.Setting oneModule;

        ByAsce(Job job, RoofPlan plan, SiteActions site, ArrayLayout layout, CodeTables tables) {
            this.job = job;
            this.site = site;
            this.layout = layout;
            this.tables = tables;
            this.oneModule = setting(job, plan, site);
        }

        @Override
        List<String> outsideScope() {
            List<String> codes = new ArrayList<>();
            TiltedArray.outsideScope(
                            oneModule,
                            job.roof().slope().si(),
                            layout.lowEdgeM(),
                            layout.highEdgeM(),
                            Double.POSITIVE_INFINITY)
                    .forEach(code -> codes.add(CodeWords.of(code)));
            if (job.array().tray().arrangement() == TraySystem.Arrangement.PAIRS) {
                codes.add("pairs back to back are not what 29.4.3 describes");
            }
            return codes;
        }

        @Override
        List<String> missing() {
            List<String> missing = new ArrayList<>();
            Site.AsceEdition edition = ((Site.AsceSite) job.site().code()).edition();
            if (site.wind() == null) {
                missing.add("basic wind speed");
            }
            if (!tables.editions().has(edition, EditionTable.Part.TILTED_ARRAY)) {
                missing.add(EditionTable.Part.TILTED_ARRAY.missing(edition)
                        + " (take those of 7-16 where an engineer accepts them, or a net-coefficient set)");
            }
            return missing;
        }

        @Override
        PanelPressure pressure(String zone, boolean atArrayEdge, double areaM2) {
            return TiltedArray.pressure(oneModule.withArea(areaM2), zone, atArrayEdge, tables.wind());
        }

        @Override
        String loadMethod() {
            return asce(job);
        }
    }

    /** The velocity pressure of the family and a net-coefficient set with its limits of validity. */
    static final class ByNetCoefficients extends PanelMethod {
        private final Job job;
        private final SiteActions site;
        private final ArrayLayout layout;
        private final RoofPlan plan;
        private final CodeTables tables;
        private final NetCoefficients set;
        private final String id;

        ByNetCoefficients(Job job, RoofPlan plan, SiteActions site, ArrayLayout layout, CodeTables tables) {
            this.job = job;
            this.plan = plan;
            this.site = site;
            this.layout = layout;
            this.id = job.site().code().coefficients();
            this.tables = tables;
            this.set = tables.netCoefficients(id);
        }

        private String arrangement() {
            return job.array().tray().arrangement().key();
        }

        @Override
        List<String> outsideScope() {
            if (set == null) {
                return List.of();
            }
            if (!set.family().equals(job.site().code().family())) {
                return List.of("the set has coefficients by the zones of the other code family");
            }
            if (!set.covers(arrangement())) {
                return List.of("the set has no coefficients for "
                        + job.array().tray().arrangement().words());
            }
            Map<String, Double> values = new LinkedHashMap<>();
            values.put("roof_height_m", job.roof().height().si());
            values.put("roof_slope_deg", job.roof().slope().si());
            values.put("tilt_deg", job.array().tilt().si());
            values.put("chord_m", job.array().module().width().si());
            values.put("lower_edge_m", layout.lowEdgeM());
            values.put("parapet_height_m", plan.highestParapetM());
            values.put("row_gap_m", layout.gapM());
            values.put("modules", (double) layout.modules().size());
            values.put(
                    "edge_distance_m",
                    layout.modules().stream()
                            .mapToDouble(m -> EdgeDistance.toNearest(layout.corners(m), plan))
                            .min()
                            .orElse(Double.POSITIVE_INFINITY));
            List<String> outside = new ArrayList<>();
            for (NetCoefficients.Limit limit : set.limits(arrangement())) {
                double value = values.get(limit.name());
                if (!limit.holds(value)) {
                    outside.add(limit.words() + ", not " + Show.significant(value, 4));
                }
            }
            return outside;
        }

        @Override
        List<String> missing() {
            List<String> missing = new ArrayList<>();
            if (site.wind() == null) {
                missing.add(
                        job.site().code() instanceof Site.EnSite
                                ? "fundamental basic wind velocity"
                                : "basic wind speed");
            }
            if (set == null) {
                missing.add("net-coefficient set '" + id + "'");
            }
            boolean floored = !Double.isNaN(job.site().floorShare());
            if (floored
                    && job.site().code() instanceof Site.AsceSite asce
                    && !tables.editions().has(asce.edition(), EditionTable.Part.TILTED_ARRAY)) {
                missing.add(EditionTable.Part.TILTED_ARRAY.missing(asce.edition()) + ", for the floor");
            }
            return missing;
        }

        @Override
        PanelPressure pressure(String zone, boolean atArrayEdge, double areaM2) {
            return NetPressure.of(
                    set,
                    arrangement(),
                    zone,
                    job.array().tilt().si(),
                    areaM2,
                    site.wind().pressurePa());
        }

        @Override
        String loadMethod() {
            return job.site().code() instanceof Site.EnSite ? "EN_EQU" : asce(job);
        }
    }
}
