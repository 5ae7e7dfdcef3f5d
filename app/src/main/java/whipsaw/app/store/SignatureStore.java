package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.JOB;
import static whipsaw.app.store.tables.Tables.SIGNATURE;
import static whipsaw.app.store.tables.Tables.SIGNATURE_OPENED;
import static whipsaw.app.store.tables.Tables.SIGNATURE_WITHDRAWN;

import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import whipsaw.core.design.SignedDesign;

/** Signatures under ballast maps; only ever added, opened for changes or withdrawn. */
@Component
public class SignatureStore {
    private static final int KEPT = 16;
    private static final String BETWEEN = "\u001f";

    private final DSLContext db;

    /** What was signed, by the id of its signature: it never changes. */
    private final Map<Integer, SignedDesign> signed =
            Collections.synchronizedMap(new LinkedHashMap<>(KEPT, 0.75f, true) {
                private static final long serialVersionUID = 1L;

                @Override
                protected boolean removeEldestEntry(Map.Entry<Integer, SignedDesign> eldest) {
                    return size() > KEPT;
                }
            });

    public SignatureStore(DSLContext db) {
        this.db = db;
    }

    /**
     * Who signs, and on what grounds.
     *
     * @param licence number and where it is held
     * @param reliedOn documents and statements the signature rests on
     * @param settled headings of the open checks the engineer has settled
     */
    public record Signer(String name, String licence, LocalDate on, String reliedOn, List<String> settled) {
        public Signer {
            settled = List.copyOf(settled);
        }
    }

    /**
     * One signature.
     *
     * @param at when it was recorded, UTC
     * @param opened who opened the map for changes; null while it is locked
     * @param withdrawn who took it back and why; null while it counts
     * @param sound whether it is what was written
     */
    public record Signature(int id, int revision, Signer signer, String at, Act opened, Act withdrawn, boolean sound) {
        /** Whether it counts at all. */
        public boolean counts() {
            return withdrawn == null && sound;
        }
    }

    /** Something somebody did to a signature. */
    public record Act(String name, String reason, String at) {}

    /** Adds one. */
    @Transactional
    public int sign(String slug, int revision, Signer signer, SignedDesign design, String who) {
        String at = RevisionRows.now();
        String settled = Json.write(signer.settled());
        String body = Json.write(design);
        return db.insertInto(SIGNATURE)
                .set(SIGNATURE.JOB_ID, job(slug))
                .set(SIGNATURE.REVISION, revision)
                .set(SIGNATURE.NAME, signer.name())
                .set(SIGNATURE.LICENCE, signer.licence())
                .set(SIGNATURE.SIGNED_ON, signer.on().toString())
                .set(SIGNATURE.RELIED_ON, signer.reliedOn())
                .set(SIGNATURE.SETTLED, settled)
                .set(SIGNATURE.SIGNED, body)
                .set(
                        SIGNATURE.CHECKSUM,
                        checksum(
                                revision,
                                signer.name(),
                                signer.licence(),
                                signer.on().toString(),
                                signer.reliedOn(),
                                settled,
                                body))
                .set(SIGNATURE.WHO, who)
                .set(SIGNATURE.AT, at)
                .returning(SIGNATURE.ID)
                .fetchOne(SIGNATURE.ID);
    }

    private static String checksum(int revision, String... parts) {
        return Hash.sha256(revision + BETWEEN + String.join(BETWEEN, parts));
    }

    private int job(String slug) {
        return db.select(JOB.ID)
                .from(JOB)
                .where(JOB.SLUG.eq(slug))
                .fetchOptional(JOB.ID)
                .orElseThrow(() -> new StoreException("there is no job '" + slug + "'"));
    }

