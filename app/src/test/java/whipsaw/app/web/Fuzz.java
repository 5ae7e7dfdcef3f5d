package whipsaw.app.web;

import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import whipsaw.app.TestServer;
import whipsaw.app.store.Json;

/** Makes requests nobody would make on purpose, and notes those that end in a server error or with a trace. */
public final class Fuzz {
    private static final String JOB = "/jobs/milepost-hall";
    private static final List<String> PATHS = List.of(
            "/",
            "/jobs",
            "/jobs/import",
            JOB,
            JOB + "/change",
            JOB + "/undo",
            JOB + "/redo",
            JOB + "/working",
            JOB + "/ways",
            JOB + "/tape",
            JOB + "/sheet",
            JOB + "/sheet.pdf",
            JOB + "/ballast.csv",
            JOB + "/job.json",
            JOB + "/design.json",
            JOB + "/revisions",
            JOB + "/revisions/1/name",
            JOB + "/revisions/1/return",
            JOB + "/compare",
            JOB + "/parts",
            JOB + "/rename",
            JOB + "/duplicate",
            JOB + "/archive",
            "/calc",
            "/calc/tilted_array",
            "/calc/en_wind",
            "/calc/ballast_array",
            "/calc/traverse",
            "/tables",
            "/tables/en_terrain",
            "/tables/preview",
            "/tables/en_terrain/confirm",
            "/tables/en_terrain/withdraw",
            "/catalogue",
            "/catalogue/module",
            "/catalogue/module/preview",
            "/catalogue/tray-system.csv",
            "/health",
            "/schema/job-6.schema.json",
            "/error",
            "/webjars/none.css");
    private static final List<String> KEYS = List.of(
            "name",
            "units",
            "family",
            "file",
            "figure",
            "check",
            "from",
            "to",
            "base",
            "away",
            "find",
            "archived",
            "kind",
            "rows",
            "csv",
            "id",
            "source",
            "edition",
            "who",
            "against",
            "checked",
            "V_mph",
            "tilt_deg",
            "inputs",
            "utc",
            "title");
    private static final List<String> VALUES = List.of(
            "",
            "x",
            "-1",
            "1e999",
            "NaN",
            "null",
            "true",
            "us",
            "en",
            "{}",
            "[]",
            "[[[[",
            "ballast/1-1",
            "roof.bay",
            "uplift/99-99",
            "%",
            "\u0000",
            "\uFFFF\uD800",
            "../../etc/passwd",
            "' or 1=1 --",
            "<script>",
            "9".repeat(400),
            "0x10",
            "1;2;3",
            "12' 6\"",
            "roof.footprint",
            "{\"a\":{\"b\":[1,2,{\"c\":null}]}}",
            "code,edition\n\"x",
            "terrain,z0_m\nI,1");
    private static final List<String> DOCUMENT_PATHS = List.of(
            "$",
            "$.roof",
            "$.roof.outline",
            "$.roof.obstructions",
            "$.roof.obstructions[0]",
            "$.roof.obstructions[id=vent-1].x",
            "$.site",
            "$.site.family",
            "$.array.tilt",
            "$.array.removed",
            "$.array.facing",
            "$.array.walkway",
            "$.electrical.run.points",
            "$.schema",
            "$.codeTables",
            "$.project.units",
            "$.roof.parapets[edge=2].height",
            "$.array.tray.friction",
            "$..",
            "$.roof[",
            "$.array.module");

    private final TestServer server;
    private final Random random;
    private final List<String> errors = new ArrayList<>();
    private final String file;
    private double slowestS;
    private String slowest = "";

    /** @param seed the same one makes the same requests */
    public Fuzz(TestServer server, long seed) {
        this.server = server;
        this.random = new Random(seed);
        this.file = server.get(JOB + "/job.json").body();
    }

    /** What should not have been answered, with the request. */
    public List<String> errors() {
        return errors;
    }

    /** The slowest answer, in seconds. */
    public double slowestS() {
        return slowestS;
    }

    /** What was asked when the slowest answer came. */
    public String slowest() {
        return slowest;
    }

    /** One request of any kind. */
    public void any() {
        switch (random.nextInt(20)) {
            case 0, 1, 2, 3, 4, 5 -> address();
            case 6, 7, 8, 9, 10 -> form();
            case 11, 12, 13, 14, 15, 16 -> change();
            case 17 -> importedFile();
            default -> tape();
        }
    }

