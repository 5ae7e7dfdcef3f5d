package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** History as a designer uses it: name, compare, go back; ways out made and undone; two windows at once. */
class RevisionFlowTest extends ServedTest {
    private JobService jobs;
    private Page page;
    private String slug;

    @BeforeEach
    void open() {
        jobs = server.bean(JobService.class);
        slug = jobs.create(JobReader.read(Seeds.demoJob(), false).job());
        page = page();
    }

    @AfterEach
    void closePage() {
        page.close();
    }

    private void set(String path, Object value) {
        int base = jobs.open(slug).revision().number();
        jobs.change(slug, base, List.of(new DocumentPatch.Change("set", path, value)));
    }

    private Locator button(String name) {
        return page.locator("button", new Page.LocatorOptions().setHasText(name));
    }

    private Locator cell(String name) {
        return page.locator("#titleblock .cell", new Page.LocatorOptions().setHasText(name))
                .locator("b")
                .first();
    }

    @Test
    void aRevisionIsNamedComparedAndGoneBackTo() {
        set("$.array.tilt", "5 deg");
        set("$.roof.obstructions[id=vent-1].x", "31 ft");
        page.navigate(server.address("/jobs/" + slug + "/revisions"));
        assertThat(page.locator("tbody tr")).hasCount(3);
        assertThat(page.locator("tbody tr").nth(1)).containsText("Tilt changed to 5 deg");
        page.locator("tbody tr").nth(2).locator("input[name=name]").fill("as <b>sent</b>");
        page.locator("tbody tr").nth(2).locator("button:has-text('Name')").click();
        assertThat(page.locator("tbody tr").nth(2).locator("input[name=name]")).hasValue("as <b>sent</b>");

        page.locator("input[name=from][value='1']").check();
        page.locator("input[name=to][value='3']").check();
        button("Compare the two marked").click();
        assertThat(page.locator("h1")).containsText("as <b>sent</b>");
        assertThat(page.locator("main")).containsText("10 deg");
        assertThat(page.locator("main")).containsText("31 ft");
        assertThat(page.locator(".difference")).containsText("blocks");
        assertThat(page.locator("figure svg")).hasCount(2);
        assertThat(page.locator("figure").nth(1).locator(".mark").getAttribute("d"))
                .isNotBlank();
        assertThat(page.locator("figure").nth(0).locator(".mark")).hasCount(0);

        page.navigate(server.address("/jobs/" + slug + "/revisions"));
        page.locator("tbody tr")
                .nth(2)
                .locator("button:has-text('Go back here')")
                .click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "4");
        assertThat(cell("Modules")).hasText("447");
        page.locator("#bench[data-ready]").waitFor();
        page.locator("#undo").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "5");
        assertThat(cell("Modules")).not().hasText("447");
    }

    @Test
    void goingBackFromAnOldPageTellsOfTheOtherChange() {
        page.navigate(server.address("/jobs/" + slug + "/revisions"));
        set("$.array.tilt", "5 deg");
        set("$.array.gap", "24 in");
        page.navigate(server.address("/jobs/" + slug + "/revisions"));
        set("$.array.gap", "32 in");
        page.locator("tbody tr")
                .last()
                .locator("button:has-text('Go back here')")
                .click();
        assertThat(page.locator("main")).containsText("Revision 4 by this machine: Row gap changed to 32 in");
        assertThat(jobs.open(slug).revision().number()).isEqualTo(4);
    }

    @Test
    void aWayOutIsChosenMadeAsOneRevisionAndUndone() {
        set("$.roof.allowance", Map.of("load", "7.6 psf", "givenBy", "R. Test PE", "date", "2026-09-14"));
        page.navigate(server.address("/jobs/" + slug));
        Locator failing = page.locator("#checks button[data-check='roof.window']");
        assertThat(failing).containsText("fails");
        failing.click();
        Locator ways = page.locator("#ways li");
        assertThat(ways.first()).containsText("clears it: Tilt 5 deg");
        assertThat(ways.first()).containsText("−615 blocks");
        ways.first().locator("button").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(page.locator("#checks button[data-check='roof.window']"))
                .not()
                .containsText("fails");
        assertThat(page.locator(".history li").first()).containsText("Tilt 5 deg instead of 10 deg");
        page.locator("#undo").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "4");
        assertThat(page.locator("#checks button[data-check='roof.window']")).containsText("fails");
    }

    @Test
    void leavingModulesOutIsOneRevisionHoweverManyTheyAre() {
        set("$.roof.allowance", Map.of("load", "6.5 psf", "givenBy", "R. Test PE", "date", "2026-09-14"));
        page.navigate(server.address("/jobs/" + slug));
        page.locator("#checks button[data-check='roof.bay']").click();
        assertThat(page.locator("#place").getAttribute("d")).contains("Z");
        Locator way = page.locator("#ways li", new Page.LocatorOptions().setHasText("Leave out"));
        way.locator("button").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(cell("Modules")).not().hasText("447");
        page.keyboard().press("Control+z");
        assertThat(cell("Modules")).hasText("447");
    }

    @Test
    void aConflictInAnotherWindowKeepsWhatWasTypedAndAppliesOnTop() {
        page.navigate(server.address("/jobs/" + slug));
        set("$.array.tilt", "5 deg");
        set("$.roof.height", "19 ft");
        set("$.array.walkway.first", 3);
        page.locator("details[data-section=roof] > summary").click();
        Locator height = page.locator("[data-path='$.roof.height']");
        height.fill("21' 6\"");
        height.blur();
        assertThat(page.locator("#banner")).containsText("Tilt changed to 5 deg");
        assertThat(page.locator("#banner")).containsText("Walkway");
        assertThat(height).hasValue("21' 6\"");
        assertThat(jobs.open(slug).revision().number()).isEqualTo(4);
        page.locator("#banner button").first().click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "5");
        var job = jobs.open(slug).design().job();
        assertThat(job.roof().height().si()).isEqualTo(21.5 * 0.3048);
        assertThat(job.array().tilt().si()).isEqualTo(5);
        assertThat(job.array().walkway().first()).isEqualTo(3);
    }

    /** Different things go together by themselves, and both windows are told. */
    @Test
    void editsOfDifferentThingsGoTogether() {
        page.navigate(server.address("/jobs/" + slug));
        try (Page other = page()) {
            other.navigate(server.address("/jobs/" + slug));
            assertThat(other.locator("#bench")).hasAttribute("data-revision", "1");
            set("$.array.tilt", "5 deg");
            other.locator("details[data-section=roof] > summary").click();
            Locator height = other.locator("[data-path='$.roof.height']");
            height.fill("21' 6\"");
            height.blur();
            assertThat(other.locator("#bench")).hasAttribute("data-revision", "3");
            assertThat(other.locator("#difference")).containsText("together with revision 2");
            assertThat(other.locator("#difference")).containsText("Tilt changed to 5 deg");
            assertThat(other.locator("[data-path='$.array.tilt']")).hasValue("5 deg");
        }
        assertThat(page.locator("#news")).containsText("Tilt changed to 5 deg");
        assertThat(page.locator("#news")).containsText("revision 3");
        var job = jobs.open(slug).design().job();
        assertThat(job.roof().height().si()).isEqualTo(21.5 * 0.3048);
        assertThat(job.array().tilt().si()).isEqualTo(5);
    }

    /** Windows that store at the same moment: who comes second by a hair is merged like who comes second by a minute. */
    @Test
    void editsOfDifferentThingsAtTheSameMomentAreAllStored() throws Exception {
        List<String> edits = List.of(
                "$.array.tilt\",\"value\":\"5 deg",
                "$.roof.height\",\"value\":\"21 ft",
                "$.project.place\",\"value\":\"elsewhere",
                "$.project.preparedBy\",\"value\":\"somebody");
        ExecutorService all = Executors.newFixedThreadPool(edits.size());
        try {
            List<Callable<Integer>> asked = edits.stream()
                    .<Callable<Integer>>map(e -> () -> server.post(
                                    "/jobs/" + slug + "/change",
                                    "{\"base\":1,\"changes\":[{\"op\":\"set\",\"path\":\"" + e + "\"}]}")
                            .statusCode())
                    .toList();
            for (Future<Integer> answer : all.invokeAll(asked)) {
                assertThat(answer.get()).isEqualTo(200);
            }
        } finally {
            all.shutdownNow();
        }
        assertThat(jobs.open(slug).revision().number()).isEqualTo(1 + edits.size());
    }

    /** The answer to an edit is lost on the way: the page asks again, and the edit is there once. */
    @Test
    void anAnswerThatIsLostIsAskedForAgainAndTheEditIsOne() {
        page.navigate(server.address("/jobs/" + slug));
        int[] sent = {0};
        page.route("**/change", route -> {
            sent[0]++;
            if (sent[0] == 1) {
                // it reaches the server, and its answer does not come back
                route.fetch();
                route.abort();
            } else {
                route.resume();
            }
        });
        page.locator("[data-path=\"$.array.tilt\"]").selectOption("5 deg");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator("#banner")).isHidden();
        assertThat(sent[0]).isEqualTo(2);
        assertThat(jobs.open(slug).revision().number()).isEqualTo(2);
        page.locator("[data-path=\"$.array.tilt\"]").selectOption("10 deg");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        faults.removeIf(f -> f.contains("ERR_FAILED"));
    }

    @Test
    void aColleaguesChangeIsAnnouncedAndNotTakenBackUnasked() {
        page.navigate(server.address("/jobs/" + slug));
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "1");
        try (Page other = page()) {
            other.navigate(server.address("/jobs/" + slug));
            other.locator("[data-path=\"$.array.tilt\"]").selectOption("5 deg");
            assertThat(other.locator("#bench")).hasAttribute("data-revision", "2");
        }
        assertThat(page.locator("#news")).containsText("Tilt changed to 5 deg");
        page.locator("#news button").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");

        page.locator("#undo").click();
        assertThat(page.locator("#banner")).containsText("Undo takes back revision 2, \"Tilt changed to 5 deg\"");
        assertThat(jobs.open(slug).revision().number()).isEqualTo(2);
        button("Leave it").click();
        assertThat(jobs.open(slug).design().job().array().tilt().si()).isEqualTo(5);

        page.locator("#undo").click();
        button("Take it back").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(jobs.open(slug).design().job().array().tilt().si()).isEqualTo(10);

        // what this window made itself goes back at once
        page.locator("[data-path=\"$.array.tilt\"]").selectOption("5 deg");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "4");
        page.locator("#undo").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "5");
    }

    /** What a plain form of another window stored is asked about, that of this window is not; nor do duplicated tabs share a name. */
    @Test
    void formsSayTheirWindowTooAndADuplicatedTabTakesAnotherName() {
        page.navigate(server.address("/jobs/" + slug));
        String own = (String) page.evaluate("sessionStorage.getItem('window')");
        // it begins with what the first one stored, as a duplicated tab does
        try (Page other =
                page.waitForPopup(() -> page.evaluate("u => { window.open(u); }", "/jobs/" + slug + "/survey"))) {
            other.waitForCondition(() -> !own.equals(other.evaluate("sessionStorage.getItem('window')")));
            other.locator("#a-coverAge").fill("12");
            other.locator("button:has-text('Store what is written')").click();
            assertThat(other.locator("#a-coverAge")).hasValue("12");
        }
        assertThat(page.locator("#news")).containsText("Survey answer");
        page.locator("#news button").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        page.locator("#undo").click();
        assertThat(page.locator("#banner")).containsText("Undo takes back revision 2");
        button("Leave it").click();
        page.navigate(server.address("/jobs/" + slug + "/survey"));
        page.locator("#a-coverAge").fill("14");
        page.locator("button:has-text('Store what is written')").click();
        assertThat(page.locator("#a-coverAge")).hasValue("14");
        page.navigate(server.address("/jobs/" + slug));
        page.locator("#undo").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "4");
    }

    @Test
    void aServerThatDoesNotAnswerIsSaidAndNothingTypedIsLost() {
        page.navigate(server.address("/jobs/" + slug));
        page.route("**/change", route -> route.abort());
        page.locator("details[data-section=roof] > summary").click();
        Locator height = page.locator("[data-path='$.roof.height']");
        height.fill("25 ft");
        height.blur();
        assertThat(page.locator("#banner")).containsText("does not answer");
        assertThat(height).hasValue("25 ft");
        faults.removeIf(f -> f.contains("ERR_FAILED"));
    }
}
