package whipsaw.app.web;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.design.GroupEdits;
import whipsaw.core.design.ModuleEdits;
import whipsaw.core.design.NumberEdits;
import whipsaw.core.design.PlaceEdits;
import whipsaw.core.design.ShiftEdits;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobRoof;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;

/** What a page asks of arrays, roofs and inverter groups: to add, split, copy, move one or take it away. */
final class PlaceWork {
    private static final String ARRAYS =
            JobPaths.DOCUMENT.to(JobDocument::arrays).toString();

    /** Shifts that differ by less are the same to anybody. */
    private static final double SAME_M = 1e-6;

    private PlaceWork() {}

    /** Arrays and roofs added, split, copied, moved or taken away. */
    static List<Object> changes(Design design, String what, Map<String, Object> body) {
        PlaceEdits edits = new PlaceEdits(design);
        try {
            if (HandAsk.KNOWN.contains(what)) {
                return asMaps(HandAsk.changes(design, what, body));
            }
            List<Coordinate> points = points(body.get("points"));
            List<Change> changes =
                    switch (what) {
                        case "add-array" -> points.isEmpty() ? edits.first() : edits.add(points);
                        case "split-array" -> edits.split(point(points, 0), point(points, 1));
                        case "copy-array" -> edits.copy();
                        case "move-array" -> edits.move(
                                WorkOutController.length(design, body, "x"),
                                WorkOutController.length(design, body, "y"));
                        case "remove-array" -> edits.removeArray(WorkOutController.text(body, "id"));
                        case "own-inverters" -> new GroupEdits(design).own();
                        case "remove-group" -> new GroupEdits(design).remove(WorkOutController.text(body, "id"));
                        case "leave-out" -> new ModuleEdits(design).leaveOut(texts(body.get("positions")));
                        case "put-back" -> new ModuleEdits(design).putBack();
                        case "keep-numbers" -> new NumberEdits(design)
                                .keep(WorkOutController.text(body, "by"), LocalDate.now());
                        case "count-anew" -> new NumberEdits(design).release();
                        case "remove-roof" -> edits.removeRoof(WorkOutController.text(body, "id"));
                        default -> edits.addRoof(WorkOutController.text(body, "name"));
                    };
            return asMaps(changes);
        } catch (IllegalArgumentException e) {
            throw refused(e.getMessage());
        }
    }

    /** The array shifted for most modules: the search, whose changes are to be made. */
    static ShiftEdits bestShift(Design design) {
        if (design.job().placed() == null) {
            throw refused("this roof has no array yet");
        }
        ShiftEdits edits =
                new ShiftEdits(design.job(), design.plan(), design.whole().tables());
        ArrayChoice array = design.job().array();
        double further = Math.max(
                Math.abs(edits.found().acrossM() - array.shiftAcross().si()),
                Math.abs(edits.found().alongM() - array.shiftAlong().si()));
        if (!Limits.above(further, SAME_M)) {
            throw refused(design.job().name() + " is shifted for most modules already: " + edits.words());
        }
        return edits;
    }

    private static JobService.Refused refused(String message) {
        return WorkOutController.refused(ARRAYS, "Arrays, roofs and inverters:", "", message);
    }

    static List<Object> asMaps(List<Change> changes) {
        return changes.stream().map(PlaceWork::asMap).toList();
    }

    static List<String> texts(Object given) {
        return given instanceof List<?> list
                ? list.stream().map(String::valueOf).toList()
                : List.of();
    }

    private static Object asMap(Change c) {
        return c.value() == null
                ? Map.of("op", c.op(), "path", c.path())
                : Map.of("op", c.op(), "path", c.path(), "value", c.value());
    }

    static Coordinate point(List<Coordinate> points, int i) {
        if (i >= points.size()) {
            throw new IllegalArgumentException("a line needs two points");
        }
        return points.get(i);
    }

    /** Points of the drawing, in metres on the sheet. */
    static List<Coordinate> points(Object given) {
        List<Coordinate> points = new ArrayList<>();
        for (Object p : given instanceof List<?> list ? list : List.of()) {
            if (!(p instanceof Map<?, ?> at)
                    || !(at.get("x") instanceof Number x)
                    || !(at.get("y") instanceof Number y)) {
                throw new IllegalArgumentException("a point needs x and y in metres");
            }
            Coordinate point = new Coordinate(x.doubleValue(), y.doubleValue());
            // no number at all is not within either
            if (!(Math.max(Math.abs(point.x), Math.abs(point.y)) <= Corner.FARTHEST_M)) {
                throw new IllegalArgumentException("a point at x " + x + " m, y " + y + " m lies off the sheet: "
                        + Show.number(-Corner.FARTHEST_M, 0) + " to " + Show.number(Corner.FARTHEST_M, 0)
                        + " m either way, as x 12.5, y 30");
            }
            points.add(point);
        }
        return points;
    }

    /** What the history says of it; null of anything else. */
    static String words(Design design, String what, Map<String, Object> body) {
        if (HandAsk.KNOWN.contains(what)) {
            return HandAsk.words(design, what, body);
        }
        return switch (what) {
            case "add-array" -> "Array added";
            case "split-array" -> "Split " + design.job().name() + " along a line";
            case "copy-array" -> "Copy of " + design.job().name() + " added";
            case "move-array" -> "Moved " + design.job().name();
            case "remove-array" -> "Array " + named(design, WorkOutController.text(body, "id")) + " removed";
            case "add-roof" -> "Roof " + WorkOutController.text(body, "name") + " added with an array";
            case "remove-roof" -> "Roof " + named(design, WorkOutController.text(body, "id"))
                    + " removed with its arrays";
            case "leave-out" -> Show.count(
                            new ModuleEdits(design)
                                    .between(texts(body.get("positions")))
                                    .size(),
                            "module")
                    + " of " + design.job().name() + " left out";
            case "put-back" -> "Modules of " + design.job().name() + " put back";
            case "keep-numbers" -> "Crew numbers of " + design.job().name() + " kept, sheet signed by "
                    + WorkOutController.text(body, "by");
            case "count-anew" -> "Crew numbers of " + design.job().name() + " counted anew";
            case "own-inverters" -> "Inverters of its own for " + design.job().name();
            case "remove-group" -> "Inverter group " + named(design, WorkOutController.text(body, "id")) + " removed";
            default -> null;
        };
    }

    /** An array, roof or inverter group by the name it was given; the id where there is none of it. */
    private static String named(Design design, String id) {
        JobDocument document = design.job().document();
        return Stream.of(
                        document.arrays().stream()
                                .filter(a -> a.id().equals(id))
                                .map(JobArray::name),
                        document.roofs().stream().filter(r -> r.id().equals(id)).map(JobRoof::name),
                        document.groups().stream()
                                .filter(g -> g.id().equals(id))
                                .map(InverterGroup::name))
                .flatMap(names -> names)
                .findFirst()
                .orElse(id);
    }
}
