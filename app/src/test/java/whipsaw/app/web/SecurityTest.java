package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.print.CsvCell;
import whipsaw.app.store.Json;

/** What other sites, odd files and odd names must not be able to do. */
@OwnServer
class SecurityTest extends ServedTest {
    private static final String JOB = "/jobs/milepost-hall";
    private static final String EDIT =
            "{\"base\":1,\"changes\":[{\"op\":\"set\",\"path\":\"$.project.place\",\"value\":\"x\"}]}";

    private static HttpRequest.Builder edit() {
        return HttpRequest.newBuilder(URI.create(server.address(JOB + "/change")))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(EDIT));
    }

    private static String stored() {
        return server.get(JOB + "/job.json").body();
    }

    @Test
    void aRequestWithoutOurTokenChangesNothing() {
        String before = stored();
        assertThat(server.send(edit()).statusCode()).isEqualTo(403);
        HttpRequest.Builder cookieOnly = edit();
        cookieOnly.header("Cookie", server.token().get("Cookie"));
        assertThat(server.send(cookieOnly).statusCode()).isEqualTo(403);
        HttpRequest.Builder wrong = edit();
        wrong.header("Cookie", server.token().get("Cookie")).header("X-XSRF-TOKEN", "guess");
        HttpResponse<String> refused = server.send(wrong);
        assertThat(refused.statusCode()).isEqualTo(403);
        assertThat(refused.body()).contains("reload it and try again");
        for (String path : List.of(
                "/jobs", "/jobs/import", "/tables/preview", JOB + "/undo", "/catalogue/block", JOB + "/archive")) {
            HttpRequest.Builder form = HttpRequest.newBuilder(URI.create(server.address(path)))
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString("name=x&units=us&away=true"));
            assertThat(server.send(form).statusCode()).as(path).isEqualTo(403);
        }
        assertThat(stored()).isEqualTo(before);
    }

    @Test
    void cookiesGoToNoOtherSiteAndNoScriptReadsThem() {
        HttpResponse<String> page = server.get("/");
        assertThat(page.headers().allValues("Set-Cookie"))
                .allSatisfy(c -> assertThat(c).contains("SameSite=Strict", "HttpOnly"));
    }

    @Test
    void anotherNameForThisMachineIsRefused() throws Exception {
        URI uri = URI.create(server.address("/"));
        try (var socket = new java.net.Socket("127.0.0.1", uri.getPort())) {
            for (String host : List.of("whipsaw.example:" + uri.getPort(), "127.0.0.1.example")) {
                var out = socket.getOutputStream();
                out.write(("GET / HTTP/1.1\r\nHost: " + host + "\r\n\r\n").getBytes());
                out.flush();
                byte[] answer = new byte[12];
                assertThat(socket.getInputStream().readNBytes(answer, 0, 12)).isEqualTo(12);
                assertThat(new String(answer)).isEqualTo("HTTP/1.1 403");
                break;
            }
        }
        HttpRequest.Builder origin = edit().header("Origin", "http://127.0.0.1:1");
        server.token().forEach(origin::header);
        assertThat(server.send(origin).statusCode()).isEqualTo(403);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/", JOB, JOB + "/sheet", "/tables", "/catalogue/block", "/jobs/none", "/calc", "/health"})
    void everyAnswerCarriesThePolicyAndNoPageNeedsAnExceptionFromIt(String path) {
        HttpResponse<String> page = server.get(path);
        String policy = page.headers().firstValue("Content-Security-Policy").orElseThrow();
        assertThat(policy)
                .contains("default-src 'none'", "frame-ancestors 'none'")
                .doesNotContain("unsafe")
                .doesNotContain("*");
        assertThat(page.headers().firstValue("X-Content-Type-Options")).hasValue("nosniff");
        assertThat(page.body())
                .doesNotContainPattern("(?i)<script(?![^>]*(src=|application/json))")
                .doesNotContainPattern("(?i) on[a-z]+=\"")
                .doesNotContain(" style=\"");
    }

    @Test
    void aHostileNameIsOnlyAName() {
        String name = "</title><script>alert(1)</script>\"'><img src=x onerror=y>";
        Map<String, String> form = new LinkedHashMap<>(Map.of("name", name, "units", "us", "family", "asce"));
        HttpResponse<String> made = server.form("/jobs", form);
        assertThat(made.statusCode()).isEqualTo(302);
        String path =
                URI.create(made.headers().firstValue("Location").orElseThrow()).getPath();
        String place = path + "/change";
        server.post(
                place,
                "{\"base\":1,\"changes\":[{\"op\":\"append\",\"path\":\"$.roof.obstructions\",\"value\":{\"id\":\"a\",\"name\":\"<script>2\",\"x\":\"30 ft\",\"y\":\"20 ft\",\"width\":\"3 ft\",\"depth\":\"3 ft\",\"height\":\"3 ft\",\"clear\":\"1 ft\"}}]}");
        for (String page : List.of(
                "/",
                path,
                path + "/sheet",
                path + "/revisions",
                path + "/compare?from=1&to=2",
                path + "/parts",
                "/tables")) {
            assertThat(server.get(page).body())
                    .as(page)
                    .doesNotContain("<script>alert")
                    .doesNotContain("<script>2")
                    .doesNotContain("<img src=x");
        }
        assertThat(Json.object(server.get(path + "/job.json").body()).toString())
                .contains("<script>alert(1)");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "=1+1|'=1+1",
                "+cmd|'+cmd",
                "@SUM(A1)|'@SUM(A1)",
                "-2+3|'-2+3",
                "-0.26 %/C|-0.26 %/C",
                "-12|-12",
                "+5 mm|+5 mm",
                "plain|plain",
                "``|``",
                "-13 F|-13 F",
                "=HYPERLINK(\"x\")|'=HYPERLINK(\"x\")"
            })
    void aCellIsNoFormula(String text, String safe) {
        assertThat(CsvCell.safe(text == null ? "" : text)).isEqualTo(safe == null ? "" : safe);
    }

    @Test
    void aFormulaInACatalogueEntryStaysAText() {
        String csv = "code,edition,maker,name,source,status,mass,length,width,height\n"
                + "f-1,1,M,=cmd|' /C calc'!A0,S,invented,15 kg,400 mm,200 mm,100 mm\n";
        String looked = server.form("/catalogue/block/preview", Map.of("csv", csv, "units", "metric"))
                .body();
        assertThat(looked).contains("Take 1 entry");
        server.form(
                "/catalogue/block",
                Map.of(
                        "rows",
                        "[{\"code\":\"f-1\",\"edition\":\"1\",\"maker\":\"M\",\"name\":\"=cmd|' /C calc'!A0\",\"source\":\"S\",\"status\":\"invented\",\"mass\":\"15 kg\",\"length\":\"400 mm\",\"width\":\"200 mm\",\"height\":\"100 mm\"}]",
                        "units",
                        "metric"));
        assertThat(server.get("/catalogue/block.csv").body()).contains(",'=cmd|' /C calc'!A0,");
    }

    @Test
    void tooLargeTooDeepAndTwiceTheSameAreRefused() {
        String boundary = "x-1";
        String large =
                "--" + boundary + "\r\nContent-Disposition: form-data; name=\"upload\"; filename=\"a.json\"\r\n\r\n"
                        + "9".repeat(4_400_000) + "\r\n--" + boundary + "--\r\n";
        HttpRequest.Builder upload = HttpRequest.newBuilder(URI.create(server.address("/jobs/import")))
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(HttpRequest.BodyPublishers.ofString(large));
        server.token().forEach(upload::header);
        HttpResponse<String> answer = server.send(upload);
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("4 MB");
        assertThat(importing("[".repeat(60) + "]".repeat(60)).body()).contains("Not understood", "depth");
        assertThat(importing("{\"schema\":2,\"schema\":1}").body()).contains("Not understood", "schema");
        assertThat(importing("{\"schema\":9}").body()).contains("later version");
        assertThat(importing("").statusCode()).isEqualTo(422);
    }

    private static HttpResponse<String> importing(String text) {
        return server.form("/jobs/import", Map.of("file", text));
    }

    @Test
    void healthSaysHowItIsAndNamesNobody() {
        HttpResponse<String> health = server.get("/health");
        Map<String, Object> answer = Json.object(health.body());
        assertThat(answer)
                .containsEntry("status", "ok")
                .containsEntry("store", "ok")
                .containsEntry("version", version());
        assertThat(((Number) answer.get("jobs")).intValue()).isGreaterThanOrEqualTo(3);
        assertThat(health.body()).doesNotContain("Milepost").doesNotContain("whipsaw-test");
    }

    private static String version() {
        return server.bean(Version.class).number();
    }

    @Test
    void theVersionIsOnPagesAndInFiles() {
        assertThat(version()).matches("[0-9]+\\.[0-9]+\\.[0-9]+.*");
        assertThat(server.get("/").body()).contains("Whipsaw <span>" + version());
        assertThat(server.get(JOB).body()).contains(version());
        assertThat(server.get(JOB + "/design.json").body()).contains("\"writtenBy\" : \"Whipsaw " + version());
        assertThat(server.get(JOB + "/job.json").body()).contains("\"writtenBy\" : \"Whipsaw " + version());
    }
}
