package whipsaw.core.array;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;

/**
 * How many other modules have to come off before somebody stands beside one. Strips of roof of a width and more are
 * walked on: between rows, in aisles, along the edges, around things; what no such strip joins to the rest of the roof is
 * not. Things on the roof, and rows of other arrays, are taken as wide as the rectangle around them in the direction of
 * the rows.
 */
public final class Reach {
    private static final double SAME_M = 1e-6;
    private static final int UNKNOWN = Integer.MAX_VALUE;

    private final double walkM;
    private final int[] first;

    private Reach(double walkM, int[] first) {
        this.walkM = walkM;
        this.first = first;
    }

    /**
     * @param walkM least width of a strip that is walked on
     * @param others layouts of other arrays of the roof
     */
    public static Reach of(
            ArrayLayout layout, RoofPlan plan, List<Obstruction> things, List<ArrayLayout> others, double walkM) {
        if (layout.modules().isEmpty()) {
            return new Reach(walkM, new int[0]);
        }
        return new Reach(walkM, new Field(layout, plan, things, others, walkM).first());
    }

    /** Least width of a strip that is walked on, m. */
    public double walkM() {
        return walkM;
    }

    /** Modules that come off first, of the module of an index. */
    public int first(int module) {
        return first[module];
    }

    /** The most of any module; 0 without modules. */
    public int most() {
        return Arrays.stream(first).max().orElse(0);
    }

    /** How many modules have more than so many before them. */
    public int beyond(int limit) {
        return (int) Arrays.stream(first).filter(n -> n > limit).count();
    }

    /** The roof in the frame of the rows, cut along all edges: every piece is walked on or not. */
    private static final class Field {
        private final ArrayLayout layout;
        private final List<Envelope> modules = new ArrayList<>();
        private final double[] s;
        private final double[] t;
        private final boolean[] taken;
        private final boolean[] walked;

        Field(ArrayLayout layout, RoofPlan plan, List<Obstruction> things, List<ArrayLayout> others, double walkM) {
            this.layout = layout;
            // a person half as wide as the strip and as long: what is there grows by half a strip, and a line is left
            double half = walkM / 2 - SAME_M;
            List<Envelope> blocks = new ArrayList<>();
            for (ArrayLayout.Module m : layout.modules()) {
                modules.add(new Envelope(
                        m.s() - half, m.s() + layout.alongM() + half, m.t() - half, m.t() + layout.depthM() + half));
            }
            blocks.addAll(modules);
            things.forEach(o -> blocks.add(grown(RoofPlan.footprint(o).getCoordinates(), half)));
            others.forEach(o -> o.runCorners().forEach(c -> blocks.add(grown(c, half))));
            Envelope roof = new Envelope();
            for (RoofPlan.Edge e : plan.edges()) {
                roof.expandToInclude(inFrame(e.from()));
            }
            roof.expandBy(-half);
            s = cuts(blocks, roof, true);
            t = cuts(blocks, roof, false);
            taken = new boolean[(s.length - 1) * (t.length - 1)];
            blocks.forEach(b -> each(b, cell -> taken[cell] = true));
            walked = largest();
        }

        private Coordinate inFrame(Coordinate c) {
            return new Coordinate(layout.frame().s(c.x, c.y), layout.frame().t(c.x, c.y));
        }

        private Envelope grown(Coordinate[] corners, double half) {
            Envelope e = new Envelope();
            for (Coordinate c : corners) {
                e.expandToInclude(inFrame(c));
            }
            e.expandBy(half);
            return e;
        }

        private static double[] cuts(List<Envelope> blocks, Envelope roof, boolean along) {
            double least = along ? roof.getMinX() : roof.getMinY();
            double most = along ? roof.getMaxX() : roof.getMaxY();
            double[] all = new double[2 * blocks.size() + 2];
            int n = 0;
            for (Envelope b : blocks) {
                all[n++] = Math.min(most, Math.max(least, along ? b.getMinX() : b.getMinY()));
                all[n++] = Math.min(most, Math.max(least, along ? b.getMaxX() : b.getMaxY()));
            }
            all[n++] = least;
            all[n] = most;
            Arrays.sort(all);
            int kept = 1;
            for (int i = 1; i < all.length; i++) {
                if (all[i] - all[kept - 1] > SAME_M / 2) {
                    all[kept++] = all[i];
                }
            }
            return Arrays.copyOf(all, Math.max(2, kept));
        }

