package whipsaw.core.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.DynamicTest.dynamicTest;

import java.io.InputStream;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.ObjectMapper;
import whipsaw.core.table.CodeTables;

/** Every reference case of a topic that exists, from the files beside these tests. */
class ReferenceCasesTest {
    private final Topics topics = new Topics(CodeTables.shipped());
    private final CaseRunner runner = new CaseRunner(topics);

    @TestFactory
    Stream<DynamicTest> cases() {
        return Stream.of("structural", "electrical", "solar")
                .flatMap(name -> read(name).stream())
                .filter(c -> topics.named((String) c.get("topic")) != null)
                .map(c -> dynamicTest(
                        c.get("topic") + " " + c.get("id"),
                        () -> assertThat(runner.run(c).misses()).isEmpty()));
    }

    @Test
    void everyTopicHasACase() {
        List<Object> covered = Stream.of("structural", "electrical", "solar")
                .flatMap(name -> read(name).stream())
                .map(c -> (Object) c.get("topic"))
                .toList();
        assertThat(topics.all()).allSatisfy(topic -> assertThat(covered).contains(topic.name()));
    }

    @Test
    @SuppressWarnings("unchecked")
    void aWrongExpectationIsAMiss() {
        Map<String, Object> wrong =
                new java.util.LinkedHashMap<>(read("structural").get(0));
        Map<String, Object> expected = new java.util.LinkedHashMap<>((Map<String, Object>) wrong.get("expected"));
        expected.put("Kz", 0.99);
        wrong.put("expected", expected);
        assertThat(runner.run(wrong).misses()).hasSize(1).first().asString().contains("Kz");
    }

    /** Every result of every case is called in words, with a unit, and its working is worked out again. */
    @Test
    @SuppressWarnings("unchecked")
    void resultsAreShownInWordsWithTheirWorking() {
        Set<String> worked = new HashSet<>();
        for (Map<String, Object> c : all()) {
            Topic topic = topics.named((String) c.get("topic"));
            if (topic == null) {
                continue;
            }
            CalcOutputs out = topic.compute((Map<String, ?>) c.get("inputs"));
            assertThat(Results.of(out.values())).as(topic.name()).isNotEmpty().allSatisfy(r -> assertThat(
                            r.words() + r.value())
                    .doesNotContain("_psf", "_kPa", "[]", "{"));
            if (!out.steps().isEmpty()) {
                worked.add(topic.name());
            }
        }
        assertThat(worked).hasSizeGreaterThanOrEqualTo(13);
        Map<String, Object> drop =
                Map.of("drop_V", 5.892, "drop_pct", 1.2, "governing", "voltage_drop", "hb_ft", 2.0, "hb_m", 0.6096);
        assertThat(Results.of(new TreeMap<>(drop)))
                .extracting(r -> r.words() + " " + r.value())
                .containsExactly(
                        "voltage drop 5.892 V",
                        "voltage drop 1.2 %",
                        "governed by voltage drop",
                        "height of the balanced snow 2 ft [0.6096 m]");
    }

    @Test
    void twinsThatDisagreeAreRefused() {
        var inputs = new java.util.LinkedHashMap<String, Object>();
        inputs.put("d1_edge_ft", 40);
        inputs.put("d1_edge_m", 13);
        inputs.put("h_ft", 30);
        inputs.put("h2_ft", 1.5);
        assertThat(org.assertj.core.api.Assertions.catchThrowable(
                        () -> topics.named("panel_exposed").run(inputs)))
                .isInstanceOf(CalcException.class)
                .hasMessageContaining("d1_edge_m")
                .hasMessageContaining("disagrees");
    }

    static List<Map<String, Object>> all() {
        return Stream.of("structural", "electrical", "solar")
                .flatMap(name -> read(name).stream())
                .toList();
    }

    @SuppressWarnings("unchecked")
    private static List<Map<String, Object>> read(String name) {
        try (InputStream in = ReferenceCasesTest.class.getResourceAsStream("/cases/" + name + "-cases.json")) {
            return (List<Map<String, Object>>)
                    new ObjectMapper().readValue(in, Map.class).get("cases");
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
