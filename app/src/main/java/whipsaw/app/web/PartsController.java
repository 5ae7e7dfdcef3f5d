package whipsaw.app.web;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.entry.InputNames;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Looking;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.design.Design;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentDiff;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;

/** The copies of catalogue entries a job holds, against the catalogue as it is now. */
@Controller
public class PartsController {
    private static final Map<String, Path<?>> PATHS = Map.of(
            "tray-system", JobPaths.ARRAY.to(ArrayChoice::tray),
            "module", JobPaths.ARRAY.to(ArrayChoice::module),
            "block", JobPaths.ARRAY.to(ArrayChoice::block),
            "inverter", JobPaths.ELECTRICAL.to(Electrical::inverter),
            "conductor", JobPaths.RUN.to(Electrical.AcRun::conductor));

    private final JobService jobs;
    private final CatalogueStore catalogue;
    private final CodeTableService tables;
    private final Looking looking;

    public PartsController(JobService jobs, CatalogueStore catalogue, CodeTableService tables, Looking looking) {
        this.looking = looking;
        this.tables = tables;
        this.jobs = jobs;
        this.catalogue = catalogue;
    }

    /**
     * One part of a job.
     *
     * @param edition of the copy
     * @param newest edition in the catalogue; empty when the code is not in it
     * @param differences what taking the newest would change
     * @param others entries of the catalogue it can be swapped for
     */
    public record Part(
            String kind,
            String kindWords,
            String name,
            String edition,
            String newest,
            List<DocumentDiff.Entry> differences,
            List<CatalogueStore.Entry> others) {}

    @GetMapping("/jobs/{slug}/parts")
    public String parts(@PathVariable String slug, Model model) {
        JobService.Shown shown = jobs.open(slug);
        List<Part> parts = new ArrayList<>();
        for (String kind : JobReader.KINDS) {
            if (!PATHS.containsKey(kind)) {
                continue;
            }
            Map<String, Object> copy = copy(shown.design().job(), kind);
            var newest = catalogue.find(kind, String.valueOf(copy.get("code")));
            parts.add(new Part(
                    kind,
                    CatalogueController.KINDS.get(kind),
                    copy.get("maker") + " " + copy.get("name"),
                    String.valueOf(copy.get("edition")),
                    newest.map(CatalogueStore.Entry::edition).orElse(""),
                    newest.map(e -> DocumentDiff.between(copy, normal(e))).orElse(List.of()),
                    kind.equals("conductor")
                            ? List.of()
                            : catalogue.ofKind(kind).stream()
                                    .filter(e -> !e.code().equals(copy.get("code")))
                                    .toList()));
        }
        model.addAttribute("slug", slug);
        model.addAttribute("job", shown.design().job());
        model.addAttribute("base", shown.revision().number());
        model.addAttribute("place", looking.place());
        model.addAttribute("parts", parts);
        return "parts";
    }

    /** The body in the form a job writes it, so that only real differences show. */
    private static Map<String, Object> normal(CatalogueStore.Entry entry) {
        return JobWriter.part(JobReader.readEntry(entry.kind(), entry.body()).job());
    }

    private static Map<String, Object> copy(Job job, String kind) {
        return JobWriter.part(
                switch (kind) {
                    case "tray-system" -> job.array().tray();
                    case "module" -> job.array().module();
                    case "block" -> job.array().block();
                    case "inverter" -> job.electrical().inverter();
                    default -> job.electrical().run().conductor();
                });
    }

    /** Takes the newest edition of one part, as one revision. */
    @PostMapping("/jobs/{slug}/parts")
    public String take(@PathVariable String slug, @RequestParam String kind, @RequestParam int base) {
        if (!PATHS.containsKey(kind)) {
            throw new StoreException("a job has no part '" + kind + "'");
        }
        Map<String, Object> copy = copy(jobs.open(slug).design().job(), kind);
        CatalogueStore.Entry newest = catalogue
                .find(kind, String.valueOf(copy.get("code")))
                .orElseThrow(() -> new StoreException("the catalogue has no '" + copy.get("code") + "' any more"));
        jobs.change(
                slug,
                base,
                List.of(DocumentPatch.Change.set(PATHS.get(kind), newest.body())),
                "Took edition " + newest.edition() + " of " + newest.name());
        return "redirect:/jobs/" + slug + "/parts";
    }

