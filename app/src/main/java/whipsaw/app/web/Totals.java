package whipsaw.app.web;

import java.util.List;
import java.util.stream.Collectors;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.working.DataStatus;

/**
 * The figures of the title block.
 *
 * @param codes codes the job is designed by
 * @param status of the least reliable data it rests on
 */
public record Totals(List<Cell> cells, String codes, String status) {

    /** One box: its name, its value, a second line and the figure it opens. */
    public record Cell(String name, String value, String other, String figure) {}

    /** The limit of DC over AC, or of every group where they differ. */
    private static String limit(Job job) {
        return "limit "
                + job.document().groups().stream()
                        .map(g -> Show.number(g.electrical().dcAcMost(), 2))
                        .distinct()
                        .collect(Collectors.joining(", "));
    }

    /** All of them. */
    static Totals of(Design design, DataStatus status) {
        double kwh = design.whole().year().kwh();
        return of(
                design,
                status,
                new Cell(
                        yearName(design),
                        Show.number(kwh / 1000, 1) + " MWh",
                        Show.number(design.whole().year().kwhPerKwp(), 0) + " kWh/kWp",
                        "total.energy"));
    }

    /**
     * The figures that need not be waited for: energy comes later.
     *
     * @param when it comes, in words
     */
    static Totals soon(Design design, DataStatus status, String when) {
        return of(design, status, new Cell(yearName(design), "…", when, "total.energy"));
    }

    private static String yearName(Design design) {
        return design.job().site().weather() == null ? "Synthetic year" : "Year of the file";
    }

    private static Totals of(Design design, DataStatus status, Cell energy) {
        var units = design.job().project().units();
        var loads = design.loads();
        double average = loads.footprint().loadPa();
        double load = loads.heaviestPa();
        List<ArrayDesign> arrays = design.whole().arrays();
        boolean blocksKnown = arrays.stream().allMatch(a -> a.holdDown().established());
        boolean known = design.roof().established();
        double ballastKg =
                arrays.stream().mapToDouble(a -> a.holdDown().ballastKg()).sum();
        boolean several = arrays.size() > 1;
        String rows = several
                ? each(design, arrays)
                : design.layout().rows() + (design.layout().pairs() == null ? " rows" : " rows in pairs");
        String onRoof = design.whole().roofs().size() > 1 ? design.job().on().name() + ", average " : "average ";
        return new Totals(
                List.of(
                        new Cell("Modules", String.valueOf(design.whole().modules()), rows, "total.modules"),
                        new Cell(
                                "DC",
                                Show.number(design.circuits().dcW() / 1000, 1) + " kW",
                                Show.count(design.circuits().strings(), "string"),
                                "total.dc"),
                        new Cell(
                                "AC",
                                Show.number(design.circuits().acVa() / 1000, 1) + " kW",
                                Show.count(design.circuits().inverters(), "inverter"),
                                "total.ac"),
                        new Cell(
                                "DC / AC",
                                Show.number(design.circuits().ratio(), 2),
                                limit(design.job()),
                                "total.ratio"),
                        energy,
                        new Cell(
                                "Blocks",
                                blocksKnown ? String.valueOf(design.whole().blocks()) : "?",
                                blocksKnown ? Show.in(units, Dimension.MASS, ballastKg) : "not established",
                                "total.blocks"),
                        new Cell(
                                "Added load, heaviest",
                                known ? Show.brief(units, Dimension.LOAD, load) : "?",
                                known
                                        ? onRoof + Show.brief(units, Dimension.LOAD, average) + " excl. walkways"
                                        : "not established",
                                "roof.window")),
                design.job().site().code().codes(),
                status.words());
    }

    /** The array that is looked at, of how many. */
    private static String each(Design design, List<ArrayDesign> arrays) {
        long placed = arrays.stream().filter(a -> a.job().placed() != null).count();
        return design.job().placed() == null
                ? "in " + Show.count((int) placed, "array")
                : design.layout().modules().size() + " in array "
                        + design.job().placed().name() + ", " + placed + " in all";
    }
}
