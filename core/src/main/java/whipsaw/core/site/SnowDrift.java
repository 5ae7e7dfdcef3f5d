package whipsaw.core.site;

import java.util.List;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/** Snow drifted against one obstacle, by the formulas of a code family. */
public sealed interface SnowDrift permits AsceDrift, EnDrift {
    /** From the obstacle to the end of the drift, m; 0 where none has to be taken. */
    double lengthM();

    /** All snow at the obstacle, Pa. */
    double peakPa();

    /**
     * The lines of its working.
     *
     * @param terms where the snow, the height and the factors put in come from
     */
    List<Step> steps(Terms terms);
}
