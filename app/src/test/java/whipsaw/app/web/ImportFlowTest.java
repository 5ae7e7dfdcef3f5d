package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.export.DxfDrawing;
import whipsaw.app.export.GeoJsonPlan;
import whipsaw.app.job.JobService;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.exchange.DxfReader;
import whipsaw.core.exchange.ForeignDrawing;
import whipsaw.core.exchange.GeoJsonReader;
import whipsaw.core.exchange.RoofFromDrawing;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.Obstruction;

/** A roof from a drawing file, in the browser and back from our own files. */
class ImportFlowTest extends ServedTest {
    private static final double TENTH_MM = 1e-4;

    private static Design milepost() {
        return server.bean(JobService.class).open("milepost-hall").design();
    }

    @Test
    void whatWeWriteReadsBackWithinATenthOfAMillimetre() {
        Design d = milepost();
        ForeignDrawing drawing = DxfReader.read(DxfDrawing.of(d, "Preliminary"));
        assertThat(drawing.metresPerUnit()).isEqualTo(1);
        RoofFromDrawing roof = RoofFromDrawing.of(drawing, 1, Map.of("ROOF", "outline", "OBSTRUCTIONS", "plant"));
        double left = d.plan().outline().getEnvelopeInternal().getMinX();
        double low = d.plan().outline().getEnvelopeInternal().getMinY();
        assertThat(roof.outline()).hasSize(4);
        for (int i = 0; i < 4; i++) {
            assertThat(roof.outline().get(i).x + left)
                    .isCloseTo(d.plan().edges().get(i).from().x, within(TENTH_MM));
            assertThat(roof.outline().get(i).y + low)
                    .isCloseTo(d.plan().edges().get(i).from().y, within(TENTH_MM));
        }
        List<Obstruction> own = d.job().roof().obstructions();
        assertThat(roof.things()).hasSameSizeAs(own);
        for (int i = 0; i < own.size(); i++) {
            assertThat(roof.things().get(i).x() + left).isCloseTo(own.get(i).x().si(), within(TENTH_MM));
            assertThat(roof.things().get(i).depth())
                    .isCloseTo(own.get(i).depth().si(), within(TENTH_MM));
        }
        // every module came back as a shape of the module's size
        double module = d.layout().alongM() * d.layout().depthM();
        assertThat(drawing.shapes().stream().filter(s -> s.layer().equals("MODULES")))
                .hasSize(d.layout().modules().size())
                .allSatisfy(s -> assertThat(s.area()).isCloseTo(module, within(1e-3)));
    }

    private static Locator layer(Page page, String name) {
        return page.locator("label.entryline:has-text('" + name + ":') select");
    }

    @Test
    void ourGeoJsonReadsBackWithinATenthOfAMillimetre() {
        for (String slug : List.of("milepost-hall", "overmere-parcel-shed")) {
            Design d = server.bean(JobService.class).open(slug).design();
            var site = new Coordinate(
                    d.job().site().longitude().si(), d.job().site().latitude().si());
            ForeignDrawing drawing = GeoJsonReader.read(
                    Json.object(GeoJsonPlan.of(d)),
                    site,
                    d.job().roof().upAzimuth().si());
            var outline = drawing.shapes().stream()
                    .filter(s -> s.layer().equals("ROOF"))
                    .findFirst()
                    .orElseThrow();
            for (int i = 0; i < outline.points().size(); i++) {
                assertThat(outline.points()
                                .get(i)
                                .distance(d.plan().edges().get(i).from()))
                        .isLessThan(TENTH_MM);
            }
            RoofFromDrawing roof = RoofFromDrawing.of(drawing, 1, Map.of("ROOF", "outline", "OBSTRUCTIONS", "plant"));
            var own = d.job().roof().obstructions();
            assertThat(roof.things()).hasSameSizeAs(own);
            for (int i = 0; i < own.size(); i++) {
                assertThat(roof.things().get(i).name()).isEqualTo(own.get(i).name());
                assertThat(roof.things().get(i).heightM())
                        .isEqualTo(own.get(i).height().si());
                assertThat(roof.things().get(i).corners())
                        .hasSameSizeAs(own.get(i).footprint().corners());
            }
        }
    }

