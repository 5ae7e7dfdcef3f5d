package whipsaw.app.web;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Looking;
import whipsaw.app.job.Running;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.catalogue.AttachmentType;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.explore.HoldDownWays;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.survey.HoldDowns;
import whipsaw.core.table.PriceTable;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.units.UnitText;

/** Blocks, blocks with attachments, attachments: the ways to hold an array down, side by side, and taking one. */
@Controller
public class HoldDownController {
    private static final int KEPT = 20;
    private static final String LIMIT = "Added load at most";
    private static final double LEAST_PA = 20;
    private static final double MOST_PA = 20_000;
    private static final String ENTERED = "as entered";

    private final JobService jobs;
    private final Looking looking;
    private final CodeTableService tables;
    private final CatalogueStore catalogue;
    private final Running running;

    /** What a page offered, by its way and what was asked: taking one does not search again. */
    private final Map<String, List<Change>> offered = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, List<Change>> eldest) {
            return size() > KEPT;
        }
    });

    public HoldDownController(
            JobService jobs, Looking looking, CodeTableService tables, CatalogueStore catalogue, Running running) {
        this.jobs = jobs;
        this.looking = looking;
        this.tables = tables;
        this.catalogue = catalogue;
        this.running = running;
    }

    /** An attachment to choose. */
    public record Choice(String code, String words, boolean chosen) {}

    /**
     * One way, in words.
     *
     * @param key of the way; empty where there is nothing to take
     * @param remark why it is not there, or what is proved of it
     */
    public record Column(
            String key,
            String title,
            String remark,
            String load,
            String blocks,
            String weight,
            String attachments,
            String positions,
            String cost,
            List<String> survey,
            List<String> fails,
            List<String> open) {}

    /**
     * @param code of the attachment; empty for what the job has, else the first of the catalogue
     * @param most added load to keep; empty for the roof's allowance
     */
    @GetMapping("/jobs/{slug}/hold-down")
    public String page(
            @PathVariable String slug,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "") String most,
            Model model) {
        JobService.Shown shown = jobs.open(slug);
        Design now = shown.design();
        Job job = now.job();
        model.addAttribute("slug", slug);
        model.addAttribute("standing", jobs.standing(shown));
        model.addAttribute("job", job);
        model.addAttribute("place", looking.place());
        model.addAttribute("base", shown.revision().number());
        model.addAttribute("most", most);
        model.addAttribute("trays", job.roof().takesTrays());
        model.addAttribute(
                "known", now.holdDown().established() && !now.layout().modules().isEmpty());
        if (!job.roof().takesTrays()
                || now.layout().modules().isEmpty()
                || !now.holdDown().established()) {
            return "hold-down";
        }
        UnitSystem units = job.project().units();
        AttachmentType part = part(code, job);
        model.addAttribute("choices", choices(job, part));
        model.addAttribute("part", words(part, job.array().attachments(), units));
        double limit = limit(most, job);
        model.addAttribute("limit", Double.isNaN(limit) ? "" : Show.both(units, Dimension.LOAD, limit));
        String key = slug + '/' + shown.revision().number() + '/' + looking.place() + '/' + code + '/' + most;
        model.addAttribute("columns", columns(new HoldDownWays(now, part, tables.solver()), now, limit, key));
        return "hold-down";
    }

    private static double limit(String most, Job job) {
        if (!most.isBlank()) {
            return asked(most, job.project().units());
        }
        return job.roof().allowance() == null
                ? Double.NaN
                : job.roof().allowance().load().si();
    }

    private static double asked(String typed, UnitSystem units) {
        String example = units == UnitSystem.US ? "6 psf" : "0.3 kPa";
        double pascal;
        try {
            pascal = UnitText.parse(typed, Quantity.PRESSURE, Dimension.LOAD.unit(units))
                    .si();
        } catch (IllegalArgumentException e) {
            throw WorkOutController.refused("$.most", LIMIT, typed, e.getMessage() + ", for example " + example);
        }
        if (!(pascal >= LEAST_PA && pascal <= MOST_PA)) {
            throw WorkOutController.refused(
                    "$.most",
                    LIMIT,
                    typed,
                    "has to lie between " + Show.in(units, Dimension.LOAD, LEAST_PA) + " and "
                            + Show.in(units, Dimension.LOAD, MOST_PA) + ": for example " + example);
        }
        return pascal;
    }

    private AttachmentType part(String code, Job job) {
        ArrayChoice.Attachments entered = job.array().attachments();
        if (code.equals(ENTERED) || code.isEmpty() && entered != null) {
            return entered == null ? null : entered.part();
        }
        return catalogue.ofKind("attachment").stream()
                .filter(e -> code.isEmpty() || e.code().equals(code))
                .findFirst()
                .map(e -> (AttachmentType)
                        JobReader.readEntry("attachment", e.body()).job())
                .orElseThrow(() -> new StoreException("the catalogue has no attachment '" + code + "'"));
    }

    private List<Choice> choices(Job job, AttachmentType chosen) {
        List<Choice> all = new ArrayList<>();
        ArrayChoice.Attachments entered = job.array().attachments();
        if (entered != null && entered.part() == null) {
            all.add(new Choice(ENTERED, "as entered under Hold-down", chosen == null));
        }
        catalogue
                .ofKind("attachment")
                .forEach(e -> all.add(new Choice(
                        e.code(),
                        e.name(),
                        chosen != null && chosen.info().code().equals(e.code()))));
        return all;
    }

    private static String words(AttachmentType part, ArrayChoice.Attachments entered, UnitSystem units) {
        if (part == null) {
            return entered == null
                    ? "none known"
                    : loads(units, entered.tension().si(), entered.shear().si());
        }
        return part.fixing() + ", "
                + loads(units, part.tension().si(), part.shear().si())
                + (part.serves() == null
                        ? ""
                        : ", each for at most "
                                + Show.both(units, Dimension.AREA, part.serves().si()) + " of modules")
                + ". " + (part.basis().isEmpty() ? "No test stated" : "Test: " + part.basis());
    }

    private static String loads(UnitSystem units, double tensionN, double shearN) {
        return Show.both(units, Dimension.FORCE, tensionN) + " up, " + Show.both(units, Dimension.FORCE, shearN)
                + " along";
    }

    private List<Column> columns(HoldDownWays ways, Design now, double limit, String key) {
        List<Column> columns = new ArrayList<>();
        HoldDownWays.Way alone = ways.ballast(false);
        columns.add(column(
                "blocks", "Blocks, position by position", alone, "each position rounded up by itself", now, key));
        HoldDownWays.Way together = ways.ballast(true);
        int saved = together == null
                ? 0
                : together.design().holdDown().connected().aloneBlocks()
                        - together.design().holdDown().blocks();
        columns.add(column(
                "together",
                "Blocks, over connected positions",
                together,
                together == null
                        ? "the tray system has not been shown to share load"
                        : "least total there is, proved: " + Math.abs(saved) + (saved < 0 ? " more" : " fewer")
                                + " than position by position needs",
                now,
                key));
        HoldDownWays.Way attached = ways.attached();
        HoldDownWays.Way mix = ways.fewest(limit, running.begun(""));
        columns.add(column("mix", "Blocks with attachments", mix, mixed(mix, attached, limit), now, key));
        columns.add(column(
                "attached",
                "Attachments alone",
                attached,
                attached == null ? "no attachment in the catalogue" : "no blocks where weight is needed",
                now,
                key));
        return columns;
    }

    private static String mixed(HoldDownWays.Way mix, HoldDownWays.Way attached, double limit) {
        if (attached == null) {
            return "no attachment in the catalogue";
        }
        if (mix == null && Limits.above(attached.design().loads().heaviestPa(), limit)) {
            return "even attachments alone leave more than the added load to keep";
        }
        if (mix == null) {
            return Double.isNaN(limit)
                    ? "give an added load to keep, or enter the roof's allowance"
                    : "none found in time that keeps the added load";
        }
        if (mix.positions() == 0) {
            return "blocks alone keep the added load";
        }
        return mix.proved()
                ? "fewest attachments that keep the added load, proved: " + mix.single()
                        + ", none shared between positions"
                : "fewest attachments found, not proved: " + mix.single()
                        + ", none shared between positions; no mix has fewer than " + mix.atLeast();
    }

    private Column column(String id, String title, HoldDownWays.Way way, String remark, Design now, String key) {
        if (way == null) {
            return new Column("", title, remark, "", "", "", "", "", "", List.of(), List.of(), List.of());
        }
        Design d = way.design();
        UnitSystem units = d.job().project().units();
        PriceTable prices = d.tables().prices();
        int attachments = d.attached() == null ? 0 : d.attached().needed();
        int blocks = d.holdDown().blocks();
        offered.put(key + '/' + id, way.changes());
        boolean same = held(d).equals(held(now));
        return new Column(
                same ? "now" : id,
                title,
                remark,
                Show.both(units, Dimension.LOAD, d.loads().heaviestPa()),
                String.valueOf(blocks),
                Show.both(units, Dimension.MASS, d.holdDown().ballastKg()),
                attachments == 0 ? "none" : String.valueOf(attachments),
                way.positions() == 0 ? "none" : String.valueOf(way.positions()),
                Show.number(blocks * prices.price("block") + attachments * prices.price("attachment"), 0) + " "
                        + prices.currency(),
                survey(d, blocks > 0, attachments > 0),
                headings(d, true),
                headings(d, false));
    }

    /** What lies where, and how it was worked out. */
    private static List<Object> held(Design d) {
        List<Object> held = new ArrayList<>();
        held.add(d.job().array().ballastTogether());
        d.holdDown().positions().forEach(p -> {
            held.add(p.ballast().blocksPlaced());
            held.add(p.ballast().attached());
        });
        return held;
    }

    private static List<String> survey(Design d, boolean blocks, boolean attachments) {
        List<String> words = new ArrayList<>();
        if (blocks) {
            words.add(words("blocks", HoldDowns.of(d.job(), "ballast")));
        }
        if (attachments) {
            String kind = d.job().array().attachments().kind();
            words.add(
                    kind.isEmpty()
                            ? "attachments: fixing method not said"
                            : words(kind + " attachments", HoldDowns.of(d.job(), kind)));
        }
        return words;
    }

    private static String words(String what, HoldDowns.Way way) {
        return what + ": " + way.answer().words() + ", " + way.reason();
    }

    /** Checks of the array and its roof that fail, or that an engineer has to settle. */
    private static List<String> headings(Design d, boolean fails) {
        return d.checks().stream()
                .filter(c -> c.verdict().stops() && fails == (c.verdict() == Verdict.FAILS))
                .map(Check::heading)
                .toList();
    }

    /** Takes a way as one revision. */
    @PostMapping("/jobs/{slug}/hold-down")
    public String take(
            @PathVariable String slug,
            @RequestParam String way,
            @RequestParam int base,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "") String most) {
        List<Change> changes =
                offered.get(slug + '/' + base + '/' + looking.place() + '/' + code + '/' + most + '/' + way);
        if (changes == null) {
            throw new StoreException("what was worked out is no longer at hand: work it out again, then take it");
        }
        jobs.change(
                slug,
                base,
                changes,
                words(way) + ", " + jobs.open(slug).design().job().name());
        String place = looking.place();
        return "redirect:/jobs/" + slug + (place.isEmpty() ? "" : "?array=" + place);
    }

    private static String words(String way) {
        return switch (way) {
            case "blocks" -> "Held by blocks, position by position";
            case "together" -> "Held by blocks over connected positions";
            case "mix" -> "Held by blocks with the fewest attachments";
            default -> "Held by attachments";
        };
    }
}
