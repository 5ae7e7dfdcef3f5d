package whipsaw.core.figure;

import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.Reach;
import whipsaw.core.design.Design;
import whipsaw.core.table.CodeTable;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** Working of how modules are got at: how many come off before each, by number. */
final class ReachFigures {
    private ReachFigures() {}

    static Working reach(Design design) {
        ArrayLayout layout = design.layout();
        if (layout.modules().isEmpty()) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        Reach reach = design.array().reach();
        CodeTable rules = design.tables().arrayAccess().table();
        Map<Integer, Integer> by = new TreeMap<>();
        layout.modules().forEach(m -> by.merge(reach.first(m.index()), 1, Integer::sum));
        ArrayLayout.Module worst = layout.modules().stream()
                .max((a, b) -> Integer.compare(reach.first(a.index()), reach.first(b.index())))
                .orElseThrow();
        Working.Builder w = Working.of(
                        "array.reach",
                        "Access for repair: modules to lift",
                        reach.most() + (reach.most() == 0 ? "" : ", for module " + worst.number()))
                .step(
                        "w",
                        "a strip of roof that can be walked",
                        "as wide as {w} or wider",
                        Show.both(units, Dimension.PART_LENGTH, reach.walkM()),
                        "house rule",
                        Term.data(
                                "w",
                                "least width",
                                Show.both(units, Dimension.PART_LENGTH, reach.walkM()),
                                Origin.TABLE,
                                rules))
                .step(
                        "g",
                        layout.pairs() == null ? "the gap between rows" : "the valley between pairs",
                        layout.gapM() < reach.walkM() ? "too narrow to walk" : "can be walked",
                        Show.both(units, Dimension.PART_LENGTH, layout.gapM()),
                        "layout");
        by.forEach((first, n) -> w.step(
                "",
                first == 0 ? "next to a strip" : "behind " + Show.count(first, "module"),
                Show.count(n, "module"),
                String.valueOf(n),
                "counted from module to module"));
        return w.note("Strips have to join on to the largest part of the roof that can be walked on; a hole among the"
                        + " modules that no strip leads to counts for nothing.")
                .note("Obstructions and rows of other arrays are taken as wide as the rectangle around them. Where a"
                        + " person may step is for the survey and the safety plan to say.")
                .build();
    }
}
