package whipsaw.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DocumentPatchTest {

    private static Map<String, Object> document() {
        Map<String, Object> vent = new LinkedHashMap<>(Map.of("id", "v-1", "x", "3 m"));
        Map<String, Object> roof = new LinkedHashMap<>();
        roof.put("height", "6 m");
        roof.put("vents", new ArrayList<>(List.of(vent)));
        Map<String, Object> root = new LinkedHashMap<>();
        root.put("roof", roof);
        return root;
    }

    private static Map<String, Object> apply(String op, String path, Object value) {
        return DocumentPatch.apply(document(), List.of(new DocumentPatch.Change(op, path, value)));
    }

    @Test
    void setsRemovesAndAppendsWithoutTouchingTheOriginal() {
        Map<String, Object> before = document();
        List<DocumentPatch.Change> changes = List.of(
                new DocumentPatch.Change("set", "$.roof.height", "7 m"),
                new DocumentPatch.Change("set", "$.roof.vents[id=v-1].x", "4 m"),
                new DocumentPatch.Change("append", "$.roof.vents", Map.of("id", "v-2", "x", "5 m")),
                new DocumentPatch.Change("set", "$.roof.vents[1].x", "6 m"));
        Map<String, Object> after = DocumentPatch.apply(before, changes);
        assertThat(before).isEqualTo(document());
        assertThat(after.toString())
                .contains("height=7 m", "v-1", "x=4 m", "x=6 m")
                .doesNotContain("5 m");
        assertThat(apply("remove", "$.roof.vents[id=v-1]", null).toString()).doesNotContain("v-1");
    }

    @Test
    void whatIsAbsentIsRemovedAlreadyButAThingThatIsGoneIsRefused() {
        for (String absent : List.of("$.roof.nothing", "$.roof.deck.span", "$.roof.parapets[edge=3].height")) {
            assertThat(apply("remove", absent, null)).as(absent).isEqualTo(document());
        }
        for (String gone : List.of("$.roof.vents[id=v-9]", "$.roof.vents[1]", "$.roof.vents[id=v-9].x", "$.roof[0]")) {
            assertThatThrownBy(() -> apply("remove", gone, null)).as(gone).isInstanceOf(DocumentPatch.BadPatch.class);
        }
    }

    @Test
    void anEdgeThatHasNoParapetYetGetsOne() {
        assertThat(apply("set", "$.roof.parapets[edge=3].height", "1 m").toString())
                .contains("parapets=[{edge=3, height=1 m}]");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "roof",
                "$",
                "$.roof..x",
                "$.roof.vents[id=none].x",
                "$.roof.vents[7].x",
                "$.roof.vents[99999999999].x",
                "$.roof.vents[edge=two].x",
                "$.roof.height.x",
                "$.roof[0]",
                "$.ro of"
            })
    void pathsThatLeadNowhereAreRefused(String path) {
        assertThatThrownBy(() -> apply("set", path, "1")).isInstanceOf(DocumentPatch.BadPatch.class);
    }
}
