package whipsaw.core.schema;

import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Spacings;
import whipsaw.core.units.UnitSystem;

/** The kinds of inputs, by the type of the component. */
final class Codecs {
    private static final int LONGEST_DATE = 40;

    private Codecs() {}

    static Codec of(RecordComponent c, Input input) {
        if (input.as() != Codec.class) {
            return made(input.as());
        }
        Class<?> type = c.getType();
        boolean choice = input.choices().length > 0 || input.from() != Choices.class;
        if (type == Measure.class) {
            return new Dimensioned();
        } else if (type == Spacings.class) {
            return new Distances();
        } else if (type == double.class) {
            return new Number();
        } else if (type == int.class) {
            return new Whole();
        } else if (type == boolean.class || type == Boolean.class) {
            return choice ? new TwoWords() : new Flag();
        } else if (type == String.class) {
            return choice ? new Choice() : new Text();
        } else if (type.isEnum()) {
            return new Choice();
        } else if (type == LocalDate.class) {
            return new Date();
        } else if (type == List.class) {
            Class<?> element = (Class<?>) ((ParameterizedType) c.getGenericType()).getActualTypeArguments()[0];
            return element == Measure.class
                    ? new Measures()
                    : element == String.class ? new Texts() : new ObjectList(Shape.of(element));
        }
        return new OneObject(Shape.of(type));
    }

    /** An instance of a class that a declaration names. */
    static <T> T made(Class<T> type) {
        try {
            var constructor = type.getDeclaredConstructor();
            constructor.setAccessible(true);
            return constructor.newInstance();
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    /** An enum constant as documents write it. */
    static String word(Object constant) {
        return ((Enum<?>) constant).name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** What stands for an absent value of a component. */
    static Object absent(RecordComponent c) {
        Class<?> type = c.getType();
        if (type == double.class) {
            return Double.NaN;
        } else if (type == int.class) {
            return 0;
        } else if (type == boolean.class) {
            return false;
        } else if (type == String.class) {
            return "";
        } else if (type == List.class) {
            return List.of();
        } else if (type == Map.class) {
            return Map.of();
        }
        for (Field f : type.getDeclaredFields()) {
            if (Modifier.isStatic(f.getModifiers()) && f.isAnnotationPresent(Absent.class)) {
                try {
                    f.setAccessible(true);
                    return f.get(null);
                } catch (IllegalAccessException e) {
                    throw new IllegalStateException(e);
                }
            }
        }
        return null;
    }

    /** The value of a text in a declaration. */
    static Object parsed(Slot slot, Codec codec, String text) {
        if (text.isEmpty()) {
            return text;
        }
        Object value = codec instanceof Flag ? (Object) Boolean.valueOf(text) : text;
        Doc.Context context = new Doc.Context(true, UnitSystem.METRIC);
        Object read = codec.read(new Doc(Map.of(slot.key(), value), context), slot);
        if (!context.problems().isEmpty()) {
            throw new IllegalStateException(slot + " has no value '" + text + "'");
        }
        return read;
    }

    /** A codec of objects. */
    interface Nested extends Codec {
        Shape<?> shape();
    }

    private static final class Dimensioned implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return doc.measure(slot.key(), slot.field());
        }

        @Override
        public Object write(Object value, Slot slot) {
            return written((Measure) value, slot.input().dim().quantity());
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return definitions.dimension(slot.field());
        }
    }

    private static Map<String, Object> written(Measure m, Quantity quantity) {
        Map<String, Object> object = new LinkedHashMap<>();
        object.put("typed", m.typed());
        object.put(quantity.siKey(), m.si());
        return object;
    }

    private static final class Measures implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return doc.measures(slot.key(), slot.field(), slot.input().many());
        }

