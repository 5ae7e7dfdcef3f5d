package whipsaw.core.schema;

import java.lang.reflect.Constructor;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * The inputs of a record, in the order of its components, or the kinds of a sealed interface. Read from the
 * declarations once, when the type is first asked for; a declaration that makes no sense fails then.
 *
 * @param <T> the record or the interface
 */
public final class Shape<T> {
    private static final ClassValue<Shape<?>> ALL = new ClassValue<>() {
        @Override
        protected Shape<?> computeValue(Class<?> type) {
            return new Shape<>(type);
        }
    };

    /** What stands at one component: an input, or a record whose inputs lie in the same object. */
    record Part(Method get, Slot slot, Shape<?> inline, boolean optional) {
        String name() {
            return get.getName();
        }
    }

    private final Class<T> type;
    final List<Part> parts = new ArrayList<>();
    private final List<Shape<?>> kinds = new ArrayList<>();
    private final List<Slot> slots;
    final Constructor<T> constructor;

    private Shape(Class<T> type) {
        this.type = type;
        if (type.isSealed()) {
            for (Class<?> kind : type.getPermittedSubclasses()) {
                kinds.add(of(kind));
            }
            this.constructor = null;
        } else {
            RecordComponent[] components = type.getRecordComponents();
            if (components == null) {
                throw new IllegalStateException(type + " is no record");
            }
            for (RecordComponent c : components) {
                parts.add(part(c));
            }
            this.constructor = constructor(type, components);
        }
        this.slots = all();
        own().forEach(this::dependsOnWhatIsThere);
    }

    private void dependsOnWhatIsThere(Slot slot) {
        for (String[] condition : List.of(slot.input().when(), slot.input().needed())) {
            Slot on = condition.length == 0 ? null : named(condition[0]);
            boolean good = condition.length == 0
                    || on != null
                            && on.choices().containsAll(Arrays.asList(condition).subList(1, condition.length));
            if (!good) {
                throw new IllegalStateException(slot + " depends on " + String.join(", ", condition));
            }
        }
        if (!slot.input().with().isEmpty() && named(slot.input().with()) == null) {
            throw new IllegalStateException(slot + " goes with " + slot.input().with());
        }
    }

    private static Part part(RecordComponent c) {
        Inline inline = c.getAnnotation(Inline.class);
        Method get = c.getAccessor();
        get.setAccessible(true);
        return inline == null
                ? new Part(get, new Slot(c), null, false)
                : new Part(get, null, of(c.getType()), inline.optional());
    }

