package app.layette.core.gate;

import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Weight;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All required conclusions of a method and how they stand. */
public final class Gate {
    private static final System.Logger LOG = System.getLogger(Gate.class.getName());

    private final Map<Conclusion, ConclusionState> states = new LinkedHashMap<>();
    private final List<ConclusionState> conclusions;

    /**
     * A gate over these.
     *
     * @param conclusions in the order of the work, each once
     * @throws IllegalArgumentException when there are none
     */
    public Gate(List<ConclusionState> conclusions) {
        if (conclusions.isEmpty()) {
            throw new IllegalArgumentException("A gate without required conclusions would let everything through");
        }
        this.conclusions = List.copyOf(conclusions);
        // Asked for one by one, from every step and for every page: found at once.
        conclusions.forEach(each -> states.putIfAbsent(each.conclusion(), each));
    }

    /** All that are required, in the order of the work; never empty. */
    public List<ConclusionState> conclusions() {
        return conclusions;
    }

    public static Gate judge(RuleBook rules, Situation situation, Method method) {
        return new Gate(Required.by(method).stream()
                .map(conclusion -> judge(conclusion, rules, situation))
                .toList());
    }

    /** What counts before the birth: condition, place and securing, and the level without a child. */
    public static Gate beforeBirth(RuleBook rules, Situation situation, Method method) {
        return new Gate(Required.beforeBirth(method).stream()
                .map(conclusion -> judge(conclusion, rules, situation))
                .toList());
    }

    /** The gate that counts now: while a child is expected, the one before its birth. */
    public static Gate now(RuleBook rules, Situation situation, Method method) {
        return situation.expected().isPresent()
                ? beforeBirth(rules, situation, method)
                : judge(rules, situation, method);
    }

    /** Whether everything required is present, passed and fresh. */
    public boolean isOpen() {
        return conclusions.stream().allMatch(ConclusionState::passed);
    }

    /** What keeps it shut, in the order of the work. */
    public List<ConclusionState> blocking() {
        return conclusions.stream().filter(each -> !each.passed()).toList();
    }

    /** How one conclusion stands; empty when the method does not require it. */
    public Optional<ConclusionState> state(Conclusion conclusion) {
        return Optional.ofNullable(states.get(conclusion));
    }

    /** How one conclusion stands in a situation; a rule that is missing or throws is broken, never passed. */
    public static ConclusionState judge(Conclusion conclusion, RuleBook rules, Situation situation) {
        Optional<Rule> rule = rules.ruleFor(conclusion);
        if (rule.isEmpty()) {
            return broken(conclusion, "no rule");
        }
        Verdict verdict;
        try {
            verdict = rule.get().judge(situation);
        } catch (RuntimeException e) {
            // Fails closed: whatever a rule trips over, the hand-over stays shut and the rest is still judged.
            LOG.log(System.Logger.Level.ERROR, "The rule for " + conclusion + " is broken", e);
            return broken(conclusion, e.toString());
        }
        if (verdict instanceof Verdict.Stale stale) {
            return new ConclusionState(conclusion, State.STALE, List.of(), Optional.empty(), stale.since());
        }
        if (verdict instanceof Verdict.Open open) {
            return new ConclusionState(
                    conclusion,
                    State.OPEN,
                    List.of(),
                    Optional.of(open.missing().message()),
                    0);
        }
        return judged(conclusion, (Verdict.Judged) verdict, situation);
    }

    private static ConclusionState judged(Conclusion conclusion, Verdict.Judged verdict, Situation situation) {
        int since = 0;
        for (Verdict.Check check : verdict.checks()) {
            int spoiled = situation.lastChange(Spoils.of(conclusion, situation), check.seq());
            if (spoiled > check.seen()) {
                return new ConclusionState(conclusion, State.STALE, List.of(), Optional.empty(), spoiled);
            }
            since = Math.max(since, check.seq());
        }
        State state = stateOf(verdict.deciding().weight());
        return new ConclusionState(conclusion, state, verdict.findings(), Optional.empty(), since);
    }

    private static State stateOf(Weight weight) {
        return switch (weight) {
            case HOLDS, ADVISE -> State.PASSED;
            case NOT_KNOWN -> State.NOT_KNOWN;
            case STOP, FIX -> State.FAILED;
        };
    }

    private static ConclusionState broken(Conclusion conclusion, String cause) {
        return new ConclusionState(
                conclusion,
                State.BROKEN,
                List.of(),
                Optional.of(Missing.Entry.BROKEN_RULE.message()),
                0,
                Optional.of(cause));
    }
}
