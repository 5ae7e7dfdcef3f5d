package whipsaw.core.array;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.WaysOut;

/** How many modules come off before one is reached. */
class ReachTest {
    private static final Object[] BARE = {"roof.obstructions", List.of(), "array.gap", "300 mm", "array.tilt", "5 deg"};

    private static Object[] and(Object... more) {
        Object[] all = java.util.Arrays.copyOf(BARE, BARE.length + more.length);
        System.arraycopy(more, 0, all, BARE.length, more.length);
        return all;
    }

    @Test
    void aFieldWithoutAislesIsTakenUpFromItsNearestSide() {
        Design d = Jobs.design(BARE);
        Reach reach = d.array().reach();
        int rows = d.layout().lastRow();
        Map<String, Integer> places = new HashMap<>();
        d.layout().modules().forEach(m -> places.put(m.id(), m.column()));
        int columns = places.values().stream().mapToInt(c -> c).max().orElseThrow();
        for (ArrayLayout.Module m : d.layout().modules()) {
            int nearest =
                    Math.min(Math.min(m.row() - 1, rows - m.row()), Math.min(m.column() - 1, columns - m.column()));
            assertThat(reach.first(m.index())).as(m.id()).isEqualTo(nearest);
        }
        assertThat(d.check("array.reach").verdict()).isEqualTo(Verdict.CLOSE);
        assertThat(d.check("array.reach").sum()).startsWith(reach.most() + ",");
    }

    /** A gap that can be walked in, or an aisle, brings a module within reach; a hole no strip leads to does not. */
    @ParameterizedTest
    @CsvSource({"399 mm, false", "400 mm, true", "700 mm, true"})
    void aGapIsWalkedInFromItsWidthOn(String gap, boolean walked) {
        Design d = Jobs.design(and("array.tray.gaps", List.of(gap), "array.gap", gap));
        assertThat(d.array().reach().most() == 0).isEqualTo(walked);
    }

    @Test
    void aHoleAmongTheModulesHelpsOnlyWhereAStripLeadsThere() {
        Design whole = Jobs.design(BARE);
        ArrayLayout.Module middle = whole.layout().modules().stream()
                .max((a, b) -> whole.array().reach().first(a.index())
                        - whole.array().reach().first(b.index()))
                .orElseThrow();
        var corner = whole.layout().corners(middle)[0];
        Design hole = Jobs.design(
                and("array.removed", List.of(Map.of("x", (corner.x + 0.5) + " m", "y", (corner.y + 0.4) + " m"))));
        assertThat(hole.layout().modules()).hasSize(whole.layout().modules().size() - 1);
        ArrayLayout.Module beside = hole.layout().modules().stream()
                .filter(m -> m.row() == middle.row() && m.column() == middle.column() + 1)
                .findFirst()
                .orElseThrow();
        assertThat(hole.array().reach().first(beside.index())).isGreaterThan(1);
    }

    @Test
    void aislesAreOfferedAndBringEveryModuleWithinReach() {
        Design d = Jobs.design(BARE);
        var ways = WaysOut.of(d, d.check("array.reach"), List.of(), Jobs.SOLVER);
        assertThat(ways).anySatisfy(w -> {
            assertThat(w.kind()).isEqualTo("aisles");
            assertThat(w.clears()).isTrue();
            assertThat(w.words()).contains("wide every");
        });
    }

    /** Against a search from module to module that knows the walked strips by their rows alone. */
    @Test
    void withAnAisleItIsTheRowsToIt() {
        Design d = Jobs.design(and("array.walkway", Map.of("every", 4, "first", 4, "width", "1 m")));
        Reach reach = d.array().reach();
        Map<String, Integer> index = new HashMap<>();
        d.layout().modules().forEach(m -> index.put(m.id(), m.index()));
        int[] slow = new int[index.size()];
        java.util.Arrays.fill(slow, -1);
        ArrayDeque<ArrayLayout.Module> open = new ArrayDeque<>();
        for (ArrayLayout.Module m : d.layout().modules()) {
            boolean aisle = d.layout().walkwaysAfter().contains(m.row())
                    || d.layout().walkwaysAfter().contains(m.row() - 1);
            boolean edge = !index.containsKey(m.row() + "-" + (m.column() - 1))
                    || !index.containsKey(m.row() + "-" + (m.column() + 1))
                    || m.row() == 1
                    || m.row() == d.layout().lastRow();
            if (aisle || edge) {
                slow[m.index()] = 0;
                open.add(m);
            }
        }
        while (!open.isEmpty()) {
            ArrayLayout.Module m = open.poll();
            for (int[] step : new int[][] {{0, 1}, {0, -1}, {1, 0}, {-1, 0}}) {
                Integer n = index.get((m.row() + step[0]) + "-" + (m.column() + step[1]));
                if (n != null && slow[n] < 0) {
                    slow[n] = slow[m.index()] + 1;
                    open.add(d.layout().modules().get(n));
                }
            }
        }
        for (int i = 0; i < slow.length; i++) {
            assertThat(reach.first(i)).isEqualTo(slow[i]);
        }
    }
}
