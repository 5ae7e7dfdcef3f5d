package whipsaw.core.job;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;

/** Names of bays in one text, with commas between; empty, or the word all, for all of them. */
final class BayNames implements Codec {
    @Override
    public Object read(Doc doc, Slot slot) {
        if (doc.raw(slot.key()) instanceof String given
                && (given.isBlank() || given.strip().equalsIgnoreCase("all"))) {
            return List.of();
        }
        String text = doc.text(slot.key(), slot.label(), slot.input().longest());
        List<String> names = Arrays.stream(text.split("[,;\\s]+"))
                .map(name -> name.toUpperCase(Locale.ROOT))
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList();
        for (String name : names) {
            if (!name.matches("[A-Z]{1,2}\\d{1,3}")) {
                doc.problem(slot.key(), slot.label(), name, "is no bay: name them as on the plan, for example B2, C2");
            }
        }
        return names;
    }

    @Override
    public Object write(Object value, Slot slot) {
        String names = ((List<?>) value).stream().map(String::valueOf).collect(Collectors.joining(", "));
        return names.isEmpty() ? null : names;
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        return JsonSchema.text(slot.input().longest(), "^\\s*([Aa][Ll][Ll]|([A-Za-z]{1,2}\\d{1,3}[,;\\s]*)*)\\s*$");
    }
}
