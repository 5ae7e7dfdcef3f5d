package whipsaw.core.schema;

import java.lang.reflect.InvocationTargetException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Reads objects by their shape: inputs first that depend on nothing, then those that do, then the rules between them.
 *
 * @param <T> the record or the interface
 */
final class ShapeReader<T> {
    private final Shape<T> shape;

    ShapeReader(Shape<T> shape) {
        this.shape = shape;
    }

    T read(Doc doc) {
        if (!shape.kinds().isEmpty()) {
            Shape<?> kind = kind(doc);
            return kind == null ? null : shape.type().cast(new ShapeReader<>(kind).read(doc));
        }
        int before = doc.context().problems().size();
        Object[] values = new Object[shape.parts.size()];
        for (boolean dependent : new boolean[] {false, true}) {
            for (int i = 0; i < values.length; i++) {
                Shape.Part part = shape.parts.get(i);
                boolean later = part.slot() != null && part.slot().input().when().length > 0;
                if (later == dependent) {
                    values[i] = read(part, doc, values);
                }
            }
        }
        together(doc, values);
        T value = made(values);
        if (value instanceof Ruled ruled && doc.context().problems().size() == before) {
            ruled.rules(new Faults(doc, shape));
        }
        return value;
    }

    private Object read(Shape.Part part, Doc doc, Object... values) {
        Slot slot = part.slot();
        if (slot == null) {
            boolean none = part.optional() && part.inline().slots().stream().noneMatch(s -> doc.has(s.key()));
            return none ? null : new ShapeReader<>(part.inline()).read(doc);
        }
        String[] needed = slot.input().needed();
        if (needed.length > 0 && !doc.has(slot.key()) && shape.is(needed, values)) {
            return slot.codec().read(doc, slot);
        }
        String[] when = slot.input().when();
        if (when.length == 0) {
            return slot.read(doc);
        }
        if (shape.is(when, values)) {
            return slot.input().optional() ? slot.read(doc) : slot.codec().read(doc, slot);
        }
        if (doc.has(slot.key()) && !slot.input().passed()) {
            Slot on = shape.named(when[0]);
            List<String> only = new ArrayList<>();
            for (int i = 1; i < when.length; i++) {
                only.add(on.words(when[i]));
            }
            doc.problem(
                    slot.key(),
                    slot.label(),
                    doc.raw(slot.key()),
                    "is only for " + on.label().toLowerCase(Locale.ROOT) + " " + String.join(", ", only)
                            + ": leave it out");
        }
        return slot.absent();
    }

    /** Notes inputs that go together when one of them is missing. */
    private void together(Doc doc, Object... values) {
        for (int i = 0; i < values.length; i++) {
            Slot slot = shape.parts.get(i).slot();
            Slot other = slot == null || slot.input().with().isEmpty()
                    ? null
                    : shape.named(slot.input().with());
            if (other != null && doc.has(slot.key()) && !doc.has(other.key())) {
                String example = other.input().example();
                doc.problem(
                        other.key(),
                        other.label(),
                        "",
                        "is missing beside " + slot.label() + ": give both or neither"
                                + (example.isEmpty() ? "" : ", for example " + example));
            }
        }
    }

    /** The kind an object says it is of; null with a problem noted when there is no such kind. */
    private Shape<?> kind(Doc doc) {
        if (shape.kindKey().isEmpty()) {
            for (Shape<?> kind : shape.kinds()) {
                if (doc.holds(kind.slots().get(0).key())) {
                    return kind;
                }
            }
            return shape.kinds().get(shape.kinds().size() - 1);
        }
        List<String> names = shape.kinds().stream().map(Shape::kind).toList();
        int before = doc.context().problems().size();
        String name = doc.choice(shape.kindKey(), shape.kindLabel(), names);
        if (doc.context().problems().size() > before) {
            doc.pass();
            return null;
        }
        return shape.kinds().get(names.indexOf(name));
    }

    private T made(Object... values) {
        try {
            return shape.constructor.newInstance(values);
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            throw new IllegalStateException(e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
