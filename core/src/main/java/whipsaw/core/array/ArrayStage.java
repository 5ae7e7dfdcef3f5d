package whipsaw.core.array;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;

/** Places modules: one-way rows, or pairs back to back, in landscape on a common column grid, around obstructions. */
public final class ArrayStage {
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

    private ArrayLayout layout() {
        List<RowGrid.Row> bands = grid.bands(job.array().shiftAcross().si());
        double band = grid.bandM();
        List<FreeRegion.Interval> bareIntervals = new ArrayList<>();
        bands.forEach(row -> bareIntervals.addAll(grid.bare.free(row.t(), row.t() + band)));
        double phase = ColumnPhase.best(bareIntervals, grid.alongM, grid.columnPitchM)
                + job.array().shiftAlong().si();

        List<Slot> slots = new ArrayList<>();
        for (int i = 0; i < bands.size(); i++) {
            double t = bands.get(i).t();
            List<Slot> rear = new ArrayList<>();
            for (FreeRegion.Interval free : grid.region.free(t, t + band)) {
                if (grid.pairs == null) {
                    fill(slots, i, t, free, phase);
                } else {
                    fill(slots, 2 * i, t, free, phase);
                    fill(rear, 2 * i + 1, t + grid.depthM + grid.ridgeM, free, phase);
                }
            }
            slots.addAll(rear);
        }
        List<Coordinate> notRemoved = new ArrayList<>();
        List<Slot> kept = withoutRemoved(slots, notRemoved);
        kept = withoutShortRows(kept, job.array().tray().shortestRow());
        return number(kept, firstColumn(bareIntervals, phase), bands, notRemoved);
    }

    private record Slot(int row, long column, double s, double t) {}

    private void fill(List<Slot> slots, int row, double t, FreeRegion.Interval free, double phase) {
        double pitch = grid.columnPitchM;
        long column = (long) Math.ceil((free.from() - phase) / pitch - 1e-7);
        while (phase + column * pitch + grid.alongM <= free.to() + 1e-7) {
            slots.add(new Slot(row, column, phase + column * pitch, t));
            column++;
        }
    }

    /** Takes out the slot at each place named, when one lies within half a module of it. */
    private List<Slot> withoutRemoved(List<Slot> slots, List<Coordinate> notRemoved) {
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
                notRemoved.add(new Coordinate(place.x().si(), place.y().si()));
            } else {
                kept.remove(nearest);
            }
        }
        return kept;
    }

    private static List<Slot> withoutShortRows(List<Slot> slots, int shortest) {
        List<Slot> kept = new ArrayList<>();
        int start = 0;
        for (int i = 1; i <= slots.size(); i++) {
            boolean ends = i == slots.size()
                    || slots.get(i).row() != slots.get(i - 1).row()
                    || slots.get(i).column() != slots.get(i - 1).column() + 1;
            if (ends) {
                if (i - start >= shortest) {
                    kept.addAll(slots.subList(start, i));
                }
                start = i;
            }
        }
        return kept;
    }

    /** The first column that fits anywhere between the edges: from it columns count, whatever is taken out later. */
    private long firstColumn(List<FreeRegion.Interval> bare, double phase) {
        return bare.stream()
                .filter(free -> free.to() - free.from() >= grid.alongM)
                .mapToLong(free -> (long) Math.ceil((free.from() - phase) / grid.columnPitchM - 1e-7))
                .min()
                .orElse(0);
    }

    private ArrayLayout number(
            List<Slot> slots, long firstColumn, List<RowGrid.Row> bands, List<Coordinate> notRemoved) {
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
                notRemoved,
                grid.paths,
                low,
                low + grid.spacing.riseM(),
                job.array().tray().moduleGap(),
                numbers);
    }
}
