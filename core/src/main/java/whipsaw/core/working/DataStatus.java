package whipsaw.core.working;

/** How far a coefficient or catalogue figure can be relied on. */
public enum DataStatus {
    /** Checked by a named person against a named edition. */
    CONFIRMED("confirmed"),
    /** As shipped: nobody has checked it against the printed standard yet. */
    UNCONFIRMED("unconfirmed"),
    /** Made up for demonstration; never to be built from. */
    INVENTED("invented");

    private final String words;

    DataStatus(String words) {
        this.words = words;
    }

    /** The status for readers. */
    public String words() {
        return words;
    }

    /** The less reliable of two; null stands for a figure that rests on no data. */
    public static DataStatus worse(DataStatus a, DataStatus b) {
        if (a == null || b == null) {
            return a == null ? b : a;
        }
        return a.ordinal() > b.ordinal() ? a : b;
    }
}
