package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.bench.BusyRoof;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;

/** What hands and keys do on the drawing, and what the drawing answers. */
class DrawingFlowTest extends ServedTest {
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

    private Design design() {
        return server.bean(JobService.class).open(slug).design();
    }

    private Locator told() {
        return page.locator("#told");
    }

    private void keys(String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
    }

    /** Pixels of a place of the roof, in metres. */
    private double[] pixel(double x, double y) {
        @SuppressWarnings("unchecked")
        Map<String, Object> p = (Map<String, Object>) page.evaluate(
                "([x, y]) => { const p = new DOMPoint(x * 100, -y * 100).matrixTransform(document.getElementById('plan').getScreenCTM()); return {x: p.x, y: p.y}; }",
                List.of(x, y));
        return new double[] {((Number) p.get("x")).doubleValue(), ((Number) p.get("y")).doubleValue()};
    }

    private void click(double x, double y) {
        double[] p = pixel(x, y);
        page.mouse().click(p[0], p[1]);
    }

    /** The length in square brackets, in metres. */
    private static double metres(String words) {
        Matcher m = Pattern.compile("\\[([0-9.]+) m\\]").matcher(words);
        assertThat(m.find()).as(words).isTrue();
        return Double.parseDouble(m.group(1));
    }

    private Obstruction vent() {
        return design().job().roof().obstructions().stream()
                .filter(o -> o.id().equals("vent-1"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anyTwoThingsCanBeMeasured() {
        RoofPlan.Edge first = design().plan().edges().get(0);
        page.locator("#measure").click();
        click(first.from().x, first.from().y);
        assertThat(told()).containsText("From corner 1");
        click(first.to().x, first.to().y);
        assertThat(told()).containsText("to corner 2");
        assertThat(metres(told().innerText())).isCloseTo(first.lengthM(), within(0.001));
        assertThat(page.locator("#measured text").textContent()).contains("190' ");
        // from plant to the edge in front of it: the shortest way
        Obstruction vent = vent();
        click(vent.x().si() + 0.1, vent.y().si() + 0.1);
        click(first.from().x + 20, first.from().y);
        double wanted = design().plan().edges().get(0).from().y;
        assertThat(told()).containsText("From Vent 1 to edge 1");
        assertThat(metres(told().innerText())).isCloseTo(vent.y().si() - wanted, within(0.05));
        keys("Escape");
        assertThat(page.locator("#measured")).hasCount(0);
        // the same by keys: a module and the one two places on
        page.locator("#plan").focus();
        keys("ArrowRight", "m", "ArrowRight", "ArrowRight", "m");
        double gap = design().layout().columnPitchM() * 2 - design().layout().alongM();
        assertThat(told()).containsText("From position 1-1 to position 1-3");
        assertThat(metres(told().innerText())).isCloseTo(gap, within(0.002));
    }

    @Test
    void oneARowABoxAndAllAlikeCanBePicked() {
        Design d = design();
        page.locator("#plan").focus();
        keys("ArrowRight", "ArrowUp", "Enter");
        assertThat(page.locator("#picked button"))
                .hasText(new String[] {"row", "all like it", "leave out", "row work", "none"});
        keys("r");
        long row = d.layout().modules().stream().filter(m -> m.row() == 2).count();
        assertThat(told()).containsText(row + " positions in row 2");
        keys("a");
        int own = d.holdDown().positions().stream()
                .filter(p -> p.number().equals("2-1"))
                .findFirst()
                .orElseThrow()
                .ballast()
                .blocksNeeded();
        Matcher m = Pattern.compile("^(\\d+) positions.*: (\\d+) blocks").matcher(told().innerText());
        assertThat(m.find()).isTrue();
        assertThat(Integer.parseInt(m.group(2))).isEqualTo(Integer.parseInt(m.group(1)) * own);
        double[] a = pixel(-1, 41);
        double[] b = pixel(60, -1);
        page.keyboard().down("Shift");
        page.mouse().move(a[0], a[1]);
        page.mouse().down();
        page.mouse().move((a[0] + b[0]) / 2, (a[1] + b[1]) / 2);
        page.mouse().move(b[0], b[1]);
        page.mouse().up();
        page.keyboard().up("Shift");
        assertThat(told())
                .containsText(d.holdDown().positions().size() + " positions in rows 1 to "
                        + d.layout().rows() + ": " + d.holdDown().blocks() + " blocks");
        keys("Escape");
        assertThat(page.locator("#picked")).isHidden();
    }

    @Test
    void aDraggedVentSnapsToTheParapetUnlessHeldFree() {
        Obstruction vent = vent();
        double inner = design().plan().edges().get(3).parapet()[2].x;
        drag(vent, inner + 0.12 - vent.x().si(), 0, false);
        assertThat(page.locator(".history li").first()).containsText("Vent 1 moved");
        double line = Math.min(
                design().plan().edges().get(3).parapet()[2].x,
                design().plan().edges().get(3).parapet()[3].x);
        assertThat(vent().x().si()).isBetween(line - 0.05, inner + 0.08);
        Obstruction snapped = vent();
        drag(snapped, 0.37, 0, true);
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(vent().x().si() - snapped.x().si()).isCloseTo(0.37, within(0.12));
    }

    @Test
    void escapeGivesADragUpAndNothingIsChanged() {
        Obstruction vent = vent();
        String outline = page.locator("[data-obstruction=vent-1] .body").getAttribute("x");
        String totals = page.locator("#titleblock").innerText();
        carry(vent, 4, 1);
        assertThat(page.locator("[data-obstruction=vent-1] .body")).not().hasAttribute("x", outline);
        keys("Escape");
        page.mouse().up();
        assertThat(page.locator("[data-obstruction=vent-1] .body")).hasAttribute("x", outline);
        assertThat(page.locator("#difference")).not().containsText("Preview");
        org.assertj.core.api.Assertions.assertThat(page.locator("#titleblock").innerText())
                .isEqualTo(totals);
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "1");
        // an answer that is on its way when the drag is given up is not shown any more
        page.evaluate(
                "() => { const text = Response.prototype.text; Response.prototype.text = async function () {"
                        + " const all = await text.call(this); await new Promise((go) => (window.letGo = go)); return all; }; }");
        double[] from = pixel(
                vent.x().si() + vent.width().si() / 2,
                vent.y().si() + vent.depth().si() / 2);
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move(from[0] + 60, from[1]);
        page.waitForFunction("() => window.letGo");
        keys("Escape");
        page.mouse().up();
        page.evaluate("() => window.letGo()");
        assertThat(page.locator("[data-obstruction=vent-1] .body")).hasAttribute("x", outline);
        page.reload();
        // one tool at a time: a sketch ends measuring, and Escape ends the sketch
        page.locator("#measure").click();
        assertThat(page.locator("#measure")).hasAttribute("aria-pressed", "true");
        shown("#draw-thing").click();
        assertThat(page.locator("#measure")).hasAttribute("aria-pressed", "false");
        keys("Escape");
        assertThat(told()).containsText("Drawing given up");
        assertThat(vent()).isEqualTo(vent);
    }

    /** Takes hold of a thing and moves it until the preview shows. */
    private void carry(Obstruction o, double dx, double dy) {
        double[] from =
                pixel(o.x().si() + o.width().si() / 2, o.y().si() + o.depth().si() / 2);
        double[] to = pixel(
                o.x().si() + o.width().si() / 2 + dx, o.y().si() + o.depth().si() / 2 + dy);
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move((from[0] + to[0]) / 2 + 5, (from[1] + to[1]) / 2 + 5);
        page.mouse().move(to[0], to[1]);
        assertThat(page.locator("#difference")).containsText("Preview");
    }

    private void drag(Obstruction o, double dx, double dy, boolean free) {
        if (free) {
            page.keyboard().down("Alt");
        }
        carry(o, dx, dy);
        page.mouse().up();
        page.keyboard().up("Alt");
    }

    /** Opens the section a button stands in, as its heading would. */
    private Locator shown(String selector) {
        Locator found = page.locator(selector);
        found.evaluate(
                "e => { for (let d = e.closest('details'); d; d = d.parentElement.closest('details')) d.open = true; }");
        return found;
    }

    @Test
    void oneDragMakesAThingOfTheRightSize() {
        int before = design().job().roof().obstructions().size();
        shown("#draw-thing").click();
        var edge = design().plan().outline().getEnvelopeInternal();
        double[] from = pixel(edge.getMinX() + 20, edge.getMinY() + 12);
        double[] to = pixel(edge.getMinX() + 23, edge.getMinY() + 14);
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2);
        page.mouse().move(to[0], to[1]);
        page.mouse().up();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        List<Obstruction> things = design().job().roof().obstructions();
        assertThat(things).hasSize(before + 1);
        Obstruction made = things.get(before);
        assertThat(made.width().si()).isCloseTo(3, within(0.2));
        assertThat(made.depth().si()).isCloseTo(2, within(0.2));
        assertThat(made.x().si()).isCloseTo(edge.getMinX() + 20, within(0.2));
        assertThat(made.height().assumed()).isTrue();
    }

    @Test
    void aRefusedTextStaysUntilItIsDealtWith() {
        Locator height = shown("[data-path='$.roof.height']");
        height.fill("twenty");
        height.blur();
        assertThat(page.locator(".entryline.wrong")).containsText("twenty");
        page.locator("[data-path='$.array.tilt']").selectOption("5 deg");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(height).hasValue("twenty");
        assertThat(page.locator(".entryline.wrong")).hasCount(1);
        height.fill("21 ft");
        height.blur();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(page.locator(".entryline.wrong")).hasCount(0);
    }

    @Test
    void arrowsNudgeByWhatIsTyped() {
        BoundingBox box = page.locator("[data-obstruction=vent-1] .body").boundingBox();
        page.mouse().click(box.x + box.width / 2, box.y + box.height / 2);
        page.locator("#nudge").fill("150 mm");
        page.locator("#nudge").press("Tab");
        double x = vent().x().si();
        page.locator("#picked [aria-label='Move right on the sheet']").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(vent().x().si() - x).isCloseTo(0.15, within(1e-4));
        page.locator("[data-obstruction=vent-1]").focus();
        keys("ArrowUp");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        page.locator("#nudge").fill("6 kg");
        page.locator("#nudge").press("Tab");
        assertThat(page.locator("#picked .fault")).not().isEmpty();
    }

    @Test
    void theCutAndTheSunFollowTheHand() {
        assertThat(page.locator("#sectionview .tooth")).hasCount(3);
        page.locator("[data-panel=section]").click();
        page.locator("#cut-roof").click();
        assertThat(page.locator("#sectionview .parapetcut").first()).isVisible();
        int teeth = page.locator("#sectionview .tooth").count();
        assertThat(teeth).isGreaterThan(10);
        page.locator("#plan .cutend[data-cut=b]").focus();
        keys("ArrowDown", "Shift+ArrowDown", "Shift+ArrowDown", "Shift+ArrowDown", "Shift+ArrowDown");
        assertThat(told()).containsText("Section over");
        page.waitForCondition(() -> page.locator("#sectionview .tooth").count() < teeth);
        page.locator("#sun-day").fill("172");
        assertThat(page.locator("#section-words")).containsText("21 Jun");
        page.locator("#sun-hour").fill("12");
        assertThat(page.locator("#section-words")).containsText("no row shadow");
        assertThat(page.locator("[data-layer=sun]")).isChecked();
        page.locator("#sun-day").fill("355");
        page.locator("#sun-hour").fill("8.25");
        assertThat(page.locator("#section-words")).containsText("of a module in shadow");
        // what is looked at stays when the job changes
        page.locator("[data-path=\"$.array.tilt\"]").selectOption("5 deg");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator("#section-words")).containsText("8:15");
        assertThat(page.locator("#sun path.roofshade")).hasCount(1);
    }

