package app.layette.core.placing;

import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import java.util.Map;

/**
 * The one reason about a place that tells most: what decides against it, else the number or the doubt that is worth a
 * glance.
 *
 * @param key of its words, a few at most
 * @param arguments of those words
 */
public record Telling(String key, Map<String, Argument> arguments) {
    private static final String SHORT = "cabin.short.";

    public Telling {
        arguments = Map.copyOf(arguments);
    }

    static Telling of(PlaceAnswer answer) {
        if (answer.answer() != Permission.ALLOWED) {
            return answer.deciding().map(Telling::of).orElse(new Telling(SHORT + "none", Map.of()));
        }
        if (answer.reach().isPresent()) {
            return new Telling("cabin.reach." + answer.reach().get().answer(), Map.of());
        }
        return answer.gap()
                .map(gap -> new Telling("cabin.gap", Map.of("gap", Argument.of(gap))))
                .or(() -> answer.findings().stream()
                        .filter(finding -> finding.weight() == Weight.ADVISE)
                        .findFirst()
                        .map(Telling::of))
                .orElse(new Telling(SHORT + "allowed", Map.of()));
    }

    private static Telling of(Finding finding) {
        return new Telling(SHORT + finding.code().text() + "." + finding.reason(), finding.arguments());
    }
}
