package whipsaw.core.design;

import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ModuleShade;
import whipsaw.core.array.Reach;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Job;
import whipsaw.core.structure.ArraySeismic;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.structure.CoverPressure;
import whipsaw.core.structure.FootPressure;
import whipsaw.core.structure.RowSnow;
import whipsaw.core.structure.SnowOnRun;
import whipsaw.core.survey.SightLines;

/**
 * What follows for one array; a roof without one has one that places nothing.
 *
 * @param job as the array sees it
 * @param reach how many modules come off before one is reached
 * @param shade of parapets and things on the modules
 * @param downWind what the wind presses on roof and modules
 * @param rowSnow snow that drifts against rows of modules; null for none
 * @param seismic room to slide; null where the method is not asked for
 * @param attached what attachments hold; null where weight alone holds the array
 * @param feet on the insulation; null where it is not asked
 * @param cover of feet on the covering itself; null where it is not asked
 * @param snowOnRun how deep snow lies on the AC run; null where that is not known
 * @param sight who sees modules from the ground
 */
public record ArrayDesign(
        Job job,
        ArrayLayout layout,
        Reach reach,
        ModuleShade shade,
        HoldDown holdDown,
        DownWind downWind,
        RowSnow rowSnow,
        AttachedArray attached,
        ArraySeismic seismic,
        FootPressure feet,
        CoverPressure cover,
        SnowOnRun snowOnRun,
        SightLines sight) {

    /** The same with the snow on its run. */
    ArrayDesign with(SnowOnRun deep) {
        return new ArrayDesign(
                job, layout, reach, shade, holdDown, downWind, rowSnow, attached, seismic, feet, cover, deep, sight);
    }

    /** The array as it lies on its roof. */
    public LaidArray laid() {
        return new LaidArray(job, layout, holdDown);
    }
}
