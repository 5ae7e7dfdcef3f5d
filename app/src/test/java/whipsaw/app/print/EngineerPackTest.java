package whipsaw.app.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import whipsaw.app.TestServer;
import whipsaw.app.catalogue.EntryColumns;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.table.CodeTables;

/** What the engineer gets: questions for what is open, members by bay, a schedule of strengthening; and how members are drawn. */
class EngineerPackTest {
    private static final Solver SOLVER = new Solver(CodeTables.shipped());

    private static Design demo(Change... changes) {
        return SOLVER.solve(demoJob(changes));
    }

    private static Job demoJob(Change... changes) {
        return JobReader.read(
                        DocumentPatch.apply(
                                JobReader.read(Seeds.demoJob(), false).job(), List.of(changes)),
                        false)
                .job();
    }

    private static Change work(String kind) {
        return new Change(
                "append",
                "$.roof.structure.works",
                Map.of("id", "w", "members", "joists-d2", "kind", kind, "bays", "D2"));
    }

    @Test
    void everyBayHasItsMostUsedMember() {
        Design d = demo();
        EngineerPack pack = EngineerPack.of(d);
        // five columns of four bays
        assertThat(pack.members()).hasSize(20);
        for (EngineerPack.Member line : pack.members()) {
            double most = d.members().sets().stream()
                    .flatMap(s -> s.members().stream())
                    .filter(m -> m.line().number().startsWith(line.bay() + "-"))
                    .mapToDouble(m -> m.after().utilisation())
                    .max()
                    .orElseThrow();
            assertThat(Double.parseDouble(line.after().replaceAll("[^0-9.].*", "")))
                    .isCloseTo(most, within(0.0051));
        }
        assertThat(pack.members().stream().filter(m -> m.after().contains("too much")))
                .singleElement()
                .satisfies(m -> assertThat(m.bay()).isEqualTo("D2"));
        assertThat(pack.works()).isEmpty();
    }

    @Test
    void whatIsNotKnownIsAsked() {
        Design blind = demo(
                new Change("remove", "$.site.sds", null),
                new Change("remove", "$.roof.structure", null),
                new Change("remove", "$.roof.allowance", null));
        assertThat(EngineerPack.of(blind).questions())
                .anySatisfy(q -> assertThat(q).startsWith("Room to slide in an earthquake: missing: S_DS"))
                .anySatisfy(q -> assertThat(q).startsWith("Added roof load"))
                .anySatisfy(q -> assertThat(q).startsWith("What carries the roof is not known"));
        Design chosen = demo(
                new Change("set", "$.roof.structure.smallIncrease", true),
                new Change("set", "$.roof.structure.liveUnderArray", false));
        assertThat(EngineerPack.of(chosen).questions())
                .anySatisfy(q -> assertThat(q).contains("rule of small increases"))
                .anySatisfy(q -> assertThat(q).contains("No roof live load is taken where modules lie"));
        double parts = JobSheet.loads(chosen, chosen.job().project().units()).stream()
                .filter(f -> f.value().endsWith(" %"))
                .mapToDouble(f -> Double.parseDouble(f.value().replaceAll(".*, (\\d+) %", "$1")))
                .sum();
        assertThat(parts).isCloseTo(100, within(2.0));
    }

    @Test
    void strengtheningIsAScheduleWithItsQuantities() {
        Design d = demo(work("double"));
        int joists = (int) d.members().sets().stream()
                .filter(s -> s.set().id().equals("joists-d2"))
                .flatMap(s -> s.members().stream())
                .count();
        assertThat(EngineerPack.of(d).works()).singleElement().satisfies(w -> {
            assertThat(w.bays()).isEqualTo("D2");
            assertThat(w.quantity()).startsWith(joists + " members, " + joists * 65 / 2);
            assertThat(w.signed()).isEmpty();
        });
        assertThat(EngineerPack.of(demo(work("support"))).works().get(0).quantity())
                .isEqualTo(joists + " supports");
        Design between = demo(work("between"));
        long added = between.members().sets().stream()
                .flatMap(s -> s.members().stream())
                .filter(m -> m.line().added())
                .count();
        assertThat(EngineerPack.of(between).works().get(0).quantity()).startsWith(added + " members");
    }

