package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;

/**
 * The outline that fits every tape best: least squares over edges, corners, diagonals and offsets, each with
 * its own accuracy. Corner 0 lies at (0, 0) and edge 0 along +x, as in {@link Traverse}.
 *
 * <p>An observation is suspected by its normalised residual {@code w = |v| / (sigma sqrt(r))} (data
 * snooping, Baarda 1968), where r is its redundancy: the part of an error in it that shows in its
 * own residual. Two observations whose normalised residuals are correlated by almost 1 cannot be
 * told apart by these figures.
 *
 * @param vertices fitted corners, metres
 * @param observations in the order edges, corners, checks as given, with their residuals
 * @param freedom observations more than unknowns
 * @param unitVariance weighted sum of squared residuals over the freedom
 */
public record TapeFit(List<Coordinate> vertices, List<Observation> observations, int freedom, double unitVariance) {
    /** Above this a normalised residual is a suspect: it happens once in a thousand without a blunder. */
    public static final double SUSPECT = 3.29;

    /** Correlation from which two suspects cannot be told apart. */
    private static final double ALIKE = 0.95;

    /** What was observed. */
    public enum Kind {
        EDGE,
        CORNER,
        DIAGONAL,
        OFFSET
    }

    /**
     * How well things are taped. One standard deviation each.
     *
     * @param tapeM of every length
     * @param tapePerM of a length, for each metre of it
     * @param squareDeg of a corner that was taken as square
     * @param angleDeg of a corner that was measured
     */
    public record Accuracy(double tapeM, double tapePerM, double squareDeg, double angleDeg) {
        /** Our convention: 8 mm and 0.3 mm a metre, half a degree, a tenth of a degree. */
        public static final Accuracy USUAL = new Accuracy(0.008, 0.0003, 0.5, 0.1);

        double lengthM(double lengthM) {
            return Math.hypot(tapeM, tapePerM * lengthM);
        }
    }

    /**
     * A leg of the walk.
     *
     * @param measured whether the turn was measured; else it was taken as it stands
     */
    public record Leg(double lengthM, double turnDeg, boolean measured) {}

    /** A length taped besides the walk. Corners are counted from 0. */
    public sealed interface Check permits Diagonal, Offset {
        double lengthM();
    }

    /** A tape across the roof, from corner to corner. */
    public record Diagonal(int from, int to, double lengthM) implements Check {}

    /** How far a corner lies square off the line through two others, to either side. */
    public record Offset(int corner, int from, int to, double lengthM) implements Check {}

    /**
     * One observation with what the fit makes of it. Lengths in metres, corners in degrees.
     *
     * @param from corner it begins at, from 0; a corner's own number for its turn
     * @param to corner it ends at
     * @param corner that was offset from the line of those two; -1 of other kinds
     * @param fitted value in the fitted outline
     * @param sigma its standard deviation
     * @param redundancy 0 to 1
     * @param normalised residual over its own standard deviation; 0 when nothing checks it
     */
    public record Observation(
            Kind kind,
            int from,
            int to,
            int corner,
            double observed,
            double fitted,
            double sigma,
            double redundancy,
            double normalised) {

        /** What has to be added to the observed value to fit. */
        public double residual() {
            return fitted - observed;
        }

        /** The error it would have if it were the only wrong one. */
        public double error() {
            return redundancy > 1e-6 ? -residual() / redundancy : 0;
        }
    }

    public TapeFit {
        vertices = List.copyOf(vertices);
        observations = List.copyOf(observations);
    }

    /** The longest walk that is fitted; its work grows with the third power of the edges. */
    public static final int MOST_LEGS = 240;

    /**
     * The fit.
     *
     * @return null when the steps lead to no outline near the walk, because turns or lengths are far out, and for a walk
     *     of more than {@link #MOST_LEGS} edges
     */
    public static TapeFit of(List<Leg> legs, List<Check> checks, Accuracy accuracy) {
        return legs.size() > MOST_LEGS ? null : new TapeSolver(legs, checks, accuracy, -1).solve();
    }

    /** The same without one of its observations. */
    private static TapeFit without(int left, List<Leg> legs, List<Check> checks, Accuracy accuracy) {
        return new TapeSolver(legs, checks, accuracy, left).solve();
    }

    /** Area of the fitted outline. */
    public double areaM2() {
        return Math.abs(RoofPlan.signedArea(vertices));
    }

    /** Whether nothing is suspected. */
    public boolean fits() {
        return observations.stream().allMatch(o -> o.normalised() <= SUSPECT);
    }

    /**
     * Observations that may be wrong, the likeliest first.
     *
     * @param alike those whose figures cannot be told from the first's, itself included
     * @param measure the further diagonal that would decide between the first two; null when there is
     *     none or the first stands alone
     */
    public record Suspects(List<Observation> ranked, List<Observation> alike, Decision measure) {}

    /**
     * A measurement to take, and what it would read under either suspicion.
     *
     * @param from corner, from 0
     * @param firstM length when the first suspect is wrong
     * @param secondM length when the second is
     */
    public record Decision(int from, int to, double firstM, double secondM) {}

    /** The ranking of a fit, with the measurement that would decide. */
    public static Suspects suspects(List<Leg> legs, List<Check> checks, Accuracy accuracy) {
        TapeSolver solver = new TapeSolver(legs, checks, accuracy, -1);
        TapeFit fit = solver.solve();
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < fit.observations().size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparingDouble(
                        (Integer i) -> fit.observations().get(i).normalised())
                .reversed());
        int first = order.get(0);
        List<Observation> alike = new ArrayList<>();
        int second = -1;
        for (int i : order) {
            boolean same = i == first || Math.abs(solver.correlation(first, i)) >= ALIKE;
            if (same) {
                alike.add(fit.observations().get(i));
                second = second < 0 && i != first ? i : second;
            }
        }
        List<Observation> ranked =
                order.stream().map(i -> fit.observations().get(i)).toList();
        Decision decision = second < 0 ? null : decision(legs, checks, accuracy, first, second);
        return new Suspects(ranked, alike, decision);
    }

    /** The diagonal whose length differs most between two suspicions. */
    private static Decision decision(List<Leg> legs, List<Check> checks, Accuracy accuracy, int first, int second) {
        TapeFit withoutFirst = without(first, legs, checks, accuracy);
        TapeFit withoutSecond = without(second, legs, checks, accuracy);
        if (withoutFirst == null || withoutSecond == null) {
            return null;
        }
        List<Coordinate> a = withoutFirst.vertices();
        List<Coordinate> b = withoutSecond.vertices();
        Decision best = null;
        double most = 2 * accuracy.tapeM();
        int n = legs.size();
        for (int i = 0; i < n; i++) {
            for (int k = i + 2; k < n; k++) {
                int from = i;
                int to = k;
                boolean neighbours = i == 0 && k == n - 1;
                boolean taken = checks.stream()
                        .anyMatch(c -> c instanceof Diagonal d
                                && Math.min(d.from(), d.to()) == from
                                && Math.max(d.from(), d.to()) == to);
                double one = a.get(i).distance(a.get(k));
                double other = b.get(i).distance(b.get(k));
                if (!neighbours && !taken && Math.abs(one - other) > most) {
                    most = Math.abs(one - other);
                    best = new Decision(i, k, one, other);
                }
            }
        }
        return best;
    }
}
