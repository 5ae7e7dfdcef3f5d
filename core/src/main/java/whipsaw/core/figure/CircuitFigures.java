package whipsaw.core.figure;

import static whipsaw.core.units.Show.significant;

import java.util.List;
import whipsaw.core.build.Counts;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.circuit.StringLimits;
import whipsaw.core.circuit.TrackerCurrent;
import whipsaw.core.design.Design;
import whipsaw.core.job.Electrical;
import whipsaw.core.run.AcRun;
import whipsaw.core.run.ConductorSizing;
import whipsaw.core.run.VoltageDrop;
import whipsaw.core.structure.SnowOnRun;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.ConductorTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** Workings of strings and of the AC run. */
final class CircuitFigures {
    private CircuitFigures() {}

    private static String volts(double v) {
        return significant(v, 5) + " V";
    }

    private static String amps(double a) {
        return significant(a, 5) + " A";
    }

    private static String celsius(double c) {
        return Show.number(c, 1) + " °C";
    }

    static Working longest(Design design) {
        StringLimits s = design.strings().limits();
        ModuleType module = design.job().array().module();
        InverterType inverter = design.job().electrical().inverter();
        Terms terms = Terms.of(
                Term.data("V_oc", "", "", Origin.CATALOGUE, module.info()),
                Term.data("β", "", "", Origin.CATALOGUE, module.info()),
                Term.given("T_min", "", "", design.job().site().recordLow()),
                Term.given("V_sys", "", "", design.job().electrical().systemLimit()),
                Term.data("V_inv", "", "", Origin.CATALOGUE, inverter.info()));
        return Working.of("strings.longest", "Longest legal string", Show.count(s.longest(), "module"))
                .steps(s.longestSteps(terms))
                .note("Rounded down to whole modules: a string of them has " + volts(s.coldVoltageV(s.longest()))
                        + " at the record low.")
                .note("Used: "
                        + design.strings().strings().size()
                        + " strings of "
                        + design.strings().shortestUsed()
                        + " to "
                        + design.strings().longestUsed()
                        + " modules, laid row by row; "
                        + design.strings().leftOut().size()
                        + " modules left out.")
                .build();
    }

    static Working shortest(Design design) {
        StringLimits s = design.strings().limits();
        ModuleType module = design.job().array().module();
        Terms terms = Terms.of(
                Term.given("T_a", "", "", design.job().site().designHigh()),
                Term.given("ΔT", "", "", null),
                Term.data("V_mp", "", "", Origin.CATALOGUE, module.info()),
                Term.data("γ", "", "", Origin.CATALOGUE, module.info()),
                Term.data(
                        "V_mppt",
                        "",
                        "",
                        Origin.CATALOGUE,
                        design.job().electrical().inverter().info()));
        return Working.of("strings.shortest", "Shortest working string", Show.count(s.shortest(), "module"))
                .steps(s.shortestSteps(terms))
                .note("Rounded up to whole modules.")
                .build();
    }

    static Working trackerCurrent(Design design) {
        ModuleType module = design.job().array().module();
        TrackerCurrent c =
                TrackerCurrent.of(design.strings().mostParallel(), module.isc().si());
        return Working.of("strings.current", "Current of a tracker", amps(c.mostA()))
                .steps(c.steps(Terms.of(Term.data("I_sc", "", "", Origin.CATALOGUE, module.info()))))
                .note("What is fed back is held against the largest fuse of the module, "
                        + amps(module.largestFuse().si()) + ".")
                .build();
    }

    static Working runLength(Design design) {
        AcRun run = design.run();
        UnitSystem units = design.job().project().units();
        String length = Show.both(units, Dimension.ROOF_LENGTH, run.lengthM());
        Working.Builder w = Working.of("run.length", "Length of the AC run, one way", length)
                .steps(run.length().steps(Terms.typed(), units));
        SnowOnRun snow = design.snowOnRun();
        if (snow == null) {
            return w.build();
        }
        boolean drifted = !design.site().drifts().sources().isEmpty() || design.rowSnow() != null;
        w.note(
                snow.even()
                        ? "No drift reaches the run."
                        : "The snow is deepest " + Show.both(units, Dimension.ROOF_LENGTH, snow.atM())
                                + " from where the run starts; "
                                + Show.both(units, Dimension.ROOF_LENGTH, snow.evenM()) + " without drifts.");
        return w.steps(snow.depth()
                        .steps(Terms.of(Term.computed("p", "", "", drifted ? "site.drift" : "site.snow")), units))
                .note("Snow on the roof as the code drifts it. Conduit, supports and boxes below that depth are buried:"
                        + " raise them or protect them, and mark them for who clears the roof.")
                .build();
    }

