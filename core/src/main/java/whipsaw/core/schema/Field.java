package whipsaw.core.schema;

import java.util.List;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/**
 * A dimension field of a document: its label, its kind and the range that is allowed.
 *
 * @param least smallest allowed SI value
 * @param most largest allowed SI value
 */
public record Field(String label, Dimension dimension, double least, double most) {

    /** The allowed range in words, in the units of a job. */
    public String range(UnitSystem system) {
        return Show.in(system, dimension, least) + " to " + Show.in(system, dimension, most);
    }

    /** A plausible value as it would be typed. */
    public String example(UnitSystem system) {
        Unit unit = dimension.unit(system);
        double si = least >= 0 ? Math.max(least, Math.sqrt(Math.max(least, most * 1e-3) * most)) : 0;
        double shown = unit.fromSi(si);
        String number = Show.number(shown, shown >= 10 ? 0 : 1);
        return unit.symbol().isEmpty() ? number : number + " " + unit.symbol();
    }

    /**
     * Another usual unit in which the same number would be in range, or null: 3810 m was meant as
     * mm.
     */
    String otherReading(double si, UnitSystem system) {
        double number = dimension.unit(system).fromSi(si);
        for (UnitSystem usual : List.of(system, system.other())) {
            for (Dimension other : Dimension.values()) {
                double meant = other.unit(usual).toSi(number);
                if (other.quantity() == dimension.quantity() && meant >= least && meant <= most) {
                    return Show.number(number, 4) + " " + other.unit(usual).symbol();
                }
            }
        }
        return null;
    }
}
