package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.job.JobReader;

/** Blocks, blocks with attachments, attachments: compared, one taken, and a part that differs refused. */
class HoldDownFlowTest extends ServedTest {
    @Test
    void waysAreComparedAndOneIsTaken() {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.create(JobReader.read(Seeds.demoJobs().get(1), false).job());
        Design before = jobs.open(slug).design();
        String address = server.address("/jobs/" + slug + "/hold-down");
        try (Page page = page()) {
            page.navigate(address + "?most=lots");
            assertThat(page.locator("main")).containsText("Added load at most");
            page.navigate(address + "?most=1+Pa");
            assertThat(page.locator("main")).containsText("has to lie between");
            page.navigate(address);
            assertThat(page.locator("#holdways thead th").nth(0)).hasClass("here");
            page.locator("select[name=code]").selectOption("hexbourne-many-screws");
            page.locator(".optionaxes input[name=most]").fill("190 Pa");
            page.locator("text=Work it out").click();
            assertThat(page.locator("#attachment")).containsText("screwed");
            assertThat(page.locator("#holdways")).containsText("proved");
            page.locator("#holdways form:has(input[value=mix]) button").click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        }
        Design after = jobs.open(slug).design();
        assertThat(after.loads().heaviestPa()).isLessThanOrEqualTo(190);
        assertThat(after.holdDown().blocks()).isBetween(1, before.holdDown().blocks() - 1);
        assertThat(after.job().array().attachments().part().info().code()).isEqualTo("hexbourne-many-screws");
        assertThat(after.attached().needed()).isPositive();
        assertThat(jobs.open(slug).revision().words()).contains("fewest attachments");
    }
}
