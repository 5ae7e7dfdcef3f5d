package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.store.Json;

/** What comes in by the doors: too much, too slow, from other pages, or with what cannot be printed in it. */
@OwnServer
class DoorsTest extends ServedTest {
    private static final String STORE = "/jobs/quarrybank-cold-store";

    private static HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(server.address(path)));
    }

    /** Bodies that do not come hold nobody up: neither pages nor the changes of others. */
    /** Bodies of one address that may be arriving at once. */
    private static final int FROM_ONE = 300;

    @Test
    void slowBodiesDoNotStopTheOthers() throws IOException {
        URI uri = URI.create(server.address("/"));
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < FROM_ONE + 60; i++) {
                Socket socket = new Socket(uri.getHost(), uri.getPort());
                slow.add(socket);
                OutputStream out = socket.getOutputStream();
                StringBuilder head = new StringBuilder("POST " + STORE + "/change HTTP/1.1\r\nHost: 127.0.0.1:"
                        + uri.getPort() + "\r\nContent-Type: application/json\r\nContent-Length: 900\r\n");
                server.token()
                        .forEach((k, v) -> head.append(k).append(": ").append(v).append("\r\n"));
                out.write((head + "\r\n{").getBytes(StandardCharsets.US_ASCII));
                out.flush();
            }
            assertThat(server.get(STORE).statusCode()).isEqualTo(200);
            // they are not taken up in the order they came; some beyond the most are refused at once
            Socket refused = null;
            while (refused == null) {
                for (Socket socket : slow) {
                    refused = refused == null && socket.getInputStream().available() > 0 ? socket : refused;
                }
            }
            assertThat(new String(refused.getInputStream().readNBytes(12), StandardCharsets.US_ASCII))
                    .isEqualTo("HTTP/1.1 503");
            for (Socket socket : slow.subList(FROM_ONE / 2, slow.size())) {
                socket.close();
            }
            int status = 503;
            while (status == 503) {
                status = server.post(STORE + "/change", "{\"base\":0,\"changes\":[]}")
                        .statusCode();
            }
            assertThat(status).isBetween(400, 422);
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
        assertThat(server.get("/health").body()).contains("\"status\"");
    }

    @Test
    void whatIsTooLargeIsRefusedBeforeItIsRead() {
        String large = "{\"base\":1,\"changes\":[],\"x\":\"" + "x".repeat(6_000_000) + "\"}";
        HttpResponse<String> refused = server.post(STORE + "/change", large);
        assertThat(refused.statusCode()).isEqualTo(413);
        assertThat(refused.body()).contains("6.0 MB").contains("5 MB");
        HttpRequest.Builder unsized = request(STORE + "/change")
                .header("Content-Type", "application/json")
                .header("Accept", "application/json")
                .POST(HttpRequest.BodyPublishers.ofInputStream(
                        () -> new java.io.ByteArrayInputStream(large.getBytes(StandardCharsets.US_ASCII))));
        server.token().forEach(unsized::header);
        assertThat(server.send(unsized).statusCode()).isBetween(400, 499);
    }

    /** Many at once wait for their turn; none ends the server. */
    @Test
    void workbooksAskedForAllAtOnceComeOneAfterTheOther() throws Exception {
        ExecutorService all = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Integer>> asked = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                asked.add(() -> server.get(STORE + "/schedules.xlsx").statusCode());
            }
            for (Future<Integer> answer : all.invokeAll(asked)) {
                assertThat(answer.get()).isIn(200, 503);
            }
        } finally {
            all.shutdownNow();
        }
        assertThat(server.get(STORE).statusCode()).isEqualTo(200);
    }

    @Test
    void pagesOfOtherSitesReadNothingAndNothingOfAJobIsKept() {
        for (String site : List.of("cross-site", "same-site")) {
            assertThat(server.send(request(STORE + "/job.json")
                                    .header("Sec-Fetch-Site", site)
                                    .header("Sec-Fetch-Mode", "no-cors")
                                    .header("Sec-Fetch-Dest", "script"))
                            .statusCode())
                    .isEqualTo(403);
            assertThat(server.send(request(STORE)
                                    .header("Sec-Fetch-Site", site)
                                    .header("Sec-Fetch-Mode", "navigate")
                                    .header("Sec-Fetch-Dest", "iframe"))
                            .statusCode())
                    .isEqualTo(403);
        }
        HttpResponse<String> link = server.send(request(STORE)
                .header("Sec-Fetch-Site", "cross-site")
                .header("Sec-Fetch-Mode", "navigate")
                .header("Sec-Fetch-Dest", "document"));
        assertThat(link.statusCode()).isEqualTo(200);
        assertThat(link.headers().firstValue("Cache-Control")).contains("no-store");
        assertThat(server.get("/js/bench.js")
                        .headers()
                        .firstValue("Cache-Control")
                        .orElse(""))
                .contains("max-age");
    }

    /** A pasted control character or a line break spoils neither sheets nor drawings. */
    @Test
    @SuppressWarnings("unchecked")
    void whatCannotBePrintedIsLeftAtTheDoor() {
        Map<String, Object> job = new java.util.LinkedHashMap<>(Json.object(
                server.get("/jobs/ashwell-row-primary-school/job.json").body()));
        Map<String, Object> project = new java.util.LinkedHashMap<>((Map<String, Object>) job.get("project"));
        project.put("name", "Line\none\u0000\u0007 \u202ehall");
        project.put("place", "a\tb\u2028c");
        job.put("project", project);
        HttpResponse<String> read = server.form("/jobs/import", Map.of("file", Json.write(job)));
        String slug = read.headers().firstValue("Location").orElseThrow().replaceAll(".*/jobs/([a-z0-9-]+).*", "$1");
        assertThat(slug).startsWith("line-one-hall");
        String dxf = server.get("/jobs/" + slug + "/plan.dxf").body();
        String[] lines = dxf.split("\r\n");
        for (int i = 0; i < lines.length; i += 2) {
            assertThat(lines[i]).matches("\\d{1,4}");
        }
        assertThat(new String(server.bytes("/jobs/" + slug + "/sheet.pdf"), StandardCharsets.ISO_8859_1))
                .startsWith("%PDF");
        assertThat(server.form("/jobs/" + slug + "/rename", Map.of("name", "Two\r\nlines\u0001"))
                        .statusCode())
                .isLessThan(400);
        assertThat(server.get("/jobs/" + slug + "/job.json").body()).contains("\"Two lines\"");
        for (String csv : List.of("\"\"\"\"\"", "code,\"\n\"x", "\"a\"b,c\n1,2")) {
            HttpResponse<String> preview = server.form("/catalogue/module/preview", Map.of("csv", csv));
            assertThat(preview.statusCode()).as(csv).isLessThan(500);
            assertThat(preview.body()).as(csv).doesNotContain("Exception");
        }
    }
}
