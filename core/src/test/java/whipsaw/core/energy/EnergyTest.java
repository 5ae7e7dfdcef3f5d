package whipsaw.core.energy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;

/** Energy of a year: nothing is made on the way from the sun to the inverter, and more room never shades more. */
class EnergyTest {
    private static final YieldSystem SYSTEM = YieldSystem.usual(-0.0035, 1.2);

    private static Weather weather() {
        return EnergyStage.weather(Jobs.job().site());
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void everyStepLosesAndWhatIsLeftIsMadeInTheMonths(boolean pairs) {
        Design d = pairs ? Jobs.pairedDesign() : Jobs.design();
        YearEnergy year = d.whole().year();
        List<YearEnergy.Left> steps = year.steps();
        for (int i = 1; i < steps.size(); i++) {
            // only cold cells give more than they are rated at
            double most = steps.get(i - 1).kwh() * (steps.get(i).words().equals("Cell temperature") ? 1.05 : 1);
            assertThat(steps.get(i).kwh()).as(steps.get(i).words()).isBetween(0.5 * most, most + 1e-6);
        }
        assertThat(year.monthlyKwh().stream().mapToDouble(m -> m).sum()).isCloseTo(year.kwh(), within(1e-6));
        assertThat(steps.get(steps.size() - 1).kwh()).isCloseTo(year.kwh(), within(1e-6));
        assertThat(year.arrays().stream().mapToDouble(a -> a.meter().kwh()).sum())
                .isCloseTo(year.kwh(), within(1e-6));
        YearEnergy.OfArray array = year.arrays().get(0);
        assertThat(array.dcKwh()).isCloseTo(steps.get(steps.size() - 5).kwh(), within(1e-6));
        assertThat(array.parts().stream().mapToInt(YearEnergy.Part::modules).sum())
                .isEqualTo(d.layout().modules().size());
        assertThat(year.kwhPerKwp()).isBetween(700.0, 1900.0);
    }

    @ParameterizedTest
    @EnumSource(ShadeRule.class)
    void moreRoomNeverShadesMore(ShadeRule rule) {
        Weather weather = weather();
        double before = 0;
        for (double pitch : new double[] {1.2, 1.35, 1.6, 2, 3, 6}) {
            double kwh = PlaneYear.of(
                            weather,
                            new PlaneYear.Plane(10, 180, RowPlace.behind(1.13, 10, pitch), rule),
                            SkyModel.PEREZ,
                            SYSTEM)
                    .dcKwhPerKwp();
            assertThat(kwh).isGreaterThan(before);
            before = kwh;
        }
        double open = PlaneYear.of(weather, PlaneYear.Plane.open(10, 180), SkyModel.PEREZ, SYSTEM)
                .dcKwhPerKwp();
        assertThat(before).isBetween(0.99 * open, open);
    }

    @Test
    void theSouthernHalfIsTheNorthernOneSixMonthsOn() {
        Design north = Jobs.design("site.latitude", "40 deg", "site.climate", "continental");
        Design south = Jobs.design(
                "site.latitude", "-40 deg", "site.climate", "continental", "array.facing", Map.of("azimuth", "0 deg"));
        double a =
                north.whole().year().steps().get(0).kwh() / north.whole().year().kwp();
        double b =
                south.whole().year().steps().get(0).kwh() / south.whole().year().kwp();
        // the earth is nearer to the sun in January
        assertThat(b / a).isBetween(0.99, 1.03);
        assertThat(south.whole().year().monthlyKwh().get(0))
                .isGreaterThan(1.5 * south.whole().year().monthlyKwh().get(6));
    }

    /** The row in front of every module found the slow way: by looking at all other modules. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void everyModuleHasTheRowInFrontThatLooksOverAllFind(boolean pairs) {
        Object[] hole = {
            "array.removed", List.of(Map.of("x", "30 m", "y", "20 m"), Map.of("x", "31.7 m", "y", "21 m")),
            "array.walkway", Map.of("every", 3, "first", 2, "width", "1.5 m")
        };
        ArrayLayout layout = (pairs ? Jobs.pairedDesign(hole) : Jobs.design(hole)).layout();
        Map<Long, Integer> slow = new HashMap<>();
        for (ArrayLayout.Module m : layout.modules()) {
            boolean back = layout.looksBack(m.row());
            double nearest = Double.POSITIVE_INFINITY;
            for (ArrayLayout.Module o : layout.modules()) {
                double ahead = back ? o.t() - m.t() : m.t() - o.t();
                double middle = m.s() + layout.alongM() / 2;
                boolean over = o.s() <= middle && o.s() + layout.alongM() >= middle;
                boolean faces = layout.pairs() == null || layout.looksBack(o.row()) != back;
                if (over && faces && o.row() != m.row() && ahead > 0) {
                    nearest = Math.min(nearest, layout.pairs() == null ? ahead - layout.depthM() : ahead);
                }
            }
            double far = 20 * (layout.highEdgeM() - layout.lowEdgeM());
            slow.merge(nearest > far ? -1 : Math.round(nearest * 1000), 1, Integer::sum);
        }
        Map<Long, Integer> quick = new HashMap<>();
        for (RowPlaces.Alike a : RowPlaces.of(layout, 1.134, 10)) {
            quick.merge(
                    Double.isInfinite(a.place().clearM())
                            ? -1
                            : Math.round(a.place().clearM() * 1000),
                    a.modules(),
                    Integer::sum);
        }
        assertThat(quick).isEqualTo(slow);
        assertThat(quick.size()).isGreaterThan(2);
    }

    @Test
    void whatIsMadeIsUsedExportedOrGivenUp() {
        double[] made = new double[Weather.HOURS];
        for (int h = 0; h < made.length; h++) {
            made[h] = h % 24 > 8 && h % 24 < 17 ? 30 + h % 7 : 0;
        }
        double[] demand = new LoadShape(5, 33, 22, 10, List.of(0, 1, 4)).hours();
        // from Monday, Tuesday and Friday at 22 to 8 the next morning; the year begins on a Wednesday after a Tuesday
        assertThat(demand[3]).isEqualTo(33);
        assertThat(demand[8]).isEqualTo(5);
        assertThat(demand[2 * 24 + 21]).isEqualTo(5);
        assertThat(demand[2 * 24 + 22]).isEqualTo(33);
        SelfUse use = SelfUse.of(made, demand, 20);
        assertThat(use.usedKwh() + use.exportedKwh() + use.curtailedKwh()).isCloseTo(use.madeKwh(), within(1e-6));
        assertThat(use.curtailedKwh()).isPositive();
        assertThat(SelfUse.of(made, demand, Double.POSITIVE_INFINITY).curtailedKwh())
                .isZero();
    }

    @Test
    void theClimateFollowsTheLatitudeUntilOneIsChosen() {
        assertThat(Jobs.design("site.latitude", "52 deg").whole().year().climate())
                .isEqualTo("maritime");
        YearEnergy chosen = Jobs.design("site.latitude", "52 deg", "site.climate", "mountain")
                .whole()
                .year();
        assertThat(chosen.climate()).isEqualTo("mountain");
        assertThat(chosen.source()).isEqualTo(YearEnergy.Source.CHOSEN);
    }
}
