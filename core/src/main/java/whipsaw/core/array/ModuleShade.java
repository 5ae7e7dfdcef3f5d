package whipsaw.core.array;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.roof.RoofPlan;

/**
 * Which modules stand in the shadow of parapets and things on a level roof, and when. Modules are taken at their own
 * height and tilt: a shadow is thrown on the plane of each row, and a module counts as shaded as soon as any part of it
 * is. Rows that shade each other are not in it ({@link RowSpacing}); nor are weather and the horizon.
 */
public final class ModuleShade {
    /** Below it shadows have no end that matters. */
    private static final double LEAST_ELEVATION_DEG = 1;

    private static final int DAY_OF_MONTH = 21;

    private static final int[] FIRST_OF_MONTH = {0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334};

    private static final double YEAR_STEP_H = 0.5;

    private static final double DAY_STEP_H = 0.25;

    private final Job job;
    private final ArrayLayout layout;
    private final List<Caster> casters;
    private final List<Row> rows;

    /** Found when first asked for: the check, the page and the schedules all want it. */
    private volatile int[] instants;

    private volatile List<Hour> window;

    private volatile double[] year;

    /** What throws a shadow: vertical walls from the roof up. */
    private record Caster(Thing thing, Coordinate[] ring, double heightM, double turn) {
        Caster(Thing thing, Coordinate[] ring, double heightM) {
            this(thing, ring, heightM, turn(ring));
        }

        /** Twice the area of a ring, positive where its corners go counter-clockwise. */
        private static double turn(Coordinate[] ring) {
            double sum = 0;
            for (int i = 0; i < ring.length; i++) {
                Coordinate a = ring[i];
                Coordinate b = ring[(i + 1) % ring.length];
                sum += a.x * b.y - b.x * a.y;
            }
            return sum;
        }

        /** Whether the sun shines on the outside of a wall from a to b. */
        boolean lit(double[] a, double[] b, double[] to) {
            return ((b[1] - a[1]) * to[0] - (b[0] - a[0]) * to[1]) * turn > 0;
        }
    }

    /** Modules of a row, in the order of their places. */
    private record Row(double t, boolean looksBack, List<ArrayLayout.Module> modules) {}

    /**
     * A thing on the roof, or the parapet of an edge.
     *
     * @param id of the obstruction, or {@code edge-3}
     */
    public record Thing(String id, String name) {}

    /**
     * What one thing does at an instant.
     *
     * @param lengthM of its shadow at the height of the low edges; infinite while the sun is down
     * @param modules indices of those that it shades in part or wholly
     */
    public record Shadow(Thing thing, double lengthM, BitSet modules) {}

    /** All shadows of an instant; none while the sun is down. */
    public record Hour(SolarTime sun, List<Shadow> shadows) {
        public Hour {
            shadows = List.copyOf(shadows);
        }

        /** Indices of all modules in shade. */
        public BitSet modules() {
            BitSet all = new BitSet();
            shadows.forEach(s -> all.or(s.modules()));
            return all;
        }
    }

    private ModuleShade(Job job, RoofPlan plan, ArrayLayout layout) {
        this.job = job;
        this.layout = layout;
        this.casters = casters(job, plan);
        this.rows = rows(layout);
    }

    /** Shade of the parapets and things of a roof on the modules of an array. */
    public static ModuleShade of(Job job, RoofPlan plan, ArrayLayout layout) {
        return new ModuleShade(job, plan, layout);
    }

    private static List<Caster> casters(Job job, RoofPlan plan) {
        List<Caster> all = new ArrayList<>();
        if (!job.roof().fabric().flat()) {
            return all;
        }
        for (Obstruction o : job.roof().obstructions()) {
            if (ObstructionKinds.shades(o) && o.height().si() > 0) {
                Coordinate[] closed = RoofPlan.footprint(o).getCoordinates();
                all.add(new Caster(
                        new Thing(o.id(), o.name()),
                        Arrays.copyOf(closed, closed.length - 1),
                        o.height().si()));
            }
        }
        for (RoofPlan.Edge e : plan.edges()) {
            if (e.parapetHeightM() > 0) {
                all.add(new Caster(
                        new Thing("edge-" + e.number(), "parapet of edge " + e.number()),
                        e.parapet(),
                        e.parapetHeightM()));
            }
        }
        return all;
    }

