package whipsaw.core.energy;

import java.util.List;

/**
 * Energy of a job in the synthetic year of its climate: for comparing options, no forecast.
 *
 * @param climate its name
 * @param chosen whether somebody chose it, else taken by latitude
 * @param arrays in the order of the job
 * @param acKwh behind the inverters
 * @param monthlyKwh of it in each month
 * @param steps from the light on the modules to the inverters, each with what is left after it, kWh
 */
public record YearEnergy(
        String climate, boolean chosen, List<OfArray> arrays, double acKwh, List<Double> monthlyKwh, List<Left> steps) {
    public YearEnergy {
        arrays = List.copyOf(arrays);
        monthlyKwh = List.copyOf(monthlyKwh);
        steps = List.copyOf(steps);
    }

    /**
     * What is left after a loss.
     *
     * @param words what it is lost to
     */
    public record Left(String words, double kwh) {}

    /**
     * Modules alike of an array.
     *
     * @param words how they stand
     * @param dcKwhPerKwp before the inverter
     */
    public record Part(String words, int modules, double dcKwhPerKwp) {}

    /**
     * One array.
     *
     * @param id of the array
     * @param kwp of its modules
     * @param dcKwh before the inverters
     * @param shaded share of the direct light of the year that falls while a module stands in the shadow of parapets and
     *     things, mean of all
     */
    public record OfArray(String id, double kwp, double dcKwh, double shaded, List<Part> parts) {
        public OfArray {
            parts = List.copyOf(parts);
        }
    }

    /** DC power of all modules. */
    public double kwp() {
        return arrays.stream().mapToDouble(OfArray::kwp).sum();
    }

    /** Energy by 1 kWp; 0 without modules. */
    public double acKwhPerKwp() {
        return kwp() == 0 ? 0 : acKwh / kwp();
    }
}
