package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.JOB;
import static whipsaw.app.store.tables.Tables.JOB_CARD;
import static whipsaw.app.store.tables.Tables.REVISION;
import static whipsaw.app.store.tables.Tables.REVISION_NAME;

import java.text.Normalizer;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectField;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Jobs and their revisions. A revision holds the whole input document and is never changed; undo
 * and redo append one too.
 */
@Component
public class JobStore {
    private static final int KEPT = 16;

    private static final List<SelectField<?>> HEAD = List.of(
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

    public JobStore(DSLContext db, Marks marks) {
        this.db = db;
        this.marks = marks;
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

    /**
     * What the list keeps of a job's newest revision.
     *
     * @param tables the state of the code tables it was solved with
     * @param figures as JSON
     * @param drawing as SVG
     */
    public record Card(int revision, String tables, String figures, String drawing) {}

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
                .set(JOB.CREATED_AT, now())
                .returning(JOB.ID)
                .fetchOne(JOB.ID);
        insert(id, 1, 1, 1, "create", new Made(who, "Job created", null), Json.write(document));
        return slug;
    }

    /** All jobs, archived ones too, the last changed first. */
    public List<Listed> list() {
        return db.select(JOB.SLUG, JOB.ARCHIVED_AT, REVISION.DOCUMENT)
                .select(HEAD)
                .from(JOB)
                .join(REVISION)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(REVISION.NUMBER.eq(db.select(DSL.max(REVISION.as("r").NUMBER))
                        .from(REVISION.as("r"))
                        .where(REVISION.as("r").JOB_ID.eq(JOB.ID))))
                .orderBy(REVISION.AT.desc(), JOB.ID.desc())
                .fetch(r -> {
                    Map<String, Object> document = sound(r, r.get(REVISION.DOCUMENT));
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

    /** The document of a revision, or an empty one where it is not what was written. */
    private static Map<String, Object> sound(Record r, String document) {
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

    private static String project(Map<String, Object> document, String key) {
        Object value = document.get("project") instanceof Map<?, ?> project ? project.get(key) : null;
        return value == null ? "" : String.valueOf(value);
    }

    /** Puts a job away, or takes it back out; nothing of it is lost either way. */
    @Transactional
    public void archive(String slug, boolean away) {
        db.update(JOB)
                .set(JOB.ARCHIVED_AT, away ? now() : null)
                .where(JOB.ID.eq(id(slug)))
                .execute();
    }

    public Optional<Card> card(String slug) {
        return db.select(JOB_CARD.REVISION, JOB_CARD.TABLES, JOB_CARD.FIGURES, JOB_CARD.DRAWING)
                .from(JOB_CARD)
                .join(JOB)
                .on(JOB_CARD.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .fetchOptional(r -> new Card(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    @Transactional
    public void keepCard(String slug, Card card) {
        int job = id(slug);
        db.deleteFrom(JOB_CARD).where(JOB_CARD.JOB_ID.eq(job)).execute();
        db.insertInto(JOB_CARD)
                .set(JOB_CARD.JOB_ID, job)
                .set(JOB_CARD.REVISION, card.revision())
                .set(JOB_CARD.TABLES, card.tables())
                .set(JOB_CARD.FIGURES, card.figures())
                .set(JOB_CARD.DRAWING, card.drawing())
                .execute();
    }

    public boolean isEmpty() {
        return db.fetchCount(JOB) == 0;
    }

    /** The newest revision of a job. */
    public Optional<Revision> latest(String slug) {
        return db.select(HEAD)
                .from(REVISION)
                .join(JOB)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(REVISION.NUMBER.desc())
                .limit(1)
                .fetchOptional(this::revision);
    }

    /** One revision of a job. */
    public Optional<Revision> revision(String slug, int number) {
        return db.select(HEAD)
                .from(REVISION)
                .join(JOB)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .and(REVISION.NUMBER.eq(number))
                .fetchOptional(this::revision);
    }

    /** Gives a revision a name; an empty one takes its name away. */
    @Transactional
    public void name(String slug, int number, String name, String who) {
        int job = id(slug);
        head(job, number);
        db.insertInto(REVISION_NAME)
                .set(REVISION_NAME.JOB_ID, job)
                .set(REVISION_NAME.NUMBER, number)
                .set(REVISION_NAME.NAME, name)
                .set(REVISION_NAME.WHO, who)
                .set(REVISION_NAME.AT, now())
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
            throw new Conflict(since(job, base));
        }
        Revision target = revision(job, to);
        int number = latest.number() + 1;
        Made made = new Made(who, "Went back to revision " + to, null);
        insert(job, number, latest.shows(), number, "return", made, Json.write(target.document()));
        return number;
    }

    /** The last revisions, newest first, without their documents. */
    public List<Revision> history(String slug, int most) {
        return db.select(HEAD)
                .from(REVISION)
                .join(JOB)
                .on(REVISION.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .orderBy(REVISION.NUMBER.desc())
                .limit(most)
                .fetch(r -> revision(r, Map.of()));
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
                : db.select(HEAD)
                        .from(REVISION)
                        .join(JOB)
                        .on(REVISION.JOB_ID.eq(JOB.ID))
                        .where(JOB.SLUG.eq(slug))
                        .and(REVISION.REQUEST.eq(request))
                        .fetchOptional(r -> revision(r, Map.of()));
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
            throw new Conflict(since(job, base));
        }
        int number = latest.number() + 1;
        String at = insert(job, number, latest.shows(), number, "edit", made, Json.write(document));
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
        Revision shown = head(job, latest.shows());
        if (shown.kind().equals("create")) {
            return Optional.empty();
        }
        Revision to = revision(job, shown.madeOn());
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
        return db.select(HEAD)
                .from(REVISION)
                .where(nextEdit(job, latest.shows()))
                .orderBy(REVISION.NUMBER.desc())
                .limit(1)
                .fetchOptional(this::revision)
                .map(to -> step(job, latest, to, "redo", new Made(who, "Redid: " + to.words(), request)));
    }

    private Revision known(String slug, int job, int base) {
        Revision latest = newest(slug);
        if (base >= 0 && latest.number() != base) {
            throw new Conflict(since(job, base));
        }
        return latest;
    }

    /** The revision an undo would take back, without its document; empty at the first. */
    public Optional<Revision> toUndo(String slug) {
        int job = id(slug);
        Revision shown = head(job, newest(slug).shows());
        return shown.kind().equals("create") ? Optional.empty() : Optional.of(shown);
    }

    /** Revisions that came after one, the oldest first, without their documents. */
    public List<Revision> since(String slug, int after) {
        return since(id(slug), after);
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
        insert(job, number, latest.shows(), to.number(), kind, made, Json.write(to.document()));
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
        return db.select(HEAD)
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.NUMBER.gt(base))
                .orderBy(REVISION.NUMBER)
                .fetch(r -> revision(r, Map.of()));
    }

    /** The newest revision without its document. */
    private Revision newest(String slug) {
        return history(slug, 1).get(0);
    }

    /** A revision without its document. */
    private Revision head(int job, int number) {
        return db.select(HEAD)
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.NUMBER.eq(number))
                .fetchOptional(r -> revision(r, Map.of()))
                .orElseThrow(() -> new StoreException("there is no revision " + number));
    }

    private Revision revision(int job, int number) {
        return db.select(HEAD)
                .from(REVISION)
                .where(REVISION.JOB_ID.eq(job))
                .and(REVISION.NUMBER.eq(number))
                .fetchOptional(this::revision)
                .orElseThrow(() -> new StoreException("there is no revision " + number));
    }

    private Revision revision(Record r) {
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
                throw new Damaged(number);
            }
            document = Json.frozen(text);
            documents.put(key, document);
        }
        return revision(r, document);
    }

    private static Revision revision(Record r, Map<String, Object> document) {
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

    private String insert(int job, int number, int madeOn, int shows, String kind, Made made, String document) {
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
