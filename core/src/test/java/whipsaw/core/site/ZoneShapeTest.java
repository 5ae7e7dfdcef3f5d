package whipsaw.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.roof.RoofPlan;

/** Zones follow the shape of the roof, not how it was drawn. */
class ZoneShapeTest {
    private static final double[][] L = {{0, 0}, {60, 0}, {60, 28}, {34, 28}, {34, 50}, {0, 50}};

    private static Design roof(boolean en, List<double[]> corners) {
        List<Map<String, Object>> outline = corners.stream()
                .map(c -> Map.<String, Object>of("x", c[0] + " m", "y", c[1] + " m"))
                .toList();
        Object[] set = {
            "roof.outline", Map.of("kind", "drawn", "corners", outline), "roof.parapets", List.of(), "roof.bays", null
        };
        return en ? Jobs.pairedDesign(set) : Jobs.design(set);
    }

    private static List<RoofZones> zones(List<double[]> corners) {
        Design asce = roof(false, corners);
        RoofPlan plan = asce.plan();
        return List.of(
                asce.site().zones(),
                roof(true, corners).site().zones(),
                LowSlopeZones.of(plan, Jobs.SOLVER.tables().zones()));
    }

    private static List<double[]> plain() {
        return List.of(L);
    }

    /** Every wall cut in pieces, with points that lie on it. */
    private static List<double[]> split() {
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i < L.length; i++) {
            double[] a = L[i];
            double[] b = L[(i + 1) % L.length];
            all.add(a);
            for (double part : new double[] {0.2, 0.55}) {
                all.add(new double[] {a[0] + part * (b[0] - a[0]), a[1] + part * (b[1] - a[1])});
            }
        }
        return all;
    }

    /** Outside corners rounded in so many steps. */
    private static List<double[]> rounded(int steps) {
        double r = 1;
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i < L.length; i++) {
            double[] a = L[(i + L.length - 1) % L.length];
            double[] c = L[i];
            double[] b = L[(i + 1) % L.length];
            double[] in = unit(a, c);
            double[] out = unit(c, b);
            if (in[0] * out[1] - in[1] * out[0] < 0) {
                all.add(c);
                continue;
            }
            for (int k = 0; k <= steps; k++) {
                double t = Math.PI / 2 * k / steps;
                double along = r * (Math.sin(t) - 1);
                double across = r * (1 - Math.cos(t));
                all.add(new double[] {c[0] + in[0] * along + out[0] * across, c[1] + in[1] * along + out[1] * across});
            }
        }
        return all;
    }

    private static double[] unit(double[] a, double[] b) {
        double d = Math.hypot(b[0] - a[0], b[1] - a[1]);
        return new double[] {(b[0] - a[0]) / d, (b[1] - a[1]) / d};
    }

    private static void sameEverywhere(List<double[]> other) {
        List<RoofZones> a = zones(plain());
        List<RoofZones> b = zones(other);
        for (int family = 0; family < a.size(); family++) {
            for (double x = 1.3; x < 59; x += 1.1) {
                for (double y = 1.3; y < (x < 33 ? 49 : 27); y += 0.9) {
                    Coordinate[] panel = {
                        new Coordinate(x, y),
                        new Coordinate(x + 0.4, y),
                        new Coordinate(x + 0.4, y + 0.3),
                        new Coordinate(x, y + 0.3)
                    };
                    assertThat(b.get(family).zone(panel))
                            .as(family + ": " + x + " " + y)
                            .isEqualTo(a.get(family).zone(panel));
                }
            }
            double whole = b.get(family).areas().stream()
                    .mapToDouble(z -> z.shape().getArea())
                    .sum();
            assertThat(whole).isBetween(60 * 28 + 34 * 22 - 6.0, 60 * 28 + 34 * 22 + 1e-3);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 5, 14, 60})
    void aRoundedOutsideCornerIsACorner(int steps) {
        sameEverywhere(rounded(steps));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aWallCutInPiecesIsOneWall(boolean backwards) {
        List<double[]> all = new ArrayList<>(split());
        if (backwards) {
            java.util.Collections.reverse(all);
        }
        sameEverywhere(all);
    }

    /** A round roof has corners wherever it turns enough within the width of the zone, drawn in many steps or in few. */
    @ParameterizedTest
    @ValueSource(ints = {24, 48, 180})
    void aRoundRoofHasNoFewerCornersThanOneOfManySides(int sides) {
        List<double[]> ring = new ArrayList<>();
        for (int i = 0; i < sides; i++) {
            double t = 2 * Math.PI * i / sides;
            ring.add(new double[] {40 + 30 * Math.cos(t), 40 + 30 * Math.sin(t)});
        }
        RoofZones zones = roof(false, ring).site().zones();
        for (double t = 0.1; t < 6.2; t += 0.37) {
            Coordinate at = new Coordinate(40 + 28 * Math.cos(t), 40 + 28 * Math.sin(t));
            assertThat(zones.zone(new Coordinate[] {at, at, at, at})).isEqualTo("3");
        }
    }
}
