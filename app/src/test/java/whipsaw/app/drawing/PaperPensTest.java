package whipsaw.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import whipsaw.app.catalogue.Seeds;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.job.JobReader;
import whipsaw.core.section.CutLine;
import whipsaw.core.table.CodeTables;

/** Pens and letters are the same on paper at every scale; sections say what they show. */
class PaperPensTest {
    private static final Solver SOLVER = new Solver(CodeTables.shipped());

    private static double outlineMm(PaperScale scale) {
        Matcher m = Pattern.compile("\\.outline\\{[^}]*stroke-width:([0-9.]+)").matcher(PaperPens.at(scale));
        assertThat(m.find()).isTrue();
        // centimetres of the roof to millimetres of paper
        return Double.parseDouble(m.group(1)) * 10 / scale.oneTo();
    }

    @Test
    void aLineIsAsWideOnPaperAtEveryScale() {
        double wanted = outlineMm(new PaperScale(350, 100, 100, false));
        for (int scale : List.of(50, 100, 500, 1000, 5000)) {
            assertThat(outlineMm(new PaperScale(scale, 100, 100, false))).isCloseTo(wanted, within(0.002));
        }
        assertThat(PaperPens.at(new PaperScale(700, 1, 1, false))).contains("stroke-dasharray:180 40 30 40");
    }

    @Test
    void lettersOnPaperAreNeitherSmallerNorLargerThanCanBeRead() {
        for (var document : Seeds.demoJobs()) {
            Design d = SOLVER.solve(JobReader.read(document, false).job());
            for (PaperSize paper : PaperSize.values()) {
                PaperScale scale = PaperScale.of(d, paper);
                double mm = PlanDrawing.paperTextM(d, scale.oneTo()) * 1000 / scale.oneTo();
                assertThat(mm).isBetween(1.6, 2.8);
            }
        }
    }

    @Test
    void aSectionOfPairsShowsBothFacesAndNamesTheSide() {
        Design school =
                SOLVER.solve(JobReader.read(Seeds.demoJobs().get(1), false).job());
        CutLine cut = CutLines.standard(school);
        String morning = SectionDrawing.sunWords(
                school, cut, SolarTime.of(school.job().site().latitude().si(), 0, 172, 7));
        String evening = SectionDrawing.sunWords(
                school, cut, SolarTime.of(school.job().site().latitude().si(), 0, 172, 17));
        assertThat(morning).contains("21 Jun, 7:00 solar").contains("from ");
        assertThat(evening.substring(evening.indexOf("from ")).charAt(5))
                .isNotEqualTo(morning.substring(morning.indexOf("from ")).charAt(5));
        String night = SectionDrawing.sunWords(
                school, cut, SolarTime.of(school.job().site().latitude().si(), 0, 355, 2));
        assertThat(night).contains("the sun is down");
        // along the rows the cut shows one row, end to end
        CutLine along = new CutLine(
                school.layout().corners(school.layout().modules().get(0))[0],
                school.layout().corners(school.layout().modules().get(3))[2]);
        String svg = SectionDrawing.of(school, along, PlanDrawing.standardSun(school));
        assertThat(svg).contains("class=\"tooth\"").doesNotContain("pair to pair");
    }
}
