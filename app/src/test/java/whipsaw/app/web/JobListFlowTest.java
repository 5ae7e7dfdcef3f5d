package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.job.JobService;

/** The list of jobs, and jobs of the second code family from a blank sheet. */
@OwnServer
class JobListFlowTest extends ServedTest {
    private Page page;

    @BeforeEach
    void openPage() {
        page = page();
    }

    @AfterEach
    void closePage() {
        page.close();
    }

    private Locator card(String name) {
        return page.locator(".cards > li")
                .filter(new Locator.FilterOptions()
                        .setHas(page.locator("h2 a", new Page.LocatorOptions().setHasText(name))))
                .first();
    }

    private Locator field(String path) {
        return page.locator("[data-path=\"" + path + "\"]");
    }

    private void open(String section) {
        page.locator("details[data-section=" + section + "] > summary").click();
    }

    @Test
    void everyJobShowsItsDrawingAndMainFiguresAndCanBeFound() {
        page.navigate(server.address("/"));
        assertThat(card("Milepost Hall").locator("svg.stamp .modules")).hasCount(1);
        assertThat(card("Milepost Hall")).containsText("447");
        assertThat(card("Quarrybank Cold Store")).containsText("5922");
        assertThat(card("Ashwell Row")).containsText("needs an engineer");
        page.locator("#find").fill("QUARRYBANK dock");
        page.locator("button:has-text('Find')").click();
        assertThat(page.locator(".cards")).not().containsText("Milepost");
        page.locator("#find").fill("<none>");
        page.locator("button:has-text('Find')").click();
        assertThat(page.locator("main")).containsText("No job has “<none>”");
    }

    @Test
    void aJobIsDuplicatedRenamedPutAwayAndTakenBackOut() {
        page.navigate(server.address("/"));
        Locator card = card("Ashwell Row Primary School");
        card.locator("summary").click();
        card.locator("form[action$='/duplicate'] input[name=name]").fill("Ashwell, south rows");
        card.locator("form[action$='/duplicate'] button").click();
        assertThat(page.locator("h1")).hasText("Ashwell, south rows");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "1");
        String modules = page.locator("#titleblock .cell b").first().innerText();
        assertThat(modules).isEqualTo("56");

        page.navigate(server.address("/"));
        card = card("Ashwell, south rows");
        card.locator("summary").click();
        card.locator("form[action$='/rename'] input[name=name]").fill("Ashwell & Co");
        card.locator("form[action$='/rename'] button").click();
        card = card("Ashwell & Co");
        assertThat(card).containsText("Revision 2");
        card.locator("summary").click();
        card.locator("form[action$='/archive'] button").click();
        assertThat(card("Ashwell & Co")).hasCount(0);
        page.locator("a:has-text('archived')").click();
        card = card("Ashwell & Co");
        card.locator("summary").click();
        card.locator("form[action$='/archive'] button").click();
        page.navigate(server.address("/"));
        assertThat(card("Ashwell & Co")).hasCount(1);
    }

    @Test
    void aJobFileIsChosenAndComesBackTheSame() {
        String file = server.get("/jobs/quarrybank-cold-store/job.json").body();
        page.navigate(server.address("/"));
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("job.json", "application/json", file.getBytes(StandardCharsets.UTF_8)));
        page.locator("button:has-text('Read the job file')").click();
        assertThat(page.locator("h1")).hasText("Quarrybank Cold Store");
        String slug = page.url().substring(page.url().lastIndexOf('/') + 1);
        assertThat(slug).isNotEqualTo("quarrybank-cold-store");
        assertThat(server.get("/jobs/" + slug + "/job.json").body()).isEqualTo(file);
    }

    @Test
    void aJobOfTheSecondFamilyFromABlankSheet() {
        page.navigate(server.address("/"));
        page.locator("form[action='/jobs'] input[name=name]").fill("Depot");
        page.locator("select[name=units]").selectOption("metric");
        page.locator("select[name=family]").selectOption("en");
        page.locator("button:has-text('Start the job')").click();
        assertThat(page.locator("#titleblock")).containsText("EN 1990, EN 1991");
        assertThat(page.locator(".section")).containsText("pair to pair");
        open("site");
        field("$.site.wind").fill("62 mph");
        field("$.site.wind").blur();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(field("$.site.wind")).hasValue("62 mph");
        field("$.site.terrain").selectOption("III");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        page.locator("#plan").focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Enter");
        assertThat(page.locator("#working")).containsText("0.9G + 1.5W");
        page.locator("#working button[data-figure^='uplift/']").first().click();
        assertThat(page.locator("#working")).containsText("c_net");
        assertThat(page.locator("#working")).containsText("invented");
        page.locator("#working button[data-figure='site.qh']").first().click();
        assertThat(page.locator("#working")).containsText("EN 1991-1-4 4.5");
        // outside the limits of the set nothing is stated
        open("roof");
        field("$.roof.height").fill("31 m");
        field("$.roof.height").blur();
        assertThat(page.locator("#titleblock")).containsText("not established");
        assertThat(page.locator("#checks")).containsText("roof height m at least 4, at most 25, not 31");
        assertThat(page.locator(".layer-blocks text").first()).hasText("?");
        page.locator("#undo").click();
        assertThat(page.locator(".layer-blocks text").first()).not().hasText("?");
    }

    @Test
    void changingTheFamilyClearsWindAndSnowAndAsksAgain() {
        page.navigate(server.address("/jobs/milepost-hall"));
        open("site");
        field("$.site.family").selectOption("en");
        assertThat(page.locator("#checks")).containsText("Wind is known");
        assertThat(field("$.site.wind")).hasValue("");
        assertThat(field("$.site.snow")).hasValue("");
        assertThat(page.locator("#titleblock")).containsText("not established");
        field("$.site.wind").fill("24 m/s");
        field("$.site.wind").blur();
        assertThat(page.locator("#checks")).not().containsText("Wind is known");
        page.locator("#undo").click();
        page.locator("#undo").click();
        assertThat(field("$.site.wind")).hasValue("105 mph");
        assertThat(server.bean(JobService.class)
                        .open("milepost-hall")
                        .design()
                        .job()
                        .site()
                        .code()
                        .family())
                .isEqualTo("asce");
    }

    @Test
    void theOtherSystemShowsOnHoverAndOnFocus() {
        page.navigate(server.address("/jobs/ashwell-row-primary-school"));
        open("roof");
        Locator line = page.locator(".entryline").filter(new Locator.FilterOptions().setHas(field("$.roof.height")));
        assertThat(line.locator(".hint")).isHidden();
        line.hover();
        assertThat(line.locator(".hint")).isVisible();
        assertThat(line.locator(".hint")).hasText("4.6 m [15' 1 1/8\"]");
        page.locator("h1").hover();
        assertThat(line.locator(".hint")).isHidden();
        field("$.roof.height").focus();
        assertThat(line.locator(".hint")).isVisible();
    }

    @Test
    void anotherTraySystemThatLacksTheGapIsTakenWithItsOwn() {
        String slug = server.bean(JobService.class).duplicate("ashwell-row-primary-school", "Other tray");
        page.navigate(server.address("/jobs/" + slug));
        field("$.array.tray").selectOption(new SelectOption().setLabel("Lowtide T3 one-way tray"));
        assertThat(page.locator("#banner")).containsText("'250 mm' is no setting of the tray system T3 one-way tray");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "1");
        page.locator("#banner button").first().click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator(".section")).containsText("row to row");
        assertThat(page.locator("#banner")).isHidden();
        page.locator("#undo").click();
        assertThat(page.locator(".section")).containsText("pair to pair");
    }
}
