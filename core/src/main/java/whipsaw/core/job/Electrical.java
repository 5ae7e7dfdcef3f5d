package whipsaw.core.job;

import java.util.List;
import whipsaw.core.catalogue.ConductorType;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * @param place where the array is: for the DC voltage it may have
 * @param dcAcMost limit of DC power over AC rating
 * @param cellRiseC cell above ambient
 * @param run AC run from the inverters to the point of connection
 */
public record Electrical(
        @Input(label = "Inverter", catalogue = "inverter") InverterType inverter,
        @Input(
                        label = "Array location",
                        choices = {"building", "dwelling", "ground"},
                        words = {"on or in a building", "a one- or two-family dwelling", "the ground"},
                        orElse = "building",
                        quiet = true)
                String place,
        @Input(label = "Largest DC/AC ratio", least = 0.5, most = 2.5) double dcAcMost,
        @Input(label = "DC system limit", dim = Dimension.VOLTAGE, least = 100, most = 1500) Measure systemLimit,
        @Input(label = "Cell temperature rise above ambient", least = 0, most = 60, unit = "°C") double cellRiseC,
        @Input(label = "AC run", section = true) AcRun run) {

    /**
     * @param points on the plan; the first is where the inverters stand
     * @param legs vertical legs
     * @param slackPct added to the length
     * @param conductor the kind of conductor pulled
     * @param feeders equal runs side by side, the inverters shared evenly over them
     */
    public record AcRun(
            @Input(label = "Route of the AC run", each = "Point", by = "", fewest = 2, many = 200) List<Corner> points,
            @Input(label = "Vertical legs", each = "Vertical leg", by = "") List<VerticalLeg> legs,
            @Input(label = "Slack", least = 0, most = 50, unit = "%") double slackPct,
            @Input(label = "Conductor", catalogue = "conductor") ConductorType conductor,
            @Input(
                            label = "Raceway",
                            choices = {"steel", "pvc"})
                    String raceway,
            @Input(
                            label = "Terminals",
                            key = "terminals",
                            choices = {"75 C", "60 C"},
                            as = TerminalRating.class)
                    int terminalC,
            @Input(label = "In the sun", orElse = "true") boolean inSun,
            @Input(label = "Above the roof", dim = Dimension.PART_LENGTH, least = 0, most = 2) Measure aboveRoof,
            @Input(label = "Voltage drop limit", least = 0.1, most = 10, unit = "%") double dropLimitPct,
            @Input(label = "Power factor", least = 0.8, most = 1) double powerFactor,
            @Input(label = "Feeders side by side", least = 1, most = 200, orElse = "1") int feeders) {
        public AcRun {
            points = List.copyOf(points);
            legs = List.copyOf(legs);
        }

        /** {@code cu} or {@code al}. */
        public String material() {
            return conductor.material();
        }
    }

    /** A rise or drop of the run. */
    public record VerticalLeg(
            @Input(label = "What it is", longest = 60) String name,
            @Input(label = "Length", dim = Dimension.ROOF_LENGTH, least = 0, most = 200) Measure length) {}
}
