package whipsaw.app.print;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import whipsaw.app.Product;
import whipsaw.core.check.Check;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.Design;
import whipsaw.core.design.RoofDesign;
import whipsaw.core.figure.Figures;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.JobWriter;
import whipsaw.core.run.AcRun;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.SnowOnRun;
import whipsaw.core.table.CodeTables;
import whipsaw.core.working.Step;
import whipsaw.core.working.Working;

/** A design as a document: SI values with the unit in the key, checks, workings and sources. */
public final class DesignDocument {
    private DesignDocument() {}

    public static Map<String, Object> of(Design design, CodeTables tables) {
        Figures figures = new Figures(design, tables);
        Map<String, Object> doc = new LinkedHashMap<>();
        doc.put("writtenBy", Product.words());
        doc.put("schema", 1);
        doc.put("totals", totals(design));
        doc.put("checks", design.checks().stream().map(DesignDocument::check).toList());
        doc.put("arrays", arrays(design));
        doc.put("modules", each(design, DesignDocument::modules));
        doc.put("positions", each(design, DesignDocument::positions));
        doc.put("strings", each(design, DesignDocument::strings));
        doc.put("groups", groups(design));
        doc.put("run", run(design));
        doc.put(
                "bays",
                design.whole().roofs().stream()
                        .flatMap(r -> bays(design.at(r.arrays().get(0).job().place())).stream())
                        .toList());
        doc.put(
                "workings",
                figures.keys().stream()
                        .map(figures::working)
                        .map(DesignDocument::working)
                        .toList());
        List<Object> sources = new ArrayList<>();
        figures.sources()
                .forEach(s -> sources.add(
                        Map.of("source", s.words(), "status", s.status().words())));
        doc.put("sources", sources);
        List<Object> used = new ArrayList<>();
        tables.inUse(design.job())
                .forEach(t -> used.add(Map.of("id", t.id(), "edition", t.edition(), "hash", t.hash())));
        doc.put("codeTables", used);
        doc.put("job", JobWriter.write(design.job()));
        return doc;
    }

    /** Of every array, each with its id. */
    private static List<Map<String, Object>> each(Design design, Function<Design, List<Map<String, Object>>> of) {
        List<Map<String, Object>> all = new ArrayList<>();
        for (ArrayDesign a : design.whole().arrays()) {
            for (Map<String, Object> one : of.apply(design.at(a.job().place()))) {
                Map<String, Object> with = new LinkedHashMap<>();
                with.put("array", a.job().place());
                with.putAll(one);
                all.add(with);
            }
        }
        return all;
    }

    private static List<Object> arrays(Design design) {
        List<Object> all = new ArrayList<>();
        for (ArrayDesign a : design.whole().arrays()) {
            if (a.job().placed() != null) {
                Map<String, Object> one = new LinkedHashMap<>();
                one.put("id", a.job().place());
                one.put("name", a.job().placed().name());
                one.put("roof", a.job().on().id());
                one.put("modules", a.layout().modules().size());
                one.put("row_gap_m", a.layout().gapM());
                one.put("blocks", a.holdDown().established() ? a.holdDown().blocks() : null);
                all.add(one);
            }
        }
        return all;
    }

    private static Map<String, Object> totals(Design design) {
        Map<String, Object> totals = new LinkedHashMap<>();
        List<ArrayDesign> arrays = design.whole().arrays();
        List<RoofLoads> loads =
                design.whole().roofs().stream().map(RoofDesign::loads).toList();
        totals.put("modules", design.whole().modules());
        totals.put("dc_W", design.circuits().dcW());
        totals.put("ac_VA", design.circuits().acVa());
        totals.put("dc_over_ac", design.circuits().ratio());
        totals.put("inverters", design.circuits().inverters());
        boolean known = arrays.stream().allMatch(a -> a.holdDown().established());
        totals.put("hold_down_established", known);
        totals.put("blocks", known ? design.whole().blocks() : null);
        totals.put(
                "missing_blocks",
                known
                        ? arrays.stream()
                                .mapToInt(a -> a.holdDown().missingBlocks())
                                .sum()
                        : null);
        totals.put("ballast_kg", known ? sum(loads, RoofLoads::ballastKg) : null);
        totals.put("array_kg", known ? sum(loads, RoofLoads::arrayKg) : null);
        totals.put("tray_and_pipe_kg", sum(loads, RoofLoads::laidKg));
        totals.put("footprint_m2", sum(loads, l -> l.footprint().areaM2()));
        totals.put(
                "added_load_Pa",
                known
                        ? loads.stream()
                                .mapToDouble(l -> l.footprint().loadPa())
                                .filter(Double::isFinite)
                                .max()
                                .orElse(0)
                        : null);
        totals.put(
                "wind_pressure_Pa",
                design.site().wind() == null ? null : design.site().wind().pressurePa());
        totals.put(
                "roof_snow_Pa",
                design.site().snow() == null ? null : design.site().snow().roofPa());
        totals.put("row_gap_m", design.layout().gapM());
        return totals;
    }

    private static double sum(List<RoofLoads> roofs, ToDoubleFunction<RoofLoads> of) {
        return roofs.stream().mapToDouble(of).sum();
    }

