package whipsaw.core.catalogue;

import whipsaw.core.units.Measure;

/** A ballast block. */
public record BlockType(CatalogueInfo info, Measure mass, Measure length, Measure width, Measure height) {}
