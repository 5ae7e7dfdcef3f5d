package whipsaw.core.energy;

import java.util.List;

/**
 * A place and the few monthly figures a synthetic year is made from.
 *
 * @param latitudeDeg north positive
 * @param longitudeDeg east positive
 * @param utcOffsetH local standard time ahead of UTC
 * @param clearness of each month: global horizontal over extraterrestrial irradiance, before the pattern of days
 * @param ambientC mean of each month
 * @param halfRangeK of the day's temperatures about it
 * @param windMPerS at the modules
 * @param albedo of the roof
 */
public record Climate(
        double latitudeDeg,
        double longitudeDeg,
        double utcOffsetH,
        List<Double> clearness,
        List<Double> ambientC,
        double halfRangeK,
        double windMPerS,
        double albedo) {
    private static final int MONTHS = 12;

    public Climate {
        clearness = List.copyOf(clearness);
        ambientC = List.copyOf(ambientC);
        if (clearness.size() != MONTHS || ambientC.size() != MONTHS) {
            throw new IllegalArgumentException("a climate has 12 months, here " + clearness.size()
                    + " of clearness and " + ambientC.size() + " of temperature");
        }
    }
}
