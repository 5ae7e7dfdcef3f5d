package whipsaw.app.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.job.JobService;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;
import whipsaw.core.table.CodeTable;
import whipsaw.core.working.DataStatus;

/** Code tables and coefficient sets: status, replacing by CSV, confirming by name, the jobs that rest on them. */
@Controller
public class TableController {
    private static final int MOST_DIFFERENCES = 60;

    private final CodeTableService tables;
    private final JobService jobs;

    public TableController(CodeTableService tables, JobService jobs) {
        this.tables = tables;
        this.jobs = jobs;
    }

    /** A job with the tables it rests on that nobody has confirmed. */
    public record Resting(String slug, String name, List<CodeTable> on) {
        public String counts() {
            long invented =
                    on.stream().filter(t -> t.status() == DataStatus.INVENTED).count();
            return (on.size() - invented) + " unconfirmed, " + invented + " invented";
        }
    }

    @GetMapping("/tables")
    public String all(Model model) {
        model.addAttribute("tables", tables.tables().all());
        model.addAttribute("service", tables);
        model.addAttribute("resting", resting(null));
        return "tables";
    }

    private List<Resting> resting(String only) {
        List<Resting> list = new ArrayList<>();
        for (JobStore.Listed listed : jobs.list()) {
            var reading = JobReader.read(listed.document(), false);
            if (!reading.ok()) {
                continue;
            }
            Job job = reading.job();
            List<CodeTable> on = tables.tables().inUse(job).stream()
                    .filter(t -> t.status() != DataStatus.CONFIRMED)
                    .filter(t -> only == null || t.id().equals(only))
                    .toList();
            if (!on.isEmpty()) {
                list.add(new Resting(listed.slug(), listed.name(), on));
            }
        }
        return list;
    }

    @GetMapping("/tables/{id}")
    public String one(@PathVariable String id, Model model) {
        fill(id, model);
        return "table";
    }

    private void fill(String id, Model model) {
        model.addAttribute("table", table(id));
        model.addAttribute("own", tables.own(id));
        model.addAttribute("ships", tables.ships(id));
        model.addAttribute("resting", resting(id));
        model.addAttribute(
                "history",
                tables.history().stream().filter(c -> c.tableId().equals(id)).toList());
    }

    private CodeTable table(String id) {
        if (!tables.tables().has(id)) {
            throw new StoreException("there is no code table '" + id + "'");
        }
        return tables.tables().table(id);
    }

    @GetMapping("/tables/{id}.csv")
    public ResponseEntity<byte[]> csv(@PathVariable String id) {
        return Download.of(id + ".csv", Download.CSV, table(id).csv());
    }

    /** Looks at a table before it is taken. */
    @PostMapping("/tables/preview")
    public String preview(
            @RequestParam String id,
            @RequestParam(defaultValue = "") String title,
            @RequestParam(defaultValue = "") String source,
            @RequestParam(defaultValue = "") String edition,
            @RequestParam(defaultValue = "") String csv,
            @RequestParam(required = false) MultipartFile upload,
            Model model)
            throws IOException {
        boolean chosen = upload != null && !upload.isEmpty();
        String text = chosen ? new String(upload.getBytes(), StandardCharsets.UTF_8) : csv;
        CodeTableService.Preview preview =
                tables.preview(id.strip(), title.strip(), source.strip(), edition.strip(), text);
        int all = preview.differences().size();
        model.addAttribute("id", id);
        model.addAttribute("title", title);
        model.addAttribute("source", source);
        model.addAttribute("edition", edition);
        model.addAttribute("csv", text);
        model.addAttribute("preview", preview);
        model.addAttribute("differences", preview.differences().subList(0, Math.min(all, MOST_DIFFERENCES)));
        model.addAttribute("more", Math.max(0, all - MOST_DIFFERENCES));
        return "table-preview";
    }

    /** Takes a table; it is looked at again first. */
    @PostMapping("/tables/{id}")
    public String replace(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String title,
            @RequestParam String source,
            @RequestParam String edition,
            @RequestParam String who,
            @RequestParam String csv) {
        name(who);
        CodeTableService.Preview preview = tables.preview(id, title, source, edition, csv);
        if (!preview.ok()) {
            throw new JobService.Refused(preview.problems().stream()
                    .map(p -> new Problem("$", "Table " + id, "", p))
                    .toList());
        }
        tables.replace(preview.table(), who.strip());
        return "redirect:/tables/" + id;
    }

    @PostMapping("/tables/{id}/confirm")
    public String confirm(@PathVariable String id, @RequestParam String who, @RequestParam String against) {
        table(id);
        name(who);
        if (against.isBlank() || against.length() > 200) {
            throw new JobService.Refused(List.of(new Problem(
                    "$.against",
                    "Checked against",
                    against,
                    "is missing or too long: name the printed edition, for example ASCE 7-16, second printing")));
        }
        tables.confirm(id, who.strip(), against.strip());
        return "redirect:/tables/" + id;
    }

    @PostMapping("/tables/{id}/withdraw")
    public String withdraw(@PathVariable String id, @RequestParam String who) {
        table(id);
        name(who);
        tables.withdraw(id, who.strip());
        return "redirect:/tables" + (tables.tables().has(id) ? "/" + id : "");
    }

    private static void name(String who) {
        if (who.isBlank() || who.length() > 80) {
            throw new JobService.Refused(
                    List.of(
                            new Problem(
                                    "$.who",
                                    "Your name",
                                    who,
                                    "is missing or too long: a table is changed and confirmed by a named person, for example J. Alder PE")));
        }
    }
}
