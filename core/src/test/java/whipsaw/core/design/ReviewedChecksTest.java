package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.JobReader;
import whipsaw.core.structure.LoadWindow;

/** Jobs that once passed and should not. */
class ReviewedChecksTest {
    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
    }

    /** No window of the size of the table, wherever it is put, carries more than the one that is judged. */
    @Test
    void theHeaviestWindowIsTheHeaviest() {
        Design d = Jobs.design("site.wind", "140 mph", "array.tray.shared", null, "array.tray.sharedReport", null);
        LoadWindow worst = d.loads().window();
        assertThat(worst.load().loadPa()).isGreaterThan(d.loads().footprint().loadPa());
        ArrayLayout layout = d.layout();
        double[] kg = new double[layout.modules().size()];
        double own = d.job().array().module().mass().si()
                + d.job().array().tray().rackingMass().si();
        java.util.Arrays.fill(kg, own);
        d.holdDown().positions().forEach(p -> {
            double parts = p.shares().stream().mapToDouble(s -> s.part()).sum();
            p.shares().forEach(s -> kg[s.module()] += p.ballast().placedKg() * s.part() / parts);
        });
        double most = 0;
        for (double s = -40; s < 70; s += 0.83) {
            for (double t = -40; t < 70; t += 0.77) {
                most = Math.max(most, inside(layout, kg, s, t, worst));
            }
        }
        double judged = inside(layout, kg, worst.s(), worst.t(), worst);
        assertThat(judged).isCloseTo(worst.load().massKg(), within(1e-6 * judged));
        assertThat(most).isLessThanOrEqualTo(judged * (1 + 1e-9)).isGreaterThan(judged * 0.95);
        assertThat(new Figures(d, Jobs.SOLVER.tables()).working("roof.window").answer())
                .isNotBlank();
    }

    private static double inside(ArrayLayout layout, double[] kg, double s, double t, LoadWindow w) {
        double sum = 0;
        for (ArrayLayout.Module m : layout.modules()) {
            double ds = Math.min(s + w.alongM(), m.s() + layout.alongM()) - Math.max(s, m.s());
            double dt = Math.min(t + w.acrossM(), m.t() + layout.depthM()) - Math.max(t, m.t());
            sum += ds > 0 && dt > 0 ? kg[m.index()] * ds * dt / (layout.alongM() * layout.depthM()) : 0;
        }
        return sum;
    }

    /** An allowance between the average and the heaviest part does not pass. */
    @Test
    void theAverageOverTheArrayDoesNotPassItsHeaviestPart() {
        Object[] windy = {"site.wind", "140 mph", "array.tray.shared", null, "array.tray.sharedReport", null};
        Design d = Jobs.design(windy);
        double between =
                (d.loads().window().load().loadPa() + d.loads().footprint().loadPa()) / 2;
        Object[] all = java.util.Arrays.copyOf(windy, 8);
        all[6] = "roof.allowance";
        all[7] = Map.of("load", between + " Pa", "givenBy", "A", "date", "2026-01-31");
        assertThat(check(Jobs.design(all), "roof.window").verdict()).isEqualTo(Verdict.FAILS);
    }

    @ParameterizedTest
    @CsvSource({"building,1500 V,FAILS", "building,1000 V,PASSES", "dwelling,1000 V,FAILS", "ground,1500 V,PASSES"})
    void dcVoltageIsLimitedByWhereTheArrayIs(String place, String limit, Verdict verdict) {
        Design d = Jobs.design("electrical.place", place, "electrical.systemLimit", limit);
        assertThat(check(d, "strings.place").verdict()).isEqualTo(verdict);
        if (verdict == Verdict.FAILS) {
            assertThat(WaysOut.of(d, check(d, "strings.place"), List.of(), Jobs.SOLVER))
                    .anySatisfy(w -> assertThat(w.kind()).isEqualTo("system limit"));
        }
    }

    @Test
    void weightOnALightBuildingIsForItsEngineer() {
        Design unknown = Jobs.design();
        assertThat(check(unknown, "existing.lateral").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        Map<String, Object> light = new LinkedHashMap<>(Map.of("dead", "0.3 kPa"));
        Design d = Jobs.design("roof.structure", light, "roof.allowance", null);
        double added = d.loads().totalKg() * 9.80665 / (300 * d.plan().areaM2());
        assertThat(d.existing().lateral()).isCloseTo(1 + added, within(1e-9));
        assertThat(check(d, "existing.lateral").verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        assertThat(check(d, "existing.gravity").verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        Design heavy = Jobs.design("roof.structure", Map.of("dead", "6 kPa"));
        assertThat(check(heavy, "existing.lateral").verdict()).isEqualTo(Verdict.PASSES);
        assertThat(check(Jobs.pairedDesign("roof.structure", light), "existing.lateral"))
                .isNull();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "array.module.vmp|60 V|open-circuit",
                "array.module.imp|15 A|short-circuit",
                "array.module.power|1000 W|voltage times current",
                "array.module.vocCoefficient|0 %/C|falls in heat"
            })
    void inputsThatCannotBeAreRefusedAndSaidOfOlderJobs(String path, String value, String words) {
        var reading = JobReader.read(Jobs.with(Jobs.document(), path, value), false);
        assertThat(reading.problems()).isEmpty();
        assertThat(Jobs.SOLVER.problems(reading.job())).anySatisfy(p -> {
            assertThat(p.path()).isEqualTo("$." + path);
            assertThat(p.words()).contains(words);
        });
        assertThat(check(Jobs.SOLVER.solve(reading.job()), "inputs.contradict").verdict())
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void aRecordLowAboveTheDesignHighIsRefused() {
        var document = Jobs.with(Jobs.with(Jobs.document(), "site.recordLow", "20 C"), "site.designHigh", "15 C");
        var reading = JobReader.read(document, false);
        assertThat(Jobs.SOLVER.problems(reading.job())).singleElement().satisfies(p -> assertThat(p.path())
                .isEqualTo("$.site.recordLow"));
    }

    /** Every check that stops a job says what a person does about it. */
    @Test
    void everyCheckThatStopsSaysWhatToDo() {
        for (Design d : List.of(
                Jobs.design("roof.allowance", null),
                Jobs.design("site.wind", "180 mph", "array.tray.mostBlocks", 2),
                Jobs.pairedDesign("site.wind", null))) {
            assertThat(d.checks())
                    .filteredOn(c -> c.verdict().stops())
                    .allSatisfy(c -> assertThat(c.remark()).as(c.id()).isNotBlank());
        }
    }
}
