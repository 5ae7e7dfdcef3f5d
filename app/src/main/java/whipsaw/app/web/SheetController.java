package whipsaw.app.web;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import whipsaw.app.Product;
import whipsaw.app.job.JobService;
import whipsaw.app.print.BallastCsv;
import whipsaw.app.print.DesignDocument;
import whipsaw.app.print.JobSheet;
import whipsaw.app.print.SheetPdf;
import whipsaw.app.store.Json;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.job.JobWriter;

/** What leaves the application: the job sheet, the ballast map, the job file and the design. */
@Controller
public class SheetController {
    private final JobService jobs;
    private final CodeTableService tables;
    private final SheetPdf pdf;

    public SheetController(JobService jobs, CodeTableService tables, SheetPdf pdf) {
        this.jobs = jobs;
        this.tables = tables;
        this.pdf = pdf;
    }

    private JobSheet sheet(String slug, boolean ownStyle) {
        JobService.Shown shown = jobs.open(slug);
        return JobSheet.of(shown.design(), shown.revision(), tables.tables(), ownStyle);
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
        return Download.of(slug + ".pdf", MediaType.APPLICATION_PDF, pdf.render(sheet(slug, true)));
    }

    @GetMapping("/jobs/{slug}/ballast.csv")
    public ResponseEntity<byte[]> ballast(@PathVariable String slug) {
        String csv = BallastCsv.of(jobs.open(slug).design());
        return Download.of(slug + "-ballast.csv", Download.CSV, csv);
    }

    @GetMapping("/jobs/{slug}/job.json")
    public ResponseEntity<byte[]> job(@PathVariable String slug) {
        Map<String, Object> document = new LinkedHashMap<>();
        document.put("writtenBy", Product.words());
        document.putAll(JobWriter.write(jobs.open(slug).design().job()));
        String json = Json.pretty(document);
        return Download.of(slug + ".whipsaw.json", MediaType.APPLICATION_JSON, json);
    }

    @GetMapping("/jobs/{slug}/design.json")
    public ResponseEntity<byte[]> design(@PathVariable String slug) {
        String json = Json.pretty(DesignDocument.of(jobs.open(slug).design(), tables.tables()));
        return Download.of(slug + "-design.json", MediaType.APPLICATION_JSON, json);
    }
}
