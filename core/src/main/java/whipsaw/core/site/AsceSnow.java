package whipsaw.core.site;

import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;

/**
 * Snow on a flat roof, ASCE 7-16 7.3, 7.3.4 and 7.10, evaluated in psf.
 *
 * @param flatPa p_f
 * @param minimumPa p_m; a separate uniform case for low slopes, 0 above them
 * @param rainOnSnow whether the surcharge applies
 * @param withRainPa p_f with the surcharge
 * @param roofPa the larger of that and the minimum
 */
public record AsceSnow(
        Input input, double flatPa, double minimumPa, boolean rainOnSnow, double withRainPa, double roofPa)
        implements SnowLoad {

    /**
     * @param groundPa ground snow load
     * @param importance factor of the risk category
     * @param eaveToRidgeM horizontal distance the roof falls over
     */
    public record Input(
            double groundPa,
            double exposure,
            double thermal,
            double importance,
            double slopeDeg,
            double eaveToRidgeM) {}

    public static AsceSnow of(Input in, ParameterTable table) {
        Unit psf = Unit.POUND_PER_SQUARE_FOOT;
        double ground = psf.fromSi(in.groundPa());
        double limit = table.value("low_snow_limit_psf");
        double flat = table.value("flat_factor") * in.exposure() * in.thermal() * in.importance() * ground;
        boolean low = Limits.atMost(ground, limit);
        boolean flatEnough = in.slopeDeg() < table.value("minimum_slope_below_deg") - Limits.SLACK;
        double minimum = flatEnough ? in.importance() * (low ? ground : limit) : 0;
        double divisor = table.value("rain_slope_divisor_ft_per_deg");
        boolean rain =
                ground > 0 && low && in.slopeDeg() < Unit.FOOT.fromSi(in.eaveToRidgeM()) / divisor - Limits.SLACK;
        double withRain = flat + (rain ? table.value("rain_surcharge_psf") : 0);
        return new AsceSnow(
                in, psf.toSi(flat), psf.toSi(minimum), rain, psf.toSi(withRain), psf.toSi(Math.max(withRain, minimum)));
    }
}
