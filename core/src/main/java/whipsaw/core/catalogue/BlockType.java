package whipsaw.core.catalogue;

import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/** A ballast block. */
public record BlockType(
        @Inline CatalogueInfo info,
        @Input(label = "Mass (weighed)", dim = Dimension.MASS, least = 2, most = 60, example = "32 lb") Measure mass,
        @Input(label = "Length", dim = Dimension.PART_LENGTH, least = 0.03, most = 1.2, example = "16 in")
                Measure length,
        @Input(label = "Width", dim = Dimension.PART_LENGTH, least = 0.03, most = 1.2, example = "8 in") Measure width,
        @Input(label = "Height", dim = Dimension.PART_LENGTH, least = 0.03, most = 1.2, example = "4 in")
                Measure height) {}