    private static List<Row> rows(ArrayLayout layout) {
        List<Row> rows = new ArrayList<>();
        int last = 0;
        for (ArrayLayout.Module m : layout.modules()) {
            if (m.row() != last) {
                rows.add(new Row(m.t(), layout.looksBack(m.row()), new ArrayList<>()));
                last = m.row();
            }
            rows.get(rows.size() - 1).modules().add(m);
        }
        return rows;
    }

    /** What can throw a shadow. */
    public List<Thing> things() {
        return casters.stream().map(Caster::thing).toList();
    }

    /** Shadows at a true solar time of a day. */
    public Hour at(int day, double hour) {
        return at(
                SolarTime.of(job.site().latitude().si(), job.site().longitude().si(), day, hour));
    }

    /** Shadows under a sun. */
    public Hour at(SolarTime sun) {
        List<Shadow> shadows = new ArrayList<>();
        if (sun.elevationDeg() > LEAST_ELEVATION_DEG) {
            double reach = 1 / Math.tan(Math.toRadians(sun.elevationDeg()));
            double[] to = towards(sun);
            for (Caster c : casters) {
                double over = Math.max(0, c.heightM() - layout.lowEdgeM());
                shadows.add(new Shadow(c.thing(), over * reach, shaded(c, to)));
            }
        }
        return new Hour(sun, shadows);
    }

    /** Every half hour of the window on the shortest day, its ends included. */
    public List<Hour> inWindow() {
        List<Hour> known = window;
        if (known == null) {
            known = windowHours();
            window = known;
        }
        return known;
    }

    private List<Hour> windowHours() {
        int day = SolarTime.shortestDay(job.site().latitude().si());
        List<Hour> hours = new ArrayList<>();
        double from = job.array().windowFrom();
        double to = job.array().windowTo();
        int steps = Math.max(1, (int) Math.ceil((to - from) / YEAR_STEP_H - 1e-9));
        double latitude = job.site().latitude().si();
        double declination =
                SolarTime.declinationDeg(latitude, job.site().longitude().si(), day);
        for (int i = 0; i <= steps; i++) {
            hours.add(at(SolarTime.under(declination, latitude, day, from + (to - from) * i / steps)));
        }
        return hours;
    }

    /**
     * Share of the direct sun of a year that falls on a module while some of it is in shade, module by module: the 21st
     * of every month by half hours, weighted with the cosine of incidence.
     */
    public double[] yearShare() {
        double[] known = year;
        if (known == null) {
            known = shareOfYear();
            year = known;
        }
        return known.clone();
    }

    /** Direct sun of a day: what falls on each module while it is in shade, and all of it by front and by rear faces. */
    private record Day(double[] lost, double front, double back) {}

    private double[] shareOfYear() {
        List<Day> days = Arrays.stream(FIRST_OF_MONTH)
                .parallel()
                .mapToObj(first -> day(first + DAY_OF_MONTH))
                .toList();
        double[] lost = new double[layout.modules().size()];
        double front = 0;
        double back = 0;
        for (Day d : days) {
            front += d.front();
            back += d.back();
            for (int i = 0; i < lost.length; i++) {
                lost[i] += d.lost()[i];
            }
        }
        for (ArrayLayout.Module m : layout.modules()) {
            lost[m.index()] /= layout.looksBack(m.row()) ? back : front;
        }
        return lost;
    }

    private Day day(int day) {
        double[] lost = new double[layout.modules().size()];
        double allFront = 0;
        double allBack = 0;
        double tilt = slope();
        double length = Math.hypot(1, tilt);
        double latitude = job.site().latitude().si();
        double declination =
                SolarTime.declinationDeg(latitude, job.site().longitude().si(), day);
        for (double hour = YEAR_STEP_H / 2; hour < 24; hour += YEAR_STEP_H) {
            Hour h = at(SolarTime.under(declination, latitude, day, hour));
            if (h.sun().elevationDeg() <= 0) {
                continue;
            }
            double[] to = towards(h.sun());
            double front = Math.max(0, to[2] - tilt * to[1]) / length;
            double back = Math.max(0, to[2] + tilt * to[1]) / length;
            allFront += front;
            allBack += back;
            BitSet shaded = h.modules();
            for (int i = shaded.nextSetBit(0); i >= 0; i = shaded.nextSetBit(i + 1)) {
                lost[i] += layout.looksBack(layout.modules().get(i).row()) ? back : front;
            }
        }
        return new Day(lost, allFront, allBack);
    }

