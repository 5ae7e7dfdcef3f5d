package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.app.store.Json;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.TiltedArray;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What the page's script needs to find and name the thing under the pointer or the cursor. */
public final class PlanData {
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
        data.put("pitch", mm(design.layout().depthM() + design.layout().gapM()));
        data.put("unit", design.job().project().units() == UnitSystem.US ? 0.3048 : 1.0);
        Map<TiltedArray.Pressure, Integer> kinds = new LinkedHashMap<>();
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
                                + (p.gammaE() > 1 ? ", array edge" : "")
                                + ", uplift "
                                + Show.in(units, Dimension.LOAD, p.upliftPa()))
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
        // a closing tag inside the data would end the element that holds it
        return Json.write(data).replace("<", "\\u003c");
    }

    private static double mm(double metres) {
        return Math.round(metres * 1000) / 1000.0;
    }
}
