package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** What the maker of a tray system states, against the array: at its limits, beyond them, and where nothing is stated. */
class SystemChecksTest {
    private static Check check(Design d, String id) {
        return d.check(id);
    }

    private static Verdict verdict(String id, Object... set) {
        return check(Jobs.design(set), id).verdict();
    }

    @Test
    void aModuleOfTheLastSizeFitsAndOneBeyondDoesNot() {
        double side = Jobs.design().job().array().module().length().si() * 1000;
        double width = Jobs.design().job().array().module().width().si() * 1000;
        Object[] fits = {
            "array.tray.longSideFrom", side - 100 + " mm", "array.tray.longSideTo", side + " mm",
            "array.tray.shortSideFrom", width + " mm", "array.tray.shortSideTo", width + 50 + " mm"
        };
        assertThat(verdict("system.module", fits)).isEqualTo(Verdict.PASSES);
        fits[3] = side - 1 + " mm";
        assertThat(verdict("system.module", fits)).isEqualTo(Verdict.FAILS);
        fits[3] = side + " mm";
        fits[5] = width + 1 + " mm";
        assertThat(verdict("system.module", fits)).isEqualTo(Verdict.FAILS);
        assertThat(Jobs.design().checks()).noneMatch(c -> c.id().startsWith("system."));
    }

    @Test
    void theSteepestBayAndTheWorstUnevennessDecide() {
        Object[] set = {
            "roof.bayNotes",
            List.of(Map.of("bay", "A1", "fall", "4 deg", "undulation", "2.5 deg")),
            "array.tray.steepest",
            "3 deg",
            "array.tray.undulation",
            "2 deg"
        };
        Check slope = check(Jobs.design(set), "system.slope");
        assertThat(slope.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(slope.demand()).contains("bay A1");
        assertThat(slope.utilisation()).isCloseTo(4 / 3.0, within(1e-9));
        assertThat(verdict("system.undulation", set)).isEqualTo(Verdict.FAILS);
        set[3] = "4 deg";
        set[5] = "3 deg";
        assertThat(verdict("system.slope", set)).isNotEqualTo(Verdict.FAILS);
        assertThat(verdict("system.undulation", set)).isEqualTo(Verdict.PASSES);
    }

    @Test
    void aRowTooLongIsBrokenByAnAisleAndAWalkwayEndsWhatIsLinked() {
        Object[] set = {
            "array.tray.longestRow",
            "20 m",
            "array.tray.breakGap",
            "150 mm",
            "array.tray.linksRows",
            true,
            "array.tray.deepest",
            "12 m"
        };
        Design d = Jobs.design(set);
        Check row = check(d, "array.row-length");
        assertThat(row.verdict()).isEqualTo(Verdict.FAILS);
        WaysOut.Way way = WaysOut.of(d, row, List.of(), Jobs.SOLVER).stream()
                .filter(w -> w.kind().equals("aisle across"))
                .findFirst()
                .orElseThrow();
        var reading = JobReader.read(DocumentPatch.apply(d.job(), way.changes()), false);
        Design broken = Jobs.SOLVER.solve(reading.job());
        assertThat(broken.layout().runs()).allMatch(r -> r.lengthM() <= 20);
        // as few aisles as the length allows: one more module would be too many
        ArrayLayout.Run longest = broken.layout().runs().stream()
                .max((a, b) -> Double.compare(a.lengthM(), b.lengthM()))
                .orElseThrow();
        assertThat(longest.lengthM() + broken.layout().columnPitchM()).isGreaterThan(20);
        assertThat(check(broken, "system.break-gap").verdict().stops()).isFalse();
        assertThat(check(d, "system.depth").verdict()).isEqualTo(Verdict.FAILS);
        Object[] walked = java.util.Arrays.copyOf(set, set.length + 2);
        walked[set.length] = "array.walkway";
        walked[set.length + 1] = Map.of("every", 5, "first", 5, "width", "1 m");
        Check depth = check(Jobs.design(walked), "system.depth");
        assertThat(depth.verdict().stops()).isFalse();
        ArrayLayout layout = Jobs.design(walked).layout();
        assertThat(depth.utilisation()).isCloseTo((4 * layout.pitchM() + layout.depthM()) / 12, within(1e-6));
    }
}
