package whipsaw.core.energy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import whipsaw.core.array.SunPosition;
import whipsaw.core.design.Jobs;

/** Light on a plane and shadows, against sums, integrals and rays that know nothing of the formulas. */
class LightTest {
    private static final GeometryFactory PLANAR = new GeometryFactory();
    private static final Weather WEATHER = EnergyStage.weather(Jobs.job().site());

    /** On the level all that comes down arrives, however the sky is taken to be spread. */
    @ParameterizedTest
    @EnumSource(SkyModel.class)
    void onTheLevelNothingIsLostOrMade(SkyModel model) {
        PlaneHour plane =
                new PlaneHour(WEATHER, model, YieldSystem.usual(0, 1), 0, 180, RowPlace.open(1, 0), ShadeRule.LINEAR);
        int compared = 0;
        for (SkyHour h : WEATHER.light()) {
            assertThat(h.beam() * h.up() + h.diffuse()).isCloseTo(h.global(), within(1e-9 * h.global() + 1e-9));
            if (h.elevationDeg() > 5) {
                plane.at(h);
                assertThat(plane.planeOfArray()).isCloseTo(h.global(), within(1e-9 * h.global()));
                compared++;
            }
        }
        assertThat(compared).isGreaterThan(3000);
    }

    /** The share of the sky a slope sees, summed over points of it and directions of the sky in the section. */
    @ParameterizedTest
    @CsvSource({"10, 1.4, 0", "20, 1.9, 0", "5, 1.2, 0", "15, 0, 0.15", "10, 0, 0.6"})
    void theViewOfTheSkyIsThatOfASumOverTheSlope(double tilt, double pitch, double valley) {
        boolean pairs = pitch == 0;
        RowPlace place = pairs ? RowPlace.acrossValley(1.13, tilt, valley) : RowPlace.behind(1.13, tilt, pitch);
        double b = Math.toRadians(tilt);
        int points = 2000;
        double sum = 0;
        for (int i = 0; i < points; i++) {
            double at = (i + 0.5) / points * 1.13;
            // from a point on the slope to the top edge in front: the sky begins above it
            double away = place.clearM() + at * Math.cos(b);
            double up = place.riseM() - at * Math.sin(b);
            double horizon = Math.atan2(up, away);
            // a strip of sky from an elevation in front to the plane of the slope behind it, as seen by a tilted plane
            double fromNormal = Math.PI / 2 - b - horizon;
            sum += (Math.sin(fromNormal) + 1) / 2;
        }
        // behind the slope the sky ends at the top edge of its own row, which is no obstacle to it
        assertThat(place.sky()).isCloseTo(sum / points, within(2e-3));
    }

    @ParameterizedTest
    @EnumSource(ShadeRule.class)
    void aRuleLosesNoLessThanWhatIsCovered(ShadeRule rule) {
        double before = 0;
        for (int i = 0; i <= 1000; i++) {
            double lost = rule.lost(i / 1000.0);
            assertThat(lost).isBetween(before, 1.0);
            assertThat(lost).isGreaterThanOrEqualTo(i / 1000.0 - 1e-6);
            before = lost;
        }
        assertThat(rule.lost(0)).isZero();
        assertThat(rule.lost(1)).isEqualTo(1);
    }

    /** A point of the roof is in the outline of a shadow just where the way to the sun is blocked. */
    @Test
    void aShadowIsWhereTheSunIsNotSeen() {
        Random random = new Random(77);
        int dark = 0;
        for (int i = 0; i < 3000; i++) {
            double x = random.nextDouble() * 20;
            double y = random.nextDouble() * 20;
            double w = 0.3 + random.nextDouble() * 4;
            Prism box = new Prism(
                    List.of(
                            new Coordinate(x, y),
                            new Coordinate(x + w, y),
                            new Coordinate(x + w, y + 2),
                            new Coordinate(x, y + 2)),
                    0.2 + random.nextDouble() * 3);
            double[] sun = SunPosition.vector(random.nextDouble() * 360, 8 + random.nextDouble() * 75);
            Geometry shadow = box.shadow(sun, new double[] {0, 0});
            double[] point = {x - 3 + random.nextDouble() * 9, y - 3 + random.nextDouble() * 8, 0};
            Geometry place = PLANAR.createPoint(new Coordinate(point[0], point[1]));
            if (shadow.getBoundary().distance(place) > 1e-6) {
                assertThat(box.shades(point, sun)).isEqualTo(shadow.contains(place));
                dark += shadow.contains(place) ? 1 : 0;
            }
        }
        assertThat(dark).isGreaterThan(100);
    }

    /** The best interval costs no more than any other, and more dirt means cleaning sooner. */
    @Test
    void theBestIntervalIsTheCheapest() {
        Random random = new Random(12);
        for (int i = 0; i < 60; i++) {
            boolean exponential = random.nextBoolean();
            double rate = 0.002 + random.nextDouble() * 0.05;
            Cleaning c = cleaning(rate, exponential);
            double best = c.bestMonths();
            if (Double.isNaN(best)) {
                assertThat(c.costPerYear(12)).isGreaterThanOrEqualTo(c.neverCost() - 1e-9);
                continue;
            }
            for (double months : new double[] {0.3, 1, 2, 4, 7, 12, 24, 50, best * 0.95, Math.min(60, best * 1.05)}) {
                assertThat(c.costPerYear(best)).isLessThanOrEqualTo(c.costPerYear(months) + 1e-6);
            }
            assertThat(c.costPerYear(c.bestWholeMonths())).isGreaterThanOrEqualTo(c.costPerYear(best) - 1e-6);
            double dirtier = cleaning(rate * 1.5, exponential).bestMonths();
            if (!Double.isNaN(dirtier)) {
                assertThat(dirtier).isLessThan(best + 1e-6);
            }
        }
    }

    private static Cleaning cleaning(double rate, boolean exponential) {
        return new Cleaning(List.of(9000.0, 4000.0), List.of(rate, rate / 2), exponential, 0.3, 0.15, 70);
    }
}
