package whipsaw.core.explore;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;
import whipsaw.core.units.Limits;

/**
 * The cheapest choice of things that together take away at least so much in each of some places: an integer programme,
 * solved by branch and bound over linear ones.
 */
final class Cover {
    /** One place: what each thing takes away there, and how much has to go. */
    record Place(double[] takes, double atLeast) {}

    /**
     * A choice.
     *
     * @param chosen empty where nothing suffices
     * @param cost of it
     * @param bound no choice costs less
     */
    record Choice(BitSet chosen, int cost, int bound) {
        boolean proved() {
            return cost <= bound;
        }
    }

    private static final double TAKEN = 0.5;
    /** Parts are found to some nine figures. */
    private static final double NEARLY = 1e-6;

    private final int[] cost;
    private final boolean[] always;
    private final List<Place> places = new ArrayList<>();

    /**
     * @param cost of each thing, 1 or more
     * @param always those that are chosen whatever they cost
     */
    Cover(int[] cost, boolean[] always) {
        this.cost = cost.clone();
        this.always = always.clone();
    }

    void add(Place place) {
        places.add(place);
    }

    /** A choice that suffices, found without a search; null where not even all things together suffice. */
    Choice quick() {
        for (Place p : places) {
            if (Limits.above(p.atLeast(), Arrays.stream(p.takes()).sum())) {
                return null;
            }
        }
        BitSet best = byHand();
        return new Choice(best, sum(best), 0);
    }

    /**
     * The cheapest of all, or the best that was found in time with a bound.
     *
     * @param start a choice that suffices
     */
    Choice cheapest(Choice start, long mostMs) {
        Search search = new Search(start.chosen(), System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(mostMs));
        int[] columns = columns();
        int outside = IntStream.range(0, cost.length)
                .filter(i -> always[i] && places.stream().noneMatch(p -> p.takes()[i] > 0))
                .map(i -> cost[i])
                .sum();
        int bound = search.branch(columns, new int[columns.length], outside);
        return new Choice(search.best, sum(search.best), search.cut ? bound : sum(search.best));
    }

    /** Branch and bound: parts of things are allowed first, which costs no more, then one after the other is settled. */
    private final class Search {
        private BitSet best;
        private final long until;
        private boolean cut;

        Search(BitSet start, long until) {
            this.best = start;
            this.until = until;
        }

        /**
         * Looks for something cheaper below a node.
         *
         * @param settled by column: 1 for chosen, -1 for left out, 0 for open
         * @param outside cost of what is in no column
         * @return what nothing below it costs less than
         */
        int branch(int[] columns, int[] settled, int outside) {
            Optimisation.Result parts = model(columns, settled).minimise();
            if (!parts.getState().isFeasible()) {
                return Integer.MAX_VALUE;
            }
            int bound = outside + Limits.ceil(parts.getValue() - NEARLY);
            offer(columns, parts);
            if (bound >= sum(best)) {
                return bound;
            }
            if (System.nanoTime() > until) {
                cut = true;
                return bound;
            }
            int open = -1;
            for (int c = 0; c < columns.length; c++) {
                double off = Math.abs(parts.doubleValue(c) - TAKEN);
                boolean between = off < TAKEN - NEARLY;
                open = between && (open < 0 || off < Math.abs(parts.doubleValue(open) - TAKEN)) ? c : open;
            }
            if (open < 0) {
                return bound;
            }
            int[] next = settled.clone();
            next[open] = 1;
            int with = branch(columns, next, outside);
            next = settled.clone();
            next[open] = -1;
            return Math.max(bound, Math.min(with, branch(columns, next, outside)));
        }

        /** Everything that is taken in part, without what is not needed of it: the smallest parts go first. */
        private void offer(int[] columns, Optimisation.Result parts) {
            BitSet found = new BitSet();
            for (int i = 0; i < cost.length; i++) {
                found.set(i, always[i]);
            }
            List<Integer> taken = new ArrayList<>();
            for (int c = 0; c < columns.length; c++) {
                if (parts.doubleValue(c) > NEARLY) {
                    found.set(columns[c]);
                    taken.add(c);
                }
            }
            taken.sort(Comparator.comparingDouble(c -> parts.doubleValue(c)));
            List<Integer> things = taken.stream().map(c -> columns[c]).toList();
            if (suffices(found)) {
                without(found, things);
                best = sum(found) < sum(best) ? found : best;
            }
        }
    }

    /** Things that take something away somewhere; the others are only chosen where they always are. */
    private int[] columns() {
        return IntStream.range(0, cost.length)
                .filter(i -> places.stream().anyMatch(p -> p.takes()[i] > 0))
                .toArray();
    }

    private ExpressionsBasedModel model(int[] columns, int... settled) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        Variable[] x = new Variable[columns.length];
        for (int c = 0; c < columns.length; c++) {
            boolean taken = always[columns[c]] || settled[c] > 0;
            x[c] = model.addVariable("x" + columns[c])
                    .lower(taken ? 1 : 0)
                    .upper(settled[c] < 0 ? 0 : 1)
                    .weight(cost[columns[c]]);
        }
        for (int k = 0; k < places.size(); k++) {
            Expression e = model.addExpression("p" + k).lower(places.get(k).atLeast());
            double[] takes = places.get(k).takes();
            for (int c = 0; c < columns.length; c++) {
                if (takes[columns[c]] > 0) {
                    e.set(x[c], takes[columns[c]]);
                }
            }
        }
        return model;
    }

    /** What takes most for its cost first, then those left out again that are not needed. */
    private BitSet byHand() {
        BitSet chosen = new BitSet();
        for (int i = 0; i < always.length; i++) {
            chosen.set(i, always[i]);
        }
        double[] left = places.stream()
                .mapToDouble(p -> p.atLeast()
                        - chosen.stream().mapToDouble(i -> p.takes()[i]).sum())
                .toArray();
        while (Arrays.stream(left).anyMatch(l -> l > 0)) {
            int best = -1;
            double most = 0;
            for (int i = 0; i < cost.length; i++) {
                double takes = 0;
                for (int k = 0; !chosen.get(i) && k < left.length; k++) {
                    takes += Math.max(0, Math.min(left[k], places.get(k).takes()[i]));
                }
                if (takes / cost[i] > most) {
                    most = takes / cost[i];
                    best = i;
                }
            }
            if (best < 0) {
                break;
            }
            chosen.set(best);
            for (int k = 0; k < left.length; k++) {
                left[k] -= places.get(k).takes()[best];
            }
        }
        without(chosen, chosen.stream().boxed().toList());
        return chosen;
    }

    /** Leaves out again what is not needed, in order. */
    private void without(BitSet chosen, List<Integer> things) {
        for (int i : things) {
            if (!always[i]) {
                chosen.clear(i);
                if (!suffices(chosen)) {
                    chosen.set(i);
                }
            }
        }
    }

    private boolean suffices(BitSet chosen) {
        for (Place p : places) {
            double sum = chosen.stream().mapToDouble(i -> p.takes()[i]).sum();
            if (Limits.above(p.atLeast(), sum)) {
                return false;
            }
        }
        return true;
    }

    private int sum(BitSet chosen) {
        return chosen.stream().map(i -> cost[i]).sum();
    }
}
