package whipsaw.core.energy;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import whipsaw.core.data.CsvRows;

/** Brightness coefficients of Perez and others, Solar Energy 44 (1990), all-sites composite. */
final class PerezSky {
    private static final String[] COLUMNS = {"F11", "F12", "F13", "F21", "F22", "F23"};
    private static final double[] FROM;
    private static final double[][] F;

    static {
        List<Map<String, String>> rows = CsvRows.shipped("energy/perez-1990.csv");
        FROM = new double[rows.size()];
        F = new double[rows.size()][];
        for (int i = 0; i < FROM.length; i++) {
            Map<String, String> row = rows.get(i);
            FROM[i] = Double.parseDouble(row.get("clearness_from"));
            F[i] = Arrays.stream(COLUMNS)
                    .mapToDouble(c -> Double.parseDouble(row.get(c)))
                    .toArray();
        }
    }

    private static final double KAPPA = 1.041;

    private PerezSky() {}

    /** Relative air mass of Kasten and Young 1989, without pressure. */
    static double airMass(double zenithRad) {
        return 1 / (Math.cos(zenithRad) + 0.50572 * Math.pow(96.07995 - Math.toDegrees(zenithRad), -1.6364));
    }

    /**
     * F1 of the circumsolar part and F2 of the horizon.
     *
     * @param zenithRad of the sun
     * @param diffuse horizontal, W/m2, above 0
     * @param beam normal, W/m2
     * @param extraterrestrial normal, W/m2
     */
    static double[] brightness(double zenithRad, double diffuse, double beam, double extraterrestrial) {
        double z3 = KAPPA * zenithRad * zenithRad * zenithRad;
        double epsilon = ((diffuse + beam) / diffuse + z3) / (1 + z3);
        int bin = 0;
        while (bin + 1 < FROM.length && epsilon >= FROM[bin + 1]) {
            bin++;
        }
        double[] f = F[bin];
        double delta = diffuse * airMass(zenithRad) / extraterrestrial;
        return new double[] {Math.max(0, f[0] + f[1] * delta + f[2] * zenithRad), f[3] + f[4] * delta + f[5] * zenithRad
        };
    }
}
