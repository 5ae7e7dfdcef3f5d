package whipsaw.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.store.Json;
import whipsaw.app.store.Revision;

/** The history says what was done, in words of the server's own. */
@OwnServer
class HistoryWordsTest extends ServedTest {
    private static final String SLUG = "quarrybank-cold-store";
    private static final Pattern WAY =
            Pattern.compile("<span>([^<]+)</span></p>.*?data-way=\"([^\"]+)\"", Pattern.DOTALL);

    private static Revision newest() {
        return server.bean(JobService.class).history(SLUG, 1).get(0);
    }

    private static void change(Object changes) {
        String body =
                Json.write(Map.of("base", newest().number(), "words", "Approved by the engineer", "changes", changes));
        assertThat(server.post("/jobs/" + SLUG + "/change", body).statusCode()).isEqualTo(200);
    }

    @Test
    void aPageCannotWriteIntoTheHistory() {
        change(List.of(Map.of("op", "set", "path", "$.roof.upAzimuth", "value", "12 deg")));
        assertThat(newest().words()).contains("12").doesNotContain("Approved");
    }

    /** A way out that was offered stands in the history as it was offered; another one does not borrow its words. */
    @Test
    @SuppressWarnings("unchecked")
    void aWayOutKeepsItsWords() {
        change(List.of(Map.of(
                "op",
                "set",
                "path",
                "$.roof.allowance",
                "value",
                Map.of("load", "3 psf", "givenBy", "A", "date", "2026-01-02"))));
        Matcher way = WAY.matcher(
                server.get("/jobs/" + SLUG + "/ways?check=roof.window&ask=a1").body());
        assertThat(way.find()).isTrue();
        List<Object> changes = (List<Object>) Json.object("{\"c\":" + HtmlUtils.htmlUnescape(way.group(2)) + "}")
                .get("c");
        change(changes);
        assertThat(newest().words()).isEqualTo(HtmlUtils.htmlUnescape(way.group(1)));
    }

    /** The same change is known whatever the order of its keys and the look of its numbers, and no other one is. */
    @Test
    void onlyTheChangeThatWasOfferedHasItsWords() {
        Suggested offers = new Suggested();
        offers.offer("a", List.of(Map.of("op", "set", "path", "$.x", "value", List.of(10, "b"))), "words");
        assertThat(offers.words("a", Json.list("[{\"value\":[10.0,\"b\"],\"path\":\"$.x\",\"op\":\"set\"}]")))
                .isEqualTo("words");
        for (String other : List.of(
                "[{\"value\":[10,\"c\"],\"path\":\"$.x\",\"op\":\"set\"}]",
                "[{\"value\":[[10,\"b\"]],\"path\":\"$.x\",\"op\":\"set\"}]",
                "[{\"value\":1e999,\"path\":\"$.x\",\"op\":\"set\"}]",
                "[null,[]]")) {
            assertThat(offers.words("a", Json.list(other))).as(other).isNull();
        }
        assertThat(offers.words("b", List.of(Map.of("op", "set", "path", "$.x", "value", List.of(10, "b")))))
                .isNull();
    }

    @Test
    void aSearchNobodyWaitsForEnds() {
        Running running = server.bean(Running.class);
        BooleanSupplier enough = running.begun("b2");
        assertThat(enough.getAsBoolean()).isFalse();
        assertThat(server.post("/stop", "{\"ask\":\"b2\"}").statusCode()).isEqualTo(204);
        assertThat(enough.getAsBoolean()).isTrue();
        assertThat(running.begun("").getAsBoolean()).isFalse();
    }
}