        private static int at(double[] cuts, double value) {
            int i = Arrays.binarySearch(cuts, value - SAME_M / 2);
            return Math.min(i >= 0 ? i : -i - 1, cuts.length - 1);
        }

        /** All pieces within a rectangle. */
        private void each(Envelope b, java.util.function.IntConsumer cell) {
            int toS = at(s, b.getMaxX());
            int toT = at(t, b.getMaxY());
            for (int j = at(t, b.getMinY()); j < toT; j++) {
                for (int i = at(s, b.getMinX()); i < toS; i++) {
                    cell.accept(j * (s.length - 1) + i);
                }
            }
        }

        /** The largest stretch of roof that can be walked on without a break. */
        private boolean[] largest() {
            int wide = s.length - 1;
            int[] group = new int[taken.length];
            int best = 0;
            double bestArea = 0;
            int groups = 0;
            for (int start = 0; start < taken.length; start++) {
                if (taken[start] || group[start] != 0) {
                    continue;
                }
                groups++;
                double area = 0;
                ArrayDeque<Integer> open = new ArrayDeque<>(List.of(start));
                group[start] = groups;
                while (!open.isEmpty()) {
                    int c = open.poll();
                    int i = c % wide;
                    int j = c / wide;
                    area += (s[i + 1] - s[i]) * (t[j + 1] - t[j]);
                    for (int next : beside(i, j, wide)) {
                        if (next >= 0 && !taken[next] && group[next] == 0) {
                            group[next] = groups;
                            open.add(next);
                        }
                    }
                }
                if (area > bestArea) {
                    bestArea = area;
                    best = groups;
                }
            }
            boolean[] own = new boolean[taken.length];
            for (int c = 0; c < own.length; c++) {
                own[c] = best > 0 && group[c] == best;
            }
            return own;
        }

        private int[] beside(int i, int j, int wide) {
            return new int[] {
                i > 0 ? j * wide + i - 1 : -1,
                i + 1 < wide ? j * wide + i + 1 : -1,
                j > 0 ? (j - 1) * wide + i : -1,
                j + 2 < t.length ? (j + 1) * wide + i : -1
            };
        }

        /** Modules that come off first, of each. */
        int[] first() {
            int[] first = new int[modules.size()];
            Arrays.fill(first, UNKNOWN);
            ArrayDeque<Integer> open = new ArrayDeque<>();
            for (int m = 0; m < first.length; m++) {
                if (atStrip(modules.get(m))) {
                    first[m] = 0;
                    open.add(m);
                }
            }
            List<List<Integer>> near = neighbours();
            while (!open.isEmpty()) {
                int m = open.poll();
                for (int n : near.get(m)) {
                    if (first[n] == UNKNOWN) {
                        first[n] = first[m] + 1;
                        open.add(n);
                    }
                }
            }
            for (int m = 0; m < first.length; m++) {
                first[m] = first[m] == UNKNOWN ? first.length - 1 : first[m];
            }
            return first;
        }

        /** Whether a strip that is walked on runs along a side of a module. */
        private boolean atStrip(Envelope m) {
            int wide = s.length - 1;
            int fromS = at(s, m.getMinX());
            int toS = at(s, m.getMaxX());
            int fromT = at(t, m.getMinY());
            int toT = at(t, m.getMaxY());
            for (int i = fromS; i < toS; i++) {
                if (fromT > 0 && walked[(fromT - 1) * wide + i] || toT < t.length - 1 && walked[toT * wide + i]) {
                    return true;
                }
            }
            for (int j = fromT; j < toT; j++) {
                if (fromS > 0 && walked[j * wide + fromS - 1] || toS < wide && walked[j * wide + toS]) {
                    return true;
                }
            }
            return false;
        }

        /** Modules with no room to stand between them, by index. */
        private List<List<Integer>> neighbours() {
            List<List<Integer>> near = new ArrayList<>();
            modules.forEach(m -> near.add(new ArrayList<>()));
            int from = 0;
            for (int m = 0; m < modules.size(); m++) {
                Envelope own = modules.get(m);
                while (modules.get(from).getMaxY() < own.getMinY()) {
                    from++;
                }
                for (int n = from; n < m; n++) {
                    if (modules.get(n).intersects(own)) {
                        near.get(m).add(n);
                        near.get(n).add(m);
                    }
                }
            }
            return near;
        }
    }
}
