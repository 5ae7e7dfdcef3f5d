package whipsaw.core.schema;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A sealed interface that stands for one of several kinds of objects, each a record with its {@link Kind}. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
public @interface Kinds {
    /** Key that says which kind an object is; empty where the first input of a kind tells it. */
    String key();

    /** What that choice is called. */
    String label();
}
