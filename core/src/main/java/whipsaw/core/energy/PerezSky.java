package whipsaw.core.energy;

/** Brightness coefficients of Perez and others, Solar Energy 44 (1990), all-sites composite. */
final class PerezSky {
    private static final double[] FROM = {1, 1.065, 1.23, 1.5, 1.95, 2.8, 4.5, 6.2};
    private static final double[][] F = {
        {-0.008, 0.588, -0.062, -0.060, 0.072, -0.022},
        {0.130, 0.683, -0.151, -0.019, 0.066, -0.029},
        {0.330, 0.487, -0.221, 0.055, -0.064, -0.026},
        {0.568, 0.187, -0.295, 0.109, -0.152, -0.014},
        {0.873, -0.392, -0.362, 0.226, -0.462, 0.001},
        {1.132, -1.237, -0.412, 0.288, -0.823, 0.056},
        {1.060, -1.600, -0.359, 0.264, -1.127, 0.131},
        {0.678, -0.327, -0.250, 0.156, -1.377, 0.251}
    };
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
