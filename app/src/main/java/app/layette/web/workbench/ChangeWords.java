package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.gate.ConclusionState;
import app.layette.core.rule.Conclusion;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what an entry changed. */
final class ChangeWords {
    private static final int MOST_NAMED = 6;

    private final FittingPlan plan;
    private final Wording words;

    ChangeWords(FittingPlan plan, Wording words) {
        this.plan = plan;
        this.words = words;
    }

    List<String> changed(PlanDifference difference) {
        List<String> said = new ArrayList<>();
        // Until a way of fixing is chosen the usual one stands in: what goes with it was never anybody's.
        if (isChosenAgain()) {
            named("changed.dropped", difference.dropped()).ifPresent(said::add);
            named("changed.added", difference.added()).ifPresent(said::add);
        }
        // What is not in order comes first: it is never among those that are only counted.
        difference.changes().stream()
                .filter(each -> !difference.added().contains(each.conclusion()))
                .sorted(Comparator.comparing(each -> each.to() == ConclusionState.State.PASSED))
                .map(each -> words.say("conclusion." + each.conclusion()) + ": " + words.say("gateState." + each.to()))
                .forEach(said::add);
        if (said.size() <= MOST_NAMED + 1) {
            return said;
        }
        List<String> first = new ArrayList<>(said.subList(0, MOST_NAMED));
        first.add(words.say("change.andMore", Map.of("count", Argument.of(said.size() - MOST_NAMED))));
        return first;
    }

    private boolean isChosenAgain() {
        return plan.situation().history(Fact.Placed.class).size() > 1;
    }

    /** What another method asks for, or no longer asks for. */
    private Optional<String> named(String key, List<Conclusion> conclusions) {
        String names = conclusions.stream()
                .map(each -> words.say("conclusion." + each))
                .collect(Collectors.joining(", "));
        return conclusions.isEmpty()
                ? Optional.empty()
                : Optional.of(words.say(
                        key,
                        Map.of("names", Argument.of(names), "method", new Argument.OfKey("method." + plan.method()))));
    }
}
