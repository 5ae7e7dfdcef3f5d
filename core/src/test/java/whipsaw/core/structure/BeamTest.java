package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import whipsaw.core.structure.Beam.Load;

/** A simple span against what statics books say and against sums over many small pieces. */
class BeamTest {
    private static final double EI = 4e6;

    @Test
    void anEvenLoadBendsAsTheBooksSay() {
        Beam.Effect e = Beam.of(8, List.of(Load.uniform(8, 1500)));
        assertThat(e.momentNm()).isCloseTo(1500 * 64 / 8.0, within(1e-6));
        assertThat(e.atM()).isCloseTo(4, within(1e-9));
        assertThat(e.shearN()).isCloseTo(6000, within(1e-6));
        assertThat(Beam.deflectionM(8, List.of(Load.uniform(8, 1500)), EI))
                .isCloseTo(5 * 1500 * Math.pow(8, 4) / (384 * EI), within(1e-9));
    }

    @Test
    void aPointLoadBendsAsTheBooksSay() {
        Beam.Effect e = Beam.of(6, List.of(new Load(2, 2, 9000)));
        assertThat(e.leftN()).isCloseTo(6000, within(1e-9));
        assertThat(e.rightN()).isCloseTo(3000, within(1e-9));
        assertThat(e.momentNm()).isCloseTo(9000 * 2 * 4 / 6.0, within(1e-9));
        // largest where x = sqrt((L2 - a2) / 3) from the farther support
        double sag = Beam.deflectionM(6, List.of(new Load(2, 2, 9000)), EI);
        assertThat(sag).isCloseTo(9000 * 2 * Math.pow(36 - 4, 1.5) / (9 * Math.sqrt(3) * 6 * EI), within(2e-5));
    }

    /** Any loads: reactions balance, the largest moment is none smaller than at any place, mirrored loads mirror. */
    @Test
    void anyLoadsAgreeWithSumsOverSmallPieces() {
        Random random = new Random(3);
        for (int round = 0; round < 60; round++) {
            double span = 3 + random.nextDouble() * 12;
            List<Load> loads = new ArrayList<>();
            List<Load> mirrored = new ArrayList<>();
            List<Load> pieces = new ArrayList<>();
            for (int i = 0; i < 1 + random.nextInt(6); i++) {
                double from = random.nextDouble() * span;
                double to = random.nextBoolean() ? from : from + random.nextDouble() * (span - from);
                double newton = (random.nextInt(5) == 0 ? -1 : 1) * random.nextDouble() * 5000;
                loads.add(new Load(from, to, newton));
                mirrored.add(new Load(span - to, span - from, newton));
                for (int k = 0; k < 400; k++) {
                    double at = from + (to - from) * (k + 0.5) / 400;
                    pieces.add(new Load(at, at, newton / 400));
                }
            }
            Beam.Effect e = Beam.of(span, loads);
            Beam.Effect m = Beam.of(span, mirrored);
            double all = loads.stream().mapToDouble(Load::newton).sum();
            assertThat(e.leftN() + e.rightN()).isCloseTo(all, within(1e-6));
            assertThat(m.momentNm()).isCloseTo(e.momentNm(), within(1e-6 * Math.abs(e.momentNm()) + 1e-6));
            assertThat(m.leftN()).isCloseTo(e.rightN(), within(1e-6));
            double sag = Math.abs(Beam.deflectionM(span, loads, 1));
            assertThat(Math.abs(Beam.deflectionM(span, mirrored, 1))).isCloseTo(sag, within(1e-6 * sag));
            double most = 0;
            double bends = 0;
            for (int k = 1; k < 200; k++) {
                double x = span * k / 200;
                double at = e.leftN() * x;
                double bent = 0;
                for (Load p : pieces) {
                    at -= p.fromM() < x ? p.newton() * (x - p.fromM()) : 0;
                    bent += p.newton() * influence(span, x, p.fromM());
                }
                most = Math.max(most, Math.abs(at));
                bends = Math.max(bends, Math.abs(bent));
            }
            assertThat(Math.abs(e.momentNm())).isBetween(most * 0.999, most * 1.02 + 1);
            assertThat(sag).isCloseTo(bends, within(0.004 * bends));
        }
    }

    private static double influence(double span, double x, double a) {
        double left = Math.min(x, a);
        double right = span - Math.max(x, a);
        return left * right * (span * span - left * left - right * right) / (6 * span);
    }
}