    /** All of a job, the newest first. */
    public List<Signature> of(String slug) {
        return db.select()
                .from(SIGNATURE)
                .join(JOB)
                .on(SIGNATURE.JOB_ID.eq(JOB.ID))
                .leftJoin(SIGNATURE_OPENED)
                .on(SIGNATURE_OPENED.SIGNATURE_ID.eq(SIGNATURE.ID))
                .leftJoin(SIGNATURE_WITHDRAWN)
                .on(SIGNATURE_WITHDRAWN.SIGNATURE_ID.eq(SIGNATURE.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(SIGNATURE.ID.desc())
                .fetch(SignatureStore::signature);
    }

    /** Whether a job has any at all. */
    public boolean any(String slug) {
        return db.fetchExists(db.selectOne()
                .from(SIGNATURE)
                .join(JOB)
                .on(SIGNATURE.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug)));
    }

    private static Signature signature(Record r) {
        Act opened = r.get(SIGNATURE_OPENED.SIGNATURE_ID) == null
                ? null
                : new Act(r.get(SIGNATURE_OPENED.NAME), "", r.get(SIGNATURE_OPENED.AT));
        Act withdrawn = r.get(SIGNATURE_WITHDRAWN.SIGNATURE_ID) == null
                ? null
                : new Act(
                        r.get(SIGNATURE_WITHDRAWN.NAME),
                        r.get(SIGNATURE_WITHDRAWN.REASON),
                        r.get(SIGNATURE_WITHDRAWN.AT));
        boolean sound = checksum(
                        r.get(SIGNATURE.REVISION),
                        r.get(SIGNATURE.NAME),
                        r.get(SIGNATURE.LICENCE),
                        r.get(SIGNATURE.SIGNED_ON),
                        r.get(SIGNATURE.RELIED_ON),
                        r.get(SIGNATURE.SETTLED),
                        r.get(SIGNATURE.SIGNED))
                .equals(r.get(SIGNATURE.CHECKSUM));
        return new Signature(
                r.get(SIGNATURE.ID),
                r.get(SIGNATURE.REVISION),
                new Signer(
                        r.get(SIGNATURE.NAME),
                        r.get(SIGNATURE.LICENCE),
                        LocalDate.parse(r.get(SIGNATURE.SIGNED_ON)),
                        r.get(SIGNATURE.RELIED_ON),
                        Json.list(r.get(SIGNATURE.SETTLED)).stream()
                                .map(String::valueOf)
                                .toList()),
                r.get(SIGNATURE.AT),
                opened,
                withdrawn,
                sound);
    }

    /** What was signed. */
    public SignedDesign signed(int signature) {
        return signed.computeIfAbsent(signature, id -> db.select(SIGNATURE.SIGNED)
                .from(SIGNATURE)
                .where(SIGNATURE.ID.eq(id))
                .fetchOptional(SIGNATURE.SIGNED)
                .map(text -> Json.read(text, SignedDesign.class))
                .orElseThrow(() -> new StoreException("there is no signature " + id)));
    }

    /** Opens the map for changes; a second time changes nothing. */
    @Transactional
    public void open(int signature, String name, String who) {
        db.insertInto(SIGNATURE_OPENED)
                .set(SIGNATURE_OPENED.SIGNATURE_ID, signature)
                .set(SIGNATURE_OPENED.NAME, name)
                .set(SIGNATURE_OPENED.WHO, who)
                .set(SIGNATURE_OPENED.AT, RevisionRows.now())
                .onConflictDoNothing()
                .execute();
    }

    /** Takes one back, for good. */
    @Transactional
    public void withdraw(int signature, String name, String reason, String who) {
        db.insertInto(SIGNATURE_WITHDRAWN)
                .set(SIGNATURE_WITHDRAWN.SIGNATURE_ID, signature)
                .set(SIGNATURE_WITHDRAWN.NAME, name)
                .set(SIGNATURE_WITHDRAWN.REASON, reason)
                .set(SIGNATURE_WITHDRAWN.WHO, who)
                .set(SIGNATURE_WITHDRAWN.AT, RevisionRows.now())
                .onConflictDoNothing()
                .execute();
    }
}
