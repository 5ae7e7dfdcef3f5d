package whipsaw.core.build;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** From one ballast map to a later one, on maps made by hand. */
class MapChangeTest {
    private static final double PITCH_M = 1.2;

    /** A row of positions from x = 0, with these blocks; a negative count is no position. */
    private static List<BallastMap.Place> row(int row, int... blocks) {
        List<BallastMap.Place> places = new ArrayList<>();
        int number = 0;
        for (int i = 0; i < blocks.length; i++) {
            if (blocks[i] >= 0) {
                number++;
                places.add(new BallastMap.Place(
                        row + "-" + number,
                        row,
                        String.valueOf(number),
                        i * PITCH_M,
                        row * 2.0,
                        blocks[i],
                        false,
                        false));
            }
        }
        return places;
    }

    private static BallastMap map(List<BallastMap.Place> places) {
        return map("block", 14.5, 0, places);
    }

    private static BallastMap map(String block, double kg, int attachments, List<BallastMap.Place> places) {
        return new BallastMap(List.of(new BallastMap.MapArray("A", "array A", block, kg, attachments, places)));
    }

    @Test
    void countsThatDifferAreAddedAndTakenAway() {
        MapChange c = MapChange.between(map(row(1, 3, 4, 5)), map(row(1, 4, 4, 3)));
        assertThat(c.places()).extracting(MapChange.Moved::number).containsExactly("1-1", "1-3");
        assertThat(c.places()).extracting(MapChange.Moved::add).containsExactly(1, -2);
        assertThat(c.toAdd()).isEqualTo(1);
        assertThat(c.toTakeAway()).isEqualTo(2);
        assertThat(c.inWords()).containsExactly("blocks: add 1, take away 2, another count at 2 positions");
    }

    /** A position that goes takes all its blocks with it, and the numbers after it change: both are told. */
    @Test
    void aPositionThatGoesIsToldWithTheNumbersThatShift() {
        MapChange c = MapChange.between(map(row(1, 3, 4, 5)), map(row(1, 3, -1, 5)));
        assertThat(c.places()).singleElement().satisfies(m -> {
            assertThat(m.gone()).isTrue();
            assertThat(m.number()).isEqualTo("1-2");
            assertThat(m.add()).isEqualTo(-4);
        });
        assertThat(c.words()).containsExactly("another number at 1 position of array A");
        MapChange back = MapChange.between(map(row(1, 3, -1, 5)), map(row(1, 3, 4, 5)));
        assertThat(back.places()).singleElement().satisfies(m -> assertThat(m.isNew())
                .isTrue());
        assertThat(back.toAdd()).isEqualTo(4);
        assertThat(back.inWords()).contains("blocks: add 4, take away 0, 1 new position");
    }

    @Test
    void anotherBlockAndAttachmentsElsewhereAreToldWithoutAnyCountThatDiffers() {
        List<BallastMap.Place> here = row(1, 3, 3, 3);
        assertThat(MapChange.between(map("block", 14.5, 0, here), map("block", 15.0, 0, here))
                        .words())
                .containsExactly("blocks of array A: block of 15 kg, before block of 14.5 kg");
        List<BallastMap.Place> first = new ArrayList<>(here);
        List<BallastMap.Place> last = new ArrayList<>(here);
        first.set(0, attached(here.get(0)));
        last.set(2, attached(here.get(2)));
        assertThat(MapChange.between(map("block", 14.5, 1, first), map("block", 14.5, 1, first))
                        .nothing())
                .isTrue();
        assertThat(MapChange.between(map("block", 14.5, 1, first), map("block", 14.5, 1, last))
                        .words())
                .containsExactly("attachments of array A: 1, before 1, at other positions");
        assertThat(MapChange.between(map("block", 14.5, 1, first), map("block", 14.5, 3, first))
                        .words())
                .containsExactly("attachments of array A: 3, before 1");
    }

    private static BallastMap.Place attached(BallastMap.Place p) {
        return new BallastMap.Place(p.number(), p.row(), p.label(), p.xM(), p.yM(), p.blocks(), true, p.breakBefore());
    }

    @Test
    void anArrayThatComesOrGoesBringsAllItsBlocks() {
        BallastMap one = map(row(1, 3, 4));
        BallastMap two = new BallastMap(List.of(
                one.arrays().get(0), new BallastMap.MapArray("B", "array B", "block", 14.5, 0, row(1, 2, 2, 2))));
        MapChange comes = MapChange.between(one, two);
        assertThat(comes.words()).containsExactly("array B is new");
        assertThat(comes.toAdd()).isEqualTo(6);
        MapChange goes = MapChange.between(two, one);
        assertThat(goes.words()).containsExactly("array B is gone");
        assertThat(goes.toTakeAway()).isEqualTo(6);
        // what was laid of it is what has to come off
        AsLaid laid = new AsLaid(two, List.of(new AsLaid.Tick("B", 0, 2.0, 2)));
        MapChange off = MapChange.between(two, one, laid);
        assertThat(off.toTakeAway()).isEqualTo(2);
        assertThat(off.toAdd()).isEqualTo(one.blocks());
    }

    /** Ticks are found again where a later map numbers the position otherwise; others are told as lost. */
    @Test
    void ticksFollowThePlace() {
        BallastMap later = map(row(1, -1, 4, 5));
        AsLaid laid = new AsLaid(
                later,
                List.of(
                        new AsLaid.Tick("A", 0, 2.0, 3),
                        new AsLaid.Tick("A", PITCH_M + 0.05, 2.02, 4),
                        new AsLaid.Tick("A", 40, 2.0, 0),
                        new AsLaid.Tick("C", PITCH_M, 2.0, 7)));
        BallastMap.Place first = later.array("A").place("1-1");
        assertThat(laid.blocks("A", first)).isEqualTo(4);
        assertThat(laid.state("A", first)).isEqualTo(AsLaid.State.AS_MAP);
        assertThat(laid.state("A", later.array("A").place("1-2"))).isEqualTo(AsLaid.State.OPEN);
        assertThat(laid.elsewhere()).isEqualTo(2);
        assertThat(laid.row("A", 1).done()).isFalse();
    }

    /** The nearest within reach is found, as a search over all of them finds it. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void theNearestPositionIsFound(long seed) {
        Random random = new Random(seed);
        List<BallastMap.Place> places = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            double x = Math.round(random.nextDouble() * 20_000 - 10_000) / 1000.0;
            double y = Math.round(random.nextDouble() * 20_000 - 10_000) / 1000.0;
            places.add(new BallastMap.Place("1-" + i, 1, "" + i, x, y, 1, false, false));
        }
        BallastMap.Nearby near = new BallastMap.Nearby(places);
        Set<String> found = new HashSet<>();
        for (int i = 0; i < 500; i++) {
            double x = random.nextDouble() * 22 - 11;
            double y = random.nextDouble() * 22 - 11;
            BallastMap.Place best = null;
            for (BallastMap.Place p : places) {
                double away = Math.hypot(p.xM() - x, p.yM() - y);
                if (away < 0.3 && (best == null || away < Math.hypot(best.xM() - x, best.yM() - y))) {
                    best = p;
                }
            }
            assertThat(near.at(x, y)).isSameAs(best);
            if (best != null) {
                found.add(best.number());
            }
        }
        assertThat(found).hasSizeGreaterThan(20);
    }
}
