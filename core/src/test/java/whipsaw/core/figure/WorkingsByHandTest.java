package whipsaw.core.figure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.working.Step;
import whipsaw.core.working.Working;

/** Every line of every working, worked out again from the numbers that stand in it. */
class WorkingsByHandTest {
    /** Values in a working are rounded for reading, so a line is right within this part. */
    private static final double ROUNDING = 0.02;

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.00256 · 0.8989 · 1 · 0.85 · 1 · 105 mph²|21.565",
                "2.01 · (max(20 ft, 15 ft) / 900 ft)^(2 / 9.5)|0.9019",
                "min(0.4 · √(20 ft · 190 ft), 20 ft, 130 ft)|20",
                "0.19 · ln(max(6 m, 2 m) / 0.05 m)|0.9096",
                "max(240 lb [109 kg], 300 lb [136 kg]) − 73 lb [33 kg]|227",
                "(0.6 / 0.6) · (0.48 · 180 lbf [0.8 kN] + 31 lbf) / (0.48 · cos 1.19° − sin 1.19°)|255.87",
                "exp(−0.0000362 · 900 ft)|0.968",
            })
    void theCalculatorReadsWorkings(String line, double value) {
        assertThat(Formula.evaluate(line)).isCloseTo(value, within(value * 1e-3));
    }

    @Test
    void theCalculatorDoesNotGuess() {
        assertThatThrownBy(() -> Formula.evaluate("curve at 12 m²")).isInstanceOf(Formula.NotNumeric.class);
        assertThatThrownBy(() -> Formula.evaluate("Σ n · 32 lb")).isInstanceOf(Formula.NotNumeric.class);
    }

    private static List<Working> workings(Design d) {
        Figures figures = new Figures(d, Jobs.SOLVER.tables());
        Set<String> keys = new LinkedHashSet<>(figures.keys());
        int modules = d.layout().modules().size();
        for (int i = 0; i < modules; i += Math.max(1, modules / 25)) {
            keys.add("uplift/" + d.layout().modules().get(i).number());
        }
        int positions = d.holdDown().positions().size();
        for (int i = 0; i < positions; i += Math.max(1, positions / 25)) {
            keys.add("ballast/" + d.holdDown().positions().get(i).number());
        }
        d.loads().bays().forEach(b -> keys.add("roof.bay/" + b.bay().name()));
        List<Working> workings = new ArrayList<>();
        keys.forEach(key -> workings.add(figures.working(key)));
        return workings;
    }

    private static int check(Design d) {
        int read = 0;
        for (Working w : workings(d)) {
            for (Step s : w.steps()) {
                // masses over areas carry g and two units; they have their own tests
                if (s.formula().contains("· g")
                        || s.formula().isEmpty()
                        || s.terms().isEmpty()) {
                    continue;
                }
                double[][] shown;
                double again;
                try {
                    shown = Formula.numbers(s.result());
                    again = Formula.evaluate(s.substituted());
                } catch (Formula.NotNumeric e) {
                    continue;
                }
                assertThat(matches(s, again, shown))
                        .as(w.figure() + ": " + s.symbol() + " = " + s.substituted() + " = " + again + ", shown "
                                + s.result())
                        .isTrue();
                read++;
            }
        }
        return read;
    }

    private static boolean matches(Step s, double again, double[][] shown) {
        // two nearly equal weights are subtracted, and what is left is never below nothing
        boolean ballast = s.symbol().equals("B");
        double value = ballast ? Math.max(0, again) : again;
        for (double[] number : shown) {
            double slack = Math.max(ROUNDING * Math.abs(number[0]), number[1] * (ballast ? 2.1 : 0.51));
            if (Math.abs(value - number[0]) <= slack) {
                return true;
            }
        }
        return false;
    }

    @Test
    void aMetricJobByAsce() {
        assertThat(check(Jobs.design())).isGreaterThan(200);
    }

    @Test
    void aJobInFeetAndPounds() {
        assertThat(check(Jobs.design(
                        "project.units",
                        "us",
                        "roof.slope",
                        "1.2 deg",
                        "site.elevation",
                        "900 ft",
                        "roof.height",
                        "21' 3\"",
                        "roof.parapets",
                        List.of(Map.of("edge", 1, "height", "2 ft", "thickness", "8 in")))))
                .isGreaterThan(200);
    }

    @Test
    void aJobOfPairsByEn() {
        assertThat(check(Jobs.pairedDesign(
                        "site.terrain", "III", "site.directionFactor", 0.9, "site.snowExposure", 1.2)))
                .isGreaterThan(180);
    }

    @Test
    void jointsAndFullPositions() {
        assertThat(check(Jobs.design("array.tray.positions", "joint", "array.tray.mostBlocks", 4)))
                .isGreaterThan(200);
    }
}
