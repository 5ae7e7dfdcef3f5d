package whipsaw.app.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.job.JobService;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.StoreException;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentDiff;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.schema.Path;

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

    public PartsController(JobService jobs, CatalogueStore catalogue) {
        this.jobs = jobs;
        this.catalogue = catalogue;
    }

    /**
     * One part of a job.
     *
     * @param edition of the copy
     * @param newest edition in the catalogue; empty when the code is not in it
     * @param differences what taking the newest would change
     */
    public record Part(
            String kind,
            String kindWords,
            String name,
            String edition,
            String newest,
            List<DocumentDiff.Entry> differences) {}

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
                    newest.map(e -> DocumentDiff.between(copy, normal(e))).orElse(List.of())));
        }
        model.addAttribute("slug", slug);
        model.addAttribute("job", shown.design().job());
        model.addAttribute("base", shown.revision().number());
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
}
