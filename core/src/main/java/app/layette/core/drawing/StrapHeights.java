package app.layette.core.drawing;

import app.layette.core.entry.Situation;
import app.layette.core.measure.Length;
import java.util.List;

/**
 * Where the slots of a shell are drawn: at their heights on the sheet, or spread where it gives none.
 *
 * @param slots their heights from the pad at the hips, from the lowest; empty where the sheet gives none
 * @param count how many there are, at least 1
 * @param top height of the shell's head end, in millimetres
 */
record StrapHeights(List<Length> slots, int count, double top) {
    static StrapHeights of(Situation situation, double top) {
        return new StrapHeights(
                situation.seat().flatMap(seat -> seat.shell().slots().value()).orElse(List.of()),
                Math.max(1, situation.slotCount()),
                top);
    }

    double of(int slot) {
        return slots.size() >= slot && slot > 0
                ? slots.get(slot - 1).millimetres()
                : top * (0.35 + 0.4 * slot / (count + 1));
    }
}
