package app.layette.core.evidence;

import app.layette.core.measure.Bounds;
import app.layette.core.measure.DayBounds;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.lang.reflect.RecordComponent;
import java.util.Optional;

/**
 * What a component of a sheet or of an entry takes, where its type does not say it all. The published schemas are written
 * from the records and these; the form that an entry is read from, the check before it is kept, and what is looked through
 * when a family is erased go by them too.
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

    /** The range of a mass or a length. */
    Bounds in() default Bounds.OF_ITS_TYPE;

    /** The days that a date is taken from. */
    DayBounds days() default DayBounds.ANY;

    /** Whether a hand writes words of its own there, which could name somebody. */
    boolean free() default false;

    /** Whether it says which of several things the entry is about: a correction leaves it as it is. */
    boolean which() default false;

    /** How many a list has at most. */
    int most() default Integer.MAX_VALUE;

    /** How many a list has at least. */
    int fewest() default 0;

    /** A shape of the common schema that is narrower than its type. */
    String as() default "";

    /** The only constants that can be written, where it is not all. */
    String[] among() default {};

    /** What leaving it out means, where that is not plain. */
    String says() default "";

    /** Where nothing was written beside the type: it says it all. */
    final class As {
        private record ItsType(@Written String nothing) {}

        private static final Written ITS_TYPE = ItsType.class.getRecordComponents()[0].getAnnotation(Written.class);

        private As() {}

        /** What a component of a record takes. */
        public static Written of(RecordComponent component) {
            return Optional.ofNullable(component.getAnnotation(Written.class)).orElse(ITS_TYPE);
        }
    }
}
