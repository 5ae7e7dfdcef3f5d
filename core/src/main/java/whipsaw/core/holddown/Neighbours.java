package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.roof.RoofPlan;

/** What stands beside, before and behind each module, for the array edge factor. */
final class Neighbours {
    private final ArrayLayout layout;
    private final double openM;
    private final OtherPanels others;
    private final EdgesAlong alongRow;
    private final EdgesAlong acrossRows;
    private final List<List<ArrayLayout.Module>> rows = new ArrayList<>();

    /** A side of a module with what is there. */
    record Side(String name, double toBuildingEdgeM, double gapM, boolean alongRow) {}

    /**
     * @param openM a gap wider than this is open
     * @param others panels of other arrays on the roof
     */
    Neighbours(ArrayLayout layout, RoofPlan plan, double openM, OtherPanels others) {
        this.layout = layout;
        this.openM = openM;
        this.others = others;
        alongRow = new EdgesAlong(plan.edges(), layout.frame(), true);
        acrossRows = new EdgesAlong(plan.edges(), layout.frame(), false);
        for (int i = 0; i <= layout.lastRow(); i++) {
            rows.add(new ArrayList<>());
        }
        layout.modules().forEach(m -> rows.get(m.row()).add(m));
    }

    /** The sides of a module that are open: nothing within the open gap. */
    List<Side> openSides(ArrayLayout.Module m) {
        List<Side> open = new ArrayList<>(4);
        double midS = m.s() + layout.alongM() / 2;
        double midT = m.t() + layout.depthM() / 2;
        along(open, "left", gapLeft(m), m.s(), midT, -1);
        along(open, "right", gapRight(m), m.s() + layout.alongM(), midT, 1);
        across(open, "front", gapAcross(m, -1), midS, m.t(), -1);
        across(open, "rear", gapAcross(m, 1), midS, m.t() + layout.depthM(), 1);
        return open;
    }

    private void along(List<Side> open, String name, double gap, double s, double t, int way) {
        if (gap > openM && !others.within(layout.frame(), s, t, way, 0, openM)) {
            open.add(new Side(name, alongRow.first(s, t, way), gap, true));
        }
    }

    private void across(List<Side> open, String name, double gap, double s, double t, int way) {
        if (gap > openM && !others.within(layout.frame(), s, t, 0, way, openM)) {
            open.add(new Side(name, acrossRows.first(t, s, way), gap, false));
        }
    }

    private double gapLeft(ArrayLayout.Module m) {
        int i = m.index();
        ArrayLayout.Module before = i == 0 ? null : layout.modules().get(i - 1);
        return before == null || before.row() != m.row()
                ? Double.POSITIVE_INFINITY
                : m.s() - before.s() - layout.alongM();
    }

    private double gapRight(ArrayLayout.Module m) {
        int i = m.index() + 1;
        ArrayLayout.Module after =
                i == layout.modules().size() ? null : layout.modules().get(i);
        return after == null || after.row() != m.row() ? Double.POSITIVE_INFINITY : after.s() - m.s() - layout.alongM();
    }

    /**
     * Gap to the nearest row in front (-1) or behind (1) that has a panel opposite; infinite beyond
     * the open gap.
     */
    private double gapAcross(ArrayLayout.Module m, int step) {
        for (int row = m.row() + step; row >= 1 && row < rows.size(); row += step) {
            List<ArrayLayout.Module> there = rows.get(row);
            if (there.isEmpty()) {
                continue;
            }
            double gap = Math.abs(there.get(0).t() - m.t()) - layout.depthM();
            if (gap > openM) {
                // a farther row only leaves a wider gap; the gap itself is reported
                return opposite(there, m) ? gap : Double.POSITIVE_INFINITY;
            }
            if (opposite(there, m)) {
                return gap;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private boolean opposite(List<ArrayLayout.Module> row, ArrayLayout.Module m) {
        int low = 0;
        int high = row.size() - 1;
        while (low <= high) {
            int middle = (low + high) >>> 1;
            double s = row.get(middle).s();
            if (s + layout.alongM() <= m.s() + 1e-6) {
                low = middle + 1;
            } else if (s >= m.s() + layout.alongM() - 1e-6) {
                high = middle - 1;
            } else {
                return true;
            }
        }
        return false;
    }

    /**
     * Distance of each module's nearer side from the end of its row; gaps up to the open gap do not
     * end a row.
     */
    double[] fromRowEnd() {
        double[] result = new double[layout.modules().size()];
        for (List<ArrayLayout.Module> row : rows) {
            int start = 0;
            for (int i = 0; i < row.size(); i++) {
                boolean ends =
                        i + 1 == row.size() || row.get(i + 1).s() - row.get(i).s() - layout.alongM() > openM;
                if (!ends) {
                    continue;
                }
                double left = row.get(start).s();
                double right = row.get(i).s();
                for (ArrayLayout.Module m : row.subList(start, i + 1)) {
                    result[m.index()] = Math.min(m.s() - left, right - m.s());
                }
                start = i + 1;
            }
        }
        return result;
    }
}
