package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.JOB;
import static whipsaw.app.store.tables.Tables.REVISION;
import static whipsaw.app.store.tables.Tables.REVISION_NAME;

import java.text.Normalizer;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
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
    private final RevisionRows rows;

    public JobStore(DSLContext db, Marks marks) {
        this.db = db;
        this.rows = new RevisionRows(db, marks);
    }

    /**
     * A job as the list shows it.
     *
     * @param archived whether it was put away
     * @param document of the newest revision; empty where that is damaged
     */
    public record Listed(
            String slug,
            String name,
            String place,
            int revision,
            String at,
            String words,
            boolean archived,
            Map<String, Object> document) {
        public boolean damaged() {
            return document.isEmpty();
        }
    }

    /** A revision that is not what was written. */
    public static class Damaged extends StoreException {
        private static final long serialVersionUID = 1L;

        Damaged(int number) {
            super("revision " + number + " of this job is damaged: it is not what was written. The others can be used:"
                    + " go back to one of them on the page of revisions, or put back a backup");
        }
    }

    /** A name somebody gave a revision. */
    public record Named(int number, String name, String who, String at) {}

    /** Another change came first. */
    public static class Conflict extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient List<Revision> since;

        public Conflict(List<Revision> since) {
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
                .set(JOB.CREATED_AT, RevisionRows.now())
                .returning(JOB.ID)
                .fetchOne(JOB.ID);
        rows.insert(id, 1, 1, 1, "create", new Made(who, "Job created", null), Json.write(document));
        return slug;
    }

    /** All jobs, archived ones too, the last changed first. */
    public List<Listed> list() {
        return db.select(JOB.SLUG, JOB.ARCHIVED_AT, REVISION.DOCUMENT)
                .select(RevisionRows.HEAD)
                .from(JOB)
                .join(REVISION)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(REVISION.NUMBER.eq(db.select(DSL.max(REVISION.as("r").NUMBER))
                        .from(REVISION.as("r"))
                        .where(REVISION.as("r").JOB_ID.eq(JOB.ID))))
                .orderBy(REVISION.AT.desc(), JOB.ID.desc())
                .fetch(r -> {
                    Map<String, Object> document = RevisionRows.sound(r, r.get(REVISION.DOCUMENT));
                    return new Listed(
                            r.get(JOB.SLUG),
                            document.isEmpty() ? r.get(JOB.SLUG) : project(document, "name"),
                            project(document, "place"),
                            r.get(REVISION.NUMBER),
                            r.get(REVISION.AT),
                            r.get(REVISION.WORDS),
                            r.get(JOB.ARCHIVED_AT) != null,
                            document);
                });
    }

    private static String project(Map<String, Object> document, String key) {
        Object value = document.get("project") instanceof Map<?, ?> project ? project.get(key) : null;
        return value == null ? "" : String.valueOf(value);
    }

    /** Puts a job away, or takes it back out; nothing of it is lost either way. */
    @Transactional
    public void archive(String slug, boolean away) {
        db.update(JOB)
                .set(JOB.ARCHIVED_AT, away ? RevisionRows.now() : null)
                .where(JOB.ID.eq(id(slug)))
                .execute();
    }

    public boolean isEmpty() {
        return db.fetchCount(JOB) == 0;
    }

    /** The newest revision of a job. */
    public Optional<Revision> latest(String slug) {
        return db.select(RevisionRows.HEAD)
                .from(REVISION)
                .join(JOB)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(REVISION.NUMBER.desc())
                .limit(1)
                .fetchOptional(rows::revision);
    }

    /** One revision of a job. */
    public Optional<Revision> revision(String slug, int number) {
        return db.select(RevisionRows.HEAD)
                .from(REVISION)
                .join(JOB)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .and(REVISION.NUMBER.eq(number))
                .fetchOptional(rows::revision);
    }

    /** Gives a revision a name; an empty one takes its name away. */
    @Transactional
    public void name(String slug, int number, String name, String who) {
        int job = id(slug);
        rows.head(job, number);
        db.insertInto(REVISION_NAME)
                .set(REVISION_NAME.JOB_ID, job)
                .set(REVISION_NAME.NUMBER, number)
                .set(REVISION_NAME.NAME, name)
                .set(REVISION_NAME.WHO, who)
                .set(REVISION_NAME.AT, RevisionRows.now())
                .execute();
    }

    /** Names by revision, the newest of each. */
    public Map<Integer, Named> names(String slug) {
        Map<Integer, Named> names = new HashMap<>();
        db.select(REVISION_NAME.NUMBER, REVISION_NAME.NAME, REVISION_NAME.WHO, REVISION_NAME.AT)
                .from(REVISION_NAME)
                .join(JOB)
                .on(REVISION_NAME.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(REVISION_NAME.ID)
                .forEach(r -> names.put(r.value1(), new Named(r.value1(), r.value2(), r.value3(), r.value4())));
        names.values().removeIf(n -> n.name().isEmpty());
        return names;
    }

    /**
     * Goes back to an earlier revision by appending its document, so that what came after stays and
     * the step itself can be undone.
     *
     * @param base number of the newest revision its maker knew
     */
    @Transactional
    public int goBack(String slug, int base, int to, String who) {
        int job = id(slug);
        // without the document of the newest, which may be the damaged one that is left
        Revision latest = newest(slug);
        if (latest.number() != base) {
            throw new Conflict(rows.since(job, base));
        }
        Revision target = rows.revision(job, to);
        int number = latest.number() + 1;
        Made made = new Made(who, "Went back to revision " + to, null);
        rows.insert(job, number, latest.shows(), number, "return", made, Json.write(target.document()));
        return number;
    }

    /** The last revisions, newest first, without their documents. */
    public List<Revision> history(String slug, int most) {
        return db.select(RevisionRows.HEAD)
                .from(REVISION)
                .join(JOB)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(REVISION.NUMBER.desc())
                .limit(most)
                .fetch(r -> RevisionRows.revision(r, Map.of()));
    }

    /**
     * Appends an edit.
     *
     * @param base number of the newest revision its maker knew
     * @throws Conflict when another revision came first
     */
    @Transactional
    public Revision append(String slug, int base, Map<String, Object> document, String who, String words) {
        return append(slug, base, document, new Made(who, words, null));
    }

    /**
     * Who made a revision, in what words, and by which request.
     *
     * @param request key the page gave its request; null where it gave none
     */
    public record Made(String who, String words, String request) {}

    /** The revision a request made, if it is answered a second time. */
    public Optional<Revision> byRequest(String slug, String request) {
        return request == null
                ? Optional.empty()
                : db.select(RevisionRows.HEAD)
                        .from(REVISION)
                        .join(JOB)
                        .on(REVISION.JOB_ID.eq(JOB.ID))
                        .where(JOB.SLUG.eq(slug))
                        .and(REVISION.REQUEST.eq(request))
                        .fetchOptional(r -> RevisionRows.revision(r, Map.of()));
    }

    /**
     * The same for a request that may be sent again.
     *
     * @throws Conflict when another revision came first
     */
    @Transactional
    public Revision append(String slug, int base, Map<String, Object> document, Made made) {
        int job = id(slug);
        // without the document of the newest, which nothing here reads
        Revision latest = newest(slug);
        if (latest.number() != base) {
            throw new Conflict(rows.since(job, base));
        }
        int number = latest.number() + 1;
        String at = rows.insert(job, number, latest.shows(), number, "edit", made, Json.write(document));
        return new Revision(number, number, latest.shows(), "edit", made.who(), at, made.words(), document);
    }

    /** Goes back to the document the shown revision was made on; empty at the first. */
    @Transactional
    public Optional<Integer> undo(String slug, String who) {
        return undo(slug, -1, who, null);
    }

    /**
     * The same from a page.
     *
     * @param base number of the newest revision its maker knew; negative for any
     * @param request key the page gave it, or null
     * @throws Conflict when another revision came first
     */
    @Transactional
    public Optional<Integer> undo(String slug, int base, String who, String request) {
        int job = id(slug);
        Revision latest = known(slug, job, base);
        Revision shown = rows.head(job, latest.shows());
        if (shown.kind().equals("create")) {
            return Optional.empty();
        }
        Revision to = rows.revision(job, shown.madeOn());
        return Optional.of(step(job, latest, to, "undo", new Made(who, "Undid: " + shown.words(), request)));
    }

    /** Goes forward to the last edit made on the shown revision; empty when there is none. */
    @Transactional
    public Optional<Integer> redo(String slug, String who) {
        return redo(slug, -1, who, null);
    }

    /**
     * The same from a page.
     *
     * @param base number of the newest revision its maker knew; negative for any
     * @param request key the page gave it, or null
     * @throws Conflict when another revision came first
     */
    @Transactional
    public Optional<Integer> redo(String slug, int base, String who, String request) {
        int job = id(slug);
        Revision latest = known(slug, job, base);
        return toRedo(slug).map(to -> step(job, latest, to, "redo", new Made(who, "Redid: " + to.words(), request)));
    }

    private Revision known(String slug, int job, int base) {
        Revision latest = newest(slug);
        if (base >= 0 && latest.number() != base) {
            throw new Conflict(rows.since(job, base));
        }
        return latest;
    }

    /** The revision an undo would take back, without its document; empty at the first. */
    public Optional<Revision> toUndo(String slug) {
        int job = id(slug);
        Revision shown = rows.head(job, newest(slug).shows());
        return shown.kind().equals("create") ? Optional.empty() : Optional.of(shown);
    }

    /** The revision a redo would take again; empty when there is none. */
    public Optional<Revision> toRedo(String slug) {
        return db.select(RevisionRows.HEAD)
                .from(REVISION)
                .where(nextEdit(id(slug), newest(slug).shows()))
                .orderBy(REVISION.NUMBER.desc())
                .limit(1)
                .fetchOptional(rows::revision);
    }

    /** Revisions that came after one, the oldest first, without their documents. */
    public List<Revision> since(String slug, int after) {
        return rows.since(id(slug), after);
    }

    public boolean canRedo(String slug) {
        Integer job = db.select(JOB.ID).from(JOB).where(JOB.SLUG.eq(slug)).fetchOne(JOB.ID);
        return job != null
                && db.fetchExists(REVISION, nextEdit(job, newest(slug).shows()));
    }

    /** What was made on the revision shown and can be taken again. */
    private static Condition nextEdit(int job, int shown) {
        return REVISION.JOB_ID.eq(job).and(REVISION.KIND.in("edit", "return")).and(REVISION.MADE_ON.eq(shown));
    }

    private int step(int job, Revision latest, Revision to, String kind, Made made) {
        int number = latest.number() + 1;
        rows.insert(job, number, latest.shows(), to.number(), kind, made, Json.write(to.document()));
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

    /** The newest revision without its document. */
    private Revision newest(String slug) {
        return history(slug, 1).get(0);
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
}
