package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.Draws;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.FreePlaces;
import whipsaw.core.check.Verdict;
import whipsaw.core.holddown.JoinedModules;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobReader;
import whipsaw.core.roof.RoofPlan;

/** Hand work on arrays: what it moves, what it leaves alone, and that no module ever lies on another. */
class HandWorkTest {
    private static Design made(Design d, List<Change> changes) {
        var reading = JobReader.read(DocumentPatch.apply(d.job(), changes), false);
        assertThat(reading.problems()).isEmpty();
        return Jobs.SOLVER.solve(reading.job());
    }

    private static List<String> position(Design d, int row, int from) {
        return d.holdDown().positions().stream()
                .filter(p -> p.id().startsWith(row + "-"))
                .skip(from)
                .limit(d.layout().pairs() == null ? 1 : 2)
                .map(p -> p.id())
                .toList();
    }

    private static Map<Integer, List<Double>> starts(Design d) {
        return d.layout().modules().stream()
                .collect(Collectors.groupingBy(
                        ArrayLayout.Module::row,
                        Collectors.mapping(m -> Math.rint(m.s() * 1e4) / 1e4, Collectors.toList())));
    }

    private static Coordinate middle(Design d, double s, double t) {
        return d.layout()
                .frame()
                .plan(s + d.layout().alongM() / 2, t + d.layout().depthM() / 2);
    }

    private static List<FreePlaces.Place> free(Design d) {
        return FreePlaces.of(d.job(), d.plan(), Jobs.SOLVER.tables(), d.layout());
    }

    @Test
    void aShiftMovesItsRowAloneAndALockKeepsItWhateverTheArrayDoes() {
        Design d = Jobs.design();
        Design moved = made(d, new HandEdits(d).shift(position(d, 3, 0), 0.25));
        starts(d).forEach((row, all) -> {
            double by = starts(moved).get(row).get(0) - all.get(0);
            double pitch = d.layout().columnPitchM();
            assertThat(by - Math.rint(by / pitch) * pitch)
                    .as("row " + row)
                    .isCloseTo(row == 3 ? 0.25 : 0, within(2e-4));
        });
        Design locked = made(moved, new HandEdits(moved).lock(position(moved, 3, 0)));
        assertThat(starts(locked)).isEqualTo(starts(moved));
        assertThat(locked.job().array().byHand().shifted()).isEmpty();
        Design away = made(
                locked,
                List.of(
                        new Change("set", "$.arrays[id=A].shiftAlong", "0.6 m"),
                        new Change("set", "$.arrays[id=A].shiftAcross", "0.4 m")));
        ArrayLayout.Module first = locked.layout().modules().stream()
                .filter(m -> m.row() == 3)
                .findFirst()
                .orElseThrow();
        assertThat(away.layout().modules())
                .anyMatch(m -> Math.abs(m.s() - first.s()) < 1e-3 && Math.abs(m.t() - first.t()) < 1e-3);
        assertThat(away.layout().notKept()).isEmpty();
        assertThat(starts(away).get(1).get(0)).isNotCloseTo(starts(d).get(1).get(0), within(0.01));
        assertThatThrownBy(() -> new ShiftEdits(away.job(), away.plan(), Jobs.SOLVER.tables()))
                .hasMessageContaining("locked");
        // an area that is moved takes its hand work along
        Design area = made(
                locked,
                List.of(new Change(
                        "set",
                        "$.arrays[id=A].area",
                        List.of(
                                Map.of("x", "1 m", "y", "1 m"),
                                Map.of("x", "40 m", "y", "1 m"),
                                Map.of("x", "40 m", "y", "30 m"),
                                Map.of("x", "1 m", "y", "30 m")))));
        Design there = made(area, new PlaceEdits(area).move(2, 1.5));
        assertThat(there.job().array().byHand().locked().get(0).x().si())
                .isCloseTo(area.job().array().byHand().locked().get(0).x().si() + 2, within(1e-3));
        Design split = made(area, new PlaceEdits(area).split(new Coordinate(20, 0), new Coordinate(20, 40)));
        assertThat(split.job().document().arrays().stream()
                        .mapToInt(a -> a.choice().byHand().locked().size()))
                .containsExactlyInAnyOrder(0, 1);
        // let go, it goes with the others again
        Design free = made(locked, new HandEdits(locked).unlock(position(locked, 3, 0)));
        assertThat(starts(free)).isEqualTo(starts(d));
    }

