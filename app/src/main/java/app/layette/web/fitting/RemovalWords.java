package app.layette.web.fitting;

import app.layette.core.entry.Situation;
import app.layette.core.run.Saying;
import app.layette.core.run.SheetSays;
import app.layette.formats.wording.Wording;
import java.util.List;
import java.util.stream.IntStream;

/** How a restraint comes out again, in its order. */
public final class RemovalWords {
    private static final int STEPS = 3;

    private RemovalWords() {}

    /** The sheet's own words where it has any; else what holds for the method. */
    public static List<String> of(Situation situation, Wording words) {
        List<Saying> own = SheetSays.removal(situation);
        if (!own.isEmpty()) {
            return own.stream()
                    .map(each -> words.say(each.message(), each.arguments()))
                    .toList();
        }
        return IntStream.rangeClosed(1, STEPS)
                .mapToObj(step -> words.say("removal." + situation.usualMethod() + "." + step))
                .toList();
    }
}