    private <T> T any(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private String query() {
        StringBuilder query = new StringBuilder();
        for (int i = random.nextInt(5); i > 0; i--) {
            query.append(query.length() == 0 ? "" : "&")
                    .append(any(KEYS))
                    .append('=')
                    .append(URLEncoder.encode(any(VALUES), StandardCharsets.UTF_8));
        }
        return query.toString();
    }

    private void ask(HttpRequest.Builder request, String what) {
        long from = System.nanoTime();
        HttpResponse<String> answer = server.send(request);
        double took = (System.nanoTime() - from) / 1e9;
        if (took > slowestS) {
            slowestS = took;
            slowest = what;
        }
        if (answer.statusCode() >= 500) {
            errors.add(answer.statusCode() + " " + what);
        }
        if (answer.body().contains("Exception") || answer.body().contains("at whipsaw.")) {
            errors.add("a trace in the answer to " + what);
        }
    }

    private HttpRequest.Builder to(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(server.address(path)));
        server.token().forEach(request::header);
        return request.header("Accept", random.nextBoolean() ? "text/html" : "application/json");
    }

    void address() {
        String path = any(PATHS) + "?" + query();
        ask(to(path).GET(), "GET " + path);
    }

    void form() {
        String path = any(PATHS);
        String body = query();
        String type = random.nextInt(8) == 0 ? "multipart/form-data; boundary=x" : "application/x-www-form-urlencoded";
        ask(
                to(path).header("Content-Type", type).POST(HttpRequest.BodyPublishers.ofString(body)),
                "POST " + path + " " + body);
    }

    private Object value(int depth) {
        return switch (random.nextInt(depth > 2 ? 5 : 8)) {
            case 0 -> any(VALUES);
            case 1 -> random.nextInt(2000) - 1000;
            case 2 -> random.nextDouble() * Math.pow(10, random.nextInt(600) - 300);
            case 3 -> random.nextBoolean();
            case 4 -> random.nextInt(90) + " ft";
            case 5 -> List.of(value(depth + 1), value(depth + 1));
            case 6 -> Map.of("typed", random.nextInt(900) + " mm", "m", random.nextInt(9));
            default -> {
                Map<String, Object> map = new LinkedHashMap<>();
                for (int i = random.nextInt(4); i > 0; i--) {
                    map.put(
                            any(List.of(
                                    "x",
                                    "y",
                                    "kind",
                                    "corners",
                                    "legs",
                                    "edge",
                                    "azimuth",
                                    "every",
                                    "first",
                                    "width",
                                    "id",
                                    "catalogue")),
                            value(depth + 1));
                }
                yield map;
            }
        };
    }

    void change() {
        Map<String, Object> change = new LinkedHashMap<>();
        change.put("op", any(List.of("set", "set", "set", "remove", "append", "burn")));
        change.put("path", any(DOCUMENT_PATHS));
        change.put("value", value(0));
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("base", random.nextInt(3) == 0 ? value(2) : 1 + random.nextInt(4));
        body.put("preview", random.nextInt(3) > 0);
        body.put("words", value(2));
        body.put("changes", random.nextInt(12) == 0 ? value(1) : List.of(change));
        String text = Json.write(body);
        String cut = random.nextInt(20) == 0 ? text.substring(0, random.nextInt(text.length())) : text;
        ask(
                to(JOB + "/change")
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(cut)),
                "change " + cut);
    }

    void importedFile() {
        StringBuilder text = new StringBuilder(file);
        for (int k = 1 + random.nextInt(4); k > 0; k--) {
            int at = random.nextInt(text.length());
            switch (random.nextInt(4)) {
                case 0 -> text.deleteCharAt(at);
                case 1 -> text.insert(at, any(VALUES));
                case 2 -> text.setCharAt(at, (char) (32 + random.nextInt(90)));
                default -> text.setLength(Math.max(1, at));
            }
        }
        String body = "file=" + URLEncoder.encode(text.toString(), StandardCharsets.UTF_8);
        ask(
                to("/jobs/import")
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body)),
                "import " + text.substring(0, Math.min(200, text.length())));
    }

    void tape() {
        StringBuilder text = new StringBuilder();
        for (int k = random.nextInt(8); k > 0; k--) {
            text.append(any(List.of(
                            "12' 6\"", "40 m", "left", "right 30", ",", "\n", "-", "abc", "9999999 km", "left -400")))
                    .append(' ');
        }
        String body = Json.write(Map.of("text", random.nextInt(9) == 0 ? value(0) : text.toString()));
        ask(
                to(JOB + "/tape")
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(body)),
                "tape " + body);
    }
}
