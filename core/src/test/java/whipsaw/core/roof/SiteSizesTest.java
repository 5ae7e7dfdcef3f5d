package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.WaysOut;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Outline;
import whipsaw.core.job.TapesKept;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;

/** Sizes taped on site stay beside an outline that is drawn, with what they differ by. */
class SiteSizesTest {
    private static Map<String, Object> tape(int from, int to, String length) {
        return Map.of("from", from, "to", to, "length", length);
    }

    /** The plain roof is drawn 60 m by 40 m; the picture it was traced from was 1.5 % too small. */
    private static Design traced(double scale, double diagonalMoreM) {
        String across = Show.number(Math.hypot(60, 40) * scale + diagonalMoreM, 6) + " m";
        return Jobs.design(
                "roof.outline",
                drawn(),
                "roof.sizes",
                Map.of(
                        "tapes",
                        List.of(
                                tape(1, 2, 60 * scale + " m"),
                                tape(2, 3, 40 * scale + " m"),
                                tape(3, 4, 60 * scale + " m"),
                                tape(4, 1, 40 * scale + " m"),
                                tape(1, 3, across))));
    }

    private static Map<String, Object> drawn() {
        List<Object> corners = new ArrayList<>();
        for (int[] c : new int[][] {{0, 0}, {60, 0}, {60, 40}, {0, 40}}) {
            corners.add(Map.of("x", c[0] + " m", "y", c[1] + " m"));
        }
        return Map.of("kind", "drawn", "corners", corners);
    }

    private static Check check(Design d) {
        return d.checks().stream()
                .filter(c -> c.id().equals("survey.sizes"))
                .findFirst()
                .orElse(null);
    }

    @Test
    void aWrongScaleIsFoundAndScalingClearsIt() {
        assertThat(check(traced(1, 0)).verdict()).isEqualTo(Verdict.PASSES);
        Design d = traced(1.015, 0);
        SiteSizeReport report = SiteSizeReport.of(d.plan());
        assertThat(report.scale()).isCloseTo(1.015, within(1e-6));
        assertThat(report.leftM()).isLessThan(1e-4);
        assertThat(check(d).verdict()).isEqualTo(Verdict.FAILS);
        assertThat(check(d).utilisation()).isCloseTo(0.015 / 1.015 * 200, within(1e-3));
        List<WaysOut.Way> ways = WaysOut.of(d, check(d), List.of(), Jobs.SOLVER);
        assertThat(ways).anySatisfy(w -> {
            assertThat(w.words()).contains("scaled by 1.015");
            assertThat(w.after().verdict()).isEqualTo(Verdict.PASSES);
        });
        assertThat(ways).anySatisfy(w -> assertThat(w.words()).contains("by the tapes"));
    }

    /** A diagonal 300 mm too long: the corner opens by what the law of cosines says. */
    @Test
    void aDiagonalTellsHowFarFromSquare() {
        Design d = traced(1, 0.3);
        SiteSizeReport report = SiteSizeReport.of(d.plan());
        double across = Math.hypot(60, 40) + 0.3;
        double angle = Math.toDegrees(Math.acos((60 * 60 + 40 * 40 - across * across) / (2 * 60 * 40)));
        assertThat(report.corners()).hasSize(2).allSatisfy(a -> {
            assertThat(a.tapedDeg()).isCloseTo(angle, within(1e-4));
            assertThat(a.drawnDeg()).isCloseTo(90, within(1e-9));
        });
        assertThat(report.lines().get(0).name(4)).isEqualTo("1-3");
        assertThat(report.lines().get(0).moreM()).isCloseTo(0.3, within(1e-5));
    }

    @Test
    void tapesBetweenInnerFacesAreHeldAgainstInnerFaces() {
        Design d = Jobs.design(
                "roof.outline",
                drawn(),
                "roof.parapets",
                List.of(
                        Map.of("edge", 2, "height", "0.5 m", "thickness", "0.3 m"),
                        Map.of("edge", 4, "height", "0.5 m", "thickness", "0.2 m")),
                "roof.sizes",
                Map.of("face", "inside", "tapes", List.of(tape(1, 2, "59.5 m"), tape(2, 3, "40 m"))));
        assertThat(SiteSizeReport.of(d.plan()).lines())
                .allSatisfy(l -> assertThat(l.moreM()).isCloseTo(0, within(1e-9)));
    }

    @Test
    void tapesOfAnOutlineThatIsTracedOverStayBesideTheDrawing() {
        Map<String, Object> legs = Map.of(
                "kind",
                "taped",
                "face",
                "outside",
                "closing",
                "fit",
                "legs",
                List.of(leg("60 m"), leg("40 m"), leg("60.02 m"), leg("40 m")),
                "diagonals",
                List.of(tape(1, 3, "72.11 m")));
        Map<String, Object> before = JobWriter.write(Jobs.job("roof.outline", legs));
        Map<String, Object> after = JobWriter.write(Jobs.job("roof.outline", drawn()));
        Job kept = JobReader.read(TapesKept.beside(before, after), true).job();
        assertThat(SizeText.write(kept.roof().sizes()))
                .isEqualTo("1-2 60 m\n2-3 40 m\n3-4 60.02 m\n4-1 40 m\n1-3 72.11 m");
        assertThat(JobReader.read(JobWriter.write(kept), false).job()).isEqualTo(kept);
        assertThat(TapesKept.beside(after, before)).isSameAs(before);
    }

    private static Map<String, Object> leg(String length) {
        return Map.of("length", length, "turnDeg", 90);
    }

    @Test
    void sizesAreReadAsCalledOutAndBadOnesNameTheirLine() throws Exception {
        List<Outline.TapedDiagonal> tapes =
                SizeText.read("edge 4 131' 3\"; diagonal 1-3 44.9\n2 to 4: 45,2 m", 4, Unit.METRE);
        assertThat(tapes).extracting(Outline.TapedDiagonal::from).containsExactly(4, 1, 2);
        assertThat(tapes).extracting(Outline.TapedDiagonal::to).containsExactly(1, 3, 4);
        assertThat(tapes.get(1).length().si()).isEqualTo(44.9);
        assertThatThrownBy(() -> SizeText.read("1-9 20 m", 4, Unit.METRE)).hasMessageContaining("1 to 4");
        assertThatThrownBy(() -> SizeText.read("about twenty", 4, Unit.METRE)).hasMessageContaining("edge 3");
        assertThatThrownBy(() -> SizeText.read("1-2 wide", 4, Unit.METRE)).isInstanceOf(SizeText.Unread.class);
    }
}
