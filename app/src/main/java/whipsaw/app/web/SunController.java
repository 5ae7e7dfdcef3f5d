package whipsaw.app.web;

import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.drawing.ShadeMap;
import whipsaw.app.drawing.SunPathDrawing;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Looking;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ModuleShade;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.design.ModuleEdits;
import whipsaw.core.design.Solver;
import whipsaw.core.design.WorthlessModules;
import whipsaw.core.explore.Explorer;
import whipsaw.core.explore.LastModules;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobReader;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/** Sun and shade of an array: the sun's path, shadows by the hour, how much each module is shaded, and what to leave out. */
@Controller
public class SunController {
    /** From so many per cent of a year's direct sun on a module is toned darker. */
    private static final double[] YEAR_STEPS = {0.5, 1, 2, 5, 10, 20};

    /** The same of hours of a day. */
    private static final double[] DAY_STEPS = {0.25, 1, 2, 3, 4, 6};

    private static final int FIRST_HOUR = 6;
    private static final int LAST_HOUR = 18;

    private final JobService jobs;
    private final Looking looking;
    private final CodeTableService tables;

    public SunController(JobService jobs, Looking looking, CodeTableService tables) {
        this.jobs = jobs;
        this.looking = looking;
        this.tables = tables;
    }

    /** A day to choose. */
    public record Day(int day, String name) {}

    /** Shadow of a thing hour by hour, in words; empty while the sun is down. */
    public record Shadow(String name, List<String> lengths) {}

    /** A tone of the map. */
    public record Tone(int tone, String words, int modules) {}

    /**
     * @param day of the year the shadows are of; 0 for the shortest
     * @param map {@code year} for the share of the year's direct sun, {@code day} for hours of that day
     * @param lose leave out modules that lose more than so many per cent; empty for none
     * @param dc or as many as leave no more than so many kW of the array
     * @param least what the last modules add is looked at: each has to add so many kWh a year; empty for not
     */
    @GetMapping("/jobs/{slug}/sun")
    public String page(
            @PathVariable String slug,
            @RequestParam(defaultValue = "0") int day,
            @RequestParam(defaultValue = "year") String map,
            @RequestParam(defaultValue = "") String lose,
            @RequestParam(defaultValue = "") String dc,
            @RequestParam(defaultValue = "") String least,
            Model model) {
        JobService.Shown shown = jobs.open(slug);
        Design design = shown.design();
        double latitude = design.job().site().latitude().si();
        int of = day < 1 || day > 365 ? SolarTime.shortestDay(latitude) : day;
        model.addAttribute("slug", slug);
        model.addAttribute("job", design.job());
        model.addAttribute("place", looking.place());
        model.addAttribute("base", shown.revision().number());
        model.addAttribute("placed", !design.layout().modules().isEmpty());
        model.addAttribute("flat", design.job().roof().fabric().flat());
        model.addAttribute("day", of);
        model.addAttribute("days", days(latitude));
        model.addAttribute("map", map);
        model.addAttribute("path", SunPathDrawing.of(design));
        model.addAttribute("hours", hours());
        model.addAttribute(
                "unit",
                Dimension.ROOF_LENGTH.unit(design.job().project().units()).symbol());
        model.addAttribute("shadows", shadows(design, of));
        model.addAttribute("lose", lose);
        model.addAttribute("dc", dc);
        model.addAttribute("least", least);
        if (design.layout().modules().isEmpty()) {
            return "sun";
        }
        boolean ofYear = !map.equals("day");
        double[] values =
                ofYear ? percent(design.shade().yearShare()) : design.shade().hoursOfDay(of, 0, 24);
        double[] steps = ofYear ? YEAR_STEPS : DAY_STEPS;
        model.addAttribute(
                "drawing",
                ShadeMap.of(design, values, steps, ofYear ? "Share of the year's direct sun lost" : "Hours in shade"));
        model.addAttribute("tones", tones(values, steps, ofYear ? " %" : " h"));
        List<ArrayLayout.Module> out = out(design, lose, dc);
        if (out != null) {
            tradeOff(model, design, out);
        }
        if (!least.isBlank()) {
            lastModules(model, design, number("$.least", "Energy a module adds, kWh", least, 0, 2000, "300"));
        }
        return "sun";
    }

