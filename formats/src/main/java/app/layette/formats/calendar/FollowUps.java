package app.layette.formats.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.jspecify.annotations.Nullable;

/** Follow-ups as an iCalendar (RFC 5545) of whole days. The same follow-up keeps its id, so that a reader updates it. */
public final class FollowUps {
    private static final int MOST_YEARS = 2;
    private static final String PRODUCT = "-//Layette//Follow-ups//EN";

    private FollowUps() {}

    /**
     * One follow-up.
     *
     * @param id stable as long as it is the same follow-up
     * @param on the day to act: the earliest where it has a range
     * @param title a line; no names where others may read it
     * @param words more about it
     * @param revision grows with each change
     * @param repeat how it comes again; empty for once
     */
    public record FollowUp(
            String id, LocalDate on, String title, String words, int revision, Optional<Repeat> repeat) {}

    /**
     * How something comes again.
     *
     * @param every whole months or whole days
     * @param until the last day it may fall on; {@code null} where no end is known: it then ends after two years
     */
    public record Repeat(Period every, @Nullable LocalDate until) {}

    public static String of(List<FollowUp> followUps, Instant now) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId(PRODUCT));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(ImmutableMethod.PUBLISH);
        for (FollowUp each : followUps) {
            VEvent event = new VEvent(each.on(), each.title());
            event.replace(new DtStamp(now));
            event.add(new Uid(each.id() + "@layette.invalid"));
            event.add(new Sequence(each.revision()));
            if (!each.words().isBlank()) {
                event.add(new Description(each.words()));
            }
            each.repeat().ifPresent(repeat -> event.add(new RRule<>(rule(each.on(), repeat))));
            calendar.add(event);
        }
        return calendar.toString();
    }

    private static String rule(LocalDate first, Repeat repeat) {
        LocalDate end = repeat.until() == null ? first.plusYears(MOST_YEARS) : repeat.until();
        // A rule must not end before its first day; then there is just that one.
        LocalDate until = end.isBefore(first) ? first : end;
        Period every = repeat.every();
        String how = every.getMonths() > 0
                ? "FREQ=MONTHLY;INTERVAL=" + every.getMonths()
                : "FREQ=DAILY;INTERVAL=" + every.getDays();
        return how + ";UNTIL=" + until.format(DateTimeFormatter.BASIC_ISO_DATE);
    }
}
