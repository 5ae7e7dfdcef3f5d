package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.ojalgo.matrix.decomposition.Cholesky;
import org.ojalgo.matrix.store.MatrixStore;
import org.ojalgo.matrix.store.R064Store;
import whipsaw.core.roof.TapeFit.Accuracy;
import whipsaw.core.roof.TapeFit.Check;
import whipsaw.core.roof.TapeFit.Diagonal;
import whipsaw.core.roof.TapeFit.Kind;
import whipsaw.core.roof.TapeFit.Leg;
import whipsaw.core.roof.TapeFit.Observation;
import whipsaw.core.roof.TapeFit.Offset;

/** Gauss and Newton's steps from the outline of the compass rule. */
final class TapeSolver {
    private static final int MOST_STEPS = 25;
    private static final double STILL_M = 1e-9;
    private static final double NEARLY_STILL_M = 1e-5;

    private final List<Leg> legs;
    private final List<Check> checks;
    private final Accuracy accuracy;
    private final int left;
    private final int n;
    private final int count;
    private SparseRow[] rows;
    private double[] sigma;
    private MatrixStore<Double> inverse;

    /** Derivatives of one observation by the few unknowns it depends on. */
    private static final class SparseRow {
        private static final int MOST = 6;

        private final int[] columns = new int[MOST];
        private final double[] values = new double[MOST];
        private int used;

        void add(int column, double value) {
            for (int i = 0; i < used; i++) {
                if (columns[i] == column) {
                    values[i] += value;
                    return;
                }
            }
            columns[used] = column;
            values[used++] = value;
        }
    }

    TapeSolver(List<Leg> legs, List<Check> checks, Accuracy accuracy, int left) {
        this.legs = legs;
        this.checks = checks;
        this.accuracy = accuracy;
        this.left = left;
        this.n = legs.size();
        this.count = 2 * n + checks.size();
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
        inverse = normal(misfit, R064Store.FACTORY.make(unknowns(), 1)).getInverse();
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
        rows = new SparseRow[count];
        Arrays.setAll(rows, i -> new SparseRow());
        sigma = new double[count];
        for (int i = 0; i < n; i++) {
            length(i, i, (i + 1) % n, legs.get(i).lengthM(), px, py, misfit);
            corner(n + i, i, px, py, misfit);
        }
        for (int i = 0; i < checks.size(); i++) {
            if (checks.get(i) instanceof Offset o) {
                offset(2 * n + i, o, px, py, misfit);
            } else {
                Diagonal d = (Diagonal) checks.get(i);
                length(2 * n + i, d.from(), d.to(), d.lengthM(), px, py, misfit);
            }
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

    /** Distance of a corner square off the line of two others, on the side it lies on now. */
    private void offset(int row, Offset o, double[] px, double[] py, double[] misfit) {
        double ux = px[o.to()] - px[o.from()];
        double uy = py[o.to()] - py[o.from()];
        double size = Math.hypot(ux, uy);
        ux /= size;
        uy /= size;
        double wx = px[o.corner()] - px[o.from()];
        double wy = py[o.corner()] - py[o.from()];
        double off = ux * wy - uy * wx;
        double along = (ux * wx + uy * wy) / size;
        double side = off < 0 ? -1 : 1;
        // the line turns about the other end when one end moves, so each end takes its share of the corner's way
        add(row, x(o.corner()), -side * uy);
        add(row, y(o.corner()), side * ux);
        add(row, x(o.to()), side * uy * along);
        add(row, y(o.to()), -side * ux * along);
        add(row, x(o.from()), side * uy * (1 - along));
        add(row, y(o.from()), -side * ux * (1 - along));
        sigma[row] = accuracy.lengthM(o.lengthM());
        misfit[row] = o.lengthM() - Math.abs(off);
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
            rows[row].add(column, value);
        }
    }

    private double weight(int row) {
        return row == left ? 0 : 1 / (sigma[row] * sigma[row]);
    }

    /** Normal equations, decomposed; the right side is added up where it is wanted. */
    private Cholesky<Double> normal(double[] misfit, R064Store right) {
        int u = unknowns();
        R064Store normal = R064Store.FACTORY.make(u, u);
        for (int r = 0; r < count; r++) {
            SparseRow row = rows[r];
            for (int i = 0; i < row.used; i++) {
                double wi = weight(r) * row.values[i];
                right.add(row.columns[i], 0, wi * misfit[r]);
                for (int k = 0; k < row.used; k++) {
                    normal.add(row.columns[i], row.columns[k], wi * row.values[k]);
                }
            }
        }
        Cholesky<Double> cholesky = Cholesky.R064.make(normal);
        cholesky.decompose(normal);
        return cholesky;
    }

    private double improve(double[] px, double[] py, double[] misfit) {
        R064Store right = R064Store.FACTORY.make(unknowns(), 1);
        MatrixStore<Double> step = normal(misfit, right).getSolution(right);
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
        for (int i = 0; i < rows[r].used; i++) {
            for (int k = 0; k < rows[s].used; k++) {
                sum += rows[r].values[i]
                        * inverse.doubleValue(rows[r].columns[i], rows[s].columns[k])
                        * rows[s].values[k];
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
        if (r >= n && r < 2 * n) {
            double observed = legs.get(r - n).turnDeg();
            int at = (r - n + 1) % n;
            double degrees = Math.toDegrees(misfit);
            double sigmaDeg = Math.toDegrees(sigma[r]);
            return new Observation(
                    Kind.CORNER, at, at, -1, observed, observed - degrees, sigmaDeg, redundancy, normalised);
        }
        double observed = r < n ? legs.get(r).lengthM() : checks.get(r - 2 * n).lengthM();
        double fitted = observed - misfit;
        if (r < n) {
            return new Observation(Kind.EDGE, r, (r + 1) % n, -1, observed, fitted, sigma[r], redundancy, normalised);
        }
        if (checks.get(r - 2 * n) instanceof Offset o) {
            return new Observation(
                    Kind.OFFSET, o.from(), o.to(), o.corner(), observed, fitted, sigma[r], redundancy, normalised);
        }
        Diagonal d = (Diagonal) checks.get(r - 2 * n);
        return new Observation(Kind.DIAGONAL, d.from(), d.to(), -1, observed, fitted, sigma[r], redundancy, normalised);
    }
}
