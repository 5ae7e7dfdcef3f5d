package whipsaw.core.run;

import whipsaw.core.table.ConductorTables;

/**
 * Rated output current of inverters and the device that protects their circuit.
 *
 * @param currentA {@code S / (√3 V)} or {@code S / V}
 * @param continuousA 1.25 times the current, NEC 690.9(B), 705.30
 * @param deviceA next standard rating; 0 when there is none
 */
public record InverterCurrent(double currentA, double continuousA, int deviceA) {

    /**
     * @param powerVa rated apparent power
     * @param voltageV line voltage
     * @param phases 1 or 3
     */
    public static InverterCurrent of(double powerVa, double voltageV, int phases, ConductorTables tables) {
        double current = powerVa / ((phases == 3 ? Math.sqrt(3) : 1) * voltageV);
        double continuous = ContinuousCurrent.of(current).amperes();
        return new InverterCurrent(current, continuous, tables.deviceAtLeast(continuous));
    }
}
