package whipsaw.core.energy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import whipsaw.core.Draws;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.Horizon;
import whipsaw.core.job.JobReader;

/** A skyline hides the low sun and nothing else. */
class SkylineTest {
    private static YearEnergy year(String skyline) {
        return Jobs.design("site.horizon", skyline).whole().year();
    }

    @Test
    void theSkylineRunsStraightFromPointToPointAroundTheCompass() {
        List<Horizon.Point> points =
                List.of(new Horizon.Point(90, 10), new Horizon.Point(180, 20), new Horizon.Point(350, 0));
        assertThat(Horizon.elevationDeg(points, 135)).isCloseTo(15, within(1e-9));
        assertThat(Horizon.elevationDeg(points, 90)).isEqualTo(10);
        // across north: 100 degrees from the last point to the first
        assertThat(Horizon.elevationDeg(points, 0)).isCloseTo(1, within(1e-9));
        assertThat(Horizon.elevationDeg(points, 360)).isCloseTo(1, within(1e-9));
        assertThat(Horizon.elevationDeg(List.of(new Horizon.Point(200, 7)), 20)).isEqualTo(7);
        assertThat(Horizon.elevationDeg(List.of(), 20)).isZero();
    }

    @Test
    void aHigherSkylineNeverGivesMoreAndAllLossesAddUp() {
        double level = year(null).kwh();
        Draws.each(6, draw -> {
            double low = draw.between(0, 20);
            double more = draw.between(0, 25);
            String east = draw.whole(0, 359) + ": ";
            YearEnergy lower = year(east + Math.round(low));
            YearEnergy higher = year(east + Math.round(low + more));
            assertThat(lower.kwh()).isLessThanOrEqualTo(level);
            assertThat(higher.kwh()).isLessThanOrEqualTo(lower.kwh());
            // each step leaves less than the one before, the last is the meter
            List<YearEnergy.Left> steps = higher.steps();
            for (int i = 1; i < steps.size(); i++) {
                assertThat(steps.get(i).kwh())
                        .isLessThanOrEqualTo(steps.get(i - 1).kwh() + 1e-6);
            }
            assertThat(steps.get(steps.size() - 1).kwh()).isCloseTo(higher.kwh(), within(1e-6));
            // what arrives before the skyline is the same
            assertThat(steps.get(0).kwh()).isCloseTo(lower.steps().get(0).kwh(), within(1e-6));
        });
        // hills to the east take the morning of an equinox and leave its evening
        Weather open = EnergyStage.weather(Jobs.job().site());
        Weather hills =
                open.behind(List.of(new Horizon.Point(10, 0), new Horizon.Point(90, 50), new Horizon.Point(170, 0)));
        int day = 79 * 24;
        assertThat(hills.hour(day + 8).beam()).isZero();
        assertThat(hills.hour(day + 8).diffuse()).isEqualTo(open.hour(day + 8).diffuse());
        assertThat(hills.hour(day + 16)).isEqualTo(open.hour(day + 16));
    }

    @Test
    void aSkylineThatIsNoneIsRefusedAtItsField() {
        for (String bad : List.of("90", "361: 4", "90: 61", "90: 4, 120: 5", "a: b")) {
            var reading = JobReader.read(Jobs.with(Jobs.document(), "site.horizon", bad), false);
            assertThat(reading.problems()).as(bad).singleElement().satisfies(p -> assertThat(p.message())
                    .contains("for example 90: 4"));
        }
    }
}
