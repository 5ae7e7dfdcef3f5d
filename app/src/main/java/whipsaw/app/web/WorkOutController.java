package whipsaw.app.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Suggested;
import whipsaw.core.design.Design;
import whipsaw.core.design.ShiftEdits;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;
import whipsaw.core.job.RoofForm;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.FormMaker;
import whipsaw.core.roof.SizeText;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/**
 * What somebody asks for in the words of the trade, as changes to the job: a place from two edges, a form of roof, a
 * thing repeated. Nothing is stored here; the page sends the changes on.
 */
@Controller
public class WorkOutController {

    private final JobService jobs;
    private final Suggested suggested;

    public WorkOutController(JobService jobs, Suggested suggested) {
        this.suggested = suggested;
        this.jobs = jobs;
    }

    /** Changes that come to what is asked. */
    @PostMapping(path = "/jobs/{slug}/work-out", consumes = "application/json")
    @ResponseBody
    public Map<String, Object> workOut(@PathVariable String slug, @RequestBody Map<String, Object> body) {
        Design design = jobs.open(slug).design();
        if ("best-shift".equals(body.get("what"))) {
            ShiftEdits edits = PlaceWork.bestShift(design);
            List<Object> shift = PlaceWork.asMaps(edits.changes());
            suggested.offer(slug, shift, design.job().name() + " shifted for most modules: " + edits.words());
            return Map.of("changes", shift);
        }
        if (HandAsk.KNOWN.contains(text(body, "what"))) {
            List<Object> hand = PlaceWork.changes(design, text(body, "what"), body);
            suggested.offer(slug, hand, PlaceWork.words(design, text(body, "what"), body));
            return Map.of("changes", hand);
        }
        List<Object> changes =
                switch (String.valueOf(body.get("what"))) {
                    case "place" -> ThingWork.place(design, text(body, "id"), text(body, "text"));
                    case "form" -> form(design, body);
                    case "repeat" -> ThingWork.repeat(design, body);
                    case "copy" -> ThingWork.copy(design, body);
                    case "length" -> List.of(Map.of("m", length(design, body, "text")));
                    case "scale" -> scale(design, body);
                    case "thing" -> ThingWork.thing(design, body);
                    case "sizes" -> sizes(design, body);
                    case "add-array",
                            "split-array",
                            "copy-array",
                            "move-array",
                            "remove-array",
                            "remove-roof",
                            "add-roof",
                            "leave-out",
                            "put-back",
                            "keep-numbers",
                            "count-anew",
                            "own-inverters",
                            "remove-group" -> PlaceWork.changes(design, text(body, "what"), body);
                    default -> throw new JobController.DocumentPatchProblem(
                            "'" + body.get("what") + "' cannot be worked out");
                };
        String words = words(design, body);
        if (words != null) {
            suggested.offer(slug, changes, words);
        }
        return Map.of("changes", changes);
    }

    /** Places of the rows without a module, with the reason. */
    @GetMapping("/jobs/{slug}/free-places")
    @ResponseBody
    public Map<String, Object> freePlaces(@PathVariable String slug) {
        return HandAsk.free(jobs.open(slug).design());
    }

    /** What the history says of changes that do not say it themselves. */
    private static String words(Design design, Map<String, Object> body) {
        return switch (String.valueOf(body.get("what"))) {
            case "scale" -> "Picture scaled by two points";
            default -> PlaceWork.words(design, text(body, "what"), body);
        };
    }

    static String text(Map<String, Object> body, String key) {
        Object value = body.get(key);
        return value == null ? "" : String.valueOf(value).strip();
    }

    static Map<String, Object> set(Path<?> path, Object value) {
        return Map.of("op", "set", "path", path.toString(), "value", value);
    }

    static JobService.Refused refused(String path, String label, String value, String message) {
        return new JobService.Refused(List.of(new Problem(path, label, value, message)));
    }

    static Unit roofUnit(Design design) {
        return Dimension.ROOF_LENGTH.unit(design.job().project().units());
    }

    /** A length in the unit of the job, to a tenth of a millimetre. */
    static String typed(Design design, double metres) {
        Unit unit = roofUnit(design);
        return Show.number(unit.fromSi(metres), 5) + " " + unit.symbol();
    }

