package whipsaw.core.schema;

/**
 * Something in a job document that cannot be taken.
 *
 * @param path JSON path of the value, for example {@code $.roof.height}
 * @param label of the field, as on the page
 * @param value as it was given
 * @param message what is wrong, with the allowed range and an example
 */
public record Problem(String path, String label, String value, String message) {

    /** A problem of an input, called as it is declared. */
    public static Problem at(Path<?> input, Object value, String message) {
        return new Problem(input.toString(), input.label(), String.valueOf(value), message);
    }

    /** One line for a page or a terminal. */
    public String words() {
        return label + (value.isEmpty() ? " " : ": '" + value + "' ") + message;
    }
}
