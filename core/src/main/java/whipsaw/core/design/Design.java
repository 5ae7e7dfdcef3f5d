package whipsaw.core.design;

import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ModuleShade;
import whipsaw.core.build.Counts;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.run.AcRun;
import whipsaw.core.site.RoofZones;
import whipsaw.core.site.SiteActions;
import whipsaw.core.structure.ArraySeismic;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.structure.CoverPressure;
import whipsaw.core.structure.ExistingBuilding;
import whipsaw.core.structure.FootPressure;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.structure.RowSnow;
import whipsaw.core.structure.SnowOnRun;
import whipsaw.core.table.CodeTables;

/**
 * Everything that follows from a job.
 *
 * @param tables it was solved with, national parameters laid over
 * @param shade of parapets and things on the modules
 * @param rowSnow snow that drifts against rows of modules; null for none
 * @param faceWind what the wind does to a pitched roof; null for a flat one
 * @param downWind what the wind presses on roof and modules
 * @param seismic room to slide; null where the method is not asked for
 * @param existing what the array adds to the building; null where the rule is not asked for
 * @param attached what attachments hold; null where weight alone holds the array
 */
public record Design(
        Job job,
        CodeTables tables,
        RoofPlan plan,
        SiteActions site,
        ArrayLayout layout,
        ModuleShade shade,
        HoldDown holdDown,
        Circuits circuits,
        AcRun run,
        RoofLoads loads,
        RowSnow rowSnow,
        FaceWind faceWind,
        DownWind downWind,
        RoofMembers members,
        ArraySeismic seismic,
        AttachedArray attached,
        FootPressure feet,
        ExistingBuilding existing,
        Counts counts,
        List<Check> checks) {

    public Design {
        checks = List.copyOf(checks);
    }

    /** The same with its checks. */
    Design with(List<Check> all) {
        return new Design(
                job, tables, plan, site, layout, shade, holdDown, circuits, run, loads, rowSnow, faceWind, downWind,
                members, seismic, attached, feet, existing, counts, all);
    }

    /** Wind zones of the roof; null on a pitched one for which no method is at hand. */
    public RoofZones windZones() {
        return faceWind == null ? site.zones() : faceWind.zones();
    }

    /** The check that stops the job most. */
    public Check worstCheck() {
        return checks.get(0);
    }

    /**
     * Exit code of a solve: 0 all passes, 2 something fails, 3 something is left to an engineer or
     * not established.
     */
    public int exitCode() {
        Verdict worst = worstCheck().verdict();
        return switch (worst) {
            case FAILS -> 2;
            case NEEDS_ENGINEER, NOT_ESTABLISHED -> 3;
            default -> 0;
        };
    }

    /** Pressure of feet on the covering itself; null where it is not asked. */
    public CoverPressure cover() {
        return CoverPressure.of(job, layout, holdDown);
    }

    /** How deep snow lies on the AC run; null where that is not known. */
    public SnowOnRun snowOnRun() {
        return SnowOnRun.of(job, plan, site, rowSnow);
    }
}
