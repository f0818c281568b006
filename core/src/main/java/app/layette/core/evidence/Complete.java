package app.layette.core.evidence;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A record with so many parts that whoever makes one names each, and none may be left out: its builder takes them one after
 * the other, which the compiler checks.
 */
@RecordBuilder.Template(
        options =
                @RecordBuilder.Options(
                        suffix = "Parts",
                        builderMode = BuilderMode.STAGED,
                        enableWither = false,
                        enableGetters = false,
                        addClassRetainedGenerated = true))
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.SOURCE)
public @interface Complete {}
