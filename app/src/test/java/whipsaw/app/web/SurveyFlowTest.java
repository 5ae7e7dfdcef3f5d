package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.JobReader;

/** From a tape with a blunder in it to an outline that can be trusted. */
class SurveyFlowTest extends ServedTest {
    private static final String WRONG =
            "40.305 m, left\n12 m, left\n15 m, left -\n8 m, left\n25 m, left\n20 m, left\ndiagonal 1-3 41.761 m\noffset 5 from 1-2 20.002 m\n";

    @Test
    void aBlunderIsNamedDecidedAndMended() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("en"), false).job());
        try (Page page = page()) {
            openBench(page, slug);
            page.locator("details[data-section=roof]").evaluate("d => d.open = true");
            page.locator("#tape").fill(WRONG);
            assertThat(page.locator("#tape-words")).containsText("Line 3");
            page.locator("#tape").fill(WRONG.replace("15 m, left -", "15 m, right"));
            assertThat(page.locator("#tape-fit .alertline").nth(1)).containsText("Most likely wrong: edge 1");
            assertThat(page.locator("#tape-sketch .moved").getAttribute("d")).isNotBlank();
            page.locator("#tape-fit summary").click();
            assertThat(page.locator("#tape-fit tr.suspect").first()).containsText("!");
            // the edge is taped again and reads a foot less
            page.locator("#tape")
                    .fill(WRONG.replace("15 m, left -", "15 m, right").replace("40.305", "40.004"));
            assertThat(page.locator("#tape-fit")).containsText("Every tape fits");
            page.locator("#tape-use").click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
            assertThat(page.locator("#checks")).containsText("Tapes of the survey agree");
            page.locator("#checks [data-figure='survey.fit']").click();
            assertThat(page.locator("#working")).containsText("diagonal 1-3");
            assertThat(page.locator("#working")).containsText("offset 5 from 1-2");
            assertThat(page.locator("#tape"))
                    .hasValue(java.util.regex.Pattern.compile("diagonal 1-3 41.761 m\\noffset 5 from 1-2 20.002 m"));
        }
        var plan = server.bean(JobService.class).open(slug).design().plan();
        assertThat(plan.fit().fits()).isTrue();
        assertThat(plan.edges()).hasSize(6);
    }
}
