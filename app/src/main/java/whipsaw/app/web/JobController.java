package whipsaw.app.web;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import whipsaw.app.drawing.Drawings;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.drawing.SectionDrawing;
import whipsaw.app.entry.EntryForm;
import whipsaw.app.entry.FaceWords;
import whipsaw.app.entry.StructureEntry;
import whipsaw.app.help.Guide;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Reports;
import whipsaw.app.job.Running;
import whipsaw.app.job.Suggested;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.design.Design;
import whipsaw.core.design.Stage;
import whipsaw.core.design.WaysOut;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Outline;
import whipsaw.core.roof.SizeText;
import whipsaw.core.working.DataStatus;

/** The work surface of a job. */
@Controller
public class JobController {
    private static final int MOST_CHANGES = 50;
    private static final int HISTORY = 12;

    private final JobService jobs;
    private final CatalogueStore catalogue;
    private final CodeTableService tables;
    private final Reports reports;
    private final Suggested suggested;
    private final Running running;
    private final Drawings drawings;

    public JobController(
            JobService jobs,
            CatalogueStore catalogue,
            CodeTableService tables,
            Reports reports,
            Suggested suggested,
            Running running,
            Drawings drawings) {
        this.drawings = drawings;
        this.suggested = suggested;
        this.running = running;
        this.reports = reports;
        this.jobs = jobs;
        this.catalogue = catalogue;
        this.tables = tables;
    }

    @GetMapping("/jobs/{slug}")
    public String open(
            @PathVariable String slug,
            @RequestParam(defaultValue = "false") boolean guide,
            @RequestParam(defaultValue = "") String report,
            Model model) {
        model.addAttribute("guideOpen", guide);
        model.addAttribute("told", String.join("\n", reports.take(report)));
        fill(model, jobs.open(slug));
        model.addAttribute("history", jobs.history(slug, HISTORY));
        return "job";
    }

    /** A change as posted by the page. */
    public record ChangeRequest(
            int base, boolean preview, boolean soon, String key, List<DocumentPatch.Change> changes) {}

    /** A key of a request as pages make them; anything else is none. */
    private static String key(Map<String, Object> body) {
        return body != null && body.get("key") instanceof String k && k.matches("[a-z0-9]{16,40}") ? k : null;
    }

    @PostMapping(path = "/jobs/{slug}/change", consumes = "application/json")
    public String change(@PathVariable String slug, @RequestBody Map<String, Object> body, Model model) {
        ChangeRequest request = request(body);
        if (request.preview()) {
            JobService.Shown shown = jobs.preview(slug, request.changes());
            fillTotals(model, shown, Totals.soon(shown.design(), status(shown), "when dropped"));
            model.addAttribute(
                    "plan",
                    PlanDrawing.forPreview(shown.design(), shown.change().changed()));
            return "job :: preview";
        }
        JobService.Shown made = jobs.change(
                slug,
                new JobService.Asked(request.base(), suggested.words(slug, body.get("changes")), request.key()),
                request.changes());
        if (request.soon()) {
            fillTotals(model, made, Totals.soon(made.design(), status(made), "in a moment"));
            model.addAttribute(
                    "plan", PlanDrawing.forPreview(made.design(), made.change().changed()));
            return "job :: preview";
        }
        fill(model, made);
        model.addAttribute("history", jobs.history(slug, HISTORY));
        return "job :: swaps";
    }

    /** The whole bench after a change whose drawing and totals came first. */
    @GetMapping("/jobs/{slug}/bench")
    public String bench(@PathVariable String slug, @RequestParam int from, Model model) {
        fill(model, jobs.openSince(slug, from));
        model.addAttribute("history", jobs.history(slug, HISTORY));
        return "job :: swaps";
    }

    @PostMapping("/jobs/{slug}/undo")
    public String undo(
            @PathVariable String slug, @RequestBody(required = false) Map<String, Object> body, Model model) {
        return stepped(slug, true, body, model);
    }

    @PostMapping("/jobs/{slug}/redo")
    public String redo(
            @PathVariable String slug, @RequestBody(required = false) Map<String, Object> body, Model model) {
        return stepped(slug, false, body, model);
    }

    /** What came after a revision, for windows that show it: number, words and who, the oldest first. */
    @GetMapping("/jobs/{slug}/news")
    @ResponseBody
    public List<Map<String, Object>> news(@PathVariable String slug, @RequestParam int after) {
        return jobs.news(slug, after).stream()
                .map(r -> Map.<String, Object>of("number", r.number(), "words", r.words(), "who", r.who()))
                .toList();
    }

    private String stepped(String slug, boolean back, Map<String, Object> body, Model model) {
        int base = body != null && body.get("base") instanceof Number n ? n.intValue() : -1;
        boolean agreed = body != null && Boolean.TRUE.equals(body.get("agreed"));
        fill(model, jobs.step(slug, back, base, agreed, key(body)));
        model.addAttribute("history", jobs.history(slug, HISTORY));
        return "job :: swaps";
    }

    /** Ways out of a check, each solved on a copy. */
    @GetMapping("/jobs/{slug}/ways")
    public String ways(
            @PathVariable String slug,
            @RequestParam String check,
            @RequestParam(defaultValue = "") String ask,
            Model model) {
        JobService.Ways ways = jobs.waysOut(slug, check, running.begun(ask));
        ways.ways().forEach(w -> suggested.offer(slug, Offered.changes(w), w.words()));
        model.addAttribute("cut", ways.cut());
        model.addAttribute("ways", ways.ways().stream().map(Offered::of).toList());
        model.addAttribute("advice", ways.advice());
        return "ways :: ways";
    }

