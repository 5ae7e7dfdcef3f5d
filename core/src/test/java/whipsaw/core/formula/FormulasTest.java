package whipsaw.core.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.site.PeakPressure;
import whipsaw.core.site.VelocityPressure;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Measure;
import whipsaw.core.working.DataStatus;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;

/** A formula is computed as it is printed, and a declaration that makes no sense fails at once. */
class FormulasTest {
    private static Formulas.Builder lengths() {
        return Formulas.of("Rule")
                .in("a", "a length", Measured.METRE)
                .in("b", "another one", Measured.METRE)
                .in("n", "a number", Measured.NUMBER)
                .in("p", "a pressure", Measured.PASCAL);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1 + 2 · 3|7",
                "8 / 4 / 2|1",
                "2 − 3 − 4|-5",
                "−2²|4",
                "(1 + 2) · 3|9",
                "2 ^ 3|8",
                "min(3, max(1, 2), 5)|2",
                "√ 16 · 2|8",
                "√(9 + 16)|5",
                "½ · 6|3",
                "cos(60) + sin(30)|1",
                "atan(1)|45",
                "exp(ln(7))|7",
                "{n}² · {a} / {b}|4.5",
            })
    void itIsReadAsAPersonReadsIt(String formula, double value) {
        Formulas f = Formulas.of("Rule")
                .in("a", "a length", Measured.METRE)
                .in("b", "another one", Measured.METRE)
                .in("n", "a number", Measured.NUMBER)
                .let("x", "a result", formula, Measured.NUMBER, "1")
                .let("y", "uses the rest", "{n} · ({a} + {b}) / {a}", Measured.NUMBER, "2")
                .build();
        Values v = f.values().put("a", 2).put("b", 4).put("n", 3).compute();
        assertThat(v.get("x")).isCloseTo(value, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{a} + {n}|different units",
                "max({a}, {p})|different units",
                "{a} + {q}|no symbol 'q'",
                "{a} ^ {n}|something with a unit",
                "ln({a})|something with a unit",
                "√({a} · {a} · {a})|root of a unit",
                "{a} · {b}|not measured as its formula",
                "{a} +|cannot be read",
                "({a}|lacks ')'",
                "{a} {b}|cannot be read",
            })
    void whatMakesNoSenseFailsWhenItIsDeclared(String formula, String told) {
        assertThatThrownBy(() -> lengths().let("x", "a length again", formula, Measured.METRE, "1"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(told);
    }

    @Test
    void aGroupIsWhole() {
        assertThatThrownBy(() -> lengths().let("x", "no clause", "{a}", Measured.METRE, ""))
                .hasMessageContaining("no clause");
        assertThatThrownBy(() -> lengths().let("a", "again", "{b}", Measured.METRE, "1"))
                .hasMessageContaining("twice");
        assertThatThrownBy(() -> lengths()
                        .let("x", "the rest", "{a} + {b} · {n}", Measured.METRE, "1")
                        .build())
                .hasMessageContaining("p is put in and never used");
        Formulas f = Formulas.of("")
                .in("a", "a", Measured.METRE)
                .let("x", "x", "{a}", Measured.METRE, "1")
                .build();
        assertThatThrownBy(() -> f.values().put("x", 1)).hasMessageContaining("is a result");
        assertThatThrownBy(() -> f.values().put("z", 1)).hasMessageContaining("no symbol");
    }

    @Test
    void valuesSayWhereTheyComeFromAndWhatIsNotPutInIsNoNumber() {
        Formulas f = Formulas.of("Code")
                .in("h", "height", Measured.FOOT)
                .in("k", "factor", Measured.NUMBER)
                .let("H", "times", "{k} · {h}", Measured.FOOT, "1.2")
                .let("G", "and again", "2 · {H}", Measured.FOOT, "1.3")
                .build();
        Values v = f.values()
                .put("h", 3.048, From.typed(new Measure(3.048, "~10 ft", true)))
                .put("k", 2, From.rule("own rule"))
                .compute();
        assertThat(v.get("H")).isCloseTo(20, within(1e-12));
        assertThat(v.si("G")).isCloseTo(12.192, within(1e-12));
        List<Step> steps = v.steps(Terms.typed());
        assertThat(steps.get(0).substituted()).isEqualTo("2 · 10 ft");
        assertThat(steps.get(0).clause()).isEqualTo("Code 1.2");
        assertThat(steps.get(0).terms()).extracting(Term::origin).containsExactly(Origin.DEFAULTED, Origin.ASSUMED);
        assertThat(steps.get(1).terms().get(0).origin()).isEqualTo(Origin.COMPUTED);
        assertThat(f.values().put("k", 2).compute().get("G")).isNaN();
        assertThat(v)
                .isEqualTo(f.values().put("h", 3.048).put("k", 2).compute())
                .isNotEqualTo(f.values());
    }

    @Test
    void theWorkingOfTheWindIsItsComputation() {
        CodeTables tables = CodeTables.shipped();
        VelocityPressure q = VelocityPressure.of(
                new VelocityPressure.Input(47, 6, "C", "7-16", 1, 0.85, 0, VelocityPressure.LOWEST_HEIGHT_M),
                tables.wind());
        Step kz = q.steps(Terms.typed()).get(0);
        assertThat(kz.terms()).anySatisfy(t -> {
            assertThat(t.symbol()).isEqualTo("z_g");
            assertThat(t.meaning()).endsWith("7-16 exposure C");
            assertThat(t.status()).isEqualTo(DataStatus.UNCONFIRMED);
        });
        assertThat(q.steps(Terms.typed())).hasSize(3);
        PeakPressure p = PeakPressure.of(new PeakPressure.Input(24, 9, 2, "III", 1, 1, 1, 1, 1.25), tables.en());
        assertThat(p.steps(Terms.typed()).get(0).substituted()).isEqualTo("9 m − 2 m");
    }
}
