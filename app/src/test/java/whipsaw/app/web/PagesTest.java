package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Arrays;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.drawing.PaperSize;
import whipsaw.app.job.JobService;
import whipsaw.app.print.JobSheet;
import whipsaw.app.table.CodeTableService;

/** What the server answers: pages, files, and bad requests. */
@OwnServer
class PagesTest extends ServedTest {
    private static final String JOB = "/jobs/milepost-hall";

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                JOB,
                JOB + "/sheet",
                "/calc",
                "/calc/tilted_array",
                "/calc/sun_position",
                "/calc/traverse",
                "/calc/ballast_array",
                "/tables",
                "/tables/asce_gcrn_nominal",
                "/tables/net_coefficients_fenmarsh",
                "/tables/en_terrain.csv",
                "/catalogue/tray-system",
                "/catalogue/conductor",
                "/catalogue/module.csv",
                "/jobs/ashwell-row-primary-school",
                "/jobs/ashwell-row-primary-school/sheet",
                "/jobs/quarrybank-cold-store",
                "/schema/job-6.schema.json",
                JOB + "/revisions",
                JOB + "/parts",
                JOB + "/compare?from=1&to=1",
                "/?find=hall",
                "/?archived=true",
                "/calc/en_wind",
                "/calc/dual_tilt_spacing",
                JOB + "/design.json"
            })
    void answers(String path) {
        assertThat(server.get(path).statusCode()).isEqualTo(200);
    }

    @Test
    void theJobPageStaysLight() {
        assertThat(server.get(JOB).body().length()).isBetween(50_000, 600_000);
    }

    @Test
    void theJobSheetSaysWhatItRestsOnAndWhatIsNotChecked() throws IOException {
        JobService.Shown shown = server.bean(JobService.class).open("milepost-hall");
        JobSheet sheet = JobSheet.of(
                shown.design(),
                shown.revision(),
                server.bean(CodeTableService.class).tables(),
                PaperSize.LETTER,
                true);
        String text;
        try (var pdf = Loader.loadPDF(server.bytes(JOB + "/sheet.pdf"))) {
            PDFTextStripper stripper = new PDFTextStripper();
            stripper.setSortByPosition(true);
            text = stripper.getText(pdf);
        }
        assertThat(text)
                .contains("Milepost Hall", "not for construction", "rapid shutdown", "Fire classification")
                .contains("unconfirmed", "invented", "ASSUMED, to be confirmed: Ground elevation 900 ft")
                .contains(
                        "R. Okafor-Lindqvist",
                        " on Letter",
                        "Blocks a position takes, position",
                        "ASCE 7-16",
                        "zone 3",
                        "Whipsaw 0.")
                .doesNotContain("Place[")
                .contains(String.valueOf(shown.design().holdDown().blocks()));
        int rows = sheet.rows().stream()
                .mapToInt(r -> Integer.parseInt(r.blocks()))
                .sum();
        assertThat(String.valueOf(rows)).isEqualTo(sheet.totalBlocks());
    }

    @Test
    void theBallastCsvAddsUpToTheDesign() {
        String[] lines = server.get(JOB + "/ballast.csv").body().strip().split("\r\n");
        var design = server.bean(JobService.class).open("milepost-hall").design();
        assertThat(lines).hasSize(design.holdDown().positions().size() + 1);
        int placed = Arrays.stream(lines)
                .skip(1)
                .mapToInt(l -> Integer.parseInt(l.split(",")[8]))
                .sum();
        assertThat(placed).isEqualTo(design.holdDown().blocks());
    }

    @Test
    void anExportedJobComesBackTheSame() {
        String file = server.get(JOB + "/job.json").body();
        var document = whipsaw.app.store.Json.object(file);
        assertThat(document.remove("writtenBy")).asString().startsWith("Whipsaw ");
        var job = whipsaw.core.job.JobReader.read(document, false).job();
        assertThat(whipsaw.core.job.JobWriter.write(job)).isEqualTo(document);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "not json|400|no JSON",
                "{}|400|changes",
                "{\"changes\":[3]}|400|no object",
                "{\"changes\":[{\"op\":\"set\",\"path\":\"roof\"}]}|400|does not begin with $",
                "{\"changes\":[{\"op\":\"burn\",\"path\":\"$.roof\"}]}|400|unknown",
                "{\"base\":1,\"changes\":[{\"op\":\"set\",\"path\":\"$.roof.height\",\"value\":\"80 km\"}]}|422|Mean roof height",
                "{\"base\":1,\"changes\":[{\"op\":\"remove\",\"path\":\"$.site\"}]}|422|$.site",
                "{\"base\":1,\"changes\":[{\"op\":\"set\",\"path\":\"$.array.module\",\"value\":{\"catalogue\":\"module/none\"}}]}|404|catalogue",
                "{\"base\":1,\"changes\":[{\"op\":\"set\",\"path\":\"$.roof.obstructions[99].x\",\"value\":\"1 m\"}]}|400|nothing at",
            })
    void badChangesAreToldAndStoreNothing(String body, int status, String words) {
        String before = server.get(JOB + "/job.json").body();
        var answer = server.post(JOB + "/change", body);
        assertThat(answer.statusCode()).isEqualTo(status);
        assertThat(answer.body()).contains(words).doesNotContain("Exception");
        assertThat(server.get(JOB + "/job.json").body()).isEqualTo(before);
    }

    @Test
    void aCalculationRefusesWithTheField() {
        var answer = server.get("/calc/row_spacing?latitude_deg=north&tilt_deg=10");
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains("latitude_deg &#39;north&#39; is no number");
    }

    @Test
    void otherHostsAndOtherPagesAreRefused() {
        assertThat(server.post(JOB + "/undo", "{}", "Origin", "http://elsewhere.example")
                        .statusCode())
                .isEqualTo(403);
        assertThat(server.get(JOB).headers().firstValue("Content-Security-Policy"))
                .hasValueSatisfying(p -> assertThat(p).doesNotContain("unsafe"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/jobs/none",
                "/jobs/none/sheet.pdf",
                "/calc/none",
                "/tables/none",
                "/catalogue/none",
                JOB + "/ways?check=none",
                JOB + "/compare?from=1&to=99",
                JOB + "/working?figure=ballast/99-99",
                "/nowhere"
            })
    void whatIsNotThereIsSaid(String path) {
        assertThat(server.get(path).statusCode()).isEqualTo(404);
    }

    @Test
    void theSheetOfASecondFamilyJobNamesItsOwnCodesZonesAndSet() throws IOException {
        String sheet = server.get("/jobs/ashwell-row-primary-school/sheet").body();
        assertThat(sheet)
                .contains(
                        "EN 1990, EN 1991",
                        "dense cross hatch zone F",
                        "10-minute mean",
                        "net_coefficients_fenmarsh",
                        "EN 1991-1-3")
                .doesNotContain("ASCE 7-16, NEC")
                .doesNotContain("29.4-7")
                .doesNotContain("Place[");
        String plain = server.get(JOB + "/sheet").body();
        assertThat(plain).contains("ASCE 7-16").doesNotContain("EN 1991");
    }

    @Test
    void whatIsNotEstablishedIsNowhereShownAsANumber() {
        var made = server.post(
                "/jobs/ashwell-row-primary-school/change",
                "{\"base\":1,\"changes\":[{\"op\":\"set\",\"path\":\"$.roof.height\",\"value\":\"30 m\"}]}");
        assertThat(made.statusCode()).isEqualTo(200);
        assertThat(made.body()).contains("blocks not established".substring(0, 6), "not established");
        String sheet = server.get("/jobs/ashwell-row-primary-school/sheet").body();
        assertThat(sheet).contains("not established").containsPattern("<td class=\"rowcounts\">\\? \\?");
        assertThat(server.get("/jobs/ashwell-row-primary-school/ballast.csv").body())
                .contains("not established");
        assertThat(server.get("/jobs/ashwell-row-primary-school/design.json").body())
                .contains("\"hold_down_established\" : false", "\"blocks\" : null");
        assertThat(server.get("/").body()).contains("<b>?</b> <i>blocks</i>");
        server.post("/jobs/ashwell-row-primary-school/undo", "{}");
    }
}
