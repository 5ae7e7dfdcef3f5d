package whipsaw.core.schema;

/** A record with rules between its inputs. */
public interface Ruled {
    /** Notes what cannot be together. Asked only when every input of the record could be read. */
    void rules(Faults faults);
}
