package whipsaw.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.units.UnitSystem;

class PlausibilityTest {
    private static final Map<String, Object> INFO = Map.of(
            "code", "x-1", "edition", "1", "maker", "Testing", "name", "X", "source", "tests", "status", "invented");

    private static Map<String, Object> module() {
        Map<String, Object> body = new LinkedHashMap<>(INFO);
        body.putAll(Map.of(
                "power", "540 W", "length", "2280 mm", "width", "1134 mm", "mass", "28 kg", "voc", "49.9 V", "vmp",
                "41.95 V", "isc", "13.9 A"));
        body.putAll(Map.of(
                "imp", "12.87 A", "vocCoefficient", "-0.27 %/C", "vmpCoefficient", "-0.34 %/C", "largestFuse", "25 A"));
        body.putAll(Map.of("clampLongFrom", "250 mm", "clampLongTo", "550 mm", "holes", "400 mm"));
        return body;
    }

    private static Map<String, Object> block() {
        Map<String, Object> body = new LinkedHashMap<>(INFO);
        body.putAll(Map.of("mass", "32 lb", "length", "16 in", "width", "8 in", "height", "4 in"));
        return body;
    }

    private static List<String> doubts(String kind, Map<String, Object> body) {
        var reading = JobReader.readEntry(kind, body);
        assertThat(reading.problems()).isEmpty();
        return Plausibility.doubts(reading.job());
    }

    @Test
    void ordinaryPartsRaiseNoDoubt() {
        assertThat(doubts("module", module())).isEmpty();
        assertThat(doubts("block", block())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mass|18 lb|mass over area",
                "mass|55 kg|mass over area",
                "power|590 W|over the power",
                "imp|12 A|over the power",
                "voc|43.5 V|V_mp over V_oc",
                "isc|12.9 A|I_mp over I_sc",
            })
    void aSlipInAModuleIsSeen(String key, String value, String words) {
        Map<String, Object> body = module();
        body.put(key, value);
        assertThat(doubts("module", body)).anySatisfy(d -> assertThat(d).contains(words, "ordinary is"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "power|800 W|W/m²",
                "imp|9 A|voltage times current",
                "vmp|60 V|open-circuit voltage",
                "isc|12 A|short-circuit current",
                "vmpCoefficient|0 %/C|falls in heat",
                "clampLongTo|250 mm|not beyond where they begin",
                "clampLongTo|1200 mm|beyond the middle",
                "holes|1141 mm|beyond the middle",
                "clampShortTo|300 mm|give both or neither"
            })
    void whatNoModuleCanBeIsRefused(String key, String value, String words) {
        Map<String, Object> body = module();
        body.put(key, value);
        assertThat(JobReader.readEntry("module", body).problems())
                .anySatisfy(p -> assertThat(p.words()).contains(words));
    }

    @Test
    void aBlockThatFloatsOrSinksIsSeen() {
        Map<String, Object> light = block();
        light.put("mass", "12 lb");
        assertThat(doubts("block", light)).singleElement().asString().contains("density", "649");
        Map<String, Object> heavy = block();
        heavy.put("height", "40 mm");
        assertThat(doubts("block", heavy)).singleElement().asString().contains("density");
    }

    @Test
    void bareNumbersMeanTheSystemThatWasSaid() {
        Map<String, Object> body = block();
        body.put("mass", "32");
        assertThat(JobReader.readEntry("block", body).problems())
                .anySatisfy(p -> assertThat(p.message()).contains("no unit"));
        BlockType us =
                (BlockType) JobReader.readEntry("block", body, UnitSystem.US).job();
        BlockType metric = (BlockType)
                JobReader.readEntry("block", body, UnitSystem.METRIC).job();
        assertThat(us.mass().si()).isEqualTo(32 * 0.45359237);
        assertThat(metric.mass().si()).isEqualTo(32);
        assertThat(us.mass().typed()).isEqualTo("32 lb");
    }

    @Test
    void everyKindComesBackAsItWasWritten() {
        Map<String, Object> conductor = new LinkedHashMap<>(INFO);
        conductor.putAll(Map.of("material", "al", "insulation", "XHHW-2"));
        for (var entry : Map.of("module", module(), "block", block(), "conductor", conductor)
                .entrySet()) {
            Record part = JobReader.readEntry(entry.getKey(), entry.getValue()).job();
            assertThat(JobReader.readEntry(entry.getKey(), JobWriter.part(part)).job())
                    .isEqualTo(part);
        }
    }
}
