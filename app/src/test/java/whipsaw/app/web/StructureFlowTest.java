package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.JobReader;

/** From a bay that carries too much to one that does not, and members from a blank job. */
class StructureFlowTest extends ServedTest {
    /** Every way out is solved before it is shown. */
    private static final LocatorAssertions.ContainsTextOptions LONG =
            new LocatorAssertions.ContainsTextOptions().setTimeout(120_000);

    private static final String CHECK = "#checks [data-check='roof.members-joists-d2']";

    @Test
    void theFailingBayPassesByEachOfSeveralWays() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJob(), false).job());
        try (Page page = page()) {
            openBench(page, slug);
            assertThat(page.locator("#plan .member.over")).hasCount(1);
            for (String way : List.of("One more between", "Another beside", "A support at midspan")) {
                page.locator(CHECK).click();
                Locator offered = page.locator("#ways li").filter(new Locator.FilterOptions().setHasText(way));
                assertThat(offered).containsText("Joists of bay D2 in D2", LONG);
                offered.locator("button").click();
                assertThat(page.locator(CHECK)).containsText("passes");
                assertThat(page.locator("#checks")).containsText("not signed off");
                assertThat(page.locator("#plan .member.over")).hasCount(0);
                page.locator("#undo").click();
                assertThat(page.locator(CHECK)).containsText("fails");
            }
            // attachments in place of weight, in that bay alone, and nothing has to be signed for it
            page.locator(CHECK).click();
            Locator attached = page.locator("#ways li")
                    .filter(new Locator.FilterOptions().setHasText("Attachments instead of weight"));
            assertThat(attached).containsText("in D2", LONG);
            assertThat(attached).containsText("attachments");
            attached.locator("button").click();
            assertThat(page.locator(CHECK)).containsText("close");
            assertThat(page.locator("#checks [data-check='array.attachments']")).containsText("one takes 900 lbf");
            assertThat(page.locator("[data-path='$.array.attachments.bays']")).hasValue("D2");
            page.locator("#checks [data-check='array.attachments']").click();
            assertThat(page.locator("#working")).containsText("linear interaction");
            // what attachments hold is no shortfall, and their places are not designed yet
            String map = server.get("/jobs/" + slug + "/sheet?sheet=ballast").body();
            assertThat(map).contains("+A", "not for setting out");
            assertThat(Pattern.compile("\\d!").matcher(map).find()).isFalse();
            page.locator("#undo").click();
            assertThat(page.locator(CHECK)).containsText("fails");
            // the strengthening is seen done: nothing of it stops the job any more
            page.locator(CHECK).click();
            page.locator("#ways li")
                    .filter(new Locator.FilterOptions().setHasText("Another beside"))
                    .locator("button")
                    .click();
            assertThat(page.locator(CHECK)).containsText("passes");
            page.locator("details[data-section=structure]").evaluate("d => d.open = true");
            page.locator("[data-path$='.seen.by']").fill("O. Tallis PE (invented)");
            page.locator("[data-path$='.seen.on']").fill("2026-11-20");
            page.locator("[data-path$='.seen.on']").blur();
            assertThat(page.locator("#checks")).containsText("O. Tallis PE (invented), 2026-11-20");
            assertThat(page.locator("#titleblock .worst")).not().containsText("fails");
        }
        assertThat(server.bean(JobService.class).open(slug).design().checks())
                .noneMatch(c -> c.verdict().stops() && !c.id().equals("existing.lateral"));
    }

    @Test
    void membersAreEnteredOnABlankJob() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("en"), false).job());
        try (Page page = page()) {
            openBench(page, slug);
            page.locator("details[data-section=structure]").evaluate("d => d.open = true");
            page.getByText("Add members", new Page.GetByTextOptions().setExact(true))
                    .click();
            assertThat(page.locator("#checks [data-check='roof.members']")).containsText("the existing dead load");
            page.locator("[data-path='$.roof.structure.dead']").fill("12 m");
            page.locator("[data-path='$.roof.structure.dead']").blur();
            assertThat(page.locator(".entryline.wrong")).containsText("kPa");
            page.locator("[data-path='$.roof.structure.dead']").fill("0.9");
            page.locator("[data-path='$.roof.structure.dead']").blur();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
            page.locator("[data-path$='.spacing'][data-path*='members']").fill("1.2 m; 2 @ 1.5 m");
            page.locator("[data-path$='.spacing'][data-path*='members']").blur();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "4");
        }
        var structure = server.bean(JobService.class)
                .open(slug)
                .design()
                .job()
                .roof()
                .fabric()
                .structure();
        assertThat(structure.members()).singleElement().satisfies(m -> {
            assertThat(m.spacing().metres()).containsExactly(1.2, 1.5, 1.5);
            assertThat(m.type().info().code()).isEqualTo("i-200-100");
        });
    }

    @Test
    void aZoneTellsItsCoefficientAndShowsWhereOnItsCurveItWasRead() {
        String depot = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJobs().get(3), false).job());
        String hall = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJob(), false).job());
        try (Page page = page()) {
            for (String slug : List.of(depot, hall)) {
                openBench(page, slug);
                Locator zone = page.locator("#plan [data-zone='2']").first();
                zone.focus();
                assertThat(page.locator("#told")).containsText("zone 2");
                zone.press("Enter");
                assertThat(page.locator("#working h2")).containsText("zone 2");
                assertThat(page.locator("#working svg.curve .mark")).hasCount(1);
                assertThat(page.locator("#working > article > .quiet .status"))
                        .hasText(slug.equals(hall) ? "unconfirmed" : "invented");
            }
        }
    }

    @Test
    void aPalletIsSetDownMovedOffAVentAndStackedUntilItIsTooMuch() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJob(), false).job());
        try (Page page = page()) {
            openBench(page, slug);
            int at = Integer.parseInt(page.locator("#bench").getAttribute("data-revision"));
            page.locator("details[data-section=structure]").evaluate("d => d.open = true");
            page.getByText("Set something down", new Page.GetByTextOptions().setExact(true))
                    .click();
            Locator check = page.locator("#checks [data-check^='roof.set-down-']")
                    .filter(new Locator.FilterOptions().setHasText("Pallet of modules"));
            assertThat(check).containsText("1 high, loading");
            String path = page.locator("[data-path*='setDowns'][data-path$='.high']")
                    .last()
                    .getAttribute("data-path")
                    .replace(".high", "");
            set(page, path + ".x", "25 ft");
            set(page, path + ".y", "92 ft");
            assertThat(check).containsText("stands on Vent 1");
            set(page, path + ".x", "60 ft");
            assertThat(check).not().containsText("stands on");
            set(page, path + ".high", "13");
            assertThat(page.locator(".entryline.wrong")).containsText("1 to 12");
            set(page, path + ".high", "12");
            assertThat(check).containsText("fails");
            assertThat(check).containsText("on each other here");
            assertThat(page.locator("#plan .setdownname").last()).hasText("Pallet of modules ×12");
            page.locator("#undo").click();
            assertThat(check).containsText("1 high");
            assertThat(page.locator("#bench")).hasAttribute("data-revision", String.valueOf(at + 6));
        }
    }

    @Test
    void aLaterEditionAsksAgainAndSaysWhatItLacksUntilAnEngineerAcceptsOlderFigures() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJob(), false).job());
        try (Page page = page()) {
            openBench(page, slug);
            page.locator("details[data-section=site]").evaluate("d => d.open = true");
            page.locator("[data-path='$.site.edition']").selectOption("7-22");
            assertThat(page.locator("[data-path='$.site.wind']")).hasValue("");
            set(page, "$.site.wind", "107");
            Locator wind = page.locator("#checks [data-check='site.wind']");
            assertThat(wind).containsText("29.4.3 in the edition 7-22");
            page.locator("[data-path='$.site.olderFigures']").selectOption("true");
            assertThat(page.locator("#checks [data-check='site.edition']")).containsText("those of 7-16");
            assertThat(wind).hasCount(0);
            set(page, "$.site.snow", "30");
            assertThat(page.locator("#checks [data-check='site.snow']")).containsText("no figures of snow");
            set(page, "$.site.roofSnow", "24 psf");
            assertThat(page.locator("#checks [data-check='site.snow']")).hasCount(0);
            assertThat(page.locator("#titleblock")).containsText("ASCE 7-22");
            // a hill needs all of its values, and then gives the factor
            page.locator("[data-path='$.site.hill.shape']").selectOption("ridge");
            assertThat(page.locator(".fault").filter(new Locator.FilterOptions().setHasText("Fill in all fields")))
                    .hasCount(1);
            set(page, "$.site.hill.height", "80 ft");
            set(page, "$.site.hill.halfLength", "90 m");
            set(page, "$.site.hill.distance", "0");
            assertThat(page.locator("details[data-section=site]")).containsText("by the hill: 1.");
        }
    }

    @Test
    void aDeckIsChosenAndAPhotographIsKeptWithTheStrengthening() {
        Map<String, Object> document = Seeds.demoJob();
        String slug = server.bean(JobService.class)
                .create(JobReader.read(document, false).job());
        try (Page page = page()) {
            openBench(page, slug);
            page.locator("details[data-section=structure]").evaluate("d => d.open = true");
            Locator deck = page.locator("#checks [data-check='roof.deck']");
            assertThat(deck).containsText("passes");
            page.locator("[data-path='$.roof.structure.deck.width']").fill("20 in");
            page.locator("[data-path='$.roof.structure.deck.width']").blur();
            assertThat(deck).not().containsText("passes");
            deck.click();
            assertThat(page.locator("#working h2")).containsText("Deck from");
            page.getByText("Strengthen Joists of bay D2", new Page.GetByTextOptions().setExact(true))
                    .click();
            assertThat(page.locator("#checks [data-check^='roof.works-']")).containsText("0 photographs");
            page.navigate(server.address("/jobs/" + slug + "/survey"));
            page.locator("#works summary").click();
            page.locator("#works [name=caption]").fill("bolts at the middle");
            page.locator("#works [name=upload]")
                    .setInputFiles(new FilePayload("p.png", "image/png", SurveySheetFlowTest.picture("png", 300, 200)));
            page.locator("#works form button").click();
            assertThat(page.locator("#works figcaption")).containsText("bolts at the middle");
            openBench(page, slug);
            assertThat(page.locator("#checks [data-check^='roof.works-']")).containsText("1 photograph");
        }
        assertThat(server.get("/jobs/" + slug + "/sheet?sheet=engineer").body()).contains("1 kept", "drains kept free");
    }

    @Test
    void nationalParametersAndAFloorAreChosenAndSayWhereTheyGovern() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJobs().get(1), false).job());
        JobService jobs = server.bean(JobService.class);
        double peak = jobs.open(slug).design().site().wind().pressurePa();
        try (Page page = page()) {
            openBench(page, slug);
            page.locator("details[data-section=site]").evaluate("d => d.open = true");
            page.locator("[data-path='$.site.national']").selectOption("national_parameters_lowmark");
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
            assertThat(page.locator("[data-path='$.site.national']")).hasValue("national_parameters_lowmark");
            set(page, "$.site.leastUplift", "2 m");
            assertThat(page.locator(".entryline.wrong")).containsText("kPa");
            set(page, "$.site.leastUplift", "0.7");
            Locator floor = page.locator("#checks [data-check='wind.floor']");
            assertThat(floor).containsText("by the minimum design uplift");
            floor.click();
            assertThat(page.locator("#working .answer")).containsText("by the minimum design uplift");
            assertThat(page.locator("#working .steps")).containsText("governs");
            set(page, "$.site.leastUplift", "");
            assertThat(floor).hasCount(0);
        }
        assertThat(jobs.open(slug).design().site().wind().pressurePa() / peak).isCloseTo(1.22 / 1.25, within(1e-9));
    }

    private static void set(Page page, String path, String value) {
        Locator field = page.locator("[data-path='" + path + "']");
        field.fill(value);
        field.blur();
    }
}