    @Test
    void aRowIsBroughtInLineAndABreakIsAsWideAsTyped() {
        Design d = Jobs.design("array.tray.linksRows", true);
        Design moved = made(d, new HandEdits(d).shift(position(d, 2, 0), -0.3));
        JoinedModules links =
                new JoinedModules(moved.layout(), moved.job().array().tray());
        ArrayLayout.Module own = moved.layout().modules().stream()
                .filter(m -> m.row() == 2)
                .findFirst()
                .orElseThrow();
        assertThat(links.group(own.index())).isNotEqualTo(links.group(0));
        Design back = made(moved, new HandEdits(moved).align(position(moved, 2, 0)));
        assertThat(starts(back)).isEqualTo(starts(d));

        Design once = made(d, new HandEdits(d).cut(position(d, 2, 5), 0.5, "0.5 m"));
        List<Double> row = starts(once).get(2);
        double along = d.layout().alongM();
        assertThat(row.get(5) - row.get(4) - along).isCloseTo(0.5, within(2e-4));
        Design twice = made(once, new HandEdits(once).cut(position(once, 2, 9), 0.3, "0.3 m"));
        row = starts(twice).get(2);
        assertThat(row.get(5) - row.get(4) - along).isCloseTo(0.5, within(2e-4));
        assertThat(row.get(9) - row.get(8) - along).isCloseTo(0.3, within(2e-4));
        assertThat(twice.layout().runs()).filteredOn(r -> r.row() == 2).hasSizeGreaterThanOrEqualTo(3);
        // widened again, and closed
        Design wider = made(twice, new HandEdits(twice).cut(position(twice, 2, 5), 0.7, "0.7 m"));
        row = starts(wider).get(2);
        assertThat(row.get(5) - row.get(4) - along).isCloseTo(0.7, within(2e-4));
        Design closed = made(wider, new HandEdits(wider).cut(position(wider, 2, 5), 0, "0"));
        closed = made(closed, new HandEdits(closed).cut(position(closed, 2, 9), 0, "0"));
        assertThat(starts(closed)).isEqualTo(starts(d));
    }

    @Test
    void aModuleIsPutInWhereTheRoofBearsItAndAnEngineerHasToSee() {
        Design d = Jobs.design("array.setback", "3 m");
        ArrayLayout.Module m = d.layout().modules().get(4);
        Design without = made(d, new ModuleEdits(d).leaveOutModules(List.of(m)));
        assertThat(free(without)).anyMatch(p -> p.why().equals("left out by hand"));
        Design back = made(without, new HandEdits(without).putIn(List.of(middle(without, m.s(), m.t()))));
        assertThat(back.layout().modules()).isEqualTo(d.layout().modules());
        assertThat(back.job().array().hand()).isNull();

        FreePlaces.Place edge = free(d).stream()
                .filter(p -> p.why().startsWith("set-back"))
                .findFirst()
                .orElseThrow();
        Design more = made(d, new HandEdits(d).putIn(List.of(middle(d, edge.s(), edge.t()))));
        assertThat(more.layout().modules()).hasSize(d.layout().modules().size() + 1);
        assertThat(more.layout().added()).hasSize(1);
        assertThat(more.checks())
                .filteredOn(c -> c.id().equals("array.put-in"))
                .singleElement()
                .satisfies(c -> assertThat(c.verdict()).isEqualTo(Verdict.NEEDS_ENGINEER));

        // the other side of the middle too
        Design mirrored = made(more, new HandEdits(more).mirror());
        assertThat(mirrored.layout().added()).hasSizeGreaterThan(1);

        Design thing = Jobs.design(
                "roof.obstructions",
                List.of(Map.of(
                        "id", "t", "kind", "plant", "name", "Fan", "x", "20 m", "y", "15 m", "width", "1 m", "depth",
                        "3 m", "height", "1 m", "clear", "1.5 m")));
        FreePlaces.Place under =
                free(thing).stream().filter(p -> !p.bears()).findFirst().orElseThrow();
        assertThat(under.why()).isEqualTo("Fan stands there");
        assertThat(free(thing)).anyMatch(p -> p.bears() && p.why().equals("clear distance of Fan"));
        assertThatThrownBy(() -> new HandEdits(thing).putIn(List.of(middle(thing, under.s(), under.t()))))
                .hasMessageContaining("Fan stands there");
        // a thing that comes to stand on it takes it away, and that is said
        Coordinate at = middle(more, edge.s(), edge.t());
        Design gone = made(
                more,
                List.of(new Change(
                        "append",
                        "$.roofs[id=r1].obstructions",
                        Map.of(
                                "id",
                                "u",
                                "kind",
                                "vent",
                                "name",
                                "Vent",
                                "x",
                                at.x + " m",
                                "y",
                                at.y + " m",
                                "width",
                                "0.2 m",
                                "depth",
                                "0.2 m",
                                "height",
                                "0.5 m"))));
        assertThat(gone.layout().notKept()).singleElement().satisfies(n -> assertThat(n.what())
                .isEqualTo("module put in"));
        assertThat(gone.checks()).anyMatch(c -> c.id().equals("array.hand-edits"));
    }

