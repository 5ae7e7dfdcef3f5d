package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.Supplier;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ArrayStage;
import whipsaw.core.array.ModuleShade;
import whipsaw.core.array.Reach;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.HoldDownStage;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobRoof;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.structure.ArraySeismic;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.structure.CoverPressure;
import whipsaw.core.structure.ExistingBuilding;
import whipsaw.core.structure.FootPressure;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.structure.RowSnow;
import whipsaw.core.structure.SetDowns;
import whipsaw.core.structure.SnowOnRun;
import whipsaw.core.survey.SightLines;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.UnitSystem;

/**
 * The stages of one roof and of the arrays on it: roof, site actions, layouts, hold-down, loads, members. What of a
 * design before still holds is taken from it: stages read the tables, and of the job no more than is named here.
 */
final class RoofSolve {
    private final JobRoof roof;
    private final Job any;
    private final List<Job> jobs;
    private final CodeTables tables;
    private final RoofDesign before;
    private final boolean sameRoof;
    private final boolean sameSite;
    /** Roof, site and all arrays on the roof. */
    private final boolean sameArrays;
    /** These and what lies along the AC run. */
    private final boolean sameLaid;

    /** @param known design of a similar job with the same tables; null for none */
    RoofSolve(JobDocument document, JobRoof roof, CodeTables tables, WholeDesign known) {
        this.roof = roof;
        this.tables = tables;
        this.jobs = document.places().stream()
                .map(document::at)
                .filter(j -> j.on().id().equals(roof.id()))
                .toList();
        this.any = jobs.get(0);
        RoofDesign was = known == null
                ? null
                : known.roofs().stream()
                        .filter(r -> r.roof().id().equals(roof.id()))
                        .findFirst()
                        .orElse(null);
        this.before = was;
        Job then = was == null ? null : was.arrays().get(0).job();
        this.sameRoof = was != null && was.roof().roof().equals(roof.roof());
        this.sameSite = was != null && then.site().equals(any.site());
        this.sameArrays = sameRoof
                && sameSite
                && then.onThisRoof().equals(any.onThisRoof())
                && (any.placed() != null || then.array().equals(any.array()));
        this.sameLaid =
                sameArrays && then.electrical().run().equals(any.electrical().run());
    }

    /** Whether the roof, the site and all arrays on it are those of the design before. */
    boolean sameArrays() {
        return sameArrays;
    }

    private <T> T of(boolean same, Function<RoofDesign, T> known, Supplier<T> solved) {
        return same ? known.apply(before) : solved.get();
    }

    /** The same for the array at a place in the list. */
    private <T> T of(boolean same, int i, Function<ArrayDesign, T> known, Supplier<T> solved) {
        return same ? known.apply(before.arrays().get(i)) : solved.get();
    }

    RoofDesign solve() {
        RoofPlan plan = of(sameRoof, RoofDesign::plan, () -> RoofPlan.of(roof.roof()));
        SiteActions site = of(sameRoof && sameSite, RoofDesign::site, () -> SiteActions.of(any, plan, tables));
        FaceWind wind = of(sameArrays, RoofDesign::faceWind, () -> FaceWind.of(any, plan, tables));
        List<ArrayLayout> layouts = new ArrayList<>();
        for (int i = 0; i < jobs.size(); i++) {
            Job job = jobs.get(i);
            layouts.add(of(sameArrays, i, ArrayDesign::layout, () -> ArrayStage.of(job, plan, tables)));
        }
        List<LaidArray> laid = new ArrayList<>();
        for (int i = 0; i < jobs.size(); i++) {
            Job job = jobs.get(i);
            ArrayLayout layout = layouts.get(i);
            HoldDown holdDown = of(
                    sameArrays,
                    i,
                    ArrayDesign::holdDown,
                    () -> HoldDownStage.of(job, plan, site, layout, without(layouts, layout), tables));
            laid.add(new LaidArray(job, layout, holdDown));
        }
        RoofLoads loads = of(sameLaid, RoofDesign::loads, () -> RoofLoads.of(any, plan, laid, tables));
        List<ArrayDesign> arrays = new ArrayList<>();
        for (int i = 0; i < jobs.size(); i++) {
            arrays.add(array(i, plan, site, wind, laid));
        }
        List<RowSnow> rows = arrays.stream()
                .map(ArrayDesign::rowSnow)
                .filter(Objects::nonNull)
                .toList();
        for (int i = 0; i < jobs.size(); i++) {
            arrays.set(i, snowed(i, plan, site, arrays.get(i), rows));
        }
        RoofMembers members = of(sameLaid, RoofDesign::members, () -> members(plan, site, wind, laid, arrays, rows));
        ExistingBuilding existing =
                of(sameLaid, RoofDesign::existing, () -> ExistingBuilding.of(any, plan, site, laid, loads));
        UnitSystem units = any.project().units();
        RoofDesign.Taken taken = of(
                sameRoof && units == before.arrays().get(0).job().project().units(),
                RoofDesign::taken,
                () -> RoofDesign.Taken.of(roof.roof(), plan, units));
        List<SetDowns.Stand> setDowns =
                of(sameRoof && sameSite, RoofDesign::setDowns, () -> SetDowns.of(any, plan, tables));
        return new RoofDesign(roof, plan, site, wind, loads, members, existing, taken, setDowns, arrays);
    }

