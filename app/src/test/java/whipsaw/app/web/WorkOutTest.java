package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.job.JobService;
import whipsaw.app.store.Json;
import whipsaw.core.job.DocumentPatch;

/** Asked for in the words of the trade, over the wire: what comes back, and what is refused. */
@OwnServer
class WorkOutTest extends ServedTest {
    private static final String HALL = "/jobs/milepost-hall/work-out";
    private static final String DEPOT = "/jobs/tannerby-bus-depot";

    private static HttpResponse<String> ask(String address, Map<String, Object> body) {
        return server.post(address, Json.write(body));
    }

    @SuppressWarnings("unchecked")
    private static List<Map<String, Object>> changes(Map<String, Object> body) {
        HttpResponse<String> answer = ask(HALL, body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return (List<Map<String, Object>>) Json.object(answer.body()).get("changes");
    }

    private static String refused(Map<String, Object> body) {
        HttpResponse<String> answer = ask(HALL, body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        return answer.body();
    }

    @Test
    void aPlaceFromTwoEdgesBecomesCoordinatesInTheUnitOfTheJob() {
        var changes = changes(Map.of("what", "place", "id", "hatch", "text", "10' from edge 1 and 6 m from edge 4"));
        // edge 1 has a parapet of 10 in, edge 4 too: the tape touches its inner face
        assertThat(changes.get(1).get("value")).isEqualTo("10.83333 ft");
        assertThat(changes.get(2)).containsEntry("value", "10' from edge 1 and 6 m from edge 4");
        assertThat(changes(Map.of("what", "place", "id", "hatch", "text", "")))
                .singleElement()
                .satisfies(c -> assertThat(c.get("op")).isEqualTo("remove"));
        assertThat(refused(Map.of("what", "place", "id", "hatch", "text", "10' from edge 9, 1' from 1")))
                .contains("edges 1 to 4");
        assertThat(refused(Map.of("what", "place", "id", "gone", "text", "1' from 1, 1' from 2")))
                .contains("not on this roof");
    }

    /** What cannot be done by hand is refused in words, whatever the request looks like, and nothing comes back to store. */
    @Test
    void handWorkThatMakesNoSenseIsRefusedInWords() {
        assertThat(refused(Map.of("what", "lock-rows", "positions", List.of("99-99", "x"))))
                .contains("no row is picked");
        assertThat(refused(Map.of("what", "lock-rows"))).contains("no row is picked");
        assertThat(refused(Map.of("what", "shift-rows", "positions", List.of("3-4"), "by", "a bit")))
                .contains("a bit")
                .contains("for example 3 m");
        assertThat(refused(Map.of("what", "align-rows", "positions", List.of("3-4"))))
                .contains("in line with the next ones already");
        assertThat(refused(Map.of("what", "unlock-rows", "positions", List.of("3-4"))))
                .contains("neither locked nor shifted");
        // a break has to be wider than the gap there is
        assertThat(refused(Map.of("what", "cut-rows", "positions", List.of("3-4"), "by", "10 mm")))
                .contains("13/16 in");
        assertThat(refused(Map.of("what", "fill", "points", List.of(Map.of("x", 1, "y", 1)))))
                .contains("two points");
        assertThat(refused(Map.of("what", "put-in", "points", List.of(Map.of("x", -900, "y", 0)))))
                .contains("no free place of the rows");
        assertThat(refused(Map.of("what", "put-in", "points", List.of()))).contains("no free place");
        assertThat(refused(Map.of("what", "mirror"))).contains("nothing to mirror");
        assertThat(refused(Map.of("what", "clear-hand"))).contains("done by hand");
        // a shift beyond what a row may have is told at its field when it is stored
        Object far = Json.object(ask(HALL, Map.of("what", "shift-rows", "positions", List.of("3-4"), "by", "90 ft"))
                        .body())
                .get("changes");
        HttpResponse<String> stored =
                server.post("/jobs/milepost-hall/change", Json.write(Map.of("base", 1, "changes", far)));
        assertThat(stored.statusCode()).isEqualTo(422);
        assertThat(stored.body()).contains("Shift of the row");
        assertThat(server.bean(JobService.class)
                        .open("milepost-hall")
                        .revision()
                        .number())
                .isEqualTo(1);
    }

    /** The shift with most modules, made and named in the history; asked for again there is none. */
    @Test
    void theShiftWithMostModulesIsMadeOnceAndNamed() {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.create(jobs.open("milepost-hall").design().job());
        String address = "/jobs/" + slug;
        int before = jobs.open(slug).design().layout().modules().size();
        HttpResponse<String> asked = ask(address + "/work-out", Map.of("what", "best-shift"));
        Object changes = Json.object(asked.body()).get("changes");
        assertThat(ask(address + "/change", Map.of("base", 1, "changes", changes))
                        .statusCode())
                .isEqualTo(200);
        int after = jobs.open(slug).design().layout().modules().size();
        assertThat(after).isGreaterThan(before);
        assertThat(jobs.open(slug).revision().words())
                .isEqualTo("array A shifted for most modules: " + after
                        + " modules, the most any shift of these rows places");
        HttpResponse<String> again = ask(address + "/work-out", Map.of("what", "best-shift"));
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("is shifted for most modules already: " + after);
    }

    @Test
    void pointsOffTheSheetAreRefusedBeforeTheyAreDrawn() {
        for (double x : new double[] {2001, -1e300, 1e300}) {
            var line = List.of(Map.of("x", x, "y", 0), Map.of("x", -x, "y", 5));
            assertThat(refused(Map.of("what", "split-array", "points", line))).contains("-2000 to 2000 m");
            assertThat(refused(Map.of("what", "add-array", "points", line))).contains("-2000 to 2000 m");
        }
    }

    @Test
    void copiesCountTheirNamesOnAndStayWithinTheirLimit() {
        var changes = changes(Map.of(
                "what", "repeat", "id", "sky-1", "columns", "2", "rows", "2", "alongX", "16 ft", "alongY", "-10'"));
        assertThat(changes).hasSize(3);
        Map<?, ?> last = (Map<?, ?>) changes.get(2).get("value");
        assertThat(last.get("name")).isEqualTo("Skylight 4");
        assertThat(last.get("x")).isEqualTo("96 ft");
        assertThat(last.get("y")).isEqualTo("51 ft");
        assertThat(refused(Map.of("what", "repeat", "id", "sky-1", "columns", "1", "rows", "1")))
                .contains("2 to 400");
        assertThat(refused(Map.of(
                        "what", "repeat", "id", "sky-1", "columns", "90", "rows", "90", "alongX", "1 ft", "alongY",
                        "1 ft")))
                .contains("2 to 400");
        assertThat(refused(Map.of("what", "repeat", "id", "sky-1", "columns", "two", "rows", "1")))
                .contains("no whole number");
        assertThat(refused(Map.of("what", "repeat", "id", "sky-1", "columns", "2", "rows", "1", "alongX", "far")))
                .contains("for example 3 m");
    }

    @Test
    void aFormIsMadeOrRefusedInWords() {
        var gable = changes(Map.of("what", "form", "kind", "gable", "edge", "1", "steepness", "5 deg", "count", "1"));
        assertThat(String.valueOf(gable.get(0).get("value"))).contains("folded").contains("edge=1");
        assertThat(changes(Map.of("what", "form", "kind", "flat")).get(0)).containsEntry("op", "remove");
        assertThat(refused(Map.of("what", "form", "kind", "dome", "edge", "1", "steepness", "5 deg", "count", "1")))
                .contains("Form of the roof");
        assertThat(refused(Map.of("what", "form", "kind", "spans", "edge", "1", "steepness", "5 deg", "count", "900")))
                .contains("1 to 60");
        assertThat(ask(HALL, Map.of("what", "coffee")).statusCode()).isEqualTo(400);
    }

    @Test
    void lengthsAreReadAsEverywhereAndAPictureNeedsToBeThere() {
        assertThat((Double) changes(Map.of("what", "length", "text", "12' 6 1/2\""))
                        .get(0)
                        .get("m"))
                .isCloseTo(3.8227, within(1e-4));
        assertThat(refused(Map.of("what", "length", "text", "12,5"))).contains("comma");
        assertThat(refused(Map.of("what", "scale", "text", "3 m", "ax", 0, "ay", 0, "bx", 1, "by", 0)))
                .contains("not there any more");
        assertThat(refused(Map.of("what", "remove-roof", "id", "r1"))).contains("it stays");
        assertThat(refused(Map.of("what", "split-array", "points", List.of()))).contains("two points");
        assertThat(refused(Map.of("what", "add-array", "points", List.of(Map.of("x", 1)))))
                .contains("x and y");
        assertThat(refused(Map.of("what", "add-roof", "name", ""))).contains("Annex");
    }

    @Test
    void aPictureTurnedLevelKeepsItsFirstPointAndItsScale() {
        JobService jobs = server.bean(JobService.class);
        int base = jobs.open("quarrybank-cold-store").revision().number();
        jobs.change(
                "quarrybank-cold-store",
                base,
                List.of(new DocumentPatch.Change(
                        "set",
                        "$.survey.underlay",
                        Map.of(
                                "picture",
                                "p",
                                "x",
                                "1 m",
                                "y",
                                "2 m",
                                "metresPerPixel",
                                0.1,
                                "turnDeg",
                                0,
                                "opacityPct",
                                50))));
        HttpResponse<String> answer = ask(
                "/jobs/quarrybank-cold-store/work-out",
                Map.of("what", "scale", "text", "10 m", "ax", 1, "ay", 2, "bx", 4, "by", 6, "level", true));
        @SuppressWarnings("unchecked")
        var changes = (List<Map<String, Object>>) Json.object(answer.body()).get("changes");
        assertThat((Double) changes.get(0).get("value")).isCloseTo(0.2, within(1e-12));
        assertThat((Double) changes.get(1).get("value")).isCloseTo(-Math.toDegrees(Math.atan2(4, 3)), within(1e-9));
        assertThat(changes.get(2).get("value")).isEqualTo("3.28084 ft"); // 1 m in a job shown in feet
    }

    @Test
    void theSurveySheetKeepsWhatWasTypedWhenAnotherWindowWasFirst() {
        JobService jobs = server.bean(JobService.class);
        int base = jobs.open("tannerby-bus-depot").revision().number();
        Map<String, Object> theirs = Map.of("value", "6 to 8", "how", "told");
        jobs.change(
                "tannerby-bus-depot",
                base,
                List.of(new DocumentPatch.Change("set", "$.survey.answers.openingHours", theirs)));
        HttpResponse<String> late = server.form(
                DEPOT + "/survey",
                Map.of("base", String.valueOf(base), "a.openingHours", "5 to 9", "h.openingHours", "told"));
        assertThat(late.body()).contains("Another window changed this job", "value=\"5 to 9\"");
        assertThat(jobs.open("tannerby-bus-depot").design().job().survey().text("openingHours"))
                .isEqualTo("6 to 8");
        HttpResponse<String> again = server.form(
                DEPOT + "/survey",
                Map.of(
                        "base",
                        String.valueOf(base + 1),
                        "a.openingHours",
                        "5 to 9",
                        "h.openingHours",
                        "told",
                        "a.coverAge",
                        ""));
        assertThat(again.statusCode()).isEqualTo(302);
        var survey = jobs.open("tannerby-bus-depot").design().job().survey();
        assertThat(survey.text("openingHours")).isEqualTo("5 to 9");
        assertThat(survey.answers()).as("an answer taken back").doesNotContainKey("coverAge");
        int now = jobs.open("tannerby-bus-depot").revision().number();
        server.form(
                DEPOT + "/survey",
                Map.of("base", String.valueOf(now), "a.openingHours", "5 to 9", "h.openingHours", "told"));
        assertThat(jobs.open("tannerby-bus-depot").revision().number())
                .as("nothing new, nothing stored")
                .isEqualTo(now);
    }

    @Test
    void aLaserReadingIsTakenWithItsTokenAndOnlyAsALength() {
        int before =
                ((Number) Json.object(server.get("/instruments/laser").body()).get("last")).intValue();
        HttpResponse<String> taken = server.post("/instruments/laser", "{\"length\":\"12' 6\\\"\",\"from\":\"test\"}");
        assertThat(Json.object(taken.body())).containsEntry("m", 3.81).containsEntry("number", before + 1);
        for (String wrong : List.of("3.2", "far", "0 m", "400 m", "-2 m")) {
            HttpResponse<String> answer = server.post("/instruments/laser", Json.write(Map.of("length", wrong)));
            assertThat(answer.statusCode()).as(wrong).isEqualTo(422);
            assertThat(answer.body()).contains("3.214 m");
        }
        List<?> after = Json.list(
                server.get("/instruments/laser/readings?after=" + before).body());
        assertThat(after).hasSize(1);
        assertThat(Json.list(server.get("/instruments/laser/readings?after=" + (before + 1))
                        .body()))
                .isEmpty();
    }

    @Test
    void theSheetForTheVisitIsAPdfAndFieldsComeOneByOne() {
        byte[] pdf = server.bytes(DEPOT + "/survey/blank.pdf");
        assertThat(new String(pdf, 0, 5, java.nio.charset.StandardCharsets.US_ASCII))
                .isEqualTo("%PDF-");
        assertThat(server.get(DEPOT + "/fields?path=$.roof.obstructions%5Bid=flue%5D")
                        .body())
                .contains("Exhaust drifts to", "by its kind");
        assertThat(server.get(DEPOT + "/fields?path=$.roof.nothing").statusCode())
                .isEqualTo(404);
        assertThat(server.get("/pictures/none").statusCode()).isEqualTo(404);
        assertThat(server.get(DEPOT + "/survey/blank.pdf?paper=papyrus").body()).contains("none of a4");
        HttpResponse<String> geo = server.get(DEPOT + "/plan.geojson");
        assertThat(geo.headers().firstValue("Content-Type").orElse("")).startsWith("application/geo+json");
        assertThat(geo.body()).contains("\"layer\":\"FACE\"", "\"layer\":\"PINS\"");
    }
}
