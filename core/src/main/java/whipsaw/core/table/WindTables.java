package whipsaw.core.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** ASCE 7 exposure constants, nominal net coefficients of tilted panels and load factors. */
public final class WindTables {
    /** Constants of the velocity pressure profile of one exposure. */
    public record Exposure(double multiplier, double alpha, double gradientHeightFt) {}

    /** Load factors on dead load and wind of one method. */
    public record LoadFactors(double dead, double wind, String combination, String clause) {
        /** Clause and combination, for a reader. */
        public String words() {
            return clause + ", " + combination;
        }
    }

    private final CodeTable exposureTable;
    private final CodeTable coefficientTable;
    private final CodeTable factorTable;
    private final Map<String, Exposure> exposures = new HashMap<>();
    private final Map<String, Curve> coefficients = new HashMap<>();
    private final Map<String, LoadFactors> factors = new HashMap<>();
    private final double lowTiltMaxDeg;
    private final double highTiltMinDeg;

    WindTables(CodeTables tables) {
        exposureTable = tables.table("asce_exposure");
        for (Map<String, String> row : exposureTable.rows()) {
            exposures.put(
                    row.get("edition") + row.get("exposure"),
                    new Exposure(
                            CodeTable.number(row, "multiplier"),
                            CodeTable.number(row, "alpha"),
                            CodeTable.number(row, "zg_ft")));
        }
        coefficientTable = tables.table("asce_gcrn_nominal");
        Map<String, List<Curve.Node>> nodes = new HashMap<>();
        double lowMax = 0;
        double highMin = Double.MAX_VALUE;
        for (Map<String, String> row : coefficientTable.rows()) {
            nodes.computeIfAbsent(row.get("tilts") + row.get("zone"), k -> new ArrayList<>())
                    .add(new Curve.Node(CodeTable.number(row, "normalised_area_ft2"), CodeTable.number(row, "gcrn")));
            if (row.get("tilts").equals("low")) {
                lowMax = Math.max(lowMax, CodeTable.number(row, "tilt_to_deg"));
            } else {
                highMin = Math.min(highMin, CodeTable.number(row, "tilt_from_deg"));
            }
        }
        lowTiltMaxDeg = lowMax;
        highTiltMinDeg = highMin;
        nodes.forEach((key, list) -> coefficients.put(key, new Curve(list)));
        factorTable = tables.table("load_factors");
        for (Map<String, String> row : factorTable.rows()) {
            factors.put(
                    row.get("method"),
                    new LoadFactors(
                            CodeTable.number(row, "dead"),
                            CodeTable.number(row, "wind"),
                            row.get("combination"),
                            row.get("clause")));
        }
    }

    /** Terrain constants, ASCE 7 Table 26.11-1. */
    public CodeTable exposureTable() {
        return exposureTable;
    }

    /** Nominal net coefficients, ASCE 7-16 Fig. 29.4-7. */
    public CodeTable coefficientTable() {
        return coefficientTable;
    }

    /** Load factors on wind and weight. */
    public CodeTable factorTable() {
        return factorTable;
    }

    /** Constants by edition ({@code 7-16}) and exposure ({@code B}); null when not in the table. */
    public Exposure exposure(String edition, String exposure) {
        return exposures.get(edition + exposure);
    }

    /** Load factors by method; null when not in the table. */
    public LoadFactors loadFactors(String method) {
        return factors.get(method);
    }

    /**
     * Nominal net coefficient of a tilted panel.
     *
     * @param zone {@code 1}, {@code 2} or {@code 3}
     * @param tiltDeg between the curves of low and of high tilts it is linear in the tilt
     * @param normalisedAreaFt2 normalised wind area in square feet
     */
    public double gcrnNominal(String zone, double tiltDeg, double normalisedAreaFt2) {
        double low = coefficients.get("low" + zone).at(normalisedAreaFt2);
        double high = coefficients.get("high" + zone).at(normalisedAreaFt2);
        double part = (tiltDeg - lowTiltMaxDeg) / (highTiltMinDeg - lowTiltMaxDeg);
        return low + Math.min(1, Math.max(0, part)) * (high - low);
    }
}
