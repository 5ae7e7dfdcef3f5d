package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.check.Check;
import whipsaw.core.design.Design;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.FaceLine;

/** A survey entered as users do: on the bench, on its sheet, on a phone. */
class SurveySheetFlowTest extends ServedTest {
    private static String fresh(String family) {
        return server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob(family), false).job());
    }

    private static Design design(String slug) {
        return server.bean(JobService.class).open(slug).design();
    }

    private Page bench(String slug) {
        Page page = page();
        openBench(page, slug);
        return page;
    }

    private static void openPart(Page page, String section) {
        page.locator("details[data-section=" + section + "]").evaluate("d => d.open = true");
    }

    static byte[] picture(String format, int w, int h) {
        BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < w; x++) {
            image.setRGB(x, h / 2, Color.RED.getRGB());
        }
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, format, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static byte[] pdf() {
        try (PDDocument document = new PDDocument()) {
            document.addPage(new PDPage());
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void anLIsDrawnByTypedLengthsThenAGableIsMadeAndBuiltUp() {
        String slug = fresh("asce");
        try (Page page = bench(slug)) {
            openPart(page, "roof");
            page.locator("#draw-outline").click();
            for (String[] leg :
                    new String[][] {{"60'", "ArrowRight"}, {"40' 6\"", "ArrowUp"}, {"18.288 m", "ArrowLeft"}}) {
                page.keyboard().type(leg[0].substring(0, 1));
                page.locator("#draft-length").pressSequentially(leg[0].substring(1));
                page.keyboard().press(leg[1]);
                page.locator("#draft-length")
                        .waitFor(new com.microsoft.playwright.Locator.WaitForOptions()
                                .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
            }
            page.keyboard().press("Enter");
            assertThat(page.locator(".history li").first()).containsText("Outline changed");
            openPart(page, "roof");
            page.locator("[data-path='$.roof.covering']").selectOption("standing seam");
            assertThat(page.locator("#checks")).containsText("Array on this roof");
            openPart(page, "fabric");
            page.locator("#form-maker [name=kind]").selectOption("gable");
            page.locator("#form-maker [name=steepness]").fill("steep");
            page.locator("#form-maker button").click();
            assertThat(page.locator("#form-maker .fault")).containsText("neither a slope nor a height");
            page.locator("#form-maker [name=steepness]").fill("1 in 12");
            page.locator("#form-maker button").click();
            assertThat(page.locator(".facename").first()).containsText("face 1, 4.8°");
            page.locator("[data-path='$.roof.buildUps[face=0].ribPitch']").fill("18 in");
            page.locator("[data-path='$.roof.buildUps[face=0].ribPitch']").press("Tab");
            assertThat(page.locator(".rib").first()).not().hasAttribute("d", "");
            page.locator("[data-path='$.roof.buildUps[face=0].purlins']").fill("6 in, 2 @ 4 ft");
            page.locator("[data-path='$.roof.buildUps[face=0].purlins']").press("Tab");
            assertThat(page.locator("#checks")).containsText("more than one spacing is missing");
            page.locator("[data-path='$.roof.buildUps[face=0].purlins']").fill("6 in, wide");
            page.locator("[data-path='$.roof.buildUps[face=0].purlins']").press("Tab");
            assertThat(page.locator(".entryline.wrong")).containsText("'wide'");
        }
        Design d = design(slug);
        assertThat(d.plan().areaM2()).isCloseTo(60 * 40.5 * 0.3048 * 0.3048, within(1e-3));
        assertThat(d.plan().faces().lengthM(FaceLine.Kind.RIDGE)).isCloseTo(60 * 0.3048, within(1e-6));
    }

    @Test
    void aVentIsPutWhereItWasMeasuredRepeatedAndFoundOffAfterTheRoofChanged() {
        String slug = fresh("asce");
        try (Page page = bench(slug)) {
            openPart(page, "obstructions");
            page.locator("#add-obstruction").click();
            page.locator("[data-obstruction]").first().waitFor();
            openPart(page, "obstructions");
            var measured = page.locator("[data-kind=place]");
            measured.fill("10 ft from edge 1");
            measured.press("Tab");
            assertThat(page.locator(".entryline.wrong")).containsText("needs two");
            measured.fill("10 ft from edge 1, 3 m from edge 4");
            measured.press("Tab");
            assertThat(page.locator("[data-path$='.y']").first()).hasValue("10 ft");
            openPart(page, "obstructions");
            page.locator("#repeat [name=columns]").fill("3");
            page.locator("#repeat [name=alongX]").fill("2.5 m");
            page.locator("#repeat button").click();
            assertThat(page.locator("[data-obstruction]")).hasCount(3);
        }
        JobService jobs = server.bean(JobService.class);
        var shown = jobs.open(slug);
        List<Obstruction> all = shown.design().job().roof().obstructions();
        assertThat(all.get(0).x().si()).isCloseTo(3, within(1e-4));
        assertThat(all.get(2).x().si()).isCloseTo(8, within(1e-3));
        assertThat(all.get(2).name()).isEqualTo("New obstruction 3");
        var moved = jobs.change(
                slug,
                shown.revision().number(),
                List.of(new DocumentPatch.Change(
                        "set", "$.roof.parapets", List.of(Map.of("edge", 1, "height", "1 ft", "thickness", "1 ft")))));
        assertThat(moved.design().checks()).extracting(Check::id).anyMatch(id -> id.startsWith("survey.offset-"));
    }

    @Test
    void theSheetIsFilledRefusesWhatCannotBeAndSaysWhatComesOfIt() {
        String slug = fresh("en");
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/survey"));
            assertThat(page.locator(".waits").first()).containsText("Busbar of the switchboard");
            page.locator("#a-gravel").selectOption("yes");
            page.locator("#a-gravelDepth").fill("40");
            page.locator("#a-coverAge").fill("eleven");
            page.locator("button:has-text('Store what is written')").click();
            assertThat(page.locator("#q-coverAge .fault")).containsText("0 to 80");
            assertThat(page.locator("#a-gravelDepth")).hasValue("40");
            page.locator("#a-coverAge").fill("30");
            page.locator("button:has-text('Store what is written')").click();
            assertThat(page.locator(".surveypage")).containsText("Clear the gravel under the array");
            assertThat(page.locator(".surveypage")).containsText("at the end of its life");
            assertThat(page.locator("#a-gravelDepth")).hasValue("40 mm");
            page.locator("summary:has-text('From a file of readings')").click();
            StringBuilder csv = new StringBuilder();
            for (int h = 0; h < 24; h++) {
                csv.append(String.format("%02d:00,%d%n", h, h));
            }
            page.locator("#use [name=name]").fill("Bakery");
            page.locator("#use [name=upload]")
                    .setInputFiles(new FilePayload(
                            "use.csv", "text/csv", csv.toString().getBytes(StandardCharsets.UTF_8)));
            page.locator("#use button").click();
            assertThat(page.locator("#use figcaption")).containsText("Bakery: 276 kWh a day");
        }
        assertThat(design(slug).job().survey().number("gravelDepth")).isEqualTo(0.04);
    }

    @Test
    void onAPhoneALaserReadingGoesIntoTheLengthInFocus() {
        String slug = fresh("en");
        try (Page page = page()) {
            page.setViewportSize(390, 844);
            page.navigate(server.address("/jobs/" + slug + "/field/survey?part=Covering"));
            page.locator("#laser-open").click();
            assertThat(page.locator("#laser-words")).containsText("Listening");
            page.locator("#laser input").fill("a bit");
            page.locator("#laser-measure").click();
            assertThat(page.locator("#laser-words")).containsText("3.214 m");
            page.locator("#a-gravelDepth").focus();
            page.locator("#laser input").fill("0.052 m");
            page.locator("#laser-measure").click();
            assertThat(page.locator("#a-gravelDepth")).hasValue("0.052 m");
            assertThat(page.locator("#laser-words")).containsText("simulated");
            page.locator("button:has-text('Store this part')").click();
            assertThat(page.locator("#q-gravelDepth .state")).hasText("measured");
        }
        assertThat(design(slug).job().survey().number("gravelDepth")).isEqualTo(0.052);
    }

    @Test
    void aPinIsMovedByKeysAndHoldsAPhotographMadeAnew() {
        String slug = fresh("asce");
        byte[] png = picture("png", 400, 200);
        try (Page page = bench(slug)) {
            openPart(page, "found");
            page.locator("button:has-text('Pin something')").click();
            page.locator("[data-pin]").focus();
            double x = Double.parseDouble(page.locator("[data-pin]").getAttribute("data-x"));
            page.keyboard().press("ArrowRight");
            assertThat(page.locator("[data-pin]"))
                    .not()
                    .hasAttribute("data-x", page.locator("[data-pin]").getAttribute("data-x") + "0");
            page.waitForCondition(
                    () -> Double.parseDouble(page.locator("[data-pin]").getAttribute("data-x")) > x + 0.1);
            page.navigate(server.address("/jobs/" + slug + "/survey"));
            page.locator("#pins summary").click();
            page.locator("#pins [name=caption]").fill("at the valley");
            page.locator("#pins [name=upload]").setInputFiles(new FilePayload("p.png", "image/png", png));
            page.locator("#pins form button").click();
            assertThat(page.locator("#pins figcaption")).containsText("at the valley");
            assertThat((Integer) page.locator("#pins img").evaluate("i => i.decode().then(() => i.naturalWidth)"))
                    .isEqualTo(400);
            page.locator("#pins summary").click();
            page.locator("#pins [name=upload]")
                    .setInputFiles(
                            new FilePayload("p.png", "image/png", "no picture".getBytes(StandardCharsets.UTF_8)));
            page.locator("#pins form button").click();
            assertThat(page.locator("main")).containsText("no PNG, JPEG or PDF");
        }
    }

    @Test
    void aPictureUnderThePlanIsScaledByTwoPoints() {
        for (FilePayload file : List.of(
                new FilePayload("plan.png", "image/png", picture("png", 600, 300)),
                new FilePayload("plan.pdf", "application/pdf", pdf()))) {
            String slug = fresh("en");
            try (Page page = bench(slug)) {
                openPart(page, "picture");
                page.locator("#underlay-form [name=upload]").setInputFiles(file);
                page.locator("#underlay-form button").click();
                page.locator("#bench[data-ready]").waitFor();
                page.locator("#underlay").waitFor();
                // under the roof, not below it
                var under = page.locator("#underlay").boundingBox();
                var roof = page.locator("#plan .outline").first().boundingBox();
                assertThat(under.y).isLessThan(roof.y + roof.height / 2);
                assertThat(under.y + under.height).isGreaterThan(roof.y + roof.height / 2);
                double before = design(slug).job().survey().underlay().metresPerPixel();
                openPart(page, "picture");
                page.locator("#scale-picture").click();
                var box = page.locator("#plan").boundingBox();
                page.mouse().click(box.x + box.width * 0.4, box.y + box.height * 0.5);
                page.mouse().click(box.x + box.width * 0.6, box.y + box.height * 0.5);
                page.locator("#draft-length").fill("0 m");
                page.keyboard().press("Enter");
                assertThat(page.locator("#told")).containsText("too close");
                page.locator("#draft-length").fill("100 m");
                page.keyboard().press("Enter");
                assertThat(page.locator(".history li").first()).containsText("Picture scaled by two points");
                Design d = design(slug);
                double plotted = 0.2 * box.width / pixelsPerMetre(page);
                assertThat(d.job().survey().underlay().metresPerPixel())
                        .isCloseTo(before * 100 / plotted, within(before * 0.03 * 100 / plotted));
            }
        }
    }

    private static double pixelsPerMetre(Page page) {
        return ((Number) page.locator("#plan").evaluate("s => s.getScreenCTM().a * 100")).doubleValue();
    }

    @Test
    void whoMustNotSeeTheArrayGetsWaysToHideIt() {
        String slug = fresh("en");
        JobService jobs = server.bean(JobService.class);
        jobs.change(
                slug,
                1,
                List.of(
                        new DocumentPatch.Change("set", "$.survey.unseen", true),
                        new DocumentPatch.Change(
                                "append",
                                "$.survey.viewers",
                                Map.of(
                                        "id",
                                        "v",
                                        "name",
                                        "Churchyard",
                                        "x",
                                        "10 m",
                                        "y",
                                        "-60 m",
                                        "eye",
                                        "1.6 m",
                                        "ground",
                                        "0 m"))));
        try (Page page = bench(slug)) {
            assertThat(page.locator(".seenzone")).not().hasCount(0);
            page.locator("button[data-check='sight.seen']").click();
            assertThat(page.locator("#working")).containsText("from edge 1 that hides the upper edge");
            page.locator("#ways button").first().click();
            assertThat(page.locator("button[data-check='sight.seen']")).containsText("passes");
        }
    }

    @Test
    void aSecondRoofStandsBesideAndCanBeWorkedOn() {
        String slug = fresh("asce");
        double area = design(slug).plan().areaM2();
        try (Page page = bench(slug)) {
            openPart(page, "roofs");
            page.locator("#add-roof [name=name]").fill("Annex");
            page.locator("#add-roof button").click();
            assertThat(page.locator(".otherroof")).hasCount(1);
            openPart(page, "roofs");
            assertThat(page.locator("#array-choice")).containsText("Array B, Annex");
            openPart(page, "roofs");
            page.locator(".placelist [data-look=r2]").click();
            assertThat(page.locator("#array-choice")).hasValue("B");
            assertThat(page.locator("[data-path='$.roofs[id=r2].name']")).hasValue("Annex");
            assertThat(page.locator(".otherroof")).hasCount(1);
            page.locator("#undo").click();
            assertThat(page.locator("#array-choice")).hasCount(0);
            assertThat(page.locator(".otherroof")).hasCount(0);
        }
        assertThat(design(slug).plan().areaM2()).isCloseTo(area, within(1e-6));
    }

    @Test
    void aWrongTurnIsRingedOnTheSketchAndRefused() {
        String slug = fresh("asce");
        try (Page page = bench(slug)) {
            openPart(page, "roof");
            page.locator("#tape").fill("60, left\n20, left\n30, left\n20, left\n30, left\n40, left");
            assertThat(page.locator(".slip")).hasCount(1);
            assertThat(page.locator("#tape-words")).containsText("turn to the right after edge 3");
            page.locator("#tape-use").click();
            assertThat(page.locator("#banner, .fault")).not().hasCount(0);
            assertThat(page.locator("body")).containsText("does not go together");
            page.locator("#tape").fill("60, left\n20, left\n30, right\n20, left\n30, left\n40, left");
            assertThat(page.locator(".slip")).hasCount(0);
            page.locator("#tape-use").click();
            assertThat(page.locator(".history li").first()).containsText("Outline changed");
        }
        assertThat(design(slug).plan().edges()).hasSize(6);
    }
}
