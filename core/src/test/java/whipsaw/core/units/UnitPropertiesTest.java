package whipsaw.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import org.junit.jupiter.api.Test;
import whipsaw.core.Draws;

/** The one parser: whatever the field, the unit and the way it is written, the value is the same. */
class UnitPropertiesTest {

    private static double tolerance(double value) {
        return 1e-12 * Math.max(1, Math.abs(value));
    }

    /** The same size in any unit of the quantity reads to the same SI value. */
    @Test
    void everyUnitOfAQuantityMeansTheSameSize() {
        Draws.each(400, draw -> {
            Dimension dimension = draw.of(Dimension.values());
            double si = draw.between(0.01, 5000);
            for (Unit unit : Unit.values()) {
                if (unit.quantity() == dimension.quantity() && !unit.symbol().isEmpty()) {
                    String text = java.math.BigDecimal.valueOf(unit.fromSi(si)).toPlainString() + " " + unit.symbol();
                    Measure m = UnitText.parse(text, unit.quantity(), null);
                    assertThat(m.si()).as(text).isCloseTo(si, within(1e-9 * Math.max(1, si)));
                    assertThat(m.typed()).isEqualTo(text);
                }
            }
        });
    }

    /** What a drag stores reads back within what the text shows, and exactly to itself. */
    @Test
    void theExactTextReadsBackToItself() {
        Draws.each(400, draw -> {
            Dimension dimension = draw.of(Dimension.values());
            double si = draw.between(-900, 900);
            for (UnitSystem system : UnitSystem.values()) {
                Unit unit = dimension.unit(system);
                String text = Show.exact(system, dimension, si).strip();
                Measure once = UnitText.parse(text, dimension.quantity(), unit);
                Measure twice = UnitText.parse(once.typed(), dimension.quantity(), unit);
                assertThat(twice).isEqualTo(once);
                assertThat(once.si())
                        .isCloseTo(si, within(Math.abs(unit.toSi(0.00006) - unit.toSi(0)) + tolerance(si)));
            }
        });
    }

    /** Feet and inches in every way crews write them. */
    @Test
    void feetAndInchesInEveryStyle() {
        Draws.each(400, draw -> {
            int feet = draw.whole(0, 900);
            int inches = draw.whole(0, 11);
            int sixteenths = draw.whole(0, 15);
            double metres = (feet * 12 + inches + sixteenths / 16.0) * 0.0254;
            String part = sixteenths == 0 ? "" : " " + sixteenths + "/16";
            for (String style : new String[] {
                "%d' %d%s\"",
                "%d'%d%s\"",
                "%d-%d%s",
                "%d ft %d%s in",
                "%dft %d%sin",
                "%d' %d%s''",
                "%d\u2032 %d%s\u2033"
            }) {
                String text = String.format(Locale.ROOT, style, feet, inches, part);
                assertThat(UnitText.parse(text, Quantity.LENGTH, Unit.FOOT).si())
                        .as(text)
                        .isCloseTo(metres, within(tolerance(metres)));
                assertThat(UnitText.parse(text, Quantity.LENGTH, Unit.MILLIMETRE)
                                .si())
                        .as("whatever the field's unit: " + text)
                        .isCloseTo(metres, within(tolerance(metres)));
            }
        });
    }

    /** Spaces and the mark of an assumption never change the value. */
    @Test
    void spacesAndTheMarkOfAnAssumptionDoNotCount() {
        Draws.each(200, draw -> {
            String noise = draw.of("", "~", "~ ", " ") + "#" + draw.of("", " ", "  ", "\u00a0");
            int number = draw.whole(1, 9999);
            String text = noise.replace("#", String.valueOf(number)) + "mm";
            Measure m = UnitText.parse(text, Quantity.LENGTH, Unit.FOOT);
            assertThat(m.si()).isCloseTo(number / 1000.0, within(1e-15 * number));
            assertThat(m.assumed()).isEqualTo(noise.startsWith("~"));
        });
    }

    /** A bigger number is never a smaller size, and a minus turns the sign. */
    @Test
    void orderAndSignSurvive() {
        Draws.each(200, draw -> {
            Dimension dimension = draw.of(Dimension.values());
            double a = draw.between(0, 1e6);
            double more = draw.between(0, 1e6);
            for (UnitSystem system : UnitSystem.values()) {
                Unit unit = dimension.unit(system);
                double low = parse(a, dimension, unit);
                double high = parse(a + more, dimension, unit);
                assertThat(high).isGreaterThanOrEqualTo(low);
                double zero = parse(0, dimension, unit);
                assertThat(parse(-a, dimension, unit) - zero)
                        .isCloseTo(-(low - zero), within(1e-9 * Math.max(1, Math.abs(low))));
            }
        });
    }

    private static double parse(double value, Dimension dimension, Unit unit) {
        return UnitText.parse(
                        new java.math.BigDecimal(value)
                                .setScale(6, java.math.RoundingMode.HALF_UP)
                                .toPlainString(),
                        dimension.quantity(),
                        unit)
                .si();
    }

    /** The other system beside a value is the same value. */
    @Test
    void theOtherSystemIsBesideEveryValueThatHasTwo() {
        Draws.each(200, draw -> {
            Dimension dimension = draw.of(Dimension.values());
            double si = draw.between(1, 500);
            for (UnitSystem system : UnitSystem.values()) {
                String both = Show.both(system, dimension, si);
                if (!dimension.twoSystems()) {
                    assertThat(both).doesNotContain("[");
                    continue;
                }
                String other = both.substring(both.lastIndexOf('[') + 1, both.lastIndexOf(']'));
                Unit unit = dimension.unit(system.other());
                double read = UnitText.parse(other, dimension.quantity(), unit).si();
                double step = Math.abs(unit.toSi(unit == Unit.FOOT || unit == Unit.INCH ? 0.07 : 0.6) - unit.toSi(0));
                assertThat(read).as(both).isCloseTo(si, within(step));
            }
        });
    }

    /** A unit of another quantity is refused and the usual ones are named. */
    @Test
    void aUnitOfAnotherQuantityIsRefused() {
        Draws.each(100, draw -> {
            Dimension dimension = draw.of(Dimension.values());
            int number = draw.whole(1, 99);
            for (String foreign : new String[] {"furlong", "mph", "psf", "kW"}) {
                if (Unit.named(dimension.quantity(), foreign) == null && !foreign.isEmpty()) {
                    org.assertj.core.api.Assertions.assertThatThrownBy(() -> UnitText.parse(
                                    number + " " + foreign, dimension.quantity(), dimension.unit(UnitSystem.US)))
                            .isInstanceOf(UnitTextException.class)
                            .hasMessageContaining(foreign)
                            .hasMessageContaining(Unit.namesOf(dimension.quantity()));
                }
            }
        });
    }
}
