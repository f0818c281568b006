package app.layette.core.evidence;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A record with so many parts that whoever makes one names each: it has a builder, and what is not named is left out. */
@RecordBuilder.Template(
        options =
                @RecordBuilder.Options(
                        suffix = "Parts",
                        enableWither = false,
                        enableGetters = false,
                        addClassRetainedGenerated = true))
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.SOURCE)
public @interface Built {}
