package whipsaw.core.array;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;

/** Places modules: one-way rows, or pairs back to back, in landscape on a common column grid, around obstructions. */
public final class ArrayStage {
    private static final double TOUCH_M = 1e-7;

    private final Job job;
    private final RowGrid grid;

    private ArrayStage(Job job, RowGrid grid) {
        this.job = job;
        this.grid = grid;
    }

    /**
     * Places the modules of one array.
     *
     * @param job as the array sees it; a roof without one gets none
     */
    public static ArrayLayout of(Job job, RoofPlan plan, CodeTables tables) {
        return new ArrayStage(job, new RowGrid(job, plan, tables)).layout();
    }

    /**
     * Rows and columns before anything is placed.
     *
     * @param bands where rows, or pairs, start
     * @param rows their columns
     * @param first column that fits between the edges anywhere
     */
    record Lines(List<RowGrid.Row> bands, HandRows rows, long first) {}

    /** Where the rows and columns of an array lie. */
    static Lines lines(Job job, RowGrid grid) {
        List<RowGrid.Row> bands = grid.bands(job.array().shiftAcross().si());
        List<FreeRegion.Interval> bareIntervals = new ArrayList<>();
        bands.forEach(row -> bareIntervals.addAll(grid.bare.free(row.t(), row.t() + grid.bandM())));
        double phase = ColumnPhase.best(bareIntervals, grid.alongM, grid.columnPitchM)
                + job.array().shiftAlong().si();
        long first = firstColumn(grid, bareIntervals, phase);
        return new Lines(bands, new HandRows(job, grid, bands, phase, first), first);
    }

    private ArrayLayout layout() {
        Lines lines = lines(job, grid);
        List<RowGrid.Row> bands = lines.bands();
        double band = grid.bandM();
        List<Slot> slots = new ArrayList<>();
        for (int i = 0; i < bands.size(); i++) {
            double t = bands.get(i).t();
            RowColumns columns = lines.rows().columns(i);
            List<Slot> rear = new ArrayList<>();
            for (FreeRegion.Interval free : grid.region.free(t, t + band)) {
                int row = i * grid.rowsOfBand();
                columns.each(free, grid.alongM, c -> {
                    slots.add(slot(columns, c, row, t));
                    if (grid.pairs != null) {
                        rear.add(slot(columns, c, row + 1, t + grid.depthM + grid.ridgeM));
                    }
                });
            }
            slots.addAll(rear);
        }
        List<ArrayLayout.NotKept> notKept = new ArrayList<>(grid.notLocked(bands));
        notKept.addAll(lines.rows().notKept());
        Set<Slot> added = added(slots, bands, lines.rows(), notKept);
        List<Slot> kept = withoutRemoved(slots, notKept);
        kept = withoutShortRows(kept, job.array().tray().shortestRow(), added);
        return number(kept, lines.first(), bands, added, notKept);
    }

    private record Slot(int row, long column, double s, double t) {}

    private static Slot slot(RowColumns columns, long column, int row, double t) {
        return new Slot(row, columns.number(column), columns.start(column), t);
    }

    /**
     * Puts modules in where somebody wants them, wherever the roof bears them: what is kept clear of edges, things and
     * paths does not count.
     *
     * @param slots in order of rows and columns; the new ones go among them
     * @return all that were asked for, those that lie there anyway too
     */
    private Set<Slot> added(
            List<Slot> slots, List<RowGrid.Row> bands, HandRows rows, List<ArrayLayout.NotKept> notKept) {
        Set<Slot> asked = new LinkedHashSet<>();
        List<Corner> places = job.array().byHand().added();
        if (places.isEmpty()) {
            return asked;
        }
        FreeRegion solid = grid.solid();
        Set<Slot> there = new HashSet<>(slots);
        for (Corner place : places) {
            double t = grid.frame.t(place.x().si(), place.y().si());
            int band = rows.bandAt(t);
            List<Slot> own = band < 0
                    ? List.of()
                    : at(rows.columns(band), band, bands.get(band).t(), place);
            if (own.isEmpty() || !own.stream().allMatch(s -> there.contains(s) || bears(solid, s))) {
                notKept.add(new ArrayLayout.NotKept(
                        "module put in", place.x().si(), place.y().si()));
                continue;
            }
            asked.addAll(own);
            there.addAll(own);
        }
        slots.clear();
        slots.addAll(there);
        slots.sort(Comparator.comparingInt(Slot::row).thenComparingLong(Slot::column));
        return asked;
    }

    /** The slot nearest to a place in its row; of pairs, both of them. */
    private List<Slot> at(RowColumns columns, int band, double t, Corner place) {
        long column = columns.nearest(grid.frame.s(place.x().si(), place.y().si()) - grid.alongM / 2);
        int row = band * grid.rowsOfBand();
        Slot front = slot(columns, column, row, t);
        return grid.pairs == null
                ? List.of(front)
                : List.of(front, slot(columns, column, row + 1, t + grid.depthM + grid.ridgeM));
    }

    private boolean bears(FreeRegion solid, Slot slot) {
        return solid.free(slot.t(), slot.t() + grid.depthM).stream()
                .anyMatch(f -> f.from() <= slot.s() + TOUCH_M && slot.s() + grid.alongM <= f.to() + TOUCH_M);
    }

