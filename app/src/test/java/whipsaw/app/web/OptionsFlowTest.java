package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** The field of options: worked out, drawn, looked at, taken; and not taken when the job has moved on. */
class OptionsFlowTest extends ServedTest {
    private String slug;

    @BeforeEach
    void aJob() {
        slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("asce"), false).job());
    }

    /** The page with the options of one tray system as the array faces now, all of them there. */
    private void workOut(Page page) {
        page.navigate(server.address("/jobs/" + slug + "/options"));
        Locator trays = page.locator("input[name=tray]");
        for (int i = 1; i < trays.count(); i++) {
            trays.nth(i).uncheck();
        }
        page.locator("input[value=now]").check();
        page.locator("#ask button[type=submit]").click();
        assertThat(page.locator("#state")).hasText(Pattern.compile("\\d+ options"));
    }

    @Test
    void anOptionIsPickedByKeyLookedAtAndTaken() {
        try (Page page = page()) {
            workOut(page);
            int all = Integer.parseInt(page.locator("#state").innerText().split(" ")[0]);
            int never = Integer.parseInt(page.locator("#nevers").innerText());
            assertThat(page.locator("#picture .opt:not(.present)")).hasCount(all - never);
            assertThat(page.locator("#picture .frontier")).hasCount(1);
            // other figures, the same options
            page.locator("#up").selectOption("kwhPerModule");
            page.locator("#across").selectOption("cost");
            assertThat(page.locator("#picture")).containsText("Cost, USD (less is better)");
            page.locator("#picture").focus();
            page.keyboard().press("ArrowRight");
            page.keyboard().press("ArrowRight");
            assertThat(page.locator("#picture .picked")).hasCount(1);
            Locator card = page.locator("#card .optioncard");
            assertThat(card).containsText("Energy of a year");
            assertThat(card).containsText("What changes in the order list");
            // a third figure: what no option beats in three is more than what none beats in two
            assertThat(page.locator("#picture .front")).hasCount(0);
            int edge = page.locator("#picture .frontier").getAttribute("d").split("V").length;
            page.locator("#third").selectOption("kwh");
            assertThat(page.locator("#thirdkey")).containsText("no option shown beats it in all three");
            org.assertj.core.api.Assertions.assertThat(
                            page.locator("#picture .front").count())
                    .isGreaterThanOrEqualTo(edge);
            page.locator("#third").selectOption("");
            // options that fail one check are left out, and come back
            String title = page.locator("#without option").nth(1).innerText();
            page.locator("#without").selectOption(title);
            org.assertj.core.api.Assertions.assertThat(
                            page.locator("#picture .opt:not(.present)").count())
                    .isLessThan(all - never);
            page.locator("#without").selectOption("");
            assertThat(page.locator("#picture .opt:not(.present)")).hasCount(all - never);
            // two options side by side in full
            String href = card.locator("a").getAttribute("href").split("\\?")[0];
            String compared = server.get(href + "?with=1").body();
            org.assertj.core.api.Assertions.assertThat(compared)
                    .contains("option 1: ")
                    .contains("What is delivered");
            org.assertj.core.api.Assertions.assertThat(
                            server.get(href + "?with=99999").statusCode())
                    .isEqualTo(404);
            // the best of the list
            page.locator("#rows button").first().click();
            String words = page.locator("#rows .here button").innerText();
            assertThat(card.locator("p").first())
                    .containsText(words.split(", ", 3)[2].split(", faces ")[0].replaceFirst(".* deg, ", ""));
            String modules = page.locator("#rows .here td").nth(1).innerText();
            card.getByText("Take this option").click();
            page.locator("#bench[data-ready]").waitFor();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
            assertThat(page.locator(".history li").first()).containsText("Option taken: " + words);
            assertThat(page.locator("#titleblock [data-figure='total.modules'] b"))
                    .hasText(modules);
            page.locator("#titleblock [data-figure='total.energy']").click();
            assertThat(page.locator("#working")).containsText("Cell temperature");
        }
    }

    @Test
    void optionsOfAnOlderRevisionAreNotTaken() {
        try (Page page = page()) {
            workOut(page);
            server.bean(JobService.class)
                    .change(slug, 1, List.of(new DocumentPatch.Change("set", "$.project.place", "Elsewhere")));
            page.locator("#rows button").first().click();
            assertThat(page.locator("#card")).containsText("work the options out again");
            assertThat(page.locator("#card button")).hasCount(0);
            // none chosen at all is said beside the button
            page.locator("input[name=module]").all().forEach(Locator::uncheck);
            page.locator("#ask button[type=submit]").click();
            assertThat(page.locator("#state")).containsText("at least one tray system and one module");
        }
    }

    @Test
    void theFrontierHasWhatNoOtherBeatsInBoth() {
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/options"));
            Object kept = page.evaluate(
                    """
                    async () => {
                      const { frontier, ticks, unbeaten } = await import("/js/frontier.js");
                      const points = [[1, 5], [2, 7], [3, 7], [4, 6], [2, 9], [6, 9], [0, 1]].map(([x, y]) => ({ x, y }));
                      return { less: frontier(points, { x: -1, y: 1 }).map((p) => `${p.x} ${p.y}`),
                               more: frontier(points, { x: 1, y: -1 }).map((p) => `${p.x} ${p.y}`),
                               three: unbeaten([[1, 1, 1], [1, 1, 2], [2, 0, 0], [0, 2, 0], [1, 0, 2]], [1, 1, -1]),
                               ticks: ticks(2.3, 11) };
                    }""");
            assertThat(kept)
                    .isEqualTo(Map.of(
                            "less", List.of("0 1", "1 5", "2 9"),
                            "more", List.of("6 9", "4 6", "1 5", "0 1"),
                            "three", List.of(true, false, true, true, false),
                            "ticks", List.of(4, 6, 8, 10)));
        }
    }
}
