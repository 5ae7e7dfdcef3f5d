package whipsaw.core.site;

import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;

/**
 * Snow drift against a parapet, plant or a row, ASCE 7-16 7.7 and 7.8, evaluated in feet and pounds. The drift lies on
 * the balanced snow; the surcharges of rain and of the least roof load do not act with it.
 *
 * @param densityPcf of snow
 * @param balancedM height of the balanced snow
 * @param aboveM height of the obstacle above it
 * @param drifts whether a drift has to be taken
 * @param fullM height the drift would have without the obstacle's end
 * @param heightM of the drift
 * @param widthM from the obstacle to its end
 * @param surchargePa largest, at the obstacle
 * @param peakPa with the balanced snow
 */
public record AsceDrift(
        Input input,
        double densityPcf,
        double flatPa,
        double balancedM,
        double aboveM,
        boolean drifts,
        double fullM,
        double heightM,
        double widthM,
        double surchargePa,
        double peakPa) {

    /**
     * @param fetchM length of roof the snow comes from
     * @param factor on the height: 1 of a leeward step, else 0.75
     */
    public record Input(
            double groundPa, double flatPa, double importance, double fetchM, double obstacleM, double factor) {}

    public static AsceDrift of(Input in, ParameterTable t) {
        Unit psf = Unit.POUND_PER_SQUARE_FOOT;
        Unit ft = Unit.FOOT;
        double ground = psf.fromSi(in.groundPa());
        double flat = psf.fromSi(in.flatPa());
        double density = densityPcf(ground, t);
        double balanced = flat / density;
        double above = ft.fromSi(in.obstacleM()) - balanced;
        double fetch = Math.max(ft.fromSi(in.fetchM()), t.value("least_fetch_ft"));
        double full = in.factor()
                * Math.sqrt(in.importance())
                * Math.max(
                        0,
                        t.value("height_coefficient") * Math.cbrt(fetch) * Math.pow(ground + 10, 0.25)
                                - t.value("height_less_ft"));
        boolean drifts = ground > 0
                && above > 0
                && !(balanced > 0 && Limits.above(t.value("least_height_ratio"), above / balanced));
        double height = drifts ? Math.min(full, above) : 0;
        double width = t.value("width_factor") * full;
        if (drifts && Limits.above(full, above)) {
            width = Math.min(t.value("width_factor") * full * full / above, t.value("width_most_factor") * above);
        }
        double surcharge = density * height;
        return new AsceDrift(
                in,
                density,
                in.flatPa(),
                ft.toSi(balanced),
                ft.toSi(above),
                drifts,
                ft.toSi(full),
                ft.toSi(height),
                drifts ? ft.toSi(width) : 0,
                psf.toSi(surcharge),
                psf.toSi(flat + surcharge));
    }

    /** Density of snow, ASCE 7-16 eq. 7.7-1. */
    static double densityPcf(double groundPsf, ParameterTable t) {
        return Math.min(
                t.value("density_slope") * groundPsf + t.value("density_base_pcf"), t.value("density_most_pcf"));
    }

    /** Load at a distance from the obstacle; the balanced snow beyond the drift. */
    public double at(double distanceM) {
        double part = widthM > 0 ? Math.max(0, 1 - distanceM / widthM) : 0;
        return flatPa + part * surchargePa;
    }
}
