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
    private final AtWork people;
    private final Map<LocalDate, Integer> there = new HashMap<>();
    private final ZoneId zone;
    /** Days on which the clock goes on as it is, as far as they were asked about. */
    private final Map<LocalDate, Boolean> unchanged = new HashMap<>();

    private final Map<LocalDate, List<Busy>> taken = new HashMap<>();

    /** What is taken of a bay, by its place in the list, the ways counted; -1 for a bay that is no more. */
    private record Busy(int bay, Span whole) {}

    /**
     * A free time.
     *
     * @param bay id of the bay
     */
    public record Free(String bay, LocalDate day, Span span) {}

    /**
     * What a point has.
     *
     * @param people who may sign: no more families at once than are there that day
     */
    public FreeTimes(OpenHours hours, List<Bay> bays, AtWork people, ZoneId zone, List<Taken> taken) {
        this.hours = hours;
        this.bays = List.copyOf(bays);
        this.people = people;
        this.zone = zone;
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < bays.size(); i++) {
            places.put(bays.get(i).id(), i);
        }
        for (Taken each : taken) {
            int bay = places.getOrDefault(each.bay(), -1);
            Span whole = bay < 0 ? each.span() : withWays(bays.get(bay), each.span());
            this.taken.computeIfAbsent(each.day(), day -> new ArrayList<>()).add(new Busy(bay, whole));
        }
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
        List<Span> hoursOfIt = hours.on(day);
        for (Span open : hoursOfIt) {
            LocalTime start = quarter(open.from().isBefore(notBefore) ? notBefore : open.from());
            while (start.isBefore(open.to()) && found.size() < most) {
                freeAt(wish, day, start, hoursOfIt).ifPresent(found::add);
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

    private Optional<Free> freeAt(Wish wish, LocalDate day, LocalTime start, List<Span> open) {
        Optional<Span> span = span(day, start, wish.minutes());
        if (span.isEmpty()) {
            return Optional.empty();
        }
        for (int bay = 0; bay < bays.size(); bay++) {
            if (bays.get(bay).ward() == wish.ward() && isFree(bay, day, span.get(), open)) {
                return Optional.of(new Free(bays.get(bay).id(), day, span.get()));
            }
        }
        return Optional.empty();
    }

    /** From a time of the clock for so many minutes; empty where the clock skips its beginning or the day ends first. */
    private Optional<Span> span(LocalDate day, LocalTime start, int minutes) {
        LocalTime plain = start.plusMinutes(minutes);
        if (!isChangeOfTheClock(day)) {
            return plain.isAfter(start) ? Optional.of(new Span(start, plain)) : Optional.empty();
        }
        LocalDateTime local = day.atTime(start);
        if (zone.getRules().getValidOffsets(local).isEmpty()) {
            return Optional.empty();
        }
        LocalDateTime end = local.atZone(zone).plusMinutes(minutes).toLocalDateTime();
        boolean sameDay = end.toLocalDate().equals(day) && end.isAfter(local);
        return sameDay ? Optional.of(new Span(start, end.toLocalTime())) : Optional.empty();
    }

    private boolean isChangeOfTheClock(LocalDate day) {
        return !unchanged.computeIfAbsent(
                day,
                each -> zone.getRules()
                        .getOffset(each.atStartOfDay())
                        .equals(zone.getRules().getOffset(each.plusDays(1).atStartOfDay())));
    }

    /** Whether a bay could be had then: the opening hours hold it with the ways, nobody has it, somebody is there. */
    public boolean isFree(Bay bay, LocalDate day, Span span) {
        int index = bays.indexOf(bay);
        return index >= 0 && isFree(index, day, span, hours.on(day));
    }

    private boolean isFree(int bay, LocalDate day, Span span, List<Span> open) {
        Span whole = withWays(bays.get(bay), span);
        for (Span each : open) {
            if (each.holds(whole)) {
                int signing = there.computeIfAbsent(day, people::on);
                return signing > 0 && hasRoom(bay, taken.getOrDefault(day, List.of()), whole, signing);
            }
        }
        return false;
    }

    /** Nobody has the bay then, and at no moment of it are as many under way elsewhere as there are people. */
    private static boolean hasRoom(int bay, List<Busy> busy, Span whole, int signing) {
        for (Busy other : busy) {
            if (other.bay() == bay && other.whole().overlaps(whole)) {
                return false;
            }
        }
        // Most are under way at once where the time, or one of them, begins.
        if (underWay(busy, whole.from()) >= signing) {
            return false;
        }
        for (Busy other : busy) {
            LocalTime from = other.whole().from();
            if (from.isAfter(whole.from()) && from.isBefore(whole.to()) && underWay(busy, from) >= signing) {
                return false;
            }
        }
        return true;
    }

    private static int underWay(List<Busy> busy, LocalTime at) {
        int count = 0;
        for (Busy each : busy) {
            if (!each.whole().from().isAfter(at) && each.whole().to().isAfter(at)) {
                count++;
            }
        }
        return count;
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
