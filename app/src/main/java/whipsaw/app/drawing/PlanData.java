package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.app.store.Json;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.PanelPressure;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What the page's script needs to find and name the thing under the pointer or the cursor. */
public final class PlanData {
    private static final int MOST_RINGS = 400;

    private PlanData() {}

    /** JSON; lengths in metres, rounded to a millimetre. */
    public static String of(Design design) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put(
                "along",
                List.of(
                        design.layout().frame().alongX(),
                        design.layout().frame().alongY()));
        data.put(
                "size", List.of(mm(design.layout().alongM()), mm(design.layout().depthM())));
        data.put("pitch", mm(design.layout().pitchM()));
        data.put("unit", design.job().project().units() == UnitSystem.US ? 0.3048 : 1.0);
        Map<PanelPressure, Integer> kinds = new LinkedHashMap<>();
        Map<Integer, String> strings = new LinkedHashMap<>();
        for (Circuits.PvString s : design.circuits().strings()) {
            s.modules().forEach(i -> strings.put(i, s.name()));
        }
        List<Object> modules = new ArrayList<>();
        for (HoldDown.Demand d : design.holdDown().demands()) {
            int kind = kinds.computeIfAbsent(d.pressure(), k -> kinds.size());
            modules.add(List.of(
                    mm(d.module().s()),
                    mm(d.module().t()),
                    d.module().row(),
                    d.module().column(),
                    kind,
                    strings.getOrDefault(d.module().index(), "")));
        }
        UnitSystem units = design.job().project().units();
        data.put(
                "kinds",
                kinds.keySet().stream()
                        .map(p -> "zone "
                                + p.zone()
                                + (p.edgeFactor() > 1 ? ", array edge" : "")
                                + ", uplift "
                                + (Double.isNaN(p.upliftPa())
                                        ? "not established"
                                        : Show.in(units, Dimension.LOAD, p.upliftPa())))
                        .toList());
        data.put("modules", modules);
        List<Object> positions = new ArrayList<>();
        for (HoldDown.Position p : design.holdDown().positions()) {
            positions.add(List.of(
                    mm(p.s()),
                    mm(p.t()),
                    p.number(),
                    p.ballast().blocksNeeded(),
                    p.ballast().blocksPlaced()));
        }
        data.put("positions", positions);
        data.put("established", design.holdDown().established());
        data.put("rowsOfBand", design.layout().pairs() == null ? 1 : 2);
        data.put("places", places(design));
        // a closing tag inside the data would end the element that holds it
        return Json.write(data).replace("<", "\\u003c");
    }

    /** Where each check looks: rings on the plan, in metres, by the check's id. */
    private static Map<String, Object> places(Design design) {
        Map<String, Object> places = new LinkedHashMap<>();
        for (Check check : design.checks()) {
            if (check.place() != null && !check.place().items().isEmpty()) {
                places.put(check.id(), rings(design, check.place()));
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
