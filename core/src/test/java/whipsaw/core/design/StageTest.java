package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobDocument;
import whipsaw.core.schema.Located;
import whipsaw.core.schema.Shape;
import whipsaw.core.units.Measure;

/** A stage is done only when no check stops it and nothing it rests on is missing or assumed. */
class StageTest {
    private static Stage.Mark mark(Design design, Stage stage) {
        return Stage.marks(design).stream()
                .filter(m -> m.stage() == stage)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anAssumedHeightLeavesTheRoofOpen() {
        Stage.Mark sure = mark(Jobs.design(), Stage.ROOF);
        Stage.Mark assumed = mark(Jobs.design("roof.height", "~31 ft"), Stage.ROOF);
        assertThat(assumed.assumed()).isEqualTo(sure.assumed() + 1);
        assertThat(assumed.state()).isEqualTo("open");
        assertThat(assumed.words()).contains("1 answer assumed");
    }

    @Test
    void aStageIsStoppedByItsOwnChecksOnly() {
        Design design = Jobs.design("site.wind", null);
        for (Stage.Mark m : Stage.marks(design)) {
            boolean stops = design.checks().stream().anyMatch(c -> c.verdict().stops() && Stage.of(c) == m.stage());
            assertThat(m.state().equals("stopped")).as(m.words()).isEqualTo(stops);
        }
        assertThat(mark(design, Stage.LOADS).state()).isEqualTo("stopped");
    }

    /** Whatever is typed as an assumption is found, wherever it stands in the job. */
    @Test
    void everyAssumptionIsFound() {
        Job job = Jobs.design(
                        "site.snowFetch",
                        "~20 m",
                        "roof.parapets",
                        List.of(java.util.Map.of("edge", 1, "height", "~1 m", "thickness", "0.2 m")),
                        "array.walkway",
                        java.util.Map.of("every", 4, "first", 2, "width", "~1 m"))
                .job();
        assertThat(Located.all(Shape.of(JobDocument.class), job.document()).stream()
                        .filter(l -> l.value() instanceof Measure m && m.assumed())
                        .map(Located::name))
                .contains("Snow fetch, engineer's", "Edge 1: Parapet height", "Walkway: Width");
    }
}