        @Override
        public Object write(Object value, Slot slot) {
            List<Object> all = new ArrayList<>();
            ((List<?>) value)
                    .forEach(
                            m -> all.add(written((Measure) m, slot.input().dim().quantity())));
            return all;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.list(1, slot.input().many(), definitions.dimension(slot.field()));
        }
    }

    private static final class Distances implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return SpacingsText.read(doc, slot.key(), slot.field());
        }

        @Override
        public Object write(Object value, Slot slot) {
            Map<String, Object> object = new LinkedHashMap<>();
            object.put("typed", ((Spacings) value).typed());
            object.put("m", ((Spacings) value).metres());
            return object;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return definitions.spacings(slot.field());
        }
    }

    private static final class Number implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return doc.number(
                    slot.key(), slot.label(), slot.input().least(), slot.input().most());
        }

        @Override
        public Object write(Object value, Slot slot) {
            return value;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.number(
                    "number", slot.input().least(), slot.input().most());
        }
    }

    private static final class Whole implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return doc.whole(slot.key(), slot.label(), (int) slot.input().least(), (int)
                    slot.input().most());
        }

        @Override
        public Object write(Object value, Slot slot) {
            return slot.input().optional() && value.equals(0) ? null : value;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.number(
                    "integer", slot.input().least(), slot.input().most());
        }
    }

    private static final class Flag implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return doc.flag(slot.key(), slot.label());
        }

        @Override
        public Object write(Object value, Slot slot) {
            return value;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return new LinkedHashMap<>(Map.of("type", "boolean"));
        }
    }

    private static final class TwoWords implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return slot.choices().indexOf(doc.choice(slot.key(), slot.label(), slot.choices())) == 1;
        }

        @Override
        public Object write(Object value, Slot slot) {
            return slot.choices().get(Boolean.TRUE.equals(value) ? 1 : 0);
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.choice(slot.choices());
        }
    }

    private static final class Choice implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            String word = doc.choice(slot.key(), slot.label(), slot.choices());
            return slot.type().isEnum()
                    ? slot.type().getEnumConstants()[slot.choices().indexOf(word)]
                    : word;
        }

        @Override
        public Object write(Object value, Slot slot) {
            return value instanceof Enum<?> ? word(value) : value;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.choice(slot.choices());
        }
    }

    private static final class Text implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            boolean none = slot.optional() && "".equals(doc.raw(slot.key()));
            return none ? "" : doc.text(slot.key(), slot.label(), slot.input().longest());
        }

        @Override
        public Object write(Object value, Slot slot) {
            return value;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.text(slot.input().longest(), slot.optional() ? null : "\\S");
        }
    }

    private static final class Texts implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return doc.texts(
                    slot.key(), slot.label(), slot.input().many(), slot.input().longest());
        }

        @Override
        public Object write(Object value, Slot slot) {
            return ((List<?>) value).isEmpty() ? null : value;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.list(
                    0, slot.input().many(), JsonSchema.text(slot.input().longest(), null));
        }
    }

    private static final class Date implements Codec {
        @Override
        public Object read(Doc doc, Slot slot) {
            return doc.date(slot.key(), slot.label());
        }

        @Override
        public Object write(Object value, Slot slot) {
            return value.toString();
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.text(LONGEST_DATE, "^\\s*\\d{4}-\\d{2}-\\d{2}\\s*$");
        }
    }

    /** An object of a record or of one of several kinds. */
    record OneObject(Shape<?> shape) implements Nested {
        @Override
        public Object read(Doc doc, Slot slot) {
            Doc object = doc.object(slot);
            return object == null ? null : shape.read(object);
        }

        @Override
        public Object write(Object value, Slot slot) {
            return shape.write(value);
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return definitions.object(shape);
        }
    }

    /** Several objects of one kind. */
    record ObjectList(Shape<?> shape) implements Nested {
        @Override
        public Object read(Doc doc, Slot slot) {
            List<Object> all = new ArrayList<>();
            doc.entries(slot).forEach(entry -> all.add(shape.read(entry)));
            return all;
        }

        @Override
        public Object write(Object value, Slot slot) {
            List<Object> all = new ArrayList<>();
            ((List<?>) value).forEach(v -> all.add(shape.write(v)));
            return slot.input().quiet() && all.isEmpty() ? null : all;
        }

        @Override
        public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
            return JsonSchema.list(slot.input().fewest(), slot.input().many(), definitions.object(shape));
        }
    }
}
