package whipsaw.core.figure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.units.UnitSystem;

/** What a block more or fewer changes at a position, and what holds it without any. */
class OneBlockMoreTest {
    private static final Design PLAIN = Jobs.design();

    /** A position that holds by its own blocks would not with one fewer; each block weighs the same share. */
    @Test
    void theCountIsTheLeastThatHolds() {
        int looked = 0;
        for (HoldDown.Position p : PLAIN.holdDown().positions()) {
            OneBlockMore c = OneBlockMore.of(PLAIN, p);
            if (p.ballast().blocksNeeded() == 0 || p.ballast().full()) {
                continue;
            }
            looked++;
            assertThat(c.now()).isGreaterThanOrEqualTo(1 - 1e-9);
            assertThat(c.fewer()).isLessThan(1);
            assertThat(c.more() - c.now()).isCloseTo(c.now() - c.fewer(), within(1e-12));
            assertThat(c.attachments()).isZero();
            assertThat(c.words(UnitSystem.US)).singleElement().satisfies(w -> assertThat(w)
                    .contains(c.blocks() + " block", "one block fewer"));
        }
        assertThat(looked).isPositive();
        Design unknown = Jobs.design("site.wind", null);
        assertThat(unknown.holdDown().positions())
                .allSatisfy(p -> assertThat(OneBlockMore.of(unknown, p)).isNull());
    }

    /** What it says of attachments is what the array needs where only that position has them. */
    @Test
    void attachmentsAreThoseOfThePositionHeldAlone() {
        List<HoldDown.Position> heavy = PLAIN.holdDown().positions().stream()
                .filter(p -> p.ballast().blocksNeeded() > 2)
                .toList();
        for (HoldDown.Position p : List.of(
                heavy.get(0), heavy.get(heavy.size() / 2), PLAIN.holdDown().worst())) {
            Map<String, Object> held = new LinkedHashMap<>();
            held.putAll(Map.of("tension", "0.4 kN", "shear", "0.3 kN", "mostBlocks", 0));
            Coordinate c = PLAIN.layout().frame().plan(p.s(), p.t());
            held.put("at", List.of(Map.of("x", c.x + " m", "y", c.y + " m")));
            Design only = Jobs.design("array.attachments", held);
            HoldDown.Position same = only.holdDown().positions().get(p.index());
            assertThat(OneBlockMore.of(only, same).attachments())
                    .isEqualTo(only.attached().byWind())
                    .isPositive();
        }
    }
}
