package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.jooq.DSLContext;
import org.jooq.ExecuteContext;
import org.jooq.ExecuteListener;
import org.jooq.ExecuteListenerProvider;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DefaultConfiguration;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.job.JobService;

/** A change that fails at any of its statements stores nothing, says so in words, and harms nothing that follows. */
@OwnServer
class FaultsTest extends ServedTest {
    private static final String SLUG = "milepost-hall";
    private static final int MOST_STEPS = 60;

    /** Statements still to go before one fails; negative lets all of them pass. */
    private static final AtomicInteger LEFT = new AtomicInteger(-1);

    private static final class Failing implements ExecuteListener {
        private static final long serialVersionUID = 1L;

        private final transient Supplier<? extends Throwable> fault;
        private final boolean after;

        Failing(Supplier<? extends Throwable> fault, boolean after) {
            this.fault = fault;
            this.after = after;
        }

        private void step() {
            // memory that runs out while something is only read ends the process: see Errors
            if (fault.get() instanceof Error && !TransactionSynchronizationManager.isActualTransactionActive()) {
                return;
            }
            if (LEFT.get() >= 0 && LEFT.getAndDecrement() == 0) {
                Throwable thrown = fault.get();
                if (thrown instanceof Error e) {
                    throw e;
                }
                throw (RuntimeException) thrown;
            }
        }

        @Override
        public void executeStart(ExecuteContext ctx) {
            if (!after) {
                step();
            }
        }

        @Override
        public void executeEnd(ExecuteContext ctx) {
            if (after) {
                step();
            }
        }
    }

    private static HttpResponse<String> change(int base, String place) {
        return server.post(
                "/jobs/" + SLUG + "/change",
                Json.write(Map.of(
                        "base",
                        base,
                        "key",
                        "key" + "0".repeat(20) + base,
                        "changes",
                        java.util.List.of(Map.of("op", "set", "path", "$.project.place", "value", place)))));
    }

    private static int newest() {
        return server.bean(JobService.class).history(SLUG, 1).get(0).number();
    }

    private static void failingAtEveryStep(Supplier<? extends Throwable> fault, boolean after, int status) {
        server.token();
        DefaultConfiguration configuration =
                (DefaultConfiguration) server.bean(DSLContext.class).configuration();
        ExecuteListenerProvider[] usual = configuration.executeListenerProviders();
        ExecuteListenerProvider[] failing = Arrays.copyOf(usual, usual.length + 1);
        failing[usual.length] = () -> new Failing(fault, after);
        configuration.set(failing);
        try {
            int steps = 0;
            int before = newest();
            boolean done = false;
            HttpResponse<String> answer = null;
            while (steps < MOST_STEPS && (answer == null || answer.statusCode() != 200)) {
                LEFT.set(steps);
                answer = change(before, "Place " + fault.hashCode() + "." + steps);
                LEFT.set(-1);
                if (answer.statusCode() != 200) {
                    boolean stored = answer.body().contains("What you did is stored");
                    assertThat(answer.statusCode()).as("step " + steps).isEqualTo(stored ? 503 : status);
                    assertThat(stored || answer.body().contains("othing was stored"))
                            .as(answer.body())
                            .isTrue();
                    assertThat(answer.body()).doesNotContain("Exception").doesNotContain("injected");
                    done |= stored;
                    assertThat(newest()).as("step " + steps).isEqualTo(done ? before + 1 : before);
                    assertThat(server.get("/jobs/" + SLUG).statusCode()).isEqualTo(200);
                }
                steps++;
            }
            assertThat(steps).isBetween(3, MOST_STEPS - 1);
            assertThat(newest()).isEqualTo(before + 1);
        } finally {
            configuration.set(usual);
        }
        DSLContext db = server.bean(DSLContext.class);
        assertThat(String.valueOf(db.fetchValue("PRAGMA integrity_check"))).isEqualTo("ok");
        assertThat(server.bean(JobStore.class).revision(SLUG, newest())).isPresent();
        assertThat(change(newest(), "Afterwards " + newest()).statusCode()).isEqualTo(200);
    }

    @Test
    void aFullDiskAtEveryStep() {
        failingAtEveryStep(
                () -> new DataAccessException("injected [SQLITE_FULL] database or disk is full"), false, 507);
    }

    @Test
    void aWriteThatFailsAfterEveryStep() {
        failingAtEveryStep(() -> new DataAccessException("injected [SQLITE_IOERR] disk I/O error"), true, 507);
    }

    @Test
    void noMemoryAtEveryStep() {
        failingAtEveryStep(() -> new OutOfMemoryError("injected"), true, 503);
    }
}
