package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.Draws;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.JobReader;
import whipsaw.core.structure.AttachedArray;

/** What holds of any array that is held down, whatever its roof, wind, blocks and attachments. */
class HoldDownPropertiesTest {
    /** A roof, its wind and its blocks. */
    private record Drawn(Object[] set) {
        Drawn with(Object... more) {
            Object[] all = Arrays.copyOf(set, set.length + more.length);
            System.arraycopy(more, 0, all, set.length, more.length);
            return new Drawn(all);
        }

        Design design() {
            return Jobs.design(set);
        }
    }

    private static Drawn drawn(Draws d) {
        return new Drawn(new Object[] {
            "array.tilt", d.of("5 deg", "10 deg", "15 deg"),
            "array.gap", d.of("300 mm", "500 mm", "800 mm"),
            "array.setback", d.whole(3, 12) + " m",
            "array.tray.mostBlocks", d.whole(4, 30),
            "array.tray.shared", d.whole(3, 40) + " m2",
            "array.block.mass", d.whole(5, 25) + " kg",
            "roof.height", d.whole(4, 14) + " m"
        });
    }

    private static Map<String, Object> attachments(Draws d, int mostBlocks) {
        Map<String, Object> part = Jobs.attachment();
        part.put("serves", d.whole(3, 30) + " m2");
        Map<String, Object> all = new LinkedHashMap<>(Map.of("tension", "3 kN", "shear", "2 kN", "kind", "screwed"));
        all.put("mostBlocks", mostBlocks);
        all.put("part", part);
        return all;
    }

    @Test
    void moreWindNeverAsksForLess() {
        Draws.each(8, d -> {
            Drawn roof = drawn(d);
            for (String rule : new String[] {null, "together"}) {
                int blocks = 0;
                double neededKg = 0;
                for (int speed = 35; speed <= 65; speed += 10) {
                    HoldDown held = roof.with("site.wind", speed + " m/s", "array.ballastBy", rule)
                            .design()
                            .holdDown();
                    assertThat(held.established()).isTrue();
                    double kg = held.positions().stream()
                            .mapToDouble(p -> p.ballast().requiredKg())
                            .sum();
                    int needed = held.positions().stream()
                            .mapToInt(p -> p.ballast().blocksNeeded())
                            .sum();
                    assertThat(kg).isGreaterThanOrEqualTo(neededKg);
                    assertThat(needed).isGreaterThanOrEqualTo(blocks);
                    neededKg = kg;
                    blocks = needed;
                }
                assertThat(blocks).isPositive();
            }
        });
    }

    @Test
    void connectedPositionsTakeNoMoreThanEachByItselfAndNoLessThanAllNeed() {
        Draws.each(12, d -> {
            Drawn roof = drawn(d);
            HoldDown alone = roof.design().holdDown();
            HoldDown together =
                    roof.with("array.ballastBy", "together").design().holdDown();
            assertThat(together.connected().aloneBlocks()).isEqualTo(alone.blocks() + alone.missingBlocks());
            if (alone.lacking().isEmpty()) {
                assertThat(together.blocks()).isLessThanOrEqualTo(alone.blocks());
            }
            assertThat(together.lacking().size())
                    .isLessThanOrEqualTo(alone.lacking().size());
            together.connected().rows().forEach(row -> {
                double needed = 0;
                double placed = 0;
                boolean full = false;
                // whole groups next to each other cover the row, but for its last few
                int groups = (row.last() - row.first() + 1) / row.within();
                List<HoldDown.Position> covered =
                        together.positions().subList(row.first(), row.first() + groups * row.within());
                for (HoldDown.Position p : covered) {
                    needed += p.ballast().requiredKg();
                    placed += p.ballast().placedKg();
                    full |= p.ballast().full();
                }
                assertThat(full || placed >= needed * (1 - 1e-9)).isTrue();
            });
        });
    }

    @Test
    void noAttachmentServesMoreThanItMayAndEachHoldsWhatIsLeft() {
        Draws.each(10, d -> {
            Map<String, Object> each = attachments(d, d.whole(0, 2));
            Design design = drawn(d).with("array.attachments", each).design();
            AttachedArray attached = design.attached();
            if (attached == null) {
                assertThat(design.holdDown().positions())
                        .noneMatch(p -> p.ballast().attached());
                return;
            }
            double serves = attached.each().part().serves().si();
            double area = 0;
            for (AttachedArray.Group g : attached.groups()) {
                assertThat(g.areaM2()).isLessThanOrEqualTo(g.attachments() * serves * (1 + 1e-9));
                assertThat(g.tensionN() / 3000 + g.shearN() / 2000).isLessThanOrEqualTo(g.attachments() * (1 + 1e-9));
                area += g.areaM2();
            }
            // every position that lacks weight is in one group, and no other
            List<Ballast> lacking = design.holdDown().positions().stream()
                    .map(HoldDown.Position::ballast)
                    .filter(Ballast::attached)
                    .toList();
            assertThat(area)
                    .isCloseTo(lacking.size() * design.job().array().module().areaM2(), within(1e-6));
            assertThat(attached.needed()).isGreaterThanOrEqualTo(attached.byWind());
        });
    }

    private static Map<String, Object> weighed(int count, String mean, String spread) {
        return Map.of("count", count, "mean", mean, "spread", spread);
    }

    @Test
    void lightBlocksHoldLessAndHeavyOnesLoadMore() {
        // blocks of 15 kg by the datasheet: 14 kg on the scale, 0.6 kg apart: 14 - 1.833 x 0.6 / root of 10
        Design stated = Jobs.design();
        Design light = Jobs.design("array.weighed", weighed(10, "14 kg", "0.6 kg"));
        double credited = 14 - 1.833 * 0.6 / Math.sqrt(10);
        assertThat(light.holdDown().block().creditedKg()).isCloseTo(credited, within(1e-9));
        assertThat(light.holdDown().block().laidKg()).isEqualTo(15);
        assertThat(light.holdDown().blocks()).isGreaterThan(stated.holdDown().blocks());
        for (HoldDown.Position p : light.holdDown().positions()) {
            Ballast b = p.ballast();
            assertThat(b.creditedKg()).isGreaterThanOrEqualTo(b.requiredKg() * (1 - 1e-9));
            assertThat(b.placedKg()).isEqualTo(b.blocksPlaced() * 15.0);
        }
        assertThat(light.check("ballast.weighed").remark()).contains("lighter than stated");
        Design heavy = Jobs.design("array.weighed", weighed(10, "16 kg", "0.6 kg"));
        assertThat(heavy.holdDown().blocks()).isEqualTo(stated.holdDown().blocks());
        assertThat(heavy.loads().heaviestPa()).isGreaterThan(stated.loads().heaviestPa());
        // the same scatter of fewer blocks says less
        assertThat(Jobs.design("array.weighed", weighed(4, "14 kg", "0.6 kg"))
                        .holdDown()
                        .block()
                        .creditedKg())
                .isLessThan(credited);
        var wide = Jobs.with(Jobs.document(), "array.weighed", weighed(10, "2 kg", "5 kg"));
        assertThat(Jobs.SOLVER.problems(JobReader.read(wide, false).job()))
                .singleElement()
                .satisfies(p -> assertThat(p.words()).contains("Spread", "a third of the mean"));
        var one = Jobs.with(Jobs.document(), "array.weighed", weighed(1, "14 kg", "0 kg"));
        assertThat(JobReader.read(one, false).problems()).singleElement().satisfies(p -> assertThat(p.words())
                .contains("Blocks on the scale", "from 3 to 200"));
    }
}
