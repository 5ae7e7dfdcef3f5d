package whipsaw.app.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import whipsaw.app.job.JobService;
import whipsaw.app.print.BallastCsv;
import whipsaw.app.print.DesignDocument;
import whipsaw.app.print.JobSheet;
import whipsaw.app.print.SheetPdf;
import whipsaw.app.store.Json;
import whipsaw.core.job.JobWriter;
import whipsaw.core.table.CodeTables;

/** What leaves the application: the job sheet, the ballast map, the job file and the design. */
@Controller
public class SheetController {
    private final JobService jobs;
    private final CodeTables tables;
    private final SheetPdf pdf;

    public SheetController(JobService jobs, CodeTables tables, SheetPdf pdf) {
        this.jobs = jobs;
        this.tables = tables;
        this.pdf = pdf;
    }

    private JobSheet sheet(String slug, boolean ownStyle) {
        JobService.Shown shown = jobs.open(slug);
        return JobSheet.of(shown.design(), shown.revision(), tables, ownStyle);
    }

    @GetMapping("/jobs/{slug}/sheet")
    public String page(@PathVariable String slug, Model model) {
        model.addAttribute("sheet", sheet(slug, false));
        model.addAttribute("slug", slug);
        model.addAttribute("pdf", false);
        return "sheet";
    }

    @GetMapping("/jobs/{slug}/sheet.pdf")
    public ResponseEntity<byte[]> pdf(@PathVariable String slug) {
        return file(slug + ".pdf", MediaType.APPLICATION_PDF, pdf.render(sheet(slug, true)));
    }

    @GetMapping("/jobs/{slug}/ballast.csv")
    public ResponseEntity<byte[]> ballast(@PathVariable String slug) {
        String csv = BallastCsv.of(jobs.open(slug).design());
        return file(
                slug + "-ballast.csv",
                MediaType.parseMediaType("text/csv;charset=UTF-8"),
                csv.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/jobs/{slug}/job.json")
    public ResponseEntity<byte[]> job(@PathVariable String slug) {
        String json = Json.pretty(JobWriter.write(jobs.open(slug).design().job()));
        return file(slug + ".whipsaw.json", MediaType.APPLICATION_JSON, json.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/jobs/{slug}/design.json")
    public ResponseEntity<byte[]> design(@PathVariable String slug) {
        String json = Json.pretty(DesignDocument.of(jobs.open(slug).design(), tables));
        return file(slug + "-design.json", MediaType.APPLICATION_JSON, json.getBytes(StandardCharsets.UTF_8));
    }

    private static ResponseEntity<byte[]> file(String name, MediaType type, byte[] body) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(name).build().toString())
                .body(body);
    }
}
