package whipsaw.core.run;

import whipsaw.core.table.ConductorTables;
import whipsaw.core.units.Limits;

/**
 * Ampacity of a conductor after ambient and count, NEC 310.15 and 310.16.
 *
 * @param ambientC with the rooftop adder when it applies
 * @param factorTable ambient factor by Table 310.15(B)(1)(1); 0 where not permitted
 * @param factorFormula ambient factor by Eq. 310.15(B)
 * @param factorCount factor for more than three current-carrying conductors
 * @param terminalA sets times the terminal column
 * @param ninetyA sets times the 90 °C column
 */
public record Ampacity(
        double ambientC,
        double factorTable,
        double factorFormula,
        double factorCount,
        double terminalA,
        double ninetyA) {
    private static final int CONDUCTOR_C = 90;
    private static final double ROOF_ADDER_C = 33; // 310.15(B)(2)

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

        /** Ambient with the rooftop adder: lower than the threshold and not XHHW-2. */
        double effectiveAmbientC() {
            boolean low = Limits.above(adderThresholdIn, aboveRoofIn);
            boolean adder = inSun && low && !insulation.equals("XHHW-2");
            return ambientC + (adder ? ROOF_ADDER_C : 0);
        }
    }

    public static Ampacity of(ConductorTables.Size size, String material, int sets, Place p, ConductorTables t) {
        double ambient = p.effectiveAmbientC();
        double factor = t.temperatureFactor(ambient, CONDUCTOR_C);
        double formula = Math.sqrt(Math.max(0, (CONDUCTOR_C - ambient) / (CONDUCTOR_C - 30.0)));
        return new Ampacity(
                ambient,
                Double.isNaN(factor) ? 0 : factor,
                formula,
                t.countFactor(p.currentCarrying()),
                sets * size.ampacity(material, p.terminalC()),
                sets * size.ampacity(material, CONDUCTOR_C));
    }

    /** Corrected ampacity by the table factor. */
    public double correctedA() {
        return ninetyA * factorTable * factorCount;
    }

    /** Corrected ampacity by the formula factor. */
    public double correctedByFormulaA() {
        return ninetyA * factorFormula * factorCount;
    }
}
