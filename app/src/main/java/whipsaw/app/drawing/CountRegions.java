package whipsaw.app.drawing;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;

/**
 * Neighbouring positions with the same count, as one area with one large number: what can be read of
 * a ballast map from farther away. Coordinates are those of the rows, in metres.
 *
 * @param borders lines between areas: s and t of both ends
 */
record CountRegions(List<Region> regions, List<double[]> borders) {

    /**
     * One area.
     *
     * @param words its count
     * @param s middle of the largest square of it
     * @param t middle of it
     * @param rows rows that square spans
     * @param positions in the area
     */
    record Region(String words, boolean full, double s, double t, int rows, int positions) {}

    /** Positions on their grid: rows from the front, places from the left. */
    private static final class Grid {
        private final ArrayLayout layout;
        private final HoldDown.Position[][] at;
        private final List<Integer> rowNumbers;
        private final double firstS;

        Grid(Design design) {
            layout = design.layout();
            Map<Integer, List<HoldDown.Position>> byRow = new TreeMap<>();
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (HoldDown.Position p : design.holdDown().positions()) {
                int row = layout.modules().get(p.shares().get(0).module()).row();
                byRow.computeIfAbsent(row, k -> new ArrayList<>()).add(p);
                least = Math.min(least, p.s());
                most = Math.max(most, p.s());
            }
            firstS = least;
            rowNumbers = List.copyOf(byRow.keySet());
            int columns = byRow.isEmpty() ? 0 : column(most) + 1;
            at = new HoldDown.Position[rowNumbers.size()][columns];
            for (int r = 0; r < at.length; r++) {
                for (HoldDown.Position p : byRow.get(rowNumbers.get(r))) {
                    at[r][column(p.s())] = p;
                }
            }
        }

        private int column(double s) {
            return (int) Math.round((s - firstS) / layout.columnPitchM());
        }

        /** Whether two rows follow each other without a walkway between. */
        boolean joined(int lower) {
            int number = rowNumbers.get(lower);
            return lower + 1 < at.length
                    && rowNumbers.get(lower + 1) == number + 1
                    && !layout.walkwaysAfter().contains(number);
        }

        static boolean alike(HoldDown.Position a, HoldDown.Position b) {
            return a != null
                    && b != null
                    && a.ballast().blocksPlaced() == b.ballast().blocksPlaced()
                    && a.ballast().mark().equals(b.ballast().mark());
        }
    }

    static CountRegions of(Design design) {
        Grid grid = new Grid(design);
        return new CountRegions(regions(grid, design.holdDown().established()), borders(grid));
    }

    private static List<Region> regions(Grid grid, boolean established) {
        List<Region> regions = new ArrayList<>();
        int rows = grid.at.length;
        int columns = rows == 0 ? 0 : grid.at[0].length;
        int[][] square = squares(grid);
        boolean[][] seen = new boolean[rows][columns];
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                if (grid.at[r][c] != null && !seen[r][c]) {
                    regions.add(region(grid, square, seen, r, c, established));
                }
            }
        }
        return regions;
    }

    /** Side of the largest square of alike positions that ends at each: rows counted from the front. */
    private static int[][] squares(Grid grid) {
        int[][] square = new int[grid.at.length][];
        for (int r = 0; r < grid.at.length; r++) {
            square[r] = new int[grid.at[r].length];
            for (int c = 0; c < grid.at[r].length; c++) {
                HoldDown.Position own = grid.at[r][c];
                if (own == null) {
                    continue;
                }
                boolean corner = r > 0
                        && c > 0
                        && grid.joined(r - 1)
                        && Grid.alike(own, grid.at[r - 1][c])
                        && Grid.alike(own, grid.at[r][c - 1])
                        && Grid.alike(own, grid.at[r - 1][c - 1]);
                square[r][c] =
                        corner ? 1 + Math.min(square[r - 1][c - 1], Math.min(square[r - 1][c], square[r][c - 1])) : 1;
            }
        }
        return square;
    }

    private static Region region(Grid grid, int[][] square, boolean[][] seen, int row, int column, boolean known) {
        Deque<int[]> open = new ArrayDeque<>();
        open.add(new int[] {row, column});
        seen[row][column] = true;
        int[] best = {row, column};
        int count = 0;
        while (!open.isEmpty()) {
            int[] at = open.remove();
            count++;
            if (square[at[0]][at[1]] > square[best[0]][best[1]]) {
                best = at;
            }
            for (int[] step : new int[][] {{0, 1}, {0, -1}, {1, 0}, {-1, 0}}) {
                int r = at[0] + step[0];
                int c = at[1] + step[1];
                if (r < 0 || c < 0 || r >= grid.at.length || c >= grid.at[r].length || seen[r][c]) {
                    continue;
                }
                boolean joined = step[0] == 0 || grid.joined(Math.min(r, at[0]));
                if (joined && Grid.alike(grid.at[at[0]][at[1]], grid.at[r][c])) {
                    seen[r][c] = true;
                    open.add(new int[] {r, c});
                }
            }
        }
        int side = square[best[0]][best[1]];
        HoldDown.Position last = grid.at[best[0]][best[1]];
        HoldDown.Position first = grid.at[best[0] - side + 1][best[1] - side + 1];
        boolean full = last.ballast().lacks();
        String words = known ? last.ballast().blocksPlaced() + last.ballast().mark() : "?";
        return new Region(words, full, (first.s() + last.s()) / 2, (first.t() + last.t()) / 2, side, count);
    }

    private static List<double[]> borders(Grid grid) {
        List<double[]> lines = new ArrayList<>();
        double half = grid.layout.columnPitchM() / 2;
        double tall = grid.layout.depthM() / 2;
        for (int r = 0; r < grid.at.length; r++) {
            HoldDown.Position[] row = grid.at[r];
            for (int c = 0; c + 1 < row.length; c++) {
                if (row[c] != null && row[c + 1] != null && !Grid.alike(row[c], row[c + 1])) {
                    double s = row[c].s() + half;
                    lines.add(new double[] {s, row[c].t() - tall, s, row[c].t() + tall});
                }
            }
            if (grid.joined(r)) {
                across(grid, r, half, lines);
            }
        }
        return lines;
    }

    /** Borders between a row and the next, runs of them as one line. */
    private static void across(Grid grid, int r, double half, List<double[]> lines) {
        HoldDown.Position[] own = grid.at[r];
        HoldDown.Position[] next = grid.at[r + 1];
        double[] line = null;
        for (int c = 0; c < own.length; c++) {
            boolean differ = own[c] != null && next[c] != null && !Grid.alike(own[c], next[c]);
            if (!differ) {
                line = null;
            } else if (line == null) {
                double t = (own[c].t() + next[c].t()) / 2;
                line = new double[] {own[c].s() - half, t, own[c].s() + half, t};
                lines.add(line);
            } else {
                line[2] = own[c].s() + half;
            }
        }
    }
}
