package whipsaw.app.web;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.entry.InputNames;
import whipsaw.app.job.JobService;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.check.Check;
import whipsaw.core.design.Design;
import whipsaw.core.design.DesignChange;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.DocumentDiff;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobWriter;
import whipsaw.core.schema.Problem;

/** The revisions of a job: all of them, names, comparing two, going back. */
@Controller
public class RevisionController {
    private static final int MOST = 1000;
    private static final int LONGEST_NAME = 80;

    private final JobService jobs;
    private final CodeTableService tables;
    private final CatalogueStore catalogue;

    public RevisionController(JobService jobs, CodeTableService tables, CatalogueStore catalogue) {
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

    /** A figure before and after. */
    public record Pair(String name, String before, String after) {
        public boolean same() {
            return before.equals(after);
        }
    }

    @GetMapping("/jobs/{slug}/compare")
    public String compare(@PathVariable String slug, @RequestParam int from, @RequestParam int to, Model model) {
        JobService.Shown before = jobs.at(slug, Math.min(from, to));
        JobService.Shown after = jobs.at(slug, Math.max(from, to));
        DesignChange change = DesignChange.between(before.design(), after.design());
        model.addAttribute("slug", slug);
        model.addAttribute("job", after.design().job());
        model.addAttribute("before", before.revision());
        model.addAttribute("after", after.revision());
        model.addAttribute("names", jobs.names(slug));
        model.addAttribute("change", change);
        model.addAttribute("figures", figures(before.design(), after.design()));
        model.addAttribute("checks", checks(before.design(), after.design()));
        model.addAttribute("inputs", inputs(before.design(), after.design()));
        model.addAttribute("planBefore", PlanDrawing.forComparison(before.design(), List.of(), before.design()));
        model.addAttribute("planAfter", PlanDrawing.forComparison(after.design(), change.changed(), before.design()));
        return "compare";
    }

    private List<Pair> figures(Design before, Design after) {
        var a = Totals.of(before, new Figures(before, tables.tables()).status()).cells();
        var b = Totals.of(after, new Figures(after, tables.tables()).status()).cells();
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < b.size(); i++) {
            pairs.add(new Pair(b.get(i).name(), words(a.get(i)), words(b.get(i))));
        }
        return pairs;
    }

    private static String words(Totals.Cell cell) {
        return cell.value() + ", " + cell.other();
    }

    private static List<Pair> checks(Design before, Design after) {
        List<Pair> pairs = new ArrayList<>();
        for (Check check : after.checks()) {
            Pair pair = new Pair(check.heading(), said(before, check), said(after, check));
            if (!pair.same()) {
                pairs.add(pair);
            }
        }
        for (Check check : before.checks()) {
            if (after.checks().stream().noneMatch(c -> same(c, check))) {
                pairs.add(new Pair(check.heading(), said(before, check), "does not arise"));
            }
        }
        return pairs;
    }

    private static boolean same(Check a, Check b) {
        return a.id().equals(b.id()) && a.where().equals(b.where());
    }

    private static String said(Design design, Check check) {
        return design.checks().stream()
                .filter(c -> same(c, check))
                .map(c -> c.verdict().mark() + " " + c.verdict().words() + ": " + c.sum())
                .findFirst()
                .orElse("does not arise");
    }

    private List<Pair> inputs(Design before, Design after) {
        InputNames names = new InputNames(catalogue, tables.tables(), after.job(), before.job());
        return DocumentDiff.between(JobWriter.write(before.job()), JobWriter.write(after.job())).stream()
                .filter(e -> !e.path()
                        .startsWith(
                                JobPaths.DOCUMENT.to(JobDocument::codeTables).toString()))
                .map(e -> new Pair(names.name(e.path()), e.before(), e.after()))
                .toList();
    }
}
