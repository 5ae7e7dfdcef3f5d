package whipsaw.core.design;

import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ModuleShade;
import whipsaw.core.build.Counts;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.energy.EnergyStage;
import whipsaw.core.energy.MeterYear;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.InverterGroup;
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
import whipsaw.core.structure.SetDowns;
import whipsaw.core.structure.SnowOnRun;
import whipsaw.core.survey.SightLines;
import whipsaw.core.table.CodeTables;

/**
 * Everything that follows from a job, as one of its arrays sees it: what is its own, what its roof bears, and what all of
 * the job shares.
 *
 * @param whole the design of the job
 * @param roof that is looked at
 * @param array that is looked at, on that roof
 */
public record Design(WholeDesign whole, RoofDesign roof, ArrayDesign array) {

    /** The same design as another array, or a roof without one, sees it; its first array where there is none of that id. */
    public Design at(String place) {
        Job wanted = job().at(place);
        if (wanted.equals(job())) {
            return this;
        }
        for (RoofDesign r : whole.roofs()) {
            for (ArrayDesign a : r.arrays()) {
                if (a.job().place().equals(wanted.place())) {
                    return new Design(whole, r, a);
                }
            }
        }
        throw new IllegalStateException("no design of " + wanted.place());
    }

    /** The job as the array sees it. */
    public Job job() {
        return array.job();
    }

    /** Tables it was solved with, national parameters laid over. */
    public CodeTables tables() {
        return whole.tables();
    }

    /** The roof in plan. */
    public RoofPlan plan() {
        return roof.plan();
    }

    /** Wind, snow and zones of the roof. */
    public SiteActions site() {
        return roof.site();
    }

    /** The modules of the array as placed. */
    public ArrayLayout layout() {
        return array.layout();
    }

    /** Shade of parapets and things on the modules. */
    public ModuleShade shade() {
        return array.shade();
    }

    /** Demand and blocks of the array. */
    public HoldDown holdDown() {
        return array.holdDown();
    }

    /** Inverters and strings of the whole job. */
    public Circuits circuits() {
        return whole.circuits();
    }

    /** Strings of the array. */
    public Circuits.ArrayStrings strings() {
        return whole.circuits().of(job().place());
    }

    /** The AC run of the inverters the array feeds. */
    public AcRun run() {
        return whole.runs().get(job().group().id());
    }

    /** The design as the first array that feeds an inverter group sees it; null where none feeds it. */
    public Design feeding(InverterGroup group) {
        return job().document().arrays().stream()
                .filter(a -> a.feeds().equals(group.id()))
                .findFirst()
                .map(a -> job().group().id().equals(group.id()) ? this : at(a.id()))
                .orElse(null);
    }

    /** The inverters the array feeds. */
    public Circuits.Group inverters() {
        return circuits().group(job().group().id());
    }

    /** Loads of all arrays on the roof. */
    public RoofLoads loads() {
        return roof.loads();
    }

    /** Snow that drifts against rows of the array; null for none. */
    public RowSnow rowSnow() {
        return array.rowSnow();
    }

    /** What the wind does to a pitched roof; null for a flat one. */
    public FaceWind faceWind() {
        return roof.faceWind();
    }

    /** What the wind presses on roof and modules. */
    public DownWind downWind() {
        return array.downWind();
    }

    /** Members under all arrays on the roof. */
    public RoofMembers members() {
        return roof.members();
    }

    /** Room to slide; null where the method is not asked for. */
    public ArraySeismic seismic() {
        return array.seismic();
    }

    /** What attachments hold; null where weight alone holds the array. */
    public AttachedArray attached() {
        return array.attached();
    }

    /** Pressure of feet on the insulation; null where it is not asked. */
    public FootPressure feet() {
        return array.feet();
    }

    /** What the arrays add to the building; null where the rule is not asked for. */
    public ExistingBuilding existing() {
        return roof.existing();
    }

    /** What the whole job takes. */
    public Counts counts() {
        return whole.counts();
    }

    /** Checks of the whole job, the worst first. */
    public List<Check> checks() {
        return whole.checks();
    }

    /** The check of an id that is about this place; null when there is none. */
    public Check check(String id) {
        return checks().stream()
                .filter(c -> c.id().equals(id) && c.concerns(job().place()))
                .findFirst()
                .orElse(null);
    }

    /** Wind zones of the roof; null on a pitched one for which no method is at hand. */
    public RoofZones windZones() {
        return faceWind() == null ? site().zones() : faceWind().zones();
    }

    /** The check that stops the job most. */
    public Check worstCheck() {
        return checks().get(0);
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
        return array.cover();
    }

    /** How deep snow lies on the AC run; null where that is not known. */
    public SnowOnRun snowOnRun() {
        return array.snowOnRun();
    }

    /** Who sees modules of the array from the ground. */
    public SightLines sight() {
        return array.sight();
    }

    /** What the survey of the roof comes to. */
    public RoofDesign.Taken taken() {
        return roof.taken();
    }

    /** Stacks set down on the roof while building. */
    public List<SetDowns.Stand> setDowns() {
        return roof.setDowns();
    }

    /** What the occupants use of the energy of the year, and what goes to the grid up to the limit of export. */
    public MeterYear meterYear() {
        double limitW = job().survey().number("exportLimit");
        return MeterYear.of(
                whole.year(),
                job().survey().occupants(),
                EnergyStage.utcOffsetH(job().site()),
                Double.isNaN(limitW) ? Double.POSITIVE_INFINITY : limitW / 1000);
    }
}
