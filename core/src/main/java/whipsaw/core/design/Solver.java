package whipsaw.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.build.Counts;
import whipsaw.core.circuit.CircuitStage;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.energy.EnergyStage;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobRoof;
import whipsaw.core.roof.OutlineRules;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.run.AcRun;
import whipsaw.core.schema.Problem;
import whipsaw.core.table.CodeTables;

/**
 * The one deterministic way from a job to its design. Data flows one way: roof, site actions,
 * array, hold-down, circuits, runs, structure, counts; no stage reads a later one.
 */
public final class Solver {
    private final CodeTables tables;

    public Solver(CodeTables tables) {
        this.tables = tables;
    }

    /**
     * What a job has to satisfy before it can be solved; empty when it can. Paths into the roof and the array it is
     * looked at from are written as {@code $.roof} and {@code $.array}, others from the document.
     */
    public List<Problem> problems(Job job) {
        List<Problem> problems = new ArrayList<>();
        JobDocument document = job.document();
        for (JobRoof roof : document.roofs()) {
            problems.addAll(
                    located(OutlineRules.check(roof.roof(), job.project().units()), document.at(roof.id()), job));
        }
        if (!problems.isEmpty()) {
            return problems;
        }
        Map<String, RoofPlan> plans = new HashMap<>();
        for (String place : document.places()) {
            Job seen = document.at(place);
            RoofPlan plan = plans.computeIfAbsent(seen.on().id(), id -> RoofPlan.of(seen.roof()));
            if (seen.placed() != null) {
                problems.addAll(located(ChoiceRules.check(seen, plan, tables), seen, job));
                problems.addAll(located(AreaRules.check(seen, plan), seen, job));
            }
        }
        return problems.stream().distinct().toList();
    }

    /** What was found at one place, with its paths as another sees them. */
    private static List<Problem> located(List<Problem> problems, Job found, Job seen) {
        return problems.stream()
                .map(p -> new Problem(
                        JobPaths.relative(JobPaths.absolute(p.path(), found), seen), p.label(), p.value(), p.message()))
                .toList();
    }

    /** Solves a job without problems. */
    public Design solve(Job job) {
        return solve(job, null);
    }

    /**
     * Solves a job without problems; stages whose inputs are those of a design that is there already take its results.
     *
     * @param before design of a similar job, as the one before a change; null for none
     * @return the design as the array sees it that the job is looked at from
     */
    public Design solve(Job job, Design before) {
        CodeTables own = tables.forJob(job);
        WholeDesign known = before != null && before.tables() == own ? before.whole() : null;
        JobDocument document = job.document();
        List<RoofSolve> solves = document.roofs().stream()
                .map(r -> new RoofSolve(document, r, own, known))
                .toList();
        List<RoofDesign> roofs = solves.parallelStream().map(RoofSolve::solve).toList();
        List<ArrayDesign> arrays =
                roofs.stream().flatMap(r -> r.arrays().stream()).toList();
        List<LaidArray> laid = arrays.stream().map(ArrayDesign::laid).toList();
        boolean same = known != null
                && solves.stream().allMatch(RoofSolve::sameArrays)
                && before.job().document().places().equals(document.places())
                && before.job().document().groups().equals(document.groups());
        Circuits circuits = same ? known.circuits() : CircuitStage.of(laid);
        Map<String, AcRun> runs = same ? known.runs() : runs(document, circuits, own);
        int attachments = arrays.stream()
                .mapToInt(a -> a.attached() == null ? 0 : a.attached().needed())
                .sum();
        YearOnce year = same ? known.yearOnce() : new YearOnce(() -> EnergyStage.of(lit(arrays), circuits, runs));
        WholeDesign whole = new WholeDesign(
                own, roofs, circuits, runs, Counts.of(laid, attachments, circuits, runs), year, List.of());
        whole = whole.with(PlaceChecks.of(whole, own));
        return new Design(whole, roofs.get(0), roofs.get(0).arrays().get(0)).at(job.place());
    }

    private static List<EnergyStage.Laid> lit(List<ArrayDesign> arrays) {
        return arrays.stream()
                .map(a -> new EnergyStage.Laid(a.job(), a.layout(), a.shade()))
                .toList();
    }

    private static Map<String, AcRun> runs(JobDocument document, Circuits circuits, CodeTables tables) {
        Map<String, AcRun> runs = new HashMap<>();
        for (InverterGroup g : document.groups()) {
            runs.put(g.id(), AcRun.of(g.electrical(), document.site().designHigh(), circuits.group(g.id()), tables));
        }
        return runs;
    }

    /** A job as it rests on the tables of this solver, to be stored so. */
    public Job resting(Job job) {
        return job.resting(tables.inUse(job).stream()
                .map(t -> new Job.TableRef(t.id(), t.edition(), t.hash()))
                .toList());
    }

    /** Tables it solves with, before those of a job are laid over. */
    public CodeTables tables() {
        return tables;
    }
}
