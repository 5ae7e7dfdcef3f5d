package whipsaw.core.array;

import java.util.ArrayList;
import java.util.List;
import java.util.PriorityQueue;
import java.util.TreeSet;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;

/**
 * The shift of an array along and across its rows that places most modules, by branch and bound over one whole pitch.
 * For a given shift across, the best start of the columns is found exactly by a sweep; for a range of shifts, rows that
 * are thinner by its width have at least the room any shift in it has, which bounds what the range can hold.
 */
public final class BestShift {
    /** Ranges thinner than this are not divided any more, m. */
    private static final double FINEST_M = 5e-4;

    /** Sweeps of one search, so that a roof of very many corners ends with a bound. */
    private static final int MOST_SWEEPS = 6000;

    private final RowGrid grid;
    private final int shortestRow;
    private final double stepM;
    private final List<RowGrid.Row> zero;
    private int sweeps;

    /**
     * What the search came to.
     *
     * @param alongM shift along the rows, as {@code ArrayChoice.shiftAlong}
     * @param acrossM shift across the rows
     * @param modules placed there, before any are left out by hand
     * @param bound no shift of this array places more; the same as {@code modules} where the best is proved
     * @param sweeps shifts and ranges looked at
     */
    public record Found(double alongM, double acrossM, int modules, int bound, int sweeps) {
        /** Whether no shift places more. */
        public boolean proved() {
            return modules >= bound;
        }
    }

    private record Range(double from, double to, int bound) {}

    private BestShift(Job job, RowGrid grid, double stepM) {
        this.stepM = stepM;
        this.grid = grid;
        this.shortestRow = job.array().tray().shortestRow();
        this.zero = grid.bands(0);
    }

    /**
     * Looks for it; tilt, gap, direction, walkways and set-back stay.
     *
     * @param stepM shifts are whole steps of so much where these place as many
     */
    public static Found of(Job job, RoofPlan plan, CodeTables tables, double stepM) {
        BestShift search = new BestShift(job, new RowGrid(job, plan, tables), stepM);
        return search.find(job.array().shiftAcross().si());
    }

    private Found find(double nowM) {
        double pitch = grid.pitchM();
        double now = nowM - Math.floor(nowM / pitch) * pitch;
        TreeSet<Double> corners = corners(pitch);
        PriorityQueue<Range> open = new PriorityQueue<>(
                (a, b) -> a.bound() != b.bound() ? b.bound() - a.bound() : Double.compare(a.from(), b.from()));
        double best = now;
        int most = at(now);
        int start = at(0);
        if (start > most) {
            best = 0;
            most = start;
        }
        open.add(new Range(0, pitch, bound(0, pitch)));
        int left = 0;
        while (!open.isEmpty() && open.peek().bound() > most) {
            Range r = open.poll();
            if (r.to() - r.from() <= FINEST_M || sweeps > MOST_SWEEPS) {
                left = Math.max(left, r.bound());
                continue;
            }
            double middle = (r.from() + r.to()) / 2;
            double cut = near(corners, middle, r);
            int here = at(cut);
            if (here > most) {
                most = here;
                best = cut;
            }
            for (double[] half : new double[][] {{r.from(), cut}, {cut, r.to()}}) {
                int most1 = Math.min(r.bound(), bound(half[0], half[1]));
                if (most1 > most) {
                    open.add(new Range(half[0], half[1], most1));
                }
            }
        }
        return typed(best, most, Math.max(most, left));
    }

    /** The shift in whole steps somebody would type, where these place as many. */
    private Found typed(double across, int most, int bound) {
        double round = Math.round(across / stepM) * stepM;
        double t = at(round) >= most ? round : across;
        List<FreeRegion.Interval> free = free(grid.region, t, t);
        double bare = ColumnPhase.best(free(grid.bare, t, t), grid.alongM, grid.columnPitchM);
        double pitch = grid.columnPitchM;
        double along = ColumnPhase.best(free, grid.alongM, pitch, shortestRow).at() - bare;
        along -= Math.rint(along / pitch) * pitch;
        // no shift at all, or one in whole steps, where it does as well
        for (double s : new double[] {0, Math.round(along / stepM) * stepM}) {
            if (grid.rowsOfBand() * ColumnPhase.modules(free, grid.alongM, pitch, shortestRow, bare + s) >= most) {
                return new Found(s, t, most, bound, sweeps);
            }
        }
        return new Found(along, t, most, bound, sweeps);
    }

    /** Shifts at which the edge of a row comes to lie on a corner of the region: there the room changes at once. */
    private TreeSet<Double> corners(double pitch) {
        TreeSet<Double> all = new TreeSet<>();
        for (double t : grid.region.corners()) {
            for (RowGrid.Row row : zero) {
                for (double at : new double[] {t - row.t(), t - row.t() - grid.bandM()}) {
                    if (at > 0 && at < pitch) {
                        all.add(at);
                    }
                }
            }
        }
        return all;
    }

    /** The corner of a range nearest its middle; the middle where there is none. */
    private static double near(TreeSet<Double> corners, double middle, Range r) {
        Double below = corners.floor(middle);
        Double above = corners.ceiling(middle);
        boolean hasBelow = below != null && below > r.from();
        boolean hasAbove = above != null && above < r.to();
        if (hasBelow && (!hasAbove || middle - below <= above - middle)) {
            return below;
        }
        return hasAbove ? above : middle;
    }

    /** Most modules a shift across places, over all starts of its columns. */
    private int at(double shiftM) {
        return bound(shiftM, shiftM);
    }

    /** Not fewer than the most any shift of a range places. */
    private int bound(double fromM, double toM) {
        sweeps++;
        return grid.rowsOfBand()
                * ColumnPhase.best(free(grid.region, fromM, toM), grid.alongM, grid.columnPitchM, shortestRow)
                        .modules();
    }

    /** Free stretches of all rows at every shift of a range: of the part of the roof a row takes at all of them. */
    private List<FreeRegion.Interval> free(FreeRegion region, double fromM, double toM) {
        List<FreeRegion.Interval> all = new ArrayList<>();
        for (RowGrid.Row row : grid.bands(fromM)) {
            double low = row.t() + toM - fromM;
            double high = row.t() + grid.bandM();
            if (low < high) {
                all.addAll(region.free(low, high));
            } else {
                // a range as wide as a row is deep says nothing about it
                all.add(new FreeRegion.Interval(region.leftmost(), region.rightmost()));
            }
        }
        return all;
    }
}
