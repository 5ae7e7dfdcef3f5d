package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.JOB;
import static whipsaw.app.store.tables.Tables.REVISION;

import java.text.Normalizer;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Jobs and their revisions. A revision holds the whole input document and is never changed; undo
 * and redo append one too.
 */
@Component
public class JobStore {
    private final DSLContext db;

    public JobStore(DSLContext db) {
        this.db = db;
    }

    /** A job as the list shows it. */
    public record Listed(String slug, String name, int revision, String at, String words) {}

    /** Another change came first. */
    public static class Conflict extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient List<Revision> since;

        Conflict(List<Revision> since) {
            super("the job was changed in the meantime");
            this.since = since;
        }

        public List<Revision> since() {
            return since;
        }
    }

    @Transactional
    public String create(String name, Map<String, Object> document, String who) {
        String slug = freeSlug(name);
        int id = db.insertInto(JOB)
                .set(JOB.SLUG, slug)
                .set(JOB.CREATED_AT, now())
                .returning(JOB.ID)
                .fetchOne(JOB.ID);
        insert(id, 1, 1, 1, "create", who, "Job created", Json.write(document));
        return slug;
    }

    public List<Listed> list() {
        return db.select(JOB.SLUG, REVISION.NUMBER, REVISION.AT, REVISION.WORDS, REVISION.DOCUMENT)
                .from(JOB)
                .join(REVISION)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(REVISION.NUMBER.eq(db.select(DSL.max(REVISION.as("r").NUMBER))
                        .from(REVISION.as("r"))
                        .where(REVISION.as("r").JOB_ID.eq(JOB.ID))))
                .orderBy(REVISION.AT.desc())
                .fetch(r -> new Listed(
                        r.get(JOB.SLUG),
                        name(Json.object(r.get(REVISION.DOCUMENT))),
                        r.get(REVISION.NUMBER),
                        r.get(REVISION.AT),
                        r.get(REVISION.WORDS)));
    }

    private static String name(Map<String, Object> document) {
        return document.get("project") instanceof Map<?, ?> project ? String.valueOf(project.get("name")) : "";
    }

    public boolean isEmpty() {
        return db.fetchCount(JOB) == 0;
    }

    /** The newest revision of a job. */
    public Optional<Revision> latest(String slug) {
        return db.select()
                .from(REVISION)
                .join(JOB)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(REVISION.NUMBER.desc())
                .limit(1)
                .fetchOptional(JobStore::revision);
    }

    /** The last revisions, newest first. */
    public List<Revision> history(String slug, int most) {
        return db.select()
                .from(REVISION)
                .join(JOB)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(REVISION.NUMBER.desc())
                .limit(most)
                .fetch(JobStore::revision);
    }

    /**
     * Appends an edit.
     *
     * @param base number of the newest revision its maker knew
     * @throws Conflict when another revision came first
     */
    @Transactional
    public int append(String slug, int base, Map<String, Object> document, String who, String words) {
        int job = id(slug);
        Revision latest = latest(slug).orElseThrow();
        if (latest.number() != base) {
            throw new Conflict(since(job, base));
        }
        int number = latest.number() + 1;
        insert(job, number, latest.shows(), number, "edit", who, words, Json.write(document));
        return number;
    }

    /** Goes back to the document the shown revision was made on; empty at the first. */
    @Transactional
    public Optional<Integer> undo(String slug, String who) {
        int job = id(slug);
        Revision latest = latest(slug).orElseThrow();
        Revision shown = revision(job, latest.shows());
        if (shown.kind().equals("create")) {
            return Optional.empty();
        }
        Revision to = revision(job, shown.madeOn());
        return Optional.of(step(job, latest, to, "undo", who, "Undid: " + shown.words()));
    }

    /** Goes forward to the last edit made on the shown revision; empty when there is none. */
    @Transactional
    public Optional<Integer> redo(String slug, String who) {
        int job = id(slug);
        Revision latest = latest(slug).orElseThrow();
        return nextEdit(job, latest.shows()).map(to -> step(job, latest, to, "redo", who, "Redid: " + to.words()));
    }

    public boolean canRedo(String slug) {
        Integer job = db.select(JOB.ID).from(JOB).where(JOB.SLUG.eq(slug)).fetchOne(JOB.ID);
        return job != null && nextEdit(job, latest(slug).orElseThrow().shows()).isPresent();
    }

    private Optional<Revision> nextEdit(int job, int shown) {
        return db.select()
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.KIND.eq("edit"))
                .and(REVISION.MADE_ON.eq(shown))
                .orderBy(REVISION.NUMBER.desc())
                .limit(1)
                .fetchOptional(JobStore::revision);
    }

    private int step(int job, Revision latest, Revision to, String kind, String who, String words) {
        int number = latest.number() + 1;
        insert(job, number, latest.shows(), to.number(), kind, who, words, Json.write(to.document()));
        return number;
    }

    /**
     * The job's id. Transactions take the write lock when they begin, so edits follow one another.
     */
    private int id(String slug) {
        Integer id = db.select(JOB.ID).from(JOB).where(JOB.SLUG.eq(slug)).fetchOne(JOB.ID);
        if (id == null) {
            throw new StoreException("there is no job '" + slug + "'");
        }
        return id;
    }

    private List<Revision> since(int job, int base) {
        return db.select()
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.NUMBER.gt(base))
                .orderBy(REVISION.NUMBER)
                .fetch(JobStore::revision);
    }

    private Revision revision(int job, int number) {
        return db.select()
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.NUMBER.eq(number))
                .fetchSingle(JobStore::revision);
    }

    private static Revision revision(Record r) {
        return new Revision(
                r.get(REVISION.NUMBER),
                r.get(REVISION.SHOWS),
                r.get(REVISION.MADE_ON),
                r.get(REVISION.KIND),
                r.get(REVISION.WHO),
                r.get(REVISION.AT),
                r.get(REVISION.WORDS),
                Json.object(r.get(REVISION.DOCUMENT)));
    }

    private void insert(
            int job, int number, int madeOn, int shows, String kind, String who, String words, String document) {
        db.insertInto(REVISION)
                .set(REVISION.JOB_ID, job)
                .set(REVISION.NUMBER, number)
                .set(REVISION.MADE_ON, madeOn)
                .set(REVISION.SHOWS, shows)
                .set(REVISION.KIND, kind)
                .set(REVISION.WHO, who)
                .set(REVISION.AT, now())
                .set(REVISION.WORDS, words)
                .set(REVISION.DOCUMENT, document)
                .execute();
    }

    private String freeSlug(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String base = plain.isEmpty() ? "job" : plain.substring(0, Math.min(40, plain.length()));
        String slug = base;
        for (int i = 2; db.fetchExists(JOB, JOB.SLUG.eq(slug)); i++) {
            slug = base + "-" + i;
        }
        return slug;
    }

    private static String now() {
        return Instant.now().truncatedTo(ChronoUnit.MILLIS).toString();
    }
}
