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
        List<Planned> planned = new ArrayList<>();
        List<Integer> leftOut = new ArrayList<>();
        for (boolean back : layout.pairs() == null ? new boolean[] {false} : new boolean[] {false, true}) {
            List<Integer> order = serpentine(layout, back);
            List<Integer> lengths = limits.feasible() && limits.longest() > 0
                    ? lengths(order.size(), limits.shortest(), limits.longest())
                    : List.of();
            int from = 0;
            for (int length : lengths) {
                planned.add(new Planned(back, List.copyOf(order.subList(from, from + length))));
                from += length;
            }
            leftOut.addAll(order.subList(from, order.size()));
        }
        Sharing sharing = share(planned, job);
        List<Circuits.PvString> strings = new ArrayList<>();
        for (int i = 0; i < sharing.inverterOf().length; i++) {
            strings.add(new Circuits.PvString(
                    i + 1,
                    sharing.inverterOf()[i],
                    sharing.trackerOf()[i],
                    planned.get(i).modules()));
        }
        if (strings.isEmpty()) {
            planned.forEach(p -> leftOut.addAll(p.modules()));
        }
        return new Circuits(
                limits,
                strings,
                leftOut,
                sharing.inverters(),
                module.power().si(),
                inverter.power().si(),
                sharing.mostParallel());
    }

    /** A string before it has an inverter; faces that look different ways share no tracker. */
    private record Planned(boolean back, List<Integer> modules) {
        int size() {
            return modules.size();
        }
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

    private record Sharing(int inverters, int[] inverterOf, int[] trackerOf, int mostParallel) {}

    /** The fewest inverters over which the strings, in order, can be shared evenly. */
    private static Sharing share(List<Planned> strings, Job job) {
        double power = job.array().module().power().si();
        double total = strings.stream().mapToInt(Planned::size).sum() * power;
        double most = job.electrical().dcAcMost()
                * job.electrical().inverter().power().si();
        for (int n = Math.max(1, Limits.ceil(total / most)); n <= strings.size(); n++) {
            Sharing sharing =
                    shareOver(n, strings, power, most, job.electrical().inverter());
            if (sharing != null) {
                return sharing;
            }
        }
        return new Sharing(0, new int[0], new int[0], 0);
    }

    private static Sharing shareOver(int n, List<Planned> strings, double power, double mostW, InverterType type) {
        int[] inverterOf = new int[strings.size()];
        int[] trackerOf = new int[strings.size()];
        int mostParallel = 0;
        int from = 0;
        for (int i = 0; i < n; i++) {
            int to = from + strings.size() / n + (i < strings.size() % n ? 1 : 0);
            Map<Integer, List<Integer>> alike = new TreeMap<>(Collections.reverseOrder());
            int modules = 0;
            for (int s = from; s < to; s++) {
                Planned string = strings.get(s);
                alike.computeIfAbsent(2 * string.size() + (string.back() ? 0 : 1), k -> new ArrayList<>())
                        .add(s);
                modules += string.size();
                inverterOf[s] = i + 1;
            }
            int parallel = parallel(alike, type);
            if (parallel == 0 || Limits.above(modules * power, mostW)) {
                return null;
            }
            int tracker = 0;
            for (List<Integer> group : alike.values()) {
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
     * Fewest strings in parallel with which the groups of equal length and face fit the trackers; 0 when
     * none does.
     */
    private static int parallel(Map<Integer, List<Integer>> alike, InverterType type) {
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
