package app.layette.core.evidence;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * How a component of a sheet is written, where its type does not say it all: the published schemas are written from the
 * records of the sheets and these.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Written {
    /** Whether it has to be there. */
    boolean needed() default false;

    /** Most characters of a text; a text of more than 200 may be empty. */
    int longest() default 200;

    /** The least that a number may be. */
    int from() default Integer.MIN_VALUE;

    /** The most that a number may be. */
    int to() default Integer.MAX_VALUE;

    /** How many a list has at least. */
    int fewest() default 0;

    /** A shape of the common schema that is narrower than its type. */
    String as() default "";

    /** The only constants that can be written, where it is not all. */
    String[] among() default {};

    /** What leaving it out means, where that is not plain. */
    String says() default "";
}
