package whipsaw.core.energy;

import java.util.List;

/**
 * Dirt from a flue and everywhere, what it costs and how often to clean. A shape for decisions: rates come from readings
 * of the site.
 *
 * @param kwh of a clean year, of each group of modules
 * @param ratePerMonth share of light lost a month, of each
 * @param exponential whether dirt settles in proportion to the clean part left; else evenly up to the cap
 * @param cap most that is lost
 * @param pricePerKwh value of energy
 * @param costPerCleaning of all groups together
 */
public record Cleaning(
        List<Double> kwh,
        List<Double> ratePerMonth,
        boolean exponential,
        double cap,
        double pricePerKwh,
        double costPerCleaning) {
    private static final double SHORTEST = 0.25;
    private static final double LONGEST = 60;

    /** Steps of the search over intervals, evenly in the logarithm. */
    private static final int STEPS = 2000;

    public Cleaning {
        kwh = List.copyOf(kwh);
        ratePerMonth = List.copyOf(ratePerMonth);
    }

    /** Rate at a distance from a flue: background and what falls off with distance. */
    public static double rate(double background, double flue, double distanceM, double decayM) {
        return background + flue * Math.exp(-distanceM / decayM);
    }

    /** Mean loss of a group between cleanings. */
    public double meanLoss(int group, double months) {
        double r = ratePerMonth.get(group);
        if (r == 0) {
            return 0;
        }
        if (exponential) {
            return 1 - (1 - Math.exp(-r * months)) / (r * months);
        }
        return r * months <= cap ? r * months / 2 : cap - cap * cap / (2 * r * months);
    }

    /** Energy lost in a year. */
    public double lostKwh(double months) {
        double sum = 0;
        for (int i = 0; i < kwh.size(); i++) {
            sum += kwh.get(i) * meanLoss(i, months);
        }
        return sum;
    }

    /** Cleaning and lost energy of a year. */
    public double costPerYear(double months) {
        return 12 * costPerCleaning / months + lostKwh(months) * pricePerKwh;
    }

    /** The cost of a year without cleaning: all is lost that can be. */
    public double neverCost() {
        double value = kwh.stream().mapToDouble(k -> k).sum() * pricePerKwh;
        return exponential ? value : value * cap;
    }

    /** Interval of least cost in months; NaN when never is cheaper. */
    public double bestMonths() {
        double ratio = Math.log(LONGEST / SHORTEST);
        int best = 0;
        for (int i = 1; i <= STEPS; i++) {
            if (costPerYear(at(i, ratio)) < costPerYear(at(best, ratio))) {
                best = i;
            }
        }
        double low = at(Math.max(0, best - 1), ratio);
        double high = at(Math.min(STEPS, best + 1), ratio);
        while (high - low > 1e-9) {
            double a = low + (high - low) / 3;
            double b = high - (high - low) / 3;
            if (costPerYear(a) <= costPerYear(b)) {
                high = b;
            } else {
                low = a;
            }
        }
        double months = (low + high) / 2;
        return costPerYear(months) < neverCost() ? months : Double.NaN;
    }

    private static double at(int step, double ratio) {
        return SHORTEST * Math.exp(ratio * step / STEPS);
    }

    /** The whole number of months of least cost. */
    public int bestWholeMonths() {
        int best = 1;
        for (int m = 2; m <= LONGEST; m++) {
            if (costPerYear(m) < costPerYear(best)) {
                best = m;
            }
        }
        return best;
    }
}
