package whipsaw.core.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.PlaceEdits;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** Paths an array leaves by a rule: 60 m by 40 m, so that the fire code asks for two sections and 4 ft of perimeter. */
class AccessPathsTest {
    private static final Map<String, Object> HATCH = Map.of(
            "id", "h", "kind", "hatch", "name", "Hatch", "x", "20 m", "y", "30 m", "width", "0.9 m", "depth", "0.9 m",
            "height", "0.4 m", "clear", "0 m");

    private static Design with(String rule, Object... more) {
        Object[] all = java.util.Arrays.copyOf(
                new Object[] {"roof.obstructions", List.of(HATCH), "array.paths", rule, "array.setback", null},
                6 + more.length);
        System.arraycopy(more, 0, all, 6, more.length);
        return Jobs.design(all);
    }

    @Test
    void theFireCodePartsTheArrayAndLeavesAWayToTheHatch() {
        Design d = with("fire code");
        assertThat(d.layout().setbackM()).isCloseTo(1.2192, within(1e-9));
        assertThat(d.layout().paths().strips())
                .extracting(AccessPaths.Strip::words)
                .containsExactly("path between sections 1 and 2", "path to Hatch", "around Hatch");
        // from the middle of the hatch, 30.45 m up, to the upper edge
        assertThat(d.layout().paths().strips().get(1).area().getArea()).isCloseTo(9.55 * 1.2192, within(1e-6));
        Check check = d.check("array.paths");
        assertThat(check.verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        assertThat(check.sum()).contains("sections up to");
        Design none = with(null);
        assertThat(none.checks()).noneMatch(c -> c.id().equals("array.paths"));
        assertThat(d.layout().modules().size())
                .isLessThan(none.layout().modules().size());
    }

    /** The house's own rule asks no authority; it takes other widths. */
    @Test
    void accessPathsAreOurOwnRule() {
        Check own = with("access").check("array.paths");
        assertThat(own.verdict()).isEqualTo(Verdict.PASSES);
        assertThat(own.heading()).isEqualTo("Access paths");
    }

    @Test
    void aNarrowerSetBackOrAnArrayInTheWayFails() {
        Check narrow = with("fire code", "array.setback", "1 m").check("array.paths");
        assertThat(narrow.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(narrow.sum()).contains("below");

        // the array is split along a line through the hatch and only the first part keeps the rule
        Design d = with("fire code");
        var split = new PlaceEdits(d)
                .split(
                        new org.locationtech.jts.geom.Coordinate(0, 33),
                        new org.locationtech.jts.geom.Coordinate(60, 33));
        var doc = JobReader.read(DocumentPatch.apply(d.job(), split), false).job();
        Design two = Jobs.SOLVER.solve(doc);
        var off = new DocumentPatch.Change("remove", "$.arrays[1].paths", null);
        Design half = Jobs.SOLVER.solve(
                JobReader.read(DocumentPatch.apply(doc, List.of(off)), false).job());
        assertThat(two.whole().checks().stream().filter(c -> c.id().endsWith("array.paths")))
                .noneMatch(c -> c.verdict() == Verdict.FAILS);
        assertThat(half.whole().checks().stream().filter(c -> c.id().endsWith("array.paths")))
                .anyMatch(c -> c.verdict() == Verdict.FAILS && c.sum().contains("modules in a path"));
    }

    @Test
    void noSectionIsDeeperThanTheRuleAllows() {
        // rows along the short side: sixty metres deep
        Design d = with("fire code", "array.facing", Map.of("azimuth", "90 deg"));
        assertThat(d.layout().walkwaysAfter()).isNotEmpty();
        assertThat(d.check("array.paths").verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        for (int after : d.layout().walkwaysAfter()) {
            double behind = d.layout().modules().stream()
                    .filter(m -> m.row() == after)
                    .mapToDouble(ArrayLayout.Module::t)
                    .findFirst()
                    .orElseThrow();
            double next = d.layout().modules().stream()
                    .filter(m -> m.row() == after + 1)
                    .mapToDouble(ArrayLayout.Module::t)
                    .findFirst()
                    .orElseThrow();
            assertThat(next - behind - d.layout().depthM()).isGreaterThanOrEqualTo(2.4384 - 1e-9);
        }
    }
}
