package whipsaw.core.explore;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import whipsaw.core.catalogue.AttachmentType;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.JobReader;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.units.Limits;

/** Ways to hold an array down: the fewest attachments against all choices, limits kept, no attachment serving too much. */
class HoldDownWaysTest {
    private static int leastByTrying(int[] cost, boolean[] always, Cover.Place[] places) {
        int best = Integer.MAX_VALUE;
        for (int set = 0; set < 1 << cost.length; set++) {
            int sum = 0;
            boolean fits = true;
            for (int i = 0; i < cost.length; i++) {
                fits &= !always[i] || (set >> i & 1) == 1;
                sum += (set >> i & 1) * cost[i];
            }
            for (Cover.Place p : places) {
                double takes = 0;
                for (int i = 0; i < cost.length; i++) {
                    takes += (set >> i & 1) * p.takes()[i];
                }
                fits &= takes >= p.atLeast() - 1e-9;
            }
            best = fits ? Math.min(best, sum) : best;
        }
        return best;
    }

    @Test
    void noChoiceOfAllIsCheaper() {
        Random random = new Random(44);
        for (int round = 0; round < 60; round++) {
            int n = 3 + random.nextInt(8);
            int[] cost = random.ints(n, 1, 4).toArray();
            boolean[] always = new boolean[n];
            always[random.nextInt(n)] = round % 3 == 0;
            Cover cover = new Cover(cost, always);
            Cover.Place[] places = new Cover.Place[1 + random.nextInt(4)];
            for (int k = 0; k < places.length; k++) {
                double[] takes =
                        random.doubles(n, -30, 60).map(d -> Math.max(0, d)).toArray();
                places[k] = new Cover.Place(takes, 0.6 * Arrays.stream(takes).sum());
                cover.add(places[k]);
            }
            Cover.Choice choice = cover.cheapest(cover.quick(), 20_000);
            assertThat(choice.cost()).isEqualTo(leastByTrying(cost, always, places));
            assertThat(choice.bound()).isLessThanOrEqualTo(choice.cost());
            assertThat(choice.proved()).isTrue();
        }
        Cover none = new Cover(new int[] {1}, new boolean[1]);
        none.add(new Cover.Place(new double[] {5}, 6));
        assertThat(none.quick()).isNull();
        assertThat(new Cover(new int[] {1}, new boolean[] {true}).quick().chosen())
                .isEqualTo(BitSet.valueOf(new long[] {1}));
    }

    private static AttachmentType part(String serves) {
        Map<String, Object> body = Jobs.attachment();
        body.put("serves", serves);
        return (AttachmentType) JobReader.readEntry("attachment", body).job();
    }

    @Test
    void theMixKeepsTheLimitEverywhereWithFewerAttachmentsThanAttachmentsAlone() {
        Design now = Jobs.design("array.setback", "14 m");
        HoldDownWays ways = new HoldDownWays(now, part("8 m2"), Jobs.SOLVER);
        HoldDownWays.Way blocks = ways.ballast(false);
        HoldDownWays.Way attached = ways.attached();
        double high = blocks.design().loads().heaviestPa();
        double low = attached.design().loads().heaviestPa();
        assertThat(attached.design().holdDown().blocks()).isZero();
        int before = 0;
        for (double part : new double[] {1, 0.8, 0.5}) {
            double most = low + part * (high - low);
            HoldDownWays.Way mix = ways.fewest(most, () -> false);
            RoofLoads loads = mix.design().loads();
            assertThat(Limits.above(loads.heaviestPa(), most)).isFalse();
            assertThat(loads.bays()).noneMatch(b -> Limits.above(b.load().loadPa(), most));
            assertThat(mix.positions()).isBetween(before, attached.positions());
            assertThat(mix.atLeast()).isLessThanOrEqualTo(mix.single());
            assertThat(mix.design().holdDown().positions().stream()
                            .filter(p -> !p.ballast().attached())
                            .noneMatch(p -> p.ballast().lacks()))
                    .isTrue();
            before = mix.positions();
        }
        assertThat(ways.fewest(low * 0.9, () -> false)).isNull();
        for (AttachedArray.Group g : attached.design().attached().groups()) {
            assertThat(g.areaM2()).isLessThanOrEqualTo(8 * g.attachments() * (1 + 1e-9));
        }
        HoldDown together = ways.ballast(true).design().holdDown();
        assertThat(together.blocks()).isLessThan(blocks.design().holdDown().blocks());
    }
}