    /** The page no longer waits for the ways out it asked for. */
    @PostMapping(path = "/stop", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    public void stop(@RequestBody Map<String, Object> body) {
        running.stop(String.valueOf(body.getOrDefault("ask", "")));
    }

    /** A way out as the page shows it, with the change it would post. */
    public record Offered(
            String words,
            String outcome,
            String effect,
            String cost,
            String spoils,
            boolean clears,
            boolean clean,
            String changes) {
        private static Map<String, Object> change(DocumentPatch.Change c) {
            Map<String, Object> change = new LinkedHashMap<>();
            change.put("op", c.op());
            change.put("path", c.path());
            change.put("value", c.value());
            return change;
        }

        static List<Map<String, Object>> changes(WaysOut.Way way) {
            return way.changes().stream().map(Offered::change).toList();
        }

        static Offered of(WaysOut.Way way) {
            return new Offered(
                    way.words(),
                    way.outcome(),
                    String.join(", ", way.effect()),
                    way.cost(),
                    String.join(", ", way.spoils()),
                    way.clears(),
                    way.clean(),
                    Json.write(changes(way)));
        }
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
        boolean soon = Boolean.TRUE.equals(body.get("soon"));
        return new ChangeRequest(base, Boolean.TRUE.equals(body.get("preview")), soon, key(body), changes);
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
        if (value instanceof Map<?, ?> map) {
            Map<String, Object> own = new LinkedHashMap<>();
            map.forEach((key, part) -> own.put(String.valueOf(key), fromCatalogue(part)));
            return own;
        }
        return value;
    }

    /** The fields of one group, opened or not. */
    @GetMapping("/jobs/{slug}/fields")
    public String fields(@PathVariable String slug, @RequestParam String path, Model model) {
        Design design = jobs.open(slug).design();
        EntryForm.Group group = EntryForm.of(design, catalogue, tables.tables()).stream()
                .flatMap(s -> s.groups().stream())
                .filter(g -> g.shut()
                        ? g.common().equals(path)
                        : g.inputs().stream().anyMatch(i -> i.path().startsWith(path + ".")))
                .findFirst()
                .orElseThrow(() -> new StoreException("there are no fields at '" + path + "' in this job"));
        model.addAttribute("g", group);
        return "group :: group(g=${g})";
    }

    private void fill(Model model, JobService.Shown shown) {
        model.addAttribute("standing", jobs.standing(shown));
        fillTotals(model, shown, Totals.of(shown.design(), status(shown)));
        Design design = shown.design();
        // drawing takes as long as all the rest together
        Drawings.Drawn drawn = drawings.of(design);
        CompletableFuture<String> plan =
                CompletableFuture.supplyAsync(() -> drawn.plan(shown.change().changed()));
        model.addAttribute("entry", EntryForm.of(design, catalogue, tables.tables()));
        model.addAttribute("tape", EntryForm.tape(design.job()));
        boolean compass = design.job().roof().outline() instanceof Outline.Taped taped
                && taped.closing() == Outline.Closing.COMPASS;
        model.addAttribute("drawn", design.job().roof().outline() instanceof Outline.Drawn);
        model.addAttribute("siteSizes", SizeText.write(design.job().roof().sizes()));
        model.addAttribute("tapeClosing", compass ? "compass" : "fit");
        model.addAttribute("faceWords", FaceWords.of(design));
        model.addAttribute("guide", Guide.of(design));
        if (!model.containsAttribute("guideOpen")) {
            model.addAttribute("guideOpen", false);
        }
        model.addAttribute("stages", Stage.marks(design));
        Map<String, String> stageOf = new HashMap<>();
        design.checks().forEach(c -> stageOf.put(c.id(), Stage.of(c).key()));
        model.addAttribute("stageOf", stageOf);
        model.addAttribute("structureNew", StructureEntry.additions(design.job()));
        model.addAttribute("things", EntryForm.Option.list(things(design), ""));
        model.addAttribute("canRedo", jobs.canRedo(shown.slug()));
        model.addAttribute("canUndo", shown.revision().shows() > 1);
        model.addAttribute("names", jobs.names(shown.slug()));
        model.addAttribute("section", drawn.section());
        model.addAttribute("sun", drawn.sun());
        model.addAttribute("sunDay", SectionDrawing.day(drawn.sun()));
        model.addAttribute("sunHour", SectionDrawing.hour(drawn.sun()));
        model.addAttribute("sunWords", drawn.sunWords());
        model.addAttribute("stamp", drawn.stamp());
        model.addAttribute("data", drawn.data());
        model.addAttribute("plan", plan.join());
    }

    private static List<EntryForm.Option> things(Design design) {
        return design.job().roof().obstructions().stream()
                .map(o -> new EntryForm.Option(o.id(), o.name()))
                .toList();
    }

    private DataStatus status(JobService.Shown shown) {
        return new Figures(shown.design(), tables.tables()).status();
    }

    private static void fillTotals(Model model, JobService.Shown shown, Totals totals) {
        Design design = shown.design();
        model.addAttribute("slug", shown.slug());
        model.addAttribute("revision", shown.revision());
        model.addAttribute("design", design);
        model.addAttribute("job", design.job());
        model.addAttribute("places", Places.of(design));
        model.addAttribute("handWords", HandAsk.done(design.job().array().byHand()));
        model.addAttribute("change", shown.change());
        model.addAttribute("totals", totals);
    }
}
