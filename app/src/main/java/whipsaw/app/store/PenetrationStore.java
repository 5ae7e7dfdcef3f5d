package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.JOB;
import static whipsaw.app.store.tables.Tables.PENETRATION;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The log of penetrations of the roof covering; entries are only ever added, the newest of a number counts. */
@Component
public class PenetrationStore {
    private final DSLContext db;

    public PenetrationStore(DSLContext db) {
        this.db = db;
    }

    /**
     * One penetration.
     *
     * @param number in the job, from 1
     * @param kind what goes through
     * @param flashed who flashed it, and when; empty and null until then
     * @param accepted for the roofer, and when; empty and null until then
     * @param pictures ids of photographs
     * @param struckOut whether it was entered by mistake
     */
    public record Penetration(
            int number,
            String place,
            String kind,
            Done made,
            Done flashed,
            Done accepted,
            String note,
            List<String> pictures,
            boolean struckOut) {
        public Penetration {
            pictures = List.copyOf(pictures);
        }
    }

    /** Who did something, and on what day; empty and null until it is done. */
    public record Done(String by, LocalDate on) {
        /** Not yet. */
        public static final Done NOT_YET = new Done("", null);

        /** Whether it is done. */
        public boolean is() {
            return !by.isEmpty();
        }

        private String day() {
            return on == null ? null : on.toString();
        }
    }

    /** All of a job by number, as they stand. */
    public List<Penetration> of(String slug) {
        Map<Integer, Penetration> newest = new TreeMap<>();
        db.select()
                .from(PENETRATION)
                .join(JOB)
                .on(PENETRATION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(PENETRATION.ID)
                .forEach(r -> newest.put(r.get(PENETRATION.NUMBER), penetration(r)));
        return List.copyOf(newest.values());
    }

    private static Penetration penetration(Record r) {
        return new Penetration(
                r.get(PENETRATION.NUMBER),
                r.get(PENETRATION.PLACE),
                r.get(PENETRATION.KIND),
                done(r.get(PENETRATION.MADE_BY), r.get(PENETRATION.MADE_ON)),
                done(r.get(PENETRATION.FLASHED_BY), r.get(PENETRATION.FLASHED_ON)),
                done(r.get(PENETRATION.ACCEPTED_BY), r.get(PENETRATION.ACCEPTED_ON)),
                r.get(PENETRATION.NOTE),
                Json.list(r.get(PENETRATION.PICTURES)).stream()
                        .map(String::valueOf)
                        .toList(),
                r.get(PENETRATION.STRUCK_OUT) == 1);
    }

    private static Done done(String by, String on) {
        return new Done(by, on == null ? null : LocalDate.parse(on));
    }

    /**
     * Writes an entry as it now stands.
     *
     * @param p with number 0 for a new one
     * @return its number
     */
    @Transactional
    public int write(String slug, Penetration p, String who) {
        int job = db.select(JOB.ID).from(JOB).where(JOB.SLUG.eq(slug)).fetchOne(JOB.ID);
        int number = p.number() > 0 ? p.number() : last(job) + 1;
        db.insertInto(PENETRATION)
                .set(PENETRATION.JOB_ID, job)
                .set(PENETRATION.NUMBER, number)
                .set(PENETRATION.PLACE, p.place())
                .set(PENETRATION.KIND, p.kind())
                .set(PENETRATION.MADE_BY, p.made().by())
                .set(PENETRATION.MADE_ON, p.made().day())
                .set(PENETRATION.FLASHED_BY, p.flashed().by())
                .set(PENETRATION.FLASHED_ON, p.flashed().day())
                .set(PENETRATION.ACCEPTED_BY, p.accepted().by())
                .set(PENETRATION.ACCEPTED_ON, p.accepted().day())
                .set(PENETRATION.NOTE, p.note())
                .set(PENETRATION.PICTURES, Json.write(p.pictures()))
                .set(PENETRATION.STRUCK_OUT, p.struckOut() ? 1 : 0)
                .set(PENETRATION.WHO, who)
                .set(PENETRATION.AT, RevisionRows.now())
                .execute();
        return number;
    }

    private int last(int job) {
        Integer most = db.select(DSL.max(PENETRATION.NUMBER))
                .from(PENETRATION)
                .where(PENETRATION.JOB_ID.eq(job))
                .fetchOne(0, Integer.class);
        return most == null ? 0 : most;
    }
}
