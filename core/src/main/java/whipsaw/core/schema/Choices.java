package whipsaw.core.schema;

import java.util.List;

/** What a choice may be, where that is data. */
public interface Choices {
    /** The choices as documents write them. */
    List<String> names();
}
