package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.Job;
import whipsaw.core.units.Unit;

class TapeTest {

    @Test
    void readsASurveyAsItIsCalledOut() {
        var reading = TapeText.read("42' 7 1/2\", left\n18-3, L 89.5\n\n12.5 m right 45 deg", Unit.FOOT);
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.legs()).extracting(Job.TapedLeg::turnDeg).containsExactly(90.0, 89.5, -45.0);
        assertThat(reading.legs().get(0).length().si()).isCloseTo(12.9921, within(1e-9));
        assertThat(TapeText.read(TapeText.write(new Job.Taped(false, reading.legs())), Unit.FOOT)
                        .legs())
                .isEqualTo(reading.legs());
    }

    @Test
    void namesTheLineThatCannotBeRead() {
        var reading = TapeText.read("42', left\n18 cubits, left\n30'\n5', left 200", Unit.FOOT);
        assertThat(reading.legs()).hasSize(1);
        assertThat(reading.problems()).extracting(p -> p.label()).containsExactly("Line 2", "Line 3", "Line 4");
    }

    private static Map<String, Object> leg(String length, double turn) {
        return Map.of("length", length, "turnDeg", turn);
    }

    private static Design taped(String face, double turn) {
        return Jobs.design(
                "roof.outline",
                Map.of(
                        "kind",
                        "taped",
                        "face",
                        face,
                        "legs",
                        List.of(leg("30 m", turn), leg("20 m", turn), leg("30 m", turn), leg("20.06 m", turn))),
                "roof.parapets",
                List.of(Map.of("edge", 1, "height", "1 m", "thickness", "250 mm")));
    }

    @Test
    void theClosingErrorIsSpreadAndChecked() {
        Design d = taped("outside", 90);
        assertThat(d.plan().tape().closureM()).isCloseTo(0.06, within(1e-9));
        assertThat(d.plan().areaM2()).isCloseTo(30 * 20.03, within(0.1));
        assertThat(d.checks()).anySatisfy(c -> assertThat(c.id()).isEqualTo("survey.closes"));
    }

    @Test
    void aWalkWithRightTurnsLiesOnTheSameSideOfTheSheet() {
        Design d = taped("outside", -90);
        var box = d.plan().outline().getEnvelopeInternal();
        assertThat(box.getMinX()).isCloseTo(0, within(0.1));
        assertThat(box.getMinY()).isCloseTo(0, within(0.1));
        assertThat(d.plan().areaM2()).isCloseTo(taped("outside", 90).plan().areaM2(), within(1e-6));
    }

    @Test
    void innerFacesAreMovedOutByTheParapet() {
        double added = taped("inside", 90).plan().areaM2()
                - taped("outside", 90).plan().areaM2();
        assertThat(added).isCloseTo(0.25 * 30, within(0.05));
    }

    @Test
    void zonesOfAnLFollowTheOutsideCornersOnly() {
        Design d = Jobs.design(
                "roof.outline",
                Map.of(
                        "kind",
                        "taped",
                        "face",
                        "outside",
                        "legs",
                        List.of(
                                leg("90 m", 90),
                                leg("40 m", 90),
                                leg("50 m", -90),
                                leg("50 m", 90),
                                leg("40 m", 90),
                                leg("90 m", 90))));
        assertThat(zones(d).corners()).hasSize(5);
        double width = 2 * 6.0;
        assertThat(zones(d).cornerAreas().getArea()).isCloseTo(5 * width * width, within(0.5));
        assertThat(d.site().zones().zone(panelAt(40.0 + 3, 40.0 - 3))).isEqualTo("2");
        assertThat(d.site().zones().zone(panelAt(3, 3))).isEqualTo("3");
        assertThat(d.site().zones().zone(panelAt(20, 20))).isEqualTo("1");
    }

    private static org.locationtech.jts.geom.Coordinate[] panelAt(double x, double y) {
        return new org.locationtech.jts.geom.Coordinate[] {
            new org.locationtech.jts.geom.Coordinate(x, y),
            new org.locationtech.jts.geom.Coordinate(x + 1, y),
            new org.locationtech.jts.geom.Coordinate(x + 1, y + 1),
            new org.locationtech.jts.geom.Coordinate(x, y + 1)
        };
    }

    private static whipsaw.core.site.AsceZones zones(whipsaw.core.design.Design d) {
        return (whipsaw.core.site.AsceZones) d.site().zones();
    }
}
