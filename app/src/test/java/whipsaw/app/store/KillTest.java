package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The server is killed hard in the middle of edits, again and again: every acknowledged edit is found afterwards. */
class KillTest {
    private static final int KILLS = 2;
    private static final String JOB = "/jobs/milepost-hall";

    @TempDir
    Path dir;

    private ChildServer server;

    /** An edit the server has said yes to. */
    private record Acknowledged(int revision, String place) {}

    @AfterEach
    void stop() throws InterruptedException {
        if (server != null) {
            server.kill();
        }
    }

    private void start() throws Exception {
        server = new ChildServer(dir.resolve("data"), dir.resolve("log.txt"), JOB);
        server.page();
    }

    /** Edits one after the other until the server is gone; each on the revision acknowledged before. */
    private void edit(int round, int base, List<Acknowledged> acknowledged, CountDownLatch enough) {
        int revision = base;
        for (int i = 0; ; i++) {
            String place = "Place " + round + "." + i;
            String body = "{\"base\":" + revision
                    + ",\"changes\":[{\"op\":\"set\",\"path\":\"$.project.place\",\"value\":\"" + place + "\"}]}";
            try {
                server.change(body);
                acknowledged.add(new Acknowledged(++revision, place));
                enough.countDown();
            } catch (IOException e) {
                // the server is gone: whoever waits for more waits no longer
                while (enough.getCount() > 0) {
                    enough.countDown();
                }
                return;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    @Test
    void everyAcknowledgedEditIsFoundAfterAHardKill() throws Exception {
        List<Acknowledged> acknowledged = new CopyOnWriteArrayList<>();
        int base = 1;
        for (int round = 0; round < KILLS; round++) {
            start();
            if (round > 0) {
                base = newest();
            }
            int from = base;
            int number = round;
            CountDownLatch enough = new CountDownLatch(8 + 3 * round);
            Thread editor = new Thread(() -> edit(number, from, acknowledged, enough));
            editor.start();
            enough.await();
            server.kill();
            editor.join();
        }
        start();
        assertThat(acknowledged).hasSizeGreaterThan(KILLS * 8);
        var stored = storedPlaces();
        for (Acknowledged edit : acknowledged) {
            assertThat(stored).as("revision " + edit.revision()).containsEntry(edit.revision(), edit.place());
        }
        // at most the one edit under way at each kill may be there without having been acknowledged
        assertThat(stored.size() - 1 - acknowledged.size()).isBetween(0, KILLS);
        assertThat(StoredFile.faults(dir.resolve("data/whipsaw.db"))).isEmpty();
    }

    private int newest() throws Exception {
        return storedPlaces().keySet().stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElseThrow();
    }

    private Map<Integer, String> storedPlaces() throws Exception {
        Map<Integer, String> places = new java.util.HashMap<>();
        try (var c = java.sql.DriverManager.getConnection("jdbc:sqlite:" + dir.resolve("data/whipsaw.db"));
                var s = c.createStatement();
                var r = s.executeQuery(
                        "select number, document from revision join job on job.id = job_id where slug = 'milepost-hall'")) {
            while (r.next()) {
                Map<?, ?> project = (Map<?, ?>) Json.object(r.getString(2)).get("project");
                places.put(r.getInt(1), String.valueOf(project.get("place")));
            }
        }
        return places;
    }
}
