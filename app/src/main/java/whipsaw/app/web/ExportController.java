package whipsaw.app.web;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import whipsaw.app.Product;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.export.DxfDrawing;
import whipsaw.app.export.GeoJsonPlan;
import whipsaw.app.export.Schedules;
import whipsaw.app.export.Workbook;
import whipsaw.app.job.JobService;
import whipsaw.app.print.DesignDocument;
import whipsaw.app.store.Json;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.design.Design;
import whipsaw.core.job.JobWriter;

/** Files for other programs: drawing, schedules, the job and its design. */
@Controller
public class ExportController {
    private static final MediaType SVG = MediaType.parseMediaType("image/svg+xml");
    private static final MediaType DXF = MediaType.parseMediaType("image/vnd.dxf");
    private static final MediaType XLSX =
            MediaType.parseMediaType("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");

    private static final MediaType GEOJSON = MediaType.parseMediaType("application/geo+json");

    private final JobService jobs;
    private final CodeTableService tables;

    public ExportController(JobService jobs, CodeTableService tables) {
        this.jobs = jobs;
        this.tables = tables;
    }

    private Design design(String slug) {
        return jobs.open(slug).design();
    }

    @GetMapping("/jobs/{slug}/plan.svg")
    public ResponseEntity<byte[]> svg(@PathVariable String slug) {
        return Download.of(slug + ".svg", SVG, PlanDrawing.forExport(design(slug)));
    }

    @GetMapping("/jobs/{slug}/plan.dxf")
    public ResponseEntity<byte[]> dxf(@PathVariable String slug) {
        JobService.Shown shown = jobs.open(slug);
        return Download.of(
                slug + ".dxf",
                DXF,
                DxfDrawing.of(shown.design(), jobs.standing(shown).ofTheJob()));
    }

    @GetMapping("/jobs/{slug}/plan.geojson")
    public ResponseEntity<byte[]> geoJson(@PathVariable String slug) {
        return Download.of(slug + ".geojson", GEOJSON, GeoJsonPlan.of(design(slug)));
    }

    @GetMapping("/jobs/{slug}/schedules.xlsx")
    public ResponseEntity<byte[]> schedules(@PathVariable String slug) {
        JobService.Shown shown = jobs.open(slug);
        return Download.of(
                slug + ".xlsx",
                XLSX,
                Workbook.of(Schedules.all(
                        shown.design(),
                        shown.revision(),
                        tables.tables(),
                        jobs.standing(shown).ofTheJob())));
    }

    @GetMapping("/jobs/{slug}/ballast.csv")
    public ResponseEntity<byte[]> ballast(@PathVariable String slug) {
        return Download.of(
                slug + "-ballast.csv",
                Download.CSV,
                Schedules.ballast(design(slug)).csv());
    }

    @GetMapping("/jobs/{slug}/strings.csv")
    public ResponseEntity<byte[]> strings(@PathVariable String slug) {
        return Download.of(
                slug + "-strings.csv",
                Download.CSV,
                Schedules.strings(design(slug)).csv());
    }

    @GetMapping("/jobs/{slug}/counts.csv")
    public ResponseEntity<byte[]> counts(@PathVariable String slug) {
        return Download.of(
                slug + "-counts.csv",
                Download.CSV,
                Schedules.counts(design(slug)).csv());
    }

    @GetMapping("/jobs/{slug}/reactions.csv")
    public ResponseEntity<byte[]> reactions(@PathVariable String slug) {
        return Download.of(
                slug + "-reactions.csv",
                Download.CSV,
                Schedules.members(design(slug)).csv());
    }

    @GetMapping("/jobs/{slug}/job.json")
    public ResponseEntity<byte[]> job(@PathVariable String slug) {
        Map<String, Object> document = new LinkedHashMap<>();
        document.put("writtenBy", Product.words());
        document.putAll(JobWriter.write(design(slug).job()));
        String json = Json.pretty(document);
        return Download.of(slug + ".whipsaw.json", MediaType.APPLICATION_JSON, json);
    }

    @GetMapping("/jobs/{slug}/design.json")
    public ResponseEntity<byte[]> designDocument(@PathVariable String slug) {
        String json = Json.pretty(DesignDocument.of(design(slug), tables.tables()));
        return Download.of(slug + "-design.json", MediaType.APPLICATION_JSON, json);
    }
}
