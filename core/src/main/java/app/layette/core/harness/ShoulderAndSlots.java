package app.layette.core.harness;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.How;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.growth.ChildHeights;
import app.layette.core.growth.Share;
import app.layette.core.measure.Length;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.Shell;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * Where the shoulder lies among the harness slots (HAR-1, HAR-3): measured along the shell back, or seen by eye as
 * "between two slots"; the later look counts. Estimates are never read here.
 *
 * @param slots heights of the slots, lowest first; empty when nobody has them
 * @param count of slots; 0 when nobody knows
 * @param best the slot at or next below the shoulder, from 1; 0 when the shoulder is below the lowest
 * @param shoulder its height, when measured
 * @param look the look it rests on
 */
public record ShoulderAndSlots(List<Length> slots, int count, int best, Optional<Length> shoulder, Stamped<?> look) {

    /** Reads the situation; empty when nobody has looked. */
    public static Optional<ShoulderAndSlots> in(RestraintNow situation) {
        List<Length> slots = situation
                .seat()
                .map(SeatSheet::shell)
                .map(Shell::slots)
                .flatMap(Evidence::value)
                .orElse(List.of());
        Optional<Stamped<Length>> byTape = situation.shoulder();
        Optional<Stamped<Fact.ShoulderSeen>> byEye = situation
                .newest(Fact.ShoulderSeen.class)
                .filter(seen -> seen.how().isSeenHere() || seen.how().kind() == How.Kind.CARRIED_FROM);
        int count = situation.slotCount();
        // A height says nothing about slots that were only counted: they are compared by eye.
        boolean comparesByEye = slots.isEmpty() && count > 0;
        if (!comparesByEye && byTape.filter(tape -> tape.isAfter(byEye)).isPresent()) {
            Length height = byTape.get().value();
            return Optional.of(
                    new ShoulderAndSlots(slots, count, atOrBelow(slots, height), Optional.of(height), byTape.get()));
        }
        return byEye.map(seen -> new ShoulderAndSlots(
                slots, count, Math.min(seen.value().slotAtOrBelow(), count), Optional.empty(), seen));
    }

    /**
     * Whether the shoulder may by now lie at another slot than when it was looked at (GRO): the early or the late growth
     * path has crossed one. On its own day a look holds; where neither slots nor length are known, no other day does. What
     * an earlier fitting saw is where to look first, and holds on no day.
     */
    public boolean mayHaveGrown(RestraintNow situation) {
        if (look.how().isCarried() && shoulder.isEmpty()) {
            return true;
        }
        Optional<LocalDate> on = look.freshOn(situation.today());
        if (on.isEmpty()) {
            return true;
        }
        if (!on.get().isBefore(situation.today())) {
            return false;
        }
        Optional<ChildHeights> heights = ChildHeights.of(situation);
        if (heights.isEmpty() || slots.isEmpty()) {
            return true;
        }
        Length height = shoulder.orElseGet(() -> between(heights.get().usual(Share.USUAL_SHOULDER, on.get())));
        return heights.get()
                .today(height, on.get(), Dimension.SHOULDER)
                .map(today -> atOrBelow(slots, today.least()) != best || atOrBelow(slots, today.most()) != best)
                .orElse(true);
    }

    /** Where in the interval seen the shoulder likely was. */
    private Length between(Length likely) {
        Length low = best == 0 ? Length.ZERO : slots.get(best - 1);
        Length high = best == slots.size() ? likely : slots.get(best).minus(Length.ofMillimetres(0.01));
        if (likely.isLessThan(low)) {
            return low;
        }
        return likely.isMoreThan(high) ? high : likely;
    }

    /** HAR-1: the highest slot at or below a height, from 1; 0 when all are above it. */
    public static int atOrBelow(List<Length> slots, Length height) {
        int best = 0;
        for (int i = 0; i < slots.size(); i++) {
            if (!slots.get(i).isMoreThan(height)) {
                best = i + 1;
            }
        }
        return best;
    }

    /** How far a slot lies below the shoulder; empty when the shoulder was only seen by eye. */
    public Optional<Length> below(int slot) {
        return shoulder.map(height -> height.minus(slots.get(slot - 1)));
    }

    /** How far the lowest slot lies above the shoulder; empty when it does not, or was only seen by eye. */
    public Optional<Length> belowLowest() {
        return best > 0 ? Optional.empty() : shoulder.map(height -> slots.get(0).minus(height));
    }
}
