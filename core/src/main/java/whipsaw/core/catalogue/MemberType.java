package whipsaw.core.catalogue;

import java.util.List;
import whipsaw.core.units.Measure;

/**
 * A section that carries roofs: what it measures and what it is made of, or what it carries by a load table.
 *
 * @param shape by which its properties are worked out, or how they are given
 * @param depth over all; of a given section null when it is not known
 * @param width of a rectangle or of the flanges
 * @param web thickness of the web, or of a cold-formed sheet
 * @param flange thickness of the flanges
 * @param lip of a cold-formed flange; null without
 * @param inertia second moment of area of a given section
 * @param modulus section modulus of a given section
 * @param material factors by which strength becomes resistance
 * @param strength in bending: yield of steel, reference or characteristic value of timber
 * @param shear the same in shear; null takes the yield in shear
 * @param elasticity modulus
 * @param table what it carries by span; empty of other shapes
 */
public record MemberType(
        CatalogueInfo info,
        Shape shape,
        Measure depth,
        Measure width,
        Measure web,
        Measure flange,
        Measure lip,
        Measure inertia,
        Measure modulus,
        String material,
        Measure strength,
        Measure shear,
        Measure elasticity,
        List<Safe> table) {

    public MemberType {
        table = List.copyOf(table);
    }

    /** How properties are come by. */
    public enum Shape {
        RECTANGLE,
        I,
        Z,
        C,
        GIVEN,
        TABLE;

        public String key() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /** Materials with resistance factors. */
    public static final List<String> MATERIALS = List.of("steel", "cold-formed", "timber");

    /**
     * A line of a load table: loads along the member, as its maker states them.
     *
     * @param total all load together
     * @param variable load at which the table's deflection limit is met; null when it does not govern
     */
    public record Safe(Measure span, Measure total, Measure variable) {}
}
