package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.CATALOGUE_ENTRY;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Catalogue entries. The seeds that ship load into the table; a changed seed is a new edition. */
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
     */
    public record Entry(String kind, String code, String edition, Map<String, Object> body) {
        public String name() {
            return body.get("maker") + " " + body.get("name");
        }
    }

    @Transactional
    public void load(List<Entry> seeds) {
        for (Entry seed : seeds) {
            String body = Json.write(seed.body());
            db.insertInto(CATALOGUE_ENTRY)
                    .set(CATALOGUE_ENTRY.KIND, seed.kind())
                    .set(CATALOGUE_ENTRY.CODE, seed.code())
                    .set(CATALOGUE_ENTRY.EDITION, seed.edition())
                    .set(CATALOGUE_ENTRY.HASH, sha256(body))
                    .set(CATALOGUE_ENTRY.BODY, body)
                    .onConflictDoNothing()
                    .execute();
        }
    }

    public List<Entry> ofKind(String kind) {
        return db.selectFrom(CATALOGUE_ENTRY)
                .where(CATALOGUE_ENTRY.KIND.eq(kind))
                .orderBy(CATALOGUE_ENTRY.CODE, CATALOGUE_ENTRY.EDITION)
                .fetch(r -> new Entry(r.getKind(), r.getCode(), r.getEdition(), Json.object(r.getBody())));
    }

    /** The newest edition of an entry. */
    public Optional<Entry> find(String kind, String code) {
        return ofKind(kind).stream().filter(e -> e.code().equals(code)).reduce((older, newer) -> newer);
    }

    private static String sha256(String text) {
        try {
            byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
