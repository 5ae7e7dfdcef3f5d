package whipsaw.core.catalogue;

import whipsaw.core.units.Measure;

/**
 * A three-phase string inverter.
 *
 * @param power rated apparent power
 * @param lineVoltage of its output
 * @param highestInput DC voltage it survives
 * @param trackerLowest lower end of the tracking window
 * @param trackers independent inputs
 * @param stringsPerTracker strings in parallel on one of them
 * @param trackerShortCircuit largest short-circuit current of one of them
 */
public record InverterType(
        CatalogueInfo info,
        Measure power,
        Measure lineVoltage,
        Measure highestInput,
        Measure trackerLowest,
        int trackers,
        int stringsPerTracker,
        Measure trackerShortCircuit) {}
