package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
    /** Changes that are yet to be tried, all at once. */
    private final List<Offered> offered = new ArrayList<>();

    private volatile boolean cut;

    /**
     * @param enough whether to stop, asked before each try, by any of those that try at once
     */
    Tries(Design design, Check check, Solver solver, BooleanSupplier enough) {
        this.enough = enough;
        this.design = design;
        this.check = check;
        this.solver = solver;
        this.document = JobWriter.write(design.job());
    }

    private record Offered(String kind, String words, List<Change> changes) {}

    void add(Way way) {
        tryOffered();
        ways.add(way);
    }

    /** Tries what was offered on all cores; what improves the check is kept in the order in which it was offered. */
    private void tryOffered() {
        List<Offered> all = List.copyOf(offered);
        offered.clear();
        ways.addAll(all.parallelStream()
                .map(o -> way(o.kind(), o.words(), o.changes()))
                .filter(Objects::nonNull)
                .toList());
    }

    /** Tables as the job reads them. */
    CodeTables tables() {
        return solver.tables().forJob(design.job());
    }

    /** What was kept so far. */
    List<Way> ways() {
        tryOffered();
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
        if (cut || enough.getAsBoolean()) {
            cut = true;
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

    /** A change to be tried. */
    void offer(String kind, String words, List<Change> changes) {
        offered.add(new Offered(kind, words, changes));
    }

    static List<Change> set(Path<?> path, Object value) {
        return List.of(Change.set(path, value));
    }
}
