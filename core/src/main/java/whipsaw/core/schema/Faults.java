package whipsaw.core.schema;

/** Where the rules of a record note what they find, by the key of an input. */
public final class Faults {
    private final Doc doc;
    private final Shape<?> shape;

    Faults(Doc doc, Shape<?> shape) {
        this.doc = doc;
        this.shape = shape;
    }

    /**
     * Notes a problem of an input.
     *
     * @param key of the input in documents
     * @param value as given, empty when it is missing
     * @param message what is wrong, and what to give instead
     */
    public void note(String key, Object value, String message) {
        doc.problem(key, shape.label(key), value, message);
    }

    /** The faults of one of a list of records. */
    public Faults in(String key, int index) {
        Slot slot = shape.slot(key);
        return new Faults(doc.entry(slot, index), slot.element());
    }
}
