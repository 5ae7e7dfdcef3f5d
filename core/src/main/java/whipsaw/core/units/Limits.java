package whipsaw.core.units;

/**
 * Comparisons with a limit. A value within a relative 1e-9 of a limit counts as on it, and a value
 * on a limit passes; whole things round up and down with the same slack.
 */
public final class Limits {
    public static final double SLACK = 1e-9;

    private Limits() {}

    /** {@code value <= limit}, with the slack. */
    public static boolean atMost(double value, double limit) {
        return value <= limit + SLACK * Math.max(1, Math.abs(limit));
    }

    /** {@code value > limit}, with the slack: a value on the limit is not above it. */
    public static boolean above(double value, double limit) {
        return !atMost(value, limit);
    }

    /** Whole things needed: 3.0000000001 is 3. */
    public static int ceil(double value) {
        return (int) Math.ceil(value - SLACK * Math.max(1, Math.abs(value)));
    }

    /** Whole things that fit: 2.9999999999 is 3. */
    public static int floor(double value) {
        return (int) Math.floor(value + SLACK * Math.max(1, Math.abs(value)));
    }
}
