package whipsaw.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.Draws;
import whipsaw.core.working.DataStatus;

class NetCoefficientsTest {
    private static final String HEAD = "record,arrangement,zone,tilt_deg,area_m2,up,down,limit,least,most\n";
    private static final NetCoefficients SHIPPED = CodeTables.shipped().netCoefficients("net_coefficients_fenmarsh");

    private static String small() {
        StringBuilder csv = new StringBuilder(HEAD).append("limit,one-way,,,,,,tilt_deg,5,15\n");
        for (String zone : List.of("F", "G", "H", "I")) {
            for (int tilt : new int[] {5, 15}) {
                csv.append("coefficient,one-way,")
                        .append(zone)
                        .append(',')
                        .append(tilt)
                        .append(",1,")
                        .append(tilt * 0.2)
                        .append(",1,,,\n");
                csv.append("coefficient,one-way,")
                        .append(zone)
                        .append(',')
                        .append(tilt)
                        .append(",100,")
                        .append(tilt * 0.1)
                        .append(",0.5,,,\n");
            }
        }
        return csv.toString();
    }

    private static CodeTable table(String csv) {
        return CodeTable.read("net_coefficients_test", "t", "s", "1", DataStatus.UNCONFIRMED, "", csv);
    }

    @ParameterizedTest
    @CsvSource({
        // tilt, area, up: nodes, half way in the logarithm, half way in the tilt, beyond both ends
        "5,1,1.0",
        "15,100,1.5",
        "5,10,0.75",
        "10,1,2.0",
        "10,10,1.5",
        "5,0.3,1.0",
        "5,9000,0.5"
    })
    void interpolatesInTheLogarithmOfTheAreaAndInTheTilt(double tilt, double area, double up) {
        NetCoefficients set = new NetCoefficients(table(small()));
        assertThat(set.at("one-way", "H", tilt, area).up()).isCloseTo(up, within(1e-12));
    }

    @Test
    void theShippedSetFallsWithTheAreaAndRisesWithTheTilt() {
        Draws.each(300, draw -> {
            double area = draw.between(0.5, 100);
            double factor = draw.between(1, 3);
            double tilt = draw.between(8, 15);
            for (String arrangement : NetCoefficients.ARRANGEMENTS) {
                double before = 0;
                for (String zone : List.of("I", "H", "G", "F")) {
                    double up = SHIPPED.at(arrangement, zone, tilt, area).up();
                    assertThat(SHIPPED.at(arrangement, zone, tilt, area * factor)
                                    .up())
                            .isLessThanOrEqualTo(up + 1e-12);
                    assertThat(SHIPPED.at(arrangement, zone, 8, area).up()).isLessThanOrEqualTo(up + 1e-12);
                    assertThat(up).isGreaterThan(before);
                    before = up;
                }
            }
        });
    }

