package whipsaw.core.job;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;
import whipsaw.core.units.CleanText;

/** Texts one after the other, with semicolons or line breaks between. */
final class SemicolonTexts implements Codec {
    @Override
    public Object read(Doc doc, Slot slot) {
        Object value = doc.raw(slot.key());
        if (!(value instanceof String given) || given.length() > slot.input().longest()) {
            doc.problem(
                    slot.key(),
                    slot.label(),
                    value,
                    value instanceof String
                            ? "is longer than " + slot.input().longest() + " characters"
                            : "is no text: write them with semicolons between");
            return List.of();
        }
        return Arrays.stream(given.split("[;\\n]"))
                .map(CleanText::line)
                .filter(t -> !t.isEmpty())
                .toList();
    }

    @Override
    public Object write(Object value, Slot slot) {
        String text = ((List<?>) value).stream().map(String::valueOf).collect(Collectors.joining("; "));
        return text.isEmpty() ? null : text;
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        return JsonSchema.text(slot.input().longest(), null);
    }
}
