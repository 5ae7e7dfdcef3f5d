package whipsaw.core.catalogue;

import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
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
        @Inline CatalogueInfo info,
        @Input(label = "Rated apparent power", dim = Dimension.POWER, least = 500, most = 500_000, example = "60 kVA")
                Measure power,
        @Input(label = "Line voltage", dim = Dimension.VOLTAGE, least = 50, most = 1500, example = "480 V")
                Measure lineVoltage,
        @Input(label = "Highest DC input", dim = Dimension.VOLTAGE, least = 50, most = 1500, example = "1100 V")
                Measure highestInput,
        @Input(label = "Lowest tracking voltage", dim = Dimension.VOLTAGE, least = 50, most = 1500, example = "500 V")
                Measure trackerLowest,
        @Input(label = "Trackers", least = 1, most = 40, example = "6") int trackers,
        @Input(label = "Strings per tracker", least = 1, most = 20, example = "2") int stringsPerTracker,
        @Input(
                        label = "Short-circuit current of a tracker",
                        dim = Dimension.CURRENT,
                        least = 1,
                        most = 500,
                        example = "40 A")
                Measure trackerShortCircuit) {}
