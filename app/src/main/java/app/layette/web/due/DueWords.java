package app.layette.web.due;

import app.layette.core.fitting.DatedEvent;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.DateWords;
import java.util.Optional;

/** Says when something comes due. */
final class DueWords {
    private DueWords() {}

    static String when(DueItems.Item item, Wording words) {
        boolean fixed = item.earliest().equals(item.likely()) && item.likely().equals(item.latest());
        DatedEvent event = new DatedEvent(
                item.kind(),
                item.likely(),
                false,
                fixed ? Optional.empty() : Optional.of(item.earliest()),
                fixed ? Optional.empty() : Optional.ofNullable(item.latest()),
                item.period());
        return DateWords.when(event, words);
    }
}
