package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.CATALOGUE_ENTRY;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Catalogue entries. The seeds that ship load into the table; a changed seed or own entry is a new
 * edition, and the newest edition of a code is the one offered.
 */
@Component
public class CatalogueStore {
    private final DSLContext db;

    public CatalogueStore(DSLContext db) {
        this.db = db;
    }

    /**
     * One entry.
     *
     * @param body as a job copies it
     * @param own whether a user entered it
     */
    public record Entry(String kind, String code, String edition, Map<String, Object> body, boolean own) {
        public String name() {
            return body.get("maker") + " " + body.get("name");
        }

        public String status() {
            return String.valueOf(body.get("status"));
        }
    }

    @Transactional
    public void load(List<Entry> seeds) {
        seeds.forEach(seed -> insert(seed, true));
    }

    /** Adds entries of a user, all or none. */
    @Transactional
    public void add(List<Entry> entries) {
        for (Entry entry : entries) {
            if (exact(entry.kind(), entry.code(), entry.edition()).isPresent()) {
                throw new StoreException.Taken("the catalogue already has " + entry.kind() + " '" + entry.code()
                        + "' in edition " + entry.edition() + ": give the change a new edition");
            }
            insert(entry, false);
        }
    }

    private void insert(Entry entry, boolean ignoreKnown) {
        String body = Json.write(entry.body());
        var insert = db.insertInto(CATALOGUE_ENTRY)
                .set(CATALOGUE_ENTRY.KIND, entry.kind())
                .set(CATALOGUE_ENTRY.CODE, entry.code())
                .set(CATALOGUE_ENTRY.EDITION, entry.edition())
                .set(CATALOGUE_ENTRY.HASH, Hash.sha256(body))
                .set(CATALOGUE_ENTRY.BODY, body)
                .set(CATALOGUE_ENTRY.ORIGIN, entry.own() ? "own" : "shipped")
                .set(
                        CATALOGUE_ENTRY.ADDED_AT,
                        Instant.now().truncatedTo(ChronoUnit.SECONDS).toString());
        if (ignoreKnown) {
            insert.onConflictDoNothing().execute();
        } else {
            insert.execute();
        }
    }

    /** All editions of a kind, oldest first within a code. */
    public List<Entry> editions(String kind) {
        return db.selectFrom(CATALOGUE_ENTRY)
                .where(CATALOGUE_ENTRY.KIND.eq(kind))
                .orderBy(CATALOGUE_ENTRY.CODE, CATALOGUE_ENTRY.ID)
                .fetch(r -> new Entry(
                        r.getKind(),
                        r.getCode(),
                        r.getEdition(),
                        Json.object(r.getBody()),
                        r.getOrigin().equals("own")));
    }

    /** The newest edition of every code of a kind. */
    public List<Entry> ofKind(String kind) {
        List<Entry> all = editions(kind);
        return all.stream()
                .filter(e -> all.stream()
                                .filter(o -> o.code().equals(e.code()))
                                .reduce((a, b) -> b)
                                .orElseThrow()
                        == e)
                .toList();
    }

    /** The newest edition of an entry. */
    public Optional<Entry> find(String kind, String code) {
        return ofKind(kind).stream().filter(e -> e.code().equals(code)).findFirst();
    }

    private Optional<Entry> exact(String kind, String code, String edition) {
        return editions(kind).stream()
                .filter(e -> e.code().equals(code) && e.edition().equals(edition))
                .findFirst();
    }
}
