package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.job.JobReader;

/** Sun and shade: the map counts every module once, and what is worth least is left out as one revision. */
class SunFlowTest extends ServedTest {
    private static int number(String text, String pattern) {
        Matcher m = Pattern.compile(pattern).matcher(text);
        assertThat(m.find()).as(text).isTrue();
        return Integer.parseInt(m.group(1));
    }

    @Test
    void theMostShadedModulesAreLeftOut() {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.create(JobReader.read(Seeds.demoJob(), false).job());
        Design before = jobs.open(slug).design();
        double[] lost = before.shade().yearShare();
        int over = (int) Arrays.stream(lost).filter(l -> l > 0.1).count();
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/sun"));
            for (String map : new String[] {"year", "day"}) {
                page.locator("select[name=map]").selectOption(map);
                page.locator("text=Show").last().click();
                int all = page.locator(".tones span").allInnerTexts().stream()
                        .mapToInt(t -> number(t, ": (\\d+)$"))
                        .sum();
                assertThat(all).isEqualTo(before.layout().modules().size());
            }
            page.locator("input[name=lose]").first().fill("ten");
            page.locator("text=Work it out").click();
            assertThat(page.locator("main")).containsText("is no number: for example 5");
            page.navigate(server.address("/jobs/" + slug + "/sun?lose=10"));
            assertThat(page.locator("#worthless form button").last()).hasText("Leave out " + over + " modules");
            int then = number(page.locator(".tradeoff tbody tr").first().innerText(), "(\\d+)\\s*$");
            page.locator("#worthless form button").last().click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
            Design after = jobs.open(slug).design();
            assertThat(after.layout().modules())
                    .hasSize(then)
                    .hasSize(before.layout().modules().size() - over);
            assertThat(Arrays.stream(after.shade().yearShare()).max().orElseThrow())
                    .isLessThanOrEqualTo(0.1);
            // to a target of power, the most shaded first
            page.navigate(server.address("/jobs/" + slug + "/sun?dc=200"));
            page.locator("#worthless form button").last().click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
            double kw = jobs.open(slug).design().whole().year().kwp();
            assertThat(kw).isBetween(198.0, 200.0);
        }
    }

    @Test
    void aRowGapIsTakenByWhatItLoses() {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.create(JobReader.read(Seeds.demoJob(), false).job());
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/gaps?budget=lots"));
            assertThat(page.locator("main")).containsText("is no number: for example 2");
            page.navigate(server.address("/jobs/" + slug + "/gaps?budget=1"));
            assertThat(page.locator("#least")).containsText("the first setting that keeps it is 24 in");
            assertThat(page.locator("tr.here")).containsText("20 in");
            int modules = number(
                    page.locator("tbody tr", new Page.LocatorOptions().setHasText("24 in"))
                            .innerText(),
                    "%\\s+(\\d+)\\s");
            page.locator("[aria-label^='Take 24 in']").click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
            Design after = jobs.open(slug).design();
            assertThat(after.layout().gapM()).isEqualTo(0.6096);
            assertThat(after.layout().modules()).hasSize(modules);
        }
    }

    @Test
    void theLastModulesAreLeftOutWhereTheyAddTooLittle() {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.create(JobReader.read(Seeds.demoJob(), false).job());
        int all = jobs.open(slug).design().layout().modules().size();
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/sun"));
            page.locator("input[name=least]").fill("0");
            page.locator("text=See what the last ones add").click();
            assertThat(page.locator("#last")).containsText("Every module adds as much");
            assertThat(page.locator("#last tr.here th")).hasText(String.valueOf(all));
            // a target between what the first and the later lines add
            int last = number(page.locator("#last tbody tr").first().innerText(), "(\\d+) kWh");
            int later = number(page.locator("#last tbody tr").nth(4).innerText(), "(\\d+) kWh");
            assertThat(later).isGreaterThan(last);
            page.locator("input[name=least]").fill(String.valueOf((last + later) / 2));
            page.locator("text=See what the last ones add").click();
            String kw = page.locator("#last tr.here td").first().innerText();
            page.locator("text=See what that leaves out").click();
            assertThat(page.locator("input[name=dc]").first()).hasValue(kw);
            page.locator("#worthless form button").last().click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
            double kwp = jobs.open(slug).design().whole().year().kwp();
            assertThat(kwp).isLessThanOrEqualTo(Double.parseDouble(kw) + 1e-6);
        }
    }
}
