package app.layette.web.fitting;

import app.layette.core.entry.Method;
import app.layette.formats.wording.Wording;
import java.util.List;
import java.util.stream.IntStream;

/** How a restraint comes out again, in its order. */
public final class RemovalWords {
    private static final int STEPS = 3;

    private RemovalWords() {}

    public static List<String> of(Method method, Wording words) {
        return IntStream.rangeClosed(1, STEPS)
                .mapToObj(step -> words.say("removal." + method + "." + step))
                .toList();
    }
}
