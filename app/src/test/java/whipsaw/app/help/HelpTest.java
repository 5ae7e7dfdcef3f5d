package whipsaw.app.help;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.app.catalogue.Seeds;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.job.JobReader;
import whipsaw.core.table.CodeTables;

class HelpTest {
    private final Glossary glossary = new Glossary();

    private static Design design(Map<String, Object> document) {
        return new Solver(CodeTables.shipped())
                .solve(JobReader.read(document, false).job());
    }

    @Test
    void aLabelThatNamesATermBringsItsMeaningAndOthersBringNone() {
        assertThat(glossary.in("Set-back")).startsWith("set-back: ");
        assertThat(glossary.in("Record low")).contains("lowest");
        assertThat(glossary.in("Allowances of the roof")).startsWith("allowance: ");
        // the longest term wins, and a term inside another word is none
        assertThat(glossary.in("net-coefficient set")).startsWith("net-coefficient set: ");
        assertThat(glossary.in("Paired rows repair")).isEmpty();
        assertThat(glossary.in("Latitude, north +")).isEmpty();
    }

    @Test
    void aMarkedTextKeepsItsLettersAndEscapesThem() {
        String html = glossary.marked("the <b>effective wind area</b> & \"more\"");
        assertThat(html)
                .contains("class=\"term\"", "&lt;b&gt;", "&amp;", "&quot;")
                .doesNotContain("<b>");
        assertThat(glossary.marked("nothing of it")).isEqualTo("nothing of it");
    }

    @Test
    void everyTermHasAMeaningAndStandsOnce() {
        assertThat(glossary.terms()).hasSizeGreaterThan(30);
        assertThat(glossary.terms())
                .extracting(Glossary.Term::term)
                .doesNotHaveDuplicates()
                .isSortedAccordingTo(String.CASE_INSENSITIVE_ORDER);
        assertThat(glossary.terms()).allSatisfy(t -> assertThat(t.meaning()).isNotBlank());
    }

    @Test
    @SuppressWarnings("unchecked")
    void theGuideSeesWhatAJobHasBehindIt() {
        Guide blank = Guide.of(design(Seeds.newJob("asce")));
        assertThat(blank.words()).isEqualTo("0 of 6");
        assertThat(blank.steps().stream().filter(Guide.Step::next))
                .singleElement()
                .isEqualTo(blank.steps().get(0));
        assertThat(blank.done()).isFalse();
        assertThat(Guide.of(design(Seeds.demoJob())).done()).isFalse();
        Map<String, Object> sound = Seeds.demoJob();
        ((List<Map<String, Object>>) sound.get("roofs")).get(0).put("structure", Map.of("dead", "90 psf"));
        Guide ready = Guide.of(design(sound));
        assertThat(ready.done()).isTrue();
        Map<String, Object> weak = Seeds.demoJob();
        ((List<Map<String, Object>>) weak.get("roofs"))
                .get(0)
                .put("allowance", Map.of("load", "1 psf", "givenBy", "A", "date", "2026-01-31"));
        Guide stopped = Guide.of(design(weak));
        assertThat(stopped.done()).isFalse();
        assertThat(stopped.steps().stream().filter(s -> !s.done()).map(Guide.Step::title))
                .isEqualTo(List.of("Clear what stops the job", "Print the ballast map"));
    }
}
