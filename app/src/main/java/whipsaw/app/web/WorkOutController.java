package whipsaw.app.web;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Suggested;
import whipsaw.core.design.Design;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;
import whipsaw.core.job.RoofForm;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.EdgeOffsets;
import whipsaw.core.roof.FormMaker;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.SizeText;
import whipsaw.core.roof.ThingLine;
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
    /** A copy is put this far beside the thing, m. */
    private static final double BESIDE_M = 0.3;

    private static final int MOST_AWAY = 6;
    private static final String THINGS = JobPaths.ROOF.to(Roof::obstructions).toString();
    private static final int MOST_COPIES = 400;
    private static final double ASSUMED_HEIGHT_M = 0.9144;

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
        List<Object> changes =
                switch (String.valueOf(body.get("what"))) {
                    case "place" -> place(design, text(body, "id"), text(body, "text"));
                    case "form" -> form(design, body);
                    case "repeat" -> repeat(design, body);
                    case "copy" -> copy(design, body);
                    case "length" -> List.of(Map.of("m", length(design, body, "text")));
                    case "scale" -> scale(design, body);
                    case "thing" -> thing(design, body);
                    case "sizes" -> sizes(design, body);
                    case "add-array",
                            "split-array",
                            "copy-array",
                            "move-array",
                            "remove-array",
                            "remove-roof",
                            "add-roof" -> PlaceWork.changes(design, text(body, "what"), body);
                    default -> throw new JobController.DocumentPatchProblem(
                            "'" + body.get("what") + "' cannot be worked out");
                };
        String words = words(design, body);
        if (words != null) {
            suggested.offer(slug, changes, words);
        }
        return Map.of("changes", changes);
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

    private static Map<String, Object> set(Path<?> path, Object value) {
        return Map.of("op", "set", "path", path.toString(), "value", value);
    }

    static JobService.Refused refused(String path, String label, String value, String message) {
        return new JobService.Refused(List.of(new Problem(path, label, value, message)));
    }

    private static Unit roofUnit(Design design) {
        return Dimension.ROOF_LENGTH.unit(design.job().project().units());
    }

    /** A length in the unit of the job, to a tenth of a millimetre. */
    private static String typed(Design design, double metres) {
        Unit unit = roofUnit(design);
        return Show.number(unit.fromSi(metres), 5) + " " + unit.symbol();
    }

    private static Obstruction thing(Design design, String id) {
        return design.job().roof().obstructions().stream()
                .filter(o -> o.id().equals(id))
                .findFirst()
                .orElseThrow(() -> refused(THINGS, "Obstruction", id, "is not on this roof any more"));
    }

    private static List<Object> place(Design design, String id, String text) {
        Path<Footprint> path = JobPaths.footprint(id);
        Obstruction thing = thing(design, id);
        if (text.isEmpty()) {
            return List.of(
                    Map.of("op", "remove", "path", path.to(Footprint::measured).toString()));
        }
        try {
            List<EdgeOffsets.Offset> offsets = EdgeOffsets.read(text, design.plan(), roofUnit(design));
            Coordinate at = EdgeOffsets.place(offsets, thing, design.plan());
            return List.of(
                    set(path.to(Footprint::x), typed(design, at.x)),
                    set(path.to(Footprint::y), typed(design, at.y)),
                    set(path.to(Footprint::measured), text));
        } catch (EdgeOffsets.NoPlace e) {
            throw refused(
                    path.to(Footprint::measured).toString(),
                    path.to(Footprint::measured).label(),
                    text,
                    e.getMessage());
        }
    }

    /** A thing from one line, in the middle of the roof where no distances are given. */
    private static List<Object> thing(Design design, Map<String, Object> body) {
        String line = text(body, "line");
        String path = THINGS;
        try {
            ThingLine read = ThingLine.read(line, roofUnit(design));
            Map<String, Object> o = new LinkedHashMap<>();
            o.put("id", "o-" + Long.toString(System.nanoTime() & 0xffffffffffL, 36));
            o.put("name", read.name());
            o.put("kind", read.kind());
            List<Measure> sizes = read.sizes();
            o.put("width", sizes.get(0).typed());
            if (sizes.size() == 1) {
                o.put("shape", "circle");
            } else {
                o.put("depth", sizes.get(1).typed());
            }
            o.put("height", sizes.size() == 3 ? sizes.get(2).typed() : "~" + typed(design, ASSUMED_HEIGHT_M));
            Coordinate middle = body.containsKey("x")
                    ? new Coordinate(number(body, "x"), number(body, "y"))
                    : design.plan().outline().getInteriorPoint().getCoordinate();
            o.put("x", typed(design, middle.x - sizes.get(0).si() / 2));
            o.put(
                    "y",
                    typed(
                            design,
                            middle.y - sizes.get(Math.min(1, sizes.size() - 1)).si() / 2));
            if (!read.measured().isEmpty()) {
                Map<String, Object> document =
                        DocumentPatch.apply(design.job(), List.of(new DocumentPatch.Change("append", path, o)));
                var reading = JobReader.read(document, true);
                if (!reading.ok()) {
                    throw new JobService.Refused(reading.problems());
                }
                List<Obstruction> all = reading.job().roof().obstructions();
                Coordinate at = EdgeOffsets.place(
                        EdgeOffsets.read(read.measured(), design.plan(), roofUnit(design)),
                        all.get(all.size() - 1),
                        design.plan());
                o.put("x", typed(design, at.x));
                o.put("y", typed(design, at.y));
                o.put("measured", read.measured());
            }
            return List.of(Map.of("op", "append", "path", path, "value", o));
        } catch (ThingLine.Unread | EdgeOffsets.NoPlace e) {
            throw refused(path, "Obstruction in one line", line, e.getMessage());
        }
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

    private static int whole(Map<String, Object> body, String key) {
        try {
            return Integer.parseInt(text(body, key));
        } catch (NumberFormatException e) {
            throw refused("$." + key, key, text(body, key), "is no whole number: for example 2");
        }
    }

    /** Copies side by side and one above the other, at a spacing from centre to centre. */
    private static List<Object> repeat(Design design, Map<String, Object> body) {
        Obstruction first = thing(design, text(body, "id"));
        int columns = whole(body, "columns");
        int rows = whole(body, "rows");
        if (columns < 1 || rows < 1 || (long) columns * rows > MOST_COPIES || columns * rows == 1) {
            throw refused(
                    "$.columns",
                    "Copies",
                    columns + " by " + rows,
                    "is not allowed: 2 to " + MOST_COPIES + " in all, for example 4 by 2");
        }
        double dx = columns > 1 ? length(design, body, "alongX") : 0;
        double dy = rows > 1 ? length(design, body, "alongY") : 0;
        Map<String, Object> written = written(design, first.id());
        List<Object> changes = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                int n = row * columns + column;
                if (n == 0) {
                    continue;
                }
                Map<String, Object> copy = new LinkedHashMap<>(written);
                copy.remove("measured");
                copy.put("id", freeId(design, first.id(), n));
                copy.put("name", named(first.name(), n));
                copy.put("x", typed(design, first.x().si() + column * dx));
                copy.put("y", typed(design, first.y().si() + row * dy));
                changes.add(Map.of("op", "append", "path", THINGS, "value", copy));
            }
        }
        return changes;
    }

    /** Another one like a thing: its middle at a place, else beside it where there is roof. */
    private static List<Object> copy(Design design, Map<String, Object> body) {
        Obstruction first = thing(design, text(body, "id"));
        double width = first.width().si();
        double depth = first.depth().si();
        List<Coordinate> corners = new ArrayList<>();
        if (body.containsKey("x")) {
            corners.add(new Coordinate(number(body, "x") - width / 2, number(body, "y") - depth / 2));
        } else {
            double x = first.x().si();
            double y = first.y().si();
            for (int away = 1; away <= MOST_AWAY; away++) {
                corners.add(new Coordinate(x + away * (width + BESIDE_M), y));
                corners.add(new Coordinate(x - away * (width + BESIDE_M), y));
                corners.add(new Coordinate(x, y + away * (depth + BESIDE_M)));
                corners.add(new Coordinate(x, y - away * (depth + BESIDE_M)));
            }
        }
        Coordinate at = corners.stream()
                .filter(c -> free(design, c, width, depth))
                .findFirst()
                .orElse(corners.get(0));
        Set<String> names = new HashSet<>();
        design.job().roof().obstructions().forEach(o -> names.add(o.name()));
        int n = 1;
        while (names.contains(named(first.name(), n))) {
            n++;
        }
        Map<String, Object> copy = new LinkedHashMap<>(written(design, first.id()));
        copy.remove("measured");
        copy.put("id", freeId(design, first.id(), n));
        copy.put("name", named(first.name(), n));
        copy.put("x", typed(design, at.x));
        copy.put("y", typed(design, at.y));
        return List.of(Map.of("op", "append", "path", THINGS, "value", copy));
    }

    /** Whether a box lies on the roof and touches nothing that stands there. */
    private static boolean free(Design design, Coordinate c, double width, double depth) {
        Envelope box = new Envelope(c.x, c.x + width, c.y, c.y + depth);
        return design.plan()
                        .outline()
                        .covers(design.plan().outline().getFactory().toGeometry(box))
                && design.job().roof().obstructions().stream()
                        .noneMatch(
                                o -> RoofPlan.footprint(o).getEnvelopeInternal().intersects(box));
    }

    static double length(Design design, Map<String, Object> body, String key) {
        try {
            Measure m = UnitText.parse(text(body, key), Quantity.LENGTH, roofUnit(design));
            return m.si();
        } catch (UnitTextException e) {
            throw refused("$." + key, "Length", text(body, key), e.getMessage() + ", for example 3 m");
        }
    }

    private static double number(Map<String, Object> body, String key) {
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

    @SuppressWarnings("unchecked")
    private static Map<String, Object> written(Design design, String id) {
        Map<String, Object> roof = JobWriter.part(design.job().roof());
        for (Object o : (List<Object>) roof.get("obstructions")) {
            if (((Map<String, Object>) o).get("id").equals(id)) {
                return (Map<String, Object>) o;
            }
        }
        throw new IllegalStateException(id);
    }

    private static String freeId(Design design, String id, int n) {
        String base = id.length() > 28 ? id.substring(0, 28) : id;
        String wanted = base + "-" + (n + 1);
        boolean taken = design.job().roof().obstructions().stream().anyMatch(o -> o.id().equals(wanted));
        return taken ? base + "-" + Long.toString(System.nanoTime() & 0xffffff, 36) + "-" + n : wanted;
    }

    /** Skylight 1 goes on as Skylight 2 and RTU-1 as RTU-2; a name without a number gets one. */
    private static String named(String name, int n) {
        String stem = name.replaceAll("\\d{1,4}$", "");
        String digits = name.substring(stem.length());
        int from = digits.isEmpty() ? 1 : Integer.parseInt(digits);
        String cut = stem.length() > 50 ? stem.substring(0, 50) : stem;
        return cut + (digits.isEmpty() ? " " : "") + (from + n);
    }
}
