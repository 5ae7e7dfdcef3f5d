package whipsaw.core.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import whipsaw.core.Draws;

/** The shadow of a wall on a row against rays sent from points of the row to the sun. */
class WallShadowTest {
    private static final int POINTS = 40;
    private static final double NEAR = 1e-3;

    /** Whether a ray from a point to the sun meets an upright wall. */
    private static boolean meets(double[] p, double[] to, double[] a, double[] b, double heightM) {
        double wx = b[0] - a[0];
        double wy = b[1] - a[1];
        double across = to[0] * wy - to[1] * wx;
        if (Math.abs(across) < 1e-12) {
            return false;
        }
        double along = ((a[0] - p[0]) * wy - (a[1] - p[1]) * wx) / across;
        double share = ((a[0] - p[0]) * to[1] - (a[1] - p[1]) * to[0]) / across;
        double z = p[2] + along * to[2];
        return along >= 0 && share >= 0 && share <= 1 && z >= 0 && z <= heightM;
    }

    @Test
    void aPointIsInTheShadowWhereItsRayMeetsTheWall() {
        int[] seen = new int[2];
        Draws.each(300, d -> {
            double[] a = {d.between(-20, 20), d.between(-12, 12)};
            double[] b = {d.between(-20, 20), d.between(-12, 12)};
            double height = d.between(0.3, 6);
            double elevation = Math.toRadians(d.between(3, 80));
            double azimuth = Math.toRadians(d.between(0, 360));
            double[] to = {
                Math.cos(elevation) * Math.sin(azimuth), Math.cos(elevation) * Math.cos(azimuth), Math.sin(elevation)
            };
            double slope = d.between(-0.4, 0.4);
            double z0 = d.between(0.1, 0.6) + (slope < 0 ? 0.5 : 0);
            double depth = 1;
            WallShadow shadow = new WallShadow();
            boolean falls = shadow.falls(a, b, height, to, 0, z0, slope, depth);
            if (to[2] - slope * to[1] <= 0) {
                assertThat(falls).isFalse();
                return;
            }
            for (int i = 0; i <= POINTS; i++) {
                double s = -30 + 60.0 * i / POINTS;
                boolean shaded = false;
                for (int k = 0; k <= POINTS; k++) {
                    double t = depth * k / POINTS;
                    shaded |= meets(new double[] {s, t, z0 + slope * t}, to, a, b, height);
                }
                boolean inside = falls && s >= shadow.from - NEAR && s <= shadow.until + NEAR;
                // what a ray meets is inside; of what is inside a grid of points may miss a sliver
                assertThat(!shaded || inside).isTrue();
                seen[shaded ? 1 : 0]++;
            }
        });
        assertThat(seen[1]).isGreaterThan(100);
    }

    @Test
    void theEndsOfAShadowAreThoseOfAHandSketch() {
        // a wall 2 m high and 4 m long, 3 m in front of a level row 0.5 m up, the sun at 45 degrees right behind it
        double root = Math.sqrt(0.5);
        WallShadow shadow = new WallShadow();
        double[] left = {1, -1};
        double[] right = {5, -1};
        assertThat(shadow.falls(left, right, 2, new double[] {0, -root, root}, 0, 0.5, 0, 1))
                .isTrue();
        assertThat(shadow.from).isEqualTo(1, within(1e-9));
        assertThat(shadow.until).isEqualTo(5, within(1e-9));
        // it reaches 1.5 m behind the wall at that height, half a metre over the row and no farther
        assertThat(shadow.falls(left, right, 2, new double[] {0, -root, root}, 0.51, 0.5, 0, 1))
                .isFalse();
        // from the other side nothing falls on it
        assertThat(shadow.falls(left, right, 2, new double[] {0, root, root}, 0, 0.5, 0, 1))
                .isFalse();
    }
}
