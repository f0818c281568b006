package app.layette.web.soak;

import app.layette.core.entry.Area;
import app.layette.core.entry.Misuse;
import app.layette.web.fitting.Unusual;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Entries as technicians make them over a day: acts, looks, measures, what was found, words. Always the same for a seed. */
final class Traffic {
    private static final List<String> ACTS = List.of("PRESSED_OR_ROCKED", "TIGHTENED", "CAR_MOVED", "CARRIER_ON");
    private static final Map<String, List<String>> ANSWERS = Map.of(
            "MOVEMENT", List.of("UNDER_AN_INCH", "AN_INCH_OR_MORE"),
            "CLICK", List.of("CLICKED_AND_LIFTED", "CAME_LOOSE"),
            "SNUG", List.of("SNUG", "LOOSE"),
            "CLOTHING", List.of("THIN"));
    private static final int LIGHTEST_G = 2300;
    private static final int WEIGHT_SPAN_G = 2500;
    private static final int SHORTEST_MM = 450;
    private static final int LENGTH_SPAN_MM = 120;
    /** It may still be yesterday at the fitting point: born today would not be born yet. */
    private static final int OLD_ENOUGH_ANYWHERE = 2;

    private final Random random;

    Traffic(Random random) {
        this.random = random;
    }

    /** The fields of one more entry. */
    Map<String, String> entry() {
        return switch (random.nextInt(8)) {
            case 0, 1 -> Map.of("kind", "acted", "of", "u1", "act", one(ACTS));
            case 2, 3, 4 -> answered();
            case 5 -> weighed();
            case 6 -> found();
            default -> Map.of("kind", "noted", "of", "u1", "text", "Said at " + random.nextInt() + ": ¿todo bien?");
        };
    }

    /** Some weigh what hardly any child of that age weighs: that is said to be right at once. */
    private Map<String, String> weighed() {
        String mass = kilograms();
        return Map.of("kind", "weighed", "of", "r1", "mass", mass, Unusual.SURE, mass);
    }

    private Map<String, String> answered() {
        String question = one(ANSWERS.keySet().stream().sorted().toList());
        return Map.of("kind", "answered", "of", "u1", "question", question, "answer", one(ANSWERS.get(question)));
    }

    private Map<String, String> found() {
        return random.nextBoolean()
                ? Map.of(
                        "kind",
                        "foundSo",
                        "of",
                        "u1",
                        "misuse",
                        one(List.of(Misuse.values())).name(),
                        "there",
                        "true")
                : Map.of(
                        "kind",
                        "areaLooked",
                        "of",
                        "u1",
                        "area",
                        one(List.of(Area.values())).name(),
                        "clear",
                        "true");
    }

    /** The fields of a new family. */
    Map<String, String> family(String reference) {
        String mass = kilograms();
        String length = SHORTEST_MM + random.nextInt(LENGTH_SPAN_MM) + " mm";
        return Map.of(
                "reference",
                reference,
                "childName",
                "Soak",
                "born",
                LocalDate.now()
                        .minusDays(OLD_ENOUGH_ANYWHERE + random.nextInt(60))
                        .toString(),
                "mass",
                mass,
                Unusual.SURE + ".mass",
                mass,
                "length",
                length,
                Unusual.SURE + ".length",
                length,
                "seat",
                one(List.of("wrenfold-thimble", "ostler-heddle", "tansy-rook-skein")),
                "car",
                one(List.of("corvane-estate", "corvane-hack", "")));
    }

    private String kilograms() {
        return String.format(Locale.ENGLISH, "%.2f kg", (LIGHTEST_G + random.nextInt(WEIGHT_SPAN_G)) / 1000.0);
    }

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }
}
