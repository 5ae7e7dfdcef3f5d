package whipsaw.app.store;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Keeps the store in order while the server runs: writes the log into the database when nobody writes, so that the one
 * file holds everything then, and makes the copy of a new day.
 */
@Component
@Lazy(false)
class StoreKeeper implements DisposableBean {
    private static final long EVERY_S = 20;
    private static final Logger LOG = LoggerFactory.getLogger(StoreKeeper.class);

    private final DSLContext db;
    private final DataFolder folder;
    private final Marks marks;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "store-keeper");
        thread.setDaemon(true);
        return thread;
    });
    /** Why there is no copy of today, said once; of the clock's thread alone. */
    private String trouble = "";

    StoreKeeper(DSLContext db, DataFolder folder, Marks marks) {
        this.db = db;
        this.folder = folder;
        this.marks = marks;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        clock.scheduleWithFixedDelay(this::look, EVERY_S, EVERY_S, TimeUnit.SECONDS);
    }

    /** While somebody edits, only what stands in nobody's way; the log is emptied once nobody does. */
    void look() {
        try {
            // the copying needs no lock that writers want; only the emptying does, and then little is left to copy
            db.fetch("PRAGMA wal_checkpoint(PASSIVE)");
            if (marks.quietS() >= EVERY_S) {
                db.fetch("PRAGMA wal_checkpoint(TRUNCATE)");
            }
        } catch (DataAccessException e) {
            // busy, or the disk is full: the next look tries again
        }
        try {
            folder.dailyCopy();
            trouble = "";
        } catch (DataFolder.Trouble e) {
            if (!e.getMessage().equals(trouble)) {
                LOG.warn("No copy of today: {}", e.getMessage());
            }
            trouble = e.getMessage();
        }
    }

    @Override
    public void destroy() {
        clock.shutdownNow();
    }
}
