package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import whipsaw.app.Whipsaw;

/** The server is killed hard in the middle of edits, again and again: every acknowledged edit is found afterwards. */
class KillTest {
    private static final int KILLS = 5;
    private static final String JOB = "/jobs/milepost-hall";

    @TempDir
    Path dir;

    private final HttpClient http = HttpClient.newHttpClient();
    private Process server;
    private String address;
    private Map<String, String> token;

    /** An edit the server has said yes to. */
    private record Acknowledged(int revision, String place) {}

    @AfterEach
    void stop() {
        if (server != null) {
            server.destroyForcibly();
        }
    }

    private void start() throws Exception {
        int port = 21_000 + (int) (Math.random() * 9_000);
        address = "http://127.0.0.1:" + port;
        Path log = dir.resolve("log.txt");
        server = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Whipsaw.class.getName(),
                        "demo",
                        "--data",
                        dir.resolve("data").toString(),
                        "--port",
                        String.valueOf(port))
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        for (int i = 0; i < 400 && token == null; i++) {
            TimeUnit.MILLISECONDS.sleep(100);
            assertThat(server.isAlive())
                    .as(Files.exists(log) ? Files.readString(log) : "no log")
                    .isTrue();
            readToken();
        }
        assertThat(token).as("the server came up").isNotNull();
    }

    private void readToken() throws InterruptedException {
        try {
            HttpResponse<String> page = http.send(
                    HttpRequest.newBuilder(URI.create(address + JOB))
                            .timeout(Duration.ofSeconds(20))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            Matcher meta = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"").matcher(page.body());
            if (page.statusCode() == 200 && meta.find()) {
                String cookie =
                        page.headers().firstValue("Set-Cookie").orElseThrow().split(";")[0];
                token = Map.of("Cookie", cookie, "X-XSRF-TOKEN", meta.group(1));
            }
        } catch (IOException e) {
            // not up yet
        }
    }

    /** Edits one after the other until the server is gone; each on the revision acknowledged before. */
    private void edit(int round, int base, List<Acknowledged> acknowledged) {
        int revision = base;
        for (int i = 0; ; i++) {
            String place = "Place " + round + "." + i;
            String body = "{\"base\":" + revision
                    + ",\"changes\":[{\"op\":\"set\",\"path\":\"$.project.place\",\"value\":\"" + place + "\"}]}";
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + JOB + "/change"))
                    .header("Content-Type", "application/json")
                    .POST(HttpRequest.BodyPublishers.ofString(body));
            token.forEach(request::header);
            try {
                HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
                if (answer.statusCode() != 200) {
                    throw new AssertionError(answer.statusCode() + " " + answer.body());
                }
                acknowledged.add(new Acknowledged(++revision, place));
            } catch (IOException e) {
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
            token = null;
            start();
            if (round > 0) {
                base = newest();
            }
            int from = base;
            int number = round;
            int before = acknowledged.size();
            Thread editor = new Thread(() -> edit(number, from, acknowledged));
            editor.start();
            while (acknowledged.size() < before + 8 + 3 * round && editor.isAlive()) {
                TimeUnit.MILLISECONDS.sleep(7);
            }
            server.destroyForcibly().waitFor();
            editor.join();
        }
        token = null;
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
