package whipsaw.core.catalogue;

import whipsaw.core.units.Measure;

/**
 * A module: size, mass and electrical figures at standard test conditions.
 *
 * @param clampLongFrom nearest to a corner a clamp may grip on a long side; null when not known, as the others below
 * @param clampLongTo farthest from that corner on a long side
 * @param clampShortFrom nearest to a corner on a short side
 * @param clampShortTo farthest from that corner on a short side
 * @param holes from a corner along a long side to the first mounting hole of the frame
 */
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
        Measure largestFuse,
        Measure clampLongFrom,
        Measure clampLongTo,
        Measure clampShortFrom,
        Measure clampShortTo,
        Measure holes) {

    public double areaM2() {
        return length.si() * width.si();
    }
}
