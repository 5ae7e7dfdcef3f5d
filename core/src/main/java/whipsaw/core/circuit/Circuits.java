package whipsaw.core.circuit;

import java.util.List;

/**
 * Strings and inverters of a job.
 *
 * @param arrays strings of every array, in the order of the job
 * @param groups inverters of every group, in the order of the job
 */
public record Circuits(List<ArrayStrings> arrays, List<Group> groups) {
    public Circuits {
        arrays = List.copyOf(arrays);
        groups = List.copyOf(groups);
    }

    /**
     * Inverters of one model that share the strings of the arrays that feed them.
     *
     * @param id of the group
     * @param first number of its first inverter; inverters are counted on from group to group
     * @param inverters 0 where no share was found
     * @param powerVa rated apparent power of one
     * @param dcW of the strings on each, in their order
     */
    public record Group(String id, int first, int inverters, double powerVa, List<Double> dcW) {
        public Group {
            dcW = List.copyOf(dcW);
        }

        /** Rated apparent power of all. */
        public double acVa() {
            return inverters * powerVa;
        }

        /** DC power of all strings on them. */
        public double totalDcW() {
            return dcW.stream().mapToDouble(Double::doubleValue).sum();
        }

        /** DC power over AC rating of all; 0 without inverters. */
        public double ratio() {
            return inverters == 0 ? 0 : totalDcW() / acVa();
        }

        /** The highest ratio of any one inverter. */
        public double worstRatio() {
            return dcW.stream().mapToDouble(w -> w / powerVa).max().orElse(0);
        }
    }

    /** Inverters of a group. */
    public Group group(String id) {
        return groups.stream().filter(g -> g.id().equals(id)).findFirst().orElseThrow();
    }

    /** The group an inverter is in. */
    public Group groupOf(int inverter) {
        return groups.stream()
                .filter(g -> inverter >= g.first() && inverter < g.first() + g.inverters())
                .findFirst()
                .orElseThrow();
    }

    /** Inverters of all groups. */
    public int inverters() {
        return groups.stream().mapToInt(Group::inverters).sum();
    }

    /**
     * One string.
     *
     * @param number from 1, over all arrays
     * @param inverter number from 1, over all groups
     * @param tracker number from 1 within the inverter
     * @param modules indices in the array, in order of the run of the leads
     */
    public record PvString(int number, int inverter, int tracker, List<Integer> modules) {
        /** Name on the map, for example {@code S12}. */
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

        /** Power of its strings at standard test conditions, W. */
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

    /** Power of its strings at standard test conditions, W. */
    public double dcW() {
        return arrays.stream().mapToDouble(ArrayStrings::dcW).sum();
    }

    /** Rated apparent power of all inverters. */
    public double acVa() {
        return groups.stream().mapToDouble(Group::acVa).sum();
    }

    /** DC power over AC rating of all inverters; 0 without inverters. */
    public double ratio() {
        return inverters() == 0 ? 0 : dcW() / acVa();
    }

    /** DC power over AC rating of one inverter. */
    public double ratioOf(int inverter) {
        Group g = groupOf(inverter);
        return g.dcW().get(inverter - g.first()) / g.powerVa();
    }
}
