package whipsaw.core.table;

import java.util.Map;

/** The highest DC voltage an array may have by where it is. */
public final class DcVoltageTable {
    private final CodeTable table;

    DcVoltageTable(CodeTable table) {
        this.table = table;
    }

    /**
     * A limit.
     *
     * @param mostV volts
     */
    public record Limit(double mostV, String clause) {}

    /**
     * @param family code family, {@code asce} or {@code en}
     * @param place {@code dwelling}, {@code building} or {@code ground}
     */
    public Limit at(String family, String place) {
        for (Map<String, String> row : table.rows()) {
            if (row.get("family").equals(family) && row.get("place").equals(place)) {
                return new Limit(CodeTable.number(row, "most_V"), row.get("clause"));
            }
        }
        throw new IllegalArgumentException("no DC voltage limit on a " + place + " by " + family);
    }

    /** The table it was read from. */
    public CodeTable table() {
        return table;
    }
}
