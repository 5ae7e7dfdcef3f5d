package whipsaw.app.store;

/** Something asked of the store that it cannot do, in words for the user. */
public class StoreException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public StoreException(String message) {
        super(message);
    }
}
