package whipsaw.core.build;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.ArrayChoice;
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

    /** @param attachments of the array, a first estimate; 0 for none */
    public static Counts of(
            Job job, ArrayLayout layout, HoldDown holdDown, int attachments, Circuits circuits, AcRun run) {
        List<Line> lines = new ArrayList<>();
        int modules = layout.modules().size();
        ArrayChoice array = job.array();
        lines.add(line(
                "Modules, " + array.module().info().name(),
                modules,
                modules * array.module().mass().si()));
        lines.add(line(
                "Tray sets for one module, " + array.tray().info().name(),
                modules,
                modules * array.tray().rackingMass().si()));
        String blocks = "Blocks, " + array.block().info().name();
        lines.add(
                holdDown.established()
                        ? line(blocks, holdDown.blocks(), holdDown.ballastKg())
                        : new Line(blocks, "not established", Double.NaN));
        if (attachments > 0) {
            lines.add(line("Attachments, first estimate", attachments, Double.NaN));
        }
        lines.add(line("Strings", circuits.strings().size(), Double.NaN));
        lines.add(line("Inverters, " + job.electrical().inverter().info().name(), circuits.inverters(), Double.NaN));
        if (run.sizing() != null && run.sizing().feasible()) {
            ConductorSizing.Choice c = run.sizing().chosen();
            String length = Show.both(
                    job.project().units(),
                    Dimension.ROOF_LENGTH,
                    3 * c.sets() * run.lengthM() * job.electrical().run().feeders());
            lines.add(new Line(
                    "AC phase conductor "
                            + conductor(c.size().name(), job.electrical().run().material()),
                    length,
                    Double.NaN));
        }
        return new Counts(lines);
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
