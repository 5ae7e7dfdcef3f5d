package whipsaw.app.web;

import java.util.HashMap;
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
import whipsaw.app.job.Signatures;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.SignatureStore;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.schema.Problem;

/** The revisions of a job: all of them, names, comparing two, going back. */
@Controller
public class RevisionController {
    private static final int MOST = 1000;
    private static final int LONGEST_NAME = 80;

    private final JobService jobs;
    private final CodeTableService tables;
    private final CatalogueStore catalogue;
    private final Signatures signatures;

    public RevisionController(
            JobService jobs, CodeTableService tables, CatalogueStore catalogue, Signatures signatures) {
        this.signatures = signatures;
        this.catalogue = catalogue;
        this.jobs = jobs;
        this.tables = tables;
    }

    @GetMapping("/jobs/{slug}/revisions")
    public String all(@PathVariable String slug, Model model) {
        JobService.Shown now = jobs.open(slug);
        model.addAttribute("slug", slug);
        model.addAttribute("job", now.design().job());
        model.addAttribute("latest", now.revision().number());
        model.addAttribute("revisions", jobs.history(slug, MOST));
        model.addAttribute("names", jobs.names(slug));
        Map<Integer, String> signed = new HashMap<>();
        signatures.all(slug).stream()
                .filter(SignatureStore.Signature::counts)
                .forEach(x -> signed.putIfAbsent(x.revision(), x.signer().name()));
        model.addAttribute("signed", signed);
        return "revisions";
    }

    @PostMapping("/jobs/{slug}/revisions/{number}/name")
    public String name(@PathVariable String slug, @PathVariable int number, @RequestParam String name) {
        if (name.strip().length() > LONGEST_NAME) {
            throw new JobService.Refused(List.of(new Problem(
                    "$.name",
                    "Name",
                    name,
                    "is longer than " + LONGEST_NAME + " characters: for example \"as sent to the engineer\"")));
        }
        jobs.name(slug, number, name.strip());
        return "redirect:/jobs/" + slug + "/revisions";
    }

    @PostMapping("/jobs/{slug}/revisions/{number}/return")
    public String goBack(@PathVariable String slug, @PathVariable int number, @RequestParam int base) {
        jobs.goBack(slug, base, number);
        return "redirect:/jobs/" + slug;
    }

    @GetMapping("/jobs/{slug}/compare")
    public String compare(@PathVariable String slug, @RequestParam int from, @RequestParam int to, Model model) {
        JobService.Shown before = jobs.at(slug, Math.min(from, to));
        JobService.Shown after = jobs.at(slug, Math.max(from, to));
        model.addAttribute("slug", slug);
        model.addAttribute("before", before.revision());
        model.addAttribute("after", after.revision());
        model.addAttribute("names", jobs.names(slug));
        InputNames names = new InputNames(
                catalogue,
                tables.tables(),
                after.design().job(),
                before.design().job());
        new Comparison(before.design(), after.design(), names).fill(model);
        return "compare";
    }
}
