package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What is seen over the parapet, by properties of straight lines. */
class SightLineTest {
    private static SightLine from(double distanceM) {
        return SightLine.of(6.5, 0.2, new SightLine.Viewer(distanceM, 1.6, 0));
    }

    @Test
    void theLeastSetbackIsWhereItJustDisappears() {
        SightLine line = from(30);
        double least = line.leastSetbackM(0.5);
        assertThat(line.sees(0.5, least)).isFalse();
        assertThat(line.sees(0.5, least - 1e-6)).isTrue();
        assertThat(line.hiddenM(least)).isCloseTo(0.5, within(1e-12));
        assertThat(line.leastSetbackM(0.2)).isZero();
    }

    @Test
    void theFarthestViewerGovernsARowAndMoreSetbackHidesMore() {
        SightLine.Row row = SightLine.Row.of(0.12, 15, 1.13, false);
        double near = SightLine.leastSetbackM(row, List.of(from(8)));
        double far = SightLine.leastSetbackM(row, List.of(from(120)));
        assertThat(far).isGreaterThan(near);
        assertThat(SightLine.leastSetbackM(row, List.of(from(8), from(120)))).isEqualTo(far);
        boolean seen = true;
        for (double s = 0; s < 8; s += 0.25) {
            boolean now = from(120).sees(row, s);
            assertThat(!seen && now).isFalse();
            seen = now;
        }
        // the same row turned round shows its high edge first
        SightLine.Row turned = SightLine.Row.of(0.12, 15, 1.13, true);
        assertThat(SightLine.leastSetbackM(turned, List.of(from(120)))).isGreaterThan(far);
    }

    @Test
    void anEyeAboveTheParapetSeesWhatIsSetBackTooFar() {
        SightLine above = SightLine.of(3, 0.4, new SightLine.Viewer(20, 1.6, 5));
        assertThat(above.slope()).isNegative();
        double most = above.mostSetbackM(0.1);
        assertThat(above.sees(0.1, most * 0.99)).isFalse();
        assertThat(above.sees(0.1, most * 1.01)).isTrue();
        assertThat(above.leastSetbackM(0.5)).isNaN();
        SightLine.Row row = SightLine.Row.of(0.1, 15, 1.1, false);
        assertThat(SightLine.leastSetbackM(row, List.of(above, from(40)))).isNaN();
    }
}
