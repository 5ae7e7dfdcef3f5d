package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.app.picture.CameraJpeg;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.Survey;
import whipsaw.core.units.Show;

/** What a visit brings home: sizes beside a drawing, photographs as phones make them, readings of a year. */
class VisitFlowTest extends ServedTest {
    @TempDir
    Path dir;

    private static String fresh(String family, Change... changes) {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.create(JobReader.read(Seeds.newJob(family), false).job());
        if (changes.length > 0) {
            jobs.change(slug, 1, List.of(changes), "set up");
        }
        return slug;
    }

    private static Survey survey(String slug) {
        return server.bean(JobService.class).open(slug).design().job().survey();
    }

    private static void openPart(Page page, String section) {
        page.locator("details[data-section=" + section + "]").evaluate("d => d.open = true");
    }

    /** A photograph of about so many bytes, held on its side: its left third is red. */
    private static byte[] phone(int bytes) {
        BufferedImage image = new BufferedImage(900, 600, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 600; y++) {
            for (int x = 0; x < 900; x++) {
                image.setRGB(x, y, (x < 300 ? Color.RED : Color.BLUE).getRGB());
            }
        }
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "jpg", out);
            byte[] jpeg = CameraJpeg.held(out.toByteArray(), 6);
            byte[] filling = new byte[Math.max(0, bytes - jpeg.length)];
            new Random(7).nextBytes(filling);
            out.reset();
            out.write(jpeg);
            out.write(filling);
            return out.toByteArray();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** By its path: what is handed over in memory goes to the browser as text. */
    private void upload(Page page, String part, FilePayload file) {
        page.locator(part + " summary").first().click();
        try {
            page.locator(part + " [name=upload]")
                    .first()
                    .setInputFiles(Files.write(dir.resolve(file.name), file.buffer));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        page.locator(part + " form button").first().click();
    }

    /** The limit is said beside the field; a phone's photograph is taken and turned; a larger file is refused with what to do. */
    @Test
    void photographsOfAPhoneAreTakenUprightAndLargerFilesAreRefusedWithWhatToDo() {
        String slug = fresh(
                "asce",
                new Change(
                        "append",
                        "$.survey.pins",
                        Map.of("id", "p", "kind", "seen from below", "x", "9 m", "y", "4 m")),
                new Change(
                        "append",
                        "$.survey.routes",
                        Map.of(
                                "id",
                                "r",
                                "name",
                                "Shaft",
                                "keys",
                                "caretaker",
                                "legs",
                                List.of(Map.of("name", "down", "vertical", true, "length", "8 m")))));
        try (Page page = page()) {
            for (String part : List.of("#pins", "#cable-routes")) {
                page.navigate(server.address("/jobs/" + slug + "/survey"));
                page.locator(part + " summary").first().click();
                assertThat(page.locator(part + " form").first()).containsText("up to 25 MB");
                page.locator(part + " summary").first().click();
                upload(page, part, new FilePayload("IMG_0412.jpg", "image/jpeg", phone(9_000_000)));
                page.locator(part + " img").first().waitFor();
                // held on its side: upright it is taller than wide, with the red third above
                Object seen = page.locator(part + " img")
                        .first()
                        .evaluate(
                                "async i => { await i.decode(); const c = document.createElement('canvas'); c.width = i.naturalWidth;"
                                        + " c.height = i.naturalHeight; const g = c.getContext('2d'); g.drawImage(i, 0, 0);"
                                        + " const p = g.getImageData(c.width / 2, c.height / 8, 1, 1).data;"
                                        + " return [c.width < c.height, p[0] > 150 && p[2] < 100].join(); }");
                assertThat(seen).isEqualTo("true,true");
            }
            // a page that did not look at its size first
            page.locator("[data-most-mb]")
                    .first()
                    .evaluate(
                            "i => document.querySelectorAll('[data-most-mb]').forEach(f => f.removeAttribute('data-most-mb'))");
            upload(page, "#pins", new FilePayload("huge.jpg", "image/jpeg", phone(26_500_000)));
            assertThat(page.locator("main")).containsText("25 MB");
            assertThat(page.locator("main")).containsText("save the picture smaller");
            page.navigate(server.address("/jobs/" + slug + "/survey"));
            upload(
                    page,
                    "#pins",
                    new FilePayload("notes.txt", "image/jpeg", "no picture".getBytes(StandardCharsets.UTF_8)));
            assertThat(page.locator("main")).containsText("no PNG, JPEG or PDF");
        }
        assertThat(survey(slug).pins().get(0).photos()).hasSize(1);
        assertThat(survey(slug).routes().get(0).legs().get(0).photos()).hasSize(1);
    }

    @Test
    void sizesTapedOnSiteStandBesideTheDrawingAndScalingPutsItRight() {
        String slug = fresh("en");
        try (Page page = page()) {
            openBench(page, slug);
            openPart(page, "roof");
            page.locator("#site-sizes textarea").fill("edge 1 about twenty");
            page.locator("#site-sizes button[type=submit]").click();
            assertThat(page.locator("#site-sizes .fault")).containsText("about twenty");
            double drawn = server.bean(JobService.class)
                    .open(slug)
                    .design()
                    .plan()
                    .edges()
                    .get(0)
                    .lengthM();
            page.locator("#site-sizes textarea").fill("edge 1 " + drawn * 1.02 + " m");
            page.locator("#site-sizes button[type=submit]").click();
            assertThat(page.locator("#checks [data-check='survey.sizes']")).containsText("fails");
            page.locator("#checks [data-check='survey.sizes']").click();
            assertThat(page.locator("#working")).containsText("scale that fits all tapes best");
            page.locator("#ways li:has-text('scaled by 1.02') button").first().click();
            assertThat(page.locator("#checks [data-check='survey.sizes']")).containsText("passes");
            openPart(page, "roof");
            assertThat(page.locator("#site-sizes textarea")).hasValue("1-2 " + drawn * 1.02 + " m");
        }
    }

    @Test
    void aYearOfReadingsIsShownBySeasonAndKindOfDay() {
        String slug = fresh("asce");
        StringBuilder csv = new StringBuilder("time,kWh\n");
        DateTimeFormatter f = DateTimeFormatter.ofPattern("MM/dd/yyyy HH:mm");
        LocalDateTime at = LocalDateTime.of(2025, 1, 1, 0, 0);
        for (int i = 0; i < 8760; i++) {
            csv.append(f.format(at))
                    .append(',')
                    .append(at.getMonthValue() < 6 ? 40 : 20)
                    .append('\n');
            at = at.plusHours(1);
        }
        FilePayload file =
                new FilePayload("bakery.csv", "text/csv", csv.toString().getBytes(StandardCharsets.UTF_8));
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/survey"));
            page.locator("#use summary").click();
            page.locator("#use [name=name]").fill("Bakery");
            page.locator("#use [name=zone]").fill("Mars/Base");
            page.locator("#use [name=energy]").selectOption("kWh");
            page.locator("#use [name=upload]").setInputFiles(file);
            page.locator("#use form button").click();
            assertThat(page.locator("main")).containsText("'Mars/Base' is not known");
            page.navigate(server.address("/jobs/" + slug + "/survey"));
            page.locator("#use summary").click();
            page.locator("#use [name=name]").fill("Bakery");
            page.locator("#use [name=zone]").fill("America/Denver");
            page.locator("#use [name=energy]").selectOption("kWh");
            page.locator("#use [name=summerFrom]").fill("6");
            page.locator("#use [name=upload]").setInputFiles(file);
            page.locator("#use form button").click();
            assertThat(page.locator("#use figcaption")).hasCount(4);
            assertThat(page.locator("#use")).containsText("from 2025-01-01 by the clock of America/Denver");
            assertThat(page.locator("#use figcaption").first()).containsText("summer weekdays");
        }
        assertThat(survey(slug).occupants().get(0).year().kwh()).isEqualTo(151 * 24 * 40.0 + 214 * 24 * 20.0);
    }

    /** Little snow on a nearly level roof: rain comes on top, with the longer side of the building whichever way it falls. */
    @Test
    void rainOnSnowTakesTheLongerSideOfTheBuilding() {
        String slug =
                fresh("asce", new Change("set", "$.site.snow", "15 psf"), new Change("set", "$.roof.slope", "0.5 deg"));
        var plan = server.bean(JobService.class).open(slug).design().plan();
        double feet = plan.longSideM() / 0.3048;
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/working/page?figure=site.snow"));
            assertThat(page.locator("main")).containsText("rain-on-snow surcharge, added");
            assertThat(page.locator("main")).containsText("W = " + Show.significant(feet, 4));
        }
        assertThat(plan.longSideM()).isGreaterThan(plan.shortSideM() * 1.1);
    }
}
