package whipsaw.core.build;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Job;
import whipsaw.core.run.AcRun;
import whipsaw.core.run.ConductorSizing;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/** What has to be delivered, counted from the layout, without spares. */
public record Counts(List<Line> lines) {

    /**
     * @param massKg of all of it; NaN where it does not matter
     */
    public record Line(String item, String quantity, double massKg) {}

    public Counts {
        lines = List.copyOf(lines);
    }

    /**
     * What all arrays of a job come to; parts of one name are counted together.
     *
     * @param runs by inverter group
     * @param attachments of all arrays, a first estimate; 0 for none
     */
    public static Counts of(List<LaidArray> arrays, int attachments, Circuits circuits, Map<String, AcRun> runs) {
        Map<String, Line> byItem = new LinkedHashMap<>();
        for (LaidArray a : arrays) {
            int modules = a.layout().modules().size();
            ArrayChoice array = a.job().array();
            add(byItem, "Modules, " + array.module().info().name(), modules, modules * a.moduleKg());
        }
        for (LaidArray a : arrays) {
            int modules = a.layout().modules().size();
            String tray = a.job().array().tray().info().name();
            add(byItem, "Tray sets for one module, " + tray, modules, modules * a.rackingKg());
        }
        for (LaidArray a : arrays) {
            String blocks = "Blocks, " + a.job().array().block().info().name();
            if (a.holdDown().established()) {
                add(byItem, blocks, a.holdDown().blocks(), a.holdDown().ballastKg());
            } else {
                byItem.put(blocks, new Line(blocks, "not established", Double.NaN));
            }
        }
        List<Line> lines = new ArrayList<>(byItem.values());
        Job job = arrays.get(0).job();
        if (attachments > 0) {
            lines.add(line("Attachments, first estimate", attachments, Double.NaN));
        }
        lines.add(line("Strings", circuits.strings(), Double.NaN));
        Map<String, Line> inverters = new LinkedHashMap<>();
        Map<String, Double> conductors = new LinkedHashMap<>();
        for (InverterGroup g : job.document().groups()) {
            Electrical e = g.electrical();
            int count = circuits.group(g.id()).inverters();
            add(inverters, "Inverters, " + e.inverter().info().name(), count, 0);
            AcRun run = runs.get(g.id());
            if (run.sizing() != null && run.sizing().feasible()) {
                ConductorSizing.Choice c = run.sizing().chosen();
                conductors.merge(
                        conductor(c.size().name(), e.run().material()),
                        3 * c.sets() * run.lengthM() * e.run().feeders(),
                        Double::sum);
            }
        }
        inverters.values().forEach(l -> lines.add(new Line(l.item(), l.quantity(), Double.NaN)));
        conductors.forEach((size, lengthM) -> lines.add(new Line(
                "AC phase conductor " + size,
                Show.both(job.project().units(), Dimension.ROOF_LENGTH, lengthM),
                Double.NaN)));
        return new Counts(lines);
    }

    /** Adds to the count of an item; what is not established of it stays so. */
    private static void add(Map<String, Line> byItem, String item, int count, double massKg) {
        Line there = byItem.get(item);
        if (there == null) {
            byItem.put(item, line(item, count, massKg));
        } else if (!Double.isNaN(there.massKg())) {
            byItem.put(item, line(item, Integer.parseInt(there.quantity()) + count, there.massKg() + massKg));
        }
    }

    /** A size as it is called: {@code 4/0 AWG Cu} or {@code 350 kcmil Al}. */
    public static String conductor(String size, String material) {
        boolean kcmil = !size.contains("/") && Integer.parseInt(size) >= 250;
        return size + (kcmil ? " kcmil " : " AWG ") + (material.equals("cu") ? "Cu" : "Al");
    }

    private static Line line(String item, int count, double massKg) {
        return new Line(item, String.valueOf(count), massKg);
    }
}
