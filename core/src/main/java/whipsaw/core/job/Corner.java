package whipsaw.core.job;

import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/** A point on the plan: x to the right, y to the top of the sheet. */
public record Corner(
        @Input(label = "x", dim = Dimension.ROOF_LENGTH, least = -Corner.FARTHEST_M, most = Corner.FARTHEST_M)
                Measure x,
        @Input(label = "y", dim = Dimension.ROOF_LENGTH, least = -Corner.FARTHEST_M, most = Corner.FARTHEST_M)
                Measure y) {
    /** No point lies farther from the origin along either side, m. */
    public static final double FARTHEST_M = 2000;
}
