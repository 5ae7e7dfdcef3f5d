package whipsaw.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.design.Jobs;

/** What version 4 of the document added: lists of spacings, kinds and shapes, build-ups and notes by key. */
class SurveyDocumentTest {
    private static Map<String, Object> patched(Map<String, Object> document, String op, String path, Object value) {
        return DocumentPatch.apply(document, List.of(new DocumentPatch.Change(op, path, value)));
    }

    private static List<String> problems(String path, Object value) {
        return JobReader.read(patched(Jobs.document("paired-roof"), "set", path, value), false).problems().stream()
                .map(p -> p.path() + ": " + p.message())
                .toList();
    }

    private static Job read(Map<String, Object> document) {
        var reading = JobReader.read(document, false);
        assertThat(reading.problems()).isEmpty();
        return reading.job();
    }

    @Test
    void aBuildUpOrANoteComesIntoBeingWithItsFirstField() {
        Map<String, Object> document =
                patched(Jobs.document("paired-roof"), "set", "$.roof.buildUps[face=2].ribPitch", "250 mm");
        document = patched(document, "set", "$.roof.buildUps[face=2].purlins", "0.3 m, 3 @ 1.5 m");
        document = patched(document, "set", "$.roof.bayNotes[bay=B2].ponds", true);
        document = patched(document, "set", "$.roof.bayNotes[bay=B2].note", "by the drain");
        Job job = read(document);
        assertThat(job.roof().fabric().buildUps()).singleElement().satisfies(b -> {
            assertThat(b.face()).isEqualTo(2);
            assertThat(b.sheet().pitch().si()).isEqualTo(0.25);
            assertThat(b.purlins().metres()).hasSize(4);
        });
        assertThat(job.roof().fabric().bayNotes()).singleElement().satisfies(n -> {
            assertThat(n.bay()).isEqualTo("B2");
            assertThat(n.ponds()).isTrue();
        });
        assertThat(read(patched(document, "remove", "$.roof.bayNotes[bay=B2]", null))
                        .roof()
                        .fabric()
                        .bayNotes())
                .isEmpty();
        Map<String, Object> whole = document;
        assertThatThrownBy(() -> patched(whole, "set", "$.roof.obstructions[id=none].name", "x"))
                .hasMessageContaining("nothing at");
    }

    @Test
    void theBuildUpOfAllFacesHoldsWhereAFaceHasNoneOfItsOwn() {
        Map<String, Object> document = patched(
                Jobs.document("paired-roof"),
                "set",
                "$.roof.buildUps",
                List.of(Map.of("face", 0, "ribPitch", "300 mm"), Map.of("face", 3, "ribPitch", "200 mm")));
        Fabric fabric = read(document).roof().fabric();
        assertThat(fabric.buildUp(3).sheet().pitch().si()).isEqualTo(0.2);
        assertThat(fabric.buildUp(1).sheet().pitch().si()).isEqualTo(0.3);
        assertThat(Fabric.PLAIN.buildUp(1)).isNull();
    }

    @Test
    void aBayOfTheThirdVersionBecomesAListOfOne() {
        Map<String, Object> document = new LinkedHashMap<>(Jobs.document("paired-roof"));
        document.put("schema", 3);
        document.remove("survey");
        Map<String, Object> third = patched(
                document,
                "set",
                "$.roof.bays",
                Map.of("alongX", Map.of("typed", "6 m", "m", 6.0), "alongY", Map.of("typed", "20 ft", "m", 6.096)));
        Job job = read(third);
        assertThat(job.roof().bays().alongX().metres()).containsExactly(6.0);
        assertThat(job.roof().bays().alongY().typed()).isEqualTo("20 ft");
        assertThat(job.survey()).isEqualTo(Survey.NONE);
        assertThat(JobWriter.write(job)).containsEntry("schema", 6).doesNotContainKey("survey");
    }

