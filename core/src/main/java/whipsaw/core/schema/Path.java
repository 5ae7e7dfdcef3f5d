package whipsaw.core.schema;

import java.io.Serializable;
import java.lang.invoke.SerializedLambda;
import java.lang.reflect.Method;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * The way from a document to one of its inputs, written with the accessors of the records on the way, so that the
 * compiler knows it: {@code Path.of(Job.class).to(Job::site).to(Site::leastUplift)} is
 * {@code $.site.leastUplift} in documents.
 *
 * @param <T> what lies there
 */
public final class Path<T> {
    private static final Map<Class<?>, String> ACCESSORS = new ConcurrentHashMap<>();

    private final String text;
    private final String label;
    private final Shape<?> shape;

    private Path(String text, String label, Shape<?> shape) {
        this.text = text;
        this.label = label;
        this.shape = shape;
    }

    /**
     * An accessor of a record, given as a method reference.
     *
     * @param <T> the record
     * @param <V> what it gives
     */
    @FunctionalInterface
    public interface Get<T, V> extends Function<T, V>, Serializable {}

    /** The document of a record. */
    public static <T> Path<T> of(Class<T> document) {
        return new Path<>("$", "", Shape.of(document));
    }

    /**
     * A record that lies at a place the declarations do not say, as one of several that is looked at.
     *
     * @param text of the place, as {@code $.roof}
     * @param label of what lies there
     */
    public static <T> Path<T> at(String text, String label, Class<T> record) {
        return new Path<>(text, label, Shape.of(record));
    }

    /**
     * An input, an object, or a record whose inputs lie in the same object.
     *
     * @param accessor a method reference to the component
     */
    public <V> Path<V> to(Get<? super T, V> accessor) {
        String name = name(accessor);
        Shape<?> inline = shape.inline(name);
        if (inline != null) {
            return new Path<>(text, label, inline);
        }
        Slot slot = shape.named(name);
        if (slot == null) {
            throw new IllegalArgumentException(shape + " has no input '" + name + "'");
        }
        return new Path<>(text + "." + slot.key(), slot.label(), slot.element());
    }

    /** The same place, known to hold one kind of several. */
    public <K extends T> Path<K> as(Class<K> kind) {
        return new Path<>(text, label, Shape.of(kind));
    }

    /** One of a list by its place in it, from 0. */
    public <E> Path<E> at(Get<? super T, List<E>> list, int index) {
        Path<List<E>> all = to(list);
        return new Path<>(all.text + "[" + index + "]", all.label, all.shape);
    }

    /** One of a list by the value of its {@code id}. */
    public <E> Path<E> id(Get<? super T, List<E>> list, String id) {
        return by(list, "id", id);
    }

    /** One of a list by the value of a key: an edge, a face or a bay. */
    public <E> Path<E> by(Get<? super T, List<E>> list, String key, Object value) {
        Path<List<E>> all = to(list);
        return new Path<>(all.text + "[" + key + "=" + value + "]", all.label, all.shape);
    }

    /** What the input is called. */
    public String label() {
        return label;
    }

    /** Key that says of which kind an object is. */
    public String kind() {
        return text + "." + shape.kindKey();
    }

    private static String name(Get<?, ?> accessor) {
        return ACCESSORS.computeIfAbsent(accessor.getClass(), type -> {
            try {
                Method replace = type.getDeclaredMethod("writeReplace");
                replace.setAccessible(true);
                return ((SerializedLambda) replace.invoke(accessor)).getImplMethodName();
            } catch (ReflectiveOperationException e) {
                throw new IllegalArgumentException("an accessor is given as a method reference", e);
            }
        });
    }

    /** As documents and changes write it. */
    @Override
    public String toString() {
        return text;
    }
}