    private static <T> Constructor<T> constructor(Class<T> type, RecordComponent... components) {
        try {
            Constructor<T> made = type.getDeclaredConstructor(
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
            made.setAccessible(true);
            return made;
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The inputs of a type. */
    @SuppressWarnings("unchecked")
    public static <T> Shape<T> of(Class<T> type) {
        return (Shape<T>) ALL.get(type);
    }

    /** The record or interface. */
    public Class<T> type() {
        return type;
    }

    /** The kinds of a sealed interface; empty of a record. */
    public List<Shape<?>> kinds() {
        return kinds;
    }

    /** Key that says of which kind an object is; empty when there are no kinds or its first input tells it. */
    public String kindKey() {
        Kinds declared = type.getAnnotation(Kinds.class);
        return declared == null ? "" : declared.key();
    }

    /** What that choice is called. */
    public String kindLabel() {
        return type.getAnnotation(Kinds.class).label();
    }

    /** Name of a kind in documents; empty of what is no kind. */
    public String kind() {
        Kind declared = type.getAnnotation(Kind.class);
        return declared == null ? "" : declared.value();
    }

    /** The kind in words. */
    public String kindWords() {
        Kind declared = type.getAnnotation(Kind.class);
        return declared == null || declared.words().isEmpty() ? kind() : declared.words();
    }

    /** The value of a component, whether an input or a record whose inputs lie in the same object. */
    public Object component(Object record, String name) {
        return parts.stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .map(p -> get(p.get(), record))
                .orElse(null);
    }

    /** All inputs of the object, those of inline records among them; of every kind where there are several. */
    public List<Slot> slots() {
        return slots;
    }

    private List<Slot> all() {
        List<Slot> all = new ArrayList<>();
        for (Shape<?> kind : kinds) {
            all.addAll(kind.slots());
        }
        for (Part part : parts) {
            if (part.slot() == null) {
                all.addAll(part.inline().slots());
            } else {
                all.add(part.slot());
            }
        }
        return List.copyOf(all);
    }

    /** The records and interfaces whose inputs lie in the same object. */
    List<Shape<?>> inlines() {
        return parts.stream()
                .filter(p -> p.slot() == null)
                .<Shape<?>>map(Part::inline)
                .toList();
    }

    /** The record or interface at a component whose inputs lie in the same object; null when it is none. */
    Shape<?> inline(String component) {
        return Stream.concat(parts.stream(), kinds.stream().flatMap(k -> k.parts.stream()))
                .filter(p -> p.slot() == null && p.name().equals(component))
                .findFirst()
                .<Shape<?>>map(Part::inline)
                .orElse(null);
    }

    /** Whether a record whose inputs lie in the same object may be absent as a whole. */
    boolean optional(Shape<?> inline) {
        return parts.stream().anyMatch(p -> p.inline() == inline && p.optional());
    }

    /** The inputs that are its own. */
    List<Slot> own() {
        return parts.stream().map(Part::slot).filter(Objects::nonNull).toList();
    }

    /** The input with a key; null when there is none. */
    public Slot slot(String key) {
        return slots().stream().filter(s -> s.key().equals(key)).findFirst().orElse(null);
    }

    /** The input of a component; null when there is none. */
    Slot named(String component) {
        return slots().stream()
                .filter(s -> s.name().equals(component))
                .findFirst()
                .orElse(null);
    }

    String label(String key) {
        Slot slot = slot(key);
        return slot == null ? "Field" : slot.label();
    }

    /** Reads an object; what cannot be taken is noted, and so is every member that is no input. */
    public T read(Doc doc) {
        T value = new ShapeReader<>(this).read(doc);
        doc.done();
        return value;
    }

    /** Whether a component has one of some values, as documents write them. */
    boolean is(String[] condition, Object... values) {
        for (int i = 0; i < parts.size(); i++) {
            Slot slot = parts.get(i).slot();
            if (slot != null && slot.name().equals(condition[0])) {
                String written =
                        values[i] == null ? "" : String.valueOf(slot.codec().write(values[i], slot));
                return Arrays.asList(condition).indexOf(written) > 0;
            }
        }
        throw new IllegalStateException(type + " has no " + condition[0]);
    }

    /** Whether an input exists in a value of the type. */
    public boolean exists(Slot slot, Object value) {
        if (slot.input().when().length == 0) {
            return true;
        }
        for (Part part : parts) {
            if (part.slot() == null && part.inline().slots().contains(slot)) {
                return part.inline().kindOf(get(part.get(), value)).exists(slot, get(part.get(), value));
            }
        }
        return is(
                slot.input().when(),
                parts.stream().map(p -> get(p.get(), value)).toArray());
    }

    /** The kind of a value; this shape itself when there are none. */
    public Shape<?> kindOf(Object value) {
        return kinds.stream().filter(k -> k.type.isInstance(value)).findFirst().orElse(this);
    }

    /** An object as documents hold it. */
    public Map<String, Object> write(Object value) {
        Map<String, Object> object = new LinkedHashMap<>();
        into(object, value);
        return object;
    }

    private void into(Map<String, Object> object, Object value) {
        if (!kinds.isEmpty()) {
            Shape<?> kind = kindOf(value);
            if (!kindKey().isEmpty()) {
                object.put(kindKey(), kind.kind());
            }
            kind.into(object, value);
            return;
        }
        for (Part part : parts) {
            Object member = get(part.get(), value);
            if (part.slot() == null) {
                if (member != null) {
                    part.inline().into(object, member);
                }
            } else if (exists(part.slot(), value)) {
                Object written = part.slot().write(member);
                if (written != null) {
                    object.put(part.slot().key(), written);
                }
            }
        }
    }

    /** The kinds among which a key chooses: this shape, or one inline in it; null when the key chooses none. */
    Shape<?> kinded(String key) {
        if (!kinds.isEmpty() && kindKey().equals(key)) {
            return this;
        }
        return inlines().stream()
                .filter(i -> i.kinded(key) != null)
                .findFirst()
                .<Shape<?>>map(i -> i.kinded(key))
                .orElse(null);
    }

    /** The value of a record or interface whose inputs lie in the object; null when it is absent. */
    Object inlineValue(Shape<?> inline, Object object) {
        for (Part part : parts) {
            if (part.slot() == null) {
                Object value = get(part.get(), object);
                Object found = part.inline() == inline || value == null
                        ? value
                        : part.inline().kindOf(value).inlineValue(inline, value);
                if (found != null && inline.type.isInstance(found)) {
                    return found;
                }
            }
        }
        return null;
    }

    /** The input with a key that an object has, of its own kind where there are several; null when it has none. */
    Slot slotOf(String key, Object object) {
        for (Part part : parts) {
            if (part.slot() != null && part.slot().key().equals(key)) {
                return part.slot();
            }
        }
        for (Part part : parts) {
            Object value = part.slot() == null ? get(part.get(), object) : null;
            if (part.slot() == null) {
                Shape<?> shape = value == null ? part.inline() : part.inline().kindOf(value);
                Slot found = value == null ? shape.slot(key) : shape.slotOf(key, value);
                if (found != null) {
                    return found;
                }
            }
        }
        return null;
    }

    /** The value of an input of an object, looked for in inline records too; null when the object is null. */
    public Object value(Object object, Slot slot) {
        if (object == null) {
            return null;
        }
        Shape<?> shape = kindOf(object);
        if (shape != this) {
            return shape.value(object, slot);
        }
        for (Part part : parts) {
            if (part.slot() == slot) {
                return get(part.get(), object);
            }
            if (part.slot() == null && part.inline().slots().contains(slot)) {
                return part.inline().value(get(part.get(), object), slot);
            }
        }
        return null;
    }

    private static Object get(Method accessor, Object of) {
        try {
            return accessor.invoke(of);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public String toString() {
        return type.getSimpleName();
    }
}