    private ArrayDesign array(int i, RoofPlan plan, SiteActions site, FaceWind wind, List<LaidArray> all) {
        LaidArray own = all.get(i);
        Job job = own.job();
        ArrayLayout layout = own.layout();
        HoldDown holdDown = own.holdDown();
        Reach reach = of(
                sameArrays,
                i,
                ArrayDesign::reach,
                () -> Reach.of(
                        layout,
                        plan,
                        roof.roof().obstructions(),
                        without(all, own).stream().map(LaidArray::layout).toList(),
                        tables.arrayAccess().value("walk_strip_m")));
        ModuleShade shade = of(sameArrays, i, ArrayDesign::shade, () -> ModuleShade.of(job, plan, layout));
        RowSnow rows = of(sameArrays, i, ArrayDesign::rowSnow, () -> RowSnow.of(job, plan, site, layout, tables));
        DownWind down = of(
                sameArrays,
                i,
                ArrayDesign::downWind,
                () -> DownWind.of(job, plan, site, wind, layout, holdDown, tables));
        AttachedArray attached = of(
                sameLaid, i, ArrayDesign::attached, () -> AttachedArray.of(job, site, layout, holdDown, down, tables));
        ArraySeismic seismic = attached == null
                ? of(
                        sameLaid,
                        i,
                        ArrayDesign::seismic,
                        () -> ArraySeismic.of(job, plan, layout, holdDown, without(all, own), tables))
                : null;
        FootPressure feet =
                of(sameArrays, i, ArrayDesign::feet, () -> FootPressure.of(job, site, down, layout, holdDown, tables));
        boolean surveyed = sameArrays && before.arrays().get(i).job().survey().equals(job.survey());
        CoverPressure cover = of(surveyed, i, ArrayDesign::cover, () -> CoverPressure.of(job, layout, holdDown));
        SightLines sight = of(surveyed, i, ArrayDesign::sight, () -> SightLines.of(job, plan, layout));
        return new ArrayDesign(
                job, layout, reach, shade, holdDown, down, rows, attached, seismic, feet, cover, null, sight);
    }

    /** The same with the snow on its run, which lies against the rows of all arrays. */
    private ArrayDesign snowed(int i, RoofPlan plan, SiteActions site, ArrayDesign array, List<RowSnow> rows) {
        boolean same = sameArrays
                && before.arrays()
                        .get(i)
                        .job()
                        .electrical()
                        .run()
                        .equals(array.job().electrical().run());
        SnowOnRun run = of(same, i, ArrayDesign::snowOnRun, () -> SnowOnRun.of(array.job(), plan, site, rows));
        return array.with(run);
    }

    private RoofMembers members(
            RoofPlan plan,
            SiteActions site,
            FaceWind wind,
            List<LaidArray> laid,
            List<ArrayDesign> arrays,
            List<RowSnow> rows) {
        return RoofMembers.of(
                any,
                plan,
                site,
                rows,
                wind,
                DownWind.together(
                        arrays.stream().map(ArrayDesign::downWind).toList(),
                        laid.stream().map(l -> l.layout().modules().size()).toList()),
                laid,
                tables);
    }

    private static <T> List<T> without(List<T> all, T one) {
        return all.stream().filter(a -> a != one).toList();
    }
}
