package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.JobReader;

/** The work surface as a designer uses it, in a real browser. */
class JobFlowTest extends ServedTest {
    private Page page;
    private String slug;

    @BeforeEach
    void open() {
        slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.demoJob(), false).job());
        page = page();
        openBench(page, slug);
    }

    @AfterEach
    void closePage() {
        page.close();
    }

    private Locator field(String path) {
        return page.locator("[data-path=\"" + path + "\"]");
    }

    private Locator cell(String name) {
        return page.locator("#titleblock .cell", new Page.LocatorOptions().setHasText(name))
                .locator("b")
                .first();
    }

    private String revision() {
        return page.locator("#bench").getAttribute("data-revision");
    }

    private void openSection(String id) {
        page.locator("details[data-section=" + id + "] > summary").click();
    }

    @Test
    void aLowerTiltNeedsFewerBlocksAndUndoBringsThemBack() {
        String modules = cell("Modules").innerText();
        String blocks = cell("Blocks").innerText();
        field("$.array.tilt").selectOption("5 deg");
        assertThat(page.locator("#difference")).containsText("blocks");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator(".mark").getAttribute("d")).isNotBlank();
        assertThat(cell("Modules")).not().hasText(modules);
        page.locator("#undo").click();
        assertThat(cell("Modules")).hasText(modules);
        assertThat(cell("Blocks")).hasText(blocks);
        page.reload();
        page.locator("#redo").click();
        assertThat(cell("Modules")).not().hasText(modules);
        assertThat(revision()).isEqualTo("4");
    }

    @Test
    void draggingAVentPreviewsAndStoresOneRevision() {
        String before = cell("Modules").innerText();
        BoundingBox box = page.locator("[data-obstruction=vent-1] .body").boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + 60, y + 20);
        page.mouse().move(x + 90, y + 40);
        assertThat(page.locator("#difference")).containsText("Preview");
        assertThat(revision()).isEqualTo("1");
        page.mouse().up();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator(".history li").first()).containsText("Vent 1 moved");
        String stored = server.get("/jobs/" + slug + "/job.json").body();
        assertThat(stored).doesNotContain("92' 6\\\"");
        page.keyboard().press("Control+z");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(cell("Modules")).hasText(before);
    }

    @Test
    void theKeyboardWalksOpensAndNudges() {
        page.locator("#plan").focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowUp");
        assertThat(page.locator("#told")).containsText("Row 2, position 2");
        page.keyboard().press("Enter");
        assertThat(page.locator("#working h2")).hasText("Ballast of position 2-2");
        page.locator("#working button[data-figure='uplift/2-2']").click();
        assertThat(page.locator("#working")).containsText("Eq. 29.4-5");
        page.locator("#working button[data-figure='site.qh']").click();
        assertThat(page.locator("#working")).containsText("0.00256");
        page.locator("[data-obstruction=hatch]").focus();
        page.keyboard().press("ArrowLeft");
        assertThat(page.locator(".history li").first()).containsText("Roof hatch moved");
        page.locator("[data-walkway]").first().focus();
        page.keyboard().press("ArrowUp");
        assertThat(page.locator(".history li").first()).containsText("Walkway");
    }

    @Test
    void badInputIsToldBesideItsFieldAndNothingIsStored() {
        openSection("site");
        field("$.site.wind").fill("0");
        field("$.site.wind").press("Enter");
        field("$.site.wind").blur();
        Locator line = page.locator(".entryline.wrong");
        assertThat(line).containsText("55.9 mph to 268.4 mph");
        assertThat(field("$.site.wind")).hasValue("0");
        assertThat(revision()).isEqualTo("1");
        field("$.site.wind").fill("115 mph");
        field("$.site.wind").blur();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator(".entryline.wrong")).hasCount(0);
    }

    @Test
    void anAllowanceIsStoredWholeOrNotAtAll() {
        openSection("roof");
        field("$.roof.allowance.load").fill("");
        field("$.roof.allowance.load").blur();
        assertThat(page.locator("[data-object='$.roof.allowance']")).containsText("Fill in all fields");
        field("$.roof.allowance.givenBy").fill("");
        field("$.roof.allowance.date").fill("");
        field("$.roof.allowance.date").blur();
        assertThat(page.locator("#checks [data-check='roof.window']")).containsText("not established");
    }

    @Test
    void aTapeSurveyDrawsItselfAndBecomesTheOutline() {
        openSection("roof");
        page.locator("#tape").fill("120' 4\", left\n80', left\n60' 2\", left\n30', right\n");
        assertThat(page.locator("#tape-words")).containsText(Pattern.compile("4 edges.*from the start"));
        page.locator("#tape").fill("150', left\n100', left\n150' 2\", left\n99' 11\", left");
        assertThat(page.locator("#tape-words")).containsText("4 edges");
        page.locator("#tape-use").click();
        // obstructions outside the smaller roof stop it
        assertThat(page.locator("#banner")).containsText("does not lie wholly on the roof");
        assertThat(revision()).isEqualTo("1");
        page.locator("#tape").fill("200', left\n140', left\n200' 2\", left\n139' 11\", left");
        assertThat(page.locator("#tape-words")).containsText("1 in ");
        page.locator("#tape-use").click();
        assertThat(page.locator(".layer-dims").first()).containsText("edge 3  200' 2\"");
        assertThat(page.locator("#checks")).containsText("Tape survey closes");
    }

    @Test
    void anotherWindowsChangeIsShownAndMineCanGoOnTop() {
        Page other = page();
        other.navigate(server.address("/jobs/" + slug));
        field("$.array.tilt").selectOption("5 deg");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        other.locator("[data-path=\"$.array.tilt\"]").selectOption("15 deg");
        assertThat(other.locator("#banner")).containsText("Tilt changed to 5 deg");
        other.locator("#banner button").first().click();
        assertThat(other.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(other.locator("[data-path=\"$.array.tilt\"]")).hasValue("15 deg");
        other.close();
    }

    @Test
    void theAcRunIsDrawnByClicksAndAWalkwayIsDragged() {
        openSection("run");
        page.locator("#draw-run").click();
        BoundingBox plan = page.locator("#plan").boundingBox();
        page.mouse().click(plan.x + 300, plan.y + 200);
        page.mouse().click(plan.x + 302, plan.y + 60);
        page.mouse().click(plan.x + 420, plan.y + 60);
        page.keyboard().press("Enter");
        assertThat(page.locator(".history li").first()).containsText("Route of the AC run");
        assertThat(field("$.electrical.run.points[2].x")).hasCount(1);
        assertThat(field("$.electrical.run.points[1].x"))
                .hasValue(field("$.electrical.run.points[0].x").inputValue());

        BoundingBox walkway = page.locator("[data-walkway='5']").boundingBox();
        double y = walkway.y + walkway.height / 2;
        page.mouse().move(walkway.x + 30, y);
        page.mouse().down();
        page.mouse().move(walkway.x + 30, y - 20);
        page.mouse().move(walkway.x + 30, y - 34);
        page.mouse().up();
        // the preview shows it first, the drop stores it
        assertThat(page.locator("[data-walkway='7']")).hasCount(1);
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
    }

    @Test
    void anOutlineIsDrawnByClicksOrGivenUp() {
        page.navigate(server.address("/"));
        page.locator("form[action='/jobs'] input[name=name]").fill("Drawn");
        page.locator("button", new Page.LocatorOptions().setHasText("Start the job"))
                .click();
        page.locator("#bench[data-ready]").waitFor();
        openSection("roof");
        page.locator("#draw-outline").click();
        BoundingBox plan = page.locator("#plan").boundingBox();
        page.mouse().click(plan.x + 200, plan.y + 300);
        page.keyboard().press("Escape");
        assertThat(page.locator("#told")).containsText("nothing was changed");
        page.locator("#draw-outline").click();
        page.mouse().click(plan.x + 120, plan.y + 320);
        page.mouse().click(plan.x + 520, plan.y + 321);
        page.keyboard().press("Enter");
        assertThat(page.locator("#told")).containsText("too few");
        page.mouse().click(plan.x + 519, plan.y + 120);
        page.mouse().click(plan.x + 121, plan.y + 121);
        page.keyboard().press("Enter");
        assertThat(page.locator(".history li").first()).containsText("Outline changed");
        assertThat(page.locator(".layer-dims").first()).containsText("edge 4");
    }

    @Test
    void aJobFileIsReadOrRefusedWithItsPath() {
        String file = server.get("/jobs/" + slug + "/job.json").body();
        page.navigate(server.address("/"));
        page.locator("textarea[name=file]").fill(file.replace("\"105 mph\"", "\"105\""));
        page.locator("button", new Page.LocatorOptions().setHasText("Read the job file"))
                .click();
        assertThat(page.locator("main")).containsText("$.site.wind");
        assertThat(page.locator("main")).containsText("has no unit");
        page.goBack();
        page.locator("textarea[name=file]").fill(file);
        page.locator("button", new Page.LocatorOptions().setHasText("Read the job file"))
                .click();
        assertThat(page.locator("#titleblock")).containsText("447");
    }

    @Test
    void zoomPanAndLayersWorkByKeyAndButton() {
        String whole = page.locator("#plan").getAttribute("viewBox");
        page.locator("#plan").focus();
        page.keyboard().press("+");
        String nearer = page.locator("#plan").getAttribute("viewBox");
        assertThat(Double.parseDouble(nearer.split(" ")[2])).isLessThan(Double.parseDouble(whole.split(" ")[2]));
        page.keyboard().press("Shift+ArrowRight");
        assertThat(page.locator("#plan").getAttribute("viewBox")).isNotEqualTo(nearer);
        page.locator("#fit").click();
        assertThat(page.locator("#plan")).hasAttribute("viewBox", whole);
        assertThat(page.locator(".layer-strings")).isHidden();
        page.locator("[data-layer=strings]").check();
        assertThat(page.locator(".layer-strings")).isVisible();
        field("$.array.tilt").selectOption("5 deg");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator(".layer-strings")).isVisible();
    }

    @Test
    void aNewMetricJobStartsAssumedAndTakesMetricEntry() {
        page.navigate(server.address("/"));
        page.locator("form[action='/jobs'] input[name=name]").fill("Barn <b>");
        page.locator("select[name=units]").selectOption("metric");
        page.locator("button", new Page.LocatorOptions().setHasText("Start the job"))
                .click();
        assertThat(page.locator("h1")).hasText("Barn <b>");
        openSection("roof");
        field("$.roof.height").fill("7.5");
        field("$.roof.height").blur();
        assertThat(field("$.roof.height")).hasValue("7.5 m");
        openSection("site");
        assertThat(page.locator(".entryline.assumed").first()).containsText("assumed");
    }
}
