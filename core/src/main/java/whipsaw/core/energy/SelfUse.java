package whipsaw.core.energy;

/**
 * Where the energy of a year goes, hour by hour behind one meter.
 *
 * @param madeKwh before the limit of export
 * @param demandKwh of the users
 * @param usedKwh at the hour it is made
 * @param exportedKwh up to the limit
 * @param curtailedKwh given up at the limit
 */
public record SelfUse(double madeKwh, double demandKwh, double usedKwh, double exportedKwh, double curtailedKwh) {

    /**
     * @param acKw made, by hour
     * @param demandKw by hour
     * @param exportLimitKw infinite for none
     */
    public static SelfUse of(double[] acKw, double[] demandKw, double exportLimitKw) {
        double made = 0;
        double demand = 0;
        double used = 0;
        double exported = 0;
        double curtailed = 0;
        for (int h = 0; h < acKw.length; h++) {
            double own = Math.min(acKw[h], demandKw[h]);
            double out = Math.min(acKw[h] - own, exportLimitKw);
            made += acKw[h];
            demand += demandKw[h];
            used += own;
            exported += out;
            curtailed += acKw[h] - own - out;
        }
        return new SelfUse(made, demand, used, exported, curtailed);
    }

    /** From the grid. */
    public double importedKwh() {
        return demandKwh - usedKwh;
    }
}
