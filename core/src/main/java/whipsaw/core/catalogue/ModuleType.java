package whipsaw.core.catalogue;

import whipsaw.core.units.Measure;

/** A module: size, mass and electrical figures at standard test conditions. */
public record ModuleType(
        CatalogueInfo info,
        Measure power,
        Measure length,
        Measure width,
        Measure mass,
        Measure voc,
        Measure vmp,
        Measure isc,
        Measure imp,
        Measure vocCoefficient,
        Measure vmpCoefficient,
        Measure largestFuse) {

    public double areaM2() {
        return length.si() * width.si();
    }
}
