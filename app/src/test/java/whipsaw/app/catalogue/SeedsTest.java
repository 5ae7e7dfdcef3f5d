package whipsaw.app.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import whipsaw.app.print.DesignDocument;
import whipsaw.app.store.Json;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Solver;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;
import whipsaw.core.table.CodeTables;

class SeedsTest {

    @Test
    void whatShipsIsMarkedInventedAndCanBeSolved() {
        assertThat(Seeds.entries()).hasSizeGreaterThan(5).allSatisfy(e -> assertThat(
                        e.body().get("status"))
                .isIn(
                        Set.of("conductor", "member").contains(e.kind())
                                ? List.of("unconfirmed", "invented")
                                : List.of("invented")));
        Solver solver = new Solver(CodeTables.shipped());
        for (Map<String, Object> document :
                java.util.List.of(Seeds.demoJob(), Seeds.newJob("asce"), Seeds.newJob("en"))) {
            var reading = JobReader.read(document, false);
            assertThat(reading.problems()).isEmpty();
            assertThat(solver.problems(reading.job())).isEmpty();
            assertThat(solver.solve(reading.job()).layout().modules()).isNotEmpty();
        }
    }

    @Test
    void theDemoIsAHallOfTheSizeItSays() {
        var design = new Solver(CodeTables.shipped())
                .solve(JobReader.read(Seeds.demoJob(), false).job());
        assertThat(design.layout().modules().size()).isBetween(420, 480);
        assertThat(design.job().roof().obstructions()).hasSizeGreaterThanOrEqualTo(6);
        assertThat(design.plan().edges().stream().filter(e -> e.parapetHeightM() > 0))
                .hasSize(2);
        // one bay fails, so that there is something to find a way out of
        assertThat(design.checks().stream().filter(c -> c.verdict() == Verdict.FAILS))
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.id()).isEqualTo("roof.members-joists-d2");
                    assertThat(c.place().items()).hasSize(1);
                });
    }

    @Test
    void aTypedWeightOrSizeOutsideItsRangeIsRefused() {
        Map<String, Object> body = new LinkedHashMap<>(Seeds.entries().get(0).body());
        body.put("mass", "278 kg");
        body.put("vocCoefficient", "0.26 %/C");
        body.put("colour", "black");
        assertThat(JobReader.readEntry("module", body).problems())
                .extracting(Problem::path)
                .containsExactly("$.mass", "$.vocCoefficient", "$.colour");
    }

    @Test
    void theSchoolIsAboutSixtyInPairsAndTheColdStoreSixThousand() {
        Solver solver = new Solver(CodeTables.shipped());
        var school = solver.solve(JobReader.read(Seeds.demoJobs().get(1), false).job());
        assertThat(school.layout().modules().size()).isBetween(50, 70);
        assertThat(school.layout().pairs()).isNotNull();
        assertThat(school.holdDown().established()).isTrue();
        assertThat(school.job().site().code().family()).isEqualTo("en");
        var store = solver.solve(JobReader.read(Seeds.demoJobs().get(2), false).job());
        assertThat(store.layout().modules().size()).isBetween(5_800, 6_200);
        assertThat(store.circuits().inverters()).isGreaterThan(10);
        assertThat(store.plan().edges()).hasSize(6);
        // its heaviest part weighs more than the allowance, which its average hides
        assertThat(store.checks().stream().filter(c -> c.verdict() == Verdict.FAILS))
                .singleElement()
                .satisfies(c -> assertThat(c.id()).isEqualTo("roof.window"));
        assertThat(store.loads().footprint().ok()).isTrue();
    }

    /** A design that takes what still holds of the one before is the design that is solved anew. */
    @Test
    void aSolveFromTheDesignBeforeIsTheSolve() {
        Solver solver = new Solver(CodeTables.shipped());
        for (int job : new int[] {0, 1, 3}) {
            Map<String, Object> document = Seeds.demoJobs().get(job);
            var before = solver.solve(JobReader.read(document, false).job());
            for (List<Object> change : List.<List<Object>>of(
                    List.of("$.project.preparedBy", "Somebody"),
                    List.of("$.project.units", "metric"),
                    List.of("$.roof.height", "9 m"),
                    List.of("$.site.elevation", "400 m"),
                    List.of("$.array.shiftAlong", "0.4 m"),
                    List.of("$.electrical.dcAcMost", 1.2),
                    List.of("$.electrical.run.slackPct", 14),
                    List.of("$.electrical.run.points[1].x", "5 m"),
                    List.of("$.survey.unseen", true),
                    List.of("$.survey.answers.coverBearing", Map.of("value", "0.05 MPa")))) {
                Map<String, Object> changed = DocumentPatch.apply(
                        before.job(), List.of(new DocumentPatch.Change("set", (String) change.get(0), change.get(1))));
                var reading = JobReader.read(changed, false);
                assertThat(reading.problems()).as(change.toString()).isEmpty();
                var fromBefore = solver.solve(reading.job(), before);
                assertThat(Json.write(DesignDocument.of(fromBefore, solver.tables())))
                        .as(before.job().project().name() + " " + change)
                        .isEqualTo(Json.write(DesignDocument.of(solver.solve(reading.job()), solver.tables())));
            }
        }
    }
}
