package whipsaw.app.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.app.store.Json;

/** Which column of a maker's table is taken for which of ours, and what becomes of its cells. */
class ColumnMappingTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Length [mm] | mm",
                "Length (mm) | mm",
                "Weight, kg | kg",
                "Pmax [Wp] | W",
                "Pmax (kWp) | kW",
                "Temp. coeff. of Voc (%/°C) | %/°C",
                "Voc / V | V",
                "Voc (STC) [V] | V",
                "Model | ''",
                "Maximum series fuse rating | ''"
            })
    void aUnitIsReadFromTheHeading(String heading, String unit) {
        assertThat(ColumnMapping.unit(heading)).isEqualTo(unit);
    }

    @Test
    void everyColumnIsTakenOnceAndOurOwnNamesAreKnown() {
        List<String> own =
                EntryColumns.of("module").stream().map(EntryColumns.Column::key).toList();
        ColumnMapping same = ColumnMapping.guessed("module", own, "own.csv");
        own.forEach(key -> assertThat(same.of(key).heading()).as(key).isEqualTo(key));

        List<String> german = List.of("Nr", "Bezeichnung", "Preis");
        ColumnMapping none = ColumnMapping.guessed("module", german, "liste.csv");
        own.forEach(key -> assertThat(none.of(key).heading()).as(key).isEmpty());
        assertThat(none.of("status").fixed()).isEqualTo("unconfirmed");
        assertThat(none.of("source").fixed()).isEqualTo("file liste.csv");

        // power and its coefficient, voltage and its coefficient are told apart in any order
        ColumnMapping apart = ColumnMapping.guessed(
                "module",
                List.of("Temperature coefficient Vmp", "Temperature coefficient Voc", "V oc", "V mpp", "P max", "Type"),
                "x");
        assertThat(apart.of("voc").heading()).isEqualTo("V oc");
        assertThat(apart.of("vmp").heading()).isEqualTo("V mpp");
        assertThat(apart.of("power").heading()).isEqualTo("P max");
        assertThat(apart.of("name").heading()).isEqualTo("Type");
        assertThat(apart.of("vocCoefficient").heading()).isEqualTo("Temperature coefficient Voc");
        assertThat(apart.of("vmpCoefficient").heading()).isEqualTo("Temperature coefficient Vmp");
    }

    @Test
    void unitsGoBehindBareNumbersOnly() {
        ColumnMapping mapping = new ColumnMapping(Map.of(
                "name", new ColumnMapping.Part("Model", "", ""),
                "maker", new ColumnMapping.Part("", "", "Marrowfield"),
                "length", new ColumnMapping.Part("L", "mm", ""),
                "mass", new ColumnMapping.Part("M", "kg", "")));
        List<Map<String, String>> rows = mapping.rows(
                "module",
                List.of(
                        List.of("Model", "L", "M"),
                        List.of("SX 500 / black", "2094", "26,5"),
                        List.of("SX 501", "82.5 in", "n/a"),
                        List.of("", "2094", "26"),
                        List.of("SX 502")));
        assertThat(rows).extracting(r -> r.get("name")).containsExactly("SX 500 / black", "SX 501", "SX 502");
        assertThat(rows).extracting(r -> r.get("length")).containsExactly("2094 mm", "82.5 in", "");
        // what is no number stays as it is and is refused by the reader
        assertThat(rows).extracting(r -> r.get("mass")).containsExactly("26,5 kg", "n/a", "");
        assertThat(rows)
                .extracting(r -> r.get("code"))
                .containsExactly("marrowfield-sx-500-black", "marrowfield-sx-501", "marrowfield-sx-502");
        assertThat(mapping.missing(List.of("Model", "L"))).containsExactly("M");
        ColumnMapping again = ColumnMapping.of(Json.object(Json.write(mapping.body())));
        assertThat(again).isEqualTo(mapping);
    }
}
