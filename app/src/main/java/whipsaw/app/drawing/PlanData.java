package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.app.store.Json;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.PanelPressure;
import whipsaw.core.job.Job;
import whipsaw.core.job.SheetMove;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.section.CutLine;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/** What the page's script needs to find and name the thing under the pointer or the cursor. */
public final class PlanData {
    private static final int MOST_RINGS = 400;

    private PlanData() {}

    /** JSON; lengths in metres, rounded to a millimetre. */
    public static String of(Design design) {
        Map<String, Object> data = new LinkedHashMap<>();
        ArrayLayout layout = design.layout();
        data.put(
                "along",
                List.of(
                        design.layout().frame().alongX(),
                        design.layout().frame().alongY()));
        data.put(
                "size", List.of(mm(design.layout().alongM()), mm(design.layout().depthM())));
        data.put("pitch", mm(design.layout().pitchM()));
        data.put("unit", design.job().project().units() == UnitSystem.US ? 0.3048 : 1.0);
        modules(design, data);
        positions(design, data);
        data.put("established", design.holdDown().established());
        data.put("rowsOfBand", design.layout().pairs() == null ? 1 : 2);
        data.put("column", layout.columnPitchM());
        data.put("large", ArrayLayer.large(design));
        CutLine cut = CutLines.standard(design);
        CutLine across = CutLines.acrossRoof(design);
        data.put("cut", ring(new Coordinate[] {cut.a(), cut.b()}));
        data.put("across", ring(new Coordinate[] {across.a(), across.b()}));
        data.put(
                "edges",
                design.plan().edges().stream()
                        .map(e -> ring(new Coordinate[] {e.from(), e.to()}))
                        .toList());
        data.put(
                "inner",
                design.plan().edges().stream()
                        .map(e -> e.parapetThicknessM() > 0
                                ? ring(new Coordinate[] {e.parapet()[3], e.parapet()[2]})
                                : List.of())
                        .toList());
        data.put("grid", grid(design));
        double blockKg = design.holdDown().block().laidKg();
        Unit mass = Dimension.MASS.unit(design.job().project().units());
        data.put("block", List.of(mass.fromSi(blockKg), mass.symbol()));
        data.put("places", places(design));
        data.put("site", site(design.job()));
        // a closing tag inside the data would end the element that holds it
        return Json.write(data).replace("<", "\\u003c");
    }

    /** Where the sheet lies in the site: its origin and how far it is turned clockwise, in degrees. */
    private static List<Double> site(Job job) {
        SheetMove move = SheetMove.of(job.document().roofs().get(0), job.on());
        return List.of(mm(job.on().x().si()), mm(job.on().y().si()), move.turnDeg());
    }

    /** Lines between bays. */
    private static List<Object> grid(Design design) {
        Envelope all = design.plan().outline().getEnvelopeInternal();
        Set<List<Double>> lines = new LinkedHashSet<>();
        for (RoofPlan.Bay bay : design.plan().bays()) {
            double x = mm(bay.cell().getMinX());
            double y = mm(bay.cell().getMinY());
            lines.add(List.of(x, mm(all.getMinY()), x, mm(all.getMaxY())));
            lines.add(List.of(mm(all.getMinX()), y, mm(all.getMaxX()), y));
        }
        return List.copyOf(lines);
    }

    /**
     * Runs of modules as row and first column of the grid, s and t of the first, how many, and the row as the crew counts; what holds for each
     * module as pairs of a value and how many follow each other with it.
     */
    private static void modules(Design design, Map<String, Object> data) {
        UnitSystem units = design.job().project().units();
        ArrayLayout layout = design.layout();
        List<Object> runs = new ArrayList<>();
        for (ArrayLayout.Run run : layout.runs()) {
            ArrayLayout.Module first = layout.modules().get(run.firstIndex());
            runs.add(List.of(
                    first.row(),
                    first.column(),
                    mm(first.s()),
                    mm(first.t()),
                    run.lastIndex() - run.firstIndex() + 1,
                    first.crewRow()));
        }
        data.put("runs", runs);
        Repeats crew = new Repeats();
        layout.modules().forEach(m -> crew.add(m.crewPlace() - m.index()));
        data.put("crew", crew.list());
        Map<String, Integer> kinds = new LinkedHashMap<>();
        // many modules are under the same pressure, whose words are made once
        Map<PanelPressure, Integer> pressures = new HashMap<>();
        Repeats kind = new Repeats();
        for (HoldDown.Demand d : design.holdDown().demands()) {
            kind.add(pressures.computeIfAbsent(
                    d.pressure(), p -> kinds.computeIfAbsent(words(units, p), k -> kinds.size())));
        }
        data.put("kinds", List.copyOf(kinds.keySet()));
        data.put("kind", kind.list());
        Map<Integer, String> strings = new HashMap<>();
        for (Circuits.PvString s : design.strings().strings()) {
            s.modules().forEach(i -> strings.put(i, s.name()));
        }
        Repeats string = new Repeats();
        layout.modules().forEach(m -> string.add(strings.getOrDefault(m.index(), "")));
        data.put("string", string.list());
        Repeats shade = new Repeats();
        for (int instants : design.shade().instantsInWindow()) {
            shade.add(instants);
        }
        data.put("shade", shade.list());
    }

