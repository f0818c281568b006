package app.layette.web.wall;

import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;

/**
 * For which fitting point this thread works. What is inside sees the rows of that point alone, by the policies of the
 * database; outside of it, on the way in and when the machine works by itself, all rows are seen. A transaction keeps the
 * side on which it began.
 */
public final class Wall {
    private static final ThreadLocal<UUID> POINT = new ThreadLocal<>();

    private Wall() {}

    /** The time that is spent inside; closing it goes back to where the thread was before. */
    public interface Inside extends AutoCloseable {
        @Override
        void close();
    }

    /** Works for one point until it is closed. */
    public static Inside inside(UUID point) {
        UUID before = POINT.get();
        POINT.set(point);
        return () -> restore(before);
    }

    /**
     * Asks something that concerns all points, such as whether a name to sign in with is taken. For questions that are the
     * program's own, never for what somebody asked to see.
     */
    public static <T> T outside(Callable<T> question) {
        UUID before = POINT.get();
        POINT.remove();
        try {
            return question.call();
        } catch (RuntimeException e) {
            throw e;
        } catch (Exception e) {
            throw new IllegalStateException(e);
        } finally {
            restore(before);
        }
    }

    static Optional<UUID> point() {
        return Optional.ofNullable(POINT.get());
    }

    private static void restore(UUID before) {
        if (before == null) {
            POINT.remove();
        } else {
            POINT.set(before);
        }
    }
}
