package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.ojalgo.matrix.decomposition.Cholesky;
import org.ojalgo.matrix.store.MatrixStore;
import org.ojalgo.matrix.store.R064Store;

/**
 * The outline that fits every tape best: least squares over edges, corners and diagonals, each with
 * its own accuracy. Corner 0 lies at (0, 0) and edge 0 along +x, as in {@link Traverse}.
 *
 * <p>An observation is suspected by its normalised residual {@code w = |v| / (sigma sqrt(r))} (data
 * snooping, Baarda 1968), where r is its redundancy: the part of an error in it that shows in its
 * own residual. Two observations whose normalised residuals are correlated by almost 1 cannot be
 * told apart by these figures.
 *
 * @param vertices fitted corners, metres
 * @param observations in the order edges, corners, diagonals, with their residuals
 * @param freedom observations more than unknowns
 * @param unitVariance weighted sum of squared residuals over the freedom
 */
public record TapeFit(List<Coordinate> vertices, List<Observation> observations, int freedom, double unitVariance) {
    /** Above this a normalised residual is a suspect: it happens once in a thousand without a blunder. */
    public static final double SUSPECT = 3.29;

    /** Correlation from which two suspects cannot be told apart. */
    private static final double ALIKE = 0.95;

    private static final int MOST_STEPS = 25;
    private static final double STILL_M = 1e-9;
    private static final double NEARLY_STILL_M = 1e-5;

    /** What was observed. */
    public enum Kind {
        EDGE,
        CORNER,
        DIAGONAL
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

    /** A tape across the roof, from corner to corner, counted from 0. */
    public record Diagonal(int from, int to, double lengthM) {}

