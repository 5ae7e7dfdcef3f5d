package whipsaw.core.holddown;

import java.util.Arrays;
import whipsaw.core.units.Limits;

/**
 * The fewest whole blocks on the positions of a row of which any so many in a line hold each other. With the sums of
 * blocks up to each position as unknowns every rule is a difference of two of them, so the least sums are longest paths
 * and whole numbers: the result is proved least, without a search.
 */
final class LeastBlocks {
    private final int[] least;
    private final int[] most;
    private final int within;
    private final int[] windows;
    private final boolean[] unmet;

    private LeastBlocks(double[] need, int[] least, int[] most, int within) {
        int n = need.length;
        this.within = Math.min(within, n);
        this.most = most;
        this.least = new int[n];
        for (int i = 0; i < n; i++) {
            this.least[i] = Math.min(least[i], most[i]);
        }
        this.windows = new int[n - this.within + 1];
        this.unmet = new boolean[windows.length];
        for (int w = 0; w < windows.length; w++) {
            double sum = 0;
            int room = 0;
            for (int i = w; i < w + this.within; i++) {
                sum += need[i];
                room += most[i];
            }
            int asked = Limits.ceil(sum);
            unmet[w] = asked > room;
            windows[w] = Math.min(asked, room);
        }
    }

    /**
     * What a row comes to.
     *
     * @param blocks on each position
     * @param unmet whether it stands in a group that has no room for the blocks it needs
     */
    record Found(int[] blocks, boolean[] unmet) {}

    /**
     * Fewest blocks of a row.
     *
     * @param need blocks each position asks for, not rounded; 0 or more
     * @param least blocks it has at least
     * @param most blocks it takes
     * @param within positions in a line that hold each other
     */
    static Found of(double[] need, int[] least, int[] most, int within) {
        boolean turn = backwards(need);
        LeastBlocks row = turn
                ? new LeastBlocks(turned(need), turned(least), turned(most), within)
                : new LeastBlocks(need, least, most, within);
        int[] blocks = row.solve();
        boolean[] unmet = row.unmet(blocks.length);
        if (turn) {
            boolean[] back = new boolean[unmet.length];
            for (int i = 0; i < back.length; i++) {
                back[i] = unmet[back.length - 1 - i];
            }
            return new Found(turned(blocks), back);
        }
        return new Found(blocks, unmet);
    }

    /** Rows are read from the end that needs less, so that a mirrored row is laid as the mirror of the first. */
    private static boolean backwards(double[] need) {
        for (int i = 0, j = need.length - 1; i < j; i++, j--) {
            if (Math.abs(need[i] - need[j]) > Limits.SLACK) {
                return need[i] > need[j];
            }
        }
        return false;
    }

    private static double[] turned(double[] all) {
        double[] back = new double[all.length];
        for (int i = 0; i < all.length; i++) {
            back[i] = all[all.length - 1 - i];
        }
        return back;
    }

    private static int[] turned(int[] all) {
        int[] back = new int[all.length];
        for (int i = 0; i < all.length; i++) {
            back[i] = all[all.length - 1 - i];
        }
        return back;
    }

    private boolean[] unmet(int n) {
        boolean[] all = new boolean[n];
        for (int w = 0; w < windows.length; w++) {
            if (unmet[w]) {
                Arrays.fill(all, w, w + within, true);
            }
        }
        return all;
    }

    private int[] solve() {
        int n = least.length;
        int[] low = new int[n + 1];
        while (raise(low)) {
            // until nothing rises
        }
        int[] high = new int[n + 1];
        Arrays.fill(high, low[n]);
        high[0] = 0;
        while (lower(high)) {
            // until nothing falls
        }
        // rounding the middle of two that satisfy whole differences down satisfies them too
        int[] blocks = new int[n];
        for (int i = 0; i < n; i++) {
            blocks[i] = Math.floorDiv(low[i + 1] + high[i + 1], 2) - Math.floorDiv(low[i] + high[i], 2);
        }
        return blocks;
    }

    /** Raises sums to what the rules ask for; whether any rose. */
    private boolean raise(int[] sum) {
        boolean rose = false;
        for (int i = 0; i < least.length; i++) {
            int asked = sum[i] + least[i];
            int first = i + 1 - within;
            if (first >= 0) {
                asked = Math.max(asked, sum[first] + windows[first]);
            }
            if (asked > sum[i + 1]) {
                sum[i + 1] = asked;
                rose = true;
            }
        }
        for (int i = least.length - 1; i >= 0; i--) {
            if (sum[i + 1] - most[i] > sum[i]) {
                sum[i] = sum[i + 1] - most[i];
                rose = true;
            }
        }
        return rose;
    }

    /** Lowers sums to what the rules allow under the last of them; whether any fell. */
    private boolean lower(int[] sum) {
        boolean fell = false;
        for (int i = least.length - 1; i >= 0; i--) {
            int allowed = sum[i + 1] - least[i];
            if (i + within <= least.length) {
                allowed = Math.min(allowed, sum[i + within] - windows[i]);
            }
            if (allowed < sum[i]) {
                sum[i] = allowed;
                fell = true;
            }
        }
        for (int i = 0; i < least.length; i++) {
            if (sum[i] + most[i] < sum[i + 1]) {
                sum[i + 1] = sum[i] + most[i];
                fell = true;
            }
        }
        return fell;
    }
}
