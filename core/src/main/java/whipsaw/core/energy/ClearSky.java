package whipsaw.core.energy;

/** What a clear sky would let through. */
public final class ClearSky {
    private ClearSky() {}

    /** Relative air mass of Kasten and Young 1989, without pressure. */
    public static double airMass(double sinElevation) {
        return PerezSky.airMass(Math.acos(Math.min(1, sinElevation)));
    }

    /** Global horizontal irradiance of Haurwitz 1945, W/m2. */
    public static double haurwitz(double sinElevation) {
        return 1098 * sinElevation * Math.exp(-0.057 / sinElevation);
    }

    /**
     * Global horizontal and direct normal irradiance of Ineichen and Perez 2002, without the extra enhancement term,
     * W/m2.
     *
     * @param extraterrestrial normal, W/m2
     * @param turbidity of Linke
     */
    public static double[] ineichen(double sinElevation, double extraterrestrial, double turbidity, double altitudeM) {
        double mass = PerezSky.airMass(Math.acos(sinElevation)) * Math.exp(-altitudeM / 8434.5);
        double fh1 = Math.exp(-altitudeM / 8000);
        double fh2 = Math.exp(-altitudeM / 1250);
        double cg1 = 5.09e-5 * altitudeM + 0.868;
        double cg2 = 3.92e-5 * altitudeM + 0.0387;
        double global = cg1 * extraterrestrial * sinElevation * Math.exp(-cg2 * mass * (fh1 + fh2 * (turbidity - 1)));
        double beam = Math.min(
                (0.664 + 0.163 / fh1) * extraterrestrial * Math.exp(-0.09 * mass * (turbidity - 1)),
                global * (1 - (0.1 - 0.2 * Math.exp(-turbidity)) / (0.1 + 0.882 / fh1)) / sinElevation);
        return new double[] {global, beam};
    }

    /** Share of the beam one glass surface and its thickness let through, over that at normal incidence: for comparison. */
    public static double throughGlass(double cosIncidence) {
        return transmitted(Math.acos(Math.min(1, cosIncidence))) / transmitted(0);
    }

    private static double transmitted(double theta) {
        double n = 1.526;
        double absorbed = 4 * 0.002;
        double inside = Math.asin(Math.sin(theta) / n);
        double reflected = theta < 1e-9
                ? Math.pow((n - 1) / (n + 1), 2)
                : (Math.pow(Math.sin(inside - theta) / Math.sin(inside + theta), 2)
                                + Math.pow(Math.tan(inside - theta) / Math.tan(inside + theta), 2))
                        / 2;
        return Math.exp(-absorbed / Math.cos(inside)) * (1 - reflected);
    }
}
