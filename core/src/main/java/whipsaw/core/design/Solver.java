package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ArrayStage;
import whipsaw.core.array.ModuleShade;
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
        return solve(job, null);
    }

    /**
     * Solves a job without problems; stages whose inputs are those of a design that is there already take its results.
     *
     * @param before design of a similar job, as the one before a change; null for none
     */
    public Design solve(Job job, Design before) {
        CodeTables own = tables.forJob(job);
        Known known = new Known(job, before != null && before.tables() == own ? before : null);
        RoofPlan plan = known.of(known.roof, Design::plan, () -> RoofPlan.of(job.roof()));
        SiteActions site = known.of(known.roof && known.site, Design::site, () -> SiteActions.of(job, plan, own));
        ArrayLayout layout = known.of(known.array, Design::layout, () -> ArrayStage.of(job, plan, own.setbacks()));
        ModuleShade shade = known.of(known.array, Design::shade, () -> ModuleShade.of(job, plan, layout));
        HoldDown holdDown =
                known.of(known.array, Design::holdDown, () -> HoldDownStage.of(job, plan, site, layout, own));
        Circuits circuits = known.of(known.circuits, Design::circuits, () -> CircuitStage.of(job, layout));
        AcRun run = known.of(known.circuits, Design::run, () -> AcRun.of(job, circuits, own));
        RoofLoads loads = known.of(known.laid, Design::loads, () -> RoofLoads.of(job, plan, layout, holdDown, own));
        FaceWind wind = known.of(known.array, Design::faceWind, () -> FaceWind.of(job, plan, own));
        RowSnow rows = known.of(known.array, Design::rowSnow, () -> RowSnow.of(job, plan, site, layout, own));
        DownWind down = known.of(
                known.array, Design::downWind, () -> DownWind.of(job, plan, site, wind, layout, holdDown, own));
        RoofMembers members = known.of(
                known.laid,
                Design::members,
                () -> RoofMembers.of(job, plan, site, rows, wind, down, layout, holdDown, own));
        AttachedArray attached = known.of(
                known.laid, Design::attached, () -> AttachedArray.of(job, site, layout, holdDown, down, loads, own));
        ArraySeismic seismic = attached == null
                ? known.of(known.laid, Design::seismic, () -> ArraySeismic.of(job, plan, layout, holdDown, own))
                : null;
        FootPressure feet =
                known.of(known.array, Design::feet, () -> FootPressure.of(job, site, down, layout, holdDown, own));
        ExistingBuilding existing =
                known.of(known.laid, Design::existing, () -> ExistingBuilding.of(job, plan, site, holdDown, loads));
        Counts counts = Counts.of(job, layout, holdDown, attached == null ? 0 : attached.needed(), circuits, run);
        Design design = new Design(
                job, own, plan, site, layout, shade, holdDown, circuits, run, loads, rows, wind, down, members, seismic,
                attached, feet, existing, counts, List.of());
        return design.with(Check.ranked(DesignChecks.of(design, own)));
    }

    /**
     * What of a design still holds for a job: parts of the job that are the same as they were. Stages read the tables and
     * what is named here of the job; only counts and checks read more of it.
     */
    private static final class Known {
        private final Design design;
        private final boolean roof;
        private final boolean site;
        /** Roof, site and array. */
        private final boolean array;
        /** These and what lies along the AC run. */
        private final boolean laid;
        /** These and all of the electrical side. */
        private final boolean circuits;

        Known(Job job, Design design) {
            Job was = design == null ? null : design.job();
            this.design = design;
            this.roof = was != null && was.roof().equals(job.roof());
            this.site = was != null && was.site().equals(job.site());
            this.array = roof && site && was.array().equals(job.array());
            this.laid = array && was.electrical().run().equals(job.electrical().run());
            this.circuits = array && was.electrical().equals(job.electrical());
        }

        <T> T of(boolean same, Function<Design, T> known, Supplier<T> solved) {
            return same ? known.apply(design) : solved.get();
        }
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