    @Test
    void aFileIsReadLookedAtAndTaken() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("asce"), false).job());
        String dxf = DxfDrawing.of(milepost(), "Preliminary").replace("$INSUNITS\r\n70\r\n6", "$INSUNITS\r\n70\r\n0");
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug));
            page.locator("details[data-section=roof]").evaluate("d => d.open = true");
            page.locator("a:has-text('From a drawing file')").click();
            page.locator("[name=upload]")
                    .setInputFiles(new FilePayload("hall.dxf", "image/vnd.dxf", dxf.getBytes(StandardCharsets.UTF_8)));
            page.locator("button:has-text('Read it')").click();
            assertThat(page.locator(".foreign")).not().hasCount(0);
            assertThat(page.locator("main")).containsText("TEXT left out");
            assertThat(page.locator("main")).containsText("does not say its unit");
            layer(page, "ROOF").selectOption("outline");
            layer(page, "OBSTRUCTIONS").selectOption("plant");
            page.locator("button:has-text('Take it')").click();
            assertThat(page.locator("main")).containsText("m, cm, mm, ft, in");
            page.goBack();
            page.locator("[name=unit]").selectOption("m");
            layer(page, "ROOF").selectOption("outline");
            layer(page, "OBSTRUCTIONS").selectOption("plant");
            assertThat(page.locator("[name=base]")).hasValue("1");
            page.locator("button:has-text('Take it')").click();
            page.locator("#bench[data-ready]").waitFor();
            assertThat(page.locator("#banner")).containsText("Taken: an outline of 4 corners and 8 things on it.");
            assertThat(page.locator("#banner")).containsText("Layer 'MODULES' left out, as you said.");
            assertThat(page.locator("[data-obstruction]")).hasCount(8);
            assertThat(page.locator(".history li").first())
                    .containsText("Roof taken from a drawing: 4 corners, 8 things");
        }
        Design taken = server.bean(JobService.class).open(slug).design();
        assertThat(taken.plan().areaM2()).isCloseTo(milepost().plan().areaM2(), within(0.01));
        assertThat(taken.job().roof().obstructions().get(0).height().assumed()).isTrue();
    }

    @Test
    void aGapThatIsListedIsClosedOnThePage() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("en"), false).job());
        double[][] ends = {{0, 0, 30, 0}, {30, 0.035, 30, 20}, {30, 20, 0, 20}, {0, 20, 0, 0}};
        StringBuilder dxf = new StringBuilder(
                "0\r\nSECTION\r\n2\r\nHEADER\r\n9\r\n$INSUNITS\r\n70\r\n6\r\n0\r\nENDSEC\r\n0\r\nSECTION\r\n2\r\nENTITIES\r\n");
        for (double[] e : ends) {
            dxf.append("0\r\nLINE\r\n8\r\nEAVES\r\n10\r\n%s\r\n20\r\n%s\r\n11\r\n%s\r\n21\r\n%s\r\n"
                    .formatted(e[0], e[1], e[2], e[3]));
        }
        dxf.append("0\r\nENDSEC\r\n0\r\nEOF\r\n");
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/import"));
            page.locator("[name=upload]")
                    .setInputFiles(new FilePayload(
                            "eaves.dxf", "image/vnd.dxf", dxf.toString().getBytes(StandardCharsets.UTF_8)));
            page.locator("button:has-text('Read it')").click();
            assertThat(page.locator("label.entryline:has-text('EAVES:')")).containsText("0 closed of 1");
            page.locator("[name=gap]").fill("20 mm");
            page.locator("button:has-text('Close them')").click();
            assertThat(page.locator("label.entryline:has-text('EAVES:')")).containsText("0 closed of 1");
            page.locator("[name=gap]").fill("50 mm");
            page.locator("button:has-text('Close them')").click();
            assertThat(page.locator("label.entryline:has-text('EAVES:')")).containsText("1 closed of 1");
            layer(page, "EAVES").selectOption("outline");
            page.locator("button:has-text('Take it')").click();
            page.locator("#bench[data-ready]").waitFor();
        }
        assertThat(server.bean(JobService.class).open(slug).design().plan().areaM2())
                .isCloseTo(600, within(0.6));
    }

    @Test
    void whatIsNoDrawingIsRefusedInWords() {
        try (Page page = page()) {
            page.navigate(server.address("/jobs/milepost-hall/import"));
            page.locator("[name=upload]")
                    .setInputFiles(new FilePayload("a.dxf", "image/vnd.dxf", "hello".getBytes(StandardCharsets.UTF_8)));
            page.locator("button:has-text('Read it')").click();
            assertThat(page.locator("main")).containsText("no section ENTITIES");
        }
    }
}
