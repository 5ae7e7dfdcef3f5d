package whipsaw.core.table;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.working.DataStatus;

/** External coefficients of roofs and the area factor of panels parallel to them, ASCE 7-16. Areas are in square feet. */
public final class PanelTables {
    private final CodeTable lowSlopeTable;
    private final CodeTable gableTable;
    private final CodeTable areaTable;
    private final CodeTable internalTable;
    private final Map<String, Double> internal = new LinkedHashMap<>();
    private final Map<String, Curve> curves = new LinkedHashMap<>();
    private final Curve areaFactor;

    PanelTables(CodeTables tables) {
        lowSlopeTable = tables.table("asce_gcp_low_slope");
        gableTable = tables.table("asce_gcp_gable_7_20");
        areaTable = tables.table("asce_panel_area_factor");
        internalTable = tables.table("asce_internal_pressure");
        internalTable.rows().forEach(row -> internal.put(row.get("enclosure"), CodeTable.number(row, "gcpi")));
        Map<String, List<Curve.Node>> nodes = new LinkedHashMap<>();
        for (Map<String, String> row : lowSlopeTable.rows()) {
            add(nodes, "low " + row.get("sign") + " " + row.get("zone"), row, "gcp");
        }
        for (Map<String, String> row : gableTable.rows()) {
            add(nodes, "gable negative " + row.get("zone"), row, "gcp");
        }
        nodes.forEach((key, list) -> curves.put(key, new Curve(list)));
        List<Curve.Node> factors = new ArrayList<>();
        for (Map<String, String> row : areaTable.rows()) {
            factors.add(new Curve.Node(CodeTable.number(row, "area_ft2"), CodeTable.number(row, "gamma_a")));
        }
        areaFactor = new Curve(factors);
    }

    private static void add(Map<String, List<Curve.Node>> nodes, String key, Map<String, String> row, String value) {
        nodes.computeIfAbsent(key, k -> new ArrayList<>())
                .add(new Curve.Node(CodeTable.number(row, "area_ft2"), CodeTable.number(row, value)));
    }

    /** Coefficients of suction of a roof up to 7 deg in zone {@code 1p}, {@code 1}, {@code 2} or {@code 3}. */
    public Curve lowSlopeSuction(String zone) {
        return curves.get("low negative " + zone);
    }

    /** Coefficients of pressure of a roof up to 7 deg, in every zone. */
    public Curve lowSlopePressure() {
        return curves.get("low positive all");
    }

    /** Coefficients of suction of a gable roof over 7 to 20 deg in zone {@code 1_2e}, {@code 2n_2r_3e} or {@code 3r}. */
    public Curve gableSuction(String zone) {
        return curves.get("gable negative " + zone);
    }

    /** Zones of gables over 7 to 20 deg, as the table names them. */
    public List<String> gableZones() {
        return gableTable.rows().stream().map(row -> row.get("zone")).distinct().toList();
    }

    /** Equalisation factor of panels. */
    public Curve areaFactor() {
        return areaFactor;
    }

    /** Coefficient of the pressure inside a building that is {@code enclosed} or {@code partially_enclosed}. */
    public double internal(String enclosure) {
        return internal.get(enclosure);
    }

    /** What pitched roofs rest on; the coefficients of steeper gables only once they were confirmed. */
    public List<CodeTable> all() {
        List<CodeTable> all = new ArrayList<>(List.of(lowSlopeTable, areaTable, internalTable));
        if (gableTable.status() == DataStatus.CONFIRMED) {
            all.add(gableTable);
        }
        return all;
    }

    /** Pressure inside, ASCE 7-16 Table 26.13-1. */
    public CodeTable internalTable() {
        return internalTable;
    }

    /** Pressure on low slopes, ASCE 7-16 Fig. 30.3-2A. */
    public CodeTable lowSlopeTable() {
        return lowSlopeTable;
    }

    /** Pressure on gables, ASCE 7-16 Fig. 30.3-2B to D. */
    public CodeTable gableTable() {
        return gableTable;
    }

    /** Equalization of panels by area, ASCE 7-16 29.4.4. */
    public CodeTable areaTable() {
        return areaTable;
    }
}
