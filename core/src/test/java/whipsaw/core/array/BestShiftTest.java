package whipsaw.core.array;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.Draws;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.ShiftEdits;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** The shift with most modules, against every shift of a fine grid. */
class BestShiftTest {
    private static final int ROUNDS = 8;

    private static Map<String, Object> at(double x, double y) {
        return Map.of("x", x + " m", "y", y + " m");
    }

    private static Design shifted(Design d, ShiftEdits edits) {
        var reading = JobReader.read(DocumentPatch.apply(d.job(), edits.changes()), false);
        return Jobs.SOLVER.solve(reading.job());
    }

    private static ShiftEdits edits(Design d) {
        return new ShiftEdits(d.job(), d.plan(), Jobs.SOLVER.tables());
    }

    @Test
    void noShiftOfAGridPlacesMoreAndItsOwnPlacesWhatItSays() {
        int[] proved = {0};
        Draws.each(ROUNDS, draw -> {
            double width = draw.between(9, 21);
            double depth = draw.between(7, 15);
            List<Object> things = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                things.add(Map.of(
                        "id",
                        "t" + i,
                        "kind",
                        "plant",
                        "name",
                        "Unit " + i,
                        "x",
                        draw.between(1, width - 2) + " m",
                        "y",
                        draw.between(1, depth * 0.7 - 1) + " m",
                        "width",
                        "0.9 m",
                        "depth",
                        "0.7 m",
                        "height",
                        "1 m",
                        "clear",
                        "0.2 m"));
            }
            Object[] job = {
                "roof.outline.corners",
                        List.of(at(0, 0), at(width, 0), at(width, depth), at(width / 2, depth), at(0, depth * 0.7)),
                "array.tray.shortestRow", draw.whole(1, 3),
                "roof.obstructions", things,
                "array.setback", "0.3 m",
                "array.facing", Map.of("azimuth", draw.between(165, 195) + " deg")
            };
            Design d = Jobs.design(job);
            ShiftEdits edits = edits(d);
            BestShift.Found found = edits.found();
            assertThat(shifted(d, edits).layout().modules()).hasSize(found.modules());
            assertThat(found.bound()).isGreaterThanOrEqualTo(found.modules());
            proved[0] += found.proved() ? 1 : 0;
            double across = d.layout().pitchM();
            double along = d.layout().alongM() + 0.02;
            for (double t = 0; t < across; t += across / 9) {
                for (double s = 0; s < along; s += along / 7) {
                    Object[] moved = java.util.Arrays.copyOf(job, job.length + 4);
                    moved[job.length] = "array.shiftAcross";
                    moved[job.length + 1] = t + " m";
                    moved[job.length + 2] = "array.shiftAlong";
                    moved[job.length + 3] = s + " m";
                    ArrayLayout layout = ArrayStage.of(Jobs.job(moved), d.plan(), Jobs.SOLVER.tables());
                    assertThat(layout.modules().size()).isLessThanOrEqualTo(found.modules());
                }
            }
        });
        assertThat(proved[0]).isGreaterThanOrEqualTo(ROUNDS * 3 / 4);
    }
}
