package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import whipsaw.core.Draws;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Verdict;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;

/** What the crew counts and what stays. */
class CrewNumbersTest {
    private static final Design WHOLE = Jobs.design();

    private static Design after(Design d, List<Change> changes) {
        var reading = JobReader.read(DocumentPatch.apply(d.job(), changes), false);
        assertThat(reading.problems()).isEmpty();
        assertThat(Jobs.SOLVER.problems(reading.job())).isEmpty();
        return Jobs.SOLVER.solve(reading.job().at(d.job().place()), d);
    }

    /** Takes modules out by hand. */
    private static Design without(Design d, List<ArrayLayout.Module> out) {
        List<Object> places = new ArrayList<>();
        d.job().array().removed().forEach(c -> places.add(JobWriter.part(c)));
        for (ArrayLayout.Module m : out) {
            var a = d.layout().corners(m)[0];
            var b = d.layout().corners(m)[2];
            places.add(Map.of("x", (a.x + b.x) / 2 + " m", "y", (a.y + b.y) / 2 + " m"));
        }
        return after(d, List.of(new Change("set", "$.arrays[id=A].removed", places)));
    }

    private static Map<String, String> numbers(Design d) {
        return d.layout().modules().stream()
                .collect(Collectors.toMap(ArrayLayout.Module::id, ArrayLayout.Module::number));
    }

    private static Design kept(Design d) {
        return after(d, new NumberEdits(d).keep("O. Tallis PE", LocalDate.of(2026, 11, 20)));
    }

    @Test
    void rowsAndPositionsAreCountedOneAfterTheOtherWhateverIsTakenOut() {
        Draws.each(12, draw -> {
            List<ArrayLayout.Module> out = new ArrayList<>();
            for (int i = 0; i < 10; i++) {
                out.add(WHOLE.layout()
                        .modules()
                        .get(draw.whole(0, WHOLE.layout().modules().size() - 1)));
            }
            int row = out.get(0).row();
            WHOLE.layout().modules().stream().filter(m -> m.row() == row).forEach(out::add);
            Design d = without(WHOLE, out);
            Map<Integer, TreeSet<Integer>> rows = new HashMap<>();
            d.layout().modules().forEach(m -> rows.computeIfAbsent(m.crewRow(), r -> new TreeSet<>())
                    .add(m.crewPlace()));
            assertThat(new TreeSet<>(rows.keySet()).last())
                    .isEqualTo(rows.size())
                    .isEqualTo(d.layout().rows());
            rows.values().forEach(places -> assertThat(places.last()).isEqualTo(places.size()));
            Map<Integer, List<Integer>> positions = d.holdDown().positions().stream()
                    .collect(Collectors.groupingBy(
                            HoldDown.Position::row, Collectors.mapping(HoldDown.Position::place, Collectors.toList())));
            positions.values().forEach(places -> {
                for (int i = 0; i < places.size(); i++) {
                    assertThat(places.get(i)).isEqualTo(i + 1);
                }
            });
            // the place on the grid is nobody else's business
            numbers(d).keySet().forEach(id -> assertThat(numbers(WHOLE)).containsKey(id));
        });
    }

    @Test
    void aSignedSheetKeepsItsNumbersWhateverComesAndGoes() {
        ArrayLayout.Module first = WHOLE.layout().modules().get(3);
        Design less = without(WHOLE, List.of(first));
        Design signed = kept(less);
        assertThat(numbers(signed)).isEqualTo(numbers(less));
        assertThat(signed.check("array.numbers").verdict()).isEqualTo(Verdict.PASSES);

        Design back = after(signed, List.of(new Change("set", "$.arrays[id=A].removed", List.of())));
        numbers(less).forEach((id, number) -> assertThat(numbers(back)).containsEntry(id, number));
        long inRow = less.layout().modules().stream()
                .filter(m -> m.row() == first.row())
                .count();
        assertThat(numbers(back).get(first.id())).isEqualTo(first.row() + "-" + (inRow + 1));
        assertThat(back.check("array.numbers").verdict()).isEqualTo(Verdict.CLOSE);
        assertThat(back.check("array.numbers").demand()).isEqualTo("1 module added");

        Design fewer = without(
                signed,
                signed.layout().modules().stream()
                        .filter(m -> m.row() == first.row() + 1)
                        .limit(2)
                        .toList());
        numbers(fewer).forEach((id, number) -> assertThat(numbers(less)).containsEntry(id, number));
        assertThat(fewer.check("array.numbers").demand()).isEqualTo("2 modules gone");

        // nothing comes or goes, and yet no row is where the sheet has it
        Design wider = after(signed, List.of(new Change("set", "$.arrays[id=A].shiftAcross", "0.05 m")));
        assertThat(wider.layout().modules()).hasSameSizeAs(signed.layout().modules());
        assertThat(wider.check("array.numbers").verdict()).isEqualTo(Verdict.CLOSE);
        assertThat(wider.check("array.numbers").demand()).contains("moved");
        Design shifted = after(signed, List.of(new Change("set", "$.arrays[id=A].shiftAlong", "0.3 m")));
        assertThat(shifted.check("array.numbers").verdict()).isEqualTo(Verdict.CLOSE);

        Design anew = after(back, new NumberEdits(back).release());
        assertThat(numbers(anew)).isEqualTo(numbers(WHOLE));
        assertThat(anew.check("array.numbers")).isNull();
    }

    @Test
    void keptRowsAreWrittenShortReadBackAndRefusedWhenTheyDoNotRise() {
        Design signed = kept(without(WHOLE, List.of(WHOLE.layout().modules().get(3))));
        Map<String, Object> document = JobWriter.write(signed.job());
        assertThat(JobReader.read(document, false).job()).isEqualTo(signed.job());
        for (String wrong : List.of("1: 3-1", "2: 1-4; 1: 1-4", "1: 1-4, 4-6", "1:", "row 1", "1: 1-900000")) {
            var read = JobReader.read(
                    DocumentPatch.apply(signed.job(), List.of(new Change("set", "$.arrays[id=A].numbers.rows", wrong))),
                    false);
            assertThat(read.problems()).as(wrong).singleElement().satisfies(p -> assertThat(p.message())
                    .contains("for example 1: 1-12"));
        }
        assertThatThrownBy(() -> new NumberEdits(WHOLE).keep(" ", LocalDate.EPOCH))
                .hasMessageContaining("who signed");
        assertThatThrownBy(() -> new NumberEdits(WHOLE).release()).hasMessageContaining("no numbers are kept");
    }
}
