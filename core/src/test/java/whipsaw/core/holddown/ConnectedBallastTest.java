package whipsaw.core.holddown;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Blocks over connected positions: least of all that hold, on random rows, and mirrored with the row. */
class ConnectedBallastTest {
    private static boolean holds(int[] blocks, double[] need, int[] least, int[] most, int within) {
        for (int i = 0; i < blocks.length; i++) {
            if (blocks[i] < least[i] || blocks[i] > most[i]) {
                return false;
            }
        }
        for (int first = 0; first + within <= blocks.length; first++) {
            double short_ = 0;
            for (int i = first; i < first + within; i++) {
                short_ += need[i] - blocks[i];
            }
            if (short_ > 1e-9) {
                return false;
            }
        }
        return true;
    }

    /** Every way to lay blocks, tried. */
    private static int leastByTrying(double[] need, int[] least, int[] most, int within) {
        int[] blocks = least.clone();
        int best = Integer.MAX_VALUE;
        while (true) {
            if (holds(blocks, need, least, most, within)) {
                best = Math.min(best, Arrays.stream(blocks).sum());
            }
            int i = 0;
            while (i < blocks.length && ++blocks[i] > most[i]) {
                blocks[i] = least[i];
                i++;
            }
            if (i == blocks.length) {
                return best;
            }
        }
    }

    @Test
    void noWayOfLayingTakesFewerBlocks() {
        Random random = new Random(19);
        int solved = 0;
        for (int n = 0; n < 400; n++) {
            int size = 1 + random.nextInt(6);
            double[] need = random.doubles(size, 0, 3.5).toArray();
            int[] least = Arrays.stream(need)
                    .mapToInt(d -> Math.max(0, (int) Math.ceil(d) - 1))
                    .toArray();
            int[] most = random.ints(size, 3, 5).toArray();
            int within = 1 + random.nextInt(size);
            LeastBlocks.Found found = LeastBlocks.of(need, least, most, within);
            int tried = leastByTrying(need, least, most, within);
            if (tried < Integer.MAX_VALUE) {
                solved++;
                assertThat(holds(found.blocks(), need, least, most, within)).isTrue();
                assertThat(Arrays.stream(found.blocks()).sum()).isEqualTo(tried);
                assertThat(found.unmet()).containsOnly(false);
            } else {
                assertThat(found.unmet()).contains(true);
            }
        }
        assertThat(solved).isGreaterThan(300);
    }

    @Test
    void aMirroredRowIsLaidAsItsMirror() {
        double[] need = {3.2, 2.4, 2.2, 2.2, 2.2, 2.4, 3.6};
        double[] back = {3.6, 2.4, 2.2, 2.2, 2.2, 2.4, 3.2};
        int[] least = {3, 2, 2, 2, 2, 2, 3};
        int[] most = {9, 9, 9, 9, 9, 9, 9};
        int[] one = LeastBlocks.of(need, least, most, 4).blocks();
        int[] other = LeastBlocks.of(back, least, most, 4).blocks();
        for (int i = 0; i < one.length; i++) {
            assertThat(other[i]).isEqualTo(one[one.length - 1 - i]);
        }
    }

    @Test
    void aRowOfNeedsAHandCanAdd() {
        // five of 2.3 weigh 11.5 blocks: twelve on any five in a line, where each by itself takes three
        double[] need = new double[10];
        Arrays.fill(need, 2.3);
        int[] least = new int[10];
        Arrays.fill(least, 2);
        int[] most = new int[10];
        Arrays.fill(most, 6);
        assertThat(Arrays.stream(LeastBlocks.of(need, least, most, 5).blocks()).sum())
                .isEqualTo(24);
        assertThat(Arrays.stream(LeastBlocks.of(need, least, most, 1).blocks()).sum())
                .isEqualTo(30);
    }
}
