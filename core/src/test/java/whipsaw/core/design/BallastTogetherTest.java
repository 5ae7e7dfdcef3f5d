package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.holddown.ConnectedBallast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.JobReader;

/** Blocks over connected positions on a whole roof. */
class BallastTogetherTest {
    private static final Object[] TOGETHER = {"array.ballastBy", "together"};

    @Test
    void everyGroupWeighsWhatTheWindAsksAndFewerBlocksAreLaid() {
        Design alone = Jobs.design();
        Design design = Jobs.design(TOGETHER);
        List<HoldDown.Position> positions = design.holdDown().positions();
        ConnectedBallast connected = design.holdDown().connected();
        assertThat(design.holdDown().blocks()).isLessThan(alone.holdDown().blocks());
        assertThat(connected.aloneBlocks()).isEqualTo(alone.holdDown().blocks());
        for (ConnectedBallast.Row row : connected.rows()) {
            assertThat(row.within()).isGreaterThan(0);
            for (int first = row.first(); first + row.within() - 1 <= row.last(); first++) {
                double needed = 0;
                double weighs = 0;
                for (HoldDown.Position p : positions.subList(first, first + row.within())) {
                    needed += Math.max(p.ballast().upliftKg(), p.ballast().slidingKg());
                    weighs += p.ballast().demand().ownMassKg() + p.ballast().placedKg();
                    assertThat(p.ballast().aloneBlocks() - p.ballast().blocksPlaced())
                            .isLessThanOrEqualTo(1);
                }
                assertThat(weighs).isGreaterThanOrEqualTo(needed * (1 - 1e-9));
            }
        }
        Check check = design.check("ballast.connected");
        assertThat(check.verdict()).isIn(Verdict.CLOSE, Verdict.PASSES);
        assertThat(design.loads().ballastKg()).isLessThan(alone.loads().ballastKg());
    }

    @Test
    void withoutAReportItNeedsAnEngineerAndWithoutSharingItIsRefused() {
        assertThat(Jobs.design("array.ballastBy", "together", "array.tray.sharedReport", "")
                        .check("ballast.connected")
                        .verdict())
                .isEqualTo(Verdict.NEEDS_ENGINEER);
        var document = Jobs.with(Jobs.with(Jobs.document(), "array.ballastBy", "together"), "array.tray.shared", null);
        assertThat(Jobs.SOLVER.problems(JobReader.read(document, false).job()))
                .anyMatch(p -> p.path().endsWith("ballastBy") && p.message().contains("share load"));
    }
}