    private static double[] percent(double[] shares) {
        double[] all = new double[shares.length];
        for (int i = 0; i < all.length; i++) {
            all[i] = Double.isFinite(shares[i]) ? 100 * shares[i] : 0;
        }
        return all;
    }

    private static List<Day> days(double latitude) {
        List<Day> days = new ArrayList<>();
        days.add(new Day(SolarTime.shortestDay(latitude), "shortest day"));
        for (int month = 1; month <= 12; month++) {
            int day = LocalDate.of(2025, month, 21).getDayOfYear();
            if (day != days.get(0).day()) {
                days.add(new Day(day, "21 " + Month.of(month).getDisplayName(TextStyle.SHORT, Locale.UK)));
            }
        }
        return days;
    }

    private static List<String> hours() {
        List<String> hours = new ArrayList<>();
        for (int h = FIRST_HOUR; h <= LAST_HOUR; h++) {
            hours.add(h + ":00");
        }
        return hours;
    }

    private static List<Shadow> shadows(Design design, int day) {
        Unit unit = Dimension.ROOF_LENGTH.unit(design.job().project().units());
        Map<String, List<String>> lengths = new LinkedHashMap<>();
        ModuleShade shade = design.shade();
        shade.things().forEach(t -> lengths.put(t.name(), new ArrayList<>()));
        for (int h = FIRST_HOUR; h <= LAST_HOUR; h++) {
            ModuleShade.Hour hour = shade.at(day, h);
            lengths.values().forEach(l -> l.add(""));
            for (ModuleShade.Shadow s : hour.shadows()) {
                List<String> own = lengths.get(s.thing().name());
                own.set(
                        own.size() - 1,
                        Show.number(unit.fromSi(s.lengthM()), 1)
                                + (s.modules().isEmpty()
                                        ? ""
                                        : " ▪" + s.modules().cardinality()));
            }
        }
        List<Shadow> all = new ArrayList<>();
        lengths.forEach((name, l) -> all.add(new Shadow(name, l)));
        return all;
    }

    private static List<Tone> tones(double[] values, double[] steps, String unit) {
        List<Tone> tones = new ArrayList<>();
        for (int i = 0; i <= steps.length; i++) {
            double from = i == 0 ? 0 : steps[i - 1];
            double to = i == steps.length ? Double.POSITIVE_INFINITY : steps[i];
            int count = 0;
            for (double v : values) {
                count += v >= from && v < to ? 1 : 0;
            }
            String words = i == 0
                    ? "under " + Show.number(to, 2) + unit
                    : i == steps.length
                            ? Show.number(from, 2) + unit + " and more"
                            : Show.number(from, 2) + " to " + Show.number(to, 2) + unit;
            tones.add(new Tone(i, words, count));
        }
        return tones;
    }

    /** Modules to leave out; null where nothing is asked. */
    private static List<ArrayLayout.Module> out(Design design, String lose, String dc) {
        if (!lose.isBlank()) {
            double share = number("$.lose", "Share of the year's sun lost", lose, 0.1, 100, "5");
            return new WorthlessModules(design).above(share / 100);
        }
        if (!dc.isBlank()) {
            double kw = number("$.dc", "DC power of the array, kW", dc, 0, 100_000, "150");
            return new WorthlessModules(design).beyond(kw * 1000);
        }
        return null;
    }

