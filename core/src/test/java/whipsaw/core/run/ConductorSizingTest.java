package whipsaw.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import whipsaw.core.Draws;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.ConductorTables;

class ConductorSizingTest {
    private static final ConductorTables TABLES = CodeTables.shipped().conductors();

    private static VoltageDrop.Circuit circuit(double amps, double feet, double powerFactor) {
        return new VoltageDrop.Circuit(
                VoltageDrop.System.THREE_PHASE,
                amps,
                480,
                whipsaw.core.units.Unit.FOOT.toSi(feet),
                "cu",
                "steel",
                powerFactor,
                true);
    }

    private static ConductorSizing size(double amps, double feet, double dropPct, double ambientC) {
        var place = new Ampacity.Place("THWN-2", 75, ambientC, 3, true, 4, 0.875);
        return ConductorSizing.of(
                new ConductorSizing.Input(circuit(amps, feet, 1), place, dropPct, "600", 8, 0, "cu", false, false),
                TABLES);
    }

    @Test
    void theNextSmallerSizeFailsSomewhere() {
        Draws.each(200, draw -> {
            double amps = draw.between(5, 900);
            double feet = draw.between(10, 900);
            ConductorSizing s = size(amps, feet, 2, 35);
            if (!s.feasible()) {
                return;
            }
            var chosen = s.chosen();
            assertThat(chosen.ampacity().terminalA()).isGreaterThanOrEqualTo(1.25 * amps - 1e-6);
            assertThat(chosen.ampacity().correctedA()).isGreaterThanOrEqualTo(amps - 1e-6);
            assertThat(chosen.drop().dropPct()).isLessThanOrEqualTo(2 + 1e-9);
            int index = TABLES.sizes().indexOf(chosen.size());
            boolean smallest =
                    index == 0 || (chosen.sets() > 1 && chosen.size().name().equals("1/0"));
            if (!smallest) {
                var smaller = TABLES.sizes().get(index - 1);
                var place = s.input().place();
                Ampacity a = Ampacity.of(smaller, "cu", chosen.sets(), place, TABLES);
                VoltageDrop d = VoltageDrop.of(s.input().circuit(), smaller.name(), chosen.sets(), TABLES);
                double ampacity = Math.min(a.terminalA(), a.correctedA());
                int allowed = s.deviceA() <= 800 ? TABLES.deviceAtLeast(ampacity) : (int) ampacity;
                boolean carries = a.terminalA() >= 1.25 * amps
                        && a.correctedA() >= amps
                        && s.deviceA() <= allowed
                        && s.deviceA() <= TABLES.smallConductorDeviceA("cu", smaller.name())
                        && d.dropPct() <= 2;
                assertThat(carries).isFalse();
            }
        });
    }

    @Test
    void theRooftopAdderActsLowInTheSunOnly() {
        var table = TABLES.size("10");
        var low = new Ampacity.Place("THWN-2", 75, 38, 3, true, 0.5, 0.875);
        var onTheLimit = new Ampacity.Place("THWN-2", 75, 38, 3, true, 0.875, 0.875);
        var shaded = new Ampacity.Place("THWN-2", 75, 38, 3, false, 0.5, 0.875);
        var xhhw = new Ampacity.Place("XHHW-2", 75, 38, 3, true, 0.5, 0.875);
        assertThat(Ampacity.of(table, "cu", 1, low, TABLES).ambientC()).isEqualTo(71);
        for (Ampacity.Place place : new Ampacity.Place[] {onTheLimit, shaded, xhhw}) {
            assertThat(Ampacity.of(table, "cu", 1, place, TABLES).ambientC()).isEqualTo(38);
        }
    }

    @Test
    void dropGrowsWithLengthAndHalvesWithTwoSets() {
        double one = VoltageDrop.of(circuit(200, 300, 0.9), "4/0", 1, TABLES).dropV();
        assertThat(VoltageDrop.of(circuit(200, 600, 0.9), "4/0", 1, TABLES).dropV())
                .isCloseTo(2 * one, within(1e-9));
        assertThat(VoltageDrop.of(circuit(200, 300, 0.9), "4/0", 2, TABLES).dropV())
                .isCloseTo(one / 2, within(1e-9));
        assertThat(VoltageDrop.of(circuit(200, 0, 0.9), "4/0", 1, TABLES).dropV())
                .isZero();
        assertThat(VoltageDrop.of(circuit(200, 300, 1), "700", 1, TABLES).dropV())
                .isNaN();
    }

    @Test
    void tooHotOrTooLargeIsInfeasibleAndSaysWhatIsKnown() {
        assertThat(size(100, 100, 2, 88).feasible()).isFalse();
        ConductorSizing huge = size(5500, 100, 2, 35);
        assertThat(huge.feasible()).isFalse();
        assertThat(huge.requiredA()).isCloseTo(6875, within(1e-9));
    }
}
