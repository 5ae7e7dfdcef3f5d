package whipsaw.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.Draws;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.table.CodeTables;

class PeakPressureTest {
    private static final CodeTables TABLES = CodeTables.shipped();
    private static final List<String> ROUGHER = List.of("0", "I", "II", "III", "IV");

    private static PeakPressure at(double v, double z, String terrain) {
        return PeakPressure.of(new PeakPressure.Input(v, z, 0, terrain, 1, 1, 1, 1, 1.25), TABLES.en());
    }

    @Test
    void byHandAtTenMetresInTerrainTwo() {
        // c_r = 0.19 ln(200) = 1.00668, I_v = 1/ln(200), q = (1 + 7 I_v) 0.625 (1.00668 v)^2
        double log = Math.log(10 / 0.05);
        double mean = 0.19 * log * 26;
        assertThat(at(26, 10, "II").pressurePa()).isCloseTo((1 + 7 / log) * 0.625 * mean * mean, within(1e-9));
    }

    @Test
    void theReturnPeriodActsOnTheVelocityAndFiftyYearsChangeNothing() {
        assertThat(PeakPressure.probabilityFactor(50, TABLES.en())).isEqualTo(1);
        // (1 + 0.2 x 4.60015) / (1 + 0.2 x 3.90194) under the root
        assertThat(PeakPressure.probabilityFactor(100, TABLES.en()))
                .isCloseTo(Math.sqrt((1 + 0.2 * 4.60015) / (1 + 0.2 * 3.90194)), within(1e-5));
        assertThat(PeakPressure.probabilityFactor(10, TABLES.en())).isLessThan(1);
    }

    @Test
    void fasterAndHigherIsNeverLess() {
        Draws.each(150, draw -> {
            double v = draw.between(15, 40);
            double z = draw.between(2, 40);
            double more = draw.between(0, 10);
            for (String terrain : ROUGHER) {
                assertThat(at(v, z + more, terrain).pressurePa())
                        .isGreaterThanOrEqualTo(at(v, z, terrain).pressurePa());
                assertThat(at(v + more, z, terrain).pressurePa())
                        .isGreaterThanOrEqualTo(at(v, z, terrain).pressurePa());
            }
        });
    }

    @Test
    void rougherTerrainNeverRaisesThePressure() {
        Draws.each(60, draw -> {
            double z = draw.between(10, 60);
            for (int i = 1; i < ROUGHER.size(); i++) {
                assertThat(at(25, z, ROUGHER.get(i)).pressurePa())
                        .isLessThanOrEqualTo(at(25, z, ROUGHER.get(i - 1)).pressurePa());
            }
        });
    }

    @ParameterizedTest
    @CsvSource({"IV,10", "III,5", "II,2", "I,1", "0,1"})
    void belowTheLeastHeightTheProfileIsConstant(String terrain, double least) {
        assertThat(at(25, least / 2, terrain).pressurePa())
                .isCloseTo(at(25, least, terrain).pressurePa(), within(1e-9));
        assertThat(at(25, least * 2, terrain).pressurePa())
                .isGreaterThan(at(25, least, terrain).pressurePa());
    }

    @Test
    void aParapetRaisesTheReferenceHeight() {
        Object parapet = List.of(java.util.Map.of("edge", 1, "height", "1 m", "thickness", "200 mm"));
        Design without = Jobs.pairedDesign("roof.parapets", List.of());
        Design with = Jobs.pairedDesign("roof.parapets", parapet);
        PeakPressure low = (PeakPressure) without.site().wind();
        PeakPressure high = (PeakPressure) with.site().wind();
        assertThat(high.input().referenceHeightM() - low.input().referenceHeightM())
                .isCloseTo(1, within(1e-12));
        assertThat(high.pressurePa()).isGreaterThan(low.pressurePa());
    }

    @Test
    void theParapetLowersTheSuctionOnTheCoveringAsTheTableSays() {
        double before = -9;
        for (double ratio : new double[] {0, 0.0125, 0.025, 0.05, 0.075, 0.1, 0.2}) {
            double cpe = EnRoofPressure.of("F", ratio, 10, TABLES.en()).cpe();
            assertThat(cpe).isGreaterThanOrEqualTo(before);
            before = cpe;
        }
        assertThat(before).isCloseTo(-1.2, within(1e-12));
        assertThat(EnRoofPressure.of("F", 0.0125, 10, TABLES.en()).cpe()).isCloseTo(-1.7, within(1e-12));
        assertThat(EnRoofPressure.of("F", 0, 0.5, TABLES.en()).cpe()).isCloseTo(-2.5, within(1e-12));
    }

    /** A.5: what is lifted has the pressure of the height that is left, never less than that of z_min. */
    @Test
    void aLiftedProfileHasThePressureOfTheHeightThatIsLeft() {
        PeakPressure lifted = PeakPressure.of(new PeakPressure.Input(25, 20, 8, "III", 1, 1, 1, 1, 1.25), TABLES.en());
        assertThat(lifted.pressurePa()).isEqualTo(at(25, 12, "III").pressurePa());
        PeakPressure low = PeakPressure.of(new PeakPressure.Input(25, 9, 8, "III", 1, 1, 1, 1, 1.25), TABLES.en());
        assertThat(low.pressurePa()).isEqualTo(at(25, 5, "III").pressurePa());
    }
}
