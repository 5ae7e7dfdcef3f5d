package whipsaw.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import whipsaw.core.design.Jobs;
import whipsaw.core.schema.Problem;

class JobDocumentTest {

    @Test
    void writingAndReadingGivesAnEqualJobAndKeepsWhatWasTyped() {
        Job job = Jobs.job("roof.height", "~19' 8 1/2\"", "array.setback", "4 ft");
        Map<String, Object> written = JobWriter.write(job);
        assertThat(JobReader.read(written, false).job()).isEqualTo(job);
        assertThat(JobWriter.write(JobReader.read(written, false).job())).isEqualTo(written);
        assertThat(job.roof().height().typed()).isEqualTo("~19' 8 1/2\"");
        assertThat(job.roof().height().assumed()).isTrue();
    }

    @Test
    void aFileMustNameItsUnitsAndAFormNeedNot() {
        Map<String, Object> document = Jobs.with(Jobs.document(), "roof.height", "7.5");
        assertThat(JobReader.read(document, false).problems()).singleElement().satisfies(p -> assertThat(p.words())
                .contains("has no unit"));
        assertThat(JobReader.read(document, true).job().roof().height().typed()).isEqualTo("7.5 m");
    }

    @Test
    void aStoredValueThatDisagreesWithItsTextIsRefused() {
        Map<String, Object> document = Jobs.with(Jobs.document(), "roof.height", Map.of("typed", "6 m", "m", 6.1));
        assertThat(JobReader.read(document, false).problems()).singleElement().satisfies(p -> assertThat(p.message())
                .contains("disagrees"));
    }

    private static Map<String, Object> outline(double... xy) {
        List<Object> corners = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            corners.add(Map.of("x", xy[i] + " m", "y", xy[i + 1] + " m"));
        }
        return Map.of("kind", "drawn", "corners", corners);
    }

    private static List<Object> box(String x, String y, String side) {
        return List.of(Map.of(
                "id", "a", "name", "Fan", "x", x, "y", y, "width", side, "depth", side, "height", "1 m", "clear",
                "1 m"));
    }

    static Stream<Arguments> bad() {
        return Stream.of(
                Arguments.of("roof.outline", outline(0, 0, 20, 20, 20, 0, 0, 20), "$.roof.outline", "edges 1 and 3"),
                Arguments.of("roof.outline", outline(0, 0, 20, 0, 40, 0), "$.roof.outline", "cross or touch"),
                Arguments.of("roof.outline", outline(0, 0, 1, 0, 1, 1), "$.roof.outline", "at least"),
                Arguments.of(
                        "roof.obstructions",
                        box("59.5 m", "3 m", "1 m"),
                        "$.roof.obstructions[0].x",
                        "spans x 0 m to 60 m"),
                Arguments.of(
                        "roof.parapets",
                        List.of(Map.of("edge", 1, "height", "80 m", "thickness", "0.2 m")),
                        "$.roof.parapets[0].height",
                        "80 m"),
                Arguments.of(
                        "roof.parapets",
                        List.of(Map.of("edge", 5, "height", "1 m")),
                        "$.roof.parapets[0].edge",
                        "edges 1 to 4"),
                Arguments.of("array.tilt", "95 deg", "$.array.tilt", "0 deg to 35 deg"),
                Arguments.of("array.tilt", "12 deg", "$.array.tilt", "5 deg, 10 deg, 15 deg"),
                Arguments.of("site.wind", "0 mph", "$.site.wind", "25 m/s to 120 m/s"),
                Arguments.of("site.wind", "47 psf", "$.site.wind", "m/s, mph"),
                Arguments.of("roof.height", "6096 m", "$.roof.height", "6096 mm"),
                Arguments.of(
                        "roof.outline",
                        outline(0, 0, 4.2, 0, 4.2, 1, 0, 1),
                        "$.array.module.length",
                        "bigger than the roof"),
                Arguments.of("roof.covering", "PVC", "$.roof.covering", "it lists EPDM, TPO"),
                Arguments.of("array.facing", Map.of("edge", 9), "$.array.facing.edge", "edges 1 to 4"),
                Arguments.of("roof.roofer", "someone", "$.roof.roofer", "not known here"),
                Arguments.of("site", null, "$.site", "is missing"),
                Arguments.of("schema", 7, "$.schema", "later version"));
    }

    @ParameterizedTest
    @MethodSource("bad")
    void badInputNamesTheFieldTheValueAndWhatIsAllowed(String set, Object value, String path, String words) {
        Map<String, Object> document = Jobs.with(Jobs.document(), set, value);
        var reading = JobReader.read(document, false);
        List<Problem> problems = reading.ok() ? Jobs.SOLVER.problems(reading.job()) : reading.problems();
        assertThat(problems).anySatisfy(p -> {
            assertThat(p.path()).isEqualTo(path);
            assertThat(p.words()).contains(words);
        });
    }

    @Test
    void allProblemsAreToldAtOnce() {
        Map<String, Object> document = Jobs.document();
        Consumer<String> spoil = path -> Jobs.with(document, path, "much");
        Stream.of("roof.height", "site.wind", "array.tilt", "electrical.systemLimit")
                .forEach(spoil);
        assertThat(JobReader.read(document, false).problems())
                .extracting(Problem::path)
                .containsExactly("$.roof.height", "$.site.wind", "$.array.tilt", "$.electrical.systemLimit");
    }
}
