package whipsaw.core.units;

/** A text that is no value of the quantity asked for; the message says what to type instead. */
public class UnitTextException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    public UnitTextException(String message) {
        super(message);
    }
}
