package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.check.Verdict;
import whipsaw.core.holddown.ConnectedBallast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;
import whipsaw.core.structure.LoadWindow;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.units.Limits;

/** Attachments at chosen positions: there and nowhere else, no stronger than their maker says, told when a place is lost. */
class AttachedPlacesTest {
    private static Map<String, Object> attachments(List<Map<String, Object>> at) {
        Map<String, Object> all = new LinkedHashMap<>(Map.of(
                "tension", "3 kN", "shear", "2 kN", "mostBlocks", 0, "kind", "screwed", "part", Jobs.attachment()));
        all.put("at", at);
        return all;
    }

    private static Map<String, Object> place(Design d, HoldDown.Position p, double off) {
        Coordinate c = d.layout().frame().plan(p.s() + off, p.t());
        return Map.of("x", c.x + " m", "y", c.y + " m");
    }

    private static List<Integer> attached(Design d) {
        return d.holdDown().positions().stream()
                .filter(p -> p.ballast().attached())
                .map(HoldDown.Position::index)
                .toList();
    }

    @Test
    void onlyTheChosenPositionsAreAttachedAndStayBesideASmallMove() {
        Design plain = Jobs.design();
        List<HoldDown.Position> heavy = plain.holdDown().positions().stream()
                .filter(p -> p.ballast().blocksNeeded() > 0)
                .toList();
        List<HoldDown.Position> chosen =
                List.of(heavy.get(0), heavy.get(heavy.size() / 2), heavy.get(heavy.size() - 1));
        List<Integer> wanted = chosen.stream().map(HoldDown.Position::index).toList();
        for (double off : new double[] {0, 0.2, -0.2}) {
            List<Map<String, Object>> at = new ArrayList<>();
            chosen.forEach(p -> at.add(place(plain, p, off)));
            Design d = Jobs.design("array.attachments", attachments(at));
            assertThat(attached(d)).isEqualTo(wanted);
            assertThat(d.check("array.attached-places")).isNull();
            for (HoldDown.Position p : d.holdDown().positions()) {
                int own = plain.holdDown().positions().get(p.index()).ballast().blocksPlaced();
                assertThat(p.ballast().blocksPlaced()).isEqualTo(wanted.contains(p.index()) ? 0 : own);
            }
        }
    }

    @Test
    void aSplitLeavesEachPlaceToTheArrayOnItsSide() {
        Design plain = Jobs.design();
        HoldDown.Position right = plain.holdDown().positions().stream()
                .filter(p ->
                        p.ballast().blocksNeeded() > 0 && plain.layout().frame().plan(p.s(), p.t()).x > 40)
                .findFirst()
                .orElseThrow();
        Design d = Jobs.design("array.attachments", attachments(List.of(place(plain, right, 0))));
        var changes = new PlaceEdits(d).split(new Coordinate(25, -1), new Coordinate(25, 41));
        Job job = JobReader.read(DocumentPatch.apply(d.job(), changes), false).job();
        assertThat(job.at("A").array().attachments().at()).hasSize(1);
        assertThat(job.at("B").array().attachments()).isNull();
    }

    /** A roof steeper than the maker states fails, loads without a test are not established, and neither is signed away. */
    @Test
    void anAttachmentOutsideWhatItsMakerStatesIsTold() {
        Design plain = Jobs.design();
        HoldDown.Position first = plain.holdDown().positions().get(0);
        for (double share : new double[] {0.5, 2}) {
            Map<String, Object> part = Jobs.attachment();
            double slope = 4;
            part.put("steepest", slope * share + " deg");
            Map<String, Object> held = attachments(List.of(place(plain, first, 0)));
            held.put("part", part);
            held.put("kind", "screwed");
            Design d = Jobs.design("array.attachments", held, "roof.slope", slope + " deg");
            assertThat(d.check("array.attached-basis").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
            double made = d.job().array().attachments().part().steepest().si();
            assertThat(d.check("array.attached-slope").utilisation()).isEqualTo(slope / made);
            assertThat(SignedDesign.open(d)).anyMatch(c -> c.id().equals("array.attached-basis"));
            part.put("basis", "pull test report 7");
            Design tested = Jobs.design("array.attachments", held, "roof.slope", slope + " deg");
            assertThat(tested.check("array.attached-basis")).isNull();
        }
    }

    @Test
    void aPlaceWithoutAPositionIsTold() {
        Design plain = Jobs.design();
        HoldDown.Position first = plain.holdDown().positions().get(0);
        Design d = Jobs.design(
                "array.attachments", attachments(List.of(place(plain, first, 0), Map.of("x", "-9 m", "y", "-9 m"))));
        assertThat(d.check("array.attached-places").verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        assertThat(d.check("array.attached-places").demand()).startsWith("1 place of 2");
    }

    @Test
    void neighboursOfAnAttachedPositionDoNotLeanOnIt() {
        Design plain = Jobs.design("array.ballastBy", "together");
        List<HoldDown.Position> positions = plain.holdDown().positions();
        HoldDown.Position middle = positions.get(positions.size() / 2);
        Design d = Jobs.design(
                "array.ballastBy", "together", "array.attachments", attachments(List.of(place(plain, middle, 0))));
        ConnectedBallast connected = d.holdDown().connected();
        assertThat(attached(d)).containsExactly(middle.index());
        ConnectedBallast.Group tightest = connected.tightest(d.holdDown().positions());
        assertThat(Limits.above(tightest.utilisation(), 1)).isFalse();
        // what stands in other rows is laid as before
        for (HoldDown.Position p : d.holdDown().positions()) {
            if (p.row() != middle.row()) {
                assertThat(p.ballast().blocksPlaced())
                        .isEqualTo(positions.get(p.index()).ballast().blocksPlaced());
            }
        }
    }

    private static List<Problem> problems(String key, Object value) {
        Map<String, Object> all = attachments(List.of());
        all.put(key, value);
        var document = Jobs.with(Jobs.document(), "array.attachments", all);
        return Jobs.SOLVER.problems(JobReader.read(document, false).job());
    }

    @Test
    void noAttachmentTakesMoreThanItsMakerStates() {
        assertThat(problems("tension", "3 kN")).isEmpty();
        assertThat(problems("tension", "2.5 kN")).isEmpty();
        assertThat(problems("tension", "3.1 kN")).singleElement().satisfies(p -> assertThat(p.words())
                .contains("more than the attachment takes", "3 kN"));
        assertThat(problems("shear", "2.1 kN")).hasSize(1);
        assertThat(problems("kind", "bonded")).singleElement().satisfies(p -> assertThat(p.message())
                .contains("anchor is screwed"));
    }

    @Test
    void windowsTooHeavyAreThoseUpToTheHeaviest() {
        Design d = Jobs.design();
        LaidArray own = new LaidArray(d.job(), d.layout(), d.holdDown());
        double most = d.loads().heaviestPa();
        List<LoadWindow> none = RoofLoads.heavierThan(d.job(), d.plan(), List.of(own), own, most, Jobs.SOLVER.tables());
        assertThat(none).isEmpty();
        List<LoadWindow> some =
                RoofLoads.heavierThan(d.job(), d.plan(), List.of(own), own, 0.9 * most, Jobs.SOLVER.tables());
        assertThat(some).isNotEmpty().allSatisfy(w -> assertThat(w.load().loadPa())
                .isBetween(0.9 * most, most * (1 + 1e-9)));
        assertThat(some.stream().mapToDouble(w -> w.load().loadPa()).max().orElseThrow())
                .isCloseTo(most, within(1e-6));
    }
}
