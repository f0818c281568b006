package app.layette.web.quick;

import app.layette.core.entry.Fact;
import app.layette.core.ride.Routing;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a ride is planned from, as it stands in the address.
 *
 * @param family reference of a family that was here before
 * @param weight as it was typed
 * @param seat id of the carrier's sheet
 * @param shows what the seat manual shows
 * @param alone what a page of it says of the carrier without its base
 */
record Answers(String family, String weight, String seat, String shows, String alone) {
    static Answers of(Map<String, String> fields) {
        return new Answers(
                fields.getOrDefault("family", "").strip(),
                fields.getOrDefault("weight", "").strip(),
                fields.getOrDefault("seat", ""),
                fields.getOrDefault("shows", ""),
                fields.getOrDefault("alone", ""));
    }

    boolean isNothing() {
        return family.isBlank() && weight.isBlank() && seat.isBlank();
    }

    Map<String, String> typed() {
        return Map.of("family", family, "weight", weight, "seat", seat, "shows", shows, "alone", alone);
    }

    /** What the manual shows; empty when nobody has looked. */
    Optional<Set<Routing>> shown() {
        return switch (shows) {
            case "EUROPEAN" -> Optional.of(EnumSet.of(Routing.EUROPEAN));
            case "AMERICAN" -> Optional.of(EnumSet.of(Routing.AMERICAN));
            case "BOTH" -> Optional.of(EnumSet.allOf(Routing.class));
            case "NEITHER" -> Optional.of(EnumSet.noneOf(Routing.class));
            default -> Optional.empty();
        };
    }

    /** What a page at hand says of the carrier without its base; empty when nobody has looked. */
    Optional<Fact.PageSays> withoutBase() {
        return switch (alone) {
            case "ALLOWED" -> Optional.of(Fact.PageSays.ALLOWED);
            case "NOT_ALLOWED" -> Optional.of(Fact.PageSays.NOT_ALLOWED);
            default -> Optional.empty();
        };
    }
}