    private static Map<String, Object> check(Check c) {
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("id", c.id());
        map.put("title", c.title());
        map.put("about", c.about());
        map.put("where", c.where());
        map.put("verdict", c.verdict().words());
        map.put("utilisation", Double.isFinite(c.utilisation()) ? c.utilisation() : null);
        map.put("demand", c.demand());
        map.put("capacity", c.capacity());
        map.put("place", c.place() == null ? null : c.place().words());
        map.put("source", c.source());
        map.put("remark", c.remark());
        return map;
    }

    private static List<Map<String, Object>> modules(Design design) {
        List<Map<String, Object>> list = new ArrayList<>();
        for (HoldDown.Demand d : design.holdDown().demands()) {
            var corner = design.layout().corners(d.module())[0];
            Map<String, Object> map = new LinkedHashMap<>();
            map.put("number", d.module().number());
            map.put("grid", d.module().id());
            map.put("x_m", corner.x);
            map.put("y_m", corner.y);
            map.put("zone", d.zone());
            map.put("edge_factor", d.pressure().edgeFactor());
            map.put("uplift_Pa", finite(d.pressure().upliftPa()));
            list.add(map);
        }
        return list;
    }

    private static Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }

    private static List<Map<String, Object>> positions(Design design) {
        List<Map<String, Object>> list = new ArrayList<>();
        for (HoldDown.Position p : design.holdDown().positions()) {
            var at = design.layout().frame().plan(p.s(), p.t());
            Map<String, Object> map = new LinkedHashMap<>();
            map.put("number", p.number());
            map.put("grid", p.id());
            map.put("x_m", at.x);
            map.put("y_m", at.y);
            boolean known = design.holdDown().established();
            map.put("blocks_needed", known ? p.ballast().blocksNeeded() : null);
            map.put("blocks_placed", known ? p.ballast().blocksPlaced() : null);
            map.put("required_kg", known ? p.ballast().requiredKg() : null);
            list.add(map);
        }
        return list;
    }

    private static List<Map<String, Object>> strings(Design design) {
        List<Map<String, Object>> list = new ArrayList<>();
        for (Circuits.PvString s : design.strings().strings()) {
            Map<String, Object> map = new LinkedHashMap<>();
            map.put("name", s.name());
            map.put("inverter", s.inverter());
            map.put("tracker", s.tracker());
            map.put(
                    "modules",
                    s.modules().stream()
                            .map(i -> design.layout().modules().get(i).number())
                            .toList());
            list.add(map);
        }
        return list;
    }

    /** Every inverter group with its run. */
    private static List<Object> groups(Design design) {
        List<Object> list = new ArrayList<>();
        for (InverterGroup g : design.job().document().groups()) {
            Circuits.Group c = design.circuits().group(g.id());
            Map<String, Object> map = new LinkedHashMap<>();
            map.put("id", g.id());
            map.put("name", g.name());
            map.put("model", g.electrical().inverter().info().name());
            map.put("first_inverter", c.first());
            map.put("inverters", c.inverters());
            map.put("ac_VA", c.acVa());
            map.put("dc_over_ac", c.ratio());
            Design feeding = design.feeding(g);
            map.put("run", feeding == null ? null : run(feeding));
            list.add(map);
        }
        return list;
    }

    private static Map<String, Object> run(Design design) {
        AcRun run = design.run();
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("length_m", run.lengthM());
        SnowOnRun snow = design.snowOnRun();
        if (snow != null) {
            map.put("deepest_snow_m", snow.deepestM());
            map.put("deepest_snow_at_m", snow.atM());
        }
        if (run.sizing() != null) {
            map.put("current_A", run.current().currentA());
            map.put("feasible", run.sizing().feasible());
            map.put("device_A", run.sizing().deviceA());
            if (run.sizing().feasible()) {
                map.put("size", run.sizing().chosen().size().name());
                map.put("sets", run.sizing().chosen().sets());
                map.put("ground", run.sizing().ground());
                map.put("drop_pct", run.sizing().chosen().drop().dropPct());
            }
        }
        return map;
    }

    private static List<Object> bays(Design design) {
        List<Object> list = new ArrayList<>();
        for (RoofLoads.BayLoad bay : design.loads().bays()) {
            Map<String, Object> map = new LinkedHashMap<>();
            map.put("bay", bay.bay().name());
            map.put("area_m2", bay.load().areaM2());
            map.put("mass_kg", bay.load().massKg());
            map.put("load_Pa", bay.load().loadPa());
            list.add(map);
        }
        return list;
    }

    private static Map<String, Object> working(Working w) {
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("figure", w.figure());
        map.put("title", w.title());
        map.put("answer", w.answer());
        List<Object> steps = new ArrayList<>();
        for (Step s : w.steps()) {
            Map<String, Object> step = new LinkedHashMap<>();
            step.put("symbol", s.symbol());
            step.put("meaning", s.meaning());
            step.put("formula", s.symbolic());
            step.put("substituted", s.substituted());
            step.put("result", s.result());
            step.put("clause", s.clause());
            step.put("status", s.status() == null ? null : s.status().words());
            steps.add(step);
        }
        map.put("steps", steps);
        map.put("notes", w.notes());
        return map;
    }
}