    /** Sizes taped on site beside a drawn outline; none takes them away. */
    private static List<Object> sizes(Design design, Map<String, Object> body) {
        Path<Roof.SiteSizes> path = JobPaths.ROOF.to(Roof::sizes);
        try {
            List<Outline.TapedDiagonal> tapes =
                    SizeText.read(text(body, "text"), design.plan().edges().size(), roofUnit(design));
            if (tapes.isEmpty()) {
                return List.of(Map.of("op", "remove", "path", path.toString()));
            }
            List<Object> written = new ArrayList<>();
            tapes.forEach(t -> written.add(
                    Map.of("from", t.from(), "to", t.to(), "length", t.length().typed())));
            Map<String, Object> sizes = new LinkedHashMap<>();
            sizes.put("face", text(body, "face").equals("inside") ? "inside" : "outside");
            sizes.put("tapes", written);
            return List.of(set(path, sizes));
        } catch (SizeText.Unread e) {
            throw refused(path.toString(), path.label(), e.line(), "'" + e.line() + "' " + e.getMessage());
        }
    }

    private static List<Object> form(Design design, Map<String, Object> body) {
        String kind = text(body, "kind");
        if (kind.equals("flat")) {
            return List.of(Map.of("op", "remove", "path", JobPaths.FORM.toString()));
        }
        String steepness = text(body, "steepness");
        if (kind.equals("hipped")) {
            return List.of(set(JobPaths.FORM, Map.of("kind", "hipped", "slope", steepness)));
        }
        try {
            FormMaker.Kind known = FormMaker.Kind.valueOf(kind.toUpperCase(Locale.ROOT));
            RoofForm.Folded form = FormMaker.of(
                    known, whole(body, "edge"), steepness, whole(body, "count"), design.plan(), roofUnit(design));
            List<Object> folds = new ArrayList<>();
            form.folds()
                    .forEach(f -> folds.add(Map.of(
                            "across", f.across().typed(), "height", f.height().typed())));
            return List.of(set(JobPaths.FORM, Map.of("kind", "folded", "edge", form.edge(), "folds", folds)));
        } catch (IllegalArgumentException e) {
            throw refused(JobPaths.FORM.toString(), JobPaths.FORM.label(), kind + " " + steepness, e.getMessage());
        }
    }

    static int whole(Map<String, Object> body, String key) {
        try {
            return Integer.parseInt(text(body, key));
        } catch (NumberFormatException e) {
            throw refused("$." + key, key, text(body, key), "is no whole number: for example 2");
        }
    }

    static double length(Design design, Map<String, Object> body, String key) {
        try {
            Measure m = UnitText.parse(text(body, key), Quantity.LENGTH, roofUnit(design));
            return m.si();
        } catch (UnitTextException e) {
            throw refused("$." + key, "Length", text(body, key), e.getMessage() + ", for example 3 m");
        }
    }

    static double number(Map<String, Object> body, String key) {
        if (body.get(key) instanceof Number n && Double.isFinite(n.doubleValue())) {
            return n.doubleValue();
        }
        throw refused("$." + key, key, text(body, key), "is no number");
    }

    /** The picture under the plan so scaled and turned that two points of it lie as measured; the first stays. */
    private static List<Object> scale(Design design, Map<String, Object> body) {
        Survey.Underlay u = design.job().survey().underlay();
        if (u == null) {
            throw refused(JobPaths.SURVEY.to(Survey::underlay).toString(), "Picture", "", "is not there any more");
        }
        double truth = length(design, body, "text");
        double dx = number(body, "bx") - number(body, "ax");
        double dy = number(body, "by") - number(body, "ay");
        double drawn = Math.hypot(dx, dy);
        if (!(drawn > 1e-3) || !(truth > 0)) {
            throw refused(
                    "$.text",
                    "Distance of the points",
                    text(body, "text"),
                    "or the points themselves are too close: choose two far apart");
        }
        if (!design.job().on().equals(design.job().document().roofs().get(0))) {
            throw refused("$.survey.underlay", "Picture", "", "lies on the first roof: work on that one to scale it");
        }
        double times = truth / drawn;
        double turn = Boolean.TRUE.equals(body.get("level")) ? -Math.toDegrees(Math.atan2(dy, dx)) : 0;
        double cos = Math.cos(Math.toRadians(turn)) * times;
        double sin = Math.sin(Math.toRadians(turn)) * times;
        double rx = u.x().si() - number(body, "ax");
        double ry = u.y().si() - number(body, "ay");
        Path<Survey.Underlay> path = JobPaths.SURVEY.to(Survey::underlay);
        return List.of(
                set(path.to(Survey.Underlay::metresPerPixel), u.metresPerPixel() * times),
                set(path.to(Survey.Underlay::turnDeg), (u.turnDeg() + turn + 540) % 360 - 180),
                set(path.to(Survey.Underlay::x), typed(design, number(body, "ax") + rx * cos - ry * sin)),
                set(path.to(Survey.Underlay::y), typed(design, number(body, "ay") + rx * sin + ry * cos)));
    }
}