    @Test
    void aThingWithoutADistanceKeepsThatOfItsKind() {
        Map<String, Object> thing = new LinkedHashMap<>(Map.of(
                "id",
                "s",
                "name",
                "Light",
                "kind",
                "skylight",
                "x",
                "3 m",
                "y",
                "3 m",
                "width",
                "1 m",
                "depth",
                "2 m",
                "height",
                "0.1 m"));
        Job job = read(patched(Jobs.document("paired-roof"), "set", "$.roof.obstructions", List.of(thing)));
        Obstruction light = job.roof().obstructions().get(0);
        assertThat(ObstructionKinds.clearM(light)).isEqualTo(0.6);
        assertThat(ObstructionKinds.fragile(light)).isTrue();
        assertThat(ObstructionKinds.shades(light)).isFalse();
        thing.put("clear", "1.5 m");
        thing.put("shades", true);
        thing.put("fragile", false);
        Obstruction own = read(patched(Jobs.document("paired-roof"), "set", "$.roof.obstructions", List.of(thing)))
                .roof()
                .obstructions()
                .get(0);
        assertThat(ObstructionKinds.clearM(own)).isEqualTo(1.5);
        assertThat(ObstructionKinds.shades(own)).isTrue();
        assertThat(ObstructionKinds.fragile(own)).isFalse();
        assertThat(ObstructionKinds.names()).contains(ObstructionKinds.USUAL, "flue", "drain", "expansion joint");
    }

    @Test
    void whatCannotBeIsRefusedAtItsPath() {
        Map<String, Object> bare = Map.of("id", "a", "name", "A", "x", "1 m", "y", "1 m", "height", "1 m");
        assertThat(problems("$.roof.obstructions", List.of(bare)))
                .anyMatch(p -> p.startsWith("$.roof.obstructions[0].width"));
        Map<String, Object> polygon = new LinkedHashMap<>(bare);
        polygon.put("shape", "polygon");
        assertThat(problems("$.roof.obstructions", List.of(polygon))).anyMatch(p -> p.contains("3 to 400"));
        polygon.put(
                "corners",
                List.of(
                        Map.of("x", "1 m", "y", "0 m"),
                        Map.of("x", "2 m", "y", "0 m"),
                        Map.of("x", "2 m", "y", "2 m")));
        assertThat(problems("$.roof.obstructions", List.of(polygon)))
                .anyMatch(p -> p.contains("lower left of the box"));
        Map<String, Object> kind = new LinkedHashMap<>(bare);
        kind.put("kind", "elephant");
        assertThat(problems("$.roof.obstructions", List.of(kind))).anyMatch(p -> p.contains("skylight"));
        assertThat(problems("$.roof.bays", Map.of("alongX", "6", "alongY", "6 m")))
                .anyMatch(p -> p.startsWith("$.roof.bays.alongX") && p.contains("has no unit"));
        assertThat(problems("$.roof.bays", Map.of("alongX", "6 m, 0.2 m", "alongY", "6 m")))
                .anyMatch(p -> p.contains("outside its range"));
        assertThat(problems(
                        "$.survey",
                        Map.of("pins", List.of(Map.of("id", "p", "kind", "dragon", "x", "1 m", "y", "1 m")))))
                .anyMatch(p -> p.startsWith("$.survey.pins[0].kind") && p.contains("ladder"));
        assertThat(problems(
                        "$.survey", Map.of("occupants", List.of(Map.of("id", "o", "name", "N", "kw", List.of(1, 2))))))
                .anyMatch(p -> p.contains("24 numbers"));
        assertThat(problems("$.survey", Map.of("answers", Map.of("colour", Map.of("value", "red")))))
                .anyMatch(p -> p.startsWith("$.survey.answers.colour") && p.contains("not known here"));
        assertThat(problems("$.survey", Map.of("answers", Map.of("gravel", Map.of("value", "yes", "how", "guessed")))))
                .anyMatch(p -> p.startsWith("$.survey.answers.gravel.how"));
        assertThat(problems("$.roof.form", Map.of("kind", "dome"))).anyMatch(p -> p.contains("flat, folded, hipped"));
    }

    @Test
    void anAnswerTypedAsAnAssumptionIsOne() {
        Job job = read(patched(
                Jobs.document("paired-roof"),
                "set",
                "$.survey",
                Map.of("answers", Map.of("coast", Map.of("value", "~2 mi", "how", "measured")))));
        assertThat(job.survey().answers().get("coast").how()).isEqualTo(Survey.How.ASSUMED);
        assertThat(job.survey().number("coast")).isEqualTo(3218.688);
    }
}
