package app.layette.formats.calendar;

import java.time.Instant;
import java.time.ZonedDateTime;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * An appointment as an iCalendar (RFC 5545). It keeps its id and counts its changes, so that a reader updates what it has
 * instead of having it twice; times are given in UTC, which every reader shows at its own clock.
 */
public final class AppointmentCalendar {
    private static final String PRODUCT = "-//Layette//Appointments//EN";

    private AppointmentCalendar() {}

    /**
     * An appointment.
     *
     * @param id stable as long as it is the same appointment
     * @param title a line without names
     * @param bring what to bring
     * @param revision grows with each change
     * @param cancelled whether it takes place no more
     */
    public record Event(
            String id,
            ZonedDateTime from,
            ZonedDateTime to,
            String title,
            String bring,
            int revision,
            boolean cancelled) {}

    public static String of(Event event, Instant now) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId(PRODUCT));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(event.cancelled() ? ImmutableMethod.CANCEL : ImmutableMethod.PUBLISH);
        VEvent entry = new VEvent(event.from().toInstant(), event.to().toInstant(), event.title());
        entry.replace(new DtStamp(now));
        entry.add(new Uid(event.id() + "@layette.invalid"));
        entry.add(new Sequence(event.revision()));
        entry.add(event.cancelled() ? ImmutableStatus.VEVENT_CANCELLED : ImmutableStatus.VEVENT_CONFIRMED);
        entry.add(new Description(event.bring()));
        calendar.add(entry);
        return calendar.toString();
    }
}
