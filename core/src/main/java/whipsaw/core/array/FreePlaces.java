package whipsaw.core.array;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.index.strtree.STRtree;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Show;

/** Places on the rows and columns of an array at which no module lies, each with the reason. */
public final class FreePlaces {
    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final double TOUCH_M = 1e-6;

    private final Job job;
    private final RowGrid grid;
    private final ArrayLayout layout;
    private final STRtree kept = new STRtree();

    /**
     * A place without a module.
     *
     * @param s left side along the row
     * @param t low edge across the rows
     * @param bears whether a module can be put in there by hand
     * @param why nothing lies there
     */
    public record Place(double s, double t, boolean bears, String why) {}

    private record Keep(Geometry area, boolean bears, String why) {}

    private FreePlaces(Job job, RowGrid grid, ArrayLayout layout) {
        this.job = job;
        this.grid = grid;
        this.layout = layout;
        for (Obstruction o : job.roof().obstructions()) {
            insert(new Keep(grid.frame.inFrame(RoofPlan.footprint(o)), false, o.name() + " stands there"));
            insert(new Keep(grid.frame.inFrame(RoofPlan.keptFree(o)), true, "clear distance of " + o.name()));
        }
        grid.paths.strips().forEach(p -> insert(new Keep(grid.frame.inFrame(p.area()), true, p.words())));
    }

    private void insert(Keep keep) {
        kept.insert(keep.area().getEnvelopeInternal(), keep);
    }

    /**
     * All of an array, row by row from the front.
     *
     * @param layout of the same job
     */
    public static List<Place> of(Job job, RoofPlan plan, CodeTables tables, ArrayLayout layout) {
        return new FreePlaces(job, new RowGrid(job, plan, tables), layout).all();
    }

    private List<Place> all() {
        ArrayStage.Lines lines = ArrayStage.lines(job, grid);
        Set<String> taken = new HashSet<>();
        layout.modules().forEach(m -> taken.add(key(m.s(), m.t())));
        FreeRegion roof = grid.edgeToEdge();
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < lines.bands().size(); i++) {
            double t = lines.bands().get(i).t();
            RowColumns columns = lines.rows().columns(i);
            for (FreeRegion.Interval free : roof.free(t, t + grid.bandM())) {
                columns.each(free, grid.alongM, c -> {
                    double s = columns.start(c);
                    if (!taken.contains(key(s, t))) {
                        places.add(place(s, t, t + grid.bandM()));
                    }
                });
            }
        }
        return places;
    }

    private static String key(double s, double t) {
        return Math.round(s * 1000) + " " + Math.round(t * 1000);
    }

    private Place place(double s, double t, double rearT) {
        if (leftOut(s, t)) {
            return new Place(s, t, true, "left out by hand");
        }
        Envelope box = new Envelope(s + TOUCH_M, s + grid.alongM - TOUCH_M, t + TOUCH_M, rearT - TOUCH_M);
        Geometry own = FACTORY.toGeometry(box);
        Keep found = null;
        for (Object o : kept.query(box)) {
            Keep keep = (Keep) o;
            if ((found == null || found.bears() && !keep.bears()) && keep.area().intersects(own)) {
                found = keep;
            }
        }
        if (found != null) {
            return new Place(s, t, found.bears(), found.why());
        }
        boolean inside = grid.bare.free(t, rearT).stream()
                .anyMatch(f -> f.from() <= s + TOUCH_M && s + grid.alongM <= f.to() + TOUCH_M);
        int shortest = job.array().tray().shortestRow();
        return new Place(
                s,
                t,
                true,
                inside ? "row of fewer than " + Show.count(shortest, "module") : "set-back from the roof edge");
    }

    private boolean leftOut(double s, double t) {
        for (Corner c : job.array().removed()) {
            double ds = grid.frame.s(c.x().si(), c.y().si()) - s;
            double dt = grid.frame.t(c.x().si(), c.y().si()) - t;
            if (ds > 0 && ds < grid.alongM && dt > 0 && dt < grid.bandM()) {
                return true;
            }
        }
        return false;
    }
}
