package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** What shade makes worth least is found and left out: the most shaded first, pairs together. */
class WorthlessModulesTest {
    private static final Object[] WALL = {
        "roof.obstructions",
        List.of(Map.of(
                "id", "w", "kind", "plant", "name", "Stair", "x", "25 m", "y", "15 m", "width", "6 m", "depth", "4 m",
                "height", "5 m", "clear", "0.5 m"))
    };

    private static Design design(boolean pairs) {
        return pairs ? Jobs.pairedDesign(WALL) : Jobs.design(WALL);
    }

    private static Design without(Design d, List<ArrayLayout.Module> out) {
        var read = JobReader.read(DocumentPatch.apply(d.job(), new ModuleEdits(d).leaveOutModules(out)), false);
        return Jobs.SOLVER.solve(read.job());
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void thoseThatLoseMoreAreAllOfThem(boolean pairs) {
        Design d = design(pairs);
        WorthlessModules worth = new WorthlessModules(d);
        int before = d.layout().modules().size();
        for (double share : new double[] {0.02, 0.05, 0.1, 0.2}) {
            List<ArrayLayout.Module> out = worth.above(share);
            assertThat(out.size()).isLessThanOrEqualTo(before);
            before = out.size();
            if (!pairs) {
                long own = d.layout().modules().stream()
                        .filter(m -> worth.lost(m) > share)
                        .count();
                assertThat(out).hasSize((int) own);
            }
        }
        assertThat(worth.above(0.05)).isNotEmpty();
        assertThat(worth.above(1)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aTargetOfPowerKeepsTheBest(boolean pairs) {
        Design d = design(pairs);
        WorthlessModules worth = new WorthlessModules(d);
        double each = d.job().array().module().power().si();
        int all = d.layout().modules().size();
        assertThat(worth.beyond(all * each)).isEmpty();
        List<ArrayLayout.Module> out = worth.beyond((all - 21) * each);
        // a pair goes as a whole
        assertThat(out).hasSize(pairs ? 22 : 21);
        Set<Integer> gone = new HashSet<>();
        out.forEach(m -> gone.add(m.index()));
        if (!pairs) {
            double worstKept = d.layout().modules().stream()
                    .filter(m -> !gone.contains(m.index()))
                    .mapToDouble(worth::lost)
                    .max()
                    .orElseThrow();
            assertThat(out).allSatisfy(m -> assertThat(worth.lost(m)).isGreaterThanOrEqualTo(worstKept));
        }
        assertThat(without(d, out).layout().modules().size()).isBetween(all - 26, all - 21);
    }

    /** What is left makes more by module, and the energy of the year goes down by less than the modules. */
    @Test
    void theOthersMakeMoreEach() {
        Design d = design(false);
        Design then = without(d, new WorthlessModules(d).above(0.08));
        double lost = d.whole().year().kwh() - then.whole().year().kwh();
        assertThat(then.whole().year().kwhPerKwp())
                .isGreaterThan(d.whole().year().kwhPerKwp());
        double share = 1
                - then.layout().modules().size() / (double) d.layout().modules().size();
        assertThat(lost / d.whole().year().kwh()).isBetween(0.0, share);
        assertThat(Arrays.stream(then.shade().yearShare()).max().orElseThrow()).isLessThanOrEqualTo(0.08 + 1e-9);
    }

    /** Hours of a day in shade are those of its instants; at night there are none. */
    @Test
    void hoursInShadeAddUpOverTheDay() {
        Design d = design(false);
        double[] whole = d.shade().hoursOfDay(80, 0, 24);
        double[] morning = d.shade().hoursOfDay(80, 0, 12);
        double[] evening = d.shade().hoursOfDay(80, 12, 24);
        for (int i = 0; i < whole.length; i++) {
            assertThat(morning[i] + evening[i]).isEqualTo(whole[i], org.assertj.core.api.Assertions.within(1e-9));
        }
        assertThat(Arrays.stream(whole).max().orElseThrow()).isBetween(2.0, 12.0);
        assertThat(d.shade().hoursOfDay(80, 0, 4)).containsOnly(0);
    }
}
