package whipsaw.core.site;

import whipsaw.core.table.EnTables;

/**
 * Snow on a roof, EN 1991-1-3 5.2: {@code s = mu1 Ce Ct sk}.
 *
 * @param mu1 shape coefficient
 * @param roofPa s
 */
public record EnSnow(Input input, double mu1, double roofPa) implements SnowLoad {

    /**
     * @param groundPa characteristic value s_k
     * @param slopeDeg of the roof
     * @param retained whether snow is kept from sliding off
     */
    public record Input(double groundPa, double slopeDeg, double exposure, double thermal, boolean retained) {}

    public static EnSnow of(Input in, EnTables tables) {
        double flat = tables.recommended("snow_mu_flat");
        double sloped = Math.max(0, Math.min(1, (60 - in.slopeDeg()) / 30)) * flat; // Table 5.2
        double mu1 = in.retained() ? Math.max(flat, sloped) : sloped;
        return new EnSnow(in, mu1, mu1 * in.exposure() * in.thermal() * in.groundPa());
    }

    /**
     * Drift at an obstruction, 6.2.
     *
     * @param lengthM of the drift
     */
    public record Drift(double mu2, double lengthM, double peakPa) {}

    public static Drift drift(double groundPa, double heightM, double exposure, double thermal, EnTables tables) {
        double weight = 1000 * tables.recommended("snow_weight_kN_per_m3");
        double mu = groundPa > 0 ? weight * heightM / groundPa : Double.POSITIVE_INFINITY;
        double mu2 = within(mu, tables.recommended("obstruction_mu_least"), tables.recommended("obstruction_mu_most"));
        double length = within(
                2 * heightM,
                tables.recommended("obstruction_length_least_m"),
                tables.recommended("obstruction_length_most_m"));
        return new Drift(mu2, length, mu2 * exposure * thermal * groundPa);
    }

    private static double within(double value, double least, double most) {
        return Math.min(most, Math.max(least, value));
    }
}
