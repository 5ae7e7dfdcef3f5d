package whipsaw.core.energy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.array.ArrayLayout;

/**
 * How the modules of an array stand to each other: those with a row in front of them by the distance to it, those of the
 * same distance together, and those in the open.
 */
final class RowPlaces {
    /** From so many rises away on, a row in front changes nothing that could be told. */
    private static final double FAR_RISES = 20;

    private static final double TO_MILLIMETRES = 1000;

    /**
     * Modules alike.
     *
     * @param looksBack whether they are the rear face of pairs
     * @param place how they stand
     */
    record Alike(boolean looksBack, RowPlace place, int modules) {}

    private RowPlaces() {}

    /** Groups of modules alike, the front faces first and by distance. */
    static List<Alike> of(ArrayLayout layout, double slopeM, double tiltDeg) {
        List<List<ArrayLayout.Module>> rows = rows(layout);
        Map<Long, Integer> front = new TreeMap<>();
        Map<Long, Integer> back = new TreeMap<>();
        for (int r = 0; r < rows.size(); r++) {
            boolean looksBack = layout.looksBack(rows.get(r).get(0).row());
            count(layout, rows, r, looksBack, looksBack ? back : front);
        }
        List<Alike> all = new ArrayList<>();
        double rise = layout.highEdgeM() - layout.lowEdgeM();
        front.forEach((mm, n) -> all.add(new Alike(false, place(layout, mm, slopeM, tiltDeg, rise), n)));
        back.forEach((mm, n) -> all.add(new Alike(true, place(layout, mm, slopeM, tiltDeg, rise), n)));
        return all;
    }

    private static RowPlace place(ArrayLayout layout, long mm, double slopeM, double tiltDeg, double riseM) {
        double clear = mm / TO_MILLIMETRES;
        if (clear > FAR_RISES * riseM) {
            return RowPlace.open(slopeM, tiltDeg);
        }
        return layout.pairs() == null
                ? RowPlace.behind(slopeM, tiltDeg, clear + layout.depthM())
                : RowPlace.acrossValley(slopeM, tiltDeg, clear - layout.depthM());
    }

    private static List<List<ArrayLayout.Module>> rows(ArrayLayout layout) {
        List<List<ArrayLayout.Module>> rows = new ArrayList<>();
        int last = -1;
        for (ArrayLayout.Module m : layout.modules()) {
            if (m.row() != last) {
                rows.add(new ArrayList<>());
                last = m.row();
            }
            rows.get(rows.size() - 1).add(m);
        }
        return rows;
    }

    /** Counts the modules of a row by the distance from their low edge to the foot of the top edge in front, mm. */
    private static void count(
            ArrayLayout layout,
            List<List<ArrayLayout.Module>> rows,
            int row,
            boolean looksBack,
            Map<Long, Integer> byDistance) {
        List<ArrayLayout.Module> own = rows.get(row);
        boolean[] found = new boolean[own.size()];
        int left = own.size();
        int step = looksBack ? 1 : -1;
        for (int r = row + step; r >= 0 && r < rows.size() && left > 0; r += step) {
            List<ArrayLayout.Module> other = rows.get(r);
            if (layout.pairs() != null && layout.looksBack(other.get(0).row()) == looksBack) {
                continue;
            }
            double between = Math.abs(other.get(0).t() - own.get(0).t());
            double clear = layout.pairs() == null ? between - layout.depthM() : between;
            int j = 0;
            for (int i = 0; i < own.size(); i++) {
                double middle = own.get(i).s() + layout.alongM() / 2;
                while (j < other.size() && other.get(j).s() + layout.alongM() < middle) {
                    j++;
                }
                if (!found[i] && j < other.size() && other.get(j).s() <= middle) {
                    found[i] = true;
                    left--;
                    byDistance.merge(Math.round(clear * TO_MILLIMETRES), 1, Integer::sum);
                }
            }
        }
        if (left > 0) {
            byDistance.merge(Long.MAX_VALUE / 4, left, Integer::sum);
        }
    }
}
