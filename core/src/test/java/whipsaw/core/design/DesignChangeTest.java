package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static whipsaw.core.design.Jobs.design;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.array.ArrayLayout;

class DesignChangeTest {
    private static Map<String, Object> vent(double x) {
        return Map.of(
                "id", "v", "name", "Vent", "x", x + " m", "y", "19 m", "width", "1 m", "depth", "1 m", "height", "1 m",
                "clear", "0.5 m");
    }

    @Test
    void nothingChangedSaysNothing() {
        DesignChange none = DesignChange.between(design(), design());
        assertThat(none.words()).isEmpty();
        assertThat(none.changed()).isEmpty();
    }

    @Test
    void theDifferenceIsToldWithItsSign() {
        Design before = design();
        Design after = design("site.wind", "55 m/s");
        int blocks = after.holdDown().blocks() - before.holdDown().blocks();
        assertThat(blocks).isPositive();
        assertThat(DesignChange.between(before, after).words()).contains("+" + blocks + " blocks");
        assertThat(DesignChange.between(after, before).words()).contains("−" + blocks + " blocks");
    }

    @Test
    void onlyPositionsNearAMovedVentAreMarked() {
        Design before = design("roof.obstructions", List.of(vent(20)));
        Design after = design("roof.obstructions", List.of(vent(26)));
        DesignChange change = DesignChange.between(before, after);
        assertThat(change.changed()).isNotEmpty();
        for (int index : change.changed()) {
            ArrayLayout.Module m = after.layout().modules().get(index);
            var at = after.layout().corners(m)[0];
            assertThat(at.x).isBetween(20 - 6.0, 27 + 6.0);
            assertThat(at.y).isBetween(19 - 5.0, 20 + 5.0);
        }
    }
}
