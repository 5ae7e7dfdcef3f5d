package whipsaw.app.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.drawing.PlanData;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.drawing.SectionDrawing;
import whipsaw.app.entry.EntryForm;
import whipsaw.app.job.DocumentPatch;
import whipsaw.app.job.JobService;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.app.store.StoreException;
import whipsaw.core.design.Design;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.Job;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.working.DataStatus;
import whipsaw.core.working.Working;

/** The list of jobs and the work surface of one. */
@Controller
public class JobController {
    private static final int MOST_CHANGES = 50;

    private final JobService jobs;
    private final CatalogueStore catalogue;
    private final CodeTables tables;

    public JobController(JobService jobs, CatalogueStore catalogue, CodeTables tables) {
        this.jobs = jobs;
        this.catalogue = catalogue;
        this.tables = tables;
    }

    @GetMapping("/")
    public String list(Model model) {
        model.addAttribute("jobs", jobs.list());
        return "jobs";
    }

    /** A new job from the shipped start, everything in it marked as assumed. */
    @PostMapping("/jobs")
    public String create(@RequestParam String name, @RequestParam String units) {
        Map<String, Object> document = Seeds.newJob();
        @SuppressWarnings("unchecked")
        Map<String, Object> project = (Map<String, Object>) document.get("project");
        project.put("name", name);
        project.put("units", units);
        return "redirect:/jobs/" + jobs.create(jobs.accept(document, false));
    }

    /** A job file, pasted or read by the page. */
    @PostMapping("/jobs/import")
    public String importFile(@RequestParam String file) {
        Job job = jobs.accept(Json.object(file), false);
        return "redirect:/jobs/" + jobs.create(job);
    }

    @GetMapping("/jobs/{slug}")
    public String open(@PathVariable String slug, Model model) {
        fill(model, jobs.open(slug));
        model.addAttribute("history", jobs.history(slug));
        return "job";
    }

    /** A change as posted by the page. */
    public record ChangeRequest(int base, boolean preview, List<DocumentPatch.Change> changes) {}

    @PostMapping(path = "/jobs/{slug}/change", consumes = "application/json")
    public String change(@PathVariable String slug, @RequestBody Map<String, Object> body, Model model) {
        ChangeRequest request = request(body);
        if (request.preview()) {
            JobService.Shown shown = jobs.preview(slug, request.changes());
            fillTotals(model, shown);
            model.addAttribute(
                    "plan",
                    PlanDrawing.forPreview(shown.design(), shown.change().changed()));
            return "job :: preview";
        }
        fill(model, jobs.change(slug, request.base(), request.changes()));
        model.addAttribute("history", jobs.history(slug));
        return "job :: swaps";
    }

    @PostMapping("/jobs/{slug}/undo")
    public String undo(@PathVariable String slug, Model model) {
        return stepped(slug, true, model);
    }

    @PostMapping("/jobs/{slug}/redo")
    public String redo(@PathVariable String slug, Model model) {
        return stepped(slug, false, model);
    }

    private String stepped(String slug, boolean back, Model model) {
        fill(model, jobs.step(slug, back));
        model.addAttribute("history", jobs.history(slug));
        return "job :: swaps";
    }

    @GetMapping("/jobs/{slug}/working")
    public String working(@PathVariable String slug, @RequestParam String figure, Model model) {
        Working working = new Figures(jobs.open(slug).design(), tables).working(figure);
        if (working == null) {
            throw new StoreException("there is no figure '" + figure + "' in this job");
        }
        model.addAttribute("working", working);
        return "working :: working";
    }

