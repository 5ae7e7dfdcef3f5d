package whipsaw.core.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Job;
import whipsaw.core.units.Limits;

/**
 * Cuts every array into strings in order of laying and gives those of every inverter group to as few of its inverters as
 * the DC to AC limit and the trackers allow. Strings are as long as is legal; what is left over joins a shorter legal
 * string or is left out.
 */
public final class CircuitStage {
    private CircuitStage() {}

    /**
     * Strings of all arrays of a job, each of modules of one array, and the inverters they go to.
     *
     * @param arrays in the order of the job
     */
    public static Circuits of(List<LaidArray> arrays) {
        List<Planned> planned = new ArrayList<>();
        List<StringLimits> limits = new ArrayList<>();
        List<List<Integer>> leftOut = new ArrayList<>();
        for (int i = 0; i < arrays.size(); i++) {
            limits.add(limits(arrays.get(i).job()));
            leftOut.add(plan(i, arrays.get(i), limits.get(i), planned));
        }
        List<List<Circuits.PvString>> strings = new ArrayList<>();
        arrays.forEach(a -> strings.add(new ArrayList<>()));
        int[] mostParallel = new int[arrays.size()];
        List<Circuits.Group> groups = new ArrayList<>();
        int first = 1;
        for (InverterGroup group : arrays.get(0).job().document().groups()) {
            List<Integer> fed = new ArrayList<>();
            for (int i = 0; i < planned.size(); i++) {
                if (arrays.get(planned.get(i).array()).job().group().id().equals(group.id())) {
                    fed.add(i);
                }
            }
            List<Planned> own = fed.stream().map(planned::get).toList();
            Sharing sharing = share(own, group.electrical());
            double[] watts = new double[sharing.inverters()];
            for (int k = 0; k < sharing.inverterOf().length; k++) {
                Planned p = own.get(k);
                int inverter = sharing.inverterOf()[k];
                watts[inverter - 1] += p.watts();
                strings.get(p.array())
                        .add(new Circuits.PvString(
                                fed.get(k) + 1, first + inverter - 1, sharing.trackerOf()[k], p.modules()));
                mostParallel[p.array()] = Math.max(mostParallel[p.array()], sharing.parallelOf()[k]);
            }
            if (sharing.inverters() == 0) {
                own.forEach(p -> leftOut.get(p.array()).addAll(p.modules()));
            }
            groups.add(new Circuits.Group(
                    group.id(),
                    first,
                    sharing.inverters(),
                    group.electrical().inverter().power().si(),
                    Arrays.stream(watts).boxed().toList()));
            first += sharing.inverters();
        }
        List<Circuits.ArrayStrings> each = new ArrayList<>();
        for (int i = 0; i < arrays.size(); i++) {
            each.add(new Circuits.ArrayStrings(
                    arrays.get(i).job().place(),
                    limits.get(i),
                    strings.get(i),
                    leftOut.get(i),
                    arrays.get(i).job().array().module().power().si(),
                    mostParallel[i]));
        }
        return new Circuits(each, groups);
    }

    private static StringLimits limits(Job job) {
        ModuleType module = job.array().module();
        InverterType inverter = job.electrical().inverter();
        return StringLimits.of(new StringLimits.Input(
                module.voc().si(),
                module.vmp().si(),
                module.vocCoefficient().si(),
                module.vmpCoefficient().si(),
                job.site().recordLow().si(),
                job.site().designHigh().si(),
                job.electrical().cellRiseC(),
                job.electrical().systemLimit().si(),
                inverter.highestInput().si(),
                inverter.trackerLowest().si()));
    }

    /** Cuts one array into strings; what fits in none is returned. */
    private static List<Integer> plan(int index, LaidArray array, StringLimits limits, List<Planned> planned) {
        ArrayLayout layout = array.layout();
        double moduleW = array.job().array().module().power().si();
        List<Integer> leftOut = new ArrayList<>();
        for (boolean back : layout.pairs() == null ? new boolean[] {false} : new boolean[] {false, true}) {
            List<Integer> order = serpentine(layout, back);
            List<Integer> lengths = limits.feasible() && limits.longest() > 0
                    ? lengths(order.size(), limits.shortest(), limits.longest())
                    : List.of();
            int from = 0;
            for (int length : lengths) {
                planned.add(new Planned(index, back, List.copyOf(order.subList(from, from + length)), moduleW));
                from += length;
            }
            leftOut.addAll(order.subList(from, order.size()));
        }
        return leftOut;
    }

    /** A string before it has an inverter; arrays, and faces that look different ways, share no tracker. */
    private record Planned(int array, boolean back, List<Integer> modules, double moduleW) {
        int size() {
            return modules.size();
        }

