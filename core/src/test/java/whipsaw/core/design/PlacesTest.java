package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Verdict;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.schema.Problem;

/** Jobs of several arrays and roofs. The roof is 60 m by 40 m. */
class PlacesTest {
    private static final Design WHOLE = Jobs.design();

    private static Job changed(Job job, List<Change> changes) {
        var reading = JobReader.read(DocumentPatch.apply(job, changes), false);
        assertThat(reading.problems()).isEmpty();
        return reading.job().at(job.place());
    }

    private static Design design(Job job) {
        assertThat(Jobs.SOLVER.problems(job)).isEmpty();
        return Jobs.SOLVER.solve(job);
    }

    private static Design after(Design design, List<Change> changes) {
        return design(changed(design.job(), changes));
    }

    private static Design split(Design design, double x) {
        return after(design, new PlaceEdits(design).split(new Coordinate(x, -1), new Coordinate(x, 41)));
    }

    private static Change set(String path, Object value) {
        return new Change("set", path, value);
    }

    private static List<Object> rectangle(double x0, double y0, double x1, double y1) {
        List<Object> corners = new ArrayList<>();
        for (double[] c : new double[][] {{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}}) {
            corners.add(Map.of("x", c[0] + " m", "y", c[1] + " m"));
        }
        return corners;
    }

    @Test
    void aSplitArrayKeepsToItsSideAndEverythingOnTheRoofAddsUp() {
        Design d = split(WHOLE, 25);
        assertThat(d.job().document().places()).containsExactly("A", "B");
        Design b = d.at("B");
        // the smaller part is the new one; they stand a metre apart or more
        for (ArrayLayout.Module m : d.layout().modules()) {
            assertThat(d.layout().corners(m)).allSatisfy(c -> assertThat(c.x).isGreaterThan(26 - 1e-6));
        }
        for (ArrayLayout.Module m : b.layout().modules()) {
            assertThat(b.layout().corners(m)).allSatisfy(c -> assertThat(c.x).isLessThan(25 + 1e-6));
        }
        assertThat(d.whole().modules())
                .isEqualTo(d.layout().modules().size() + b.layout().modules().size())
                .isLessThanOrEqualTo(WHOLE.layout().modules().size());
        double kg = d.array().laid().kg() + b.array().laid().kg();
        assertThat(d.loads().arrayKg()).isCloseTo(kg, within(1e-6 * kg));
        assertThat(b.loads()).isSameAs(d.loads());
        assertThat(d.loads().footprint().areaM2())
                .isCloseTo(d.layout().footprintM2() + b.layout().footprintM2(), within(1e-6));
    }

    /** A side is open or not by what stands beside it, whichever array that belongs to. */
    @Test
    void panelsOfAnotherArrayShelterASideAsOnesOwnDo() {
        Design apart = split(WHOLE, 25);
        Job near = changed(apart.job(), List.of(set("$.array.apart", "0 m"), set("$.arrays[id=B].apart", "0 m")));
        Design close = design(near);
        Set<Integer> open = openAtLeft(apart);
        assertThat(open).isNotEmpty();
        assertThat(openAtLeft(close)).hasSizeLessThan(open.size());
        // lower panels shelter nothing
        Design low = design(changed(near, List.of(set("$.arrays[id=B].tray.lowEdge", "20 mm"))));
        assertThat(low.at("B").layout().highEdgeM()).isLessThan(low.layout().highEdgeM());
        Job far = changed(near, List.of(set("$.array.apart", "5 m")));
        assertThat(openAtLeft(low)).isEqualTo(openAtLeft(design(far)));
    }

    /** Rows, by their first module on the left, that are open there. */
    private static Set<Integer> openAtLeft(Design d) {
        Set<Integer> open = new HashSet<>();
        for (HoldDown.Demand demand : d.holdDown().demands()) {
            boolean first = d.layout().modules().stream()
                    .noneMatch(m -> m.row() == demand.module().row()
                            && m.s() < demand.module().s());
            if (first && demand.openSide() != null) {
                open.add(demand.module().row());
            }
        }
        return open;
    }

