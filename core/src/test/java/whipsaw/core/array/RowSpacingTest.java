package whipsaw.core.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import whipsaw.core.Draws;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;

class RowSpacingTest {

    private static RowSpacing spacing(double latitude, double facing, double from, double to) {
        return RowSpacing.of(new RowSpacing.Input(
                latitude, 10, 1.134, facing, from, to, 0, 0, RowSpacing.winterDeclinationDeg(latitude)));
    }

    /** Rays cast from the upper edge, minute by minute, reach the next low edge once and never pass it. */
    @Test
    void theGapIsTheLongestShadow() {
        Draws.each(60, draw -> {
            double latitude = draw.between(25, 52);
            double facing = draw.between(150, 210);
            RowSpacing r = spacing(latitude, facing, 10, 14);
            double fx = Math.sin(Math.toRadians(facing));
            double fy = Math.cos(Math.toRadians(facing));
            double longest = 0;
            for (int minute = 600; minute <= 840; minute++) {
                double[] sun = SolarTime.direction(latitude, RowSpacing.SOLSTICE_DECLINATION_DEG, minute / 60.0);
                double time = r.riseM() / sun[2];
                longest = Math.max(longest, (sun[0] * fx + sun[1] * fy) * time);
            }
            assertThat(r.gapM()).isCloseTo(longest, within(1e-9));
        });
    }

    @Test
    void eastAndWestOfSouthAreMirrorImages() {
        assertThat(spacing(45, 160, 10, 14).gapM())
                .isCloseTo(spacing(45, 200, 10, 14).gapM(), within(1e-9));
        assertThat(spacing(-35, 0, 10, 14).gapM())
                .isCloseTo(spacing(35, 180, 10, 14).gapM(), within(1e-9));
    }

    @Test
    void aLongerWindowAndAHigherLatitudeNeedMore() {
        assertThat(spacing(45, 180, 9, 15).gapM())
                .isGreaterThan(spacing(45, 180, 10, 14).gapM());
        assertThat(spacing(50, 180, 10, 14).gapM())
                .isGreaterThan(spacing(45, 180, 10, 14).gapM());
        assertThat(spacing(60, 180, 7, 17).shadeFree()).isFalse();
    }

    @Test
    void theSmallestShadeFreeSettingIsTaken() {
        Design d = Jobs.design("array.gap", null);
        double needed = d.layout().spacing().gapM();
        assertThat(d.layout().gapM()).isGreaterThanOrEqualTo(needed);
        assertThat(d.job().array().tray().gaps())
                .noneMatch(g -> g.si() >= needed && g.si() < d.layout().gapM() - 1e-9);
    }

    /** The phase is as good as any of a fine sweep. */
    @Test
    void noColumnPhaseTakesMoreModules() {
        Draws.each(400, draw -> {
            double a = draw.between(5, 40);
            double b = draw.between(5, 40);
            double shift = draw.between(0, 9);
            List<FreeRegion.Interval> intervals = new ArrayList<>();
            intervals.add(new FreeRegion.Interval(0, a));
            intervals.add(new FreeRegion.Interval(shift, shift + b));
            intervals.add(new FreeRegion.Interval(-shift / 3, a / 2));
            double best = ColumnPhase.best(intervals, 2.28, 2.30);
            int taken = count(intervals, best);
            for (double phase = 0; phase < 2.30; phase += 0.01) {
                assertThat(count(intervals, phase)).isLessThanOrEqualTo(taken);
            }
        });
    }

    private static int count(List<FreeRegion.Interval> intervals, double phase) {
        int sum = 0;
        for (FreeRegion.Interval i : intervals) {
            double first = Math.ceil((i.from() - phase) / 2.30 - 1e-7);
            double last = Math.floor((i.to() - 2.28 - phase) / 2.30 + 1e-7);
            sum += (int) Math.max(0, last - first + 1);
        }
        return sum;
    }

    @Test
    void walkwaysLieWhereTheRuleSaysAndModulesStayApart() {
        Design d = Jobs.design("array.walkway", java.util.Map.of("every", 4, "first", 3, "width", "1.2 m"));
        assertThat(d.layout().walkwaysAfter()).startsWith(3, 7, 11);
        double before = Double.NaN;
        int row = 0;
        for (ArrayLayout.Module m : d.layout().modules()) {
            if (m.row() != row) {
                double wanted = d.layout().walkwaysAfter().contains(row) ? 1.2 : 0.5;
                if (row > 0) {
                    assertThat(m.t() - before - d.layout().depthM()).isCloseTo(wanted, within(1e-9));
                }
                row = m.row();
                before = m.t();
            }
        }
    }

    @Test
    void modulesTakenOutByHandAreKeptByPlaceOrTold() {
        Design bare = Jobs.design();
        var module = bare.layout().modules().get(30);
        var corner = bare.layout().corners(module)[0];
        Object place = java.util.Map.of("x", corner.x + 1.0 + " m", "y", corner.y + 0.4 + " m");
        Object nowhere = java.util.Map.of("x", "0.2 m", "y", "0.2 m");
        Design d = Jobs.design("array.removed", List.of(place, nowhere));
        assertThat(d.layout().modules()).hasSize(bare.layout().modules().size() - 1);
        assertThat(d.layout().notKept()).hasSize(1);
        assertThat(d.checks()).anyMatch(c -> c.id().equals("array.hand-edits"));
    }
}
