package whipsaw.core.explore;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import whipsaw.core.array.RowSpacing;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.energy.YearEnergy;

/** What a gap comes to, against the year of the design itself and against the spacing for a window. */
class GapCurveTest {
    @Test
    void aWiderGapNeverLosesMoreAndTheYearOfTheDesignSaysTheSame() {
        for (Design d : List.of(Jobs.design(), Jobs.pairedDesign())) {
            GapCurve curve = new GapCurve(d);
            List<GapCurve.Point> points = curve.curve();
            for (int i = 1; i < points.size(); i++) {
                assertThat(points.get(i).loss())
                        .isLessThanOrEqualTo(points.get(i - 1).loss() + 1e-9);
                assertThat(points.get(i).shadeFreeDeg())
                        .isLessThan(points.get(i - 1).shadeFreeDeg());
                assertThat(points.get(i).coverage())
                        .isLessThan(points.get(i - 1).coverage());
            }
            double behind = 0;
            double open = 0;
            for (YearEnergy.Part p : d.whole().year().arrays().get(0).parts()) {
                if (p.words().contains("behind")) {
                    behind += p.dcKwhPerKwp();
                } else {
                    open += p.dcKwhPerKwp();
                }
            }
            if (d.layout().pairs() == null) {
                assertThat(curve.loss(d.layout().gapM())).isCloseTo(1 - behind / open, within(2e-3));
            }
            assertThat(curve.at(d.layout().gapM()).shadeFreeDeg())
                    .isCloseTo(
                            d.layout().pairs() != null
                                    ? d.layout()
                                            .pairs()
                                            .shadeLimitDeg(d.layout().gapM())
                                    : Math.toDegrees(Math.atan2(
                                            d.layout().spacing().riseM(),
                                            d.layout().gapM())),
                            within(1e-6));
        }
    }

    @Test
    void theLeastGapForABudgetKeepsItAndOneSmallerDoesNot() {
        GapCurve curve = new GapCurve(Jobs.design());
        for (double budget : new double[] {0.005, 0.02, 0.06}) {
            double gap = curve.leastFor(budget);
            assertThat(curve.loss(gap)).isLessThanOrEqualTo(budget + 1e-9);
            assertThat(curve.loss(gap - 0.001)).isGreaterThan(budget);
        }
        assertThat(curve.leastFor(1e-6)).isNaN();
        assertThat(curve.leastFor(1)).isZero();
    }

    @Test
    void theHoursFreeOfShadowAreThoseTheSpacingAsksFor() {
        Design d = Jobs.design();
        RowSpacing.Input in = d.layout().spacing().input();
        GapCurve.Point p = new GapCurve(d).at(0.6);
        double inside = RowSpacing.of(window(in, p.fromHour(), p.toHour())).gapM();
        assertThat(inside).isLessThanOrEqualTo(0.6 + 1e-6);
        assertThat(RowSpacing.of(window(in, p.fromHour() - 0.1, p.toHour())).gapM())
                .isGreaterThan(0.6);
        assertThat(RowSpacing.of(window(in, p.fromHour(), p.toHour() + 0.1)).gapM())
                .isGreaterThan(0.6);
        // the sun is never high enough for rows that touch
        assertThat(new GapCurve(d).at(0).fromHour()).isNaN();
    }

    private static RowSpacing.Input window(RowSpacing.Input in, double from, double to) {
        return new RowSpacing.Input(
                in.latitudeDeg(),
                in.tiltDeg(),
                in.slopeLengthM(),
                in.facingDeg(),
                from,
                to,
                in.roofSlopeDeg(),
                in.roofAzimuthDeg(),
                in.declinationDeg());
    }
}
