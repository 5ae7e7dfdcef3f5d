package whipsaw.app.store;

import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Raises the mark of the newest revision, and notes it for the request, once what it marks is committed. */
@Component
class Marks {
    private final HighWater mark;
    private volatile long lastNs = System.nanoTime();

    Marks(DataFolder folder) {
        this.mark = folder.highWater();
    }

    /** How long nobody has written a revision. */
    long quietS() {
        return TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - lastNs);
    }

    /** @param row id of a revision that is being written */
    void afterCommit(long row) {
        lastNs = System.nanoTime();
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            Stored.now();
            mark.reached(row);
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                Stored.now();
                mark.reached(row);
            }
        });
    }
}
