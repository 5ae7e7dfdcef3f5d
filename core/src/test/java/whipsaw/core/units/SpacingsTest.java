package whipsaw.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class SpacingsTest {
    @Test
    void aCrewsListOfSpacingsIsReadAndKeptAsCalledOut() {
        Spacings s = Spacings.parse("2' 6\", 4 @ 4' 10 1/2\"; 3", Unit.FOOT);
        assertThat(s.metres()).hasSize(6);
        assertThat(s.sumM()).isCloseTo((2.5 + 4 * 4.875 + 3) * 0.3048, within(1e-12));
        assertThat(s.typed()).isEqualTo("2' 6\", 4 @ 4' 10 1/2\", 3 ft");
        assertThat(Spacings.parse(s.typed(), null)).isEqualTo(s);
        assertThat(s.largestM()).isCloseTo(4.875 * 0.3048, within(1e-12));
    }

    @Test
    void theLastSpacingRepeatsOverAnExtent() {
        assertThat(Spacings.parse("5 m, 2 @ 3 m", null).over(15.5)).containsExactly(0.0, 5.0, 8.0, 11.0, 14.0);
        assertThat(Spacings.parse("5 m", null).over(10)).containsExactly(0.0, 5.0);
    }

    @Test
    void whatCannotBeADistanceIsNamed() {
        assertThatThrownBy(() -> Spacings.parse("4 ft, 3 @ wide", null)).hasMessageContaining("'3 @ wide'");
        assertThatThrownBy(() -> Spacings.parse("4 ft, 0 ft", null)).hasMessageContaining("more than 0");
        assertThatThrownBy(() -> Spacings.parse("4 ft, 5", null)).hasMessageContaining("has no unit");
        assertThatThrownBy(() -> Spacings.parse("999 @ 1 ft", null)).hasMessageContaining("more than 400");
    }
}