    @Test
    void anAisleCutsAllRowsAtTheSameColumnsAndEndsLongRows() {
        Design d = Jobs.design("array.aisle", Map.of("every", 6, "first", 4, "width", "0.9 m"));
        ArrayLayout layout = d.layout();
        Set<Long> ends = new TreeSet<>();
        List<ArrayLayout.Run> runs = layout.runs();
        for (int i = 1; i < runs.size(); i++) {
            if (runs.get(i).row() == runs.get(i - 1).row()) {
                assertThat(runs.get(i).from() - runs.get(i - 1).to()).isCloseTo(0.9, within(1e-6));
                ends.add(Math.round(runs.get(i).from() * 1000));
            }
        }
        assertThat(runs).allMatch(r -> r.lastIndex() - r.firstIndex() < 6);
        assertThat(ends)
                .hasSize(runs.stream()
                                .mapToInt(ArrayLayout.Run::row)
                                .boxed()
                                .collect(Collectors.groupingBy(r -> r, Collectors.counting()))
                                .values()
                                .stream()
                                .mapToInt(Long::intValue)
                                .max()
                                .orElseThrow()
                        - 1);
        // positions of both sides of an aisle have names of their own
        Design joints = Jobs.design(
                "array.aisle", Map.of("every", 6, "first", 4, "width", "0.1 m"), "array.tray.positions", "joint");
        assertThat(joints.holdDown().positions().stream().map(p -> p.id())).doesNotHaveDuplicates();
    }

    @Test
    void whateverIsDoneByHandNoModuleLiesOnAnotherOrOnAThing() {
        Draws.each(10, draw -> {
            List<Object> things = List.of(Map.of(
                    "id",
                    "t",
                    "kind",
                    "plant",
                    "name",
                    "Fan",
                    "x",
                    draw.between(5, 50) + " m",
                    "y",
                    draw.between(5, 30) + " m",
                    "width",
                    "2 m",
                    "depth",
                    "1.4 m",
                    "height",
                    "1 m",
                    "clear",
                    "0.5 m"));
            Object[] job = {"roof.obstructions", things, "array.shiftAcross", draw.between(0, 2) + " m"};
            Design d = draw.whole(0, 1) == 0 ? Jobs.design(job) : Jobs.pairedDesign(job);
            for (int i = 0; i < 4; i++) {
                Design now = d;
                int row = draw.whole(1, now.layout().lastRow());
                List<String> at = position(now, row, draw.whole(0, 5));
                double by = draw.between(-1.5, 1.5);
                HandEdits edits = new HandEdits(now);
                List<Change> changes = new ArrayList<>();
                try {
                    switch (draw.whole(0, 3)) {
                        case 0 -> changes.addAll(edits.shift(at, by));
                        case 1 -> changes.addAll(edits.lock(at));
                        case 2 -> changes.addAll(edits.cut(at, Math.abs(by), Math.abs(by) + " m"));
                        default -> changes.addAll(edits.fill(new Coordinate(0, 0), new Coordinate(30, 20)));
                    }
                } catch (IllegalArgumentException e) {
                    continue;
                }
                d = made(now, changes);
            }
            ArrayLayout layout = d.layout();
            Envelope fan =
                    RoofPlan.footprint(d.job().roof().obstructions().get(0)).getEnvelopeInternal();
            List<Envelope> all = new ArrayList<>();
            for (ArrayLayout.Module m : layout.modules()) {
                Envelope box = new Envelope(
                        m.s() + 1e-6, m.s() + layout.alongM() - 1e-6, m.t() + 1e-6, m.t() + layout.depthM() - 1e-6);
                assertThat(all).noneMatch(box::intersects);
                all.add(box);
                for (Coordinate c : layout.corners(m)) {
                    assertThat(d.plan().outline().getEnvelopeInternal().covers(c))
                            .isTrue();
                }
                Envelope onPlan = new Envelope(layout.corners(m)[0], layout.corners(m)[2]);
                onPlan.expandBy(-1e-3);
                assertThat(onPlan.intersects(fan)).isFalse();
            }
            assertThat(layout.modules().stream().map(ArrayLayout.Module::id)).doesNotHaveDuplicates();
        });
    }

    @Test
    void modulesLeftOfTheFirstColumnHaveNamesOfTheirOwnAndKeepTheirNumbers() {
        for (Design d : List.of(
                Jobs.design("array.setback", "9 m", "array.tray.linksRows", true),
                Jobs.pairedDesign("array.setback", "9 m"))) {
            Design full = made(d, new HandEdits(d).fill(new Coordinate(-100, -100), new Coordinate(100, 100)));
            assertThat(full.layout().modules()).anyMatch(m -> m.column() < -1);
            assertThat(full.layout().modules().stream().map(ArrayLayout.Module::id))
                    .doesNotHaveDuplicates();
            assertThat(full.holdDown().positions().stream().map(p -> p.id())).doesNotHaveDuplicates();
            // those that were there have the names they had
            assertThat(full.layout().modules().stream().map(ArrayLayout.Module::id))
                    .containsAll(d.layout().modules().stream()
                            .map(ArrayLayout.Module::id)
                            .toList());
            Design kept = made(full, new NumberEdits(full).keep("O. Tallis PE", java.time.LocalDate.of(2026, 5, 31)));
            assertThat(kept.layout().modules()).isEqualTo(full.layout().modules());
            assertThat(kept.job().placed().numbers().rows().get(0).columns().get(0))
                    .isLessThan(-1);
            Design out = made(
                    kept,
                    new ModuleEdits(kept)
                            .leaveOutModules(List.of(kept.layout().modules().get(0))));
            assertThat(out.layout().modules().get(0).crewPlace()).isEqualTo(2);
        }
    }
}