    static double number(String path, String label, String typed, double least, double most, String example) {
        String plain = typed.strip()
                .replace(',', '.')
                .replace("%", "")
                .replace("kW", "")
                .strip();
        double value;
        try {
            value = Double.parseDouble(plain);
        } catch (NumberFormatException e) {
            throw WorkOutController.refused(path, label, typed, "'" + typed + "' is no number: for example " + example);
        }
        if (!(value >= least && value <= most)) {
            throw WorkOutController.refused(
                    path,
                    label,
                    typed,
                    "'" + typed + "' is not within " + Show.number(least, 1) + " to " + Show.number(most, 0)
                            + ": for example " + example);
        }
        return value;
    }

    /**
     * The array with so many modules, in words.
     *
     * @param dc as it is typed to leave the others out
     */
    public record Size(
            String modules, String dc, String energy, String added, String blocks, String load, boolean stop) {}

    private void lastModules(Model model, Design design, double leastKwh) {
        List<LastModules.Step> steps = new LastModules(design, tables.solver()).steps();
        LastModules.Step stop = LastModules.worthWhile(steps, leastKwh);
        UnitSystem units = design.job().project().units();
        model.addAttribute(
                "sizes",
                steps.stream()
                        .map(s -> new Size(
                                String.valueOf(s.kept()),
                                Show.number(s.dcW() / 1000, 3),
                                Show.number(s.usedOrSoldKwh() / 1000, 1) + " MWh",
                                Double.isNaN(s.addedKwh()) ? "" : Show.number(s.addedKwh(), 0) + " kWh",
                                s.job().blocks() < 0
                                        ? "not established"
                                        : String.valueOf(s.job().blocks()),
                                Double.isNaN(s.job().loadPa())
                                        ? "not established"
                                        : Show.both(
                                                units, Dimension.LOAD, s.job().loadPa()),
                                s == stop))
                        .toList());
        model.addAttribute("stopAt", stop == steps.get(0) ? "" : Show.number(stop.dcW() / 1000, 3));
    }

    private void tradeOff(Model model, Design design, List<ArrayLayout.Module> out) {
        model.addAttribute("out", out.size());
        if (out.isEmpty() || out.size() == design.layout().modules().size()) {
            return;
        }
        Solver solver = tables.solver();
        var job = JobReader.read(DocumentPatch.apply(design.job(), new ModuleEdits(design).leaveOutModules(out)), false)
                .job();
        Design then = solver.solve(job.at(design.job().place()), design);
        model.addAttribute(
                "rows",
                TriedRows.of(
                        new Explorer(design, solver).present(),
                        new Explorer(then, solver).present(),
                        design.job().project().units(),
                        solver.tables().prices().currency()));
        model.addAttribute("prices", solver.tables().prices().table().status().words());
    }

    /** Leaves those modules out as one revision. */
    @PostMapping("/jobs/{slug}/sun/leave-out")
    public String leaveOut(
            @PathVariable String slug,
            @RequestParam int base,
            @RequestParam(defaultValue = "") String lose,
            @RequestParam(defaultValue = "") String dc) {
        Design design = jobs.open(slug).design();
        List<ArrayLayout.Module> out = out(design, lose, dc);
        if (out == null || out.isEmpty()) {
            throw WorkOutController.refused(
                    "$.lose", "Modules to leave out", "", "are none: no module loses as much, or the power is reached");
        }
        if (jobs.open(slug).revision().number() != base) {
            throw WorkOutController.refused("$.base", "Job", "", "has changed since: look at the figures again");
        }
        List<Change> changes = new ModuleEdits(design).leaveOutModules(out);
        jobs.change(
                slug,
                base,
                changes,
                Show.count(out.size(), "module") + " of " + design.job().name()
                        + (lose.isBlank()
                                ? " left out, DC up to " + dc.strip() + " kW"
                                : " left out, shaded more than " + lose.strip() + " %"));
        String place = looking.place();
        return "redirect:/jobs/" + slug + (place.isEmpty() ? "" : "?array=" + place);
    }
}
