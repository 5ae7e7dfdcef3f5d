package whipsaw.core.table;

import java.util.Map;
import whipsaw.core.units.Limits;

/** Rules of the paths that arrays leave on a flat roof: perimeter, largest section, between sections, to hatches. */
public final class FirePathTable {
    private final CodeTable table;

    FirePathTable(CodeTable table) {
        this.table = table;
    }

    /**
     * One rule.
     *
     * @param title what the paths are called
     * @param authority whether the fire authority has to agree them
     * @param perimeterM kept from the roof edge
     * @param largestM longest side a section of modules may have
     * @param betweenM width of the path between sections
     * @param toHatchM width of the path from a hatch, standpipe or smoke vent to the roof edge, and kept around it
     */
    public record Rule(
            String name,
            String title,
            boolean authority,
            double perimeterM,
            double largestM,
            double betweenM,
            double toHatchM) {}

    /** The table it was read from. */
    public CodeTable table() {
        return table;
    }

    /**
     * A rule for a building: the narrower perimeter where either side is short enough.
     *
     * @param name of the rule, as jobs hold it
     */
    public Rule forSides(String name, double longSideM, double shortSideM) {
        for (Map<String, String> row : table.rows()) {
            if (row.get("rule").equals(name)) {
                double limit = CodeTable.number(row, "either_side_up_to_m");
                boolean small = !Double.isNaN(limit) && Limits.atMost(Math.min(longSideM, shortSideM), limit);
                return new Rule(
                        name,
                        row.get("title"),
                        row.get("authority").equals("yes"),
                        CodeTable.number(row, small ? "perimeter_small_m" : "perimeter_m"),
                        CodeTable.number(row, "largest_m"),
                        CodeTable.number(row, "between_m"),
                        CodeTable.number(row, "to_hatch_m"));
            }
        }
        throw new IllegalArgumentException(table.id() + " has no " + name);
    }
}
