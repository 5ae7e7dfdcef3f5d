package whipsaw.core.explore;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;
import whipsaw.core.units.Limits;

/**
 * The cheapest choice of things that together take away at least so much in each of some places: an integer programme,
 * solved by branch and bound.
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
        BitSet best = start.chosen();
        int bound = relaxed();
        if (start.cost() <= bound) {
            return new Choice(best, start.cost(), bound);
        }
        ExpressionsBasedModel model = model(mostMs);
        Optimisation.Result result = model.minimise();
        if (result.getState().isFeasible()) {
            BitSet found = new BitSet();
            int[] columns = columns();
            for (int i = 0; i < cost.length; i++) {
                found.set(i, always[i]);
            }
            for (int c = 0; c < columns.length; c++) {
                if (result.doubleValue(c) > TAKEN) {
                    found.set(columns[c]);
                }
            }
            if (suffices(found) && sum(found) < sum(best)) {
                best = found;
            }
            if (result.getState().isOptimal() && sum(best) == sum(found)) {
                bound = sum(best);
            }
        }
        return new Choice(best, sum(best), bound);
    }

    /** Things that take something away somewhere; the others are only chosen where they always are. */
    private int[] columns() {
        return IntStream.range(0, cost.length)
                .filter(i -> places.stream().anyMatch(p -> p.takes()[i] > 0))
                .toArray();
    }

    private ExpressionsBasedModel model(long mostMs) {
        Optimisation.Options options = new Optimisation.Options();
        options.time_abort = mostMs;
        options.time_suffice = mostMs;
        ExpressionsBasedModel model = new ExpressionsBasedModel(options);
        int[] columns = columns();
        Variable[] x = new Variable[columns.length];
        for (int c = 0; c < columns.length; c++) {
            x[c] = model.addVariable("x" + columns[c]).binary().weight(cost[columns[c]]);
            if (always[columns[c]]) {
                x[c].lower(1);
            }
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

    /** Costs are whole: none is less than that of parts of things, rounded up. */
    private int relaxed() {
        ExpressionsBasedModel model = model(Long.MAX_VALUE);
        model.relax(true);
        Optimisation.Result result = model.minimise();
        int outside = IntStream.range(0, cost.length)
                .filter(i -> always[i] && places.stream().noneMatch(p -> p.takes()[i] > 0))
                .map(i -> cost[i])
                .sum();
        return outside + (result.getState().isOptimal() ? Limits.ceil(result.getValue() - Limits.SLACK) : 0);
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
        for (int i = chosen.nextSetBit(0); i >= 0; i = chosen.nextSetBit(i + 1)) {
            if (!always[i]) {
                chosen.clear(i);
                if (!suffices(chosen)) {
                    chosen.set(i);
                }
            }
        }
        return chosen;
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
