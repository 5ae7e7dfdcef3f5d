package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;

/** Jobs whose arrays feed inverters of several models, each group with an AC run of its own. */
class InverterGroupsTest {
    private static final Design TWO = two();

    private static Design after(Design design, List<Change> changes) {
        var reading = JobReader.read(DocumentPatch.apply(design.job(), changes), false);
        assertThat(reading.problems()).isEmpty();
        Job job = reading.job().at(design.job().place());
        assertThat(Jobs.SOLVER.problems(job)).isEmpty();
        return Jobs.SOLVER.solve(job);
    }

    private static Change set(String path, Object value) {
        return new Change("set", path, value);
    }

    /** Two arrays on one roof, B with inverters of its own: smaller ones, on a longer run. */
    private static Design two() {
        Design one = Jobs.design();
        Design split = after(one, new PlaceEdits(one).split(new Coordinate(25, -1), new Coordinate(25, 41)));
        Design b = after(split.at("B"), new GroupEdits(split.at("B")).own());
        return after(
                b,
                List.of(
                        set("$.electrical.inverter.power", "20 kVA"),
                        set("$.electrical.inverter.name", "smaller"),
                        set("$.electrical.run.legs", List.of(Map.of("name", "down", "length", "30 m")))));
    }

    @Test
    void stringsStayWithTheGroupTheirArrayFeedsAndInvertersCountOn() {
        Circuits c = TWO.circuits();
        assertThat(c.groups()).hasSize(2).allSatisfy(g -> assertThat(g.inverters())
                .isPositive());
        assertThat(c.groups().get(1).first()).isEqualTo(c.groups().get(0).inverters() + 1);
        double dc = 0;
        for (Circuits.ArrayStrings a : c.arrays()) {
            Circuits.Group own = TWO.at(a.array()).inverters();
            assertThat(a.strings()).isNotEmpty().allSatisfy(s -> assertThat(c.groupOf(s.inverter()))
                    .isEqualTo(own));
            dc += own.totalDcW();
            for (int i = own.first(); i < own.first() + own.inverters(); i++) {
                assertThat(c.ratioOf(i)).isLessThanOrEqualTo(1.35 + 1e-9);
            }
        }
        assertThat(dc).isCloseTo(c.dcW(), within(1e-6));
        assertThat(c.acVa())
                .isCloseTo(c.groups().stream().mapToDouble(Circuits.Group::acVa).sum(), within(1e-9));
        assertThat(c.groups().get(1).powerVa()).isEqualTo(20_000);
        assertThat(TWO.counts().lines().toString()).contains("smaller");
    }

    @Test
    void otherInvertersChangeNothingOfAGroupAndOneThatNothingFeedsCanGo() {
        Design larger = after(TWO.at("B"), List.of(set("$.electrical.inverter.power", "30 kVA")));
        assertThat(larger.at("A").inverters()).isEqualTo(TWO.at("A").inverters());
        assertThat(larger.at("B").inverters()).isNotEqualTo(TWO.at("B").inverters());
        Design shared = after(TWO, List.of(set("$.arrays[id=B].feeds", "I1")));
        assertThat(shared.circuits().group("I2").inverters()).isZero();
        Design without = after(shared, new GroupEdits(shared).remove("I2"));
        assertThat(without.circuits().acVa()).isEqualTo(shared.circuits().acVa());
        assertThat(without.job().document().groups()).hasSize(1);
    }

    @Test
    void aRunBelongsToItsGroup() {
        assertThat(TWO.at("B").run().verticalM()).isCloseTo(30, within(1e-9));
        assertThat(TWO.at("A").run().verticalM()).isLessThan(29);
        Design longer = after(TWO.at("B"), List.of(set("$.electrical.run.slackPct", 40)));
        assertThat(longer.at("A").run()).isEqualTo(TWO.at("A").run());
        assertThat(longer.at("B").run().lengthM())
                .isGreaterThan(TWO.at("B").run().lengthM());
        assertThat(longer.checks())
                .filteredOn(k -> k.id().equals("run.drop"))
                .hasSize(2)
                .anySatisfy(k -> assertThat(k.concerns("A")).isFalse());
    }

    @Test
    void whatMakesNoSenseIsRefusedInWords() {
        assertThatThrownBy(() -> new GroupEdits(TWO.at("B")).own()).hasMessageContaining("of its own already");
        assertThatThrownBy(() -> new GroupEdits(TWO).remove("I1")).hasMessageContaining("is fed by array A");
        assertThatThrownBy(() -> new GroupEdits(TWO).remove("I9")).hasMessageContaining("not in this job any more");
        Map<String, Object> none = DocumentPatch.apply(TWO.job(), List.of(set("$.arrays[id=A].feeds", "I9")));
        assertThat(JobReader.read(none, false).problems()).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("$.arrays[0].feeds");
            assertThat(p.message()).contains("no inverter group of this job", "I1, I2");
        });
    }

    /** A file of version 5, which had one inverter model and one run, gives the design it gave. */
    @Test
    void aDocumentOfTheFifthVersionFeedsItsOneGroup() {
        Design today = Jobs.design();
        Map<String, Object> fifth = new LinkedHashMap<>(JobWriter.write(today.job()));
        fifth.put("schema", 5);
        Map<String, Object> group =
                new LinkedHashMap<>((Map<String, Object>) ((List<?>) fifth.remove("groups")).get(0));
        group.keySet().removeAll(List.of("id", "name"));
        fifth.put("electrical", group);
        List<Object> arrays = new ArrayList<>();
        for (Object a : (List<?>) fifth.get("arrays")) {
            Map<String, Object> array = new LinkedHashMap<>((Map<String, Object>) a);
            array.remove("feeds");
            arrays.add(array);
        }
        fifth.put("arrays", arrays);
        assertThat(JobReader.read(fifth, false).job()).isEqualTo(today.job());
        group.put("dcAcMost", 9);
        assertThat(JobReader.read(fifth, false).problems()).singleElement().satisfies(p -> assertThat(p.path())
                .isEqualTo("$.electrical.dcAcMost"));
    }
}
