package app.layette.web.fitting;

import app.layette.core.finding.Argument;
import app.layette.core.fitting.DatedEvent;
import app.layette.formats.wording.Wording;
import java.time.Period;
import java.util.Map;

/** Says when something comes due: the day, or the likely one with how far it may be off. */
public final class DateWords {
    private DateWords() {}

    public static String when(DatedEvent event, Wording words) {
        if (event.every().isPresent()) {
            Period every = event.every().get();
            return words.say(
                    every.getMonths() > 0 ? "date.again.MONTH" : "date.again.DAYS",
                    Map.of("on", Argument.of(event.on()), "days", Argument.of(every.getDays())));
        }
        if (event.after()) {
            return event.earliest()
                    .map(earliest -> words.say(
                            "date.afterFrom", Map.of("on", Argument.of(event.on()), "earliest", Argument.of(earliest))))
                    .orElseGet(() -> words.say("date.after", Map.of("on", Argument.of(event.on()))));
        }
        if (event.earliest().isEmpty()) {
            return words.say("date.fixed", Map.of("on", Argument.of(event.on())));
        }
        Argument earliest = Argument.of(event.earliest().get());
        return event.latest()
                .map(latest -> words.say(
                        "date.between",
                        Map.of("on", Argument.of(event.on()), "earliest", earliest, "latest", Argument.of(latest))))
                .orElseGet(() -> words.say("date.from", Map.of("on", Argument.of(event.on()), "earliest", earliest)));
    }
}
