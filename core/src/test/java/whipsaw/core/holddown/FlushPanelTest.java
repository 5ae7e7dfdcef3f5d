package whipsaw.core.holddown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.site.AsceDrift;
import whipsaw.core.site.LowSlopeZones;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.PanelTables;
import whipsaw.core.units.Unit;

/** Panels parallel to a roof and drifts: zones of the figure, and what more of anything may not do. */
class FlushPanelTest {
    private static final LowSlopeZones.Widths WIDTHS =
            LowSlopeZones.Widths.at(10, CodeTables.shipped().zones());

    private static final CodeTables TABLES = CodeTables.shipped();
    private static final PanelTables PANELS = TABLES.panels();
    private static final List<String> MILD_TO_SEVERE = List.of("1p", "1", "2", "3");

    /** h is 10 m: zones end at 2, 6 and 12 m. */
    @ParameterizedTest
    @CsvSource({
        "13,13,1p",
        "12,40,1",
        "7,40,1",
        "6,40,2",
        "3,7,2",
        "3,3,2",
        "2,2,3",
        "2,6,3",
        "2,6.1,2",
        "1,5.9,3",
        "6.1,6.1,1"
    })
    void theCornerIsAnLOfTwoLegs(double dx, double dy, String zone) {
        assertThat(FlushPanel.lowSlopeZone(dx, dy, WIDTHS)).isEqualTo(zone);
        assertThat(FlushPanel.lowSlopeZone(dy, dx, WIDTHS)).isEqualTo(zone);
    }

    @Test
    void nearerTheEdgeIsNeverMilderAndMoreAreaNeverMore() {
        Random random = new Random(2);
        for (int i = 0; i < 500; i++) {
            double dx = random.nextDouble() * 20;
            double dy = random.nextDouble() * 20;
            String zone = FlushPanel.lowSlopeZone(dx, dy, WIDTHS);
            String nearer = FlushPanel.lowSlopeZone(dx * random.nextDouble(), dy, WIDTHS);
            assertThat(MILD_TO_SEVERE.indexOf(nearer)).isGreaterThanOrEqualTo(MILD_TO_SEVERE.indexOf(zone));
            double area = 1 + random.nextDouble() * 60;
            FlushPanel.Pressure one = pressure(area, zone, false);
            FlushPanel.Pressure more = pressure(area * 1.5, zone, false);
            assertThat(more.upliftPa()).isLessThanOrEqualTo(one.upliftPa() + 1e-9);
            assertThat(more.downPa()).isLessThanOrEqualTo(one.downPa() + 1e-9);
            FlushPanel.Pressure open = pressure(area, zone, true);
            // the edge factor is for uplift only
            assertThat(open.upliftPa()).isCloseTo(1.5 * one.upliftPa(), within(1e-9));
            assertThat(open.downPa()).isEqualTo(one.downPa());
        }
    }

    private static FlushPanel.Pressure pressure(double areaM2, String zone, boolean edge) {
        return FlushPanel.of(
                1000,
                areaM2,
                zone,
                edge,
                new FlushPanel.Coefficients(
                        PANELS.lowSlopeSuction(zone), PANELS.lowSlopePressure(), PANELS.lowSlopeTable()),
                PANELS);
    }

    @Test
    void whatIsNotInTheTablesIsNotMadeUp() {
        FlushPanel.Pressure gable = FlushPanel.of(
                1000,
                2,
                "3r",
                false,
                new FlushPanel.Coefficients(PANELS.gableSuction("3r"), null, PANELS.gableTable()),
                PANELS);
        assertThat(gable.upliftPa()).isPositive();
        assertThat(gable.downPa()).isNaN();
        assertThat(PANELS.gableSuction("4")).isNull();
        assertThat(FlushPanel.outsideScope(0.2, 1, 0.2, 3)).isEmpty();
        assertThat(FlushPanel.outsideScope(0.3, 3, 0.3, 0.5))
                .containsExactly("angle_gt_2deg", "edge_clear_lt_2h2", "height_gt_10in");
    }

    /** More fetch, more snow and a taller obstacle never make a lower peak; a drift ends at the snow that lies evenly. */
    @Test
    void driftsGrowWithWhatMakesThem() {
        Random random = new Random(4);
        for (int i = 0; i < 300; i++) {
            double ground = 200 + random.nextDouble() * 3000;
            double fetch = 5 + random.nextDouble() * 120;
            double tall = 0.3 + random.nextDouble() * 3;
            AsceDrift d = drift(ground, fetch, tall);
            assertThat(drift(ground, fetch * 1.3, tall).peakPa()).isGreaterThanOrEqualTo(d.peakPa() - 1e-9);
            assertThat(drift(ground, fetch, tall * 1.3).peakPa()).isGreaterThanOrEqualTo(d.peakPa() - 1e-9);
            assertThat(drift(ground * 1.2, fetch, 9).peakPa())
                    .isGreaterThanOrEqualTo(drift(ground, fetch, 9).peakPa());
            assertThat(d.heightM()).isLessThanOrEqualTo(Math.max(0, d.aboveM()) + 1e-9);
            assertThat(d.lengthM()).isLessThanOrEqualTo(8 * Math.max(0, d.aboveM()) + 1e-9);
            assertThat(d.at(0)).isCloseTo(d.peakPa(), within(1e-6));
            assertThat(d.at(d.lengthM() + 0.01)).isEqualTo(d.flatPa());
        }
        double shortest = Unit.FOOT.toSi(20);
        assertThat(drift(1000, 1, 2).fullM()).isEqualTo(drift(1000, shortest, 2).fullM());
        assertThat(drift(0, 50, 2).drifts()).isFalse();
    }

    private static AsceDrift drift(double groundPa, double fetchM, double obstacleM) {
        return AsceDrift.of(new AsceDrift.Input(groundPa, 0.7 * groundPa, 1, fetchM, obstacleM, 0.75), TABLES.drift());
    }
}
