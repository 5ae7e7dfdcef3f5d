package whipsaw.app;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.design.PlaceEdits;
import whipsaw.core.job.DocumentPatch;

/** Makes the pictures of the main views from the demo job: {@code Shots FOLDER}. */
public final class Shots {
    private static final String JOB = "/jobs/milepost-hall";

    private Shots() {}

    public static void main(String[] args) {
        Path folder = Path.of(args[0]);
        List<String> faults = new ArrayList<>();
        try (TestServer.Browsing browser = TestServer.browsing();
                TestServer server = new TestServer()) {
            Page page = server.page(1280, 800, faults);
            shoot(page, server, "/", folder, "jobs");
            page.navigate(server.address(JOB));
            page.locator("#bench[data-ready]").waitFor();
            page.locator("#plan").focus();
            for (int i = 0; i < 8; i++) {
                page.keyboard().press("ArrowRight");
            }
            page.keyboard().press("ArrowUp");
            page.keyboard().press("Enter");
            page.locator("#working article").waitFor();
            save(page, folder, "bench-ballast-working");

            page.locator("[data-path=\"$.array.tilt\"]").selectOption("5 deg");
            page.locator("#bench[data-revision='2']").waitFor();
            page.locator("[data-layer=strings]").check();
            page.locator("#titleblock [data-figure='roof.window']").click();
            page.locator("#working article[data-figure='roof.window']").waitFor();

            page.locator("[data-layer=strings]").uncheck();
            page.locator("details[data-section=array] > summary").click();
            page.locator("details[data-section=roof] > summary").click();
            page.locator("#tape-sketch path").first().waitFor();
            page.locator("[data-path=\"$.roof.height\"]").fill("80 km");
            page.locator("[data-path=\"$.roof.height\"]").blur();
            page.locator(".entryline.wrong").waitFor();
            save(page, folder, "bench-tape-and-bad-input");

            JobService jobs = server.bean(JobService.class);
            Object weak =
                    Map.of("load", "5.2 psf", "givenBy", "R. Okafor-Lindqvist PE (invented)", "date", "2026-09-14");
            jobs.change("milepost-hall", 2, List.of(new DocumentPatch.Change("set", "$.roof.allowance", weak)));
            jobs.name("milepost-hall", 1, "as first sketched");
            page.navigate(server.address(JOB));
            page.locator("#checks li.fails button").last().click();
            page.locator("#ways li").first().waitFor();
            save(page, folder, "bench-ways-out");
            shoot(page, server, JOB + "/compare?from=1&to=3", folder, "compare");
            shoot(page, server, "/jobs/bakers-row-parade/energy", folder, "energy");
            shoot(page, server, JOB + "/sun", folder, "sun");
            twoArrays(page, server, folder);
            shoot(page, server, "/catalogue/module", folder, "catalogue");
            shoot(page, server, "/calc/tilted_array", folder, "quick-calc");
            shoot(page, server, "/tables", folder, "code-tables");
            metal(page, server, folder);
            shoot(page, server, JOB + "/sheet?sheet=ballast", folder, "ballast-map");
            section(page, server, folder);
            options(page, server, folder);
            Page phone = server.page(390, 844, faults);
            shoot(phone, server, JOB, folder, "bench-phone");
            shoot(phone, server, "/jobs/tollgate-library/field?row=5", folder, "field-blocks");
            shoot(phone, server, JOB + "/field/tape", folder, "field-tape");
        }
        if (!faults.isEmpty()) {
            throw new IllegalStateException(String.join("\n", faults));
        }
    }

    /** The large roof split into two arrays, the smaller one with a lower tilt. */
    private static void twoArrays(Page page, TestServer server, Path folder) {
        JobService jobs = server.bean(JobService.class);
        String slug = "quarrybank-cold-store";
        Design design = jobs.open(slug).design();
        var roof = design.plan().outline().getEnvelopeInternal();
        double x = roof.getMinX() + roof.getWidth() * 0.6;
        jobs.change(
                slug,
                1,
                new PlaceEdits(design).split(new Coordinate(x, roof.getMinY()), new Coordinate(x, roof.getMaxY())));
        jobs.change(slug, 2, List.of(new DocumentPatch.Change("set", "$.arrays[id=B].tilt", "5 deg")));
        page.navigate(server.address("/jobs/" + slug + "?array=B"));
        page.locator("#bench[data-ready]").waitFor();
        page.locator("details[data-section=arrays] > summary").click();
        page.locator("#split-array").scrollIntoViewIfNeeded();
        save(page, folder, "bench-two-arrays");
    }

    /** A cut over the whole roof on a winter afternoon, by the light of a dim cabin. */
    private static void section(Page page, TestServer server, Path folder) {
        page.navigate(server.address(JOB));
        page.locator("#bench[data-ready]").waitFor();
        page.locator("[data-lamp-switch]").click();
        page.locator("[data-panel=section]").click();
        page.locator("#cut-roof").click();
        page.locator("#sun-hour").fill("15");
        page.locator("#sectionview .solid").first().waitFor();
        page.locator("#measure").click();
        page.locator("[data-obstruction=rtu-1] .body").click();
        page.locator("[data-obstruction=sky-2] .body").click();
        save(page, folder, "bench-section-lamp-off");
        page.locator("[data-lamp-switch]").click();
    }

    /** The options of the hall, all worked out, and one looked at. */
    private static void options(Page page, TestServer server, Path folder) {
        page.navigate(server.address(JOB + "/options"));
        page.locator("#ask button[type=submit]").click();
        page.locator("#state:has-text(' options')").waitFor();
        page.locator("#rows button").first().click();
        page.locator("#card .optioncard table").first().waitFor();
        page.mouse().move(5, 5);
        page.evaluate("scrollTo(0, 60)");
        save(page, folder, "options");
    }

    /** A seam roof with its build-up, and a survey sheet. */
    private static void metal(Page page, TestServer server, Path folder) {
        page.navigate(server.address("/jobs/tannerby-bus-depot"));
        page.locator("#bench[data-ready]").waitFor();
        page.locator("details[data-section=array] > summary").click();
        page.locator("details[data-section=fabric] > summary").click();
        page.locator("[data-path='$.roof.buildUps[face=0].purlins']").scrollIntoViewIfNeeded();
        save(page, folder, "bench-seam-gable");
        shoot(page, server, "/jobs/tannerby-bus-depot/survey", folder, "survey-sheet");
    }

    private static void shoot(Page page, TestServer server, String path, Path folder, String name) {
        page.navigate(server.address(path));
        save(page, folder, name);
    }

    private static void save(Page page, Path folder, String name) {
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }
}
