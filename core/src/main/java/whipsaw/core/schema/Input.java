package whipsaw.core.schema;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import whipsaw.core.units.Dimension;

/**
 * An input, declared on the record component that holds it. What kind of input it is follows from the type of the
 * component: {@code Measure} and {@code Spacings} are dimensions, {@code double} and {@code int} plain numbers,
 * {@code boolean} a flag or one of two words, {@code String} a text or a choice, an enum a choice, a record an object,
 * a sealed interface one of several objects, and a list several of one kind.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Input {
    /** Stands for "no such value", since an annotation knows no null. */
    String NONE = "\u0000";

    /** What it is called, in the form, in errors, in the history and in the schema. */
    String label();

    /** Name in documents, where it is not that of the component. */
    String key() default NONE;

    /** What a dimension measures. */
    Dimension dim() default Dimension.NUMBER;

    /** Smallest value: SI of a dimension, the number itself otherwise. */
    double least() default Double.NEGATIVE_INFINITY;

    /** Largest value: SI of a dimension, the number itself otherwise. */
    double most() default Double.POSITIVE_INFINITY;

    /** Most characters of a text. */
    int longest() default 120;

    /** Fewest entries of a list. */
    int fewest() default 0;

    /** Most entries of a list. */
    int many() default 50;

    /** What a choice may be; of a flag, the words for no and for yes. */
    String[] choices() default {};

    /** What a choice may be, where that is data. */
    Class<? extends Choices> from() default Choices.class;

    /** The choices in words, in the same order; the choices themselves when empty. */
    String[] words() default {};

    /** Whether it may be absent; it then is null, an empty text or list, or NaN. */
    boolean optional() default false;

    /** What holds when it is absent, in words. */
    String absent() default "";

    /** Value taken when it is absent, as a document would write it. */
    String orElse() default NONE;

    /** Whether a value that is the one taken when absent is left out of documents. */
    boolean quiet() default false;

    /** Unit of a plain number. */
    String unit() default "";

    /** What a form says beside it. */
    String help() default "";

    /** Component it depends on, and the values of that one it exists for. */
    String[] when() default {};

    /** Whether it is passed over, and not refused, where it does not exist. */
    boolean passed() default false;

    /** Component it depends on, and the values of that one it may not be absent for. */
    String[] needed() default {};

    /** Component it goes together with: both are there, or neither. */
    String with() default "";

    /** Reader and writer of its own, for a few inputs that are like no other. */
    Class<? extends Codec> as() default Codec.class;

    /** What one of a list is called: {@code Corner} of corners. */
    String each() default "";

    /** Key by which one of a list is told from the others; its number in the list when there is none. */
    String by() default "name";

    /** Whether the only one of a list goes without a name of its own. */
    boolean sole() default false;

    /** Whether an object stands for a part of the document and not for a thing: its label is no part of names. */
    boolean section() default false;

    /** Kind of catalogue entry this object is a copy of. */
    String catalogue() default "";

    /** Keys whose change clears it. */
    String[] clearedBy() default {};

    /** Value a new document has. */
    String start() default NONE;

    /** A value as somebody would type it. */
    String example() default "";
}
