package whipsaw.core.build;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.ToIntFunction;
import whipsaw.core.units.Show;

/**
 * What has to be done on the roof to come from one ballast map to a later one: blocks added and taken away, position by
 * position.
 *
 * @param words what changed beside the counts: another block, attachments, arrays that came or went
 */
public record MapChange(List<Moved> places, List<String> words) {
    public MapChange {
        places = List.copyOf(places);
        words = List.copyOf(words);
    }

    /**
     * A position that changes.
     *
     * @param array name of its array
     * @param number of the later map; of the earlier one where it is gone
     * @param before blocks of the earlier map, or as laid; 0 where there was no position
     * @param after blocks of the later one; 0 where the position is gone
     * @param gone whether the later map has no such position
     * @param isNew whether the earlier map had none
     */
    public record Moved(String array, String number, int row, int before, int after, boolean gone, boolean isNew) {
        /** Blocks to add; negative to take away. */
        public int add() {
            return after - before;
        }
    }

    /** From one map to a later one. */
    public static MapChange between(BallastMap first, BallastMap after) {
        return between(first, after, null);
    }

    /**
     * The same for a roof where something else lies than the earlier map says.
     *
     * @param laid as the crew ticked it off against the earlier map; null counts what that map says
     */
    public static MapChange between(BallastMap first, BallastMap after, AsLaid laid) {
        List<Moved> places = new ArrayList<>();
        List<String> words = new ArrayList<>();
        for (BallastMap.MapArray now : after.arrays()) {
            BallastMap.MapArray then = first.array(now.id());
            if (then == null) {
                words.add(now.name() + " is new");
                now.places().forEach(p -> places.add(added(now, p)));
            } else {
                array(then, now, laid, places, words);
            }
        }
        for (BallastMap.MapArray then : first.arrays()) {
            if (after.array(then.id()) == null) {
                words.add(then.name() + " is gone");
                then.places().forEach(p -> places.add(gone(then, p, laid)));
            }
        }
        places.removeIf(m -> m.add() == 0 && !m.gone() && !m.isNew());
        return new MapChange(places, words);
    }

    private static Moved added(BallastMap.MapArray array, BallastMap.Place p) {
        return new Moved(array.name(), p.number(), p.row(), 0, p.blocks(), false, true);
    }

    private static Moved gone(BallastMap.MapArray array, BallastMap.Place p, AsLaid laid) {
        return new Moved(array.name(), p.number(), p.row(), blocks(array, p, laid), 0, true, false);
    }

    private static int blocks(BallastMap.MapArray array, BallastMap.Place p, AsLaid laid) {
        return laid == null ? p.blocks() : laid.blocks(array.id(), p);
    }

    private static void array(
            BallastMap.MapArray then, BallastMap.MapArray now, AsLaid laid, List<Moved> places, List<String> words) {
        BallastMap.Nearby was = new BallastMap.Nearby(then.places());
        Set<String> still = new HashSet<>();
        int renumbered = 0;
        for (BallastMap.Place p : now.places()) {
            BallastMap.Place before = was.at(p.xM(), p.yM());
            if (before == null || !still.add(before.number())) {
                places.add(added(now, p));
            } else {
                int laying = blocks(then, before, laid);
                renumbered += before.number().equals(p.number()) ? 0 : 1;
                places.add(new Moved(now.name(), p.number(), p.row(), laying, p.blocks(), false, false));
            }
        }
        then.places().stream().filter(p -> !still.contains(p.number())).forEach(p -> places.add(gone(then, p, laid)));
        if (!then.block().equals(now.block()) || Math.abs(then.blockKg() - now.blockKg()) > 1e-6) {
            words.add("blocks of " + now.name() + ": " + now.block() + " of " + Show.number(now.blockKg(), 2)
                    + " kg, before " + then.block() + " of " + Show.number(then.blockKg(), 2) + " kg");
        }
        if (renumbered > 0) {
            words.add("another number at " + Show.count(renumbered, "position") + " of " + now.name());
        }
        long elsewhere = attachedElsewhere(then, now);
        if (then.attachments() != now.attachments() || elsewhere > 0) {
            words.add("attachments of " + now.name() + ": " + now.attachments() + ", before " + then.attachments()
                    + (elsewhere > 0 ? ", at other positions" : ""));
        }
    }

    /** Positions with attachments that had none before, and the other way round. */
    private static long attachedElsewhere(BallastMap.MapArray then, BallastMap.MapArray now) {
        BallastMap.Nearby was = new BallastMap.Nearby(then.places());
        long other = now.places().stream()
                .filter(p -> {
                    BallastMap.Place before = was.at(p.xM(), p.yM());
                    return p.attached() != (before != null && before.attached());
                })
                .count();
        BallastMap.Nearby is = new BallastMap.Nearby(now.places());
        return other
                + then.places().stream()
                        .filter(p -> p.attached() && is.at(p.xM(), p.yM()) == null)
                        .count();
    }

    /** Whether there is nothing to do. */
    public boolean nothing() {
        return places.isEmpty() && words.isEmpty();
    }

    /** Blocks to add on all positions. */
    public int toAdd() {
        return sum(m -> Math.max(0, m.add()));
    }

    /** Blocks to take away from all positions. */
    public int toTakeAway() {
        return sum(m -> Math.max(0, -m.add()));
    }

    private int sum(ToIntFunction<Moved> of) {
        return places.stream().mapToInt(of).sum();
    }

    /** All of it in a few words. */
    public List<String> inWords() {
        List<String> all = new ArrayList<>(words);
        if (!places.isEmpty()) {
            int moved =
                    (int) places.stream().filter(m -> !m.gone() && !m.isNew()).count();
            int gone = (int) places.stream().filter(Moved::gone).count();
            int came = (int) places.stream().filter(Moved::isNew).count();
            all.add("blocks: add " + toAdd() + ", take away " + toTakeAway()
                    + (moved > 0 ? ", another count at " + Show.count(moved, "position") : "")
                    + (came > 0 ? ", " + Show.count(came, "new position") : "")
                    + (gone > 0 ? ", " + Show.count(gone, "position") + " gone" : ""));
        }
        return all;
    }
}
