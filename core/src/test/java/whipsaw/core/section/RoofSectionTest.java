package whipsaw.core.section;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;

/** What a cut shows, and where its shadows end. */
class RoofSectionTest {
    private static final Design DESIGN = Jobs.design();

    /** A cut through the middle of three rows without a walkway between, square to them, from the front. */
    private static CutLine threeRows(Design design, boolean turned) {
        ArrayLayout layout = design.layout();
        ArrayLayout.Module m = layout.modules().stream()
                .filter(x -> x.column() == 8)
                .filter(x -> !layout.walkwaysAfter().contains(x.row())
                        && !layout.walkwaysAfter().contains(x.row() + 1))
                .findFirst()
                .orElseThrow();
        double s = m.s() + layout.alongM() / 2;
        Coordinate front = layout.frame().plan(s, m.t() - 0.2);
        Coordinate rear = layout.frame().plan(s, m.t() + 2 * layout.pitchM() + layout.depthM() + 0.2);
        return turned ? new CutLine(rear, front) : new CutLine(front, rear);
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aCutAcrossRowsShowsThemAtTheirPitchAndHeight(boolean turned) {
        RoofSection cut = RoofSection.of(DESIGN, threeRows(DESIGN, turned));
        assertThat(cut.panels()).hasSize(3);
        ArrayLayout layout = DESIGN.layout();
        double pitch = cut.panels().get(1).fromM() - cut.panels().get(0).fromM();
        assertThat(pitch).isCloseTo(layout.pitchM(), within(1e-9));
        assertThat(cut.panels()).allSatisfy(p -> {
            assertThat(p.toM() - p.fromM()).isCloseTo(layout.depthM(), within(1e-9));
            double first = turned ? p.toHeightM() : p.fromHeightM();
            double last = turned ? p.fromHeightM() : p.toHeightM();
            assertThat(first).isCloseTo(layout.lowEdgeM(), within(1e-9));
            assertThat(last).isCloseTo(layout.highEdgeM(), within(1e-9));
        });
        assertThat(cut.highestM()).isCloseTo(layout.highEdgeM(), within(1e-9));
    }

    @Test
    void aCutOverTheWholeRoofMeetsParapetsAtTheirHeightAndEndsWithTheRoof() {
        Design d = Jobs.design("roof.parapets", List.of(Map.of("edge", 1, "height", "0.9 m", "thickness", "0.3 m")));
        RoofSection across = RoofSection.of(d, new CutLine(new Coordinate(-5, 20), new Coordinate(65, 20)));
        assertThat(across.roof()).containsExactly(new RoofSection.Stretch(5, 65, 0, 0));
        assertThat(across.solids()).isEmpty();
        RoofSection up = RoofSection.of(d, new CutLine(new Coordinate(30, -5), new Coordinate(30, 45)));
        assertThat(up.solids()).singleElement().satisfies(s -> {
            assertThat(s.heightM()).isEqualTo(0.9);
            assertThat(s.fromM()).isCloseTo(5, within(1e-9));
            assertThat(s.toM()).isCloseTo(5.3, within(1e-9));
        });
    }

    @Test
    void aCutThatMissesTheRoofShowsNothing() {
        RoofSection cut = RoofSection.of(DESIGN, new CutLine(new Coordinate(-20, -9), new Coordinate(90, -9)));
        assertThat(cut.roof()).isEmpty();
        assertThat(cut.panels()).isEmpty();
        assertThat(cut.solids()).isEmpty();
    }

    /** At the governing instant the gap that was worked out lets the shadow end at the next low edge. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theGapOfTheSpacingIsWhereTheShadowEnds(boolean turned) {
        Design d = DESIGN;
        ArrayLayout layout = d.layout();
        RoofSection cut = RoofSection.of(d, threeRows(d, turned));
        double hour = layout.spacing().hour();
        double latitude = d.job().site().latitude().si();
        SolarTime sun = SolarTime.of(latitude, d.job().site().longitude().si(), SolarTime.shortestDay(latitude), hour);
        SunInSection in = SunInSection.of(cut, sun, d.job().roof().upAzimuth().si());
        assertThat(in.profileDeg()).isCloseTo(layout.spacing().profileAngleDeg(), within(0.05));
        assertThat(in.fromA()).isEqualTo(!turned);
        double height = layout.highEdgeM() - layout.lowEdgeM();
        double tan = Math.tan(Math.toRadians(in.profileDeg()));
        double spare = layout.gapM() - height / tan;
        assertThat(in.onModulesM()).isCloseTo(Math.max(0, -spare), within(1e-6));
        double onRoof = in.shadows().stream()
                .filter(s -> s.panel() < 0)
                .mapToDouble(s -> s.toM() - s.fromM())
                .max()
                .orElse(0);
        assertThat(onRoof).isCloseTo(Math.min(layout.gapM(), layout.highEdgeM() / tan), within(1e-6));
    }

    @Test
    void aLowerSunShadesMoreAndASunThatIsDownNothing() {
        RoofSection cut = RoofSection.of(DESIGN, threeRows(DESIGN, false));
        double before = -1;
        for (double elevation : new double[] {40, 25, 15, 8, 4}) {
            double up = DESIGN.job().roof().upAzimuth().si();
            double azimuth = cut.line().planAzimuthDeg() + up + 180;
            SunInSection in = SunInSection.of(cut, new SolarTime(1, 12, azimuth, elevation), up);
            double shaded =
                    in.shadows().stream().mapToDouble(s -> s.toM() - s.fromM()).sum();
            assertThat(shaded).isGreaterThan(before);
            before = shaded;
        }
        SunInSection night = SunInSection.of(cut, new SolarTime(1, 0, 0, -30), 0);
        assertThat(night.shadows()).isEmpty();
        assertThat(night.up()).isFalse();
    }

    @Test
    void aSunBehindTheRowsLeavesTheirFacesInTheirOwnShadow() {
        RoofSection cut = RoofSection.of(DESIGN, threeRows(DESIGN, false));
        double up = DESIGN.job().roof().upAzimuth().si();
        double behind = cut.line().planAzimuthDeg() + up;
        SunInSection low = SunInSection.of(cut, new SolarTime(1, 12, behind, 4), up);
        assertThat(low.onModulesM()).isCloseTo(DESIGN.layout().depthM(), within(1e-9));
        SunInSection high = SunInSection.of(cut, new SolarTime(1, 12, behind, 60), up);
        assertThat(high.onModulesM()).isZero();
    }

    @ParameterizedTest
    @CsvSource({"172, 23.44", "355, -23.44", "79, 0", "265, 0"})
    void theDeclinationFollowsTheYear(int day, double wanted) {
        assertThat(SolarTime.declinationDeg(50, 0, day)).isCloseTo(wanted, within(0.2));
        SolarTime noon = SolarTime.of(50, 0, day, 12);
        assertThat(noon.azimuthDeg()).isCloseTo(180, within(1e-9));
        assertThat(noon.elevationDeg()).isCloseTo(40 + wanted, within(0.2));
    }

    /** A box alone on the roof: its shadow is its footprint moved by height over the tangent of the sun. */
    @Test
    void shadowsOnTheRoofHaveTheAreaOfTheSweep() {
        Design bare = Jobs.design(
                "roof.parapets",
                List.of(),
                "roof.obstructions",
                List.of(Map.of(
                        "id", "b", "name", "Box", "x", "30 m", "y", "20 m", "width", "2 m", "depth", "3 m", "height",
                        "1 m", "clear", "0.5 m")));
        double up = bare.job().roof().upAzimuth().si();
        SolarTime south = new SolarTime(1, 12, up + 180, 45);
        assertThat(RoofShadows.of(bare, south).getArea()).isCloseTo(2 * 4, within(1e-6));
        assertThat(RoofShadows.of(bare, new SolarTime(1, 0, 0, -1)).isEmpty()).isTrue();
    }
}
