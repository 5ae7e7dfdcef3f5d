package whipsaw.core.schema;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A record whose inputs lie in the object of the record around it. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Inline {
    /** Whether it is null where none of its inputs is there. */
    boolean optional() default false;
}
