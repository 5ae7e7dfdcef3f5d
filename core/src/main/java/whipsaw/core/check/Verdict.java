package whipsaw.core.check;

import whipsaw.core.units.Limits;

/** What a check says. In order of how much it stops the job. */
public enum Verdict {
    FAILS("fails", "✕"),
    NEEDS_ENGINEER("needs an engineer", "E"),
    NOT_ESTABLISHED("not established", "?"),
    CLOSE("close", "≈"),
    PASSES("passes", "✓");

    private static final double CLOSE_FROM = 0.90;

    private final String words;
    private final String mark;

    Verdict(String words, String mark) {
        this.words = words;
        this.mark = mark;
    }

    /** The verdict for readers. */
    public String words() {
        return words;
    }

    /** Whether it stops the job until something is done. */
    public boolean stops() {
        return compareTo(NOT_ESTABLISHED) <= 0;
    }

    /** One character that tells the verdict without colour. */
    public String mark() {
        return mark;
    }

    /** Passes up to 0.90, close up to 1.00, fails above. */
    public static Verdict of(double utilisation) {
        if (Limits.above(utilisation, 1.0)) {
            return FAILS;
        }
        return Limits.above(utilisation, CLOSE_FROM) ? CLOSE : PASSES;
    }
}