    @Test
    void theListSaysWhatTheDrawingShows() {
        page.locator("#plan").focus();
        keys("l");
        Locator counts = page.locator("#planlist .twinplaces button");
        assertThat(page.locator("#plan")).isHidden();
        assertThat(counts.first()).isVisible();
        int sum = counts.allInnerTexts().stream()
                .mapToInt(t -> Integer.parseInt(t.replace("!", "")))
                .sum();
        assertThat(sum).isEqualTo(design().holdDown().blocks());
        page.locator("#planlist [data-figure='ballast/4-7']").click();
        assertThat(page.locator("#working h2")).hasText("Ballast of position 4-7");
        page.locator("#planlist [data-show=obstructions]").first().click();
        assertThat(page.locator("details[data-section=obstructions] input:focus"))
                .hasCount(1);
        page.locator("[data-path=\"$.array.tilt\"]").selectOption("5 deg");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator("#planlist .twinrows li").first()).isVisible();
        page.locator("#as-list").click();
        assertThat(page.locator("#plan")).isVisible();
    }

    @Test
    void marksSinceAChosenRevisionCloudWhatMoved() {
        page.locator("[data-obstruction=hatch]").focus();
        keys("ArrowLeft");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        page.locator("[data-path=\"$.project.preparedBy\"]").evaluate("e => e.closest('details').open = true");
        page.locator("[data-path=\"$.project.preparedBy\"]").fill("Somebody");
        page.locator("[data-path=\"$.project.preparedBy\"]").blur();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(page.locator("#plan .cloud")).hasCount(0);
        page.locator("#since").selectOption("1");
        assertThat(page.locator("#plan .cloud")).hasCount(1);
        assertThat(told()).containsText("Since revision 1");
        page.locator("#undo").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "4");
        assertThat(page.locator("#plan .cloud")).hasCount(1);
    }

    @Test
    void aWorkingLeadsToItsInputsAndBackAndExplainsItsNeighbours() {
        BrowserContext context = page.context();
        context.grantPermissions(List.of("clipboard-read", "clipboard-write"));
        page.locator("#plan").focus();
        keys("ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "Enter");
        assertThat(page.locator("#working .beside")).containsText("zone");
        String first = page.locator("#working h2").first().innerText();
        page.locator("#working button[data-figure^='uplift/']").first().click();
        assertThat(page.locator("#working article[data-figure^='uplift/']")).hasCount(1);
        page.locator("#working button[data-figure='site.qh']").click();
        assertThat(page.locator("#working article[data-figure='site.qh']")).hasCount(1);
        assertThat(page.locator("#working .trail")).containsText(first);
        page.locator("#working .workinghead button").first().click();
        assertThat(page.locator("#working h2").first()).containsText("uplift");
        page.locator("#working .workinghead button").first().click();
        assertThat(page.locator("#working h2").first()).hasText(first);
        page.locator("#working button:has-text('copy')").click();
        assertThat(page.locator("#working button:has-text('copied')")).isVisible();
        String text = (String) page.evaluate("navigator.clipboard.readText()");
        assertThat(text).startsWith(first).contains("= ", "to the right");
        page.locator("#working a:has-text('print')").click();
        assertThat(page.locator("main h2")).hasText(first);
        assertThat(page.locator("main")).containsText("Beside it");
    }

    @Test
    void fartherAwayAreasCarryTheCountsAndNearerTheSmallMapShowsWhere() {
        assertThat(page.locator("#plan.near")).hasCount(1);
        assertThat(page.locator("#minimap")).isHidden();
        page.locator("#plan").focus();
        keys("+", "+", "+");
        assertThat(page.locator("#minimap")).isVisible();
        keys("0", "-", "-", "-", "-", "-");
        assertThat(page.locator("#plan.near")).hasCount(0);
        assertThat(page.locator("#plan .areacounts text").first()).isVisible();
        page.navigate(server.address("/jobs/quarrybank-cold-store"));
        assertThat(page.locator("#plan .counts text")).hasCount(0);
        page.locator("#plan").focus();
        keys("+", "+", "+", "+", "+", "+", "+", "+", "+");
        assertThat(page.locator("#plan.near")).hasCount(1);
        int drawn = page.locator("#plan .counts text").count();
        assertThat(drawn).isBetween(50, 2500);
    }

    /** On 300 corners the zones come after the rest, and stay while the outline does. */
    @Test
    void zonesOfManyCornersComeAfterTheirDrawing() {
        String busy = server.bean(JobService.class)
                .create(JobReader.read(BusyRoof.document(), false).job());
        String first = server.get("/jobs/" + busy).body();
        assertThat(first).contains("layer-zones\" data-later").doesNotContain("class=\"zone\"");
        openBench(page, busy);
        page.locator("#plan .layer-zones .zone").first().waitFor();
        assertThat(page.locator("#plan .layer-zones[data-later]")).hasCount(0);
        assertThat(page.locator("#plan .layer-zones .flagtext").first()).containsText("zone");
        // a field: drawing and totals come first, then the whole bench with what changed
        page.locator("details[data-section=site]").evaluate("d => d.open = true");
        page.locator("[data-path='$.site.wind']").fill("121 mph");
        page.keyboard().press("Enter");
        assertThat(page.locator("#difference")).containsText("Last change");
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        assertThat(page.locator("[data-section='history'] li").first()).containsText("121 mph");
        assertThat(page.locator("#plan .layer-marks path").first()).isAttached();
        // a thing moves: nothing is left for later
        String change = "{\"base\":2,\"changes\":[{\"op\":\"set\",\"path\":\"$.roof.%s\",\"value\":\"%s\"}]}";
        String moved = server.post("/jobs/" + busy + "/change", change.formatted("obstructions[id=t-7].x", "60.2 m"))
                .body();
        assertThat(moved).contains("class=\"zone\"").doesNotContain("data-later");
        // a corner moves: what is drawn meanwhile has no zones of the outline that was
        String preview = server.post(
                        "/jobs/" + busy + "/change",
                        change.formatted("outline.corners[0].x", "141.1 m")
                                .replace("\"base\":2", "\"base\":3,\"preview\":true"))
                .body();
        assertThat(preview).contains("data-later").doesNotContain("class=\"zone\"");
    }

    @Test
    void theSheetOfKeysAndTheLampAreAtHandEverywhere() {
        page.locator("#plan").focus();
        keys("?");
        assertThat(page.locator("#keys")).isVisible();
        keys("Escape");
        assertThat(page.locator("#keys")).isHidden();
        page.locator("[data-lamp-switch]").click();
        assertThat(page.locator("html[data-lamp=off]")).hasCount(1);
        page.navigate(server.address("/glossary"));
        assertThat(page.locator("html[data-lamp=off]")).hasCount(1);
        page.locator("[data-lamp-switch]").click();
        assertThat(page.locator("html[data-lamp=off]")).hasCount(0);
        page.navigate(server.address("/jobs/" + slug));
        page.locator("#titleblock [data-figure='roof.window']").click();
        Locator term = page.locator("#working .term").first();
        term.focus();
        assertThat(term.locator(".meaning")).isVisible();
    }

    /** A thing is copied, pasted, duplicated and removed by keys and by its menu; a line of text makes one. */
    @Test
    void thingsAreCopiedPastedDuplicatedAndRemoved() {
        int things = design().job().roof().obstructions().size();
        page.locator("[data-obstruction=rtu-1]").focus();
        keys("Control+d");
        assertThat(page.locator("#plan [data-obstruction]")).hasCount(things + 1);
        assertThat(page.locator("#plan [data-obstruction=rtu-1-3]"))
                .hasAttribute("data-line", "RTU-3, 11 ft x 7 ft x 5' 6\"");
        assertThat(page.locator(".history li").first()).containsText("RTU-3 added");
        page.locator("[data-obstruction=rtu-1-3]").focus();
        keys("Delete");
        assertThat(page.locator("#plan [data-obstruction]")).hasCount(things);
        page.locator("#plan").focus();
        page.evaluate(
                "text => { const data = new DataTransfer(); data.setData('text/plain', text);"
                        + " document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true })); }",
                "Fan 9, 2x2x1, 60' from edge 4, 60' from edge 1");
        assertThat(page.locator("#plan [data-obstruction][aria-label^='Fan 9']"))
                .hasCount(1);
        page.evaluate("() => { const data = new DataTransfer(); data.setData('text/plain', 'no size');"
                + " document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true })); }");
        assertThat(told()).containsText("needs a name and a size");
        page.locator("[data-obstruction=hatch]")
                .click(new com.microsoft.playwright.Locator.ClickOptions()
                        .setButton(com.microsoft.playwright.options.MouseButton.RIGHT));
        assertThat(page.locator("#menu [role=menuitem]").first()).isFocused();
        keys("ArrowDown", "Enter");
        assertThat(page.locator("#plan [data-obstruction]")).hasCount(things + 2);
        keys("Control+z");
        assertThat(page.locator("#plan [data-obstruction]")).hasCount(things + 1);
        page.locator("details[data-section=roof] summary").first().click();
        page.locator("[data-path=\"$.roof.parapets[edge=2].height\"]").focus();
        assertThat(page.locator("#edgelit")).hasAttribute("d", Pattern.compile("^M.+L.+"));
    }
}
