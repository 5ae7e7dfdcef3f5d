package whipsaw.core.build;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What lies on the roof as the crew ticked it off, position by position, laid over a ballast map. A tick belongs to a
 * place on the roof, so that it is still good when a later map numbers the position otherwise.
 */
public final class AsLaid {
    private final BallastMap map;
    private final Map<String, Tick> ticks = new HashMap<>();
    private final int elsewhere;

    /**
     * One tick.
     *
     * @param array id of the array
     * @param xM where, in the plan of the roof
     * @param yM where, in the plan of the roof
     * @param blocks that lie there
     */
    public record Tick(String array, double xM, double yM, int blocks) {}

    /** How a position stands to its map. */
    public enum State {
        /** Nobody has ticked it. */
        OPEN("not laid", "○"),
        AS_MAP("per the map", "✓"),
        MISSING("missing", "▼"),
        SURPLUS("too many", "▲");

        private final String words;
        private final String mark;

        State(String words, String mark) {
            this.words = words;
            this.mark = mark;
        }

        /** For readers. */
        public String words() {
            return words;
        }

        /** One character that tells it without colour. */
        public String mark() {
            return mark;
        }
    }

    /** @param ticks the newest of every place */
    public AsLaid(BallastMap map, List<Tick> ticks) {
        this.map = map;
        Map<String, BallastMap.Nearby> near = new HashMap<>();
        map.arrays().forEach(a -> near.put(a.id(), new BallastMap.Nearby(a.places())));
        int lost = 0;
        for (Tick t : ticks) {
            BallastMap.Place p =
                    near.containsKey(t.array()) ? near.get(t.array()).at(t.xM(), t.yM()) : null;
            if (p == null) {
                lost += t.blocks() > 0 ? 1 : 0;
            } else {
                this.ticks.put(key(t.array(), p), t);
            }
        }
        this.elsewhere = lost;
    }

    private static String key(String array, BallastMap.Place p) {
        return array + "/" + p.number();
    }

    /** Places with blocks that this map has no position for. */
    public int elsewhere() {
        return elsewhere;
    }

    /** Blocks at a position; 0 where nobody ticked it. */
    public int blocks(String array, BallastMap.Place p) {
        Tick t = ticks.get(key(array, p));
        return t == null ? 0 : t.blocks();
    }

    /** How a position stands. */
    public State state(String array, BallastMap.Place p) {
        Tick t = ticks.get(key(array, p));
        if (t == null) {
            return State.OPEN;
        }
        return t.blocks() == p.blocks() ? State.AS_MAP : t.blocks() < p.blocks() ? State.MISSING : State.SURPLUS;
    }

    /**
     * How far some positions are.
     *
     * @param positions all of them
     * @param ticked that somebody has ticked
     * @param laid blocks that lie there
     * @param missing blocks that ticked positions lack
     * @param surplus blocks that ticked positions have too many
     */
    public record Sum(int positions, int ticked, int mapped, int laid, int missing, int surplus) {
        /** Whether every position lies as the map says. */
        public boolean done() {
            return positions == ticked && missing == 0 && surplus == 0;
        }
    }

    /** Of one row of an array. */
    public Sum row(String array, int row) {
        return sum(
                array,
                map.array(array).places().stream().filter(p -> p.row() == row).toList());
    }

    /** Of one array. */
    public Sum array(String array) {
        return sum(array, map.array(array).places());
    }

    private Sum sum(String array, List<BallastMap.Place> places) {
        int ticked = 0;
        int mapped = 0;
        int laid = 0;
        int missing = 0;
        int surplus = 0;
        for (BallastMap.Place p : places) {
            mapped += p.blocks();
            if (state(array, p) != State.OPEN) {
                int there = blocks(array, p);
                ticked++;
                laid += there;
                missing += Math.max(0, p.blocks() - there);
                surplus += Math.max(0, there - p.blocks());
            }
        }
        return new Sum(places.size(), ticked, mapped, laid, missing, surplus);
    }
}
