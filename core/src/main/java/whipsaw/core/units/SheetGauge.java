package whipsaw.core.units;

import java.math.BigDecimal;
import java.util.Map;

/** Manufacturers' standard gauge of uncoated steel sheet, inches: from memory, not checked against a printed table. */
final class SheetGauge {
    private static final Map<Integer, String> INCHES = Map.ofEntries(
            Map.entry(10, "0.1345"),
            Map.entry(12, "0.1046"),
            Map.entry(14, "0.0747"),
            Map.entry(16, "0.0598"),
            Map.entry(18, "0.0478"),
            Map.entry(20, "0.0359"),
            Map.entry(22, "0.0299"),
            Map.entry(24, "0.0239"),
            Map.entry(26, "0.0179"),
            Map.entry(28, "0.0149"),
            Map.entry(29, "0.0135"));

    private SheetGauge() {}

    /** Thickness in inches; null for a gauge that is not in the list. */
    static BigDecimal inches(int gauge) {
        String known = INCHES.get(gauge);
        return known == null ? null : new BigDecimal(known);
    }
}