    @Test
    void everyModuleIsInOneStringOfItsOwnArrayAndTrackersAreNotShared() {
        Design d = split(WHOLE, 25);
        Set<String> trackers = new HashSet<>();
        double dc = 0;
        Set<Integer> numbers = new HashSet<>();
        for (Circuits.ArrayStrings a : d.circuits().arrays()) {
            List<Integer> all = new ArrayList<>(a.leftOut());
            Set<String> own = new HashSet<>();
            for (Circuits.PvString s : a.strings()) {
                all.addAll(s.modules());
                own.add(s.inverter() + "/" + s.tracker());
                assertThat(numbers.add(s.number())).isTrue();
                dc += s.modules().size() * a.modulePowerW();
            }
            assertThat(all)
                    .doesNotHaveDuplicates()
                    .hasSize(d.at(a.array()).layout().modules().size());
            assertThat(trackers).doesNotContainAnyElementsOf(own);
            trackers.addAll(own);
        }
        assertThat(d.circuits().dcW()).isCloseTo(dc, within(1e-6));
        assertThat(d.at("B").circuits()).isSameAs(d.circuits());
    }

    @Test
    void arraysFarApartDoNotKnowEachOtherAndTheirOrderIsOfNoMatter() {
        Job one = changed(Jobs.job(), List.of(set("$.array.area", rectangle(0, 0, 20, 40))));
        Design alone = design(one);
        Design two = after(
                alone,
                new PlaceEdits(alone)
                        .add(List.of(
                                new Coordinate(40, 0),
                                new Coordinate(60, 0),
                                new Coordinate(60, 40),
                                new Coordinate(40, 40))));
        assertThat(two.holdDown()).isEqualTo(alone.holdDown());
        assertThat(two.layout()).isEqualTo(alone.layout());
        Map<String, Object> turned = JobWriter.write(two.job());
        List<Object> arrays = new ArrayList<>((List<?>) turned.get("arrays"));
        arrays.add(arrays.remove(0));
        turned.put("arrays", arrays);
        Design other = design(JobReader.read(turned, false).job().at("A"));
        assertThat(other.holdDown()).isEqualTo(two.holdDown());
        assertThat(other.at("B").holdDown()).isEqualTo(two.at("B").holdDown());
        assertThat(other.loads().window().load()).isEqualTo(two.loads().window().load());
    }

