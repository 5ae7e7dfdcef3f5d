package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.JobReader;

/** Modules left out by hand, and the numbers of a signed sheet. */
class NumbersFlowTest extends ServedTest {
    @Test
    void aSignedSheetKeepsItsNumbersOnScreenPaperAndPhone() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJob(), false).job());
        try (Page page = page()) {
            openBench(page, slug);
            page.locator("details[data-section=arrays]").evaluate("d => d.open = true");
            page.locator("#keep-numbers [name=by]").fill("O. Tallis PE");
            page.locator("#keep-numbers button").click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
            assertThat(page.locator("#entry")).containsText("signed by O. Tallis PE on ");

            // the third module of the first row, by keys alone
            page.locator("#plan").focus();
            page.keyboard().press("ArrowRight");
            page.keyboard().press("ArrowRight");
            page.keyboard().press("ArrowRight");
            page.keyboard().press("Enter");
            assertThat(page.locator("#working")).containsText("Ballast of position 1-3");
            page.keyboard().press("Delete");
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
            assertThat(page.locator("[data-check='array.numbers']")).containsText("1 module gone");
            assertThat(page.locator("details[data-section=array]")).containsText("1 module is left out by hand");

            String map = server.get("/jobs/" + slug + "/sheet?sheet=ballast").body();
            assertThat(map).contains("<td class=\"rowcounts\">", "signed by O. Tallis PE");
            assertThat(server.get("/jobs/" + slug + "/field?row=1").body())
                    .contains("numbers are kept as on the sheet signed by O. Tallis PE")
                    .doesNotContain("<span>3</span></span></li>");
            assertThat(server.get("/jobs/" + slug + "/ballast.csv").body())
                    .contains("P 1-2,", "P 1-4,")
                    .doesNotContain("P 1-3,");

            page.locator("details[data-section=array]").evaluate("d => d.open = true");
            page.locator("[data-ask=put-back]").click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "4");
            assertThat(page.locator("[data-check='array.numbers']")).containsText("unchanged");
            page.locator("[data-ask=count-anew]").click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "5");
            assertThat(page.locator("[data-check='array.numbers']")).hasCount(0);
        }
    }

    @Test
    void aWorkbookIsMadeWithAWordAndComesUnderItsName() {
        try (Page page = page()) {
            openBench(page, "milepost-hall");
            page.locator("details.menu summary")
                    .filter(new Locator.FilterOptions().setHasText("Files"))
                    .click();
            Download file = page.waitForDownload(
                    () -> page.locator("a[href$='schedules.xlsx']").click());
            assertThat(file.suggestedFilename()).endsWith(".xlsx");
            assertThat(page.locator("#making")).containsText("Making the workbook");
            assertThat(page.locator("#making")).isHidden();
        }
    }
}
