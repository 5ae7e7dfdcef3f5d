package whipsaw.core.run;

import whipsaw.core.table.ConductorTables;

/**
 * Voltage drop of a run with the resistances of NEC Chapter 9.
 *
 * <p>dc {@code 2 I R L}; one phase {@code 2 I (R cos φ + X sin φ) L}; three phases {@code √3 I (R
 * cos φ + X sin φ) L}; I per parallel set, L one way. Good for small angles between the two
 * voltages.
 *
 * @param ohmPerKft resistance, ohm per 1000 ft; NaN when the tables do not list the size
 * @param reactancePerKft reactance, ohm per 1000 ft
 */
public record VoltageDrop(double ohmPerKft, double reactancePerKft, double dropV, double dropPct) {

    /** System of a circuit. */
    public enum System {
        DC("dc"),
        ONE_PHASE("1ph"),
        THREE_PHASE("3ph");

        private final String key;

        System(String key) {
            this.key = key;
        }

        public String key() {
            return key;
        }

        /** Factor of the current and length: out and back, or √3. */
        double factor() {
            return this == THREE_PHASE ? Math.sqrt(3) : 2;
        }
    }

    /**
     * @param lengthFt one way, feet as the tables are per 1000 ft
     * @param raceway {@code pvc} or {@code steel}
     * @param table9 AC resistances of Table 9, else DC resistances of Table 8; dc is always Table 8
     */
    public record Circuit(
            System system,
            double currentA,
            double voltageV,
            double lengthFt,
            String material,
            String raceway,
            double powerFactor,
            boolean table9) {}

    public static VoltageDrop of(Circuit c, String size, int sets, ConductorTables tables) {
        boolean dc = c.system() == System.DC;
        double r = dc || !c.table9()
                ? tables.dcOhmPerKft(size, c.material())
                : tables.acOhmPerKft(size, c.material(), c.raceway());
        double x = dc ? 0 : tables.reactanceOhmPerKft(size, c.raceway());
        double sin = Math.sqrt(Math.max(0, 1 - c.powerFactor() * c.powerFactor()));
        double impedance = dc ? r : r * c.powerFactor() + (sin == 0 ? 0 : x * sin);
        double drop = c.system().factor() * c.currentA() / sets * impedance * c.lengthFt() / 1000;
        return new VoltageDrop(r, x, drop, 100 * drop / c.voltageV());
    }
}
