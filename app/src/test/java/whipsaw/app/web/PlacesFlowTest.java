package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;

/** Several arrays and roofs in one job, made and worked on as users do. */
class PlacesFlowTest extends ServedTest {
    private String slug;
    private Page page;

    @BeforeEach
    void startAJob() {
        slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("asce"), false).job());
        page = page();
        openBench(page, slug);
    }

    private Design design() {
        return server.bean(JobService.class).open(slug).design();
    }

    private void openPart(String section) {
        page.locator("details[data-section=" + section + "]").evaluate("d => d.open = true");
    }

    @SuppressWarnings("unchecked")
    private double[] pixel(double x, double y) {
        Map<String, Number> p = (Map<String, Number>) page.evaluate(
                "([x, y]) => { const p = new DOMPoint(x * 100, -y * 100).matrixTransform(document.getElementById('plan').getScreenCTM()); return {x: p.x, y: p.y}; }",
                List.of(x, y));
        return new double[] {p.get("x").doubleValue(), p.get("y").doubleValue()};
    }

    private void click(double x, double y) {
        double[] p = pixel(x, y);
        page.mouse().click(p[0], p[1]);
    }

    private void look(String place) {
        page.locator("#array-choice").selectOption(place);
        page.waitForURL(Pattern.compile(".*array=" + place + "$"));
        page.locator("#bench[data-ready]").waitFor();
    }

    private Locator cell(int i) {
        return page.locator("#titleblock .cell b").nth(i);
    }

    @Test
    void aJobOfTwoRoofsAndThreeArraysIsBuiltFromBlankAndRoundTrips() {
        Design blank = design();
        var roof = blank.plan().outline().getEnvelopeInternal();
        openPart("arrays");
        page.locator("#split-array").click();
        double middle = roof.getMinX() + roof.getWidth() * 0.4;
        click(middle, roof.getMinY() + 0.2);
        click(middle, roof.getMaxY() - 0.2);
        assertThat(page.locator("#array-choice option")).hasCount(2);
        openPart("roofs");
        page.locator("#add-roof [name=name]").fill("Annex");
        page.locator("#add-roof button").click();
        assertThat(page.locator("#array-choice option")).hasCount(3);
        assertThat(page.locator("#array-choice")).containsText("Array C, Annex");

        look("C");
        assertThat(page.locator("[data-path='$.roof.height']")).hasCount(1);
        openPart("array");
        Locator tilt = page.locator("[data-path='$.array.tilt']");
        List<String> tilts = tilt.locator("option").allTextContents();
        tilt.selectOption(new com.microsoft.playwright.options.SelectOption().setIndex(0));
        openPart("arrays");
        page.locator("[data-path='$.array.name']").fill("East wing");
        page.locator("[data-path='$.array.name']").blur();
        assertThat(page.locator("#array-choice")).containsText("Array East wing, Annex");
        // the annex has inverters of its own, with their run
        openPart("electrical");
        page.locator("[data-ask=own-inverters]").click();
        assertThat(page.locator("details[data-section=electrical] .placelist li"))
                .hasCount(2);
        assertThat(page.locator(".acrun.other")).hasCount(1);
        page.locator("[data-path='$.electrical.dcAcMost']").fill("1.2");
        page.locator("[data-path='$.electrical.dcAcMost']").blur();
        assertThat(cell(3).locator("xpath=..")).containsText("limit 1.35, 1.2");
        look("B");
        assertThat(page.locator("[data-path='$.electrical.dcAcMost']")).hasValue("1.35");
        assertThat(page.locator(".arrayname")).hasText("A");
        assertThat(page.locator(".otherroof")).hasCount(1);

        Design d = design();
        assertThat(d.circuits().groups()).hasSize(2);
        assertThat(d.at("C").inverters().inverters()).isPositive();
        assertThat(d.at("C").inverters().worstRatio()).isLessThanOrEqualTo(1.2);
        assertThat(d.job().document().roofs()).hasSize(2);
        assertThat(d.job().document().arrays()).hasSize(3);
        assertThat(d.at("C").job().array().tilt().typed())
                .startsWith(tilts.get(0).replaceAll("[^0-9].*", ""));
        assertThat(d.job().array().tilt()).isEqualTo(blank.job().array().tilt());
        int modules = 0;
        double kw = 0;
        for (String place : List.of("A", "B", "C")) {
            Design at = d.at(place);
            assertThat(at.layout().modules()).as(place).isNotEmpty();
            modules += at.layout().modules().size();
            kw += at.strings().dcW() / 1000;
        }
        assertThat(cell(0)).hasText(String.valueOf(modules));
        assertThat(d.circuits().dcW() / 1000).isCloseTo(kw, within(1e-9));

        // files hold all of it, and what comes out goes in again
        String file = body("job.json");
        assertThat(file).contains("\"schema\" : 6");
        var read = JobReader.read(Json.object(file), false);
        assertThat(read.job()).isEqualTo(d.job());
        assertThat(JobWriter.write(read.job())).isEqualTo(JobWriter.write(d.job()));
        String ballast = body("ballast.csv");
        assertThat(ballast.lines().filter(l -> l.startsWith("East wing,")).count())
                .isEqualTo(d.at("C").holdDown().positions().size());
        Map<String, Object> written = Json.object(body("design.json"));
        assertThat((List<?>) written.get("modules")).hasSize(modules);
        // paper of one array is of that array
        assertThat(body("sheet?array=C")).contains("East wing");
    }

    private String body(String path) {
        return new String(
                page.request().get(server.address("/jobs/" + slug + "/" + path)).body(), StandardCharsets.UTF_8);
    }

    @Test
    void areasAreDrawnDraggedNudgedAndRefusedWhereTheyCross() {
        var roof = design().plan().outline().getEnvelopeInternal();
        double x = roof.getMinX();
        double y = roof.getMinY();
        double w = roof.getWidth();
        double h = roof.getHeight();
        openPart("arrays");
        page.locator("#draw-array").click();
        click(x + w * 0.6, y + h * 0.1);
        click(x + w * 0.9, y + h * 0.1);
        click(x + w * 0.9, y + h * 0.9);
        click(x + w * 0.6, y + h * 0.9);
        page.keyboard().press("Enter");
        assertThat(page.locator("#array-choice option")).hasCount(2);
        int first = design().layout().modules().size();
        look("B");
        int second = design().at("B").layout().modules().size();
        assertThat(page.locator(".areacorner")).hasCount(4);
        // a corner is dragged inwards: the array looked at gives way, the other one takes what it leaves
        double[] from = pixel(x + w * 0.6, y + h * 0.1);
        double[] to = pixel(x + w * 0.75, y + h * 0.1);
        String before = page.locator("#bench").getAttribute("data-revision");
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move((from[0] + to[0]) / 2, to[1]);
        page.mouse().move(to[0], to[1]);
        page.mouse().up();
        // the difference shows while it is dragged; the revision tells that it is stored
        assertThat(page.locator("#bench")).not().hasAttribute("data-revision", before);
        assertThat(page.locator("#difference")).containsText("module");
        assertThat(design().at("B").layout().modules()).hasSizeLessThan(second);
        assertThat(design().layout().modules()).hasSizeGreaterThanOrEqualTo(first);
        double was = design().at("B").job().placed().area().get(0).x().si();
        Locator corner = page.locator("[data-corner='0']");
        String drawn = corner.getAttribute("data-x");
        corner.focus();
        page.keyboard().press("ArrowRight");
        assertThat(corner).not().hasAttribute("data-x", drawn);
        assertThat(page.locator("[data-corner='0']")).isFocused();
        assertThat(page.locator(".history li").first()).containsText("Array B, Corner 1: x changed");
        assertThat(design().at("B").job().placed().area().get(0).x().si()).isCloseTo(was + 0.1524, within(1e-3));
        // the first array cannot have an area that lies over this one
        look("A");
        openPart("arrays");
        page.locator("#draw-area").click();
        click(x + w * 0.1, y + h * 0.1);
        click(x + w * 0.85, y + h * 0.1);
        click(x + w * 0.85, y + h * 0.9);
        page.keyboard().press("Enter");
        assertThat(page.locator("#banner")).containsText("lies over the area of array B");
        assertThat(design().job().placed().area()).isEmpty();
        // the name on the drawing leads over to the other array
        page.locator(".arrayname").focus();
        page.keyboard().press("Enter");
        page.locator("#bench[data-ready][data-place='B']").waitFor();
        openPart("arrays");
        page.locator("[data-ask=remove-array][aria-label='Remove Array B']").click();
        assertThat(page.locator("#array-choice")).hasCount(0);
        assertThat(page.locator("#bench[data-place=B]")).hasCount(0);
        page.locator("#undo").click();
        assertThat(page.locator("#array-choice option")).hasCount(2);
    }

    @Test
    void aCheckOfAnotherArrayLeadsThere() {
        openPart("roofs");
        page.locator("#add-roof [name=name]").fill("Annex");
        page.locator("#add-roof button").click();
        assertThat(page.locator("#array-choice option")).hasCount(2);
        Locator check = page.locator("#checklist button[data-elsewhere=B]").first();
        String figure = check.getAttribute("data-figure");
        check.click();
        page.waitForURL(Pattern.compile(".*array=B.*"));
        assertThat(page.locator("#working article")).hasAttribute("data-figure", figure);
        assertThat(page.locator("#array-choice")).hasValue("B");
    }

    /** A window that looks at an array another window takes away changes nothing of the others. */
    @Test
    void whatIsDoneToAnArrayThatIsGoneIsRefused() {
        openPart("roofs");
        page.locator("#add-roof [name=name]").fill("Annex");
        page.locator("#add-roof button").click();
        assertThat(page.locator("#array-choice option")).hasCount(2);
        Page other = page();
        other.navigate(server.address("/jobs/" + slug + "?array=B"));
        other.locator("#bench[data-ready][data-place=B]").waitFor();
        openPart("arrays");
        page.locator("[data-ask=remove-array][aria-label='Remove Array B']").click();
        assertThat(page.locator("#array-choice")).containsText("Annex, no array");
        var before = design().job().document();
        other.locator("details[data-section=array]").evaluate("d => d.open = true");
        other.locator("[data-path='$.array.setback']").fill("9 ft");
        other.locator("[data-path='$.array.setback']").blur();
        assertThat(other.locator("body")).containsText("is not in this job any more");
        assertThat(design().job().document()).isEqualTo(before);
        other.close();
    }
}
