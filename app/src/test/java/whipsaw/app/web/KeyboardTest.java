package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.JobReader;

/** Everything the pointer does can be done without it, and the focus is always seen. */
class KeyboardTest extends ServedTest {
    private Page page;

    @BeforeEach
    void open() {
        page = page();
        openBench(page, "milepost-hall");
    }

    @AfterEach
    void close() {
        page.close();
    }

    private void keys(String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
    }

    /** Tabs until something of the page has the focus. */
    private void tabTo(String selector) {
        for (int i = 0; i < 400; i++) {
            keys("Tab");
            if ((Boolean) page.evaluate("s => document.activeElement.matches(s)", selector)) {
                return;
            }
        }
        throw new AssertionError("Tab never reaches " + selector);
    }

    @Test
    void theFirstTabLeadsToTheDrawingAndFromThereToEveryThingOnIt() {
        keys("Tab");
        assertThat(page.locator(".skip:focus")).isVisible();
        keys("Enter");
        tabTo("#plan");
        List<String> met = new java.util.ArrayList<>();
        for (int i = 0; i < 30; i++) {
            keys("Tab");
            String name = (String) page.evaluate(
                    "document.activeElement.getAttribute('aria-label') ?? document.activeElement.textContent.trim()");
            met.add(name);
        }
        assertThat(met).anyMatch(n -> n.startsWith("Walkway behind row 5"));
        assertThat(met).anyMatch(n -> n.startsWith("RTU-1"));
        assertThat(met).anyMatch(n -> n.startsWith("End A of the section"));
        page.locator("#key input").first().focus();
        tabTo("#measure");
        tabTo("#fit");
    }

    @Test
    void aLayerAMenuAndACheckAreSwitchedByKeys() {
        page.locator("[data-layer=strings]").focus();
        keys("Space");
        assertThat(page.locator("#plan .layer-strings")).isVisible();
        page.locator(".menu summary").first().focus();
        keys("Enter", "Tab");
        assertThat(page.locator(".sheetlist a:focus")).hasCount(1);
        keys("Escape");
        assertThat(page.locator(".sheetlist").first()).isHidden();
        page.locator("#checks button").nth(4).focus();
        keys("Enter");
        assertThat(page.locator("#working article")).isVisible();
        tabTo("#working .workinghead button:not(:disabled)");
        page.locator("[data-panel=section]").focus();
        keys("Enter");
        page.locator("#sun-hour").focus();
        String before = page.locator("#section-words").innerText();
        keys("ArrowLeft", "ArrowLeft");
        assertThat(page.locator("#section-words")).not().hasText(before);
    }

