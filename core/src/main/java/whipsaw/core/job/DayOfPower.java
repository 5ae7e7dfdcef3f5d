package whipsaw.core.job;

import java.util.Map;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;

/** Mean power of each hour of a day, kW: a list of 24 numbers. */
final class DayOfPower implements Codec {
    private static final int HOURS = 24;

    @Override
    public Object read(Doc doc, Slot slot) {
        return doc.numbers(
                slot.key(),
                slot.label(),
                HOURS,
                slot.input().least(),
                slot.input().most());
    }

    @Override
    public Object write(Object value, Slot slot) {
        return value;
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        return JsonSchema.list(
                HOURS,
                HOURS,
                JsonSchema.number("number", slot.input().least(), slot.input().most()));
    }
}
