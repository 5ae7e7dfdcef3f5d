package whipsaw.core.explore;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.ModuleEdits;
import whipsaw.core.design.WorthlessModules;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** What the last modules add: less where the grid takes no more, and the same as the array built with fewer. */
class LastModulesTest {
    private static List<LastModules.Step> steps(Object... set) {
        return new LastModules(Jobs.design(set), Jobs.SOLVER).steps();
    }

    @Test
    void whatEachStepAddsSumsUpToTheDifferenceOfTheJobs() {
        List<LastModules.Step> steps = steps();
        assertThat(steps).hasSizeGreaterThan(5);
        double sum = 0;
        for (int i = 0; i + 1 < steps.size(); i++) {
            LastModules.Step s = steps.get(i);
            assertThat(s.kept()).isGreaterThan(steps.get(i + 1).kept());
            assertThat(s.addedKwh()).isPositive();
            sum += s.addedKwh() * (s.kept() - steps.get(i + 1).kept());
        }
        LastModules.Step least = steps.get(steps.size() - 1);
        assertThat(least.addedKwh()).isNaN();
        assertThat(sum).isCloseTo(steps.get(0).usedOrSoldKwh() - least.usedOrSoldKwh(), within(1e-6));
        // a step is the array built with so many modules
        Design d = Jobs.design();
        var out = new WorthlessModules(d).beyond(steps.get(3).dcW());
        var reading = JobReader.read(DocumentPatch.apply(d.job(), new ModuleEdits(d).leaveOutModules(out)), false);
        Design built = Jobs.SOLVER.solve(reading.job());
        assertThat(built.layout().modules()).hasSize(steps.get(3).kept());
        assertThat(built.whole().year().kwh()).isCloseTo(steps.get(3).job().kwh(), within(1e-6));
    }

    @Test
    void whereTheGridTakesLittleTheLastModulesAddLittle() {
        double kw = Jobs.design().whole().year().kwp();
        Object[] limited = {
            "survey.answers",
            Map.of("exportLimit", Map.of("value", Math.round(kw * 0.2) + " kW", "how", "told", "by", "grid operator")),
            "survey.occupants",
            List.of(Map.of("id", "o", "name", "Works", "kw", Collections.nCopies(24, kw * 0.05)))
        };
        List<LastModules.Step> open = steps();
        List<LastModules.Step> capped = steps(limited);
        assertThat(capped.get(0).job().givenUpKwh()).isPositive();
        assertThat(capped.get(0).addedKwh()).isLessThan(0.5 * open.get(0).addedKwh());
        // fewer modules: each of them adds more
        assertThat(capped.get(capped.size() - 2).addedKwh())
                .isGreaterThan(capped.get(0).addedKwh());
        double wanted =
                (capped.get(0).addedKwh() + capped.get(capped.size() - 2).addedKwh()) / 2;
        LastModules.Step stop = LastModules.worthWhile(capped, wanted);
        assertThat(stop.kept()).isLessThan(capped.get(0).kept());
        assertThat(stop.addedKwh()).isGreaterThanOrEqualTo(wanted);
        assertThat(LastModules.worthWhile(capped, 0)).isEqualTo(capped.get(0));
        assertThat(LastModules.worthWhile(capped, 1e9)).isEqualTo(capped.get(capped.size() - 1));
    }
}
