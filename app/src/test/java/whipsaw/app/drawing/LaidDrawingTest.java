package whipsaw.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import whipsaw.app.catalogue.Seeds;
import whipsaw.core.build.AsLaid;
import whipsaw.core.build.BallastMap;
import whipsaw.core.design.Design;
import whipsaw.core.design.SignedDesign;
import whipsaw.core.design.Solver;
import whipsaw.core.job.JobReader;
import whipsaw.core.table.CodeTables;

/** Every position of a roof is drawn once, by how it stands to the signed map. */
class LaidDrawingTest {
    private static int marks(String svg, String state) {
        Matcher path =
                Pattern.compile("class=\"laid-" + state + "\" d=\"([^\"]*)\"").matcher(svg);
        return path.find() ? path.group(1).split("M", -1).length - 1 : 0;
    }

    @Test
    void everyPositionIsDrawnByHowItStands() {
        Design design = new Solver(CodeTables.shipped())
                .solve(JobReader.read(Seeds.demoJobs().get(1), false).job());
        BallastMap map = SignedDesign.map(design);
        BallastMap.MapArray a = map.arrays().get(0);
        int[] wanted = new int[4];
        List<AsLaid.Tick> ticks = new ArrayList<>();
        for (int i = 0; i < a.places().size(); i++) {
            BallastMap.Place p = a.places().get(i);
            wanted[i % 4]++;
            if (i % 4 > 0) {
                ticks.add(new AsLaid.Tick(a.id(), p.xM(), p.yM(), p.blocks() + i % 4 - 2));
            }
        }
        String svg = LaidDrawing.of(design.roof(), map, new AsLaid(map, ticks));
        assertThat(marks(svg, "open")).isEqualTo(wanted[0]);
        assertThat(marks(svg, "missing")).isEqualTo(wanted[1]);
        assertThat(marks(svg, "as_map")).isEqualTo(wanted[2]);
        assertThat(marks(svg, "surplus")).isEqualTo(wanted[3]);
        assertThat(wanted[3]).isPositive();
    }
}
