package whipsaw.core.energy;

/** What share of beam power a module loses when a shadow covers a share of it from the low edge up. */
public enum ShadeRule {
    /** As much as is covered: the ideal. */
    LINEAR("linear", 0),
    /** Three substrings one above the other along the slope: one that is touched is bypassed. */
    LANDSCAPE("landscape", 3),
    /** Three substrings side by side up the slope: a shadow from the low edge touches all. */
    PORTRAIT_FULL_CELL("portrait_full_cell", 1),
    /** Lower and upper half work in parallel: the half that is touched is lost. */
    PORTRAIT_HALF_CUT("portrait_half_cut", 2);

    private static final double TOUCHED = 1e-6;

    private final String key;
    private final int bands;

    ShadeRule(String key, int bands) {
        this.key = key;
        this.bands = bands;
    }

    /** Name in files. */
    public String key() {
        return key;
    }

    /**
     * By its name in files.
     *
     * @throws IllegalArgumentException for another one
     */
    public static ShadeRule of(String key) {
        for (ShadeRule r : values()) {
            if (r.key.equals(key)) {
                return r;
            }
        }
        throw new IllegalArgumentException("no shade rule " + key);
    }

    /** Lost share of the beam. */
    public double lost(double shaded) {
        return bands == 0 ? shaded : Math.max(0, Math.ceil(bands * shaded - TOUCHED)) / bands;
    }
}
