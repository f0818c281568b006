package app.layette.core.run;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Source;
import app.layette.core.finding.Argument;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a sheet says at a step, in the sheet's own words or values: shown instead of "as the sheet says".
 *
 * @param message key of the sentence
 * @param arguments the sheet's words and values, by the names that the sentence uses
 * @param sources where they stand
 */
public record Saying(String message, Map<String, Argument> arguments, List<Source> sources) {
    private static final String PREFIX = "says.";

    public Saying {
        arguments = Map.copyOf(arguments);
        sources = List.copyOf(sources);
    }

    /** Whether it is this one, by its name without the prefix. */
    public boolean isAbout(String name) {
        return message.equals(PREFIX + name);
    }

    static Saying of(String key, Evidence<?> from, Object... namesAndValues) {
        Map<String, Argument> arguments = new LinkedHashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            arguments.put((String) namesAndValues[i], Argument.of(namesAndValues[i + 1]));
        }
        return new Saying(PREFIX + key, arguments, from.source().map(List::of).orElse(List.of()));
    }
}