    /** Takes out the slot at each place named, when one lies within half a module of it. */
    private List<Slot> withoutRemoved(List<Slot> slots, List<ArrayLayout.NotKept> notKept) {
        ArrayFrame frame = grid.frame;
        double along = grid.alongM;
        List<Slot> kept = new ArrayList<>(slots);
        for (Corner place : job.array().removed()) {
            double s = frame.s(place.x().si(), place.y().si());
            double t = frame.t(place.x().si(), place.y().si());
            Slot nearest = null;
            double least = along / 2;
            for (Slot slot : kept) {
                double distance = Math.hypot(slot.s() + along / 2 - s, slot.t() + grid.depthM / 2 - t);
                if (distance <= least) {
                    least = distance;
                    nearest = slot;
                }
            }
            if (nearest != null && job.array().tray().pairs()) {
                int pair = nearest.row() / 2;
                long column = nearest.column();
                kept.removeIf(slot -> slot.row() / 2 == pair && slot.column() == column);
            } else if (nearest == null) {
                notKept.add(new ArrayLayout.NotKept(
                        "module left out", place.x().si(), place.y().si()));
            } else {
                kept.remove(nearest);
            }
        }
        return kept;
    }

    /** Runs shorter than the system allows go, but for those with a module somebody put there. */
    private static List<Slot> withoutShortRows(List<Slot> slots, int shortest, Set<Slot> added) {
        List<Slot> kept = new ArrayList<>();
        int start = 0;
        for (int i = 1; i <= slots.size(); i++) {
            boolean ends = i == slots.size()
                    || slots.get(i).row() != slots.get(i - 1).row()
                    || slots.get(i).column() != slots.get(i - 1).column() + 1;
            if (ends) {
                List<Slot> run = slots.subList(start, i);
                if (run.size() >= shortest || run.stream().anyMatch(added::contains)) {
                    kept.addAll(run);
                }
                start = i;
            }
        }
        return kept;
    }

    /** Whether a slot lies where the rules have room for it. */
    private boolean free(Slot slot, List<RowGrid.Row> bands) {
        double t = bands.get(slot.row() / grid.rowsOfBand()).t();
        return grid.region.free(t, t + grid.bandM()).stream()
                .anyMatch(f -> f.from() <= slot.s() + TOUCH_M && slot.s() + grid.alongM <= f.to() + TOUCH_M);
    }

    /** The first column that fits anywhere between the edges: from it columns count, whatever is taken out later. */
    private static long firstColumn(RowGrid grid, List<FreeRegion.Interval> bare, double phase) {
        return bare.stream()
                .filter(free -> free.to() - free.from() >= grid.alongM)
                .mapToLong(free -> (long) Math.ceil((free.from() - phase) / grid.columnPitchM - 1e-7))
                .min()
                .orElse(0);
    }

    private ArrayLayout number(
            List<Slot> slots,
            long firstColumn,
            List<RowGrid.Row> bands,
            Set<Slot> added,
            List<ArrayLayout.NotKept> notKept) {
        Map<Integer, List<Integer>> columns = new TreeMap<>();
        slots.forEach(slot -> columns.computeIfAbsent(slot.row() + 1, r -> new ArrayList<>())
                .add((int) (slot.column() - firstColumn) + 1));
        CrewNumbers numbers =
                CrewNumbers.of(job.placed() == null ? null : job.placed().numbers(), columns);
        List<ArrayLayout.Module> modules = new ArrayList<>();
        for (Slot slot : slots) {
            int row = slot.row() + 1;
            int column = (int) (slot.column() - firstColumn) + 1;
            modules.add(new ArrayLayout.Module(
                    modules.size(), row, column, slot.s(), slot.t(), numbers.row(row), numbers.place(row, column)));
        }
        List<Integer> byHand = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            if (added.contains(slots.get(i)) && !free(slots.get(i), bands)) {
                byHand.add(i);
            }
        }
        List<Integer> walkways = new ArrayList<>();
        int lastRow = modules.isEmpty() ? 0 : modules.get(modules.size() - 1).row();
        int rowsOfBand = grid.rowsOfBand();
        for (int i = 0; i < bands.size(); i++) {
            if (bands.get(i).walkwayBehind() && (i + 1) * rowsOfBand < lastRow) {
                walkways.add((i + 1) * rowsOfBand);
            }
        }
        double low = job.array().tray().lowEdge().si();
        return new ArrayLayout(
                grid.frame,
                grid.facingDeg,
                grid.spacing,
                grid.pairs,
                grid.gapM,
                job.array().gap() != null,
                grid.setbackM,
                grid.rule == null ? null : grid.rule.words(),
                job.array().module().length().si(),
                grid.depthM,
                modules,
                (int) modules.stream()
                        .mapToInt(ArrayLayout.Module::row)
                        .distinct()
                        .count(),
                walkways,
                byHand,
                notKept,
                grid.paths,
                low,
                low + grid.spacing.riseM(),
                job.array().tray().moduleGap(),
                numbers);
    }
}
