package whipsaw.core.job;

import java.util.Map;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;

/** Temperature rating of terminals, in degrees Celsius: {@code 75 C}. */
final class TerminalRating implements Codec {
    @Override
    public Object read(Doc doc, Slot slot) {
        return Integer.valueOf(
                doc.choice(slot.key(), slot.label(), slot.choices()).replace(" C", ""));
    }

    @Override
    public Object write(Object value, Slot slot) {
        return value + " C";
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        return JsonSchema.choice(slot.choices());
    }
}
