package whipsaw.app.web;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.drawing.PaperSize;
import whipsaw.app.job.JobService;
import whipsaw.app.print.PaperStyle;
import whipsaw.app.print.SheetPdf;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.figure.Figures;
import whipsaw.core.figure.NeighbourDifferences;
import whipsaw.core.working.Working;
import whipsaw.core.working.WorkingText;

/** The working of a figure: beside the drawing, as text, as a page. */
@Controller
public class WorkingController {
    private final JobService jobs;
    private final CodeTableService tables;
    private final SheetPdf pdf;

    public WorkingController(JobService jobs, CodeTableService tables, SheetPdf pdf) {
        this.jobs = jobs;
        this.tables = tables;
        this.pdf = pdf;
    }

    private Working fill(String slug, String figure, Model model) {
        JobService.Shown shown = jobs.open(slug);
        Working working = new Figures(shown.design(), tables.tables()).working(figure);
        if (working == null) {
            throw new StoreException("there is no figure '" + figure + "' in this job");
        }
        model.addAttribute("working", working);
        model.addAttribute("beside", beside(shown, figure));
        model.addAttribute("others", others(shown, figure));
        model.addAttribute("slug", slug);
        model.addAttribute("job", shown.design().job());
        model.addAttribute("revision", shown.revision());
        model.addAttribute("standing", jobs.standing(shown));
        return working;
    }

    /** Other figures of the module a position stands at, by their key. */
    private static Map<String, String> others(JobService.Shown shown, String figure) {
        if (!figure.startsWith("ballast/")) {
            return Map.of();
        }
        return shown.design().holdDown().positions().stream()
                .filter(p -> figure.equals("ballast/" + p.id()) && !p.shares().isEmpty())
                .findFirst()
                .map(p ->
                        shown.design().layout().modules().get(p.shares().get(0).module()))
                .map(m -> {
                    Map<String, String> keys = new LinkedHashMap<>();
                    keys.put("shaded/" + m.id(), "shading and dirt of " + m.number());
                    return keys;
                })
                .orElse(Map.of());
    }

    private static List<NeighbourDifferences.Difference> beside(JobService.Shown shown, String figure) {
        return figure.startsWith("ballast/")
                ? NeighbourDifferences.of(shown.design(), figure.substring("ballast/".length()))
                : List.of();
    }

    @GetMapping("/jobs/{slug}/working")
    public String beside(@PathVariable String slug, @RequestParam String figure, Model model) {
        fill(slug, figure, model);
        return "working :: working";
    }

    /** The working as plain text with the neighbours of a position. */
    @GetMapping("/jobs/{slug}/working/text")
    public ResponseEntity<byte[]> text(@PathVariable String slug, @RequestParam String figure, Model model) {
        Working working = fill(slug, figure, model);
        StringBuilder text = new StringBuilder(WorkingText.of(working));
        beside(jobs.open(slug), figure)
                .forEach(d -> text.append("- ").append(d.words()).append('\n'));
        return Download.of("working.txt", MediaType.parseMediaType("text/plain;charset=UTF-8"), text.toString());
    }

    @GetMapping("/jobs/{slug}/working/page")
    public String page(
            @PathVariable String slug,
            @RequestParam String figure,
            @RequestParam(required = false) String paper,
            Model model) {
        fill(slug, figure, model);
        model.addAttribute("paper", paper(slug, paper));
        model.addAttribute("pdf", false);
        return "working-page";
    }

    @GetMapping("/jobs/{slug}/working/page.pdf")
    public ResponseEntity<byte[]> pdf(
            @PathVariable String slug,
            @RequestParam String figure,
            @RequestParam(required = false) String paper,
            Model model) {
        fill(slug, figure, model);
        PaperSize size = paper(slug, paper);
        JobService.Shown shown = jobs.open(slug);
        PaperStyle style = PaperStyle.of(
                shown,
                size,
                "Working",
                new Figures(shown.design(), tables.tables()).status(),
                jobs.standing(shown).brief());
        return Download.of(
                slug + "-working.pdf", MediaType.APPLICATION_PDF, pdf.render("working-page", model.asMap(), style));
    }

    private PaperSize paper(String slug, String paper) {
        return PaperSize.of(paper, jobs.open(slug).design().job().project().units());
    }
}
