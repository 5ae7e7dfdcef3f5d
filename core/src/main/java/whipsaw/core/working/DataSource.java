package whipsaw.core.working;

/** Something that supplies figures and says how far they can be relied on. */
public interface DataSource {
    /** Title and edition, for a reader. */
    String words();

    DataStatus status();
}
