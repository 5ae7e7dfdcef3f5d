package whipsaw.core.job;

import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/** A point on the plan: x to the right, y to the top of the sheet. */
public record Corner(
        @Input(label = "x", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure x,
        @Input(label = "y", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure y) {}
