package whipsaw.core.site;

import whipsaw.core.units.Unit;

/**
 * Invented site values that change smoothly over the globe, the same for the same place every time. They stand in for
 * a service that knows maps of wind, snow and earthquakes, and nothing may be built from them.
 */
public final class StandInHazard {
    private StandInHazard() {}

    /**
     * Site values of a place.
     *
     * @param source who states them
     * @param windMps as the family defines it
     * @param snowPa on the ground
     * @param sds spectral acceleration S_DS in g; NaN where the family does not ask
     */
    public record Values(String source, double windMps, double snowPa, double sds) {}

    /** @param riskCategory I to IV; not used in the EN family */
    public static Values at(
            boolean en, double latitudeDeg, double longitudeDeg, double elevationM, String riskCategory) {
        double a = 0.5 + 0.5 * Math.sin(Math.toRadians(11 * latitudeDeg + 7 * longitudeDeg));
        double b = 0.5 + 0.5 * Math.cos(Math.toRadians(9 * longitudeDeg - 4 * latitudeDeg));
        double cold = Math.max(0, Math.abs(latitudeDeg) - 25) / 40 + elevationM / 4000;
        String source = "stand-in (invented values)";
        if (en) {
            return new Values(
                    source, Math.rint(2 * (21 + 8 * a)) / 2, Math.rint(20 * (0.2 + cold * b)) * 50, Double.NaN);
        }
        double more =
                switch (riskCategory) {
                    case "I" -> -6;
                    case "III" -> 7;
                    case "IV" -> 11;
                    default -> 0;
                };
        double mph = Math.rint(96 + 32 * a + more);
        double psf = 5 * Math.rint(12 * cold * (0.4 + b));
        return new Values(
                source,
                Unit.MILE_PER_HOUR.toSi(mph),
                Unit.POUND_PER_SQUARE_FOOT.toSi(psf),
                Math.rint(100 * (0.08 + 1.1 * b * b * b)) / 100);
    }
}
