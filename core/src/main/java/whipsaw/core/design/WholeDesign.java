package whipsaw.core.design;

import java.util.List;
import java.util.Map;
import whipsaw.core.build.Counts;
import whipsaw.core.check.Check;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.energy.YearEnergy;
import whipsaw.core.run.AcRun;
import whipsaw.core.table.CodeTables;

/**
 * Everything that follows from a job: all its roofs with their arrays, and what they share.
 *
 * @param tables it was solved with, national parameters laid over
 * @param roofs in the order of the job
 * @param circuits of all arrays
 * @param runs AC run of every inverter group, by its id
 * @param counts of the whole job
 * @param yearOnce energy of the year, computed when it is first asked for
 * @param checks of all places, the worst first
 */
public record WholeDesign(
        CodeTables tables,
        List<RoofDesign> roofs,
        Circuits circuits,
        Map<String, AcRun> runs,
        Counts counts,
        YearOnce yearOnce,
        List<Check> checks) {
    public WholeDesign {
        roofs = List.copyOf(roofs);
        runs = Map.copyOf(runs);
        checks = List.copyOf(checks);
    }

    /** The same with its checks. */
    WholeDesign with(List<Check> all) {
        return new WholeDesign(tables, roofs, circuits, runs, counts, yearOnce, all);
    }

    /** All arrays of all roofs, roof by roof; one that places nothing for every roof without. */
    public List<ArrayDesign> arrays() {
        return roofs.stream().flatMap(r -> r.arrays().stream()).toList();
    }

    /** Energy of a year: for comparing options, no forecast. */
    public YearEnergy year() {
        return yearOnce.get();
    }

    /** Modules of the whole job. */
    public int modules() {
        return roofs.stream().mapToInt(RoofDesign::modules).sum();
    }

    /** Blocks of the whole job. */
    public int blocks() {
        return arrays().stream().mapToInt(a -> a.holdDown().blocks()).sum();
    }
}
