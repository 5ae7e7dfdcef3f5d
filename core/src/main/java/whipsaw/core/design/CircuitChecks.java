package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.circuit.TrackerCurrent;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.run.ConductorSizing;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.DcVoltageTable;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** The checks of strings, inverters and the AC run. */
final class CircuitChecks {
    private final Design design;
    private final Job job;
    private final UnitSystem units;
    private final List<Check> checks = new ArrayList<>();

    private CircuitChecks(Design design) {
        this.design = design;
        this.job = design.job();
        this.units = job.project().units();
    }

    static List<Check> of(Design design, CodeTables tables) {
        CircuitChecks all = new CircuitChecks(design);
        all.place(tables);
        all.strings();
        all.inverters();
        all.run();
        return all.checks;
    }

    private String text(Dimension dimension, double si) {
        return Show.both(units, dimension, si);
    }

    /** The DC voltage an array may have where it is. */
    private void place(CodeTables tables) {
        DcVoltageTable.Limit limit = tables.dcVoltage()
                .at(job.site().code().family(), job.electrical().place());
        double system = job.electrical().systemLimit().si();
        boolean over = Limits.above(system, limit.mostV());
        String most = text(Dimension.VOLTAGE, limit.mostV());
        checks.add(Check.stated(
                "strings.place",
                "DC system limit where the array is",
                text(Dimension.VOLTAGE, system),
                "at most " + most,
                over ? Verdict.FAILS : Verdict.PASSES,
                limit.clause(),
                "strings.longest",
                over
                        ? "set the DC system limit to " + most
                                + ": strings get shorter, and the inverter has to work in its window with them"
                        : ""));
    }

    private void strings() {
        Circuits.ArrayStrings circuits = design.strings();
        var limits = circuits.limits();
        if (!limits.feasible()) {
            checks.add(Check.stated(
                    "strings.limits",
                    "A legal string exists",
                    "at least " + Show.count(limits.shortest(), "module"),
                    "at most " + Show.count(limits.longest(), "module"),
                    Verdict.FAILS,
                    "NEC 690.7(A)",
                    "strings.longest",
                    "module and inverter do not go together at these temperatures"));
            return;
        }
        if (!circuits.strings().isEmpty()) {
            double cold = limits.coldVoltageV(circuits.longestUsed());
            checks.add(Check.compare(
                    "strings.cold",
                    "Coldest open-circuit voltage",
                    text(Dimension.VOLTAGE, cold),
                    text(Dimension.VOLTAGE, limits.limitV()),
                    cold / limits.limitV(),
                    Place.of(circuits.longestUsed() + " in a string"),
                    "NEC 690.7(A)",
                    "strings.longest",
                    "shorten the strings"));
            double hot = limits.hotVoltageV(circuits.shortestUsed());
            double lowest = limits.input().trackerLowestV();
            checks.add(Check.compare(
                    "strings.hot",
                    "Hottest working voltage stays in the window",
                    text(Dimension.VOLTAGE, lowest) + " needed",
                    text(Dimension.VOLTAGE, hot),
                    lowest / hot,
                    Place.of(circuits.shortestUsed() + " in a string"),
                    "tracking window of the inverter",
                    "strings.shortest",
                    "lengthen the shortest string"));
        }
        int left = circuits.leftOut().size();
        if (left > 0) {
            checks.add(new Check(
                    "strings.left",
                    "Every module is in a string",
                    Show.count(left, "module") + " left out",
                    "0",
                    Double.NaN,
                    Verdict.CLOSE,
                    new Place(Show.count(left, "module"), Place.Kind.MODULES, circuits.leftOut()),
                    "string lengths " + limits.shortest() + " to " + limits.longest(),
                    "strings.longest",
                    "they stay on the roof without a circuit: take them out or add modules"));
        }
    }

    private void inverters() {
        Circuits.Group c = design.inverters();
        double most = job.electrical().dcAcMost();
        if (c.inverters() == 0) {
            if (!design.strings().strings().isEmpty()
                    || !design.layout().modules().isEmpty()) {
                checks.add(Check.stated(
                        "inverters.share",
                        "Strings shared over inverters",
                        "no share found",
                        "at most " + Show.number(most, 2) + " DC to AC",
                        Verdict.FAILS,
                        "trackers and DC to AC limit",
                        "strings.longest",
                        "raise the DC to AC limit or take a larger inverter"));
            }
            return;
        }
        checks.add(Check.compare(
                "inverters.ratio",
                "DC/AC, most loaded inverter",
                Show.number(c.worstRatio(), 3),
                Show.number(most, 3),
                c.worstRatio() / most,
                null,
                "limit set in the job",
                "total.ratio",
                "add an inverter"));
        int parallel = design.strings().mostParallel();
        TrackerCurrent current =
                TrackerCurrent.of(parallel, job.array().module().isc().si());
        double limit = job.electrical().inverter().trackerShortCircuit().si();
        checks.add(Check.compare(
                "inverters.short-circuit",
                "Short-circuit current of a tracker",
                text(Dimension.CURRENT, current.mostA()),
                text(Dimension.CURRENT, limit),
                current.mostA() / limit,
                Place.of(parallel + " strings in parallel"),
                "NEC 690.8(A)(1), maker's limit",
                "strings.current",
                "put fewer strings on a tracker"));
        double backFeed = current.backFeedA();
        double fuse = job.array().module().largestFuse().si();
        if (Limits.above(backFeed, fuse) || parallel > 2) {
            checks.add(Check.stated(
                    "strings.fuse",
                    "String fuses",
                    text(Dimension.CURRENT, backFeed) + " can feed back",
                    text(Dimension.CURRENT, fuse),
                    Verdict.NEEDS_ENGINEER,
                    "NEC 690.9(A)",
                    "strings.current",
                    "strings in parallel need fuses, which are not designed yet"));
        }
    }

    private void run() {
        ConductorSizing sizing = design.run().sizing();
        if (sizing == null) {
            return;
        }
        if (job.site().code() instanceof Site.EnSite) {
            checks.add(Check.stated(
                    "run.code",
                    "AC run sized by the code of the place",
                    "sized by NEC tables",
                    "IEC 60364-5-52",
                    Verdict.NEEDS_ENGINEER,
                    "IEC 60364 sizing is not computed",
                    "run.size",
                    "sizes and device are for orientation only: a licensed electrician sizes the run"));
        }
        if (!sizing.feasible()) {
            checks.add(Check.stated(
                    "run.size",
                    "AC run",
                    text(Dimension.CURRENT, sizing.requiredA()),
                    "8 sets of 600 kcmil",
                    Verdict.FAILS,
                    "NEC 240.4, 310.15, 705.28",
                    "run.size",
                    "no conductor carries it within the drop: shorten the run, allow more drop or take more feeders"));
            return;
        }
        checks.add(Check.compare(
                "run.ampacity",
                "AC run carries its current",
                text(Dimension.CURRENT, sizing.requiredA()),
                text(Dimension.CURRENT, sizing.chosen().ampacity().terminalA()),
                sizing.requiredA() / sizing.chosen().ampacity().terminalA(),
                null,
                "NEC 705.28(B), 110.14(C)",
                "run.size",
                "a larger conductor, more sets side by side, or more feeders"));
        double drop = sizing.chosen().drop().dropPct();
        double limit = sizing.input().dropLimitPct();
        checks.add(Check.compare(
                "run.drop",
                "Voltage drop of the AC run",
                Show.number(drop, 2) + " %",
                Show.number(limit, 2) + " %",
                drop / limit,
                null,
                "limit set in the job",
                "run.drop",
                "a larger conductor, a shorter run, or more drop allowed"));
    }
}
