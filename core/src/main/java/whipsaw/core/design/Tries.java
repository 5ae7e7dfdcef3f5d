package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import whipsaw.core.check.Check;
import whipsaw.core.design.WaysOut.Way;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.schema.Path;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Limits;

/** Tries changes on a copy of the job, one solve each, and keeps those that improve the check looked at. */
final class Tries {
    final Design design;
    final Check check;
    private final Solver solver;
    private final Map<String, Object> document;
    private final List<Way> ways = new ArrayList<>();
    private final BooleanSupplier enough;
    private boolean cut;

    /**
     * @param enough whether to stop, asked before each try
     */
    Tries(Design design, Check check, Solver solver, BooleanSupplier enough) {
        this.enough = enough;
        this.design = design;
        this.check = check;
        this.solver = solver;
        this.document = JobWriter.write(design.job());
    }

    void add(Way way) {
        ways.add(way);
    }

    /** Tables as the job reads them. */
    CodeTables tables() {
        return solver.tables().forJob(design.job());
    }

    /** What was kept so far. */
    List<Way> ways() {
        return ways;
    }

    /** Whether a check after a change is better than the one looked at. */
    boolean improves(Check after) {
        if (after == null) {
            return true;
        }
        int verdict = after.verdict().compareTo(check.verdict());
        return verdict > 0 || (verdict == 0 && after.utilisation() < check.utilisation() - Limits.SLACK);
    }

    /** Whether something was not tried because it was enough. */
    boolean cut() {
        return cut;
    }

    /** The design after changes, or null when they are refused or it is enough. */
    private Design solved(List<Change> changes) {
        cut |= enough.getAsBoolean();
        if (cut) {
            return null;
        }
        var reading = JobReader.read(DocumentPatch.apply(document, JobPaths.absolute(changes, design.job())), false);
        if (!reading.ok() || !solver.problems(reading.job()).isEmpty()) {
            return null;
        }
        return solver.solve(reading.job().at(design.job().place()), design);
    }

    /** A way that improves the check, or null. */
    Way way(String kind, String words, List<Change> changes) {
        Way way = tried(kind, words, changes);
        return way != null && improves(way.after()) ? way : null;
    }

    /** What a change would do, better or not; null when it is refused or leaves nothing. */
    Way tried(String kind, String words, List<Change> changes) {
        Design after = solved(changes);
        boolean emptied = after != null
                && after.layout().modules().isEmpty()
                && !design.layout().modules().isEmpty();
        if (after == null || emptied) {
            return null;
        }
        Check then = after.check(check.id());
        int lost = design.layout().modules().size() - after.layout().modules().size();
        return new Way(
                kind,
                words,
                changes,
                then,
                DesignChange.between(design, after).words(),
                WayCost.between(design, after, solver.tables().prices()),
                spoiled(after),
                lost);
    }

    private List<String> spoiled(Design after) {
        return after.checks().stream()
                .filter(c -> c.verdict().stops() && c.concerns(design.job().place()))
                .filter(c -> {
                    Check now = design.check(c.id());
                    return now == null || !now.verdict().stops();
                })
                .map(Check::title)
                .toList();
    }

    void offer(String kind, String words, List<Change> changes) {
        Way way = way(kind, words, changes);
        if (way != null) {
            ways.add(way);
        }
    }

    static List<Change> set(Path<?> path, Object value) {
        return List.of(Change.set(path, value));
    }
}
