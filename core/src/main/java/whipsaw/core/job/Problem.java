package whipsaw.core.job;

/**
 * Something in a job document that cannot be taken.
 *
 * @param path JSON path of the value, for example {@code $.roof.height}
 * @param label of the field, as on the page
 * @param value as it was given
 * @param message what is wrong, with the allowed range and an example
 */
public record Problem(String path, String label, String value, String message) {

    /** One line for a page or a terminal. */
    public String words() {
        return label + (value.isEmpty() ? " " : ": '" + value + "' ") + message;
    }
}
