package whipsaw.core.holddown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.Draws;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.WindTables;

class WindAndBallastTest {
    private static final WindTables WIND = CodeTables.shipped().wind();
    private static final double FT = 0.3048;

    private static TiltedArray.Setting setting(double tiltDeg, double areaM2, double parapetM) {
        return new TiltedArray.Setting(8, 60, 40, parapetM, tiltDeg, 1.134, areaM2, 1000);
    }

    private static TiltedArray.Pressure pressure(TiltedArray.Setting s, String zone, boolean edge) {
        return TiltedArray.pressure(s, zone, edge, WIND);
    }

    @Test
    void upliftFallsWithAreaAndRisesWithZoneAndTilt() {
        Draws.each(300, draw -> {
            double tilt = draw.between(0, 30);
            double area = draw.between(0.5, 500);
            double here = pressure(setting(tilt, area, 0), "2", false).upliftPa();
            assertThat(pressure(setting(tilt, area * 1.1, 0), "2", false).upliftPa())
                    .isLessThanOrEqualTo(here);
            assertThat(pressure(setting(tilt, area, 0), "1", false).upliftPa()).isLessThanOrEqualTo(here);
            assertThat(pressure(setting(tilt, area, 0), "3", false).upliftPa()).isGreaterThanOrEqualTo(here);
            assertThat(pressure(setting(tilt + 1, area, 0), "2", false).upliftPa())
                    .isGreaterThanOrEqualTo(here);
        });
    }

    @Test
    void theCurvesHaveNoStep() {
        Draws.each(300, draw -> {
            double areaFt2 = draw.between(0.2, 8000);
            double tilt = draw.between(0, 35);
            for (String zone : new String[] {"1", "2", "3"}) {
                double here = WIND.gcrnNominal(zone, tilt, areaFt2);
                assertThat(WIND.gcrnNominal(zone, tilt, areaFt2 * 1.000001)).isCloseTo(here, within(1e-5));
                assertThat(WIND.gcrnNominal(zone, tilt + 1e-6, areaFt2)).isCloseTo(here, within(1e-5));
            }
        });
    }

    @Test
    void theEdgeFactorActsOnUpliftAloneAndParapetsRaiseBoth() {
        var inner = pressure(setting(10, 2.6, 0), "2", false);
        var edge = pressure(setting(10, 2.6, 0), "2", true);
        assertThat(edge.upliftPa()).isCloseTo(1.5 * inner.upliftPa(), within(1e-9));
        assertThat(edge.downPa()).isEqualTo(inner.downPa());
        assertThat(pressure(setting(10, 2.6, 1), "2", false).downPa()).isGreaterThan(inner.downPa());
        assertThat(pressure(setting(10, 2.6, 9), "2", false).gammaP()).isEqualTo(1.2);
        assertThat(Math.hypot(edge.upliftVerticalPa(), edge.upliftAlongPa())).isCloseTo(edge.upliftPa(), within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        // slope, tilt, chord ft, h1 ft, h2 ft, clear ft, code
        "7,35,6.7,2,4,8,''",
        "7.01,10,3.7,0.5,1,8,roof_slope_gt_7deg",
        "0,35.1,3.7,0.5,1,8,tilt_gt_35deg",
        "0,10,6.71,0.5,1,8,chord_gt_6.7ft",
        "0,10,3.7,2.01,2.5,8,h1_gt_2ft",
        "0,10,3.7,0.5,4.1,8.2,h2_gt_4ft",
        "0,10,3.7,0.5,1,3.99,edge_clear_lt_min",
        "0,10,3.7,0.5,3,5.9,edge_clear_lt_min",
    })
    void limitsOfTheMethodIncludeTheLimitItself(
            double slope, double tilt, double chordFt, double h1Ft, double h2Ft, double clearFt, String code) {
        var s = new TiltedArray.Setting(8, 60, 40, 0, tilt, chordFt * FT, 2, 1000);
        assertThat(TiltedArray.outsideScope(s, slope, h1Ft * FT, h2Ft * FT, clearFt * FT))
                .isEqualTo(code.isEmpty() ? java.util.List.of() : java.util.List.of(code));
    }

    @ParameterizedTest
    @CsvSource({
        "5.1,3,Infinity,true",
        "5.1,1,Infinity,true",
        "5.1,1,1,false",
        "5,Infinity,Infinity,false",
        "5.1,Infinity,0,true"
    })
    void exposureNeedsDistanceFromTheEdgeAndAnOpenSide(double edge, double array, double row, boolean exposed) {
        assertThat(TiltedArray.exposed(edge, array, row, 10, 0.4)).isEqualTo(exposed);
    }

    /** The weight found holds with nothing to spare, and a hundredth less does not. */
    @Test
    void theWeightIsJustEnough() {
        Draws.each(300, draw -> {
            double uplift = draw.between(50, 5000);
            double drag = draw.between(0, 1500);
            double friction = draw.between(0.3, 0.9);
            double slope = draw.between(0, 5);
            int method = draw.whole(0, 1);
            var factors = WIND.loadFactors(method == 0 ? "ASD" : "EN_EQU");
            Ballast b = Ballast.of(
                    new Ballast.Demand(uplift, drag, 0), new Ballast.Hold(friction, 15, 9999, slope, factors));
            double needed = Math.max(b.upliftKg(), b.slidingKg());
            assertThat(holds(needed * 1.0001, uplift, drag, friction, slope, factors))
                    .isTrue();
            assertThat(holds(needed * 0.99, uplift, drag, friction, slope, factors))
                    .isFalse();
            assertThat(b.blocksNeeded() * 15.0).isBetween(needed - 1e-6, needed + 15);
        });
    }

    private static boolean holds(
            double kg, double uplift, double drag, double friction, double slopeDeg, WindTables.LoadFactors f) {
        double s = Math.toRadians(slopeDeg);
        double weight = f.dead() * kg * 9.80665;
        double pressing = weight * Math.cos(s) - f.wind() * uplift;
        return pressing >= 0 && friction * pressing >= f.wind() * drag + weight * Math.sin(s);
    }

    @Test
    void exactMultiplesAreNotRoundedUpAndSteepRoofsAreRefused() {
        var asd = WIND.loadFactors("ASD");
        double uplift = 3 * 15 * 9.80665;
        Ballast b = Ballast.of(new Ballast.Demand(uplift, 0, 0), new Ballast.Hold(0.5, 15, 9, 0, asd));
        assertThat(b.blocksNeeded()).isEqualTo(3);
        assertThat(b.governing()).isEqualTo("uplift");
        assertThatThrownBy(() -> Ballast.of(new Ballast.Demand(1, 0, 0), new Ballast.Hold(0.1, 15, 9, 6, asd)))
                .hasMessageContaining("no weight holds");
        Ballast none = Ballast.of(new Ballast.Demand(10, 1, 50), new Ballast.Hold(0.5, 15, 9, 0, asd));
        assertThat(none.governing()).isEqualTo("none");
        assertThat(none.attachments(10, 2000, 1500)).isZero();
    }
}