    /** Every member is a line of one of the three pens, and each that carries too much says how much. */
    @Test
    void membersAreDrawnByHowMuchOfThemIsUsed() {
        Design d = demo();
        String svg = PlanDrawing.forScreen(d, List.of());
        Map<String, Integer> lines = new HashMap<>();
        Matcher m = Pattern.compile("class=\"member (\\w+)\" d=\"([^\"]*)\"").matcher(svg);
        while (m.find()) {
            lines.put(m.group(1), m.group(2).split("M").length - 1);
        }
        List<RoofMembers.Member> all =
                d.members().sets().stream().flatMap(s -> s.members().stream()).toList();
        assertThat(lines.get("over"))
                .isEqualTo((int) all.stream().filter(x -> !x.ok()).count());
        assertThat(lines.values().stream().mapToInt(Integer::intValue).sum()).isEqualTo(all.size());
        assertThat(svg.split("class=\"memberfigure\"", -1).length - 1).isEqualTo(lines.get("over"));
        assertThat(PlanDrawing.forScreen(demo(new Change("remove", "$.roof.structure", null)), List.of()))
                .doesNotContain("layer-members");
    }

    /** A section goes through the columns of a CSV and back without losing anything. */
    @Test
    void sectionsAreTypedAndReadBack() {
        for (var entry : Seeds.entries()) {
            if (!entry.kind().equals("member")) {
                continue;
            }
            Map<String, String> cells = new HashMap<>();
            EntryColumns.of("member")
                    .forEach(c ->
                            cells.put(c.key(), EntryColumns.cell(entry.body().get(c.key()))));
            Map<String, Object> body = EntryColumns.body("member", cells);
            var typed = JobReader.readEntry("member", body);
            assertThat(typed.problems()).as(entry.code()).isEmpty();
            assertThat(typed.job())
                    .isEqualTo(JobReader.readEntry("member", entry.body()).job());
        }
        assertThat(JobReader.readEntry(
                                "member", EntryColumns.body("member", Map.of("shape", "table", "table", "30 ft")))
                        .problems())
                .anySatisfy(p -> assertThat(p.path()).startsWith("$.table"));
    }

    @Test
    void everyReaderGetsThePartsThatDecideForThemAndTheSignatoryStandsOnAll() {
        try (TestServer server = new TestServer()) {
            String slug = server.bean(JobService.class)
                    .create(demoJob(new Change("set", "$.project.signatory", "O. Tallis PE (invented)")));
            Map<PackReader, String> pages = new EnumMap<>(PackReader.class);
            for (PackReader r : PackReader.values()) {
                var answer = server.get("/jobs/" + slug + "/sheet?sheet=engineer&for=" + r.key());
                assertThat(answer.statusCode()).isEqualTo(200);
                pages.put(r, answer.body());
                assertThat(answer.body()).contains("O. Tallis PE (invented)", "Checks, the worst first");
                assertThat(answer.body().contains("<h2>Workings</h2>")).isEqualTo(r.workings());
                assertThat(answer.body().contains("the most used of each bay")).isEqualTo(r.members());
                assertThat(answer.body().contains("<h2>Assumptions</h2>")).isEqualTo(r.data());
            }
            assertThat(pages.get(PackReader.OWNER)).contains("What is open").doesNotContain("What is asked");
            var wrong = server.get("/jobs/" + slug + "/sheet?sheet=engineer&for=bank");
            assertThat(wrong.statusCode()).isEqualTo(422);
            assertThat(wrong.body()).contains("engineer, permit, insurer, owner, lender");
        }
    }
}
