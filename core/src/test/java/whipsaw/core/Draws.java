package whipsaw.core;

import java.util.List;
import java.util.Random;
import java.util.StringJoiner;
import java.util.function.Consumer;

/**
 * Values drawn for a property that has to hold for all of them: the same ones at every run, the ends of each range among
 * them. A failure tells what was drawn.
 */
public final class Draws {
    private static final long SEED = 4711;

    /** One in so many draws is an end of its range. */
    private static final int ENDS = 12;

    private final Random random;
    private final int round;
    private final StringJoiner drawn = new StringJoiner(", ");

    private Draws(int round) {
        this.random = new Random(SEED * 1_000_003 + round);
        this.round = round;
    }

    /**
     * Tries a property.
     *
     * @param tries how often
     * @param property fails by an assertion
     */
    public static void each(int tries, Consumer<Draws> property) {
        for (int round = 0; round < tries; round++) {
            Draws draw = new Draws(round);
            try {
                property.accept(draw);
            } catch (AssertionError | RuntimeException e) {
                throw new AssertionError("in round " + round + " with " + draw.drawn + ": " + e.getMessage(), e);
            }
        }
    }

    private <T> T told(T value) {
        drawn.add(String.valueOf(value));
        return value;
    }

    /** The first round takes the lower ends, the second the upper ones. */
    private int end() {
        return round < 2 ? round : random.nextInt(ENDS);
    }

    /** A number of a range, its ends included. */
    public double between(double least, double most) {
        int end = end();
        double inside = least + (most - least) * random.nextDouble();
        return told(end == 0 ? least : end == 1 ? most : inside);
    }

    /** A whole number of a range, its ends included. */
    public int whole(int least, int most) {
        int end = end();
        int inside = least + random.nextInt(most - least + 1);
        return told(end == 0 ? least : end == 1 ? most : inside);
    }

    /** One of some. */
    @SafeVarargs
    public final <T> T of(T... all) {
        return told(List.of(all).get(random.nextInt(all.length)));
    }
}