        double watts() {
            return size() * moduleW;
        }
    }

    /** What has to be alike of strings on one tracker. */
    private record Alike(int size, boolean back, int array) {
        private static final Comparator<Alike> LONGEST_FIRST = Comparator.comparing((Alike a) -> -a.size)
                .thenComparing(a -> a.back)
                .thenComparing(a -> a.array);
    }

    /**
     * Rows of one face from the front, every other one from the right, so that a string runs on into the next
     * row.
     */
    private static List<Integer> serpentine(ArrayLayout layout, boolean back) {
        List<Integer> order = new ArrayList<>();
        List<Integer> row = new ArrayList<>();
        int number = 0;
        int turned = 0;
        for (ArrayLayout.Module m : layout.modules()) {
            if (layout.looksBack(m.row()) != back) {
                continue;
            }
            if (m.row() != number && !row.isEmpty()) {
                append(order, row, turned++ % 2 == 1);
            }
            number = m.row();
            row.add(m.index());
        }
        append(order, row, turned % 2 == 1);
        return order;
    }

    private static void append(List<Integer> order, List<Integer> row, boolean backwards) {
        if (backwards) {
            Collections.reverse(row);
        }
        order.addAll(row);
        row.clear();
    }

    /**
     * Lengths of the fewest strings that use most modules: longest ones, then one shorter; where
     * that would be too short, the others give up one module each.
     */
    static List<Integer> lengths(int modules, int shortest, int longest) {
        if (modules < shortest) {
            return List.of();
        }
        int count = (modules + longest - 1) / longest;
        List<Integer> result = new ArrayList<>();
        int rest = modules - (count - 1) * longest;
        int missing = Math.max(0, shortest - rest);
        if (missing > (count - 1) * (longest - shortest)) {
            for (int i = 0; i < count - 1; i++) {
                result.add(longest);
            }
            return result;
        }
        for (int i = 0; i < count - 1; i++) {
            int others = count - 1;
            result.add(longest - (missing / others + (i >= others - missing % others ? 1 : 0)));
        }
        result.add(rest + missing);
        return result;
    }

    private record Sharing(int inverters, int[] inverterOf, int[] trackerOf, int[] parallelOf) {}

    /** The fewest inverters over which the strings, in order, can be shared evenly. */
    private static Sharing share(List<Planned> strings, Electrical electrical) {
        double total = strings.stream().mapToDouble(Planned::watts).sum();
        double most = electrical.dcAcMost() * electrical.inverter().power().si();
        for (int n = Math.max(1, Limits.ceil(total / most)); n <= strings.size(); n++) {
            Sharing sharing = shareOver(n, strings, most, electrical.inverter());
            if (sharing != null) {
                return sharing;
            }
        }
        return new Sharing(0, new int[0], new int[0], new int[0]);
    }

    private static Sharing shareOver(int n, List<Planned> strings, double mostW, InverterType type) {
        int[] inverterOf = new int[strings.size()];
        int[] trackerOf = new int[strings.size()];
        int[] parallelOf = new int[strings.size()];
        int from = 0;
        for (int i = 0; i < n; i++) {
            int to = from + strings.size() / n + (i < strings.size() % n ? 1 : 0);
            Map<Alike, List<Integer>> alike = new TreeMap<>(Alike.LONGEST_FIRST);
            double watts = 0;
            for (int s = from; s < to; s++) {
                Planned string = strings.get(s);
                alike.computeIfAbsent(new Alike(string.size(), string.back(), string.array()), k -> new ArrayList<>())
                        .add(s);
                watts += string.watts();
                inverterOf[s] = i + 1;
            }
            int parallel = parallel(alike, type);
            if (parallel == 0 || Limits.above(watts, mostW)) {
                return null;
            }
            int tracker = 0;
            for (List<Integer> group : alike.values()) {
                for (int k = 0; k < group.size(); k++) {
                    tracker += k % parallel == 0 ? 1 : 0;
                    trackerOf[group.get(k)] = tracker;
                    parallelOf[group.get(k)] = Math.min(parallel, group.size());
                }
            }
            from = to;
        }
        return new Sharing(n, inverterOf, trackerOf, parallelOf);
    }

    /**
     * Fewest strings in parallel with which the groups of equal length, face and array fit the trackers; 0 when
     * none does.
     */
    private static int parallel(Map<Alike, List<Integer>> alike, InverterType type) {
        for (int parallel = 1; parallel <= type.stringsPerTracker(); parallel++) {
            int trackers = 0;
            for (List<Integer> group : alike.values()) {
                trackers += (group.size() + parallel - 1) / parallel;
            }
            if (trackers <= type.trackers()) {
                return parallel;
            }
        }
        return 0;
    }
}