    @Test
    void aSecondRoofIsSolvedWithItsArrayAndLeavesTheFirstAsItWas() {
        Design d = after(WHOLE, new PlaceEdits(WHOLE).addRoof("Annex"));
        assertThat(d.job().document().places()).containsExactly("A", "B");
        assertThat(d.holdDown()).isEqualTo(WHOLE.holdDown());
        assertThat(d.loads()).isEqualTo(WHOLE.loads());
        Design annex = d.at("B");
        assertThat(annex.plan().areaM2()).isCloseTo(200, within(1e-6));
        assertThat(annex.job().on().x().si()).isCloseTo(65, within(1e-6));
        assertThat(annex.layout().modules()).isNotEmpty();
        assertThat(d.whole().modules())
                .isEqualTo(WHOLE.layout().modules().size()
                        + annex.layout().modules().size());
        assertThat(d.checks())
                .anyMatch(c -> c.where().equals("Annex") && c.about().equals(List.of("B")));
        // nobody has surveyed it: what is known of the first roof is not known of it
        assertThat(annex.check("survey.other-roof").verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        assertThat(annex.check("roof.window").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(d.check("survey.other-roof")).isNull();
        // a change on one roof keeps what was solved of the other
        Job moved = changed(d.job(), List.of(set("$.roofs[id=r2].height", "9 m")));
        Design again = Jobs.SOLVER.solve(moved, d);
        assertThat(again.holdDown()).isSameAs(d.holdDown());
        assertThat(again.at("B").plan()).isNotSameAs(annex.plan());
        assertThat(again.at("B").holdDown()).isEqualTo(design(moved).at("B").holdDown());
        Design gone = after(d, new PlaceEdits(d).removeRoof("r2"));
        assertThat(gone.job().document()).isEqualTo(WHOLE.job().document());
    }

    @Test
    void whatIsNotEstablishedOfOneArrayIsNotEstablishedOfTheRoof() {
        Design d = split(WHOLE, 25);
        Design high = design(changed(d.job(), List.of(set("$.arrays[id=B].tray.lowEdge", "900 mm"))));
        assertThat(high.at("B").holdDown().established()).isFalse();
        assertThat(high.holdDown().established()).isTrue();
        assertThat(high.check("roof.window").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(high.check("wind.scope")).isNull();
        assertThat(high.at("B").check("wind.scope").where()).isEqualTo("array B");
    }

    @Test
    void aModuleKeepsItsPlaceOnTheGridWhateverIsTakenOutBesideIt() {
        ArrayLayout.Module left = WHOLE.layout().modules().get(0);
        List<Object> out = new ArrayList<>();
        // the first column, from the front to the back
        for (ArrayLayout.Module m : WHOLE.layout().modules()) {
            if (m.column() == left.column()) {
                Coordinate[] c = WHOLE.layout().corners(m);
                out.add(Map.of("x", (c[0].x + c[2].x) / 2 + " m", "y", (c[0].y + c[2].y) / 2 + " m"));
            }
        }
        Design d = after(WHOLE, List.of(set("$.array.removed", out)));
        assertThat(d.layout().modules()).hasSize(WHOLE.layout().modules().size() - out.size());
        Set<String> places = new HashSet<>();
        WHOLE.layout().modules().forEach(m -> places.add(m.id() + at(WHOLE, m)));
        assertThat(d.layout().modules()).allSatisfy(m -> assertThat(places).contains(m.id() + at(d, m)));
    }

    private static String at(Design d, ArrayLayout.Module m) {
        Coordinate c = d.layout().corners(m)[0];
        return " " + Math.round(c.x * 1000) + " " + Math.round(c.y * 1000);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "$.arrays[id=B].area|remove|is missing: array A already takes",
                "$.arrays[id=B].area[2].y|-10 m|crosses itself",
                "$.array.area|0 0 30 40|lies over the area of array B by 200",
                "$.arrays[id=B].area|70 0 80 9|lies beside the roof",
                "$.arrays[id=B].on|r9|is no roof of this job; it has r1",
                "$.arrays[id=B].id|A|is the id of another roof, array or inverter group",
                "$.roofs[id=r1].x|3 m|is the origin of the site",
            })
    void areasThatCannotBeAreRefused(String path, String value, String told) {
        Job job = changed(Jobs.job(), List.of(set("$.array.area", rectangle(0, 0, 20, 40))));
        Design one = design(job);
        Job two = changed(
                job,
                new PlaceEdits(one)
                        .add(List.of(
                                new Coordinate(25, 0),
                                new Coordinate(60, 0),
                                new Coordinate(60, 40),
                                new Coordinate(25, 40))));
        List<Change> changes =
                new ArrayList<>(List.of(value.equals("remove") ? new Change("remove", path, null) : set(path, value)));
        if (value.equals("remove")) {
            changes.add(new Change("remove", "$.array.area", null));
        } else if (value.matches("[0-9 ]+")) {
            String[] c = value.split(" ");
            changes.set(0, set(path, rectangle(n(c[0]), n(c[1]), n(c[2]), n(c[3]))));
        }
        var reading = JobReader.read(DocumentPatch.apply(two, changes), false);
        List<Problem> problems = reading.ok() ? Jobs.SOLVER.problems(reading.job()) : reading.problems();
        assertThat(problems).anySatisfy(p -> assertThat(p.message()).contains(told));
    }

    private static double n(String text) {
        return Double.parseDouble(text);
    }

    @Test
    void whatMakesNoSenseIsToldInWords() {
        PlaceEdits edits = new PlaceEdits(WHOLE);
        assertThatThrownBy(() -> edits.split(new Coordinate(70, 0), new Coordinate(70, 9)))
                .hasMessageContaining("does not cross the area of array A");
        assertThatThrownBy(() -> edits.removeArray("A")).hasMessageContaining("keeps one array");
        assertThatThrownBy(() -> edits.removeRoof("r1")).hasMessageContaining("it stays");
        assertThatThrownBy(() -> edits.removeRoof("r7")).hasMessageContaining("roof r7 is not in this job any more");
        assertThatThrownBy(edits::copy).hasMessageContaining("give it an area first");
        assertThatThrownBy(() -> edits.addRoof(" ")).hasMessageContaining("Annex");
    }
}
