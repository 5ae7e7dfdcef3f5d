package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.roof.RoofPlan;

/** What stands beside, before and behind each module, for the array edge factor. */
final class Neighbours {
    private final ArrayLayout layout;
    private final RoofPlan plan;
    private final double openM;
    private static final double FIRST_REACH_M = 8;

    private final List<List<ArrayLayout.Module>> rows = new ArrayList<>();

    /** A side of a module with what is there. */
    record Side(String name, double toBuildingEdgeM, double gapM, boolean alongRow) {}

    /**
     * @param openM a gap wider than this is open
     */
    Neighbours(ArrayLayout layout, RoofPlan plan, double openM) {
        this.layout = layout;
        this.plan = plan;
        this.openM = openM;
        for (int i = 0; i <= layout.rows(); i++) {
            rows.add(new ArrayList<>());
        }
        layout.modules().forEach(m -> rows.get(m.row()).add(m));
    }

    /** The sides of a module that are open: nothing within the open gap. */
    List<Side> openSides(ArrayLayout.Module m) {
        List<Side> open = new ArrayList<>(4);
        double midS = m.s() + layout.alongM() / 2;
        double midT = m.t() + layout.depthM() / 2;
        add(open, "left", gapLeft(m), m.s(), midT, -1, 0, true);
        add(open, "right", gapRight(m), m.s() + layout.alongM(), midT, 1, 0, true);
        add(open, "front", gapAcross(m, -1), midS, m.t(), 0, -1, false);
        add(open, "rear", gapAcross(m, 1), midS, m.t() + layout.depthM(), 0, 1, false);
        return open;
    }

    private void add(
            List<Side> open, String name, double gap, double s, double t, double ds, double dt, boolean alongRow) {
        if (gap > openM) {
            open.add(new Side(name, toBuildingEdge(s, t, ds, dt), gap, alongRow));
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

    private double toBuildingEdge(double s, double t, double ds, double dt) {
        Coordinate from = layout.frame().plan(s, t);
        Coordinate way = layout.frame().plan(ds, dt);
        double reach = FIRST_REACH_M;
        while (true) {
            Coordinate to = new Coordinate(from.x + way.x * reach, from.y + way.y * reach);
            List<RoofPlan.Edge> near = plan.index().near(new Coordinate[] {from, to}, 0);
            double least = nearest(from, way, near);
            // an edge that the reach misses lies beyond it
            if (least <= reach || near.size() == plan.edges().size() || reach > plan.longSideM() * 2) {
                return least;
            }
            reach *= 2;
        }
    }

    private static double nearest(Coordinate from, Coordinate way, List<RoofPlan.Edge> edges) {
        double least = Double.POSITIVE_INFINITY;
        for (RoofPlan.Edge edge : edges) {
            double ex = edge.to().x - edge.from().x;
            double ey = edge.to().y - edge.from().y;
            double cross = way.x * ey - way.y * ex;
            if (Math.abs(cross) < 1e-12) {
                continue;
            }
            double px = edge.from().x - from.x;
            double py = edge.from().y - from.y;
            double distance = (px * ey - py * ex) / cross;
            double part = (px * way.y - py * way.x) / cross;
            if (distance >= 0 && part >= 0 && part <= 1) {
                least = Math.min(least, distance);
            }
        }
        return least;
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
