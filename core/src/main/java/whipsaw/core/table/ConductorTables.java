package whipsaw.core.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.units.Limits;

/** NEC conductor tables: ampacity, resistance, factors, device ratings and equipment grounds. */
public final class ConductorTables {
    /** One size of Table 310.16 with its area. */
    public record Size(String name, double areaCmil, Map<String, Double> ampacityA) {
        /** Ampacity of a material and temperature column, NaN where there is none. */
        public double ampacity(String material, int columnC) {
            return ampacityA.get(material + columnC);
        }
    }

    private final CodeTable ampacityTable;
    private final CodeTable temperatureTable;
    private final CodeTable countTable;
    private final CodeTable dcTable;
    private final CodeTable acTable;
    private final CodeTable deviceTable;
    private final CodeTable groundTable;
    private final CodeTable smallTable;
    private final CodeTable roofTable;
    private final List<Size> sizes = new ArrayList<>();
    private final Map<String, Map<String, String>> dcBySize = new HashMap<>();
    private final Map<String, Map<String, String>> acBySize = new HashMap<>();
    private final List<Integer> deviceRatingsA = new ArrayList<>();

    ConductorTables(CodeTables tables) {
        ampacityTable = tables.table("nec_310_16_ampacity");
        temperatureTable = tables.table("nec_310_15_b_1_temperature");
        countTable = tables.table("nec_310_15_c_1_count");
        dcTable = tables.table("nec_ch9_t8_dc_resistance");
        acTable = tables.table("nec_ch9_t9_ac_impedance");
        deviceTable = tables.table("nec_240_6_ocpd");
        groundTable = tables.table("nec_250_122_egc");
        smallTable = tables.table("nec_240_4_d_small_conductors");
        roofTable = tables.table("nec_310_15_b_2_rooftop");
        for (Map<String, String> row : ampacityTable.rows()) {
            Map<String, Double> ampacity = new HashMap<>();
            for (String material : List.of("cu", "al")) {
                for (int column : List.of(60, 75, 90)) {
                    ampacity.put(material + column, CodeTable.number(row, material + "_" + column + "C_A"));
                }
            }
            sizes.add(new Size(row.get("size"), CodeTable.number(row, "area_cmil"), ampacity));
        }
        dcTable.rows().forEach(row -> dcBySize.put(row.get("size"), row));
        acTable.rows().forEach(row -> acBySize.put(row.get("size"), row));
        deviceTable.rows().stream()
                .filter(row -> row.get("kind").equals("breaker_or_fuse"))
                .mapToInt(row -> Integer.parseInt(row.get("rating_A")))
                .sorted()
                .forEach(deviceRatingsA::add);
    }

    /** All tables, for the list of sources of a result. */
    public List<CodeTable> all() {
        return List.of(
                ampacityTable,
                temperatureTable,
                countTable,
                dcTable,
                acTable,
                deviceTable,
                groundTable,
                smallTable,
                roofTable);
    }

    /** Ampacities, NEC 310.16. */
    public CodeTable ampacityTable() {
        return ampacityTable;
    }

    /** Corrections for ambient temperature, NEC 310.15(B)(1). */
    public CodeTable temperatureTable() {
        return temperatureTable;
    }

    /** Adjustments for conductors in a raceway, NEC 310.15(C)(1). */
    public CodeTable countTable() {
        return countTable;
    }

    /** Resistance of direct current, NEC chapter 9 table 8. */
    public CodeTable dcTable() {
        return dcTable;
    }

    /** Impedance of alternating current, NEC chapter 9 table 9. */
    public CodeTable acTable() {
        return acTable;
    }

    /** Standard ratings of devices, NEC 240.6(A). */
    public CodeTable deviceTable() {
        return deviceTable;
    }

    /** Equipment grounds, NEC 250.122. */
    public CodeTable groundTable() {
        return groundTable;
    }

    /** Sizes from the smallest up. */
    public List<Size> sizes() {
        return sizes;
    }

    /** A size by its name; null when there is none. */
    public Size size(String name) {
        return sizes.stream().filter(s -> s.name().equals(name)).findFirst().orElse(null);
    }

    /**
     * 310.15(B)(1)(1) factor of the 60, 75 or 90 °C column; NaN above its last bracket or where not
     * permitted.
     */
    public double temperatureFactor(double ambientC, int columnC) {
        for (Map<String, String> row : temperatureTable.rows()) {
            if (Limits.atMost(ambientC, CodeTable.number(row, "ambient_up_to_C"))) {
                return CodeTable.number(row, "factor_" + columnC + "C");
            }
        }
        return Double.NaN;
    }

    /** 310.15(C)(1) factor for a count of current-carrying conductors in a raceway. */
    public double countFactor(int conductors) {
        for (Map<String, String> row : countTable.rows()) {
            if (conductors <= CodeTable.number(row, "to_count")) {
                return CodeTable.number(row, "factor");
            }
        }
        return Double.NaN;
    }

    /**
     * Chapter 9 Table 8 resistance of uncoated copper or aluminium, ohm per 1000 ft; NaN when not
     * listed.
     */
    public double dcOhmPerKft(String size, String material) {
        Map<String, String> row = dcBySize.get(size);
        String column = material.equals("cu") ? "cu_uncoated_ohm_per_kft" : "al_ohm_per_kft";
        return row == null ? Double.NaN : CodeTable.number(row, column);
    }

    /**
     * Chapter 9 Table 9 resistance in PVC or steel raceway, ohm per 1000 ft; NaN when not listed.
     */
    public double acOhmPerKft(String size, String material, String raceway) {
        Map<String, String> row = acBySize.get(size);
        return row == null ? Double.NaN : CodeTable.number(row, "r_" + material + "_" + raceway + "_ohm_per_kft");
    }

    /**
     * Chapter 9 Table 9 reactance in PVC or steel raceway, ohm per 1000 ft; NaN when not listed.
     */
    public double reactanceOhmPerKft(String size, String raceway) {
        Map<String, String> row = acBySize.get(size);
        String column = raceway.equals("pvc") ? "x_pvc_or_al_conduit_ohm_per_kft" : "x_steel_conduit_ohm_per_kft";
        return row == null ? Double.NaN : CodeTable.number(row, column);
    }

    /** Next standard overcurrent device from 15 A at or above a current; 0 when there is none. */
    public int deviceAtLeast(double currentA) {
        for (int rating : deviceRatingsA) {
            if (rating >= 15 && Limits.atMost(currentA, rating)) {
                return rating;
            }
        }
        return 0;
    }

    /**
     * 310.15(B)(2): below this height above a roof in the sun the ambient is raised; inches as
     * printed.
     */
    public double rooftopAdderBelowIn() {
        return CodeTable.number(roofTable.rows().get(0), "below_in");
    }

    /** Largest device for a small conductor by 240.4(D); no limit for larger ones. */
    public double smallConductorDeviceA(String material, String size) {
        for (Map<String, String> row : smallTable.rows()) {
            if (row.get("material").equals(material) && row.get("size").equals(size)) {
                return CodeTable.number(row, "max_ocpd_A");
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    /** Table 250.122 equipment grounding conductor by device rating; null above the table. */
    public String groundSize(double deviceA, String material) {
        for (Map<String, String> row : groundTable.rows()) {
            if (Limits.atMost(deviceA, CodeTable.number(row, "ocpd_not_exceeding_A"))) {
                String size = row.get(material + "_size");
                return size.isBlank() ? null : size;
            }
        }
        return null;
    }
}