    /**
     * Hours each module is in shade on a day, in part or wholly.
     *
     * @param from first hour looked at, true solar time
     * @param to last one
     */
    public double[] hoursOfDay(int day, double from, double to) {
        double[] hours = new double[layout.modules().size()];
        int steps = Math.max(1, (int) Math.ceil((to - from) / DAY_STEP_H - 1e-9));
        double step = (to - from) / steps;
        for (int i = 0; i < steps; i++) {
            at(day, from + (i + 0.5) * step).modules().stream().forEach(m -> hours[m] += step);
        }
        return hours;
    }

    /** How many instants of the window each module is in shade at. */
    public int[] instantsInWindow() {
        int[] known = instants;
        if (known == null) {
            int[] count = new int[layout.modules().size()];
            inWindow().forEach(h -> h.modules().stream().forEach(i -> count[i]++));
            known = count;
            instants = count;
        }
        return known.clone();
    }

    /** Unit vector to the sun: along the rows, across them, up. */
    private double[] towards(SolarTime sun) {
        double angle = Math.toRadians(sun.azimuthDeg() - job.roof().upAzimuth().si());
        double level = Math.cos(Math.toRadians(sun.elevationDeg()));
        double x = Math.sin(angle);
        double y = Math.cos(angle);
        return new double[] {
            layout.frame().s(x, y) * level, layout.frame().t(x, y) * level, Math.sin(Math.toRadians(sun.elevationDeg()))
        };
    }

    /** Rise over run of a module. */
    private double slope() {
        return (layout.highEdgeM() - layout.lowEdgeM()) / layout.depthM();
    }

    private BitSet shaded(Caster c, double[] to) {
        BitSet shaded = new BitSet();
        WallShadow shadow = new WallShadow();
        // where the top of a wall throws its shadow on the roof, across the rows: on modules it falls nearer
        double thrown = -c.heightM() * to[1] / to[2];
        for (int i = 0; i < c.ring().length; i++) {
            double[] a = inFrame(c.ring()[i]);
            double[] b = inFrame(c.ring()[(i + 1) % c.ring().length]);
            // a ray to the sun from outside a thing meets a wall on its dark side first
            if (c.lit(a, b, to)) {
                continue;
            }
            double least = Math.min(a[1], b[1]) + Math.min(0, thrown);
            double most = Math.max(a[1], b[1]) + Math.max(0, thrown);
            for (int r = firstBehind(least - layout.depthM());
                    r < rows.size() && rows.get(r).t() <= most;
                    r++) {
                mark(rows.get(r), a, b, c.heightM(), to, shadow, shaded);
            }
        }
        return shaded;
    }

    private double[] inFrame(Coordinate c) {
        return new double[] {layout.frame().s(c.x, c.y), layout.frame().t(c.x, c.y)};
    }

    private int firstBehind(double t) {
        int low = 0;
        int high = rows.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (rows.get(middle).t() < t) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** Marks the modules of a row that the shadow of an upright wall falls on. */
    private void mark(Row row, double[] a, double[] b, double heightM, double[] to, WallShadow shadow, BitSet shaded) {
        double g = row.looksBack() ? -slope() : slope();
        double z0 = row.looksBack() ? layout.highEdgeM() : layout.lowEdgeM();
        if (!shadow.falls(a, b, heightM, to, row.t(), z0, g, layout.depthM())) {
            return;
        }
        List<ArrayLayout.Module> modules = row.modules();
        int i = 0;
        int high = modules.size();
        while (i < high) {
            int middle = (i + high) >>> 1;
            if (modules.get(middle).s() + layout.alongM() <= shadow.from) {
                i = middle + 1;
            } else {
                high = middle;
            }
        }
        for (; i < modules.size() && modules.get(i).s() < shadow.until; i++) {
            shaded.set(modules.get(i).index());
        }
    }
}
