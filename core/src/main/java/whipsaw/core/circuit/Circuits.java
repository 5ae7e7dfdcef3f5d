package whipsaw.core.circuit;

import java.util.List;

/**
 * Strings and inverters.
 *
 * @param limits longest and shortest legal string
 * @param strings in order of laying
 * @param leftOut indices of modules that fit in no legal string
 * @param inverters number of inverters of the one model
 * @param modulePowerW of one module
 * @param inverterPowerVa of one inverter
 * @param mostParallel strings in parallel on the fullest tracker
 */
public record Circuits(
        StringLimits limits,
        List<PvString> strings,
        List<Integer> leftOut,
        int inverters,
        double modulePowerW,
        double inverterPowerVa,
        int mostParallel) {

    public Circuits {
        strings = List.copyOf(strings);
        leftOut = List.copyOf(leftOut);
    }

    /**
     * One string.
     *
     * @param number from 1
     * @param inverter number from 1
     * @param tracker number from 1 within the inverter
     * @param modules indices in order of the run of the leads
     */
    public record PvString(int number, int inverter, int tracker, List<Integer> modules) {
        public String name() {
            return "S" + number;
        }
    }

    public double dcW() {
        return strings.stream().mapToInt(s -> s.modules().size()).sum() * modulePowerW;
    }

    public double acVa() {
        return inverters * inverterPowerVa;
    }

    /** DC power over AC rating of all inverters; 0 without inverters. */
    public double ratio() {
        return inverters == 0 ? 0 : dcW() / acVa();
    }

    /** The highest ratio of any one inverter. */
    public double worstRatio() {
        double worst = 0;
        for (int i = 1; i <= inverters; i++) {
            worst = Math.max(worst, ratioOf(i));
        }
        return worst;
    }

    public double ratioOf(int inverter) {
        return strings.stream()
                        .filter(s -> s.inverter() == inverter)
                        .mapToInt(s -> s.modules().size())
                        .sum()
                * modulePowerW
                / inverterPowerVa;
    }

    /** Modules of the longest string used; 0 without strings. */
    public int longestUsed() {
        return strings.stream().mapToInt(s -> s.modules().size()).max().orElse(0);
    }

    /** Modules of the shortest string used; 0 without strings. */
    public int shortestUsed() {
        return strings.stream().mapToInt(s -> s.modules().size()).min().orElse(0);
    }
}
