package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;

/** Requests nobody would make on purpose: none may end in a server error, and the job stays readable. */
@OwnServer
class FuzzTest extends ServedTest {
    private static final String JOB = "/jobs/milepost-hall";

    private static void times(int count, Runnable request) {
        for (int i = 0; i < count; i++) {
            request.run();
        }
    }

    @Test
    void noRequestEndsInAServerErrorAndTheJobStaysReadable() {
        Fuzz fuzz = new Fuzz(server, 4711);
        times(80, fuzz::address);
        times(100, fuzz::form);
        times(120, fuzz::change);
        times(100, fuzz::importedFile);
        times(50, fuzz::tape);
        assertThat(fuzz.errors()).isEmpty();
        assertThat(server.get(JOB).statusCode()).isEqualTo(200);
        assertThat(server.get(JOB + "/sheet").statusCode()).isEqualTo(200);
    }
}
