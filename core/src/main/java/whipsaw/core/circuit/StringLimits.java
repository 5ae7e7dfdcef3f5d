package whipsaw.core.circuit;

import whipsaw.core.units.Limits;

/**
 * Longest and shortest legal string, NEC 690.7(A).
 *
 * @param limitV the lower of the system's and the inverter's limit
 * @param coldVocV open-circuit voltage of a module at the record low
 * @param longest modules in the longest string
 * @param hotVmpV working voltage of a module with a hot cell
 * @param shortest modules in the shortest string
 */
public record StringLimits(
        Input input, double limitV, double coldVocV, int longest, double hotCellC, double hotVmpV, int shortest) {

    private static final double STANDARD_TEST_C = 25;

    /**
     * @param vocV open-circuit voltage at 1000 W/m2 and 25 C
     * @param vmpV working voltage at 1000 W/m2 and 25 C
     * @param vocPctPerC coefficient of the open-circuit voltage, negative
     * @param vmpPctPerC coefficient of the working voltage, negative
     * @param recordLowC lowest expected ambient
     * @param hotAmbientC design high ambient
     * @param cellRiseC cell above ambient
     * @param systemLimitV 600, 1000 or 1500
     * @param inverterLimitV highest input voltage
     * @param trackerLowestV lower end of the tracking window
     */
    public record Input(
            double vocV,
            double vmpV,
            double vocPctPerC,
            double vmpPctPerC,
            double recordLowC,
            double hotAmbientC,
            double cellRiseC,
            double systemLimitV,
            double inverterLimitV,
            double trackerLowestV) {}

    public static StringLimits of(Input in) {
        double limit = Math.min(in.systemLimitV(), in.inverterLimitV());
        double cold = in.vocV() * (1 + in.vocPctPerC() / 100 * (in.recordLowC() - STANDARD_TEST_C));
        double hotCell = in.hotAmbientC() + in.cellRiseC();
        double hot = in.vmpV() * (1 + in.vmpPctPerC() / 100 * (hotCell - STANDARD_TEST_C));
        return new StringLimits(
                in, limit, cold, Limits.floor(limit / cold), hotCell, hot, Limits.ceil(in.trackerLowestV() / hot));
    }

    public boolean feasible() {
        return shortest <= longest;
    }

    public double coldVoltageV(int modules) {
        return modules * coldVocV;
    }

    public double hotVoltageV(int modules) {
        return modules * hotVmpV;
    }
}
