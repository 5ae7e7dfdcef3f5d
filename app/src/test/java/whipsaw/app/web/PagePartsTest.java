package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.app.store.Json;
import whipsaw.core.job.JobReader;

/** Answers that bring only what is different: put in their places they make the page that a fresh one is. */
class PagePartsTest extends ServedTest {
    private static final Pattern PART = Pattern.compile("<!--p-->(.*?)<!--/p-->", Pattern.DOTALL);
    private static final Pattern ID = Pattern.compile("\\bid=\"([^\"]+)\"");

    private static String attribute(String page, String name) {
        Matcher m = Pattern.compile(name + "=\"([^\"]*)\"").matcher(page);
        return m.find() ? m.group(1) : null;
    }

    private static Map<String, String> parts(String page) {
        Map<String, String> parts = new LinkedHashMap<>();
        Matcher m = PART.matcher(page);
        while (m.find()) {
            Matcher id = ID.matcher(m.group(1));
            assertThat(id.find()).isTrue();
            String same = m.group(1).replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "");
            assertThat(parts.put(id.group(1), same)).as(id.group(1)).isNull();
        }
        return parts;
    }

    /** The parts a partial answer brings, by the names it gives. */
    private static Map<String, String> brought(String answer) {
        String whole = answer.replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "");
        int drawn = whole.lastIndexOf("<svg>");
        String all = whole.substring(0, drawn)
                + whole.substring(drawn + "<svg>".length(), whole.length() - "</svg></div>".length());
        String[] names = attribute(answer, "data-partial").split(" ");
        Map<String, String> parts = new LinkedHashMap<>();
        int[] starts = new int[names.length + 1];
        for (int i = 0; i < names.length; i++) {
            starts[i] = all.lastIndexOf("<", all.indexOf("id=\"" + names[i] + "\""));
        }
        for (int i = 0; i < names.length; i++) {
            int end = all.length();
            for (int j = 0; j < names.length; j++) {
                end = starts[j] > starts[i] ? Math.min(end, starts[j]) : end;
            }
            parts.put(names[i], all.substring(starts[i], end));
        }
        return parts;
    }

    @Test
    void partsPutInTheirPlacesMakeThePageThatAFreshOneIs() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJob(), false).job());
        String page = server.get("/jobs/" + slug).body();
        Map<String, String> shown = parts(page);
        String rendering = attribute(page, "data-rendering");
        int base = 1;
        for (String change : List.of(
                "$.project.preparedBy=Somebody",
                "$.array.setback=7 ft",
                "$.site.wind=118 mph",
                "$.electrical.run.slackPct=12",
                "$.roof.obstructions[id=rtu-1].height=6 ft",
                "$.roof.height=31 ft",
                "$.survey.unseen=true",
                "$.project.units=metric")) {
            String path = change.substring(0, change.lastIndexOf('='));
            String text = change.substring(change.lastIndexOf('=') + 1);
            Object value = text.equals("true") ? (Object) true : text.matches("\\d+") ? Integer.valueOf(text) : text;
            String answer = server.post(
                            "/jobs/" + slug + "/change",
                            Json.write(Map.of(
                                    "base",
                                    base,
                                    "changes",
                                    List.of(Map.of("op", "set", "path", path, "value", value)))),
                            "X-Have",
                            rendering)
                    .body();
            String fresh = server.get("/jobs/" + slug + "/bench?from=" + base).body();
            base++;
            assertThat(attribute(answer, "data-revision")).as(change).isEqualTo(String.valueOf(base));
            rendering = attribute(answer, "data-rendering");
            if (attribute(answer, "data-partial") == null) {
                shown = parts(answer);
            } else {
                brought(answer).forEach(shown::replace);
                assertThat(answer.length()).as(change).isLessThan(fresh.length());
            }
            Map<String, String> wanted = parts(fresh);
            assertThat(shown.keySet()).as(change).isEqualTo(wanted.keySet());
            for (Map.Entry<String, String> part : wanted.entrySet()) {
                assertThat(shown.get(part.getKey()).strip())
                        .as(change + ", part " + part.getKey())
                        .isEqualTo(part.getValue().strip());
            }
            assertThat(attribute(fresh, "data-rendering")).as(change).isEqualTo(rendering);
        }
        String text = server.post(
                        "/jobs/" + slug + "/change",
                        Json.write(Map.of(
                                "base",
                                base,
                                "changes",
                                List.of(Map.of("op", "set", "path", "$.project.place", "value", "Elsewhere")))),
                        "X-Have",
                        rendering)
                .body();
        assertThat(text.length()).isLessThan(15_000);
        assertThat(server.get("/jobs/" + slug + "/bench?from=" + base).body()).hasSizeGreaterThan(150_000);
    }
}
