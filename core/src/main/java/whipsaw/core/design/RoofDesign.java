package whipsaw.core.design;

import java.util.List;
import java.util.Objects;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.JobRoof;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.structure.ExistingBuilding;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.structure.RowSnow;

/**
 * What follows for one roof and the arrays on it.
 *
 * @param faceWind what the wind does to a pitched roof; null for a flat one
 * @param loads of all arrays on it
 * @param members under all arrays on it
 * @param existing what the arrays add to the building; null where the rule is not asked for
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
        List<ArrayDesign> arrays) {
    public RoofDesign {
        arrays = List.copyOf(arrays);
    }

    /** Snow that the rows of each array gather, where they do. */
    public List<RowSnow> rowSnow() {
        return arrays.stream()
                .map(ArrayDesign::rowSnow)
                .filter(Objects::nonNull)
                .toList();
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
