package whipsaw.app.web;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import whipsaw.app.drawing.CutLines;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.drawing.RevisionLayer;
import whipsaw.app.drawing.RoofList;
import whipsaw.app.drawing.SectionDrawing;
import whipsaw.app.job.JobService;
import whipsaw.app.print.JobSheet;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.design.DesignChange;
import whipsaw.core.schema.Problem;
import whipsaw.core.section.CutLine;

/** Parts of the drawing that follow what is looked at, not what is stored: section, sun, marks. */
@Controller
public class DrawingController {
    private static final double SHORTEST_CUT_M = 0.5;
    private static final double FARTHEST_M = 20_000;
    private static final int DAYS = 365;

    private final JobService jobs;

    public DrawingController(JobService jobs) {
        this.jobs = jobs;
    }

    /**
     * The section along a line, and the sun on the plan.
     *
     * @param cut x and y of A and of B in metres on the plan; absent takes a cut through three rows
     * @param day of the year, 1 to 365
     * @param hour true solar time, 0 to 24
     */
    @GetMapping(path = "/jobs/{slug}/section", produces = "application/json")
    @ResponseBody
    public Map<String, Object> section(
            @PathVariable String slug,
            @RequestParam(required = false) List<Double> cut,
            @RequestParam int day,
            @RequestParam double hour) {
        Design design = jobs.open(slug).design();
        within("day", "Day of the year", day, 1, DAYS, "355");
        within("hour", "Solar hour", hour, 0, 24, "13.5");
        CutLine line = cut == null || cut.isEmpty() ? CutLines.standard(design) : cut(cut);
        SolarTime sun = SolarTime.of(
                design.job().site().latitude().si(),
                design.job().site().longitude().si(),
                day,
                hour);
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("section", SectionDrawing.of(design, line, sun));
        answer.put("sun", PlanDrawing.sun(design, sun));
        answer.put("words", SectionDrawing.sunWords(design, line, sun));
        answer.put("day", SectionDrawing.day(sun));
        answer.put("hour", SectionDrawing.hour(sun));
        return answer;
    }

    /** Wind zones of a roof of many corners, which its page does not wait for. */
    @GetMapping(path = "/jobs/{slug}/zones", produces = "image/svg+xml")
    @ResponseBody
    public String zones(@PathVariable String slug) {
        return PlanDrawing.zones(jobs.open(slug).design());
    }

    /** The drawing as a list of what is on it. */
    @GetMapping("/jobs/{slug}/list")
    public String list(@PathVariable String slug, @RequestParam(defaultValue = "0") int row, Model model) {
        Design design = jobs.open(slug).design();
        model.addAttribute("slug", slug);
        model.addAttribute("job", design.job());
        model.addAttribute("list", RoofList.of(design, row));
        model.addAttribute("bays", JobSheet.bays(design, design.job().project().units()));
        model.addAttribute("rowsFrom", design.layout().rowsFrom());
        model.addAttribute("countsFrom", design.layout().countsFrom());
        return "list";
    }

    private static CutLine cut(List<Double> xy) {
        boolean ends = xy.size() == 4
                && xy.stream().allMatch(v -> v != null && Double.isFinite(v) && Math.abs(v) <= FARTHEST_M);
        CutLine line =
                ends ? new CutLine(new Coordinate(xy.get(0), xy.get(1)), new Coordinate(xy.get(2), xy.get(3))) : null;
        if (line == null || line.lengthM() < SHORTEST_CUT_M) {
            throw refused(
                    "cut",
                    "Line of the section",
                    String.valueOf(xy),
                    "has to be x and y of two points at least " + SHORTEST_CUT_M + " m apart: for example 0,10,40,10");
        }
        return line;
    }

    private static void within(String path, String name, double value, double least, double most, String example) {
        if (!(value >= least && value <= most)) {
            throw refused(
                    path,
                    name,
                    String.valueOf(value),
                    "has to be " + (int) least + " to " + (int) most + ": for example " + example);
        }
    }

    private static JobService.Refused refused(String path, String name, String value, String message) {
        return new JobService.Refused(List.of(new Problem("$." + path, name, value, message)));
    }

    /** Marks on everything that changed since a revision, and what changed in words. */
    @GetMapping(path = "/jobs/{slug}/marks", produces = "application/json")
    @ResponseBody
    public Map<String, Object> marks(@PathVariable String slug, @RequestParam int since) {
        JobService.Shown now = jobs.open(slug);
        Design before = jobs.at(slug, since).design();
        DesignChange change = DesignChange.between(before, now.design());
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("marks", RevisionLayer.between(before, now.design(), change.changed()));
        String words = change.words().isEmpty() ? "no figure changed" : String.join(", ", change.words());
        answer.put(
                "words",
                "Since revision " + since + ": " + words + "; "
                        + change.changed().size() + " positions marked.");
        return answer;
    }
}
