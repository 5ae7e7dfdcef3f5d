package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** On the roof with a phone, and what the drawing's own addresses answer. */
class FieldFlowTest extends ServedTest {
    private static final int GLOVE_PX = 44;

    @Test
    void theBlocksOfEveryRowAddUpAndKeysFitAGlove() {
        Design d = server.bean(JobService.class).open("milepost-hall").design();
        try (Page page = server.page(390, 844, faults)) {
            page.navigate(server.address("/jobs/milepost-hall/field"));
            int blocks = 0;
            int rows = 1;
            while (true) {
                // the page as far as its end, and that of this row
                assertThat(page.locator(".fieldhead b")).hasText(String.valueOf(rows));
                assertThat(page.locator(".fieldsteps")).isVisible();
                for (String count : page.locator(".cells b").allInnerTexts()) {
                    blocks += Integer.parseInt(count.replaceAll("!|\\+A", ""));
                }
                assertThat(page.locator(".fieldmap .here")).hasCount(1);
                Locator next = page.locator(".fieldsteps [rel=next]");
                if (next.count() == 0) {
                    break;
                }
                assertThat(next.boundingBox().height).isGreaterThan(GLOVE_PX);
                next.click();
                rows++;
            }
            assertThat(rows).isEqualTo(d.layout().rows());
            assertThat(blocks).isEqualTo(d.holdDown().blocks());
            Object wide = page.evaluate("document.documentElement.scrollWidth");
            assertThat(((Number) wide).intValue()).isLessThanOrEqualTo(390);
        }
        assertThat(server.get("/jobs/milepost-hall/field?row=99").body()).contains("the nearest with modules are");
    }

    @Test
    void aRoofIsTapedWithTheLargeKeys() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("asce"), false).job());
        try (Page page = server.page(390, 844, faults)) {
            page.navigate(server.address("/jobs/" + slug + "/field/tape"));
            Locator pad = page.locator("#pad");
            double keysAt = pad.boundingBox().y;
            for (String side : List.of("120", "80", "120", "80")) {
                for (char digit : side.toCharArray()) {
                    pad.locator(".k" + digit).click();
                }
                pad.locator(".u1").click();
                pad.locator(".k6").click();
                pad.locator(".u3").click();
                pad.locator(".u2").click();
                pad.locator(".left").click();
            }
            assertThat(page.locator("#tape"))
                    .hasValue("120' 6 1/2\", left\n80' 6 1/2\", left\n120' 6 1/2\", left\n80' 6 1/2\", left\n");
            assertThat(page.locator("#tape-words")).containsText("4 edges");
            // keys that move under a finger are not pressed
            assertThat(pad.boundingBox().y).isEqualTo(keysAt);
            assertThat(pad.locator(".k5").boundingBox().height).isGreaterThan(GLOVE_PX);
            page.locator("#across").click();
            assertThat(page.locator("#tape")).hasValue(Pattern.compile("diagonal 1-3 $"));
            String walk = page.locator("#tape").inputValue();
            page.locator("#tape").fill(walk + "145 ft\n");
            page.locator("#across").click();
            assertThat(page.locator("#tape")).hasValue(Pattern.compile("diagonal 2-4 $"));
            page.locator("#off-corner").fill("7");
            page.locator("#off-add").click();
            assertThat(page.locator("#stored")).containsText("There is no corner \"7\"");
            page.locator("#off-corner").fill("3");
            page.locator("#off-add").click();
            assertThat(page.locator("#tape")).hasValue(Pattern.compile("offset 3 from 1-2 $"));
            page.locator("#tape").fill(walk.replace("diagonal 1-3 ", ""));
            page.locator("#tape-use").click();
            assertThat(page.locator("#stored")).containsText("Stored as revision 2");
            pad.locator(".back").click();
            pad.locator(".back").click();
            page.locator("#tape").fill("3 ft, left");
            page.locator("#tape-use").click();
            assertThat(page.locator("#stored")).not().containsText("revision 3");
        }
        assertThat(faults).isEmpty();
        Design d = server.bean(JobService.class).open(slug).design();
        assertThat(d.plan().edges()).hasSize(4);
        assertThat(d.plan().edges().get(0).lengthM())
                .isEqualTo((120 * 12 + 6.5) * 0.0254, org.assertj.core.api.Assertions.within(1e-6));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "section?day=366&hour=12|has to be 1 to 365",
                "section?day=1&hour=25|has to be 0 to 24",
                "section?day=1&hour=12&cut=1,1,1,1|at least 0.5 m apart",
                "section?day=1&hour=12&cut=1,2,3|for example 0,10,40,10",
                "section?day=1&hour=12&cut=a,b,c,d|cut",
                "marks?since=99|no revision 99",
            })
    void whatCannotBeDrawnIsTold(String path, String words) {
        var answer = server.get("/jobs/milepost-hall/" + path);
        assertThat(answer.statusCode()).isBetween(400, 422);
        assertThat(answer.body()).contains(words).doesNotContain("Exception");
    }

    @Test
    void lengthsAreReadAsTheyAreTyped() {
        assertThat(server.get("/length?unit=ft&text=12-6%201/2").body()).contains("3.8");
        assertThat(server.get("/length?unit=m&text=3").body()).contains("{\"metres\":3.0}");
        assertThat(server.get("/length?unit=m&text=-3").body()).contains("more than 0");
        assertThat(server.get("/length?unit=m&text=3%20psf").statusCode()).isEqualTo(422);
    }

    @Test
    void whatWentIsMarkedWithABrokenCloud() {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.duplicate("milepost-hall", "Less plant");
        jobs.change(slug, 1, List.of(new DocumentPatch.Change("remove", "$.roof.obstructions[id=rtu-2]", null)));
        String marks = server.get("/jobs/" + slug + "/marks?since=1").body();
        assertThat(marks).contains("cloud gone").contains("modules");
        String same = server.get("/jobs/" + slug + "/marks?since=2").body();
        assertThat(same).contains("no figure changed; 0 positions marked").doesNotContain("cloud");
    }

    @Test
    void aTrayWithJointsNamesItsPositionsOnEveryPage() {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.duplicate("milepost-hall", "Joints");
        try (Page page = page()) {
            openBench(page, slug);
            page.locator("[data-path=\"$.array.tray\"]")
                    .selectOption(
                            new com.microsoft.playwright.options.SelectOption().setLabel("Lowtide T3 one-way tray"));
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
            page.locator("#plan").focus();
            page.keyboard().press("ArrowRight");
            page.keyboard().press("Enter");
            assertThat(page.locator("#working h2").first()).hasText("Ballast of position 1-J1");
            page.navigate(server.address("/jobs/" + slug + "/field"));
            assertThat(page.locator(".cells li").first()).containsText("J1");
        }
        assertThat(faults).isEmpty();
    }
}
