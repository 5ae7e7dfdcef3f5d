package whipsaw.app.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import whipsaw.app.drawing.SmallDrawing;
import whipsaw.app.entry.InputNames;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Looking;
import whipsaw.app.job.OptionSearch;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.build.Counts;
import whipsaw.core.design.Design;
import whipsaw.core.explore.Tried;
import whipsaw.core.schema.Problem;
import whipsaw.core.table.PriceTable;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/** The field of options of an array: worked out beside the page, drawn, looked at one by one, and taken. */
@Controller
public class OptionsController {
    private final JobService jobs;
    private final OptionSearch options;
    private final Looking looking;
    private final CodeTableService tables;
    private final CatalogueStore catalogue;
    private final PriceTable prices;

    public OptionsController(
            JobService jobs, OptionSearch options, Looking looking, CodeTableService tables, CatalogueStore catalogue) {
        this.tables = tables;
        this.catalogue = catalogue;
        this.jobs = jobs;
        this.options = options;
        this.looking = looking;
        this.prices = tables.tables().prices();
    }

    /** A tray system or module to choose. */
    public record Choice(String code, String name, boolean now) {}

    @GetMapping("/jobs/{slug}/options")
    public String page(@PathVariable String slug, Model model) {
        JobService.Shown shown = jobs.open(slug);
        Design design = shown.design();
        String tray = design.job().array().tray().info().code();
        String module = design.job().array().module().info().code();
        model.addAttribute("slug", slug);
        model.addAttribute("job", design.job());
        model.addAttribute("place", looking.place());
        model.addAttribute(
                "trays",
                options.trays(design).stream()
                        .map(t -> new Choice(
                                t.info().code(),
                                t.info().maker() + " " + t.info().name(),
                                t.info().code().equals(tray)))
                        .toList());
        model.addAttribute(
                "modules",
                options.modules(design).stream()
                        .map(m -> new Choice(
                                m.info().code(),
                                m.info().maker() + " " + m.info().name(),
                                m.info().code().equals(module)))
                        .toList());
        model.addAttribute("year", YearWords.of(design));
        model.addAttribute("occupants", design.job().survey().occupants().size());
        model.addAttribute("prices", prices.table().status().words());
        return "options";
    }

    @PostMapping("/jobs/{slug}/options")
    @ResponseBody
    public Map<String, Object> begin(@PathVariable String slug, @RequestBody OptionSearch.Wanted wanted) {
        OptionSearch.Search search = options.begin(slug, wanted);
        UnitSystem units = search.design().job().project().units();
        Unit load = Dimension.LOAD.unit(units);
        Unit part = Dimension.PART_LENGTH.unit(units);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("id", search.id());
        answer.put("total", search.size());
        answer.put("now", point(search.present(), search.present(), load, part));
        answer.put("loadUnit", load.symbol());
        answer.put("gapUnit", part.symbol());
        answer.put("currency", prices.currency());
        return answer;
    }

    /**
     * What has come since the page last asked.
     *
     * @param have how many options the page has
     */
    @GetMapping("/jobs/{slug}/options/{id}")
    @ResponseBody
    public Map<String, Object> progress(
            @PathVariable String slug, @PathVariable String id, @RequestParam(defaultValue = "0") int have) {
        OptionSearch.Search search = options.search(slug, id);
        UnitSystem units = search.design().job().project().units();
        Unit load = Dimension.LOAD.unit(units);
        Unit part = Dimension.PART_LENGTH.unit(units);
        boolean ended = search.ended();
        List<Tried> news = search.since(have);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("ended", ended);
        answer.put("failed", search.failed());
        answer.put(
                "options",
                news.stream().map(t -> point(t, search.present(), load, part)).toList());
        return answer;
    }

    @PostMapping("/jobs/{slug}/options/{id}/stop")
    @ResponseBody
    public Map<String, Object> stop(@PathVariable String slug, @PathVariable String id) {
        OptionSearch.Search search = options.search(slug, id);
        search.stop();
        return Map.of("done", search.done());
    }

    private static Map<String, Object> point(Tried t, Tried now, Unit load, Unit part) {
        Map<String, Object> p = new LinkedHashMap<>();
        p.put("n", t.option().number());
        p.put("tray", t.option().tray().info().code());
        p.put("module", t.option().module().info().code());
        p.put("words", t.option().words());
        if (!t.possible()) {
            p.put("reason", t.reason());
            return p;
        }
        p.put("modules", t.modules());
        p.put("gap", part.fromSi(t.gapM()));
        p.put("tilt", t.option().tilt().si());
        p.put("coverage", t.coverage());
        p.put("shadeFree", t.shadeFreeDeg());
        p.put("kwp", t.kwp());
        p.put("kwh", t.kwh());
        p.put("kwhPerModule", t.kwhPerModule());
        p.put("used", t.usedKwh());
        p.put("usedShare", t.usedShare());
        p.put("blocks", t.blocks() < 0 ? null : t.blocks());
        p.put("load", known(load.fromSi(t.loadPa())));
        p.put("cost", known(t.cost()));
        p.put("payback", known(t.paybackYears()));
        p.put("fails", t.fails().size());
        p.put("failed", t.fails());
        p.put("attachments", t.attachments());
        p.put("more", more(t, now).size());
        return p;
    }

