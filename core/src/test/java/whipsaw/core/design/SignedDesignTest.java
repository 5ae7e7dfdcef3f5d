package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.build.AsLaid;
import whipsaw.core.build.BallastMap;
import whipsaw.core.build.MapChange;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.JobWriter;

/** What a signature under the ballast map is given on, and what a later design does to it. */
class SignedDesignTest {
    private static final Design DESIGN = Jobs.design();
    private static final BallastMap MAP = SignedDesign.map(DESIGN);

    @Test
    void theMapHoldsEveryPositionAndLeadsToItselfWithoutAnythingToDo() {
        assertThat(MAP.arrays()).hasSize(1);
        assertThat(MAP.arrays().get(0).places())
                .extracting(BallastMap.Place::number)
                .doesNotHaveDuplicates()
                .hasSameSizeAs(DESIGN.holdDown().positions());
        assertThat(MAP.blocks()).isEqualTo(DESIGN.holdDown().blocks());
        assertThat(MapChange.between(MAP, MAP).nothing()).isTrue();
        assertThat(SignedDesign.of(DESIGN).worse(DESIGN)).isEmpty();
    }

    /** What is added less what is taken away is the difference, and the way back is the same the other way round. */
    @ParameterizedTest
    @CsvSource({
        "site.wind, 130 mph",
        "site.wind, 100 mph",
        "array.gap, 300 mm",
        "array.setback, 2.5 m",
        "roof.height, 14 m",
        "site.exposure, C"
    })
    void blocksAreConserved(String path, String value) {
        BallastMap other = SignedDesign.map(Jobs.design(path, value));
        MapChange there = MapChange.between(MAP, other);
        MapChange back = MapChange.between(other, MAP);
        assertThat(there.toAdd() - there.toTakeAway()).isEqualTo(other.blocks() - MAP.blocks());
        assertThat(back.toAdd()).isEqualTo(there.toTakeAway());
        assertThat(back.toTakeAway()).isEqualTo(there.toAdd());
    }

    /** Ticks stay with their places: what is still to do counts from what lies there, whoever numbered it. */
    @Test
    void whatIsLaidIsCountedWhereItLies() {
        BallastMap.MapArray a = MAP.arrays().get(0);
        Random random = new Random(7);
        List<AsLaid.Tick> ticks = new ArrayList<>();
        int laid = 0;
        int missing = 0;
        int surplus = 0;
        for (BallastMap.Place p : a.places()) {
            if (random.nextInt(3) > 0) {
                int there = Math.max(0, p.blocks() + random.nextInt(5) - 2);
                ticks.add(new AsLaid.Tick(a.id(), p.xM(), p.yM(), there));
                laid += there;
                missing += Math.max(0, p.blocks() - there);
                surplus += Math.max(0, there - p.blocks());
            }
        }
        AsLaid roof = new AsLaid(MAP, ticks);
        assertThat(roof.array(a.id()).ticked()).isEqualTo(ticks.size());
        assertThat(roof.array(a.id()).laid()).isEqualTo(laid);
        assertThat(roof.array(a.id()).missing()).isEqualTo(missing);
        assertThat(roof.array(a.id()).surplus()).isEqualTo(surplus);
        int rows = a.places().stream().mapToInt(BallastMap.Place::row).max().orElseThrow();
        int byRow = 0;
        for (int row = 1; row <= rows; row++) {
            byRow += roof.row(a.id(), row).laid();
        }
        assertThat(byRow).isEqualTo(laid);
        BallastMap other = SignedDesign.map(Jobs.design("site.wind", "130 mph"));
        MapChange todo = MapChange.between(MAP, other, roof);
        assertThat(todo.toAdd() - todo.toTakeAway()).isEqualTo(other.blocks() - laid);
        AsLaid moved = new AsLaid(SignedDesign.map(Jobs.design("array.gap", "300 mm")), ticks);
        assertThat(moved.elsewhere()).isPositive();
    }

    @Test
    void aWorseFigureAndAChangedInputAreTold() {
        SignedDesign signed = SignedDesign.of(DESIGN);
        assertThat(signed.worse(Jobs.design("site.wind", "130 mph"))).isNotEmpty();
        assertThat(signed.worse(Jobs.design("site.wind", "100 mph"))).isEmpty();
        Map<String, Object> then = JobWriter.write(DESIGN.job());
        assertThat(SignedDesign.inputs(then, JobWriter.write(Jobs.job("site.wind", "100 mph"))))
                .extracting(e -> e.path())
                .containsExactly("$.site.wind");
        assertThat(SignedDesign.inputs(then, JobWriter.write(Jobs.job("project.name", "Other"))))
                .isEmpty();
    }

    /** An answer the hold-down waits for is what was relied on; one of the grid is not. */
    @Test
    void answersOfTheSurveyCountWhereTheMapWaitsForThem() {
        Map<String, Object> then = Map.of("survey", Map.of("answers", Map.of()));
        for (String id : List.of("coverBearing", "exportLimit")) {
            Map<String, Object> now = Map.of("survey", Map.of("answers", Map.of(id, Map.of("value", "60 kPa"))));
            assertThat(SignedDesign.inputs(then, now)).hasSize(id.equals("coverBearing") ? 1 : 0);
        }
    }

    /** A check that fails is no matter of a signature, an open one is settled by it; circuits are no part of it. */
    @Test
    void aFailingCheckStandsInTheWay() {
        Design failing = Jobs.design("site.wind", "180 mph");
        List<Check> fails = failing.checks().stream()
                .filter(c -> c.verdict() == Verdict.FAILS && SignedDesign.restsOn(c))
                .toList();
        assertThat(fails).isNotEmpty();
        assertThat(SignedDesign.obstacles(failing)).hasSameSizeAs(fails);
        assertThat(SignedDesign.open(failing))
                .allMatch(c -> c.verdict().stops() && c.verdict() != Verdict.FAILS)
                .noneMatch(c -> c.id().startsWith("run.") || c.id().startsWith("strings."));
        Design unknown = Jobs.design("site.wind", null);
        assertThat(SignedDesign.map(unknown).arrays()).isEmpty();
        assertThat(SignedDesign.obstacles(unknown)).anyMatch(o -> o.contains("not established"));
    }
}
