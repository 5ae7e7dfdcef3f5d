package whipsaw.core.calc;

/** An input of a single calculation that is missing or not allowed. */
public class CalcException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final String field;

    public CalcException(String field, String message) {
        super(field + " " + message);
        this.field = field;
    }

    /** The input it is about. */
    public String field() {
        return field;
    }
}
