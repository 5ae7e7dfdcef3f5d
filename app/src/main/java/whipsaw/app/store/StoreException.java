package whipsaw.app.store;

/** Something asked of the store that it does not have, in words for the user. */
public class StoreException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public StoreException(String message) {
        super(message);
    }

    /** Something that is there already and is not replaced in silence. */
    public static class Taken extends StoreException {
        private static final long serialVersionUID = 1L;

        public Taken(String message) {
            super(message);
        }
    }
}
