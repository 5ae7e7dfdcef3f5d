package whipsaw.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Measure;

/** Documents across schema versions, code families, files and differences. */
class DocumentsTest {

    @SuppressWarnings("unchecked")
    private static Map<String, Object> map(Object value) {
        return (Map<String, Object>) value;
    }

    @Test
    void aDocumentOfTheFirstVersionGivesTheSameDesign() {
        Map<String, Object> first = Jobs.document();
        assertThat(first.get("schema")).isEqualTo(1);
        Job job = JobReader.read(first, false).job();
        Map<String, Object> second = JobWriter.write(job);
        assertThat(second.get("schema")).isEqualTo(6);
        assertThat(map(second.get("site")).get("family")).isEqualTo("asce");
        Job again = JobReader.read(second, false).job();
        assertThat(again).isEqualTo(job);
        assertThat(job.electrical().run().conductor().insulation()).isEqualTo("THWN-2");
        Design a = Jobs.SOLVER.solve(job);
        Design b = Jobs.SOLVER.solve(again);
        assertThat(b.holdDown().blocks()).isEqualTo(a.holdDown().blocks());
        assertThat(first).as("the given document is not touched").isEqualTo(Jobs.document());
    }

    @Test
    void aLaterVersionIsRefusedByName() {
        Map<String, Object> document = Jobs.document("paired-roof");
        document.put("schema", 7);
        assertThat(JobReader.read(document, false).problems()).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("$.schema");
            assertThat(p.message()).contains("later version", "6");
        });
    }

    @Test
    void writingAndReadingIsIdenticalInBothFamilies() {
        for (Job job : List.of(Jobs.job(), Jobs.paired(), Jobs.paired("site.wind", null, "roof.allowance", null))) {
            Map<String, Object> document = JobWriter.write(job);
            assertThat(JobReader.read(document, false).job()).isEqualTo(job);
            assertThat(JobWriter.write(JobReader.read(document, false).job())).isEqualTo(document);
        }
    }

    @Test
    void typedTextsAreKeptWithTheirExactValue() {
        Job job = Jobs.paired("roof.height", "~24' 7 1/4\"", "site.wind", "56 mph");
        Measure height =
                JobReader.read(JobWriter.write(job), false).job().roof().height();
        assertThat(height.typed()).isEqualTo("~24' 7 1/4\"");
        assertThat(height.assumed()).isTrue();
        assertThat(height.si()).isEqualTo(295.25 * 0.0254);
    }

    private static Map<String, Object> changed(String family) {
        Map<String, Object> after = new LinkedHashMap<>(JobWriter.write(Jobs.job()));
        Map<String, Object> site = new LinkedHashMap<>(map(after.get("site")));
        site.put("family", family);
        after.put("site", site);
        return after;
    }

    @Test
    void aChangeOfFamilyClearsWindAndSnowAndAsksAgain() {
        Map<String, Object> before = JobWriter.write(Jobs.job());
        Map<String, Object> settled = CodeFamilyChange.settled(before, changed("en"), "net_coefficients_fenmarsh");
        var reading = JobReader.read(settled, false);
        assertThat(reading.problems()).isEmpty();
        Site.EnSite site = (Site.EnSite) reading.job().site().code();
        assertThat(site.wind()).isNull();
        assertThat(site.snow()).isNull();
        assertThat(site.terrain()).isEqualTo("II");
        assertThat(site.coefficients()).isEqualTo("net_coefficients_fenmarsh");
        assertThat(reading.job().site().latitude()).isEqualTo(Jobs.job().site().latitude());
        Design d = Jobs.SOLVER.solve(reading.job());
        assertThat(d.exitCode()).isEqualTo(3);
        // and back: nothing of the first family comes back by itself
        Map<String, Object> back = new LinkedHashMap<>(settled);
        Map<String, Object> asce = new LinkedHashMap<>(map(settled.get("site")));
        asce.put("family", "asce");
        back.put("site", asce);
        Job returned = JobReader.read(CodeFamilyChange.settled(settled, back, "x"), false)
                .job();
        assertThat(returned.site().wind()).isNull();
        assertThat(((Site.AsceSite) returned.site().code()).ground().exposure()).isEqualTo("C");
    }

    @Test
    void withoutAChangeOfFamilyNothingIsTouched() {
        Map<String, Object> before = JobWriter.write(Jobs.job());
        Map<String, Object> same = changed("asce");
        assertThat(CodeFamilyChange.settled(before, same, "x")).isSameAs(same);
        Map<String, Object> nonsense = changed("roman");
        assertThat(CodeFamilyChange.settled(before, nonsense, "x")).isSameAs(nonsense);
        assertThat(JobReader.read(nonsense, false).problems())
                .anyMatch(p -> p.path().equals("$.site.family"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "site.terrain|V|$.site.terrain|0, I, II, III, IV",
                "site.wind|150 mph|$.site.wind|15 m/s to 60 m/s",
                "site.wind|25|$.site.wind|no unit",
                "site.riskCategory|II|$.site.riskCategory|not known here",
                "site.orography|0.5|$.site.orography|1 to 2",
                "array.tray.ridgeGap||$.array.tray.ridgeGap|is missing",
                "array.tray.arrangement|sideways|$.array.tray.arrangement|one-way, pairs",
                "array.tilt|9 deg|$.array.tilt|8°",
                "array.gap|300 mm|$.array.gap|250 mm",
                "electrical.run.feeders|0|$.electrical.run.feeders|1 to 200",
                "electrical.run.feeders|1.5|$.electrical.run.feeders|no whole number",
                "electrical.run.conductor.material|gold|$.electrical.run.conductor.material|cu, al",
                "roof.height|80 km|$.roof.height|2 m to 60 m",
                "roof.covering|mastic asphalt|$.roof.covering|no friction",
                "site.displacement|40 m|$.site.displacement|0.6 times the roof height",
            })
    void badInputIsToldByItsPath(String path, String value, String at, String words) {
        Map<String, Object> document = Jobs.document("paired-roof");
        Object typed = value != null && value.matches("[0-9.]+") && !path.endsWith("wind")
                ? (Object) Double.valueOf(value)
                : value;
        Jobs.with(document, path, typed);
        var reading = JobReader.read(document, false);
        List<Problem> problems = new ArrayList<>(reading.problems());
        if (reading.ok()) {
            problems.addAll(Jobs.SOLVER.problems(reading.job()));
        }
        assertThat(problems).anySatisfy(p -> {
            assertThat(p.path()).isEqualTo(at);
            assertThat(p.message().replace(" deg", "°")).contains(words);
        });
    }

    /** A year of days is one difference, and two years are told apart. */
    @Test
    void aLongListOfTextsIsOneDifference() {
        List<String> year = new ArrayList<>(Collections.nCopies(365, "1 2 3"));
        Map<String, Object> before = Map.of("weather", Map.of("name", "Field", "days", List.copyOf(year)));
        year.set(200, "1 2 4");
        Map<String, Object> after = Map.of("weather", Map.of("name", "Field", "days", year));
        assertThat(DocumentDiff.between(before, after)).singleElement().satisfies(e -> {
            assertThat(e.path()).isEqualTo("$.weather.days");
            assertThat(e.before()).startsWith("365 lines").isNotEqualTo(e.after());
        });
        assertThat(DocumentDiff.between(before, before)).isEmpty();
    }

    @Test
    void differencesAreLeavesAsTyped() {
        Map<String, Object> before = JobWriter.write(Jobs.paired());
        Map<String, Object> after = JobWriter.write(Jobs.paired(
                "array.tilt", "8 deg",
                "array.walkway", Map.of("every", 3, "first", 2, "width", "900 mm"),
                "roof.obstructions",
                        List.of(Map.of(
                                "id", "v", "name", "Vent", "x", "3 m", "y", "4 m", "width", "1 m", "depth", "1 m",
                                "height", "1 m", "clear", "1 m"))));
        List<DocumentDiff.Entry> entries = DocumentDiff.between(before, after);
        assertThat(entries)
                .contains(new DocumentDiff.Entry("$.arrays[id=A].tilt", "10 deg", "8 deg"))
                .contains(new DocumentDiff.Entry("$.arrays[id=A].walkway.width", "", "900 mm"))
                .contains(new DocumentDiff.Entry("$.roofs[id=r1].obstructions[id=v].name", "", "Vent"));
        assertThat(entries)
                .allSatisfy(e -> assertThat(e.path()).doesNotEndWith(".m").doesNotEndWith(".deg"));
        assertThat(DocumentDiff.between(after, before))
                .hasSameSizeAs(entries)
                .contains(new DocumentDiff.Entry("$.arrays[id=A].tilt", "8 deg", "10 deg"));
        assertThat(DocumentDiff.between(before, before)).isEmpty();
    }
}
