package app.layette.core.rule;

import app.layette.core.entry.Fact;
import app.layette.core.evidence.Evidence;
import java.util.ArrayList;
import java.util.List;

/** Masses and lengths on which both manuals have a say. */
public final class Quantities {
    private Quantities() {}

    /** The pages that nobody has looked up: keys as an ask for a page has them. */
    public static List<String> unread(Fact.Quantity quantity, Evidence<?> seat, Evidence<?> car) {
        List<String> keys = new ArrayList<>();
        if (!seat.isLooked()) {
            keys.add("QUANTITY:" + quantity + ":SEAT");
        }
        if (!car.isLooked()) {
            keys.add("QUANTITY:" + quantity + ":CAR");
        }
        return keys;
    }
}
