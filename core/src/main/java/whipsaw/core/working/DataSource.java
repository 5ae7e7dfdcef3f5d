package whipsaw.core.working;

/** Something that supplies figures and says how far they can be relied on. */
public interface DataSource {
    /** Title and edition, for a reader. */
    String words();

    /** The same with what the figures are about, for a list of sources. */
    default String inFull() {
        return words();
    }

    DataStatus status();
}
