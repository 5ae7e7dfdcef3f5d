package whipsaw.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.design.Jobs;

/** Edits of different things go together, edits of one thing do not. */
class DocumentMergeTest {
    private static final Map<String, Object> BASE =
            JobWriter.write(Jobs.job("roof.obstructions", List.of(thing("a", "5 m"), thing("b", "15 m"))));

    private static Map<String, Object> thing(String id, String x) {
        return Map.of(
                "id", id, "name", "Vent " + id, "x", x, "y", "5 m", "width", "1 m", "depth", "1 m", "height", "1 m");
    }

    private static DocumentPatch.Change set(String path, Object value) {
        return change("set", path, value);
    }

    private static DocumentPatch.Change change(String op, String path, Object value) {
        return new DocumentPatch.Change(op, JobPaths.absolute(path, Jobs.job()), value);
    }

    @ParameterizedTest
    @CsvSource({
        "$.array.tilt, $.roof.height, false",
        "$.array.tilt, $.array.tilt, true",
        "$.roof.obstructions[id=a].x, $.roof.obstructions[id=b].x, false",
        "$.roof.obstructions[id=a].x, $.roof.obstructions[id=a].y, false",
        "$.roof.obstructions[id=a].x, $.roof.obstructions[id=a].x, true",
        "$.roof.height, $.roof.heights, false"
    })
    void onlyTheSameThingClashes(String theirs, String mine, boolean clash) {
        Map<String, Object> now = DocumentPatch.apply(BASE, List.of(set(theirs, "7.5 m")));
        assertThat(DocumentMerge.clash(BASE, now, List.of(set(mine, "8 m")))).isEqualTo(clash);
    }

    @Test
    void twoNewThingsGoTogetherAndAThingThatIsGoneDoesNot() {
        DocumentPatch.Change mine = change("append", "$.roof.obstructions", thing("d", "30 m"));
        DocumentPatch.Change theirs = change("append", "$.roof.obstructions", thing("c", "25 m"));
        assertThat(DocumentMerge.clash(BASE, DocumentPatch.apply(BASE, List.of(theirs)), List.of(mine)))
                .isFalse();
        DocumentPatch.Change gone = change("remove", "$.roof.obstructions[id=a]", null);
        Map<String, Object> without = DocumentPatch.apply(BASE, List.of(gone));
        assertThat(DocumentMerge.clash(BASE, without, List.of(set("$.roof.obstructions[id=a].x", "6 m"))))
                .isTrue();
        assertThat(DocumentMerge.clash(BASE, without, List.of(set("$.roof.obstructions", List.of()))))
                .isTrue();
        assertThat(DocumentMerge.clash(BASE, BASE, List.of(set("$.array.tilt", "5 deg"))))
                .isFalse();
    }

    /** A corner of an area is known by its number, so the whole area is one thing; the areas of two arrays are two. */
    @Test
    void theAreaOfAnArrayIsOneThing() {
        Map<String, Object> corner = Map.of("x", "1 m", "y", "1 m");
        Map<String, Object> base = DocumentPatch.apply(
                BASE,
                List.of(set(
                        "$.array.area",
                        List.of(corner, Map.of("x", "9 m", "y", "1 m"), Map.of("x", "9 m", "y", "9 m")))));
        Map<String, Object> now = DocumentPatch.apply(base, List.of(set("$.array.area[1].x", "8 m")));
        assertThat(DocumentMerge.clash(base, now, List.of(set("$.array.area[2].y", "8 m"))))
                .isTrue();
        assertThat(DocumentMerge.clash(base, now, List.of(set("$.arrays[id=B].area[2].y", "8 m"))))
                .isFalse();
    }

    /** Entries with no id are known by their place alone, which another edit may have shifted. */
    @Test
    void listsWithoutIdsAreOneThing() {
        Map<String, Object> now =
                DocumentPatch.apply(BASE, List.of(change("append", "$.array.removed", Map.of("x", "9 m", "y", "9 m"))));
        DocumentPatch.Change mine = change("append", "$.array.removed", Map.of("x", "12 m", "y", "9 m"));
        assertThat(DocumentMerge.clash(BASE, now, List.of(mine))).isTrue();
        assertThat(DocumentMerge.thing("$.roof.parapets[edge=2].height")).isEqualTo("$.roof.parapets");
        assertThat(DocumentMerge.thing("$.survey.routes[id=r].legs[2].length")).isEqualTo("$.survey.routes[id=r].legs");
    }
}
