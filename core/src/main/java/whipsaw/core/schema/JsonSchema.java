package whipsaw.core.schema;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/** JSON Schema (draft 2020-12) of the inputs of a record, made from their declarations. */
public final class JsonSchema {
    private JsonSchema() {}

    /**
     * The schema of a document.
     *
     * @param title of the schema
     * @param shape of the document
     * @param more members of the document that are no inputs, with their schemas; those of {@code required} have to be there
     */
    public static Map<String, Object> of(
            String title, Shape<?> shape, Map<String, Object> more, List<String> required) {
        Definitions definitions = new Definitions();
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", title);
        Map<String, Object> body = definitions.body(shape);
        Map<String, Object> properties = new LinkedHashMap<>(more);
        properties.putAll(object(body.get("properties")));
        List<Object> needed = new ArrayList<>(required);
        needed.addAll((List<?>) body.getOrDefault("required", List.of()));
        schema.putAll(body);
        schema.put("required", needed);
        schema.put("properties", properties);
        schema.put("$defs", new TreeMap<>(definitions.all));
        return schema;
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> object(Object value) {
        return (Map<String, Object>) value;
    }

    /** A text of so many characters at most; the pattern is null where any will do. */
    public static Map<String, Object> text(int longest, String pattern) {
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("type", "string");
        schema.put("maxLength", longest);
        if (pattern != null) {
            schema.put("pattern", pattern);
        }
        return schema;
    }

    /** A number, or a whole one, in a range. */
    public static Map<String, Object> number(String type, double least, double most) {
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("type", type);
        schema.put("minimum", least);
        schema.put("maximum", most);
        return schema;
    }

    /** One of some words. */
    public static Map<String, Object> choice(List<String> words) {
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("enum", words);
        return schema;
    }

    /** A list of so many entries. */
    public static Map<String, Object> list(int fewest, int most, Map<String, Object> entry) {
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("type", "array");
        schema.put("minItems", fewest);
        schema.put("maxItems", most);
        schema.put("items", entry);
        return schema;
    }

    /** An object with these members and no others. */
    public static Map<String, Object> object(Map<String, Object> properties, List<String> required) {
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("type", "object");
        schema.put("additionalProperties", false);
        schema.put("required", required);
        schema.put("properties", properties);
        return schema;
    }

    /** Schemas that are used by name. */
    public static final class Definitions {
        private final Map<String, Object> all = new LinkedHashMap<>();

        private Definitions() {}

        private static Map<String, Object> reference(String name) {
            Map<String, Object> schema = new LinkedHashMap<>();
            schema.put("$ref", "#/$defs/" + name);
            return schema;
        }

        /** An object of a record or of one of several kinds. */
        Map<String, Object> object(Shape<?> shape) {
            String name = shape.type().getSimpleName();
            name = name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
            if (!all.containsKey(name)) {
                all.put(name, Map.of());
                all.put(name, body(shape));
            }
            return reference(name);
        }

        /** A text with a unit of the quantity, or that text with the SI value beside it, which has its range. */
        public Map<String, Object> dimension(Field field) {
            Quantity quantity = field.dimension().quantity();
            Map<String, Object> si = number("number", field.least(), field.most());
            Map<String, Object> schema = new LinkedHashMap<>();
            schema.put("description", field.range(UnitSystem.US) + "; " + field.range(UnitSystem.METRIC));
            schema.put("examples", List.of(field.example(UnitSystem.US), field.example(UnitSystem.METRIC)));
            schema.put("oneOf", List.of(text(quantity), both(text(quantity), quantity.siKey(), si)));
            return schema;
        }

        private Map<String, Object> text(Quantity quantity) {
            String name = quantity.name().toLowerCase(Locale.ROOT);
            if (!all.containsKey(name)) {
                String units = Stream.of(Unit.values())
                        .filter(u -> u.quantity() == quantity && quantity != Quantity.NUMBER)
                        .flatMap(u -> u.spellings().stream())
                        .distinct()
                        .map(Definitions::anyCase)
                        .collect(Collectors.joining("|"));
                Map<String, Object> schema = new LinkedHashMap<>();
                schema.put("description", "A number with its unit; a leading ~ marks an assumption.");
                schema.put("type", "string");
                schema.put("maxLength", 70);
                if (!units.isEmpty()) {
                    schema.put("pattern", "\\d.*(" + units + ")");
                }
                all.put(name, schema);
            }
            return reference(name);
        }

        /** A unit as it may be typed: in any case, squared with a raised 2 too, and no part of another unit. */
        private static String anyCase(String unit) {
            StringBuilder pattern = new StringBuilder();
            for (char c : unit.toCharArray()) {
                if (Character.isLetter(c)) {
                    pattern.append('[')
                            .append(c)
                            .append(Character.toUpperCase(c))
                            .append(']');
                } else if (c == '2') {
                    pattern.append("[2²]");
                } else {
                    pattern.append("^$.|?*+(){}[]/\\".indexOf(c) < 0 ? "" : "\\")
                            .append(c);
                }
            }
            boolean word = Character.isLetter(unit.charAt(unit.length() - 1));
            return (Character.isLetter(unit.charAt(0)) ? "(?<![A-Za-z/])" : "")
                    + pattern
                    + (word ? "(?![A-Za-z0-9/²])" : "");
        }

        private static Map<String, Object> both(Map<String, Object> typed, String key, Map<String, Object> si) {
            Map<String, Object> properties = new LinkedHashMap<>();
            properties.put("typed", typed);
            properties.put(key, si);
            return JsonSchema.object(properties, List.of("typed"));
        }

        /** Distances one after the other, or that text with the metres of each. */
        Map<String, Object> spacings(Field field) {
            Map<String, Object> typed = JsonSchema.text(400, "\\d");
            Map<String, Object> metres = new LinkedHashMap<>();
            metres.put("type", "array");
            metres.put("items", Map.of("type", "number"));
            Map<String, Object> schema = new LinkedHashMap<>();
            schema.put("description", "Each " + field.range(UnitSystem.US) + "; " + field.range(UnitSystem.METRIC));
            schema.put("oneOf", List.of(typed, both(typed, "m", metres)));
            return schema;
        }

        private Map<String, Object> body(Shape<?> shape) {
            List<Map<String, Object>> variants = variants(shape);
            if (variants.size() == 1) {
                return variants.get(0);
            }
            Map<String, Object> schema = new LinkedHashMap<>();
            schema.put("oneOf", variants);
            return schema;
        }

        /** One schema for each kind the object can be of. */
        private List<Map<String, Object>> variants(Shape<?> shape) {
            if (!shape.kinds().isEmpty()) {
                List<Map<String, Object>> all = new ArrayList<>();
                for (Shape<?> kind : shape.kinds()) {
                    for (Map<String, Object> variant : variants(kind)) {
                        all.add(
                                shape.kindKey().isEmpty()
                                        ? variant
                                        : merged(tag(shape.kindKey(), shape.kindLabel(), kind.kind()), variant));
                    }
                }
                return all;
            }
            List<Map<String, Object>> all = List.of(own(shape));
            for (Shape<?> inline : shape.inlines()) {
                List<Map<String, Object>> more = new ArrayList<>();
                for (Map<String, Object> one : all) {
                    for (Map<String, Object> other : variants(inline)) {
                        more.add(merged(one, shape.optional(inline) ? without(other) : other));
                    }
                }
                all = more;
            }
            return all;
        }

        private static Map<String, Object> without(Map<String, Object> variant) {
            Map<String, Object> result = new LinkedHashMap<>(variant);
            result.remove("required");
            return result;
        }

        private static Map<String, Object> tag(String key, String label, String value) {
            Map<String, Object> property = new LinkedHashMap<>();
            property.put("title", label);
            property.put("const", value);
            Map<String, Object> schema = new LinkedHashMap<>();
            schema.put("required", List.of(key));
            schema.put("properties", Map.of(key, property));
            return schema;
        }

        private static Map<String, Object> merged(Map<String, Object> one, Map<String, Object> other) {
            Map<String, Object> result = new LinkedHashMap<>();
            result.put("type", "object");
            result.put("additionalProperties", false);
            for (String lists : List.of("required", "allOf")) {
                List<Object> both = new ArrayList<>((List<?>) one.getOrDefault(lists, List.of()));
                both.addAll((List<?>) other.getOrDefault(lists, List.of()));
                if (!both.isEmpty()) {
                    result.put(lists, both);
                }
            }
            Map<String, Object> together = new LinkedHashMap<>();
            for (Map<String, Object> half : List.of(one, other)) {
                together.putAll(JsonSchema.object(half.getOrDefault("dependentRequired", Map.of())));
            }
            if (!together.isEmpty()) {
                result.put("dependentRequired", together);
            }
            Map<String, Object> properties = new LinkedHashMap<>(JsonSchema.object(one.get("properties")));
            properties.putAll(JsonSchema.object(other.get("properties")));
            result.put("properties", properties);
            return result;
        }

        private Map<String, Object> own(Shape<?> shape) {
            Map<String, Object> properties = new LinkedHashMap<>();
            List<Object> required = new ArrayList<>();
            List<Object> conditions = new ArrayList<>();
            Map<String, Object> together = new LinkedHashMap<>();
            for (Slot slot : shape.own()) {
                Map<String, Object> property = new LinkedHashMap<>();
                property.put("title", slot.label());
                property.putAll(JsonSchema.object(slot.schema(this)));
                describe(slot, property);
                properties.put(slot.key(), property);
                if (!slot.optional()) {
                    required.add(slot.key());
                }
                conditions(shape, slot, conditions);
                if (!slot.input().with().isEmpty()) {
                    together.put(
                            slot.key(), List.of(shape.named(slot.input().with()).key()));
                }
            }
            Map<String, Object> schema = new LinkedHashMap<>();
            schema.put("type", "object");
            schema.put("additionalProperties", false);
            if (!required.isEmpty()) {
                schema.put("required", required);
            }
            if (!conditions.isEmpty()) {
                schema.put("allOf", conditions);
            }
            if (!together.isEmpty()) {
                schema.put("dependentRequired", together);
            }
            schema.put("properties", properties);
            return schema;
        }

        private static void describe(Slot slot, Map<String, Object> property) {
            String absent = slot.input().absent().isEmpty()
                    ? ""
                    : "absent: " + slot.input().absent();
            String told = Stream.of(
                            String.valueOf(property.getOrDefault("description", "")),
                            slot.input().unit(),
                            slot.input().help(),
                            absent)
                    .filter(t -> !t.isEmpty())
                    .collect(Collectors.joining("; "));
            if (!told.isEmpty()) {
                property.put("description", told);
            }
            if (!slot.input().orElse().equals(Input.NONE)) {
                property.put("default", slot.codec().write(slot.absent(), slot));
            }
        }

        private static void conditions(Shape<?> shape, Slot slot, List<Object> all) {
            String[] when = slot.input().when();
            String[] needed = slot.input().needed();
            if (when.length > 0) {
                Map<String, Object> none = Map.of("properties", Map.of(slot.key(), false));
                Map<String, Object> must = Map.of("required", List.of(slot.key()));
                condition(
                        all,
                        shape.named(when[0]),
                        List.of(when).subList(1, when.length),
                        slot.input().optional() ? null : must,
                        slot.input().passed() ? null : none);
            }
            if (needed.length > 0) {
                condition(
                        all,
                        shape.named(needed[0]),
                        List.of(needed).subList(1, needed.length),
                        Map.of("required", List.of(slot.key())),
                        null);
            }
        }

        private static void condition(
                List<Object> all, Slot on, List<String> values, Map<String, Object> then, Map<String, Object> other) {
            List<Object> allowed = new ArrayList<>();
            boolean usual = false;
            for (String value : values) {
                boolean flag = value.equals("true") || value.equals("false");
                allowed.add(flag ? (Object) Boolean.valueOf(value) : value);
                usual |= on.optional() && value.equals(String.valueOf(on.codec().write(on.absent(), on)));
            }
            Map<String, Object> test = new LinkedHashMap<>();
            test.put("properties", Map.of(on.key(), Map.of("enum", allowed)));
            if (!usual) {
                test.put("required", List.of(on.key()));
            }
            Map<String, Object> condition = new LinkedHashMap<>();
            condition.put("if", test);
            if (then != null) {
                condition.put("then", then);
            }
            if (other != null) {
                condition.put("else", other);
            }
            if (condition.size() > 1) {
                all.add(condition);
            }
        }
    }
}
