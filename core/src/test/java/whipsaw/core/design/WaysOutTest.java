package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static whipsaw.core.design.Jobs.design;
import static whipsaw.core.design.Jobs.pairedDesign;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** Ways out: each does what it says when it is made for real, and none is offered that does not help. */
class WaysOutTest {
    private static final Map<String, Object> TIGHT = Map.of("load", "0.47 kPa", "givenBy", "A", "date", "2026-01-31");
    private static final Map<String, Object> WALKWAY = Map.of("every", 5, "first", 3, "width", "1.2 m");

    private static final List<Map<String, String>> ROUND = List.of(
            Map.of("x", "1 m", "y", "1 m"),
            Map.of("x", "1 m", "y", "39 m"),
            Map.of("x", "59 m", "y", "39 m"),
            Map.of("x", "59 m", "y", "1 m"));

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
    }

    private static List<BlockType> blocks() {
        BlockType half = (BlockType) JobReader.readEntry(
                        "block",
                        Map.of(
                                "code",
                                "half",
                                "edition",
                                "1",
                                "maker",
                                "Testing",
                                "name",
                                "half block",
                                "source",
                                "tests",
                                "status",
                                "invented",
                                "mass",
                                "7 kg",
                                "length",
                                "200 mm",
                                "width",
                                "200 mm",
                                "height",
                                "100 mm"))
                .job();
        return List.of(half);
    }

    private static Design made(Design d, WaysOut.Way way) {
        var reading = JobReader.read(DocumentPatch.apply(d.job(), way.changes()), false);
        assertThat(reading.problems()).as(way.words()).isEmpty();
        assertThat(Jobs.SOLVER.problems(reading.job())).as(way.words()).isEmpty();
        return Jobs.SOLVER.solve(reading.job());
    }

    private static List<WaysOut.Way> ways(Design d, String id) {
        return WaysOut.of(d, check(d, id), blocks(), Jobs.SOLVER);
    }

    private static Design overloaded() {
        Design d = design("roof.allowance", TIGHT, "array.walkway", WALKWAY, "site.wind", "50 m/s");
        assertThat(check(d, "roof.bay").verdict()).isEqualTo(Verdict.FAILS);
        return d;
    }

    @Test
    void aFailingBayHasAtLeastThreeKindsOfWaysOut() {
        Set<String> kinds = new HashSet<>();
        for (WaysOut.Way way : ways(overloaded(), "roof.bay")) {
            if (way.clears()) {
                kinds.add(way.kind());
            }
        }
        assertThat(kinds).hasSizeGreaterThanOrEqualTo(3).contains("modules");
    }

    /** A search that is ended early says so, and what it found by then is right. */
    @Test
    void aSearchThatIsEndedSaysSo() {
        Design d = overloaded();
        Check bay = check(d, "roof.bay");
        WaysOut.Offer offer = new WaysOut.Offer(blocks(), List.of());
        AtomicInteger left = new AtomicInteger(12);
        WaysOut.Found few = WaysOut.of(d, bay, offer, Jobs.SOLVER, () -> left.getAndDecrement() <= 0);
        WaysOut.Found all = WaysOut.of(d, bay, offer, Jobs.SOLVER, () -> false);
        assertThat(few.cut()).isTrue();
        assertThat(all.cut()).isFalse();
        assertThat(few.ways()).hasSizeLessThan(all.ways().size());
        few.ways().forEach(way -> assertThat(check(made(d, way), "roof.bay")).isEqualTo(way.after()));
    }

    @Test
    void everyWayDoesWhatItSaysWhenItIsMade() {
        for (Design d : List.of(
                overloaded(),
                design("array.tray.mostBlocks", 5, "site.wind", "50 m/s"),
                pairedDesign("site.wind", "38 m/s", "array.tray.mostBlocks", 2))) {
            for (Check failing : d.checks()) {
                if (!failing.verdict().stops()) {
                    continue;
                }
                for (WaysOut.Way way : ways(d, failing.id())) {
                    Design after = made(d, way);
                    Check then = check(after, failing.id());
                    assertThat(then).as(way.words()).isEqualTo(way.after());
                    assertThat(d.layout().modules().size()
                                    - after.layout().modules().size())
                            .isEqualTo(way.modulesLost());
                    assertThat(DesignChange.between(d, after).words()).isEqualTo(way.effect());
                    boolean better = then == null
                            || then.verdict().compareTo(failing.verdict()) > 0
                            || then.utilisation() < failing.utilisation();
                    assertThat(better).as(failing.id() + ": " + way.words()).isTrue();
                }
            }
        }
    }

    @Test
    void aWayThatStopsSomethingElseSaysSoAndComesLater() {
        Design d = overloaded();
        List<WaysOut.Way> ways = ways(d, "roof.bay");
        boolean unclean = false;
        for (WaysOut.Way way : ways) {
            Design after = made(d, way);
            List<String> stopped = after.checks().stream()
                    .filter(c -> c.verdict().stops())
                    .filter(c -> check(d, c.id()) == null
                            || !check(d, c.id()).verdict().stops())
                    .map(Check::title)
                    .toList();
            assertThat(way.spoils()).isEqualTo(stopped);
            assertThat(unclean && way.clean()).as("clean ways come first").isFalse();
            unclean |= !way.clean();
        }
    }

    @Test
    void leavingOutTakesTheFewestOfItsOrder() {
        Design d = overloaded();
        WaysOut.Way way = ways(d, "roof.bay").stream()
                .filter(w -> w.kind().equals("modules"))
                .findFirst()
                .orElseThrow();
        List<?> places = (List<?>) way.changes().get(0).value();
        List<DocumentPatch.Change> oneLess =
                List.of(new DocumentPatch.Change("set", "$.array.removed", places.subList(0, places.size() - 1)));
        var reading = JobReader.read(DocumentPatch.apply(d.job(), oneLess), false);
        assertThat(check(Jobs.SOLVER.solve(reading.job()), "roof.bay").verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(made(d, way).layout().notKept()).isEmpty();
    }

    @Test
    void aRunThatIsTooMuchForOneFeederTakesMore() {
        Design d = design("electrical.run.points", ROUND, "electrical.run.dropLimitPct", 0.15);
        Check run = check(d, "run.size");
        assertThat(run.verdict()).isEqualTo(Verdict.FAILS);
        WaysOut.Way way = ways(d, "run.size").stream()
                .filter(w -> w.kind().equals("feeders"))
                .findFirst()
                .orElseThrow();
        Design after = made(d, way);
        int feeders = after.job().electrical().run().feeders();
        assertThat(feeders).isGreaterThan(1);
        assertThat(after.run().sizing().feasible()).isTrue();
        Design fewer = design(
                "electrical.run.points",
                ROUND,
                "electrical.run.dropLimitPct",
                0.15,
                "electrical.run.feeders",
                feeders - 1);
        assertThat(fewer.run().sizing().feasible()).isFalse();
    }

    @Test
    void feedersShareTheInvertersEvenly() {
        Design one = design();
        int inverters = one.circuits().inverters();
        for (int feeders = 1; feeders <= inverters + 2; feeders++) {
            Design d = design("electrical.run.feeders", feeders);
            int fullest = (inverters + feeders - 1) / feeders;
            assertThat(d.run().inverters()).isEqualTo(fullest);
            assertThat(d.run().current().currentA())
                    .isCloseTo(
                            one.run().current().currentA() * fullest / inverters,
                            org.assertj.core.api.Assertions.within(1e-9));
        }
    }

    @Test
    void thePlacesOfChecksAreThingsOnTheRoof() {
        Design d = overloaded();
        Check bay = check(d, "roof.bay");
        assertThat(bay.place().kind()).isEqualTo(Place.Kind.BAYS);
        bay.place().items().forEach(i -> assertThat(
                        d.loads().bays().get(i).load().loadPa())
                .isGreaterThan(470 - 1e-6));
        Design full = design("array.tray.mostBlocks", 2);
        Check position = check(full, "ballast.position");
        assertThat(position.place().items()).hasSize(full.holdDown().lacking().size());
        assertThat(position.place().kind()).isEqualTo(Place.Kind.POSITIONS);
        Design near = design("array.setback", "0.3 m");
        assertThat(check(near, "wind.edge-clear").place().items())
                .hasSameSizeAs(near.holdDown().tooNearEdge());
    }

    @Test
    void aSetBackClearsTheRoofEdge() {
        Design d = design("array.setback", "0.3 m");
        WaysOut.Way way = ways(d, "wind.edge-clear").stream()
                .filter(w -> w.kind().equals("setback"))
                .findFirst()
                .orElseThrow();
        assertThat(way.after()).isNull();
        assertThat(made(d, way).holdDown().tooNearEdge()).isEmpty();
    }
}
