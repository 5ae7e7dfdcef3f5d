package whipsaw.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.core.Draws;

class UnitTextTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "12' 6 1/2\"|LENGTH|FOOT|3.8227",
                "12-6 1/2|LENGTH|FOOT|3.8227",
                "12' 1/2\"|LENGTH|FOOT|3.6703",
                "12ft 6in|LENGTH|METRE|3.81",
                "150 in|LENGTH|FOOT|3.81",
                "3.81 m|LENGTH|FOOT|3.81",
                "3810|LENGTH|MILLIMETRE|3.81",
                "2 1/4 in|LENGTH|MILLIMETRE|0.05715",
                "12\u2032 6\u00bd\u2033|LENGTH|FOOT|3.8227",
                "-4' 6\"|LENGTH|FOOT|-1.3716",
                "5 psf|PRESSURE|KILOPASCAL|239.40129490167920",
                "24 kg/m2|PRESSURE|POUND_PER_SQUARE_FOOT|235.3596",
                "0.24 kPa|PRESSURE|POUND_PER_SQUARE_FOOT|240",
                "115 mph|SPEED|METRE_PER_SECOND|51.4096",
                "51 m/s|SPEED|MILE_PER_HOUR|51",
                "77 F|TEMPERATURE|CELSIUS|25",
                "~20 ft|LENGTH|FOOT|6.096",
            })
    void readsWhatCrewsWrite(String text, Quantity quantity, Unit bare, double si) {
        assertThat(UnitText.parse(text, quantity, bare).si()).isCloseTo(si, within(1e-12 * Math.max(1, Math.abs(si))));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "12' 14\"", "12 furlongs", "1,200", "1/0 in", "ft", "12' 6\" 3", "--3", "1e999 m"})
    void refusesWithAReason(String text) {
        assertThatThrownBy(() -> UnitText.parse(text, Quantity.LENGTH, Unit.FOOT))
                .isInstanceOf(IllegalArgumentException.class)
                .message()
                .isNotBlank();
    }

    @Test
    void sixteenthsSurviveShowingAndReading() {
        Draws.each(1000, draw -> {
            int sixteenths = draw.whole(0, 200_000);
            double metres = sixteenths / 16.0 * 0.0254;
            String shown = Show.in(UnitSystem.US, Dimension.ROOF_LENGTH, metres);
            assertThat(UnitText.parse(shown, Quantity.LENGTH, null).si()).isCloseTo(metres, within(1e-12));
        });
    }

    @Test
    void theUnitAddedToABareNumberMeansTheSame() {
        Draws.each(1000, draw -> {
            int value = draw.whole(1, 1_000_000);
            for (Dimension dimension : Dimension.values()) {
                for (UnitSystem system : UnitSystem.values()) {
                    Unit unit = dimension.unit(system);
                    Measure first = UnitText.parse(value / 16.0 + "", dimension.quantity(), unit);
                    if (unit == Unit.ONE) {
                        continue;
                    }
                    assertThat(UnitText.parse(first.typed(), dimension.quantity(), null))
                            .isEqualTo(first);
                }
            }
        });
    }

    @ParameterizedTest
    @CsvSource({"3.0000000001,3,3", "2.9999999999,3,3", "2.5,3,2", "0,0,0"})
    void wholeThingsRoundWithSlack(double value, int up, int down) {
        assertThat(Limits.ceil(value)).isEqualTo(up);
        assertThat(Limits.floor(value)).isEqualTo(down);
    }
}
