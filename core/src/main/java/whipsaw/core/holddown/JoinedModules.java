package whipsaw.core.holddown;

import java.util.Arrays;
import java.util.IntSummaryStatistics;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.TraySystem;

/**
 * Groups of modules whose trays are joined: along the row, and across rows where the system links
 * them.
 */
public final class JoinedModules {
    private static final int NONE = -1;
    /** Trays of two rows farther out of line than this are not linked. */
    private static final double LINK_M = 0.03;

    private final int[] parent;
    private final int[] count;

    public JoinedModules(ArrayLayout layout, TraySystem tray) {
        int n = layout.modules().size();
        parent = new int[n];
        count = new int[n];
        for (int i = 0; i < n; i++) {
            parent[i] = i;
            count[i] = 1;
        }
        IntSummaryStatistics columns =
                layout.modules().stream().mapToInt(ArrayLayout.Module::column).summaryStatistics();
        // modules put in by hand may lie left of the first column; one more is left free on either side
        int before = n == 0 ? 0 : 1 - columns.getMin();
        int[][] byPlace = new int[layout.lastRow() + 2][n == 0 ? 0 : columns.getMax() + before + 2];
        for (int[] row : byPlace) {
            Arrays.fill(row, NONE);
        }
        for (ArrayLayout.Module m : layout.modules()) {
            byPlace[m.row()][m.column() + before] = m.index();
        }
        for (ArrayLayout.Module m : layout.modules()) {
            int column = m.column() + before;
            join(m.index(), byPlace[m.row()][column + 1]);
            boolean ridge = tray.pairs() && !layout.looksBack(m.row());
            if (ridge || (tray.linksRows() && !layout.walkwaysAfter().contains(m.row()))) {
                for (int c = column - 1; c <= column + 1; c++) {
                    int behind = byPlace[m.row() + 1][c];
                    if (behind != NONE && inLine(m, layout.modules().get(behind))) {
                        join(m.index(), behind);
                    }
                }
            }
        }
    }

    /** A row that was shifted has its trays out of line with the next one, and no link reaches across. */
    private static boolean inLine(ArrayLayout.Module a, ArrayLayout.Module b) {
        return Math.abs(a.s() - b.s()) <= LINK_M;
    }

    private int root(int i) {
        int r = i;
        while (parent[r] != r) {
            parent[r] = parent[parent[r]];
            r = parent[r];
        }
        return r;
    }

    private void join(int a, int b) {
        if (b == NONE) {
            return;
        }
        int ra = root(a);
        int rb = root(b);
        if (ra != rb) {
            int small = count[ra] < count[rb] ? ra : rb;
            int large = small == ra ? rb : ra;
            parent[small] = large;
            count[large] += count[small];
        }
    }

    /** Key of the group of a module; the same for all that are joined to it. */
    public int group(int module) {
        return root(module);
    }

    /** Modules in the group of a module. */
    int size(int module) {
        return count[root(module)];
    }
}
