package whipsaw.core.circuit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.job.Job;
import whipsaw.core.units.Limits;

/**
 * Cuts the array into strings in order of laying and gives them to as few inverters of one model as
 * the DC to AC limit and the trackers allow. Strings are as long as is legal; what is left over
 * joins a shorter legal string or is left out.
 */
public final class CircuitStage {
    private CircuitStage() {}

    public static Circuits of(Job job, ArrayLayout layout) {
        ModuleType module = job.array().module();
        InverterType inverter = job.electrical().inverter();
        StringLimits limits = StringLimits.of(new StringLimits.Input(
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
        List<Integer> order = serpentine(layout);
        List<Integer> lengths = limits.feasible() && limits.longest() > 0
                ? lengths(order.size(), limits.shortest(), limits.longest())
                : List.of();
        int used = lengths.stream().mapToInt(Integer::intValue).sum();
        Sharing sharing = share(lengths, job);
        List<Circuits.PvString> strings = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < sharing.inverterOf().length; i++) {
            strings.add(new Circuits.PvString(
                    i + 1,
                    sharing.inverterOf()[i],
                    sharing.trackerOf()[i],
                    List.copyOf(order.subList(from, from + lengths.get(i)))));
            from += lengths.get(i);
        }
        List<Integer> leftOut = strings.isEmpty() ? order : order.subList(used, order.size());
        return new Circuits(
                limits,
                strings,
                leftOut,
                sharing.inverters(),
                module.power().si(),
                inverter.power().si(),
                sharing.mostParallel());
    }

    /**
     * Rows from the front, every other one from the right, so that a string runs on into the next
     * row.
     */
    private static List<Integer> serpentine(ArrayLayout layout) {
        List<Integer> order = new ArrayList<>();
        List<Integer> row = new ArrayList<>();
        int number = 0;
        int turned = 0;
        for (ArrayLayout.Module m : layout.modules()) {
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

    private record Sharing(int inverters, int[] inverterOf, int[] trackerOf, int mostParallel) {}

    /** The fewest inverters over which the strings, in order, can be shared evenly. */
    private static Sharing share(List<Integer> lengths, Job job) {
        double power = job.array().module().power().si();
        double total = lengths.stream().mapToInt(Integer::intValue).sum() * power;
        double most = job.electrical().dcAcMost()
                * job.electrical().inverter().power().si();
        for (int n = Math.max(1, Limits.ceil(total / most)); n <= lengths.size(); n++) {
            Sharing sharing =
                    shareOver(n, lengths, power, most, job.electrical().inverter());
            if (sharing != null) {
                return sharing;
            }
        }
        return new Sharing(0, new int[0], new int[0], 0);
    }

    private static Sharing shareOver(int n, List<Integer> lengths, double power, double mostW, InverterType type) {
        int[] inverterOf = new int[lengths.size()];
        int[] trackerOf = new int[lengths.size()];
        int mostParallel = 0;
        int from = 0;
        for (int i = 0; i < n; i++) {
            int to = from + lengths.size() / n + (i < lengths.size() % n ? 1 : 0);
            Map<Integer, List<Integer>> byLength = new TreeMap<>(Collections.reverseOrder());
            int modules = 0;
            for (int s = from; s < to; s++) {
                byLength.computeIfAbsent(lengths.get(s), k -> new ArrayList<>()).add(s);
                modules += lengths.get(s);
                inverterOf[s] = i + 1;
            }
            int parallel = parallel(byLength, type);
            if (parallel == 0 || Limits.above(modules * power, mostW)) {
                return null;
            }
            int tracker = 0;
            for (List<Integer> group : byLength.values()) {
                for (int k = 0; k < group.size(); k++) {
                    tracker += k % parallel == 0 ? 1 : 0;
                    trackerOf[group.get(k)] = tracker;
                }
                mostParallel = Math.max(mostParallel, Math.min(parallel, group.size()));
            }
            from = to;
        }
        return new Sharing(n, inverterOf, trackerOf, mostParallel);
    }

    /**
     * Fewest strings in parallel with which the groups of equal length fit the trackers; 0 when
     * none does.
     */
    private static int parallel(Map<Integer, List<Integer>> byLength, InverterType type) {
        for (int parallel = 1; parallel <= type.stringsPerTracker(); parallel++) {
            int trackers = 0;
            for (List<Integer> group : byLength.values()) {
                trackers += (group.size() + parallel - 1) / parallel;
            }
            if (trackers <= type.trackers()) {
                return parallel;
            }
        }
        return 0;
    }
}
