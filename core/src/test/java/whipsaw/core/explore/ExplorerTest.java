package whipsaw.core.explore;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** Options are what the job becomes when one is taken. */
class ExplorerTest {
    private static final Design NOW = Jobs.design();
    private static final TraySystem PAIRS = Jobs.paired().array().tray();

    private final Explorer explorer = new Explorer(NOW, Jobs.SOLVER);

    private List<Option> all() {
        return explorer.options(
                List.of(NOW.job().array().tray(), PAIRS),
                List.of(NOW.job().array().module()),
                true);
    }

    @Test
    void everySettingInEveryDirectionIsThereOnce() {
        List<Option> all = all();
        int settings = NOW.job().array().tray().tilts().size()
                * NOW.job().array().tray().gaps().size();
        List<String> directions = all.stream()
                .filter(o -> o.tray() != PAIRS)
                .map(Option::faces)
                .distinct()
                .toList();
        assertThat(all.stream().filter(o -> o.tray() != PAIRS)).hasSize(settings * directions.size());
        assertThat(all).extracting(Option::words).doesNotHaveDuplicates();
        // a rectangle: three of its sides look away from the pole, two axes for pairs
        assertThat(directions).hasSize(3);
        assertThat(all.stream().filter(o -> o.tray() == PAIRS).map(Option::faces))
                .hasSizeGreaterThan(0);
        assertThat(all.stream()
                        .filter(o -> o.tray() == PAIRS)
                        .map(Option::faces)
                        .distinct())
                .hasSize(2);
    }

    @Test
    void takingOneGivesTheFiguresThatWereShown() {
        List<Option> all = all();
        int compared = 0;
        for (int i = 0; i < all.size(); i += 7) {
            Tried tried = explorer.tried(all.get(i));
            if (!tried.possible()) {
                continue;
            }
            var read = JobReader.read(DocumentPatch.apply(NOW.job(), all.get(i).changes()), false);
            assertThat(read.problems()).isEmpty();
            Design taken = Jobs.SOLVER.solve(read.job());
            assertThat(tried.modules()).isEqualTo(taken.whole().modules());
            assertThat(tried.kwh()).isEqualTo(taken.whole().year().kwh());
            assertThat(tried.blocks())
                    .isEqualTo(taken.holdDown().established() ? taken.whole().blocks() : -1);
            assertThat(tried.fails()).hasSize((int) taken.checks().stream()
                    .filter(c -> c.verdict() == Verdict.FAILS)
                    .count());
            assertThat(tried.option().tilt().si())
                    .isEqualTo(taken.job().array().tilt().si());
            assertThat(taken.layout().gapM()).isEqualTo(all.get(i).gap().si());
            assertThat(tried.open()).hasSize((int) taken.checks().stream()
                    .filter(c -> c.verdict().stops() && c.verdict() != Verdict.FAILS)
                    .count());
            compared++;
        }
        assertThat(compared).isGreaterThan(5);
    }

    /** Shifted for most modules an option never has fewer, and taking it gives what was shown. */
    @Test
    void aShiftedOptionHasAtLeastAsMany() {
        List<Option> all = all();
        Explorer explorer = new Explorer(Jobs.design("array.shiftAcross", "1.1 m"), Jobs.SOLVER);
        int more = 0;
        for (int i = 0; i < all.size(); i += 5) {
            Tried as = explorer.tried(all.get(i));
            Tried best = explorer.triedBestShift(all.get(i));
            assertThat(best.modules()).isGreaterThanOrEqualTo(as.modules());
            assertThat(explorer.design(best.option()).whole().modules()).isEqualTo(best.modules());
            more += best.modules() > as.modules() ? 1 : 0;
        }
        assertThat(more).isPositive();
    }

    @Test
    void whatTheJobIsNowIsAnOptionToo() {
        Tried now = explorer.present();
        assertThat(now.modules()).isEqualTo(NOW.whole().modules());
        assertThat(now.kwh()).isEqualTo(NOW.whole().year().kwh());
        assertThat(now.cost()).isPositive();
        assertThat(now.paybackYears()).isBetween(1.0, 50.0);
    }

    @Test
    void whatCannotBeBuiltSaysWhy() {
        // a roof that leaves no room between the set-backs
        Design narrow = Jobs.design("array.setback", "19.6 m");
        Tried tried = new Explorer(narrow, Jobs.SOLVER)
                .tried(new Explorer(narrow, Jobs.SOLVER)
                        .options(
                                List.of(NOW.job().array().tray()),
                                List.of(NOW.job().array().module()),
                                false)
                        .get(0));
        assertThat(tried.possible()).isFalse();
        assertThat(tried.reason()).isEqualTo("no module fits on the roof");
    }

    /** A frame that takes too few blocks is held by attachments where the job has them: they are counted and paid for. */
    @Test
    void whatAttachmentsHoldIsSaidAndPaidFor() {
        Object[] held = {
            "array.attachments",
            Map.of("tension", "900 lbf", "shear", "650 lbf", "mostBlocks", 1),
            "site.wind",
            "140 mph"
        };
        Design held140 = Jobs.design(held);
        Tried now = new Explorer(held140, Jobs.SOLVER).present();
        assertThat(now.attachments()).isEqualTo(held140.attached().needed()).isPositive();
        assertThat(now.open()).contains("Attachments");
        Object[] each = held.clone();
        each[1] = Map.of("tension", "9000 lbf", "shear", "6500 lbf", "mostBlocks", 1);
        Tried fewer = new Explorer(Jobs.design(each), Jobs.SOLVER).present();
        double price = Jobs.SOLVER.tables().prices().price("attachment");
        assertThat(now.cost() - fewer.cost())
                .isCloseTo((now.attachments() - fewer.attachments()) * price, within(1e-6));
    }
}
