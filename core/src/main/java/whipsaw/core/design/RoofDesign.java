package whipsaw.core.design;

import java.util.List;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.JobRoof;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.SheetLines;
import whipsaw.core.roof.SiteSizeReport;
import whipsaw.core.roof.SurveyReport;
import whipsaw.core.site.SiteActions;
import whipsaw.core.structure.ExistingBuilding;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.structure.SetDowns;
import whipsaw.core.units.UnitSystem;

/**
 * What follows for one roof and the arrays on it.
 *
 * @param faceWind what the wind does to a pitched roof; null for a flat one
 * @param loads of all arrays on it
 * @param members under all arrays on it
 * @param existing what the arrays add to the building; null where the rule is not asked for
 * @param taken by the survey
 * @param setDowns stacks set down while building
 * @param arrays in the order of the job; one that places nothing where it has none
 */
public record RoofDesign(
        JobRoof roof,
        RoofPlan plan,
        SiteActions site,
        FaceWind faceWind,
        RoofLoads loads,
        RoofMembers members,
        ExistingBuilding existing,
        Taken taken,
        List<SetDowns.Stand> setDowns,
        List<ArrayDesign> arrays) {
    /**
     * What the survey of the roof comes to.
     *
     * @param tapes the fit of a tape survey in words; null for none
     * @param sizes those taped on site beside a drawn outline; null for none
     * @param sheets ribs, purlins and screws, face by face
     */
    public record Taken(SurveyReport tapes, SiteSizeReport sizes, List<SheetLines> sheets) {
        static Taken of(Roof roof, RoofPlan plan, UnitSystem units) {
            return new Taken(
                    plan.fit() == null ? null : SurveyReport.of((Outline.Taped) roof.outline(), units),
                    SiteSizeReport.of(plan),
                    plan.faces().faces().stream()
                            .map(f -> SheetLines.of(f, roof.fabric()))
                            .toList());
        }
    }

    public RoofDesign {
        setDowns = List.copyOf(setDowns);
        arrays = List.copyOf(arrays);
    }

    /** All arrays as they lie on it. */
    public List<LaidArray> laid() {
        return arrays.stream().map(ArrayDesign::laid).toList();
    }

    /** Whether the blocks of all arrays on it are established. */
    public boolean established() {
        return arrays.stream().allMatch(a -> a.holdDown().established());
    }

    /** Modules of all arrays on it. */
    public int modules() {
        return arrays.stream().mapToInt(a -> a.layout().modules().size()).sum();
    }
}
