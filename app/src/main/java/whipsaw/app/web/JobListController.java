package whipsaw.app.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobCards;
import whipsaw.app.job.JobService;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.Json;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.schema.Problem;

/** The list of jobs: start, read, open, rename, duplicate, put away, search. */
@Controller
public class JobListController {
    private final JobService jobs;
    private final JobCards cards;

    public JobListController(JobService jobs, JobCards cards) {
        this.jobs = jobs;
        this.cards = cards;
    }

    /** A job with its small drawing and main figures. */
    public record Row(JobStore.Listed job, JobCards.Card card) {}

    @GetMapping("/")
    public String list(
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "false") boolean archived,
            Model model) {
        String wanted = find.strip().toLowerCase(Locale.ROOT);
        List<Row> rows = new ArrayList<>();
        int away = 0;
        for (JobStore.Listed job : jobs.list()) {
            away += job.archived() ? 1 : 0;
            boolean found =
                    (job.name() + " " + job.place()).toLowerCase(Locale.ROOT).contains(wanted);
            if (found && job.archived() == archived) {
                rows.add(new Row(job, cards.of(job)));
            }
        }
        model.addAttribute("rows", rows);
        model.addAttribute("find", find);
        model.addAttribute("archived", archived);
        model.addAttribute("away", away);
        return "jobs";
    }

    /** A new job from the shipped start of a code family, everything in it marked as assumed. */
    @PostMapping("/jobs")
    public String create(
            @RequestParam String name, @RequestParam String units, @RequestParam(defaultValue = "asce") String family) {
        Map<String, Object> document = Seeds.newJob(family.equals("en") ? "en" : "asce");
        @SuppressWarnings("unchecked")
        Map<String, Object> project = (Map<String, Object>) document.get("project");
        project.put("name", name);
        project.put("units", units);
        return "redirect:/jobs/" + jobs.create(jobs.accept(document, false)) + "?guide=true";
    }

    /** A job file, chosen or pasted. */
    @PostMapping("/jobs/import")
    public String importFile(
            @RequestParam(defaultValue = "") String file, @RequestParam(required = false) MultipartFile upload)
            throws IOException {
        boolean chosen = upload != null && !upload.isEmpty();
        String text = chosen ? new String(upload.getBytes(), StandardCharsets.UTF_8) : file;
        if (text.isBlank()) {
            throw new JobService.Refused(
                    List.of(new Problem("$", "Job file", "", "is missing: choose a file or paste its text")));
        }
        return "redirect:/jobs/" + jobs.take(jobs.accept(Json.object(text), false));
    }

    @PostMapping("/jobs/{slug}/rename")
    public String rename(@PathVariable String slug, @RequestParam String name) {
        jobs.change(
                slug,
                jobs.open(slug).revision().number(),
                List.of(DocumentPatch.Change.set(JobPaths.PROJECT.to(Job.Project::name), name)));
        return "redirect:/";
    }

    @PostMapping("/jobs/{slug}/duplicate")
    public String duplicate(@PathVariable String slug, @RequestParam String name) {
        return "redirect:/jobs/" + jobs.duplicate(slug, name);
    }

    @PostMapping("/jobs/{slug}/archive")
    public String archive(@PathVariable String slug, @RequestParam boolean away) {
        jobs.archive(slug, away);
        return "redirect:/" + (away ? "" : "?archived=true");
    }
}
