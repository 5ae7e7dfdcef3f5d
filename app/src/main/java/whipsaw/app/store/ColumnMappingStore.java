package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.COLUMN_MAPPING;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Mappings of the columns of files from elsewhere, by kind of entry and name. */
@Component
public class ColumnMappingStore {
    private final DSLContext db;

    public ColumnMappingStore(DSLContext db) {
        this.db = db;
    }

    /** All of a kind by name, the newest first; each as it was kept. */
    public Map<String, Map<String, Object>> of(String kind) {
        Map<String, Map<String, Object>> all = new LinkedHashMap<>();
        db.selectFrom(COLUMN_MAPPING)
                .where(COLUMN_MAPPING.KIND.eq(kind))
                .orderBy(COLUMN_MAPPING.AT.desc(), COLUMN_MAPPING.ID.desc())
                .forEach(r -> all.put(r.getName(), Json.object(r.getBody())));
        return all;
    }

    /** Keeps one; one of the same name is written over. */
    @Transactional
    public void keep(String kind, String name, Map<String, Object> body) {
        String at = Instant.now().truncatedTo(ChronoUnit.SECONDS).toString();
        db.insertInto(COLUMN_MAPPING)
                .set(COLUMN_MAPPING.KIND, kind)
                .set(COLUMN_MAPPING.NAME, name)
                .set(COLUMN_MAPPING.AT, at)
                .set(COLUMN_MAPPING.BODY, Json.write(body))
                .onConflict(COLUMN_MAPPING.KIND, COLUMN_MAPPING.NAME)
                .doUpdate()
                .set(COLUMN_MAPPING.AT, at)
                .set(COLUMN_MAPPING.BODY, Json.write(body))
                .execute();
    }
}
