package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;

/** Things called out in one line, what is typed on site, and places that follow a size. */
class ThingLineTest {
    @Test
    void aThingInOneLine() {
        ThingLine rtu = ThingLine.read("RTU 1, 10x6x5, 30' from edge 6, 25' from edge 1", Unit.FOOT);
        assertThat(rtu.name()).isEqualTo("RTU 1");
        assertThat(rtu.kind()).isEqualTo("plant");
        assertThat(rtu.sizes()).extracting(m -> m.si() / 0.3048).containsExactly(10.0, 6.0, 5.0);
        assertThat(rtu.measured()).isEqualTo("30' from edge 6, 25' from edge 1");
        ThingLine light = ThingLine.read("Skylight 3; 1,2 x 2,4 m; 3,2 m from edge 3, 4 m from edge 2", Unit.METRE);
        assertThat(light.kind()).isEqualTo("skylight");
        assertThat(light.sizes())
                .extracting(m -> Math.round(m.si() * 10) / 10.0)
                .containsExactly(1.2, 2.4);
        assertThat(ThingLine.read("Flue, 14 in", Unit.FOOT).sizes())
                .singleElement()
                .satisfies(m -> assertThat(m.si()).isCloseTo(0.3556, within(1e-9)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"RTU 1", "RTU, 10xsix", "RTU, 10x6x5x4", ", 10x6", "RTU, 10x6, somewhere"})
    void aLineThatCannotBeReadSaysSo(String line) {
        assertThatThrownBy(() -> ThingLine.read(line, Unit.FOOT)).isInstanceOf(ThingLine.Unread.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "24 ga|MILLIMETRE|0.00060706",
                "6\" 1/2|INCH|0.1651",
                "12' 6\" 1/2|FOOT|3.8227",
                "3,81|METRE|3.81",
                "0,250|METRE|0.25",
                "~2,4 m|METRE|2.4"
            })
    void lengthsAsPeopleTypeThem(String text, Unit bare, double metres) {
        assertThat(UnitText.parse(text, Quantity.LENGTH, bare).si()).isCloseTo(metres, within(1e-9));
        // and what is kept is read back from a file
        String typed = UnitText.parse(text, Quantity.LENGTH, bare).typed();
        assertThat(UnitText.parse(typed, Quantity.LENGTH, null).si()).isCloseTo(metres, within(1e-9));
    }

    /** What may mean thousands is asked about, in feet and in files always. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"3,810|METRE", "3,81|FOOT", "3,81 m|"})
    void aCommaThatMayMeanThousandsIsRefused(String text, Unit bare) {
        assertThatThrownBy(() -> UnitText.parse(text, Quantity.LENGTH, bare)).hasMessageContaining("comma");
    }

    @ParameterizedTest
    @CsvSource({"us,11/20/2026,true", "us,20/11/2026,false", "metric,20/11/2026,true", "metric,20.11.2026,true"})
    void datesAsPeopleTypeThem(String units, String date, boolean read) {
        Map<String, Object> document = Jobs.with(
                Jobs.with(Jobs.document(), "project.units", units),
                "roof.allowance",
                Map.of("load", "9 psf", "givenBy", "A", "date", date));
        assertThat(JobReader.read(document, true).ok()).isEqualTo(read);
        assertThat(JobReader.read(document, false).ok()).isFalse();
    }

    /** A gable typed as 7 deg is 7 deg, and so within the methods that end there. */
    @Test
    void aGableOfSevenDegreesIsOne() {
        Design plain = Jobs.design();
        for (Unit unit : List.of(Unit.FOOT, Unit.METRE)) {
            var form = FormMaker.of(FormMaker.Kind.GABLE, 1, "7 deg", 1, plain.plan(), unit);
            double slope = Math.toDegrees(Math.atan(form.folds().get(1).height().si()
                    / form.folds().get(1).across().si()));
            assertThat(slope).isCloseTo(7, within(1e-4));
            List<Map<String, Object>> folds = form.folds().stream()
                    .map(f -> Map.<String, Object>of(
                            "across", f.across().typed(), "height", f.height().typed()))
                    .toList();
            Design d = Jobs.design(
                    "roof.covering", "standing seam", "roof.form", Map.of("kind", "folded", "edge", 1, "folds", folds));
            assertThat(d.faceWind().missing()).isEmpty();
        }
    }

    /** A larger thing keeps its nearest sides where they were measured. */
    @Test
    void aNewSizeKeepsThePlaceThatWasMeasured() {
        Map<String, Object> thing = new java.util.LinkedHashMap<>(
                Map.of("id", "p", "name", "Plant", "kind", "plant", "width", "3 m", "depth", "2 m", "height", "2 m"));
        // 10 m from the right edge and 8 m from the upper one: 60 by 40 m
        thing.put("x", "47 m");
        thing.put("y", "30 m");
        thing.put("measured", "10 m from edge 2, 8 m from edge 3");
        Design d = Jobs.design("roof.obstructions", List.of(thing), "roof.parapets", List.of());
        var wider = JobReader.read(
                DocumentPatch.apply(
                        d.job(), List.of(new DocumentPatch.Change("set", "$.roof.obstructions[id=p].width", "5 m"))),
                false);
        var changes = MeasuredPlaces.follow(d.job(), wider.job());
        var put = JobReader.read(DocumentPatch.apply(wider.job(), changes), false)
                .job()
                .roof()
                .obstructions()
                .get(0);
        assertThat(put.x().si()).isCloseTo(45, within(1e-6));
        assertThat(put.y().si()).isCloseTo(30, within(1e-6));
        assertThat(MeasuredPlaces.follow(d.job(), d.job())).isEmpty();
    }
}
