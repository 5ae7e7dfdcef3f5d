package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.JOB;
import static whipsaw.app.store.tables.Tables.LAID;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import whipsaw.core.build.BallastMap;

/** Blocks as laid, ticked position by position against a signed map; only ever added. */
@Component
public class LaidStore {
    private static final double MM = 1000;

    private final DSLContext db;

    public LaidStore(DSLContext db) {
        this.db = db;
    }

    /**
     * What was ticked at a place.
     *
     * @param array id of the array
     * @param number of the position on the map it was ticked against
     * @param blocks that lie there; null where the tick was taken back
     * @param by who laid them, as typed
     * @param picture id of a photograph; empty for none
     * @param at UTC
     */
    public record Laid(
            String array,
            String number,
            double xM,
            double yM,
            Integer blocks,
            String by,
            String note,
            String picture,
            String at) {}

    /**
     * What is said beside a count.
     *
     * @param picture id; empty for none
     * @param who machine and window
     */
    public record Said(String by, String note, String picture, String who) {}

    /** Ticks some positions of an array, each with its blocks; null takes a tick back. */
    @Transactional
    public void tick(String slug, int signature, String array, Map<BallastMap.Place, Integer> blocks, Said said) {
        int job = db.select(JOB.ID).from(JOB).where(JOB.SLUG.eq(slug)).fetchOne(JOB.ID);
        String at = RevisionRows.now();
        db.batch(blocks.keySet().stream()
                        .map(p -> db.insertInto(LAID)
                                .set(LAID.JOB_ID, job)
                                .set(LAID.SIGNATURE_ID, signature)
                                .set(LAID.ARRAY, array)
                                .set(LAID.NUMBER, p.number())
                                .set(LAID.X_MM, (int) Math.round(p.xM() * MM))
                                .set(LAID.Y_MM, (int) Math.round(p.yM() * MM))
                                .set(LAID.BLOCKS, blocks.get(p))
                                .set(LAID.LAID_BY, said.by())
                                .set(LAID.NOTE, said.note())
                                .set(LAID.PICTURE, said.picture().isEmpty() ? null : said.picture())
                                .set(LAID.WHO, said.who())
                                .set(LAID.AT, at))
                        .toList())
                .execute();
    }

    /** The newest of every place of a job, in the order they were made; those taken back too. */
    public List<Laid> of(String slug) {
        Map<String, Laid> newest = new LinkedHashMap<>();
        db.select()
                .from(LAID)
                .join(JOB)
                .on(LAID.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(LAID.ID)
                .forEach(r -> {
                    String place = r.get(LAID.ARRAY) + "/" + r.get(LAID.X_MM) + "/" + r.get(LAID.Y_MM);
                    newest.remove(place);
                    newest.put(place, laid(r));
                });
        return List.copyOf(newest.values());
    }

    private static Laid laid(Record r) {
        return new Laid(
                r.get(LAID.ARRAY),
                r.get(LAID.NUMBER),
                r.get(LAID.X_MM) / MM,
                r.get(LAID.Y_MM) / MM,
                r.get(LAID.BLOCKS),
                r.get(LAID.LAID_BY),
                r.get(LAID.NOTE),
                r.get(LAID.PICTURE) == null ? "" : r.get(LAID.PICTURE),
                r.get(LAID.AT));
    }
}