    /** What another part of the catalogue would change before it is taken: figures, checks, and what is delivered. */
    @GetMapping("/jobs/{slug}/parts/swap")
    public String swap(@PathVariable String slug, @RequestParam String kind, @RequestParam String code, Model model) {
        JobService.Shown shown = jobs.open(slug);
        Design now = shown.design();
        CatalogueStore.Entry other = entry(kind, code);
        Map<String, Object> copy = copy(now.job(), kind);
        List<String> also = new ArrayList<>();
        model.addAttribute("slug", slug);
        model.addAttribute("kind", kind);
        model.addAttribute("code", code);
        model.addAttribute("base", shown.revision().number());
        model.addAttribute("place", looking.place());
        model.addAttribute("present", copy.get("name"));
        model.addAttribute("other", other.name());
        model.addAttribute("job", now.job());
        model.addAttribute("also", also);
        try {
            Design then = jobs.preview(slug, swapped(now.job(), other, also)).design();
            InputNames names = new InputNames(catalogue, tables.tables(), then.job(), now.job());
            new Comparison(now, then, names).fill(model);
        } catch (JobService.Refused e) {
            Problem first = e.problems().get(0);
            model.addAttribute("refused", first.label() + " " + first.message());
        }
        return "swap";
    }

    /** Takes another part in place of the one there is, as one revision. */
    @PostMapping("/jobs/{slug}/parts/swap")
    public String take(
            @PathVariable String slug, @RequestParam String kind, @RequestParam String code, @RequestParam int base) {
        CatalogueStore.Entry other = entry(kind, code);
        Job job = jobs.open(slug).design().job();
        jobs.change(
                slug,
                base,
                swapped(job, other, new ArrayList<>()),
                other.name() + " in place of " + copy(job, kind).get("name"));
        return "redirect:/jobs/" + slug + (looking.place().isEmpty() ? "" : "?array=" + looking.place());
    }

    private CatalogueStore.Entry entry(String kind, String code) {
        if (!PATHS.containsKey(kind) || kind.equals("conductor")) {
            throw new StoreException("a job has no part '" + kind + "' that can be swapped");
        }
        return catalogue.find(kind, code).orElseThrow(() -> new StoreException("the catalogue has no '" + code + "'"));
    }

    /** The changes of a swap: a tray system comes with its setting nearest to the tilt there is, and no gap it is not made for. */
    private static List<DocumentPatch.Change> swapped(Job job, CatalogueStore.Entry other, List<String> also) {
        List<DocumentPatch.Change> changes = new ArrayList<>();
        changes.add(DocumentPatch.Change.set(PATHS.get(other.kind()), other.body()));
        if (JobReader.readEntry(other.kind(), other.body()).job() instanceof TraySystem tray) {
            ArrayChoice array = job.array();
            Measure tilt = tray.tilts().stream()
                    .min(Comparator.comparingDouble(
                            t -> Math.abs(t.si() - array.tilt().si())))
                    .orElseThrow();
            if (Math.abs(tilt.si() - array.tilt().si()) > Limits.SLACK) {
                also.add("tilt " + tilt.typed());
                changes.add(DocumentPatch.Change.set(JobPaths.ARRAY.to(ArrayChoice::tilt), tilt.typed()));
            }
            if (array.gap() != null
                    && tray.gaps().stream()
                            .noneMatch(g -> Math.abs(g.si() - array.gap().si()) <= Limits.SLACK)) {
                also.add("gap: smallest without shadow");
                changes.add(DocumentPatch.Change.remove(JobPaths.ARRAY.to(ArrayChoice::gap)));
            }
        }
        return changes;
    }
}
