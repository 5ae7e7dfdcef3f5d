package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.WaysOut;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.Outline;
import whipsaw.core.units.Measure;
import whipsaw.core.units.UnitSystem;

/** A foot misread on a roof called square, and a roof that is not square whose tapes are all right. */
class TapeDoubtTest {
    private static final double FOOT = 0.3048;
    private static final double[] SHAPE = {1, 0.6, 0.375, 0.4, 0.625, 1};
    private static final double[] TURNS = {90, 90, -90, 90, 90, 90};

    private static Measure metres(double m) {
        return new Measure(m, m + " m", false);
    }

    /** An L of so many metres by so many, one edge read wrong, its first diagonal right. */
    private static Outline.Taped survey(double x, double y, int wrong, double by) {
        List<Outline.TapedLeg> legs = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            double true_ = SHAPE[i] * (i % 2 == 0 ? x : y);
            legs.add(new Outline.TapedLeg(metres(true_ + (i == wrong ? by : 0)), TURNS[i], false));
        }
        var diagonal = new Outline.TapedDiagonal(1, 3, metres(Math.hypot(x, 0.6 * y)));
        return new Outline.Taped(false, Outline.Closing.FIT, legs, List.of(diagonal), List.of());
    }

    static Stream<Object[]> planted() {
        return Stream.of(new double[] {40, 20}, new double[] {90, 60})
                .flatMap(size -> IntStream.range(1, 6).boxed().flatMap(edge -> Stream.of(FOOT, -FOOT)
                        .map(by -> new Object[] {size[0], size[1], edge, by})));
    }

    @ParameterizedTest
    @MethodSource("planted")
    void aFootOnAnyEdgeOfASquareRoofIsNamed(double x, double y, int edge, double by) {
        SurveyReport report = SurveyReport.of(survey(x, y, edge, by), UnitSystem.METRIC);
        assertThat(report.verdict()).doesNotContain("Every tape fits within");
        assertThat(report.suspects()).contains("edge " + (edge + 1));
        assertThat(report.decide()).contains("means edge");
        if (report.doubt()) {
            assertThat(report.decide()).contains("out of square");
        }
    }

    @Test
    void aSoundSquareSurveyIsSound() {
        SurveyReport report = SurveyReport.of(survey(40, 20, -1, 0), UnitSystem.METRIC);
        assertThat(report.doubt()).isFalse();
        assertThat(report.suspects()).isEmpty();
    }

    /** Taking the tape that decides leaves the wrong edge alone. */
    @Test
    void theTapeThatDecidesDecides() {
        Outline.Taped taped = survey(40, 20, 3, FOOT);
        List<TapeFit.Leg> legs = OutlineShape.legs(taped);
        TapeFit fit = TapeFit.of(legs, OutlineShape.checks(taped), TapeFit.Accuracy.USUAL);
        TapeDoubt doubt = TapeDoubt.of(fit, legs, OutlineShape.checks(taped));
        TapeDoubt.Reading right = doubt.readings().stream()
                .filter(r ->
                        r.wrong() != null && r.wrong().from() == 3 && r.wrong().kind() == TapeFit.Kind.EDGE)
                .findFirst()
                .orElseThrow();
        List<Outline.TapedDiagonal> more = new ArrayList<>(taped.diagonals());
        more.add(new Outline.TapedDiagonal(
                doubt.from() + 1, doubt.to() + 1, metres(right.lengthM(doubt.from(), doubt.to()))));
        SurveyReport after = SurveyReport.of(
                new Outline.Taped(false, Outline.Closing.FIT, taped.legs(), more, List.of()), UnitSystem.METRIC);
        assertThat(after.suspects()).contains("edge 4");
    }

    /** Corners out of square, every tape right, two diagonals: the fit is judged, and offers the corners it found. */
    @Test
    void aRoofOutOfSquareWhoseTapesFitPasses() {
        List<Coordinate> roof = List.of(
                new Coordinate(0, 0), new Coordinate(60, 0), new Coordinate(60.7, 40), new Coordinate(-0.6, 40.5));
        List<Object> legs = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            legs.add(Map.of(
                    "length", roof.get(i).distance(roof.get((i + 1) % 4)) + " m", "turnDeg", 90, "measured", false));
        }
        Map<String, Object> outline =
                new LinkedHashMap<>(Map.of("kind", "taped", "face", "outside", "closing", "fit", "legs", legs));
        outline.put(
                "diagonals",
                List.of(
                        Map.of("from", 1, "to", 3, "length", roof.get(0).distance(roof.get(2)) + " m"),
                        Map.of("from", 2, "to", 4, "length", roof.get(1).distance(roof.get(3)) + " m")));
        Design d = Jobs.design("roof.outline", outline, "roof.parapets", List.of());
        assertThat(d.plan().tape().closureM()).isGreaterThan(d.plan().tape().perimeterM() / 500);
        Check closes = check(d, "survey.closes");
        assertThat(closes.verdict()).isEqualTo(Verdict.CLOSE);
        assertThat(check(d, "survey.fits").verdict()).isEqualTo(Verdict.PASSES);
        WaysOut.Way angles = WaysOut.of(d, closes, List.of(), Jobs.SOLVER).stream()
                .filter(w -> w.kind().equals("survey"))
                .findFirst()
                .orElseThrow();
        var after = JobReader.read(DocumentPatch.apply(d.job(), angles.changes()), false);
        assertThat(Jobs.SOLVER.solve(after.job()).plan().tape().closureM()).isLessThan(0.02);
    }

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }
}