    /** Reads the request by hand, so that a wrong shape is told and not a stack trace. */
    private ChangeRequest request(Map<String, Object> body) {
        if (!(body.get("changes") instanceof List<?> list) || list.isEmpty() || list.size() > MOST_CHANGES) {
            throw new DocumentPatchProblem("changes: give 1 to " + MOST_CHANGES);
        }
        List<DocumentPatch.Change> changes = new ArrayList<>();
        for (Object item : list) {
            if (!(item instanceof Map<?, ?> map)) {
                throw new DocumentPatchProblem("changes: an entry is no object");
            }
            changes.add(new DocumentPatch.Change(
                    String.valueOf(map.get("op")), String.valueOf(map.get("path")), fromCatalogue(map.get("value"))));
        }
        int base = body.get("base") instanceof Number n ? n.intValue() : -1;
        return new ChangeRequest(base, Boolean.TRUE.equals(body.get("preview")), changes);
    }

    /** A request that is no change. */
    static class DocumentPatchProblem extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        DocumentPatchProblem(String message) {
            super(message);
        }
    }

    /** A reference to a catalogue entry becomes the job's own copy of it. */
    private Object fromCatalogue(Object value) {
        if (value instanceof Map<?, ?> map && map.size() == 1 && map.get("catalogue") instanceof String reference) {
            int slash = reference.indexOf('/');
            return catalogue
                    .find(reference.substring(0, Math.max(0, slash)), reference.substring(slash + 1))
                    .orElseThrow(() -> new StoreException("the catalogue has no '" + reference + "'"))
                    .body();
        }
        return value;
    }

    private void fill(Model model, JobService.Shown shown) {
        fillTotals(model, shown);
        Design design = shown.design();
        model.addAttribute("plan", PlanDrawing.forScreen(design, shown.change().changed()));
        model.addAttribute("entry", EntryForm.of(design, catalogue));
        model.addAttribute("tape", EntryForm.tape(design.job()));
        model.addAttribute("section", SectionDrawing.of(design));
        model.addAttribute("data", PlanData.of(design));
        model.addAttribute("canRedo", jobs.canRedo(shown.slug()));
        model.addAttribute("canUndo", shown.revision().shows() > 1);
    }

    private void fillTotals(Model model, JobService.Shown shown) {
        Design design = shown.design();
        model.addAttribute("slug", shown.slug());
        model.addAttribute("revision", shown.revision());
        model.addAttribute("design", design);
        model.addAttribute("job", design.job());
        model.addAttribute("change", shown.change());
        model.addAttribute("totals", Totals.of(design, new Figures(design, tables).status()));
    }

    /** The figures of the title block. */
    public record Totals(List<Cell> cells, String status) {

        /** One box: its name, its value, a second line and the figure it opens. */
        public record Cell(String name, String value, String other, String figure) {}

        static Totals of(Design design, DataStatus status) {
            var units = design.job().project().units();
            var other = units.other();
            var loads = design.loads();
            double load = loads.footprint().loadPa();
            return new Totals(
                    List.of(
                            new Cell(
                                    "Modules",
                                    String.valueOf(design.layout().modules().size()),
                                    design.layout().rows() + " rows",
                                    "total.modules"),
                            new Cell(
                                    "kW dc",
                                    Show.number(design.circuits().dcW() / 1000, 1),
                                    design.circuits().strings().size() + " strings",
                                    "total.dc"),
                            new Cell(
                                    "kW ac",
                                    Show.number(design.circuits().acVa() / 1000, 1),
                                    design.circuits().inverters() + " inverters",
                                    "total.ac"),
                            new Cell(
                                    "DC / AC",
                                    Show.number(design.circuits().ratio(), 2),
                                    "limit "
                                            + Show.number(
                                                    design.job().electrical().dcAcMost(), 2),
                                    "total.ratio"),
                            new Cell(
                                    "Blocks",
                                    String.valueOf(design.holdDown().blocks()),
                                    Show.in(units, Dimension.MASS, loads.ballastKg()),
                                    "total.blocks"),
                            new Cell(
                                    "Added load",
                                    Show.brief(units, Dimension.LOAD, load),
                                    Show.brief(other, Dimension.LOAD, load),
                                    "roof.footprint")),
                    status.words());
        }
    }
}
