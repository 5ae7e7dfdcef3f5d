package whipsaw.core.table;

import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;

/** Terrain, roof coefficients and recommended values of EN 1991-1-3 and EN 1991-1-4. */
public final class EnTables {
    /** Roughness length and least height of a terrain category. */
    public record Terrain(double roughnessM, double leastHeightM) {}

    private final CodeTable terrainTable;
    private final CodeTable roofTable;
    private final CodeTable recommendedTable;
    private final Map<String, Terrain> terrains = new HashMap<>();
    private final Map<String, TreeMap<Double, double[]>> roof = new HashMap<>();
    private final Map<String, Double> recommended = new HashMap<>();

    EnTables(CodeTables tables) {
        terrainTable = tables.table("en_terrain");
        roofTable = tables.table("en_flat_roof");
        recommendedTable = tables.table("en_recommended");
        for (Map<String, String> row : terrainTable.rows()) {
            terrains.put(
                    row.get("terrain"), new Terrain(CodeTable.number(row, "z0_m"), CodeTable.number(row, "zmin_m")));
        }
        for (Map<String, String> row : roofTable.rows()) {
            roof.computeIfAbsent(row.get("zone"), k -> new TreeMap<>())
                    .put(
                            CodeTable.number(row, "parapet_over_height"),
                            new double[] {CodeTable.number(row, "cpe10"), CodeTable.number(row, "cpe1")});
        }
        recommendedTable.rows().forEach(row -> recommended.put(row.get("parameter"), CodeTable.number(row, "value")));
    }

    /** Terrain categories, EN 1991-1-4 Table 4.1. */
    public CodeTable terrainTable() {
        return terrainTable;
    }

    /** Pressure coefficients of flat roofs, EN 1991-1-4 Table 7.2. */
    public CodeTable roofTable() {
        return roofTable;
    }

    /** Recommended values that a national annex may replace. */
    public CodeTable recommendedTable() {
        return recommendedTable;
    }

    /** A category; null when it is not in the table. */
    public Terrain terrain(String category) {
        return terrains.get(category);
    }

    /** Roof coefficient of a zone, linear in the parapet over the height, constant beyond the table. */
    public double roofCoefficient(String zone, double parapetOverHeight, boolean tenSquareMetres) {
        TreeMap<Double, double[]> rows = roof.get(zone);
        int column = tenSquareMetres ? 0 : 1;
        var low = rows.floorEntry(parapetOverHeight);
        var high = rows.ceilingEntry(parapetOverHeight);
        if (low == null || high == null) {
            return (low == null ? high : low).getValue()[column];
        }
        double span = high.getKey() - low.getKey();
        double part = span == 0 ? 0 : (parapetOverHeight - low.getKey()) / span;
        return low.getValue()[column] + part * (high.getValue()[column] - low.getValue()[column]);
    }

    /** A recommended value. */
    public double recommended(String parameter) {
        Double value = recommended.get(parameter);
        if (value == null) {
            throw new IllegalArgumentException("en_recommended has no " + parameter);
        }
        return value;
    }
}
