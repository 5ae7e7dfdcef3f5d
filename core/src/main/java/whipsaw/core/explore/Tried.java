package whipsaw.core.explore;

import java.util.List;

/**
 * What an option comes to for the whole job.
 *
 * @param reason why it cannot be built; empty when it can, and all that follows is then zero
 * @param gapM clear gap between rows, or valley of pairs
 * @param coverage module length up the slope over the distance from row to row
 * @param shadeFreeDeg profile angle of the sun above which no row shades the next
 * @param kwp DC power of the modules
 * @param kwh of the hourly year, at the meter
 * @param usedKwh of it by the occupants in the hour it is made; 0 where none is known
 * @param givenUpKwh of it at the limit of export
 * @param blocks -1 where they are not established
 * @param attachments a first estimate; 0 where weight alone holds it
 * @param loadPa added load where it is heaviest; NaN where it is not established
 * @param cost by the price list: modules, trays, blocks, attachments and the rest of the job by kW; NaN where
 *     blocks are not established
 * @param paybackYears cost over what the energy is worth in a year; infinite without energy, NaN without a cost
 * @param fails titles of checks that fail
 * @param open titles of checks that need an engineer or are not established
 */
public record Tried(
        Option option,
        String reason,
        int modules,
        double gapM,
        double coverage,
        double shadeFreeDeg,
        double kwp,
        double kwh,
        double usedKwh,
        double givenUpKwh,
        int blocks,
        int attachments,
        double loadPa,
        double cost,
        double paybackYears,
        List<String> fails,
        List<String> open) {
    public Tried {
        fails = List.copyOf(fails);
        open = List.copyOf(open);
    }

    static Tried impossible(Option option, String reason) {
        return new Tried(
                option, reason, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, Double.POSITIVE_INFINITY, List.of(), List.of());
    }

    /** Whether it can be built at all. */
    public boolean possible() {
        return reason.isEmpty();
    }

    /** Energy by module; 0 without modules. */
    public double kwhPerModule() {
        return modules == 0 ? 0 : kwh / modules;
    }

    /** Share of the energy that occupants use in the hour it is made. */
    public double usedShare() {
        return kwh == 0 ? 0 : usedKwh / kwh;
    }
}