    private static String words(UnitSystem units, PanelPressure p) {
        return "zone "
                + p.zone()
                + (p.edgeFactor() > 1 ? ", array edge" : "")
                + ", uplift "
                + (Double.isNaN(p.upliftPa()) ? "not established" : Show.in(units, Dimension.LOAD, p.upliftPa()));
    }

    /** Positions in order: differences of s and t in millimetres, then rows, places and counts. */
    private static void positions(Design design, Map<String, Object> data) {
        List<Long> s = new ArrayList<>();
        Repeats t = new Repeats();
        Repeats row = new Repeats();
        Repeats needed = new Repeats();
        Repeats placed = new Repeats();
        Repeats marks = new Repeats();
        Repeats first = new Repeats();
        Repeats gridRow = new Repeats();
        Repeats gridPlace = new Repeats();
        long lastS = 0;
        String prefix = "";
        for (HoldDown.Position p : design.holdDown().positions()) {
            long atS = Math.round(p.s() * 1000);
            s.add(atS - lastS);
            lastS = atS;
            t.add(mm(p.t()));
            prefix = p.kind();
            row.add(p.row());
            first.add(p.place() - s.size());
            String[] grid = p.id().split("-" + p.kind());
            gridRow.add(Integer.valueOf(grid[0]));
            gridPlace.add(Integer.parseInt(grid[1]) - s.size());
            needed.add(p.ballast().blocksNeeded());
            placed.add(p.ballast().blocksPlaced());
            marks.add(p.ballast().mark());
        }
        data.put("prefix", prefix);
        data.put(
                "positions",
                Map.of(
                        "s",
                        s,
                        "t",
                        t.list(),
                        "row",
                        row.list(),
                        "place",
                        first.list(),
                        "gridRow",
                        gridRow.list(),
                        "gridPlace",
                        gridPlace.list(),
                        "needed",
                        needed.list(),
                        "placed",
                        placed.list(),
                        "marks",
                        marks.list()));
    }

    /** A list as values and how often each follows itself. */
    private static final class Repeats {
        private final List<Object> list = new ArrayList<>();

        void add(Object value) {
            int last = list.size() - 2;
            if (last >= 0 && list.get(last).equals(value)) {
                list.set(last + 1, (Integer) list.get(last + 1) + 1);
            } else {
                list.add(value);
                list.add(1);
            }
        }

        List<Object> list() {
            return list;
        }
    }

    /** Where each check looks: rings on the plan, in metres, by the check's id. */
    private static Map<String, Object> places(Design design) {
        Map<String, Object> places = new LinkedHashMap<>();
        for (Check check : design.checks()) {
            if (check.place() != null
                    && !check.place().items().isEmpty()
                    && check.concerns(design.job().place())) {
                boolean window = check.id().equals("roof.window");
                places.put(
                        check.id(),
                        window ? List.of(ring(design.loads().window().corners())) : rings(design, check.place()));
            }
        }
        return places;
    }

    private static List<Object> rings(Design design, Place place) {
        List<Object> rings = new ArrayList<>();
        for (int i : place.items().subList(0, Math.min(MOST_RINGS, place.items().size()))) {
            switch (place.kind()) {
                case MODULES -> rings.add(
                        ring(design.layout().corners(design.layout().modules().get(i))));
                case POSITIONS -> design.holdDown()
                        .positions()
                        .get(i)
                        .shares()
                        .forEach(s -> rings.add(ring(design.layout()
                                .corners(design.layout().modules().get(s.module())))));
                case BAYS -> {
                    Envelope cell = design.plan().bays().get(i).cell();
                    rings.add(ring(new Coordinate[] {
                        new Coordinate(cell.getMinX(), cell.getMinY()),
                        new Coordinate(cell.getMaxX(), cell.getMinY()),
                        new Coordinate(cell.getMaxX(), cell.getMaxY()),
                        new Coordinate(cell.getMinX(), cell.getMaxY())
                    }));
                }
                case EDGE, WORDS -> {
                    // nothing to draw
                }
            }
        }
        return rings;
    }

    private static List<Double> ring(Coordinate[] corners) {
        List<Double> flat = new ArrayList<>();
        for (Coordinate c : corners) {
            flat.add(mm(c.x));
            flat.add(mm(c.y));
        }
        return flat;
    }

    private static double mm(double metres) {
        return Math.round(metres * 1000) / 1000.0;
    }
}
