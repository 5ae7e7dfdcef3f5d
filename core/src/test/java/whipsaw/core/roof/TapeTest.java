package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.Outline;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

class TapeTest {

    @Test
    void readsASurveyAsItIsCalledOut() {
        var reading = TapeText.read("42' 7 1/2\", left\n18-3, L 89.5\n\n12.5 m right 45 deg", Unit.FOOT);
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.taped().legs()).extracting(Outline.TapedLeg::turnDeg).containsExactly(90.0, 89.5, -45.0);
        assertThat(reading.taped().legs().get(0).length().si()).isCloseTo(12.9921, within(1e-9));
        assertThat(TapeText.read(TapeText.write(reading.taped()), Unit.FOOT)
                        .taped()
                        .legs())
                .isEqualTo(reading.taped().legs());
    }

    @Test
    void anAngleThatIsSaidWasMeasuredAndTapesAcrossAreRead() {
        var reading = TapeText.read(
                "10 m, left\n10 m, left 90\n10 m, left\n10 m, left\ndiagonal 1-3 14.14 m\ndiag. 2 to 4: 46' 5\"\noffset 3 from 1-2 32' 9 3/4\"",
                Unit.METRE);
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.taped().legs())
                .extracting(Outline.TapedLeg::measured)
                .containsExactly(false, true, false, false);
        assertThat(reading.taped().diagonals()).hasSize(2);
        assertThat(reading.taped().diagonals().get(1).length().si()).isCloseTo(46.41667 * 0.3048, within(1e-4));
        Outline.Taped taped = reading.taped();
        var again = TapeText.read(TapeText.write(taped), Unit.METRE);
        assertThat(again.taped()).isEqualTo(taped);
        SurveyReport report = SurveyReport.of(taped, UnitSystem.METRIC);
        assertThat(report.verdict()).startsWith("Every tape fits");
        assertThat(report.lines()).hasSize(11);
    }

    @Test
    void aSurveyThatDoesNotFitNamesItsSuspectAndWhatWouldDecide() {
        String walk = "30.3 m, left 90\n18 m, left 90\n30 m, left 90\n18 m, left 90\n";
        var first = TapeText.read(walk, Unit.METRE);
        SurveyReport report = SurveyReport.of(first.taped(), UnitSystem.METRIC);
        assertThat(report.suspects()).contains("edge 1", "edge 3", "cannot tell");
        assertThat(report.decide()).startsWith("Tape corner ").contains("means edge");
        var second = TapeText.read(walk + "diagonal 1-3 34.986 m", Unit.METRE);
        SurveyReport decided = SurveyReport.of(second.taped(), UnitSystem.METRIC);
        assertThat(decided.suspects()).startsWith("Most likely wrong: edge 1, too long by 0.3");
    }

    @Test
    void theOutlineOfAFittedSurveyIsTheFitAndOfAnOlderOneTheCompassRule() {
        List<Map<String, Object>> legs = new ArrayList<>();
        for (double length : new double[] {60.03, 40, 60, 40.02}) {
            legs.add(leg(length + " m", 90));
        }
        Map<String, Object> fitted = Map.of("kind", "taped", "face", "outside", "closing", "fit", "legs", legs);
        Map<String, Object> walked = Map.of("kind", "taped", "face", "outside", "closing", "compass", "legs", legs);
        RoofPlan fit = Jobs.design("roof.outline", fitted, "roof.bays", null).plan();
        RoofPlan compass =
                Jobs.design("roof.outline", walked, "roof.bays", null).plan();
        assertThat(fit.fit()).isNotNull();
        assertThat(compass.fit()).isNull();
        assertThat(fit.edges().get(0).lengthM()).isEqualTo(fit.fit().vertices().get(1).x);
        assertThat(compass.edges().get(0).lengthM())
                .isCloseTo(
                        compass.tape()
                                .vertices()
                                .get(1)
                                .distance(compass.tape().vertices().get(0)),
                        within(1e-9));
    }

    @Test
    void namesTheLineThatCannotBeRead() {
        var reading = TapeText.read("42', left\n18 cubits, left\n30'\n5', left 200", Unit.FOOT);
        assertThat(reading.taped().legs()).hasSize(1);
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
        assertThat(zones(d).outline().corners()).hasSize(5);
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

    private static List<TapeSlips.Slip> slips(String text) {
        var reading = TapeText.read(text, Unit.FOOT);
        assertThat(reading.problems()).isEmpty();
        return TapeSlips.of(reading.taped(), whipsaw.core.units.UnitSystem.US);
    }

    @Test
    void aTurnCalledToTheWrongSideIsNamedAtItsCorner() {
        String l = "60, left\n20, left\n30, %s\n20, left\n30, left\n40, left\n";
        assertThat(slips(l.formatted("right"))).isEmpty();
        assertThat(slips(l.formatted("left"))).singleElement().satisfies(s -> {
            assertThat(s.words()).contains("a turn to the right after edge 3", "0' 0\"");
            assertThat(s.corner()).isEqualTo(4);
        });
    }

    @Test
    void aTapeAcrossThatCannotBeIsNamed() {
        String square = "60, left\n40, left\n60, left\n40, left\n";
        assertThat(slips(square + "diagonal 1-3 72' 1\"\n")).isEmpty();
        assertThat(slips(square + "diagonal 1-3 105\n")).singleElement().satisfies(s -> assertThat(s.words())
                .contains("corner 1 to 3 cannot be 105' 0\"", "only 100' 0\""));
        assertThat(slips(square + "diagonal 2-4 15\n")).singleElement().satisfies(s -> assertThat(s.words())
                .contains("at least 20' 0\""));
        assertThat(slips(square + "offset 3 from 1-2 39' 11\"\n")).isEmpty();
        assertThat(slips(square + "offset 3 from 1-2 49' 11\"\n"))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.words()).contains("off the line 1-2", "at most 40' 0\"");
                    assertThat(s.corner()).isEqualTo(3);
                });
    }
}
