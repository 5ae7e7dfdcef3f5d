package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.roof.TapeFit.Accuracy;
import whipsaw.core.roof.TapeFit.Check;
import whipsaw.core.roof.TapeFit.Diagonal;
import whipsaw.core.roof.TapeFit.Leg;
import whipsaw.core.roof.TapeFit.Observation;

/**
 * What may be wrong in a survey that fits only because corners taken as square were let go: one tape misread on a roof
 * that is square, or corners that are not. Each is a reading of the same tapes, with the outline it would mean; the one
 * further tape that tells them apart is looked for.
 *
 * @param readings tapes that may be wrong, the likeliest first, and last the corners; none where only the corners can be
 * @param from corner, from 0, of the tape that would decide; -1 where none would
 * @param to its other corner
 */
public record TapeDoubt(List<Reading> readings, int from, int to) {
    /** Corners called square are, to a mason: our convention. */
    private static final double TRUE_DEG = 0.05;

    private static final int MOST_READINGS = 4;

    /** On a walk of more legs fewer are tried: each is a fit of its own. */
    private static final int LONG_WALK = 60;

    /** Lengths nearer than so many standard deviations of a tape are not told apart by it. */
    private static final double TOLD_APART = 3;

    /**
     * One way to read the tapes.
     *
     * @param wrong the tape that is; null where corners are out of square
     * @param errorM taped too long by; NaN for corners
     * @param vertices corners of the roof it would mean, metres
     */
    public record Reading(Observation wrong, double errorM, List<Coordinate> vertices) {
        /** Length of the tape between two corners if this is so. */
        public double lengthM(int from, int to) {
            return vertices.get(from).distance(vertices.get(to));
        }
    }

    public TapeDoubt {
        readings = List.copyOf(readings);
    }

    /**
     * Null where there is no doubt: the tapes fit with square corners too, or no single tape would explain them, so that
     * the corners are what the fit found.
     *
     * @param fit of all with corners let go, which fits
     */
    static TapeDoubt of(TapeFit fit, List<Leg> legs, List<Check> checks) {
        Accuracy square =
                new Accuracy(Accuracy.USUAL.tapeM(), Accuracy.USUAL.tapePerM(), TRUE_DEG, Accuracy.USUAL.angleDeg());
        TapeFit stiff = TapeFit.of(legs, checks, square);
        if (stiff == null || stiff.fits()) {
            return null;
        }
        List<Observation> all = stiff.observations();
        List<Integer> candidates = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).kind() != TapeFit.Kind.CORNER && all.get(i).normalised() > TapeFit.SUSPECT) {
                candidates.add(i);
            }
        }
        candidates.sort(Comparator.comparingDouble((Integer i) -> -all.get(i).normalised()));
        int most = legs.size() > LONG_WALK ? MOST_READINGS : 4 * MOST_READINGS;
        List<Reading> readings = new ArrayList<>();
        for (int i : candidates.subList(0, Math.min(most, candidates.size()))) {
            TapeFit without = new TapeSolver(legs, checks, square, i).solve();
            if (without != null && readings.size() < MOST_READINGS && othersFit(without, i)) {
                Observation left = without.observations().get(i);
                readings.add(new Reading(all.get(i), left.observed() - left.fitted(), without.vertices()));
            }
        }
        if (readings.isEmpty()) {
            return null;
        }
        readings.add(new Reading(null, Double.NaN, fit.vertices()));
        return decided(readings, legs.size(), checks);
    }

    /** A tape left out has a residual of its own that says nothing. */
    private static boolean othersFit(TapeFit without, int left) {
        for (int i = 0; i < without.observations().size(); i++) {
            if (i != left && without.observations().get(i).normalised() > TapeFit.SUSPECT) {
                return false;
            }
        }
        return true;
    }

    /** The diagonal between whose lengths the nearest two differ most. */
    private static TapeDoubt decided(List<Reading> readings, int n, List<Check> checks) {
        int from = -1;
        int to = -1;
        double most = TOLD_APART * Accuracy.USUAL.tapeM();
        for (int i = 0; i < n; i++) {
            for (int k = i + 2; k < n; k++) {
                boolean neighbours = i == 0 && k == n - 1;
                if (!neighbours && !taken(checks, i, k)) {
                    double apart = apart(readings, i, k);
                    if (apart > most) {
                        most = apart;
                        from = i;
                        to = k;
                    }
                }
            }
        }
        return new TapeDoubt(readings, from, to);
    }

    private static boolean taken(List<Check> checks, int i, int k) {
        return checks.stream()
                .anyMatch(c ->
                        c instanceof Diagonal d && Math.min(d.from(), d.to()) == i && Math.max(d.from(), d.to()) == k);
    }

    /** How far apart the likeliest reading's length is from the nearest other one. */
    private static double apart(List<Reading> readings, int i, int k) {
        double least = Double.POSITIVE_INFINITY;
        for (int a = 0; a < readings.size(); a++) {
            for (int b = a + 1; b < readings.size(); b++) {
                double one = readings.get(a).lengthM(i, k);
                double other = readings.get(b).lengthM(i, k);
                least = Math.min(least, Math.abs(one - other));
            }
        }
        return least;
    }
}
