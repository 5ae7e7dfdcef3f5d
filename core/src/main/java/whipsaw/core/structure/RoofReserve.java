package whipsaw.core.structure;

import whipsaw.core.units.Limits;

/**
 * Average added load against a roof's allowance.
 *
 * @param loadPa mass times gravity over the area
 * @param utilisation load over the allowance; NaN when the allowance is not known
 * @param allowancePa NaN when it is not known
 */
public record RoofReserve(double massKg, double areaM2, double loadPa, double utilisation, double allowancePa) {
    private static final double GRAVITY = 9.80665;

    public static RoofReserve of(double massKg, double areaM2, double allowancePa) {
        double load = areaM2 > 0 ? massKg * GRAVITY / areaM2 : 0;
        return new RoofReserve(massKg, areaM2, load, load / allowancePa, allowancePa);
    }

    public boolean ok() {
        return Limits.atMost(utilisation, 1);
    }
}
