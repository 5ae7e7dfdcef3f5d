package whipsaw.app.web;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Roof;
import whipsaw.core.roof.EdgeOffsets;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.ThingLine;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Measure;

/** What a page asks of the things on a roof: one from a line of text, a place from two edges, a copy, a row of them. */
final class ThingWork {
    /** A copy is put this far beside the thing, m. */
    private static final double BESIDE_M = 0.3;

    private static final int MOST_AWAY = 6;
    private static final String THINGS = JobPaths.ROOF.to(Roof::obstructions).toString();
    private static final int MOST_COPIES = 400;
    private static final double ASSUMED_HEIGHT_M = 0.9144;

    private ThingWork() {}

    private static Obstruction thing(Design design, String id) {
        return design.job().roof().obstructions().stream()
                .filter(o -> o.id().equals(id))
                .findFirst()
                .orElseThrow(
                        () -> WorkOutController.refused(THINGS, "Obstruction", id, "is not on this roof any more"));
    }

    static List<Object> place(Design design, String id, String text) {
        Path<Footprint> path = JobPaths.footprint(id);
        Obstruction thing = thing(design, id);
        if (text.isEmpty()) {
            return List.of(
                    Map.of("op", "remove", "path", path.to(Footprint::measured).toString()));
        }
        try {
            List<EdgeOffsets.Offset> offsets =
                    EdgeOffsets.read(text, design.plan(), WorkOutController.roofUnit(design));
            Coordinate at = EdgeOffsets.place(offsets, thing, design.plan());
            return List.of(
                    WorkOutController.set(path.to(Footprint::x), WorkOutController.typed(design, at.x)),
                    WorkOutController.set(path.to(Footprint::y), WorkOutController.typed(design, at.y)),
                    WorkOutController.set(path.to(Footprint::measured), text));
        } catch (EdgeOffsets.NoPlace e) {
            throw WorkOutController.refused(
                    path.to(Footprint::measured).toString(),
                    path.to(Footprint::measured).label(),
                    text,
                    e.getMessage());
        }
    }

    /** A thing from one line, in the middle of the roof where no distances are given. */
    static List<Object> thing(Design design, Map<String, Object> body) {
        String line = WorkOutController.text(body, "line");
        String path = THINGS;
        try {
            ThingLine read = ThingLine.read(line, WorkOutController.roofUnit(design));
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
            o.put(
                    "height",
                    sizes.size() == 3 ? sizes.get(2).typed() : "~" + WorkOutController.typed(design, ASSUMED_HEIGHT_M));
            Coordinate middle = body.containsKey("x")
                    ? new Coordinate(WorkOutController.number(body, "x"), WorkOutController.number(body, "y"))
                    : design.plan().outline().getInteriorPoint().getCoordinate();
            o.put("x", WorkOutController.typed(design, middle.x - sizes.get(0).si() / 2));
            o.put(
                    "y",
                    WorkOutController.typed(
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
                        EdgeOffsets.read(read.measured(), design.plan(), WorkOutController.roofUnit(design)),
                        all.get(all.size() - 1),
                        design.plan());
                o.put("x", WorkOutController.typed(design, at.x));
                o.put("y", WorkOutController.typed(design, at.y));
                o.put("measured", read.measured());
            }
            return List.of(Map.of("op", "append", "path", path, "value", o));
        } catch (ThingLine.Unread | EdgeOffsets.NoPlace e) {
            throw WorkOutController.refused(path, "Obstruction in one line", line, e.getMessage());
        }
    }

    /** Copies side by side and one above the other, at a spacing from centre to centre. */
    static List<Object> repeat(Design design, Map<String, Object> body) {
        Obstruction first = thing(design, WorkOutController.text(body, "id"));
        int columns = WorkOutController.whole(body, "columns");
        int rows = WorkOutController.whole(body, "rows");
        if (columns < 1 || rows < 1 || (long) columns * rows > MOST_COPIES || columns * rows == 1) {
            throw WorkOutController.refused(
                    "$.columns",
                    "Copies",
                    columns + " by " + rows,
                    "is not allowed: 2 to " + MOST_COPIES + " in all, for example 4 by 2");
        }
        double dx = columns > 1 ? WorkOutController.length(design, body, "alongX") : 0;
        double dy = rows > 1 ? WorkOutController.length(design, body, "alongY") : 0;
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
                copy.put("x", WorkOutController.typed(design, first.x().si() + column * dx));
                copy.put("y", WorkOutController.typed(design, first.y().si() + row * dy));
                changes.add(Map.of("op", "append", "path", THINGS, "value", copy));
            }
        }
        return changes;
    }

    /** Another one like a thing: its middle at a place, else beside it where there is roof. */
    static List<Object> copy(Design design, Map<String, Object> body) {
        Obstruction first = thing(design, WorkOutController.text(body, "id"));
        double width = first.width().si();
        double depth = first.depth().si();
        List<Coordinate> corners = new ArrayList<>();
        if (body.containsKey("x")) {
            corners.add(new Coordinate(
                    WorkOutController.number(body, "x") - width / 2, WorkOutController.number(body, "y") - depth / 2));
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
        copy.put("x", WorkOutController.typed(design, at.x));
        copy.put("y", WorkOutController.typed(design, at.y));
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
