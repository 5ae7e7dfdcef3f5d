package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Limits;

/**
 * A window of a given size where the array weighs most, its sides along and across the rows: moved to every place at
 * which a side lies on a side of a module, since between those the load changes evenly.
 *
 * @param array id of the one whose rows it lies along
 * @param frame of that one
 * @param s left side along the rows
 * @param t low side across the rows
 * @param alongM side along the rows
 * @param acrossM side across the rows
 * @param modules that lie in it wholly or in part
 */
public record LoadWindow(
        String array,
        ArrayFrame frame,
        double s,
        double t,
        double alongM,
        double acrossM,
        RoofReserve load,
        List<Integer> modules) {
    private static final double SAME_M = 1e-6;

    public LoadWindow {
        modules = List.copyOf(modules);
    }

    /** Corners on the plan. */
    public Coordinate[] corners() {
        return new Coordinate[] {
            frame.plan(s, t), frame.plan(s + alongM, t), frame.plan(s + alongM, t + acrossM), frame.plan(s, t + acrossM)
        };
    }

    /** One row: mass to the left of places along it. */
    private record Row(double t, double[] from, double[] massTo, double moduleM) {
        /** Mass left of a place. */
        double leftOf(double s) {
            int i = Arrays.binarySearch(from, s);
            int at = i >= 0 ? i : -i - 2;
            if (at < 0) {
                return 0;
            }
            double before = at == 0 ? 0 : massTo[at - 1];
            return before + (massTo[at] - before) * Math.min(1, (s - from[at]) / moduleM);
        }
    }

    /** Modules of other arrays weigh where the quarters of each have their middle. */
    private static final double[] QUARTERS = {0.25, 0.75};

    /**
     * The heaviest window along the rows of any array of a roof; null without modules.
     *
     * @param sideM of the square; no longer than the roof and the array are, so that a small array is not spread thin
     * @param supports of tray and pipe, which weigh in it too
     */
    static LoadWindow heaviest(
            RoofPlan plan, List<LaidArray> arrays, List<LaidLoads.Support> supports, double sideM, double allowancePa) {
        LoadWindow worst = null;
        for (LaidArray a : arrays) {
            LoadWindow window = heaviest(plan, a, beside(arrays, a, supports, sideM), sideM, allowancePa);
            if (worst == null
                    || window != null && window.load().loadPa() > worst.load().loadPa()) {
                worst = window;
            }
        }
        return worst;
    }

    private static List<LaidLoads.Support> beside(
            List<LaidArray> arrays, LaidArray own, List<LaidLoads.Support> supports, double sideM) {
        List<LaidLoads.Support> beside = new ArrayList<>(supports);
        for (LaidArray other : arrays) {
            if (other != own) {
                beside.addAll(near(own.layout(), other, sideM));
            }
        }
        return beside;
    }

    /** Of each line of windows along the rows of an array the heaviest, where it weighs more. */
    static List<LoadWindow> heavierThan(
            RoofPlan plan,
            List<LaidArray> arrays,
            LaidArray own,
            List<LaidLoads.Support> supports,
            double sideM,
            double mostPa) {
        return ofEachLine(plan, own, beside(arrays, own, supports, sideM), sideM, mostPa).stream()
                .filter(w -> Limits.above(w.load().loadPa(), mostPa))
                .toList();
    }

    /** What of another array a window along the rows of this one can reach, quarter by quarter. */
    private static List<LaidLoads.Support> near(ArrayLayout layout, LaidArray other, double sideM) {
        List<LaidLoads.Support> near = new ArrayList<>();
        if (layout.modules().isEmpty()) {
            return near;
        }
        Envelope box = new Envelope();
        for (ArrayLayout.Module m : layout.modules()) {
            box.expandToInclude(m.s(), m.t());
            box.expandToInclude(m.s() + layout.alongM(), m.t() + layout.depthM());
        }
        box.expandBy(sideM);
        double[] kg = other.perModuleKg();
        ArrayLayout there = other.layout();
        for (ArrayLayout.Module m : there.modules()) {
            for (double s : QUARTERS) {
                for (double t : QUARTERS) {
                    Coordinate c = there.frame().plan(m.s() + s * there.alongM(), m.t() + t * there.depthM());
                    if (box.contains(layout.frame().s(c.x, c.y), layout.frame().t(c.x, c.y))) {
                        near.add(new LaidLoads.Support(c.x, c.y, kg[m.index()] / 4));
                    }
                }
            }
        }
        return near;
    }

    private static LoadWindow heaviest(
            RoofPlan plan, LaidArray array, List<LaidLoads.Support> supports, double sideM, double allowancePa) {
        LoadWindow best = null;
        for (LoadWindow w : ofEachLine(plan, array, supports, sideM, allowancePa)) {
            if (best == null || w.load().loadPa() > best.load().loadPa() * (1 + Limits.SLACK)) {
                best = w;
            }
        }
        return best == null ? null : of(array, best.s(), best.t(), best.alongM(), best.acrossM(), best.load());
    }

    /** The heaviest window of each line along the rows; none says yet which modules lie in it. */
    private static List<LoadWindow> ofEachLine(
            RoofPlan plan, LaidArray array, List<LaidLoads.Support> supports, double sideM, double allowancePa) {
        ArrayLayout layout = array.layout();
        List<LoadWindow> found = new ArrayList<>();
        if (layout.modules().isEmpty()) {
            return found;
        }
        double[] perModuleKg = array.perModuleKg();
        Envelope roof = inFrame(plan.outline(), layout.frame());
        double along = Math.min(sideM, Math.min(roof.getWidth(), lengthM(layout)));
        double across = Math.min(sideM, Math.min(roof.getHeight(), depthM(layout)));
        List<Row> rows = rows(layout, perModuleKg);
        Points points = Points.of(supports, layout.frame());
        double[] lefts = sides(rows, layout, along, points);
        double[][] inside = rows.stream().map(row -> inside(row, lefts, along)).toArray(double[][]::new);
        double[] kg = new double[lefts.length];
        for (double t : lows(rows, layout, across, points)) {
            Arrays.fill(kg, 0);
            for (int r = firstAbove(rows, t - layout.depthM());
                    r < rows.size() && rows.get(r).t() < t + across;
                    r++) {
                double overlap = Math.min(t + across, rows.get(r).t() + layout.depthM())
                        - Math.max(t, rows.get(r).t());
                double part = overlap / layout.depthM();
                for (int i = 0; i < lefts.length && part > 0; i++) {
                    kg[i] += part * inside[r][i];
                }
            }
            Points there = points.between(t, t + across);
            double best = -1;
            double bestS = 0;
            for (int i = 0; i < lefts.length; i++) {
                kg[i] += there.kgIn(lefts[i], lefts[i] + along);
                if (kg[i] > best * (1 + Limits.SLACK)) {
                    best = kg[i];
                    bestS = lefts[i];
                }
            }
            found.add(new LoadWindow(
                    array.job().place(),
                    layout.frame(),
                    bestS,
                    t,
                    along,
                    across,
                    RoofReserve.of(best, along * across, allowancePa),
                    List.of()));
        }
        return found;
    }

    /** The first row whose low edge lies beyond a place; rows stand in order. */
    private static int firstAbove(List<Row> rows, double t) {
        int low = 0;
        int high = rows.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (rows.get(middle).t() > t) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }

    /** Where the left side of a window may lie: it or the right one on a side of a module. */
    private static double[] sides(List<Row> rows, ArrayLayout layout, double along, Points points) {
        DoubleStream modules = rows.stream().flatMapToDouble(row -> Arrays.stream(row.from())
                .flatMap(from -> DoubleStream.of(from, from + layout.alongM() - along)));
        DoubleStream supports = Arrays.stream(points.s()).flatMap(s -> DoubleStream.of(s, s - along));
        return distinct(DoubleStream.concat(modules, supports).toArray());
    }

    private static double[] lows(List<Row> rows, ArrayLayout layout, double across, Points points) {
        DoubleStream modules =
                rows.stream().flatMapToDouble(row -> DoubleStream.of(row.t(), row.t() + layout.depthM() - across));
        DoubleStream supports = Arrays.stream(points.t()).flatMap(t -> DoubleStream.of(t, t - across));
        return distinct(DoubleStream.concat(modules, supports).toArray());
    }

    /**
     * Supports in order along the rows, with the mass up to each.
     *
     * @param kgTo mass of those before it; one more than there are
     */
    private record Points(double[] s, double[] t, double[] kg, double[] kgTo) {
        static Points of(List<LaidLoads.Support> supports, ArrayFrame frame) {
            List<LaidLoads.Support> sorted = supports.stream()
                    .sorted(Comparator.comparingDouble(p -> frame.s(p.x(), p.y())))
                    .toList();
            return new Points(
                            sorted.stream()
                                    .mapToDouble(p -> frame.s(p.x(), p.y()))
                                    .toArray(),
                            sorted.stream()
                                    .mapToDouble(p -> frame.t(p.x(), p.y()))
                                    .toArray(),
                            sorted.stream().mapToDouble(LaidLoads.Support::kg).toArray(),
                            new double[0])
                    .between(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
        }

        /** Those between two places across the rows, both included. */
        Points between(double from, double to) {
            int[] in = IntStream.range(0, s.length)
                    .filter(i -> t[i] >= from - SAME_M && t[i] <= to + SAME_M)
                    .toArray();
            double[] sum = new double[in.length + 1];
            for (int i = 0; i < in.length; i++) {
                sum[i + 1] = sum[i] + kg[in[i]];
            }
            return new Points(
                    Arrays.stream(in).mapToDouble(i -> s[i]).toArray(),
                    Arrays.stream(in).mapToDouble(i -> t[i]).toArray(),
                    Arrays.stream(in).mapToDouble(i -> kg[i]).toArray(),
                    sum);
        }

        /** Mass between two places along the rows, both included. */
        double kgIn(double from, double to) {
            return s.length == 0 ? 0 : kgTo[before(to + SAME_M)] - kgTo[before(from - SAME_M)];
        }

        private int before(double place) {
            int i = Arrays.binarySearch(s, place);
            return i < 0 ? -i - 1 : i;
        }
    }

    /** In order, without those that hardly differ. */
    private static double[] distinct(double[] all) {
        Arrays.sort(all);
        int n = 0;
        for (double v : all) {
            if (n == 0 || v - all[n - 1] > SAME_M) {
                all[n++] = v;
            }
        }
        return Arrays.copyOf(all, n);
    }

    /** Mass of a row inside windows with these left sides. */
    private static double[] inside(Row row, double[] lefts, double along) {
        return Arrays.stream(lefts)
                .map(s -> row.leftOf(s + along) - row.leftOf(s))
                .toArray();
    }

    private static double lengthM(ArrayLayout layout) {
        double from = layout.modules().stream()
                .mapToDouble(ArrayLayout.Module::s)
                .min()
                .orElseThrow();
        double to = layout.modules().stream()
                .mapToDouble(ArrayLayout.Module::s)
                .max()
                .orElseThrow();
        return to - from + layout.alongM();
    }

    private static double depthM(ArrayLayout layout) {
        double from = layout.modules().stream()
                .mapToDouble(ArrayLayout.Module::t)
                .min()
                .orElseThrow();
        double to = layout.modules().stream()
                .mapToDouble(ArrayLayout.Module::t)
                .max()
                .orElseThrow();
        return to - from + layout.depthM();
    }

    private static LoadWindow of(LaidArray array, double s, double t, double along, double across, RoofReserve load) {
        ArrayLayout layout = array.layout();
        List<Integer> inside = new ArrayList<>();
        for (ArrayLayout.Module m : layout.modules()) {
            boolean overS = m.s() < s + along - Limits.SLACK && m.s() + layout.alongM() > s + Limits.SLACK;
            boolean overT = m.t() < t + across - Limits.SLACK && m.t() + layout.depthM() > t + Limits.SLACK;
            if (overS && overT) {
                inside.add(m.index());
            }
        }
        return new LoadWindow(array.job().place(), layout.frame(), s, t, along, across, load, inside);
    }

    private static Envelope inFrame(Geometry outline, ArrayFrame frame) {
        Envelope box = new Envelope();
        for (Coordinate c : outline.getCoordinates()) {
            box.expandToInclude(frame.s(c.x, c.y), frame.t(c.x, c.y));
        }
        return box;
    }

    private static List<Row> rows(ArrayLayout layout, double[] kg) {
        List<Row> rows = new ArrayList<>();
        List<ArrayLayout.Module> modules = layout.modules();
        for (int i = 0; i < modules.size(); ) {
            int end = i + 1;
            while (end < modules.size()
                    && modules.get(end).row() == modules.get(i).row()) {
                end++;
            }
            double[] from = new double[end - i];
            double[] massTo = new double[end - i];
            double sum = 0;
            for (int k = i; k < end; k++) {
                from[k - i] = modules.get(k).s();
                sum += kg[k];
                massTo[k - i] = sum;
            }
            rows.add(new Row(modules.get(i).t(), from, massTo, layout.alongM()));
            i = end;
        }
        return rows;
    }
}
