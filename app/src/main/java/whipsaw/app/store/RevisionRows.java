package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.REVISION;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectField;

/** Rows of revisions: read with their documents, which are checked against their seal, and added. */
final class RevisionRows {
    private static final int KEPT = 16;

    static final List<SelectField<?>> HEAD = List.of(
            REVISION.JOB_ID,
            REVISION.NUMBER,
            REVISION.SHOWS,
            REVISION.MADE_ON,
            REVISION.KIND,
            REVISION.WHO,
            REVISION.AT,
            REVISION.WORDS,
            REVISION.CHECKSUM);

    private final DSLContext db;
    private final Marks marks;

    /** Documents read lately, which nobody may alter, by job, number and moment: a revision never changes. */
    private final Map<String, Map<String, Object>> documents =
            Collections.synchronizedMap(new LinkedHashMap<>(KEPT, 0.75f, true) {
                private static final long serialVersionUID = 1L;

                @Override
                protected boolean removeEldestEntry(Map.Entry<String, Map<String, Object>> eldest) {
                    return size() > KEPT;
                }
            });

    RevisionRows(DSLContext db, Marks marks) {
        this.db = db;
        this.marks = marks;
    }

    /** The document of a revision, or an empty one where it is not what was written. */
    static Map<String, Object> sound(Record r, String document) {
        try {
            return written(r, document) ? Json.object(document) : Map.of();
        } catch (Json.NotJson e) {
            return Map.of();
        }
    }

    private static boolean written(Record r, String document) {
        return document != null && Seal.of("", fields(r), document).checksum().equals(r.get(REVISION.CHECKSUM));
    }

    private static Seal.Fields fields(Record r) {
        return new Seal.Fields(
                r.get(REVISION.NUMBER),
                r.get(REVISION.MADE_ON),
                r.get(REVISION.SHOWS),
                r.get(REVISION.KIND),
                r.get(REVISION.WHO),
                r.get(REVISION.AT),
                r.get(REVISION.WORDS));
    }

    List<Revision> since(int job, int base) {
        return db.select(HEAD)
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.NUMBER.gt(base))
                .orderBy(REVISION.NUMBER)
                .fetch(r -> revision(r, Map.of()));
    }

    /** A revision without its document. */
    Revision head(int job, int number) {
        return db.select(HEAD)
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.NUMBER.eq(number))
                .fetchOptional(r -> revision(r, Map.of()))
                .orElseThrow(() -> new StoreException("there is no revision " + number));
    }

    Revision revision(int job, int number) {
        return db.select(HEAD)
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.NUMBER.eq(number))
                .fetchOptional(this::revision)
                .orElseThrow(() -> new StoreException("there is no revision " + number));
    }

    Revision revision(Record r) {
        int job = r.get(REVISION.JOB_ID);
        int number = r.get(REVISION.NUMBER);
        String key = job + "/" + number + "/" + r.get(REVISION.AT);
        Map<String, Object> document = documents.get(key);
        if (document == null) {
            String text = db.select(REVISION.DOCUMENT)
                    .from(REVISION)
                    .where(REVISION.JOB_ID.eq(job))
                    .and(REVISION.NUMBER.eq(number))
                    .fetchOne(REVISION.DOCUMENT);
            if (!written(r, text)) {
                throw new JobStore.Damaged(number);
            }
            document = Json.frozen(text);
            documents.put(key, document);
        }
        return revision(r, document);
    }

    static Revision revision(Record r, Map<String, Object> document) {
        return new Revision(
                r.get(REVISION.NUMBER),
                r.get(REVISION.SHOWS),
                r.get(REVISION.MADE_ON),
                r.get(REVISION.KIND),
                r.get(REVISION.WHO),
                r.get(REVISION.AT),
                r.get(REVISION.WORDS),
                document);
    }

    String insert(int job, int number, int madeOn, int shows, String kind, JobStore.Made made, String document) {
        String at = now();
        String before = number == 1
                ? ""
                : db.select(REVISION.CHAIN)
                        .from(REVISION)
                        .where(REVISION.JOB_ID.eq(job))
                        .and(REVISION.NUMBER.eq(number - 1))
                        .fetchOne(REVISION.CHAIN);
        Seal seal =
                Seal.of(before, new Seal.Fields(number, madeOn, shows, kind, made.who(), at, made.words()), document);
        long row = db.insertInto(REVISION)
                .set(REVISION.CHECKSUM, seal.checksum())
                .set(REVISION.CHAIN, seal.chain())
                .set(REVISION.JOB_ID, job)
                .set(REVISION.NUMBER, number)
                .set(REVISION.MADE_ON, madeOn)
                .set(REVISION.SHOWS, shows)
                .set(REVISION.KIND, kind)
                .set(REVISION.WHO, made.who())
                .set(REVISION.AT, at)
                .set(REVISION.WORDS, made.words())
                .set(REVISION.REQUEST, made.request())
                .set(REVISION.DOCUMENT, document)
                .returning(REVISION.ID)
                .fetchOne(REVISION.ID);
        marks.afterCommit(row);
        return at;
    }

    static String now() {
        return Instant.now().truncatedTo(ChronoUnit.MILLIS).toString();
    }
}
