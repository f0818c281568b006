package app.layette.core.journey;

import app.layette.core.child.Child;
import app.layette.core.practice.PracticeProfile;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * A drive cut into legs (JRN-1): the child comes out of the seat after each of them. The legs are equal, as few as the
 * limit allows; where the stops really fall is the driver's business.
 *
 * @param atMost longest time in the seat at a time
 * @param legs in their order
 */
public record Trip(Duration atMost, List<Leg> legs) {
    /** A drive that is taken in: a minute to 24 hours. */
    public static final Duration SHORTEST = Duration.ofMinutes(1);

    public static final Duration LONGEST = Duration.ofHours(24);
    /** Longest stop that is taken in. */
    public static final Duration LONGEST_STOP = Duration.ofHours(4);

    private static final int FIRST_WEEKS_DAYS = 28;

    /**
     * One leg.
     *
     * @param from since setting out
     * @param to since setting out
     */
    public record Leg(Duration from, Duration to) {
        public Duration driving() {
            return to.minus(from);
        }
    }

    public Trip {
        legs = List.copyOf(legs);
    }

    /** How long this child stays in the seat at a time on a day, by its corrected age and the profile. */
    public static Duration atMost(Child child, LocalDate on, PracticeProfile profile) {
        boolean firstWeeks = child.correctedAgeDays(on) < FIRST_WEEKS_DAYS;
        PracticeProfile.Breaks breaks = profile.breaks();
        return Duration.ofMinutes(firstWeeks ? breaks.firstWeeksMinutes() : breaks.laterMinutes());
    }

    /**
     * Cuts a drive.
     *
     * @param driving time at the wheel in all
     * @param atMost longest leg
     * @param stop how long each stop takes
     * @throws IllegalArgumentException when the drive is not from a minute to a day, or a stop not from 0 to 4 hours
     */
    public static Trip plan(Duration driving, Duration atMost, Duration stop) {
        if (driving.compareTo(SHORTEST) < 0 || driving.compareTo(LONGEST) > 0) {
            throw new IllegalArgumentException(
                    "The drive (" + driving + ") must be from " + SHORTEST + " to " + LONGEST);
        }
        if (stop.isNegative() || stop.compareTo(LONGEST_STOP) > 0) {
            throw new IllegalArgumentException("The stop (" + stop + ") must be from 0 to " + LONGEST_STOP);
        }
        long count = (driving.toSeconds() + atMost.toSeconds() - 1) / atMost.toSeconds();
        List<Leg> legs = new ArrayList<>();
        Duration at = Duration.ZERO;
        for (long leg = 1; leg <= count; leg++) {
            Duration end = at.plus(part(driving, leg, count).minus(part(driving, leg - 1, count)));
            legs.add(new Leg(at, end));
            at = end.plus(stop);
        }
        return new Trip(atMost, legs);
    }

    /**
     * A drive whose legs somebody laid themselves, longer ones than allowed among them: they are marked, not moved.
     *
     * @param driving time at the wheel of each leg
     * @param atMost longest leg
     * @param stop how long each stop takes
     * @throws IllegalArgumentException when there is no leg or one has no length
     */
    public static Trip laid(List<Duration> driving, Duration atMost, Duration stop) {
        if (driving.isEmpty() || driving.stream().anyMatch(leg -> leg.isNegative() || leg.isZero())) {
            throw new IllegalArgumentException("A drive has legs, each of a minute or more: " + driving);
        }
        List<Leg> legs = new ArrayList<>();
        Duration at = Duration.ZERO;
        for (Duration each : driving) {
            legs.add(new Leg(at, at.plus(each)));
            at = at.plus(each).plus(stop);
        }
        return new Trip(atMost, legs);
    }

    /** Whether the child is in the seat for longer than it may be at a time. */
    public boolean isTooLong(Leg leg) {
        return leg.driving().compareTo(atMost) > 0;
    }

    /** How many legs are too long. */
    public int tooLong() {
        return (int) legs.stream().filter(this::isTooLong).count();
    }

    private static Duration part(Duration whole, long share, long of) {
        return Duration.ofMinutes(Math.round(whole.toMinutes() * share / (double) of));
    }

    public int stops() {
        return legs.size() - 1;
    }

    /** From setting out to arriving, stops included. */
    public Duration total() {
        return legs.get(legs.size() - 1).to();
    }
}