    static Working runSize(Design design, CodeTables tables) {
        Electrical.AcRun run = design.job().electrical().run();
        ConductorSizing s = design.run().sizing();
        ConductorTables t = tables.conductors();
        var inverter = design.job().electrical().inverter().info();
        Terms terms = Terms.of(
                Term.data("S", "", "", Origin.CATALOGUE, inverter),
                Term.data("V", "", "", Origin.CATALOGUE, inverter),
                Term.given("T", "", "", design.job().site().designHigh()));
        Working.Builder w = Working.of("run.size", "Conductors of the AC run", sizeWords(s, run.material()))
                .steps(design.run().current().steps(terms))
                .step(
                        "OCPD",
                        "next standard rating",
                        "at least {I_c}",
                        s.deviceA() == 0 ? "none" : s.deviceA() + " A",
                        "NEC 240.6(A)",
                        Term.data("I_c", "continuous", amps(s.requiredA()), Origin.TABLE, t.deviceTable()));
        if (run.feeders() > 1) {
            w.note("The fullest of " + run.feeders() + " equal feeders.");
        }
        if (!s.feasible()) {
            return w.note("No size up to "
                            + AcRun.MOST_SETS
                            + " sets of "
                            + AcRun.LARGEST
                            + " kcmil meets ampacity and drop.")
                    .build();
        }
        return w.steps(s.chosen().ampacity().steps(false, terms))
                .step(
                        "",
                        "chosen: " + sizeWords(s, run.material()),
                        "",
                        "terminals " + amps(s.chosen().ampacity().terminalA()) + " of " + amps(s.requiredA())
                                + " needed, corrected "
                                + amps(s.chosen().ampacity().correctedA()) + " of "
                                + amps(design.run().current().currentA()) + " needed",
                        "NEC 215.2(A)(1), 310.15")
                .step(
                        "",
                        "carries the current with "
                                + s.forAmpacity().sets()
                                + " x "
                                + s.forAmpacity().size().name()
                                + " ("
                                + Show.number(s.forAmpacity().drop().dropPct(), 2)
                                + " % drop); chosen for",
                        "",
                        s.governedBy().replace('_', ' '),
                        "fewest sets, then smallest size; sets in parallel from 1/0, 310.10(G)")
                .steps(List.of(ground(s, run, t)))
                .note(
                        "Each set lies in its own raceway. Raceway fill, supports and the point of connection are not designed yet.")
                .build();
    }

    private static Step ground(ConductorSizing s, Electrical.AcRun run, ConductorTables t) {
        return Step.of(
                "EGC",
                "equipment ground in each raceway",
                "{base}, area times {ratio} where raised for drop",
                s.ground() == null ? "above the table" : Counts.conductor(s.ground(), run.material()),
                "NEC 250.122(A), (B)",
                Term.data(
                        "base",
                        "by device",
                        s.groundBase() == null ? "none" : s.groundBase(),
                        Origin.TABLE,
                        t.groundTable()),
                Term.computed("ratio", "area ratio", significant(s.areaRatio(), 4), null));
    }

    private static String sizeWords(ConductorSizing s, String material) {
        if (!s.feasible()) {
            return "none found";
        }
        return (s.chosen().sets() == 1 ? "" : s.chosen().sets() + " sets of ")
                + "3 x "
                + Counts.conductor(s.chosen().size().name(), material)
                + ", "
                + s.deviceA()
                + " A device";
    }

    static Working runDrop(Design design) {
        ConductorSizing s = design.run().sizing();
        VoltageDrop drop = s.chosen().drop();
        String answer = Show.number(drop.dropPct(), 2) + " %, " + Show.number(drop.dropV(), 2) + " V";
        Terms terms = Terms.of(
                Term.computed("I", "", "", "run.size"),
                Term.computed("L", "", "", "run.length"),
                Term.data(
                        "V",
                        "",
                        "",
                        Origin.CATALOGUE,
                        design.job().electrical().inverter().info()));
        return Working.of("run.drop", "Voltage drop of the AC run", answer)
                .steps(drop.steps(terms))
                .note("The linear formula is good for small angles between the two voltages.")
                .build();
    }
}
