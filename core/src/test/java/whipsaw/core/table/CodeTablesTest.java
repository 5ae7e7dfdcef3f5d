package whipsaw.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.working.DataStatus;

class CodeTablesTest {
    private final CodeTables tables = CodeTables.shipped();

    @Test
    void everyTableSaysWhereItIsFromAndNoneIsConfirmedUnseen() {
        assertThat(tables.all()).hasSizeGreaterThan(12).allSatisfy(t -> {
            assertThat(t.source()).isNotBlank();
            assertThat(t.edition()).isNotBlank();
            assertThat(t.remark()).isNotBlank();
            assertThat(t.rows()).isNotEmpty();
            assertThat(t.status()).isNotEqualTo(DataStatus.CONFIRMED);
        });
        assertThat(tables.all()).extracting(CodeTable::hash).doesNotHaveDuplicates();
        assertThatThrownBy(() -> tables.table("none")).hasMessageContaining("none");
    }

    @Test
    void largerConductorsCarryMoreAndResistLess() {
        ConductorTables c = tables.conductors();
        ConductorTables.Size before = null;
        for (ConductorTables.Size size : c.sizes()) {
            if (before != null) {
                assertThat(size.areaCmil()).isGreaterThan(before.areaCmil());
                assertThat(size.ampacity("cu", 75)).isGreaterThan(before.ampacity("cu", 75));
                assertThat(size.ampacity("cu", 90)).isGreaterThan(size.ampacity("cu", 75));
                assertThat(c.dcOhmPerKft(size.name(), "cu")).isLessThan(c.dcOhmPerKft(before.name(), "cu"));
            }
            before = size;
        }
    }

    @ParameterizedTest
    @CsvSource({"30,1.0", "30.5,0.96", "40,0.91", "40.5,0.87", "-20,1.15"})
    void temperatureBracketsIncludeTheirUpperBound(double ambient, double factor) {
        assertThat(tables.conductors().temperatureFactor(ambient, 90)).isCloseTo(factor, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"3,1.0", "4,0.8", "9,0.7", "10,0.5", "41,0.35"})
    void countBrackets(int conductors, double factor) {
        assertThat(tables.conductors().countFactor(conductors)).isEqualTo(factor);
    }

    @ParameterizedTest
    @CsvSource({"25,1.0", "24.9,1.02", "-10,1.14", "-10.1,1.16", "-41,NaN"})
    void voltageFactorBracketsIncludeTheirLowerBound(double low, double factor) {
        assertThat(Double.valueOf(tables.voltageFactors().factor(low))).isEqualTo(Double.valueOf(factor));
    }

    @ParameterizedTest
    @CsvSource({"1,15", "15,15", "15.1,20", "225.5,250", "801,1000", "6001,0"})
    void devicesAreStandardRatingsFrom15(double current, int rating) {
        assertThat(tables.conductors().deviceAtLeast(current)).isEqualTo(rating);
    }

    @Test
    void theSetBackFollowsTheShorterSide() {
        assertThat(tables.setbacks().forSides(900 * 0.3048, 250 * 0.3048).distanceM())
                .isCloseTo(4 * 0.3048, within(1e-9));
        assertThat(tables.setbacks().forSides(900 * 0.3048, 251 * 0.3048).distanceM())
                .isCloseTo(6 * 0.3048, within(1e-9));
    }

    @Test
    void aCurveIsFlatBeyondItsEndsAndRefusesToGoBack() {
        Curve curve = new Curve(List.of(new Curve.Node(1, 2), new Curve.Node(100, 1)));
        assertThat(curve.at(0.1)).isEqualTo(2);
        assertThat(curve.at(10)).isCloseTo(1.5, within(1e-12));
        assertThat(curve.at(1000)).isEqualTo(1);
        assertThatThrownBy(() -> new Curve(List.of(new Curve.Node(5, 1), new Curve.Node(5, 2))))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
