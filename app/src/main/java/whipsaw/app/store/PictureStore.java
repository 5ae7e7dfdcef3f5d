package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.PICTURE;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Pictures by the hash of their bytes; only ever added. */
@Component
public class PictureStore {
    private final DSLContext db;

    public PictureStore(DSLContext db) {
        this.db = db;
    }

    /** What is known of a picture, without its bytes. */
    public record Picture(
            String id, String name, String kind, int width, int height, String caption, String who, String at) {}

    /** Stores a picture; one that is there already keeps its caption. */
    @Transactional
    public String add(String name, String kind, int width, int height, String caption, String who, byte[] bytes) {
        String id = Hash.sha256(bytes).substring(0, 32);
        db.insertInto(PICTURE)
                .set(PICTURE.ID, id)
                .set(PICTURE.NAME, name)
                .set(PICTURE.KIND, kind)
                .set(PICTURE.WIDTH, width)
                .set(PICTURE.HEIGHT, height)
                .set(PICTURE.CAPTION, caption)
                .set(PICTURE.WHO, who)
                .set(PICTURE.AT, Instant.now().truncatedTo(ChronoUnit.SECONDS).toString())
                .set(PICTURE.BYTES, bytes)
                .onConflictDoNothing()
                .execute();
        return id;
    }

    public Optional<byte[]> bytes(String id) {
        return db.select(PICTURE.BYTES).from(PICTURE).where(PICTURE.ID.eq(id)).fetchOptional(PICTURE.BYTES);
    }

    public Map<String, Picture> known(Collection<String> ids) {
        Map<String, Picture> found = new LinkedHashMap<>();
        db.select(
                        PICTURE.ID,
                        PICTURE.NAME,
                        PICTURE.KIND,
                        PICTURE.WIDTH,
                        PICTURE.HEIGHT,
                        PICTURE.CAPTION,
                        PICTURE.WHO,
                        PICTURE.AT)
                .from(PICTURE)
                .where(PICTURE.ID.in(ids))
                .forEach(r -> found.put(
                        r.get(PICTURE.ID),
                        new Picture(
                                r.get(PICTURE.ID),
                                r.get(PICTURE.NAME),
                                r.get(PICTURE.KIND),
                                r.get(PICTURE.WIDTH),
                                r.get(PICTURE.HEIGHT),
                                r.get(PICTURE.CAPTION),
                                r.get(PICTURE.WHO),
                                r.get(PICTURE.AT))));
        return found;
    }
}
