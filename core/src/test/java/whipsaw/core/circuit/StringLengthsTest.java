package whipsaw.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class StringLengthsTest {

    @Test
    void takesLongestStringsThenOneShorter() {
        assertThat(CircuitStage.lengths(36, 12, 18)).containsExactly(18, 18);
        assertThat(CircuitStage.lengths(50, 12, 18)).containsExactly(18, 18, 14);
        assertThat(CircuitStage.lengths(38, 12, 18)).containsExactly(13, 13, 12);
        assertThat(CircuitStage.lengths(11, 12, 18)).isEmpty();
        assertThat(CircuitStage.lengths(23, 12, 18)).containsExactly(18);
    }

    @Test
    void lengthsAreLegalAndUseAllThatCanBeUsed() {
        for (int modules = 1; modules <= 400; modules++) {
            List<Integer> lengths = CircuitStage.lengths(modules, 13, 17);
            int used = lengths.stream().mapToInt(Integer::intValue).sum();
            assertThat(lengths).allSatisfy(n -> assertThat(n).isBetween(13, 17));
            assertThat(used).isEqualTo(most(modules));
        }
    }

    /** The most modules that strings of 13 to 17 can use, by trying every count of strings. */
    private static int most(int modules) {
        int best = 0;
        for (int strings = 1; strings * 13 <= modules; strings++) {
            best = Math.max(best, Math.min(modules, strings * 17));
        }
        return best;
    }
}
