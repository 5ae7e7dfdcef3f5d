package whipsaw.core.units;

/**
 * What a number measures. The SI unit named here is the one every value of the quantity is kept in.
 */
public enum Quantity {
    LENGTH("m"),
    AREA("m2"),
    PRESSURE("Pa"),
    MASS("kg"),
    FORCE("N"),
    MOMENT("Nm"),
    LINE_LOAD("N_per_m"),
    SECTION_MODULUS("m3"),
    SECOND_MOMENT("m4"),
    SPEED("m_per_s"),
    /** Kept in degrees, the trade's own unit, never in radians. */
    ANGLE("deg"),
    TEMPERATURE("C"),
    POWER("W"),
    CURRENT("A"),
    VOLTAGE("V"),
    PER_CENT("pct"),
    PER_CENT_PER_DEGREE("pct_per_C"),
    NUMBER("value");

    private final String siKey;

    Quantity(String siKey) {
        this.siKey = siKey;
    }

    /** Key of the SI value beside the typed text in job files, for example {@code m}. */
    public String siKey() {
        return siKey;
    }
}
