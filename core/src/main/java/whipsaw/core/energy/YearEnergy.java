package whipsaw.core.energy;

import java.util.List;

/**
 * Energy of a job in an hourly year, the synthetic one of its climate or that of a weather file: for comparing options,
 * no forecast.
 *
 * @param climate name of the climate or of the weather file
 * @param source what the year is
 * @param arrays in the order of the job
 * @param acKwh behind the inverters
 * @param meter at the point of connection, before the limit of export
 * @param monthlyKwh of it in each month
 * @param steps from the light on the modules to the meter, each with what is left after it, kWh
 */
public record YearEnergy(
        String climate,
        Source source,
        List<OfArray> arrays,
        double acKwh,
        Hours meter,
        List<Double> monthlyKwh,
        List<Left> steps) {
    /** One in ten years yields less than this many deviations below the mean. */
    private static final double TENTH = 1.2816;

    /** Where the year is from. */
    public enum Source {
        BY_LATITUDE,
        CHOSEN,
        FILE
    }

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
     * @param meter its part of what reaches the point of connection
     * @param shaded share of the direct light of the year that falls while a module stands in the shadow of parapets and
     *     things, mean of all
     */
    public record OfArray(String id, double kwp, double dcKwh, Hours meter, double shaded, List<Part> parts) {
        public OfArray {
            parts = List.copyOf(parts);
        }
    }

    /** DC power of all modules. */
    public double kwp() {
        return arrays.stream().mapToDouble(OfArray::kwp).sum();
    }

    /** Energy at the point of connection. */
    public double kwh() {
        return meter.kwh();
    }

    /** Energy by 1 kWp; 0 without modules. */
    public double kwhPerKwp() {
        return kwp() == 0 ? 0 : kwh() / kwp();
    }

    /** Share that a year is off by in one standard deviation: weather and model together. */
    public static double deviation() {
        return Math.hypot(YieldSystem.figure("weather_deviation"), YieldSystem.figure("model_deviation"));
    }

    /** What nine years in ten yield at least, of years scattered evenly about this one. */
    public double p90Kwh() {
        return kwh() * (1 - TENTH * deviation());
    }

    /** Energy of all years of its life, less in every one. */
    public double lifeKwh() {
        double all = 0;
        for (int year = 0; year < YieldSystem.figure("life_years"); year++) {
            all += kwh() * (1 - YieldSystem.figure("degradation") * year);
        }
        return all;
    }
}
