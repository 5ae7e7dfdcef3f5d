package whipsaw.core.energy;

import java.util.Map;
import java.util.stream.Collectors;
import whipsaw.core.data.CsvRows;

/**
 * What turns light into power, by 1 kWp.
 *
 * @param u0 heat a module gives off without wind, W/m2K
 * @param u1 and more with every m/s of it, Ws/m3K
 * @param powerPerK change of power with the temperature of the cells
 * @param dcLoss share lost before the inverter
 * @param inverter efficiency
 * @param dcAcRatio DC power at standard conditions over AC rating: above it power is clipped
 * @param reflection a_r of the incidence loss of Martin and Ruiz
 */
public record YieldSystem(
        double u0, double u1, double powerPerK, double dcLoss, double inverter, double dcAcRatio, double reflection) {
    private static final Map<String, Double> USUAL = CsvRows.shipped("energy/yield.csv").stream()
            .collect(Collectors.toMap(r -> r.get("parameter"), r -> Double.parseDouble(r.get("value"))));

    /** Usual figures, those of {@code energy/yield.csv}. */
    public static YieldSystem usual(double powerPerK, double dcAcRatio) {
        return new YieldSystem(
                USUAL.get("u0_W_per_m2K"),
                USUAL.get("u1_Ws_per_m3K"),
                powerPerK,
                USUAL.get("dc_loss"),
                USUAL.get("inverter"),
                dcAcRatio,
                USUAL.get("reflection_ar"));
    }

    /** One of the usual figures by name. */
    public static double figure(String name) {
        return USUAL.get(name);
    }

    /** AC power of a DC power, both over the DC rating. */
    public double ac(double dc) {
        return Math.min(inverter * dc, 1 / dcAcRatio);
    }
}
