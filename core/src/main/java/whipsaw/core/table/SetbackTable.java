package whipsaw.core.table;

import java.util.Map;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;

/** Clear perimeter of a flat roof for access, by the sides of the building. */
public final class SetbackTable {
    private final CodeTable table;

    SetbackTable(CodeTable table) {
        this.table = table;
    }

    /** A distance with the rule that gave it. */
    public record Setback(double distanceM, String words) {}

    /** The table it was read from. */
    public CodeTable table() {
        return table;
    }

    /** The distance for a building: the rule's shorter one where either side is short enough. */
    public Setback forSides(double longSideM, double shortSideM) {
        for (Map<String, String> row : table.rows()) {
            double limitFt = CodeTable.number(row, "either_side_up_to_ft");
            double setbackFt = CodeTable.number(row, "setback_ft");
            boolean last = Double.isNaN(limitFt);
            if (last || Limits.atMost(Math.min(longSideM, shortSideM), Unit.FOOT.toSi(limitFt))) {
                String words = Show.number(setbackFt, 1)
                        + " ft"
                        + (last ? "" : ", either side up to " + Show.number(limitFt, 0) + " ft");
                return new Setback(Unit.FOOT.toSi(setbackFt), words);
            }
        }
        throw new IllegalStateException("the set-back table has no last row");
    }
}
