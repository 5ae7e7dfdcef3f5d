package whipsaw.core.run;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.ConductorTables;
import whipsaw.core.units.Limits;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Ampacity of a conductor after ambient and count, NEC 310.15 and 310.16.
 *
 * @param byTable values with the ambient factor of Table 310.15(B)(1)(1); 0 where that ambient is not permitted
 * @param byFormula the same with the factor of Eq. 310.15(B)
 */
public record Ampacity(Values byTable, Values byFormula) {
    private static final int CONDUCTOR_C = 90;
    private static final double ROOF_ADDER_C = 33; // 310.15(B)(2)
    private static final Formulas BY_TABLE = formulas(true);
    private static final Formulas BY_FORMULA = formulas(false);

    private static Formulas formulas(boolean table) {
        Formulas.Builder f = Formulas.of("NEC")
                .in("n", "parallel sets", Measured.NUMBER)
                .in("I_col", "at the temperature of the terminals", Measured.AMPERE)
                .let("I_t", "terminal ampacity", "{n} · {I_col}", Measured.AMPERE, "110.14(C), Table 310.16")
                .in("T", "ambient", Measured.CELSIUS)
                .in("ΔT", "rooftop adder", Measured.CELSIUS)
                .let("T_a", "ambient in the raceway", "{T} + {ΔT}", Measured.CELSIUS, "310.15(B)(2)");
        if (table) {
            f.in("F_t", "ambient factor at T_a", Measured.NUMBER.digits(3));
        } else {
            f.let(
                    "F_t",
                    "ambient factor",
                    "√(max(0, (90 °C − {T_a}) / (90 °C − 30 °C)))",
                    Measured.NUMBER.digits(3),
                    "Eq. 310.15(B)");
        }
        return f.in("I_90", "at 90 °C", Measured.AMPERE)
                .in("F_n", "factor for the count of current-carrying conductors", Measured.NUMBER.digits(3))
                .let("I_z", "corrected ampacity", "{n} · {I_90} · {F_t} · {F_n}", Measured.AMPERE, "310.15(B), (C)")
                .build();
    }

    /**
     * Where a conductor lies.
     *
     * @param insulation {@code THWN-2} or {@code XHHW-2}
     * @param terminalC 60 or 75
     * @param inSun raceway in direct sunlight on a roof
     * @param aboveRoofIn its height above the roof, inches as the rule is
     * @param adderThresholdIn below this height the adder applies
     */
    public record Place(
            String insulation,
            int terminalC,
            double ambientC,
            int currentCarrying,
            boolean inSun,
            double aboveRoofIn,
            double adderThresholdIn) {

        /** Added in sunlight, lower than the threshold and not for XHHW-2. */
        double adderC() {
            boolean low = Limits.above(adderThresholdIn, aboveRoofIn);
            return inSun && low && !insulation.equals("XHHW-2") ? ROOF_ADDER_C : 0;
        }
    }

    /**
     * Computes it.
     *
     * @param material {@code cu} or {@code al}
     * @param sets in parallel
     */
    public static Ampacity of(ConductorTables.Size size, String material, int sets, Place p, ConductorTables t) {
        double ambient = p.ambientC() + p.adderC();
        double factor = t.temperatureFactor(ambient, CONDUCTOR_C);
        Values byTable = values(BY_TABLE, size, material, sets, p, t)
                .put("F_t", Double.isNaN(factor) ? 0 : factor, From.table(t.temperatureTable(), CONDUCTOR_C + " °C"));
        return new Ampacity(
                byTable.compute(),
                values(BY_FORMULA, size, material, sets, p, t).compute());
    }

    private static Values values(
            Formulas formulas, ConductorTables.Size size, String material, int sets, Place p, ConductorTables t) {
        String row = size.name() + " " + material;
        return formulas.values()
                .put("n", sets, From.figure(null))
                .put(
                        "I_col",
                        size.ampacity(material, p.terminalC()),
                        From.table(t.ampacityTable(), row + ", " + p.terminalC() + " °C"))
                .put("T", p.ambientC())
                .put(
                        "ΔT",
                        p.adderC(),
                        From.rule("in the sun below " + p.adderThresholdIn() + " in above the roof, not of XHHW-2"))
                .put("I_90", size.ampacity(material, CONDUCTOR_C), From.table(t.ampacityTable(), row))
                .put(
                        "F_n",
                        t.countFactor(p.currentCarrying()),
                        From.table(t.countTable(), p.currentCarrying() + " in a raceway"));
    }

    /** Ambient with the rooftop adder when it applies. */
    public double ambientC() {
        return byTable.get("T_a");
    }

    /** Ambient factor of the table; 0 where that ambient is not permitted. */
    public double factorTable() {
        return byTable.get("F_t");
    }

    /** Ambient factor of the equation. */
    public double factorFormula() {
        return byFormula.get("F_t");
    }

    /** Factor for more than three current-carrying conductors. */
    public double factorCount() {
        return byTable.get("F_n");
    }

    /** All sets at the temperature of the terminals. */
    public double terminalA() {
        return byTable.get("I_t");
    }

    /** All sets in the 90 °C column. */
    public double ninetyA() {
        return byTable.get("n") * byTable.get("I_90");
    }

    /** Corrected ampacity by the table factor. */
    public double correctedA() {
        return byTable.get("I_z");
    }

    /** Corrected ampacity by the formula factor. */
    public double correctedByFormulaA() {
        return byFormula.get("I_z");
    }

    /**
     * The lines of its working.
     *
     * @param formula by the factor of the equation instead of the table's
     * @param terms where {@code T} comes from
     */
    public List<Step> steps(boolean formula, Terms terms) {
        return (formula ? byFormula : byTable).steps(terms);
    }
}
