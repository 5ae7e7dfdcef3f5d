package whipsaw.app.web;

import java.io.File;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import whipsaw.app.store.DataFolder;

/** Whether the application is well, for its owner's own watch: no names, no contents. */
@RestController
public class HealthController {
    private static final long LITTLE_BYTES = 200L << 20;

    private final DSLContext db;
    private final Version version;
    private final File data;

    public HealthController(DSLContext db, Version version, DataFolder data) {
        this.db = db;
        this.version = version;
        this.data = data.database().getParent().toFile();
    }

    @GetMapping("/health")
    public ResponseEntity<Map<String, Object>> health() {
        Map<String, Object> answer = new LinkedHashMap<>();
        String store = "ok";
        try {
            answer.put("jobs", db.fetchValue("select count(*) from job"));
            answer.put("revisions", db.fetchValue("select count(*) from revision"));
        } catch (DataAccessException e) {
            store = "cannot be read";
        }
        long free = data.getUsableSpace();
        String disk = free < LITTLE_BYTES ? "nearly full" : "ok";
        answer.put("status", store.equals("ok") ? disk.equals("ok") ? "ok" : "attention" : "failed");
        answer.put("version", version.number());
        answer.put("store", store);
        answer.put("disk", disk);
        answer.put("disk_free_bytes", free);
        return ResponseEntity.status(store.equals("ok") ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
                .body(answer);
    }
}
