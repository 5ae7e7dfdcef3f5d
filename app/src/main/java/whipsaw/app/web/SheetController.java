package whipsaw.app.web;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.BindParam;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import whipsaw.app.drawing.PaperSize;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Laying;
import whipsaw.app.job.Signatures;
import whipsaw.app.print.EngineerPack;
import whipsaw.app.print.JobSheet;
import whipsaw.app.print.PackReader;
import whipsaw.app.print.PaperStyle;
import whipsaw.app.print.SheetPdf;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.build.MapChange;
import whipsaw.core.design.Design;
import whipsaw.core.figure.Figures;
import whipsaw.core.schema.Problem;
import whipsaw.core.survey.Consequences;
import whipsaw.core.working.Working;

/** Paper: the job sheet, the ballast map for the crew and the workings, as page and as PDF. */
@Controller
public class SheetController {
    private static final Map<String, String> SHEETS =
            Map.of("job", "Job sheet", "ballast", "Ballast map", "workings", "Workings", "engineer", "Engineer's pack");

    private final JobService jobs;
    private final CodeTableService tables;
    private final SheetPdf pdf;
    private final Laying laying;

    public SheetController(JobService jobs, CodeTableService tables, SheetPdf pdf, Laying laying) {
        this.laying = laying;
        this.jobs = jobs;
        this.tables = tables;
        this.pdf = pdf;
    }

    /**
     * What an address asks for, each part null where it does not say.
     *
     * @param revision to print; null for the newest
     */
    public record Asked(String sheet, String paper, @BindParam("for") String reader, Integer revision) {}

    /** What is to be printed, on what. */
    private record Wanted(
            JobService.Shown shown, Signatures.Standing standing, String sheet, PaperSize paper, PackReader reader) {
        String title() {
            return SHEETS.get(sheet)
                    + (sheet.equals("engineer") && reader != PackReader.ENGINEER ? " for " + reader.words() : "");
        }
    }

    private PaperStyle style(Wanted w) {
        Figures figures = new Figures(w.shown().design(), tables.tables());
        return PaperStyle.of(
                w.shown(), w.paper(), w.title(), figures.status(), w.standing().brief());
    }

    private Wanted wanted(String slug, Asked asked) {
        JobService.Shown shown = asked.revision() == null ? jobs.open(slug) : jobs.at(slug, asked.revision());
        String sheet = asked.sheet() == null ? "job" : asked.sheet();
        String paper = asked.paper();
        String reader = asked.reader() == null ? "engineer" : asked.reader();
        if (!SHEETS.containsKey(sheet)) {
            throw new JobService.Refused(List.of(new Problem(
                    "$.sheet", "Sheet", sheet, "is none of job, ballast, workings, engineer: for example ballast")));
        }
        PackReader to;
        try {
            to = PackReader.of(reader);
        } catch (IllegalArgumentException e) {
            throw new JobService.Refused(List.of(new Problem(
                    "$.for",
                    "For",
                    reader,
                    "is none of engineer, permit, insurer, owner, lender: for example permit")));
        }
        try {
            return new Wanted(
                    shown,
                    jobs.standing(shown),
                    sheet,
                    PaperSize.of(paper, shown.design().job().project().units()),
                    to);
        } catch (IllegalArgumentException e) {
            throw new JobService.Refused(List.of(
                    new Problem("$.paper", "Paper", paper, "is none of a4, a3, letter, tabloid: for example a4")));
        }
    }

    private void fill(Map<String, Object> model, Wanted w, boolean ownStyle) {
        JobSheet sheet = JobSheet.of(w.shown().design(), w.shown().revision(), tables.tables(), w.paper(), ownStyle);
        model.put("sheet", sheet);
        model.put("standing", w.standing());
        model.put(
                "newest",
                w.shown().revision().number()
                        == jobs.open(w.shown().slug()).revision().number());
        boolean changed = w.sheet().equals("ballast") && w.standing().lapsed();
        Laying.OnRoof roof = changed ? laying.of(w.shown().slug()) : null;
        MapChange change = roof == null ? null : roof.toward(w.shown().design());
        model.put("mapChange", change);
        boolean laid = roof != null && !roof.ticks().isEmpty();
        model.put("anythingLaid", laid);
        // where nothing lies yet there is nothing to change: it is laid by the map itself
        model.put(
                "mapPlaces",
                change == null
                        ? List.of()
                        : change.places().stream()
                                .filter(m -> !laid || m.before() > 0)
                                .toList());
        Design design = w.shown().design();
        model.put("consequences", Consequences.of(design.job(), design.plan(), design.layout()));
        model.put("places", Places.of(design));
        model.put("title", w.title());
        model.put("reader", w.reader());
        model.put("readers", PackReader.values());
        model.put("kind", w.sheet());
        model.put("paper", w.paper());
        model.put("papers", PaperSize.values());
        model.put("slug", w.shown().slug());
        boolean pack = w.sheet().equals("engineer");
        model.put("pack", pack ? EngineerPack.of(design) : null);
        model.put(
                "reactions", pack && w.reader().members() ? PlanDrawing.reactions(design, w.paper(), ownStyle) : null);
        boolean checked = w.sheet().equals("workings") || (pack && w.reader().workings());
        model.put("checked", checked);
        model.put("workings", checked ? workings(w.shown(), pack) : List.of());
    }

    private List<Working> workings(JobService.Shown shown, boolean ofTheBuilding) {
        Figures figures = new Figures(shown.design(), tables.tables());
        return (ofTheBuilding ? figures.ofTheBuilding() : figures.keys())
                .stream().map(figures::working).toList();
    }

    @GetMapping("/jobs/{slug}/sheet")
    public String page(@PathVariable String slug, Asked asked, Model model) {
        Map<String, Object> filled = new LinkedHashMap<>();
        fill(filled, wanted(slug, asked), false);
        model.addAllAttributes(filled);
        model.addAttribute("pdf", false);
        return "sheet";
    }

    @GetMapping("/jobs/{slug}/sheet.pdf")
    public ResponseEntity<byte[]> pdf(@PathVariable String slug, Asked asked) {
        Wanted w = wanted(slug, asked);
        Map<String, Object> model = new LinkedHashMap<>();
        fill(model, w, true);
        String to = w.reader() == PackReader.ENGINEER ? "" : "-" + w.reader().key();
        String name = slug + (w.sheet().equals("job") ? "" : "-" + w.sheet() + to) + ".pdf";
        return Download.of(name, MediaType.APPLICATION_PDF, pdf.render("sheet", model, style(w)));
    }

    /** Size of the paper and what stands in its margins, for printing from the page. */
    @GetMapping("/jobs/{slug}/paper.css")
    public ResponseEntity<byte[]> style(@PathVariable String slug, Asked asked) {
        return Download.of(
                "paper.css",
                MediaType.parseMediaType("text/css;charset=UTF-8"),
                style(wanted(slug, asked)).css());
    }
}
