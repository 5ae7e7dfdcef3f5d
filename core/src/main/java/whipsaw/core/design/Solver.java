package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ArrayStage;
import whipsaw.core.build.Counts;
import whipsaw.core.check.Check;
import whipsaw.core.circuit.CircuitStage;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.HoldDownStage;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.OutlineRules;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.run.AcRun;
import whipsaw.core.schema.Problem;
import whipsaw.core.site.SiteActions;
import whipsaw.core.structure.ArraySeismic;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.structure.ExistingBuilding;
import whipsaw.core.structure.FootPressure;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.structure.RowSnow;
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

    /** What a job has to satisfy before it can be solved; empty when it can. */
    public List<Problem> problems(Job job) {
        List<Problem> problems =
                new ArrayList<>(OutlineRules.check(job.roof(), job.project().units()));
        for (int i = 0; i < job.survey().roofs().size(); i++) {
            String path = JobPaths.SURVEY
                    .at(Survey::roofs, i)
                    .to(Survey.OtherRoof::roof)
                    .toString();
            for (Problem p : OutlineRules.check(
                    job.survey().roofs().get(i).roof(), job.project().units())) {
                problems.add(new Problem(
                        p.path().replace(JobPaths.ROOF.toString(), path), p.label(), p.value(), p.message()));
            }
        }
        if (problems.isEmpty()) {
            problems.addAll(ChoiceRules.check(job, RoofPlan.of(job.roof()), tables));
        }
        return problems;
    }

    /** Solves a job without problems. */
    public Design solve(Job job) {
        return solve(job, tables.forJob(job));
    }

    private static Design solve(Job job, CodeTables tables) {
        RoofPlan plan = RoofPlan.of(job.roof());
        SiteActions site = SiteActions.of(job, plan, tables);
        ArrayLayout layout = ArrayStage.of(job, plan, tables.setbacks());
        HoldDown holdDown = HoldDownStage.of(job, plan, site, layout, tables);
        Circuits circuits = CircuitStage.of(job, layout);
        AcRun run = AcRun.of(job, circuits, tables);
        RoofLoads loads = RoofLoads.of(job, plan, layout, holdDown, tables);
        FaceWind wind = FaceWind.of(job, plan, tables);
        RowSnow rows = RowSnow.of(job, plan, site, layout, tables);
        DownWind down = DownWind.of(job, plan, site, wind, layout, holdDown, tables);
        RoofMembers members = RoofMembers.of(job, plan, site, rows, wind, down, layout, holdDown, tables);
        AttachedArray attached = AttachedArray.of(job, site, layout, holdDown, down, loads, tables);
        ArraySeismic seismic = attached == null ? ArraySeismic.of(job, plan, layout, holdDown, tables) : null;
        FootPressure feet = FootPressure.of(job, site, down, layout, holdDown, tables);
        ExistingBuilding existing = ExistingBuilding.of(job, plan, site, holdDown, loads);
        Counts counts = Counts.of(job, layout, holdDown, attached == null ? 0 : attached.needed(), circuits, run);
        Design design = new Design(
                job, plan, site, layout, holdDown, circuits, run, loads, rows, wind, down, members, seismic, attached,
                feet, existing, counts, List.of());
        return design.with(Check.ranked(DesignChecks.of(design, tables)));
    }

    /** A job as it rests on the tables of this solver, to be stored so. */
    public Job resting(Job job) {
        return job.resting(tables.inUse(job).stream()
                .map(t -> new Job.TableRef(t.id(), t.edition(), t.hash()))
                .toList());
    }

    public CodeTables tables() {
        return tables;
    }
}
