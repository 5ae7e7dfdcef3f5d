package whipsaw.core.table;

import java.util.Map;
import whipsaw.core.units.Limits;

/** NEC Table 690.7(A): voltage factor by lowest ambient for modules without a coefficient. */
public final class VoltageFactorTable {
    private static final double STANDARD_TEST_C = 25;

    private final CodeTable table;

    VoltageFactorTable(CodeTable table) {
        this.table = table;
    }

    /** The table it was read from. */
    public CodeTable table() {
        return table;
    }

    /** The factor, 1.0 at 25 °C and above; NaN below the coldest row. */
    public double factor(double recordLowC) {
        if (recordLowC >= STANDARD_TEST_C) {
            return 1.0;
        }
        for (Map<String, String> row : table.rows()) {
            if (Limits.atMost(CodeTable.number(row, "ambient_down_to_C"), recordLowC)) {
                return CodeTable.number(row, "factor");
            }
        }
        return Double.NaN;
    }
}