    /** A walkway that was moved keeps the focus, so that the next arrow moves it again. */
    @Test
    void aWalkwayIsMovedAgainAndAgain() {
        openBench(
                page,
                server.bean(JobService.class)
                        .create(JobReader.read(Seeds.demoJob(), false).job()));
        page.locator("#plan [data-walkway]").first().focus();
        keys("ArrowUp");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator("#plan [data-walkway]:focus")).hasCount(1);
        keys("ArrowDown");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(page.locator("#plan [data-walkway]:focus")).hasCount(1);
    }

    /** A stage brings its inputs, layers and checks; the drawing keeps its place, and what is shut stays shut. */
    @Test
    void stagesAndWhatIsShutAreChosenByKeys() {
        String box = page.locator("#plan").getAttribute("viewBox");
        keys("Alt+2");
        assertThat(page.locator("#stages [aria-pressed=true][data-stage]")).containsText("Loads and structure");
        assertThat(page.locator("#stages [data-stage=loads]")).hasClass("stopped");
        assertThat(page.locator("details[data-section=structure]")).isVisible();
        assertThat(page.locator("details[data-section=array]")).isHidden();
        assertThat(page.locator("#checks li[data-of=loads]").first()).isVisible();
        assertThat(page.locator("#checks li[data-of=circuits]").first()).isHidden();
        assertThat(page.locator("#plan .layer-blocks")).isHidden();
        assertThat(page.locator("label:has([data-layer=blocks])")).isHidden();
        page.locator("#other-layers").focus();
        keys("Enter");
        page.locator("[data-layer=blocks]").focus();
        keys("Space");
        assertThat(page.locator("#plan .layer-blocks")).isVisible();
        page.locator("#plan").focus();
        keys("]");
        assertThat(page.locator("#plan .layer-blocks")).isHidden();
        keys("[");
        assertThat(page.locator("#plan .layer-blocks")).isVisible();
        assertThat(page.locator("#plan").getAttribute("viewBox")).isEqualTo(box);
        keys("w");
        assertThat(page.locator("#ways button[data-way]").first()).isVisible();
        keys("w");
        assertThat(page.locator("#ways button[data-way]").first()).isFocused();
        page.locator("#shut-say").focus();
        keys("Enter");
        page.locator("[data-panel=checks]").focus();
        keys("Enter");
        keys("Alt+0");
        page.reload();
        assertThat(page.locator("#checks")).isHidden();
        assertThat(page.locator("details[data-section=array]")).isVisible();
        // at 1280 by 800 the drawing has half of the window beside the inputs, three quarters without them
        assertThat(((Number) page.evaluate(PART)).doubleValue()).isGreaterThan(0.5);
        page.locator("[data-panel=entry]").focus();
        keys("Enter");
        assertThat(((Number) page.evaluate(PART)).doubleValue()).isGreaterThan(0.75);
    }

    private static final String PART = "() => { const r = document.getElementById('planwrap').getBoundingClientRect();"
            + " return r.width * r.height / innerWidth / innerHeight; }";

    /** The outline of the focus is there in both lights, on fields, buttons, cells and the key. */
    @Test
    void whatHasTheFocusCanBeSeen() {
        for (String lamp : List.of("on", "off")) {
            page.evaluate("l => document.documentElement.dataset.lamp = l", lamp);
            for (String selector : List.of(
                    "#undo, .lamp",
                    "[data-path=\"$.array.tilt\"]",
                    "#titleblock .cell",
                    "#checks button",
                    "#measure")) {
                page.locator(selector).last().focus();
                keys("Shift+Tab", "Tab");
                @SuppressWarnings("unchecked")
                Map<String, Object> style = (Map<String, Object>)
                        page.evaluate(
                                "() => { const s = getComputedStyle(document.activeElement); return { width: parseFloat(s.outlineWidth), style: s.outlineStyle }; }");
                assertThat(((Number) style.get("width")).doubleValue())
                        .as(selector)
                        .isGreaterThanOrEqualTo(2);
                assertThat(style.get("style")).isNotEqualTo("none");
            }
        }
    }

    @Test
    void nothingMovesOfItself() {
        page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE));
        Object moving = page.evaluate(
                "() => [...document.querySelectorAll('*')].filter(e => { const s = getComputedStyle(e); return parseFloat(s.transitionDuration) > 0 || s.animationName !== 'none'; }).length");
        assertThat(((Number) moving).intValue()).isZero();
    }

    @Test
    void aLargeRoofIsHeardRowByRow() {
        openBench(page, "quarrybank-cold-store");
        page.locator("#plan").focus();
        keys("l");
        assertThat(page.locator("#planlist .twinrows li").nth(40)).isAttached();
        assertThat(page.locator("#planlist .twinplaces button")).hasCount(0);
        page.locator("#planlist .twinrows a").nth(11).focus();
        keys("Enter");
        assertThat(page.locator("h1")).containsText("as a list");
        int row = server
                .bean(whipsaw.app.job.JobService.class)
                .open("quarrybank-cold-store")
                .design()
                .holdDown()
                .positions()
                .stream()
                .mapToInt(p -> Integer.parseInt(p.number().split("-")[0]) == 12 ? 1 : 0)
                .sum();
        assertThat(page.locator(".twinplaces button")).hasCount(row);
    }
}
