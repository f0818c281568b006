package app.layette.core.evidence;

import java.util.Optional;
import java.util.function.Function;

/**
 * The three states of evidence about a manual value.
 *
 * @param <T> what a stated value is
 */
public sealed interface Evidence<T> {

    /** Nobody has looked: the manual may say anything. */
    record NotLooked<T>() implements Evidence<T> {}

    /** Somebody looked and the document says nothing about it. */
    record Silent<T>(Source where) implements Evidence<T> {}

    /** The document says this. */
    record Stated<T>(T said, Source where) implements Evidence<T> {}

    static <T> Evidence<T> notLooked() {
        return new NotLooked<>();
    }

    static <T> Evidence<T> silent(Source source) {
        return new Silent<>(source);
    }

    static <T> Evidence<T> stated(T value, Source source) {
        return new Stated<>(value, source);
    }

    /** A missing field of a document is <em>not looked</em>. */
    static <T> Evidence<T> orNotLooked(Evidence<T> evidence) {
        return evidence == null ? notLooked() : evidence;
    }

    /** The stated value; empty when silent or not looked, which are different things: ask before relying on it. */
    default Optional<T> value() {
        return this instanceof Stated<T> stated ? Optional.of(stated.said()) : Optional.empty();
    }

    default Optional<Source> source() {
        if (this instanceof Stated<T> stated) {
            return Optional.ofNullable(stated.where());
        }
        return this instanceof Silent<T> silent ? Optional.ofNullable(silent.where()) : Optional.empty();
    }

    default boolean isLooked() {
        return !(this instanceof NotLooked<T>);
    }

    default boolean isSilent() {
        return this instanceof Silent<T>;
    }

    /** The same evidence about something derived from the value. */
    default <R> Evidence<R> map(Function<T, R> change) {
        if (this instanceof Stated<T> stated) {
            return stated(change.apply(stated.said()), stated.where());
        }
        return this instanceof Silent<T> silent ? silent(silent.where()) : notLooked();
    }

    /** Where somebody looked and found nothing, that there is none: said of parts that a document would name. */
    default Evidence<T> silentMeans(T none) {
        return this instanceof Silent<T> silent ? stated(none, silent.where()) : this;
    }

    /** This evidence where somebody has looked, the other where nobody has. */
    default Evidence<T> orElse(Evidence<T> other) {
        return isLooked() ? this : other;
    }
}
