package whipsaw.core.array;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.HandWork;
import whipsaw.core.job.Job;
import whipsaw.core.units.Measure;

/** The columns of every row of an array: the grid they share, its aisles, and what was done to single rows by hand. */
final class HandRows {
    private final RowGrid grid;
    private final List<RowGrid.Row> bands;
    private final double phaseM;
    private final long firstColumn;
    private final ArrayChoice.Aisle aisle;
    private final double gapM;
    private final Map<Integer, Double> starts = new HashMap<>();
    private final Map<Integer, TreeMap<Long, Double>> breaks = new HashMap<>();
    private final RowColumns common;
    private final List<ArrayLayout.NotKept> notKept = new ArrayList<>();

    /**
     * @param phaseM start of the columns all rows share
     * @param firstColumn from which aisles are counted
     */
    HandRows(Job job, RowGrid grid, List<RowGrid.Row> bands, double phaseM, long firstColumn) {
        this.grid = grid;
        this.bands = bands;
        this.phaseM = phaseM;
        this.firstColumn = firstColumn;
        this.aisle = job.array().aisle();
        this.gapM = job.array().tray().moduleGap().si();
        this.common = new RowColumns(phaseM, grid.columnPitchM, aisles(phaseM));
        HandWork hand = job.array().byHand();
        for (HandWork.RowShift r : hand.shifted()) {
            int band = band(r.x(), r.y(), "row shift");
            if (band >= 0) {
                starts.put(band, phaseM + near(r.by().si()));
            }
        }
        for (Corner place : hand.locked()) {
            int band = band(place.x(), place.y(), "row lock");
            if (band >= 0) {
                double left = grid.frame.s(place.x().si(), place.y().si()) - grid.alongM / 2;
                double cut = common.start(common.nearest(left)) - phaseM - common.nearest(left) * grid.columnPitchM;
                starts.put(band, phaseM + near(left - cut - phaseM));
            }
        }
        for (HandWork.RowBreak b : hand.breaks()) {
            int band = band(b.x(), b.y(), "row break");
            if (band >= 0) {
                double at = grid.frame.s(b.x().si(), b.y().si());
                double start = starts.getOrDefault(band, phaseM);
                RowColumns plain = new RowColumns(start, grid.columnPitchM, aisles(start));
                breaks.computeIfAbsent(band, i -> new TreeMap<>())
                        .merge(plain.nearest(at), b.gap().si() - gapM, Math::max);
            }
        }
    }

    /** Hand work that found no row. */
    List<ArrayLayout.NotKept> notKept() {
        return notKept;
    }

    /** The columns of a row, or of the rows of a pair. */
    RowColumns columns(int band) {
        if (!starts.containsKey(band) && !breaks.containsKey(band)) {
            return common;
        }
        double start = starts.getOrDefault(band, phaseM);
        TreeMap<Long, Double> cuts = aisles(start);
        breaks.getOrDefault(band, new TreeMap<>()).forEach((at, wider) -> cuts.merge(at, wider, Math::max));
        return new RowColumns(start, grid.columnPitchM, cuts);
    }

    /** The row, or pair, a place lies on, its share of the gaps before and behind it included; -1 for none. */
    int bandAt(double t) {
        double half = grid.gapM / 2;
        for (int i = 0; i < bands.size(); i++) {
            double from = bands.get(i).t();
            if (t >= from - half && t <= from + grid.bandM() + half) {
                return i;
            }
        }
        return -1;
    }

    private int band(Measure x, Measure y, String what) {
        int band = bandAt(grid.frame.t(x.si(), y.si()));
        if (band < 0) {
            notKept.add(new ArrayLayout.NotKept(what, x.si(), y.si()));
        }
        return band;
    }

    /** The smallest shift that comes to the same columns. */
    private double near(double shiftM) {
        return shiftM - Math.rint(shiftM / grid.columnPitchM) * grid.columnPitchM;
    }

    private TreeMap<Long, Double> aisles(double startM) {
        TreeMap<Long, Double> cuts = new TreeMap<>();
        if (aisle == null) {
            return cuts;
        }
        double wider = Math.max(0, aisle.width().si() - gapM);
        long at = firstColumn + aisle.first();
        for (double s = startM + at * grid.columnPitchM; s < grid.bare.rightmost(); at += aisle.every()) {
            cuts.put(at, wider);
            s = startM + (at + aisle.every()) * grid.columnPitchM + cuts.size() * wider;
        }
        return cuts;
    }
}
