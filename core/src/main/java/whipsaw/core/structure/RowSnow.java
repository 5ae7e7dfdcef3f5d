package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.site.SnowDrifts;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Unit;

/**
 * Snow that drifts against rows of modules: each row long enough is an obstacle as high as its high edge, and the drift
 * lies on both sides of that edge. Where two rows reach, the larger counts.
 */
public final class RowSnow {
    private final SnowDrifts.Source profile;
    private final double uniformPa;
    private final ArrayLayout layout;
    private final List<Edge> edges;

    /** A high edge in the coordinates of the rows. */
    private record Edge(double t, double from, double to) {}

    private RowSnow(SnowDrifts.Source profile, double uniformPa, ArrayLayout layout, List<Edge> edges) {
        this.profile = profile;
        this.uniformPa = uniformPa;
        this.layout = layout;
        this.edges = edges;
    }

    /** Null where no drift forms, or snow is not known or an engineer's. */
    public static RowSnow of(Job job, RoofPlan plan, SiteActions site, ArrayLayout layout, CodeTables tables) {
        if (site.drifts() == null
                || !job.roof().takesTrays()
                || layout.modules().isEmpty()) {
            return null;
        }
        SnowDrifts.Source profile = SnowDrifts.against(
                "rows of modules", List.of(), layout.highEdgeM(), SnowDrifts.fetchM(job, plan), site.snow(), tables);
        double least = job.site().code() instanceof Site.AsceSite
                ? Unit.FOOT.toSi(tables.drift().value("side_needs_none_ft"))
                : 0;
        List<Edge> edges = new ArrayList<>();
        for (ArrayLayout.Run run : layout.runs()) {
            double low = layout.modules().get(run.firstIndex()).t();
            if (run.lengthM() >= least) {
                double t = layout.looksBack(run.row()) ? low : low + layout.depthM();
                edges.add(new Edge(t, run.from(), run.to()));
            }
        }
        edges.sort(Comparator.comparingDouble(Edge::t));
        return profile == null || edges.isEmpty()
                ? null
                : new RowSnow(profile, site.snow().roofPa(), layout, List.copyOf(edges));
    }

    /** The most that the rows of several arrays add to the even snow at a place; 0 where none reaches. */
    static double most(List<RowSnow> arrays, double x, double y) {
        double most = 0;
        for (RowSnow rows : arrays) {
            most = Math.max(most, rows.moreThanUniform(x, y));
        }
        return most;
    }

    /** How deep the snow lies beside a row, from its high edge on. */
    public SnowDrifts.Source profile() {
        return profile;
    }

    /** Rows that gather snow. */
    public int count() {
        return edges.size();
    }

    /** Snow above the even one at a place; 0 where no row's drift reaches. */
    double moreThanUniform(double x, double y) {
        double s = layout.frame().s(x, y);
        double t = layout.frame().t(x, y);
        double least = Double.POSITIVE_INFINITY;
        for (int i = first(t - profile.lengthM());
                i < edges.size() && edges.get(i).t() < t + profile.lengthM();
                i++) {
            Edge e = edges.get(i);
            double beside = Math.max(0, Math.max(e.from() - s, s - e.to()));
            least = Math.min(least, Math.hypot(beside, t - e.t()));
        }
        double part = 1 - least / profile.lengthM();
        return part <= 0 ? 0 : Math.max(0, profile.basePa() + part * (profile.peakPa() - profile.basePa()) - uniformPa);
    }

    private int first(double t) {
        int low = 0;
        int high = edges.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (edges.get(middle).t() < t) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