    @Test
    void theShippedSetIsMarkedInvented() {
        assertThat(SHIPPED.table().status()).isEqualTo(DataStatus.INVENTED);
        assertThat(SHIPPED.covers("pairs")).isTrue();
        assertThat(SHIPPED.limits("pairs")).hasSizeGreaterThan(5);
        assertThatThrownBy(() -> SHIPPED.at("pairs", "F", 20, 10)).hasMessageContaining("20");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "coefficient,one-way,F,5,1|coefficient,one-way,E,5,1|zone",
                "coefficient,one-way,F,5,1,|coefficient,sideways,F,5,1,|arrangement",
                "limit,one-way,,,,,,tilt_deg,5,15|limit,one-way,,,,,,tilt_deg,2,15|tilt_deg limit",
                "limit,one-way,,,,,,tilt_deg,5,15|limit,one-way,,,,,,colour,5,15|limit",
                "coefficient,one-way,F,5,1,1.0|coefficient,one-way,F,5,1,-1.0|above 0",
                "coefficient,one-way,F,5,1,1.0|coefficient,one-way,F,5,200,1.0|rise",
                "coefficient,one-way,G,15|coefficient,one-way,G,14|zone G",
            })
    void aSetThatCannotBeUsedIsRefusedWithWhatIsWrong(String from, String to, String words) {
        String csv = small().replace(from, to);
        assertThat(csv).isNotEqualTo(small());
        assertThatThrownBy(() -> new NetCoefficients(table(csv)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(words);
    }

    @Test
    void limitsHoldOnTheirBoundsAndSayThemselves() {
        NetCoefficients.Limit limit = new NetCoefficients.Limit("chord_m", 0.9, 1.3);
        assertThat(limit.holds(0.9)).isTrue();
        assertThat(limit.holds(1.3)).isTrue();
        assertThat(limit.holds(1.31)).isFalse();
        assertThat(limit.words()).isEqualTo("chord m at least 0.9, at most 1.3");
        assertThat(new NetCoefficients.Limit("modules", 8, Double.NaN).holds(1e9))
                .isTrue();
        assertThat(new NetCoefficients.Limit("modules", 8, Double.NaN).holds(7)).isFalse();
    }

    @Test
    void everyShippedTableObeysItsOwnRules() {
        CodeTables shipped = CodeTables.shipped();
        for (CodeTable t : shipped.all()) {
            assertThat(TableRules.problems(t, t)).as(t.id()).isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "asce_gcrn_nominal|low,0,5,1,500,0.4|low,0,5,1,500,1.9|is more than 1.5",
                "asce_gcrn_nominal|low,0,5,1,500,0.4|low,0,5,1,0.5,0.4|does not rise from 1",
                "asce_gcrn_nominal|low,0,5,1,500,0.4|low,0,5,1,500,about|'about' is no number",
                "asce_exposure|7-22,D|7-22,E|'7-22 D' is missing",
                "en_terrain|IV,1.0,10|V,1.0,10|'IV' is missing",
                "nec_310_15_c_1_count|from_count|from|its columns are",
                "en_recommended|snow_mu_flat,0.8|snow_mu_round,0.8|'snow_mu_flat' is missing",
            })
    void aReplacementThatBreaksATablesRulesIsToldWhere(String id, String from, String to, String words) {
        CodeTable shipped = CodeTables.shipped().table(id);
        String csv = shipped.csv().replace(from, to);
        assertThat(csv).isNotEqualTo(shipped.csv());
        CodeTable changed = CodeTable.read(id, "t", "s", "1", DataStatus.UNCONFIRMED, "", csv);
        assertThat(TableRules.problems(changed, shipped))
                .isNotEmpty()
                .first()
                .asString()
                .contains(words);
    }

    @Test
    void aTableThatIsPutInIsTheOneUsed() {
        CodeTables shipped = CodeTables.shipped();
        CodeTable table = shipped.table("asce_gcrn_nominal");
        String doubled = table.csv().replace("low,0,5,1,1,1.5", "low,0,5,1,1,1.8");
        CodeTables changed = shipped.with(
                CodeTable.read(table.id(), table.title(), "own report", "2", DataStatus.UNCONFIRMED, "", doubled));
        assertThat(shipped.wind().gcrnNominal("1", 5, 1)).isEqualTo(1.5);
        assertThat(changed.wind().gcrnNominal("1", 5, 1)).isEqualTo(1.8);
        assertThat(changed.all().stream().map(CodeTable::id).collect(Collectors.toSet()))
                .isEqualTo(shipped.all().stream().map(CodeTable::id).collect(Collectors.toSet()));
        assertThat(changed.table(table.id()).hash()).isNotEqualTo(table.hash());
    }

    @Test
    void aLineWithACellTooManyIsNoTable() {
        assertThatThrownBy(() -> table(HEAD + "limit,one-way,,,,,,tilt_deg,5\n"))
                .hasMessageContaining("9 cells, not 10");
    }
}
