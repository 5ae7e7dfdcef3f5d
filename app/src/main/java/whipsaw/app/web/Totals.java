package whipsaw.app.web;

import java.util.List;
import whipsaw.core.design.Design;
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

    static Totals of(Design design, DataStatus status) {
        var units = design.job().project().units();
        var loads = design.loads();
        double average = loads.footprint().loadPa();
        double load = loads.window() == null ? average : loads.window().load().loadPa();
        boolean known = design.holdDown().established();
        String rows = design.layout().rows() + (design.layout().pairs() == null ? " rows" : " rows in pairs");
        return new Totals(
                List.of(
                        new Cell(
                                "Modules",
                                String.valueOf(design.layout().modules().size()),
                                rows,
                                "total.modules"),
                        new Cell(
                                "DC",
                                Show.number(design.circuits().dcW() / 1000, 1) + " kW",
                                Show.count(design.circuits().strings().size(), "string"),
                                "total.dc"),
                        new Cell(
                                "AC",
                                Show.number(design.circuits().acVa() / 1000, 1) + " kW",
                                Show.count(design.circuits().inverters(), "inverter"),
                                "total.ac"),
                        new Cell(
                                "DC / AC",
                                Show.number(design.circuits().ratio(), 2),
                                "limit " + Show.number(design.job().electrical().dcAcMost(), 2),
                                "total.ratio"),
                        new Cell(
                                "Blocks",
                                known ? String.valueOf(design.holdDown().blocks()) : "?",
                                known ? Show.in(units, Dimension.MASS, loads.ballastKg()) : "not established",
                                "total.blocks"),
                        new Cell(
                                "Added load, heaviest",
                                known ? Show.brief(units, Dimension.LOAD, load) : "?",
                                known
                                        ? "average " + Show.brief(units, Dimension.LOAD, average) + " excl. walkways"
                                        : "not established",
                                "roof.window")),
                design.job().site().code().codes(),
                status.words());
    }
}
