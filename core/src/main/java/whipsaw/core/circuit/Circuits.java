package whipsaw.core.circuit;

import java.util.List;

/**
 * Strings and inverters of a job.
 *
 * @param arrays strings of every array, in the order of the job
 * @param inverters number of inverters of the one model, which all arrays share
 * @param inverterPowerVa of one inverter
 */
public record Circuits(List<ArrayStrings> arrays, int inverters, double inverterPowerVa) {
    public Circuits {
        arrays = List.copyOf(arrays);
    }

    /**
     * One string.
     *
     * @param number from 1, over all arrays
     * @param inverter number from 1
     * @param tracker number from 1 within the inverter
     * @param modules indices in the array, in order of the run of the leads
     */
    public record PvString(int number, int inverter, int tracker, List<Integer> modules) {
        public String name() {
            return "S" + number;
        }
    }

    /**
     * Strings of one array.
     *
     * @param array its id; that of the roof where it has none
     * @param limits longest and shortest legal string of its modules
     * @param strings in order of laying
     * @param leftOut indices of modules that fit in no legal string
     * @param modulePowerW of one module
     * @param mostParallel strings in parallel on its fullest tracker
     */
    public record ArrayStrings(
            String array,
            StringLimits limits,
            List<PvString> strings,
            List<Integer> leftOut,
            double modulePowerW,
            int mostParallel) {
        public ArrayStrings {
            strings = List.copyOf(strings);
            leftOut = List.copyOf(leftOut);
        }

        /** Modules in strings. */
        public int modules() {
            return strings.stream().mapToInt(s -> s.modules().size()).sum();
        }

        public double dcW() {
            return modules() * modulePowerW;
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

    /** Strings of an array, or of a roof without one. */
    public ArrayStrings of(String array) {
        return arrays.stream().filter(a -> a.array().equals(array)).findFirst().orElseThrow();
    }

    /** Strings of all arrays. */
    public int strings() {
        return arrays.stream().mapToInt(a -> a.strings().size()).sum();
    }

    public double dcW() {
        return arrays.stream().mapToDouble(ArrayStrings::dcW).sum();
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
        double watts = 0;
        for (ArrayStrings a : arrays) {
            for (PvString s : a.strings()) {
                watts += s.inverter() == inverter ? s.modules().size() * a.modulePowerW() : 0;
            }
        }
        return watts / inverterPowerVa;
    }
}
