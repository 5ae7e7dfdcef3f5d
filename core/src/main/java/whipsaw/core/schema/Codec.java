package whipsaw.core.schema;

import java.util.Map;

/** How one kind of input is read and written. */
public interface Codec {
    /**
     * The value of an input that is there.
     *
     * @return a value of the component's type; a stand-in after a problem was noted
     */
    Object read(Doc doc, Slot slot);

    /** The value as documents hold it; null leaves it out. */
    Object write(Object value, Slot slot);

    /** JSON Schema of the value. */
    Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions);
}
