package app.layette.core.harness;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** HAR-1 over generated shells: never above the shoulder, and never lower than need be. */
class ShoulderAndSlotsTest {
    @Test
    void theChosenSlotIsNeverAboveTheShoulderAndTheNextOneIs() {
        Random random = new Random(11);
        for (int shell = 0; shell < 500; shell++) {
            List<Length> slots = new ArrayList<>();
            double height = 150 + random.nextInt(80);
            for (int i = 0; i < 1 + random.nextInt(6); i++) {
                slots.add(Length.ofMillimetres(height));
                height += 15 + random.nextInt(40);
            }
            Length shoulder = Length.ofMillimetres(120 + random.nextInt(300));
            int best = ShoulderAndSlots.atOrBelow(slots, shoulder);
            if (best > 0) {
                assertThat(slots.get(best - 1)).isLessThanOrEqualTo(shoulder);
            }
            if (best < slots.size()) {
                assertThat(slots.get(best)).isGreaterThan(shoulder);
            }
        }
    }
}
