package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.FactForm;
import app.layette.web.fitting.Problems;
import app.layette.web.fitting.RefusedEntryException;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** What a typed quantity was understood as, in both unit systems; or why it was not. */
final class Echo {
    private static final List<String> ECHOED = List.of("mass", "length", "birthWeight");

    private Echo() {}

    /** Empty while nothing is typed. */
    static String of(Map<String, String> fields, Wording words) {
        boolean typed = ECHOED.stream()
                .anyMatch(field -> !fields.getOrDefault(field, "").isBlank());
        if (!typed) {
            return "";
        }
        try {
            return understood(FactForm.read(fields), words);
        } catch (RefusedEntryException e) {
            return e.problems().stream()
                    .filter(problem -> ECHOED.contains(problem.field()))
                    .findFirst()
                    .map(problem -> Problems.say(problem, words))
                    .orElse("");
        }
    }

    private static String understood(Fact fact, Wording words) {
        if (fact instanceof Fact.Weighed weighed) {
            return words.both(weighed.mass());
        }
        if (fact instanceof Fact.LengthMeasured measured) {
            return words.both(measured.length());
        }
        if (fact instanceof Fact.ChildDescribed child && child.birthWeight() != null) {
            return words.both(child.birthWeight());
        }
        return fact instanceof Fact.QuantityRead read ? quantity(read.mass(), read.length(), words) : "";
    }

    private static String quantity(Mass mass, Length length, Wording words) {
        return Stream.of(mass == null ? "" : words.both(mass), length == null ? "" : words.both(length))
                .filter(text -> !text.isEmpty())
                .findFirst()
                .orElse("");
    }
}
