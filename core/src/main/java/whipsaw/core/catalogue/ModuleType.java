package whipsaw.core.catalogue;

import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
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
        @Inline CatalogueInfo info,
        @Input(label = "Power", dim = Dimension.MODULE_POWER, least = 30, most = 1000, example = "500 W") Measure power,
        @Input(label = "Longer side", dim = Dimension.PART_LENGTH, least = 0.3, most = 3, example = "2094 mm")
                Measure length,
        @Input(label = "Shorter side", dim = Dimension.PART_LENGTH, least = 0.3, most = 3, example = "1134 mm")
                Measure width,
        @Input(label = "Mass", dim = Dimension.MASS, least = 3, most = 60, example = "26 kg") Measure mass,
        @Input(label = "V_oc", dim = Dimension.VOLTAGE, least = 5, most = 200, example = "45.5 V") Measure voc,
        @Input(label = "V_mp", dim = Dimension.VOLTAGE, least = 5, most = 200, example = "38.3 V") Measure vmp,
        @Input(label = "I_sc", dim = Dimension.CURRENT, least = 0.5, most = 30, example = "13.9 A") Measure isc,
        @Input(label = "I_mp", dim = Dimension.CURRENT, least = 0.5, most = 30, example = "13.06 A") Measure imp,
        @Input(
                        label = "Coefficient of V_oc",
                        dim = Dimension.PER_CENT_PER_DEGREE,
                        least = -1,
                        most = 0,
                        example = "-0.25 %/C")
                Measure vocCoefficient,
        @Input(
                        label = "Coefficient of V_mp",
                        dim = Dimension.PER_CENT_PER_DEGREE,
                        least = -1,
                        most = 0,
                        example = "-0.32 %/C")
                Measure vmpCoefficient,
        @Input(label = "Largest fuse", dim = Dimension.CURRENT, least = 0.5, most = 30, example = "25 A")
                Measure largestFuse,
        @Input(
                        label = "Clamps on the long side, from a corner, from",
                        dim = Dimension.PART_LENGTH,
                        least = 0,
                        most = 1.5,
                        optional = true,
                        with = "clampLongTo",
                        example = "250 mm")
                Measure clampLongFrom,
        @Input(
                        label = "Clamps on the long side, from a corner, to",
                        dim = Dimension.PART_LENGTH,
                        least = 0,
                        most = 1.5,
                        optional = true,
                        with = "clampLongFrom",
                        example = "550 mm")
                Measure clampLongTo,
        @Input(
                        label = "Clamps on the short side, from a corner, from",
                        dim = Dimension.PART_LENGTH,
                        least = 0,
                        most = 1.5,
                        optional = true,
                        with = "clampShortTo",
                        example = "150 mm")
                Measure clampShortFrom,
        @Input(
                        label = "Clamps on the short side, from a corner, to",
                        dim = Dimension.PART_LENGTH,
                        least = 0,
                        most = 1.5,
                        optional = true,
                        with = "clampShortFrom",
                        example = "350 mm")
                Measure clampShortTo,
        @Input(
                        label = "Mounting holes, from a corner along the long side",
                        dim = Dimension.PART_LENGTH,
                        least = 0,
                        most = 1.5,
                        optional = true,
                        example = "400 mm")
                Measure holes) {

    /** Length times width. */
    public double areaM2() {
        return length.si() * width.si();
    }
}
