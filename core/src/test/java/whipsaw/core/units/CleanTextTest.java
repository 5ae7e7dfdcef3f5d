package whipsaw.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class CleanTextTest {
    @Test
    void whatCannotBePrintedIsLeftOutAndTheRestStays() {
        assertThat(CleanText.line("Hall\u0000 7\u0007\nnorth\u2028wing\t2 ")).isEqualTo("Hall 7 north wing 2");
        assertThat(CleanText.line("a\u202eb\ud800c\uffff\u200bd")).isEqualTo("abcd");
        String ordinary = "Dächer 12' 6 1/2\" – Ω µ 屋根 \ud83c\udf1e";
        assertThat(CleanText.line(ordinary)).isEqualTo(ordinary);
        assertThat(CleanText.lines("42', left\n\t18', left\u0001\r\n")).isEqualTo("42', left\n\t18', left \r\n");
        assertThat(CleanText.line(CleanText.line("x\u0085y"))).isEqualTo("x y");
    }
}
