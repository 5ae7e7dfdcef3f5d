package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.List;

/**
 * Blocks worked out over positions in a line of a row that have been shown to share their load, in place of rounding
 * every position up by itself: any group of so many in a line weighs what the wind asks of it, and no position falls
 * short of its own need by more blocks than the house rule allows. The total is the least these rules allow.
 *
 * @param aloneBlocks what all positions would need if each were rounded up by itself, room or not
 * @param shortOfOwn blocks a position may be short of what it would need alone
 * @param rows positions in a line without a break
 */
public record ConnectedBallast(int aloneBlocks, int shortOfOwn, List<Row> rows) {
    public ConnectedBallast {
        rows = List.copyOf(rows);
    }

    /**
     * Positions in a line.
     *
     * @param first index of its first position
     * @param last index of its last
     * @param within positions in a line that hold each other
     */
    public record Row(int first, int last, int within) {}

    /**
     * Positions that hold each other.
     *
     * @param first index of the first
     * @param last index of the last
     * @param neededKg weight the wind asks for, parts included
     * @param weighsKg what they weigh
     */
    public record Group(int first, int last, double neededKg, double weighsKg) {
        /** Needed over what there is. */
        public double utilisation() {
            return neededKg / weighsKg;
        }
    }

    /** The group nearest to its limit, of those with room for the blocks they need; null when there is none. */
    public Group tightest(List<HoldDown.Position> positions) {
        Group worst = null;
        for (Row row : rows) {
            worst = tighter(worst, tightest(positions, row, row.first(), row.last() - row.within() + 1));
        }
        return worst;
    }

    /** The same of the groups a position is in. */
    public Group tightest(List<HoldDown.Position> positions, int position) {
        for (Row row : rows) {
            if (position >= row.first() && position <= row.last()) {
                return tightest(
                        positions,
                        row,
                        Math.max(row.first(), position - row.within() + 1),
                        Math.min(position, row.last() - row.within() + 1));
            }
        }
        return null;
    }

    private static Group tightest(List<HoldDown.Position> positions, Row row, int from, int to) {
        Group worst = null;
        for (int i = from; i <= to; i++) {
            double needed = 0;
            double weighs = 0;
            boolean full = false;
            for (int k = i; k < i + row.within(); k++) {
                Ballast b = positions.get(k).ballast();
                needed += Math.max(b.upliftKg(), b.slidingKg());
                weighs += b.demand().ownMassKg() + b.creditedKg();
                full |= b.full();
            }
            if (!full) {
                worst = tighter(worst, new Group(i, i + row.within() - 1, needed, weighs));
            }
        }
        return worst;
    }

    private static Group tighter(Group a, Group b) {
        if (a == null || b == null) {
            return a == null ? b : a;
        }
        return b.utilisation() > a.utilisation() ? b : a;
    }

    /** What blocks come to over connected positions. */
    record Found(List<HoldDown.Position> positions, ConnectedBallast connected) {}

    /**
     * Takes positions, each rounded up by itself, to the fewest blocks that hold them together.
     *
     * @param rows of positions in a line
     * @param shortOfOwn blocks a position may be short of what it would need alone
     */
    static Found of(List<HoldDown.Position> alone, List<Row> rows, int shortOfOwn) {
        List<HoldDown.Position> all = new ArrayList<>(alone);
        for (Row row : rows) {
            int n = row.last() - row.first() + 1;
            double[] need = new double[n];
            int[] least = new int[n];
            int[] most = new int[n];
            for (int i = 0; i < n; i++) {
                Ballast b = alone.get(row.first() + i).ballast();
                if (b.attached()) {
                    // attachments take over here: it neither helps its neighbours nor leans on them
                    need[i] = b.blocksPlaced();
                    least[i] = b.blocksPlaced();
                    most[i] = b.blocksPlaced();
                    continue;
                }
                need[i] = b.requiredKg() / b.hold().blockKg();
                least[i] = Math.max(0, b.blocksNeeded() - shortOfOwn);
                most[i] = b.hold().mostBlocks();
            }
            LeastBlocks.Found found = LeastBlocks.of(need, least, most, row.within());
            for (int i = 0; i < n; i++) {
                HoldDown.Position p = alone.get(row.first() + i);
                if (p.ballast().attached()) {
                    continue;
                }
                boolean lacks =
                        least[i] > most[i] || found.unmet()[i] && p.ballast().blocksNeeded() > most[i];
                all.set(
                        row.first() + i,
                        p.with(
                                lacks
                                        ? p.ballast().full(found.blocks()[i])
                                        : p.ballast().together(found.blocks()[i])));
            }
        }
        int sum = alone.stream().mapToInt(p -> p.ballast().blocksNeeded()).sum();
        return new Found(all, new ConnectedBallast(sum, shortOfOwn, rows));
    }
}
