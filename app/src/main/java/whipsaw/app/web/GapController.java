package whipsaw.app.web;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.drawing.GapDrawing;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Looking;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.design.Design;
import whipsaw.core.explore.Explorer;
import whipsaw.core.explore.GapCurve;
import whipsaw.core.explore.Option;
import whipsaw.core.explore.Tried;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobPaths;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Row gap, or the valley of pairs, chosen by what it comes to: a curve, the settings of the system, and a budget. */
@Controller
public class GapController {
    private static final double SAME_M = 1e-6;

    private final JobService jobs;
    private final Looking looking;
    private final CodeTableService tables;

    public GapController(JobService jobs, Looking looking, CodeTableService tables) {
        this.jobs = jobs;
        this.looking = looking;
        this.tables = tables;
    }

    /**
     * A setting of the system with the array placed at it.
     *
     * @param typed as the system states it
     * @param now whether it is the one there is
     * @param within whether it keeps the budget
     */
    public record Setting(
            String typed,
            String gap,
            String loss,
            String angle,
            String hours,
            String coverage,
            int modules,
            String energy,
            String load,
            boolean now,
            boolean within) {}

    /** @param budget share of a row's year that may be lost to the row in front, %; empty for none */
    @GetMapping("/jobs/{slug}/gaps")
    public String page(@PathVariable String slug, @RequestParam(defaultValue = "") String budget, Model model) {
        JobService.Shown shown = jobs.open(slug);
        Design design = shown.design();
        UnitSystem units = design.job().project().units();
        model.addAttribute("slug", slug);
        model.addAttribute("job", design.job());
        model.addAttribute("place", looking.place());
        model.addAttribute("base", shown.revision().number());
        model.addAttribute("budget", budget);
        model.addAttribute("placed", !design.layout().modules().isEmpty());
        model.addAttribute("pairs", design.layout().pairs() != null);
        if (design.layout().modules().isEmpty()) {
            return "gaps";
        }
        double share = budget.isBlank()
                ? Double.NaN
                : SunController.number("$.budget", "Loss a year, %", budget, 0.05, 50, "2") / 100;
        GapCurve curve = new GapCurve(design);
        List<GapCurve.Point> points = new ArrayList<>();
        List<Setting> settings = new ArrayList<>();
        String least = "";
        Explorer explorer = new Explorer(design, tables.solver());
        ArrayChoice array = design.job().array();
        for (Option option : explorer.options(List.of(array.tray()), List.of(array.module()), false)) {
            if (Math.abs(option.tilt().si() - array.tilt().si()) > SAME_M) {
                continue;
            }
            GapCurve.Point p = curve.at(option.gap().si());
            points.add(p);
            boolean within = !Double.isNaN(share) && p.loss() <= share;
            least = within && least.isEmpty() ? Show.both(units, Dimension.PART_LENGTH, p.gapM()) : least;
            settings.add(setting(option.gap(), p, explorer.tried(option), design, within));
        }
        model.addAttribute("settings", settings);
        model.addAttribute(
                "drawing", GapDrawing.of(curve.curve(), points, design.layout().gapM(), share, units));
        if (!Double.isNaN(share)) {
            double gap = curve.leastFor(share);
            model.addAttribute(
                    "least",
                    Double.isNaN(gap)
                            ? "No gap up to " + Show.both(units, Dimension.PART_LENGTH, GapCurve.WIDEST_M)
                                    + " loses so little."
                            : "The least gap for it is " + Show.both(units, Dimension.PART_LENGTH, gap)
                                    + (least.isEmpty()
                                            ? "; no setting of the system is as wide."
                                            : "; the first setting that keeps it is " + least + "."));
        }
        return "gaps";
    }

    private static Setting setting(Measure gap, GapCurve.Point p, Tried t, Design design, boolean within) {
        UnitSystem units = design.job().project().units();
        return new Setting(
                gap.typed(),
                Show.both(units, Dimension.PART_LENGTH, p.gapM()),
                Show.number(100 * p.loss(), 2) + " %",
                Show.number(p.shadeFreeDeg(), 1) + "°",
                Double.isNaN(p.fromHour()) ? "never" : clock(p.fromHour()) + " to " + clock(p.toHour()),
                Show.number(100 * p.coverage(), 0) + " %",
                t.modules(),
                Show.number(t.kwh() / 1000, 1) + " MWh",
                Double.isNaN(t.loadPa()) ? "not established" : Show.both(units, Dimension.LOAD, t.loadPa()),
                Math.abs(p.gapM() - design.layout().gapM()) < SAME_M,
                within);
    }

    private static String clock(double hour) {
        long minutes = Math.round(hour * 60);
        return minutes / 60 + ":" + String.format("%02d", minutes % 60);
    }

    /** Takes a setting as one revision. */
    @PostMapping("/jobs/{slug}/gaps")
    public String take(@PathVariable String slug, @RequestParam String gap, @RequestParam int base) {
        jobs.change(
                slug,
                base,
                List.of(Change.set(JobPaths.ARRAY.to(ArrayChoice::gap), gap)),
                "Row gap " + gap + " of " + jobs.open(slug).design().job().name());
        String place = looking.place();
        return "redirect:/jobs/" + slug + (place.isEmpty() ? "" : "?array=" + place);
    }
}
