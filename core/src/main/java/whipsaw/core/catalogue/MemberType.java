package whipsaw.core.catalogue;

import java.util.List;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Ruled;
import whipsaw.core.units.Dimension;
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
        @Inline CatalogueInfo info,
        @Input(label = "Shape", example = "z") Shape shape,
        @Input(
                        label = "Depth",
                        dim = Dimension.PART_LENGTH,
                        least = 0.01,
                        most = 3,
                        optional = true,
                        needed = {"shape", "rectangle", "i", "z", "c"},
                        example = "200 mm")
                Measure depth,
        @Input(
                        label = "Width, of the flanges",
                        dim = Dimension.PART_LENGTH,
                        least = 0.01,
                        most = 3,
                        when = {"shape", "rectangle", "i", "z", "c"},
                        example = "65 mm")
                Measure width,
        @Input(
                        label = "Web or sheet thickness",
                        dim = Dimension.PART_LENGTH,
                        least = 0.0005,
                        most = 0.2,
                        when = {"shape", "i", "z", "c"},
                        example = "1.8 mm")
                Measure web,
        @Input(
                        label = "Flange thickness",
                        dim = Dimension.PART_LENGTH,
                        least = 0.0005,
                        most = 0.2,
                        when = {"shape", "i"},
                        example = "8.5 mm")
                Measure flange,
        @Input(
                        label = "Lip",
                        dim = Dimension.PART_LENGTH,
                        least = 0.01,
                        most = 3,
                        optional = true,
                        when = {"shape", "z", "c"},
                        example = "20 mm")
                Measure lip,
        @Input(
                        label = "Second moment of area",
                        dim = Dimension.SECOND_MOMENT,
                        least = 1e-9,
                        most = 1,
                        when = {"shape", "given"},
                        example = "520 cm4")
                Measure inertia,
        @Input(
                        label = "Section modulus",
                        dim = Dimension.SECTION_MODULUS,
                        least = 1e-8,
                        most = 1,
                        when = {"shape", "given"},
                        example = "55 cm3")
                Measure modulus,
        @Input(
                        label = "Material",
                        choices = {"steel", "cold-formed", "timber"},
                        example = "cold-formed")
                String material,
        @Input(
                        label = "Bending strength",
                        dim = Dimension.STRESS,
                        least = 2e5,
                        most = 1.5e9,
                        when = {"shape", "rectangle", "i", "z", "c", "given"},
                        example = "350 MPa")
                Measure strength,
        @Input(
                        label = "Shear strength (leave out for steel)",
                        dim = Dimension.STRESS,
                        least = 2e5,
                        most = 1.5e9,
                        optional = true,
                        when = {"shape", "rectangle", "i", "z", "c", "given"},
                        example = "4 MPa")
                Measure shear,
        @Input(
                        label = "Modulus of elasticity",
                        dim = Dimension.STRESS,
                        least = 1e9,
                        most = 4e11,
                        when = {"shape", "rectangle", "i", "z", "c", "given"},
                        example = "210 GPa")
                Measure elasticity,
        @Input(
                        label = "Load table",
                        each = "Line",
                        by = "",
                        fewest = 1,
                        many = 200,
                        quiet = true,
                        when = {"shape", "table"},
                        help = "span=total load along it, with / its load for deflection",
                        example = "30 ft=280 plf/210 plf; 35 ft=205 plf/132 plf")
                List<Safe> table)
        implements Ruled {

    public MemberType {
        table = List.copyOf(table);
    }

    @Override
    public void rules(Faults faults) {
        for (int i = 1; i < table.size(); i++) {
            if (table.get(i).span().si() <= table.get(i - 1).span().si()) {
                faults.in("table", i)
                        .note(
                                "span",
                                table.get(i).span().typed(),
                                "is not longer than the one before: give spans in order");
            }
        }
        if (shape == Shape.I && !thin()) {
            faults.note("flange", flange.typed(), "and its like fill the whole depth of the section");
        }
    }

    private boolean thin() {
        return 2 * flange.si() < depth.si() && web.si() <= width.si();
    }

    /** How properties are come by. */
    public enum Shape {
        RECTANGLE,
        I,
        Z,
        C,
        GIVEN,
        TABLE;

        /** Name in documents. */
        public String key() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /**
     * A line of a load table: loads along the member, as its maker states them.
     *
     * @param total all load together
     * @param variable load at which the table's deflection limit is met; null when it does not govern
     */
    public record Safe(
            @Input(label = "Span", dim = Dimension.ROOF_LENGTH, least = 0.5, most = 60) Measure span,
            @Input(label = "Total load", dim = Dimension.LINE_LOAD, least = 10, most = 2e6) Measure total,
            @Input(label = "Load for deflection", dim = Dimension.LINE_LOAD, least = 10, most = 2e6, optional = true)
                    Measure variable) {}
}
