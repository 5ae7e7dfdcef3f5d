package whipsaw.core.figure;

import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.array.AccessPaths;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.Reach;
import whipsaw.core.design.Design;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.FirePathTable;
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

    /** Paths left by a rule; null where none is chosen. */
    static Working paths(Design design) {
        AccessPaths paths = design.layout().paths();
        FirePathTable.Rule rule = paths.rule();
        if (rule == null) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        CodeTable table = design.tables().firePaths().table();
        Working.Builder w = Working.of("array.paths", rule.title(), "rule: " + rule.name());
        length(w, "a", "perimeter without modules", rule.perimeterM(), units, table);
        length(w, "b", "longest side of a section of modules", rule.largestM(), units, table);
        length(w, "c", "path between sections", rule.betweenM(), units, table);
        length(
                w,
                "d",
                "path from a hatch, standpipe or smoke vent to the edge, and around it",
                rule.toHatchM(),
                units,
                table);
        for (AccessPaths.Strip strip : paths.strips()) {
            w.step(
                    "",
                    strip.words(),
                    "no module in it",
                    Show.both(units, Dimension.AREA, strip.area().getArea()),
                    "layout");
        }
        return w.note("Between rows a path is left before a section would get deeper than b.")
                .note("Narrower paths beside smoke vents or cut-outs, which codes allow, are not used. The adopted fire"
                        + " code and the fire authority decide.")
                .build();
    }

    private static void length(
            Working.Builder w, String symbol, String name, double metres, UnitSystem units, CodeTable table) {
        String value = Show.both(units, Dimension.ROOF_LENGTH, metres);
        w.step(
                symbol,
                name,
                "{" + symbol + "}",
                value,
                table.source(),
                Term.data(symbol, name, value, Origin.TABLE, table));
    }
}
