package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import whipsaw.app.TestServer;
import whipsaw.app.job.JobService;

/** A database that may grow no more answers as a full disk does: it is said, nothing is half-written, and it goes on later. */
class FullDiskTest {
    private static final String JOB = "/jobs/quarrybank-cold-store";

    private static String edit(int base, String place) {
        return "{\"base\":" + base + ",\"changes\":[{\"op\":\"set\",\"path\":\"$.project.place\",\"value\":\"" + place
                + "\"}]}";
    }

    @Test
    void aFullDiskIsSaidAndWhatWasStoredIsSafe() {
        try (TestServer server = new TestServer("spring.datasource.hikari.maximum-pool-size=1")) {
            DSLContext db = server.bean(DSLContext.class);
            int pages = ((Number) db.fetchValue("PRAGMA page_count")).intValue();
            db.execute("PRAGMA max_page_count = " + (pages + 12));
            int revision = 1;
            var answer = server.post(JOB + "/change", edit(revision, "place 1"));
            for (int i = 2; i < 60 && answer.statusCode() == 200; i++) {
                revision++;
                answer = server.post(JOB + "/change", edit(revision, "place " + i));
            }
            assertThat(answer.statusCode()).isEqualTo(507);
            assertThat(answer.body())
                    .contains("The disk is full: nothing was stored", "Free some space")
                    .doesNotContain("SQL");
            JobService jobs = server.bean(JobService.class);
            assertThat(jobs.open("quarrybank-cold-store").revision().number()).isEqualTo(revision);
            assertThat(jobs.open("quarrybank-cold-store")
                            .design()
                            .job()
                            .project()
                            .place())
                    .isEqualTo(revision == 1 ? "Quarrybank Dock (made up)" : "place " + (revision - 1));
            assertThat(String.valueOf(db.fetchValue("PRAGMA integrity_check"))).isEqualTo("ok");
            assertThat(server.get(JOB).statusCode()).isEqualTo(200);
            db.execute("PRAGMA max_page_count = " + (pages + 5000));
            assertThat(server.post(JOB + "/change", edit(revision, "later")).statusCode())
                    .isEqualTo(200);
        }
    }
}