    private static Double known(double value) {
        return Double.isFinite(value) ? value : null;
    }

    /** Checks that need an engineer or an answer, and do not now. */
    private static List<String> more(Tried then, Tried now) {
        List<String> more = new ArrayList<>(then.open());
        now.open().forEach(more::remove);
        return more;
    }

    /** One option looked at: its figures against those of the job, what fails, its drawing. */
    @GetMapping("/jobs/{slug}/options/{id}/{number}")
    public String option(@PathVariable String slug, @PathVariable String id, @PathVariable int number, Model model) {
        OptionSearch.Search search = options.search(slug, id);
        Tried t = search.option(number);
        Design then = search.with(t);
        model.addAttribute("slug", slug);
        model.addAttribute("id", id);
        model.addAttribute("option", t);
        model.addAttribute("more", more(t, search.present()));
        model.addAttribute("base", search.base());
        model.addAttribute("latest", jobs.open(slug).revision().number());
        model.addAttribute("place", looking.place());
        if (then != null) {
            model.addAttribute(
                    "rows",
                    TriedRows.of(
                            search.present(), t, search.design().job().project().units(), prices.currency()));
            model.addAttribute("orders", orders(search.design(), then));
            model.addAttribute("drawing", SmallDrawing.of(then));
        }
        return "option :: card";
    }

    /**
     * One option and another, or the job as it is, side by side.
     *
     * @param with number of the other; 0 for the job as it is
     */
    @GetMapping("/jobs/{slug}/options/{id}/{number}/compare")
    public String compare(
            @PathVariable String slug,
            @PathVariable String id,
            @PathVariable int number,
            @RequestParam(defaultValue = "0") int with,
            Model model) {
        OptionSearch.Search search = options.search(slug, id);
        Tried one = search.option(number);
        Tried other = with == 0 ? null : search.option(with);
        Design then = search.with(one);
        Design before = other == null ? search.design() : search.with(other);
        if (then == null || before == null) {
            Tried never = then == null ? one : other;
            throw refused(never, "cannot be built: " + never.reason());
        }
        model.addAttribute("slug", slug);
        model.addAttribute("id", id);
        model.addAttribute("number", number);
        model.addAttribute("with", with);
        model.addAttribute("place", looking.place());
        model.addAttribute(
                "left",
                other == null
                        ? "the job as it is"
                        : "option " + with + ": " + other.option().words());
        model.addAttribute("right", "option " + number + ": " + one.option().words());
        new Comparison(before, then, new InputNames(catalogue, tables.tables(), then.job(), before.job())).fill(model);
        return "option-compare";
    }

    /** What of the order list differs, with what is no longer wanted and what is new. */
    private static List<TriedRows.Row> orders(Design now, Design then) {
        Map<String, TriedRows.Row> rows = new LinkedHashMap<>();
        for (Counts.Line line : now.counts().lines()) {
            rows.put(line.item(), new TriedRows.Row(line.item(), line.quantity(), "none"));
        }
        for (Counts.Line line : then.counts().lines()) {
            TriedRows.Row was = rows.get(line.item());
            rows.put(line.item(), new TriedRows.Row(line.item(), was == null ? "none" : was.now(), line.quantity()));
        }
        return rows.values().stream().filter(r -> !r.now().equals(r.then())).toList();
    }

    /** Takes an option as one revision. */
    @PostMapping("/jobs/{slug}/options/{id}/{number}/take")
    public String take(@PathVariable String slug, @PathVariable String id, @PathVariable int number) {
        OptionSearch.Search search = options.search(slug, id);
        Tried t = search.option(number);
        if (!t.possible()) {
            throw refused(t, "cannot be built: " + t.reason());
        }
        if (jobs.open(slug).revision().number() != search.base()) {
            throw refused(
                    t, "is of revision " + search.base() + " and the job has changed: work the options out again");
        }
        jobs.change(
                slug,
                search.base(),
                t.option().changes(),
                "Option taken: " + t.option().words());
        String place = looking.place();
        return "redirect:/jobs/" + slug + (place.isEmpty() ? "" : "?array=" + place);
    }

    private static JobService.Refused refused(Tried t, String message) {
        return new JobService.Refused(
                List.of(new Problem("$.options", "Option", t.option().words(), message)));
    }
}
