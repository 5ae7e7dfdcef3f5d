package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;

/** A first job from nothing to the printed ballast map, by the guide, with nothing but the browser. */
@OwnServer
class NewcomerTest extends ServedTest {
    private Page page;
    private int revision = 1;

    private void stored() {
        revision++;
        assertThat(page.locator("#bench")).hasAttribute("data-revision", String.valueOf(revision));
    }

    private void type(String path, String value) {
        Locator field = page.locator("[data-path=\"" + path + "\"]");
        field.fill(value);
        field.press("Tab");
    }

    private void show(String step) {
        page.locator("[aria-label='Show me: " + step + "']").click();
    }

    private Locator step(String title) {
        return page.locator(".guide li", new Page.LocatorOptions().setHasText(title));
    }

    @Test
    void fromABlankJobToAPrintedBallastMap() throws IOException {
        page = page();
        page.navigate(server.address("/"));
        page.locator("[name=name]").last().fill("Tallow Yard");
        page.locator("button:has-text('Start the job')").click();
        page.locator("#bench[data-ready]").waitFor();
        assertThat(page.locator(".guide .state")).hasText("0 of 6");
        assertThat(step("Measure the roof").locator("xpath=self::*[contains(@class,'next')]"))
                .hasCount(1);

        // an L that is not quite square, as it is called out
        show("Measure the roof");
        page.keyboard().press("Control+a");
        page.keyboard().type("150' 3\", left\n61', left\n70' 2\", right\n40' 1/2\", left\n80', left\n101' 1\", left\n");
        assertThat(page.locator("#tape-words")).containsText("6 edges");
        page.locator("#tape-use").click();
        stored();
        assertThat(step("Measure the roof")).hasClass(Pattern.compile("done"));

        show("Put on it what stands there");
        page.keyboard().press("Enter");
        stored();
        page.locator("[data-obstruction]").focus();
        page.keyboard().press("Shift+ArrowDown");
        stored();

        show("Say where it is");
        type("$.site.wind", "fast");
        assertThat(page.locator(".fault:not(:empty)").first()).containsText("mph");
        type("$.site.wind", "112 mph");
        stored();
        type("$.site.latitude", "41.2");
        stored();
        type("$.site.longitude", "-88.4");
        stored();
        type("$.site.snow", "25 psf");
        stored();
        type("$.site.sds", "0.21");
        stored();
        type("$.site.stories", "2");
        stored();

        show("State what the roof may carry");
        type("$.roof.allowance.load", "14 psf");
        type("$.roof.allowance.givenBy", "B. Ostrander PE (made up)");
        type("$.roof.allowance.date", "2026-11-02");
        stored();
        type("$.survey.answers.coverAge.value", "3");
        stored();
        page.locator("details[data-section=structure]").evaluate("d => d.open = true");
        type("$.roof.structure.dead", "16 psf");
        stored();
        type("$.roof.structure.seismicWeight", "900 t");
        stored();
        assertThat(step("State what the roof may carry")).hasClass(Pattern.compile("done"));

        // whatever stops it is cleared by the first clean way out
        for (int i = 0; i < 6 && page.locator("#checks li.fails").count() > 0; i++) {
            page.locator("#checks li.fails button").first().click();
            page.locator("#ways .clears button, #ways .helps button").first().click();
            stored();
        }
        assertThat(page.locator("#checks li.fails")).hasCount(0);
        assertThat(page.locator(".guide .state")).hasText("5 of 6");
        String blocks =
                page.locator("#titleblock [data-figure='total.blocks'] b").innerText();
        assertThat(Integer.parseInt(blocks)).isPositive();

        page.locator("[aria-label='Open: Print the ballast map']").click();
        page.locator("a:has-text('ballast map')").click();
        assertThat(page.locator(".sum")).containsText(blocks);
        String printed;
        try (var pdf = Loader.loadPDF(page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)))) {
            printed = new PDFTextStripper().getText(pdf);
        }
        assertThat(printed).contains("Tallow Yard", blocks, "page 1 of");
        String address = server.address(page.locator("#pdf").getAttribute("href"));
        try (var pdf = Loader.loadPDF(page.request().get(address).body())) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("Tallow Yard", blocks, "Ballast map");
        }
        assertThat(faults).isEmpty();
        page.close();
    }
}
