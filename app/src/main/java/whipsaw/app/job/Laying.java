package whipsaw.app.job;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import whipsaw.app.store.LaidStore;
import whipsaw.app.store.LaidStore.Laid;
import whipsaw.app.store.SignatureStore;
import whipsaw.app.store.SignatureStore.Signature;
import whipsaw.core.build.AsLaid;
import whipsaw.core.build.BallastMap;
import whipsaw.core.build.MapChange;
import whipsaw.core.design.Design;
import whipsaw.core.design.SignedDesign;
import whipsaw.core.schema.Problem;

/** Blocks as laid: the signed map, what the crew ticked off against it, and what a later map adds and takes away. */
@Service
public class Laying {
    private static final int MOST_BLOCKS = 200;

    private final Signatures signatures;
    private final SignatureStore store;
    private final LaidStore laid;
    private final Maker maker;

    public Laying(Signatures signatures, SignatureStore store, LaidStore laid, Maker maker) {
        this.signatures = signatures;
        this.store = store;
        this.laid = laid;
        this.maker = maker;
    }

    /**
     * What is laid from, and what is.
     *
     * @param signature the newest that counts
     * @param map that was signed
     * @param ticks the newest of every place, those taken back left out
     * @param said the tick of each position of the map, by array and number
     */
    public record OnRoof(Signature signature, BallastMap map, List<Laid> ticks, Map<String, Laid> said, AsLaid laid) {
        public OnRoof {
            ticks = List.copyOf(ticks);
            said = Map.copyOf(said);
        }

        /** What was said about a position; null where nobody ticked it. */
        public Laid tick(String array, BallastMap.Place p) {
            return said.get(key(array, p));
        }

        private static String key(String array, BallastMap.Place p) {
            return array + "/" + p.number();
        }

        /** What is to be added and taken away to come from what lies there, or from the signed map, to a design. */
        public MapChange toward(Design design) {
            return MapChange.between(map, SignedDesign.map(design), ticks.isEmpty() ? null : laid);
        }
    }

    /** Null while no map is signed. */
    public OnRoof of(String slug) {
        Signature s = signatures.newest(slug);
        if (s == null) {
            return null;
        }
        BallastMap map = store.signed(s.id()).map();
        Map<String, Laid> newest = newest(map, laid.of(slug));
        List<Laid> ticks = List.copyOf(newest.values());
        return new OnRoof(
                s,
                map,
                ticks,
                newest,
                new AsLaid(
                        map,
                        ticks.stream()
                                .map(t -> new AsLaid.Tick(t.array(), t.xM(), t.yM(), t.blocks()))
                                .toList()));
    }

    /**
     * The newest tick of each position of the map, and of each place it has no position for: an earlier map may have had
     * the same position a little beside.
     *
     * @param ticks in the order they were made
     */
    private static Map<String, Laid> newest(BallastMap map, List<Laid> ticks) {
        Map<String, BallastMap.Nearby> near = new HashMap<>();
        map.arrays().forEach(a -> near.put(a.id(), new BallastMap.Nearby(a.places())));
        Map<String, Laid> newest = new LinkedHashMap<>();
        for (Laid t : ticks) {
            BallastMap.Place p =
                    near.containsKey(t.array()) ? near.get(t.array()).at(t.xM(), t.yM()) : null;
            String key = p == null ? t.array() + "@" + t.xM() + "/" + t.yM() : OnRoof.key(t.array(), p);
            if (t.blocks() == null) {
                newest.remove(key);
            } else {
                newest.put(key, t);
            }
        }
        return newest;
    }

    /**
     * What is ticked, as a page sends it.
     *
     * @param signature the map the page showed
     * @param array id
     * @param blocks as typed; empty takes what the map says
     * @param picture id of a photograph; empty for none
     */
    public record Ticked(int signature, String array, String blocks, String by, String note, String picture) {}

    /** Ticks one position; all that are open in a row where the number is that of a row. */
    public void tick(String slug, Ticked ticked, String number, int row) {
        OnRoof roof = current(slug, ticked);
        Map<BallastMap.Place, Integer> blocks = new LinkedHashMap<>();
        for (BallastMap.Place p : roof.map().array(ticked.array()).places()) {
            boolean whole =
                    number.isEmpty() && p.row() == row && roof.laid().state(ticked.array(), p) == AsLaid.State.OPEN;
            if (whole || p.number().equals(number)) {
                blocks.put(p, ticked.blocks().isBlank() ? (Integer) p.blocks() : counted(ticked.blocks()));
            }
        }
        if (blocks.isEmpty() && !number.isEmpty()) {
            throw refused("$.number", "Position", number, "is not on the signed map: load the page again");
        }
        laid.tick(slug, ticked.signature(), ticked.array(), blocks, said(ticked));
    }

    /** Takes the tick of a position back. */
    public void untick(String slug, Ticked ticked, String number) {
        OnRoof roof = current(slug, ticked);
        BallastMap.Place p = roof.map().array(ticked.array()).place(number);
        if (p == null) {
            throw refused("$.number", "Position", number, "is not on the signed map: load the page again");
        }
        Map<BallastMap.Place, Integer> none = new LinkedHashMap<>();
        none.put(p, null);
        laid.tick(slug, ticked.signature(), ticked.array(), none, said(ticked));
    }

    private LaidStore.Said said(Ticked ticked) {
        return new LaidStore.Said(ticked.by().strip(), ticked.note().strip(), ticked.picture(), maker.name());
    }

    private OnRoof current(String slug, Ticked ticked) {
        OnRoof roof = of(slug);
        if (roof == null || roof.signature().id() != ticked.signature()) {
            throw refused(
                    "$.signature",
                    "Signed map",
                    "",
                    "is another one since this page was opened: load the page again before you go on");
        }
        if (roof.map().array(ticked.array()) == null) {
            throw refused("$.array", "Array", ticked.array(), "is not on the signed map");
        }
        return roof;
    }

    /** Blocks as typed, a whole number that can be. */
    public static Integer counted(String typed) {
        try {
            int blocks = Integer.parseInt(typed.strip());
            if (blocks >= 0 && blocks <= MOST_BLOCKS) {
                return blocks;
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw refused(
                "$.blocks", "Blocks laid", typed, "is not a whole number from 0 to " + MOST_BLOCKS + ": for example 4");
    }

    private static JobService.Refused refused(String path, String label, String value, String why) {
        return new JobService.Refused(List.of(new Problem(path, label, value, why)));
    }
}
