package whipsaw.app.store;

import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Raises the mark of the newest revision once what it marks is committed. */
@Component
class Marks {
    private final HighWater mark;

    Marks(DataFolder folder) {
        this.mark = folder.highWater();
    }

    /** @param row id of a revision that is being written */
    void afterCommit(long row) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            mark.reached(row);
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                mark.reached(row);
            }
        });
    }
}
