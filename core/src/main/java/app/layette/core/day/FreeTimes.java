package app.layette.core.day;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Finds free times: inside the opening hours, in a bay that nobody has, with somebody at hand who may sign. Times are those
 * of the fitting point's clock; one that the clock skips is offered to nobody, and what lasts over a change of the clock
 * ends when its minutes are over.
 */
public final class FreeTimes {
    /** Appointments begin at the quarter hours. */
    public static final int STEP_MINUTES = 15;

    private final OpenHours hours;
    private final List<Bay> bays;
    private final int people;
    private final ZoneId zone;
    private final Map<LocalDate, List<Taken>> taken = new HashMap<>();

    /**
     * A free time.
     *
     * @param bay id of the bay
     */
    public record Free(String bay, LocalDate day, Span span) {}

    /**
     * What a point has.
     *
     * @param people how many there are who may sign: no more families than that at once
     */
    public FreeTimes(OpenHours hours, List<Bay> bays, int people, ZoneId zone, List<Taken> taken) {
        this.hours = hours;
        this.bays = List.copyOf(bays);
        this.people = people;
        this.zone = zone;
        taken.forEach(each ->
                this.taken.computeIfAbsent(each.day(), day -> new ArrayList<>()).add(each));
    }

    /** The first free times, the earliest first; of several bays at one time the first. */
    public List<Free> search(Wish wish, int most) {
        List<Free> found = new ArrayList<>();
        for (LocalDate day = wish.from(); !day.isAfter(wish.until()) && found.size() < most; day = day.plusDays(1)) {
            LocalTime notBefore = day.equals(wish.from()) ? wish.notBefore() : LocalTime.MIN;
            onDay(wish, day, notBefore, most, found);
        }
        return found;
    }

    private void onDay(Wish wish, LocalDate day, LocalTime notBefore, int most, List<Free> found) {
        for (Span open : hours.on(day)) {
            LocalTime start = quarter(open.from().isBefore(notBefore) ? notBefore : open.from());
            while (start.isBefore(open.to()) && found.size() < most) {
                freeAt(wish, day, start).ifPresent(found::add);
                LocalTime next = start.plusMinutes(STEP_MINUTES);
                if (next.isBefore(start)) {
                    return;
                }
                start = next;
            }
        }
    }

    /** Up to the next quarter; what lies in the last one of a day stays there. */
    private static LocalTime quarter(LocalTime time) {
        int minutes = time.getHour() * 60 + time.getMinute();
        boolean exact = time.getSecond() == 0 && time.getNano() == 0 && minutes % STEP_MINUTES == 0;
        int up = exact ? minutes : (minutes / STEP_MINUTES + 1) * STEP_MINUTES;
        return up >= 24 * 60 ? LocalTime.of(23, 45) : LocalTime.of(up / 60, up % 60);
    }

    private Optional<Free> freeAt(Wish wish, LocalDate day, LocalTime start) {
        for (Bay bay : bays) {
            if (bay.ward() == wish.ward()) {
                Optional<Span> span = span(day, start, wish.minutes());
                if (span.isPresent() && isFree(bay, day, span.get())) {
                    return Optional.of(new Free(bay.id(), day, span.get()));
                }
            }
        }
        return Optional.empty();
    }

    /** From a time of the clock for so many minutes; empty where the clock skips its beginning or the day ends first. */
    private Optional<Span> span(LocalDate day, LocalTime start, int minutes) {
        LocalDateTime local = day.atTime(start);
        if (zone.getRules().getValidOffsets(local).isEmpty()) {
            return Optional.empty();
        }
        LocalDateTime end = local.atZone(zone).plusMinutes(minutes).toLocalDateTime();
        boolean sameDay = end.toLocalDate().equals(day) && end.isAfter(local);
        return sameDay ? Optional.of(new Span(start, end.toLocalTime())) : Optional.empty();
    }

    /** Whether a bay could be had then: the opening hours hold it with the ways, nobody has it, somebody is there. */
    public boolean isFree(Bay bay, LocalDate day, Span span) {
        Span whole = withWays(bay, span);
        boolean open = hours.on(day).stream().anyMatch(each -> each.holds(whole));
        if (!open) {
            return false;
        }
        List<Span> besides = new ArrayList<>();
        for (Taken other : taken.getOrDefault(day, List.of())) {
            Bay there = bays.stream()
                    .filter(each -> each.id().equals(other.bay()))
                    .findFirst()
                    .orElse(new Bay(other.bay(), false, 0));
            Span theirs = withWays(there, other.span());
            if (theirs.overlaps(whole)) {
                if (other.bay().equals(bay.id())) {
                    return false;
                }
                besides.add(theirs);
            }
        }
        return people > 0 && mostAtOnce(besides, whole) < people;
    }

    /** How many of these are under way at once within a time: most are where one of them, or the time, begins. */
    private static long mostAtOnce(List<Span> besides, Span within) {
        List<LocalTime> beginnings = new ArrayList<>(List.of(within.from()));
        besides.stream()
                .map(Span::from)
                .filter(from -> from.isAfter(within.from()))
                .forEach(beginnings::add);
        return beginnings.stream()
                .mapToLong(at -> besides.stream()
                        .filter(each -> !each.from().isAfter(at) && each.to().isAfter(at))
                        .count())
                .max()
                .orElse(0);
    }

    private static Span withWays(Bay bay, Span span) {
        if (bay.travelMinutes() == 0) {
            return span;
        }
        LocalTime from = span.from().minusMinutes(bay.travelMinutes());
        LocalTime to = span.to().plusMinutes(bay.travelMinutes());
        return new Span(from.isAfter(span.from()) ? LocalTime.MIN : from, to.isBefore(span.to()) ? LocalTime.MAX : to);
    }
}