    /**
     * One observation with what the fit makes of it. Lengths in metres, corners in degrees.
     *
     * @param from corner it begins at, from 0; a corner's own number for its turn
     * @param to corner it ends at
     * @param fitted value in the fitted outline
     * @param sigma its standard deviation
     * @param redundancy 0 to 1
     * @param normalised residual over its own standard deviation; 0 when nothing checks it
     */
    public record Observation(
            Kind kind,
            int from,
            int to,
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

    /** The fit; null when the steps lead to no outline near the walk, because turns or lengths are far out. */
    public static TapeFit of(List<Leg> legs, List<Diagonal> diagonals, Accuracy accuracy) {
        return new Solver(legs, diagonals, accuracy, -1).solve();
    }

    /** The same without one of its observations. */
    private static TapeFit without(int left, List<Leg> legs, List<Diagonal> diagonals, Accuracy accuracy) {
        return new Solver(legs, diagonals, accuracy, left).solve();
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
    public static Suspects suspects(List<Leg> legs, List<Diagonal> diagonals, Accuracy accuracy) {
        Solver solver = new Solver(legs, diagonals, accuracy, -1);
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
        Decision decision = second < 0 ? null : decision(legs, diagonals, accuracy, first, second);
        return new Suspects(ranked, alike, decision);
    }

    /** The diagonal whose length differs most between two suspicions. */
    private static Decision decision(
            List<Leg> legs, List<Diagonal> diagonals, Accuracy accuracy, int first, int second) {
        TapeFit withoutFirst = without(first, legs, diagonals, accuracy);
        TapeFit withoutSecond = without(second, legs, diagonals, accuracy);
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
                boolean taken = diagonals.stream()
                        .anyMatch(d -> Math.min(d.from(), d.to()) == from && Math.max(d.from(), d.to()) == to);
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

    /** Gauss and Newton's steps from the outline of the compass rule. */
    private static final class Solver {
        private final List<Leg> legs;
        private final List<Diagonal> diagonals;
        private final Accuracy accuracy;
        private final int left;
        private final int n;
        private final int count;
        private double[][] rows;
        private double[] sigma;
        private MatrixStore<Double> inverse;

        Solver(List<Leg> legs, List<Diagonal> diagonals, Accuracy accuracy, int left) {
            this.legs = legs;
            this.diagonals = diagonals;
            this.accuracy = accuracy;
            this.left = left;
            this.n = legs.size();
            this.count = 2 * n + diagonals.size();
        }

        private int unknowns() {
            return 2 * n - 3;
        }

        /** Column of x of a corner; -1 when it is fixed. */
        private int x(int corner) {
            return corner == 0 ? -1 : corner == 1 ? 0 : 2 * corner - 3;
        }

        private int y(int corner) {
            return corner < 2 ? -1 : 2 * corner - 2;
        }

        TapeFit solve() {
            double[] px = new double[n];
            double[] py = new double[n];
            start(px, py);
            double[] misfit = new double[count];
            // a step longer than the walk itself leads nowhere
            double farthest = legs.stream().mapToDouble(Leg::lengthM).sum();
            double moved = Double.POSITIVE_INFINITY;
            for (int step = 0; step < MOST_STEPS && moved >= STILL_M; step++) {
                observe(px, py, misfit);
                moved = improve(px, py, misfit);
                if (!(moved < farthest)) {
                    return null;
                }
            }
            if (moved > NEARLY_STILL_M) {
                return null;
            }
            observe(px, py, misfit);
            normal(misfit);
            return result(px, py, misfit);
        }

        private void start(double[] px, double[] py) {
            List<Coordinate> walk = Traverse.of(
                            legs.stream()
                                    .map(l -> new Traverse.Leg(l.lengthM(), l.turnDeg()))
                                    .toList(),
                            true)
                    .vertices();
            double turn = Math.atan2(walk.get(1).y, walk.get(1).x);
            for (int i = 0; i < n; i++) {
                px[i] = walk.get(i).x * Math.cos(turn) + walk.get(i).y * Math.sin(turn);
                py[i] = -walk.get(i).x * Math.sin(turn) + walk.get(i).y * Math.cos(turn);
            }
            py[1] = 0;
        }

        /** Derivatives of every observation and its misfit, observed less computed. */
        private void observe(double[] px, double[] py, double[] misfit) {
            rows = new double[count][unknowns()];
            sigma = new double[count];
            for (int i = 0; i < n; i++) {
                length(i, i, (i + 1) % n, legs.get(i).lengthM(), px, py, misfit);
                corner(n + i, i, px, py, misfit);
            }
            for (int i = 0; i < diagonals.size(); i++) {
                Diagonal d = diagonals.get(i);
                length(2 * n + i, d.from(), d.to(), d.lengthM(), px, py, misfit);
            }
        }

        private void length(int row, int a, int b, double observed, double[] px, double[] py, double[] misfit) {
            double dx = px[b] - px[a];
            double dy = py[b] - py[a];
            double size = Math.hypot(dx, dy);
            add(row, x(b), dx / size);
            add(row, y(b), dy / size);
            add(row, x(a), -dx / size);
            add(row, y(a), -dy / size);
            sigma[row] = accuracy.lengthM(observed);
            misfit[row] = observed - size;
        }

        /** The turn at the end of a leg: heading of the next less its own. */
        private void corner(int row, int leg, double[] px, double[] py, double[] misfit) {
            int at = (leg + 1) % n;
            int next = (leg + 2) % n;
            double before = heading(row, leg, at, -1, px, py);
            double after = heading(row, at, next, 1, px, py);
            sigma[row] = Math.toRadians(legs.get(leg).measured() ? accuracy.angleDeg() : accuracy.squareDeg());
            double difference = Math.toRadians(legs.get(leg).turnDeg()) - (after - before);
            misfit[row] = Math.IEEEremainder(difference, 2 * Math.PI);
        }

        private double heading(int row, int a, int b, double sign, double[] px, double[] py) {
            double dx = px[b] - px[a];
            double dy = py[b] - py[a];
            double square = dx * dx + dy * dy;
            add(row, x(b), -sign * dy / square);
            add(row, y(b), sign * dx / square);
            add(row, x(a), sign * dy / square);
            add(row, y(a), -sign * dx / square);
            return Math.atan2(dy, dx);
        }

        private void add(int row, int column, double value) {
            if (column >= 0) {
                rows[row][column] += value;
            }
        }

        private double weight(int row) {
            return row == left ? 0 : 1 / (sigma[row] * sigma[row]);
        }

        /** Normal equations; keeps their inverse and returns the right side. */
        private R064Store normal(double[] misfit) {
            int u = unknowns();
            R064Store normal = R064Store.FACTORY.make(u, u);
            R064Store right = R064Store.FACTORY.make(u, 1);
            for (int r = 0; r < count; r++) {
                double w = weight(r);
                for (int i = 0; i < u; i++) {
                    double wi = w * rows[r][i];
                    if (wi == 0) {
                        continue;
                    }
                    right.add(i, 0, wi * misfit[r]);
                    for (int k = 0; k < u; k++) {
                        normal.add(i, k, wi * rows[r][k]);
                    }
                }
            }
            Cholesky<Double> cholesky = Cholesky.R064.make(normal);
            cholesky.decompose(normal);
            inverse = cholesky.getInverse();
            return right;
        }

        private double improve(double[] px, double[] py, double[] misfit) {
            R064Store right = normal(misfit);
            MatrixStore<Double> step = inverse.multiply(right);
            double most = 0;
            for (int i = 1; i < n; i++) {
                px[i] += step.doubleValue(x(i), 0);
                most = Math.max(most, Math.abs(step.doubleValue(x(i), 0)));
                if (y(i) >= 0) {
                    py[i] += step.doubleValue(y(i), 0);
                    most = Math.max(most, Math.abs(step.doubleValue(y(i), 0)));
                }
            }
            return most;
        }

        /** Cofactor of two fitted observations, a_r N^-1 a_s. */
        private double cofactor(int r, int s) {
            double sum = 0;
            for (int i = 0; i < unknowns(); i++) {
                if (rows[r][i] == 0) {
                    continue;
                }
                for (int k = 0; k < unknowns(); k++) {
                    sum += rows[r][i] * inverse.doubleValue(i, k) * rows[s][k];
                }
            }
            return sum;
        }

        /** Correlation of two normalised residuals. */
        double correlation(int r, int s) {
            double rr = sigma[r] * sigma[r] - cofactor(r, r);
            double ss = sigma[s] * sigma[s] - cofactor(s, s);
            return rr <= 0 || ss <= 0 ? 0 : -cofactor(r, s) / Math.sqrt(rr * ss);
        }

        private TapeFit result(double[] px, double[] py, double[] misfit) {
            List<Coordinate> vertices = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                vertices.add(new Coordinate(px[i], py[i]));
            }
            double squares = 0;
            List<Observation> observations = new ArrayList<>();
            for (int r = 0; r < count; r++) {
                squares += misfit[r] * misfit[r] * weight(r);
                observations.add(observation(r, misfit[r]));
            }
            int freedom = count - unknowns() - (left >= 0 ? 1 : 0);
            return new TapeFit(vertices, observations, freedom, freedom == 0 ? 0 : squares / freedom);
        }

        private Observation observation(int r, double misfit) {
            double redundancy = Math.max(0, 1 - cofactor(r, r) / (sigma[r] * sigma[r]));
            double normalised = redundancy < 1e-6 ? 0 : Math.abs(misfit) / (sigma[r] * Math.sqrt(redundancy));
            if (r < n) {
                double observed = legs.get(r).lengthM();
                return new Observation(
                        Kind.EDGE, r, (r + 1) % n, observed, observed - misfit, sigma[r], redundancy, normalised);
            }
            if (r < 2 * n) {
                double observed = legs.get(r - n).turnDeg();
                int at = (r - n + 1) % n;
                return new Observation(
                        Kind.CORNER,
                        at,
                        at,
                        observed,
                        observed - Math.toDegrees(misfit),
                        Math.toDegrees(sigma[r]),
                        redundancy,
                        normalised);
            }
            Diagonal d = diagonals.get(r - 2 * n);
            return new Observation(
                    Kind.DIAGONAL,
                    d.from(),
                    d.to(),
                    d.lengthM(),
                    d.lengthM() - misfit,
                    sigma[r],
                    redundancy,
                    normalised);
        }
    }
}
