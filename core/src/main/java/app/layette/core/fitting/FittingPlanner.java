package app.layette.core.fitting;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Decision;
import app.layette.core.entry.Fact.Ended;
import app.layette.core.entry.Fact.SheetAdopted;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.Method;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.finding.Finding;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.gate.RuleBook;
import app.layette.core.practice.Practice;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.run.Run;
import app.layette.core.vehicle.PositionId;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Plans a fitting: {@code plan = f(practice, sheets, entries, today)}. No clock, no database, no state. */
public final class FittingPlanner {
    /**
     * Edition of the rules and formulas, written into every plan and kept with every signed hand-over. It rises with each
     * change of a rule that could judge a fitting otherwise.
     */
    public static final String ENGINE_VERSION = "0.2.0";

    private final RuleBook rules;

    public FittingPlanner() {
        this(RuleBook.shipped());
    }

    public FittingPlanner(RuleBook rules) {
        this.rules = rules;
    }

    /**
     * Plans a fitting.
     *
     * @param practice where and how it is done
     * @param sheets every sheet version that it may refer to
     * @param record its riders, units and entries
     * @param today the day in the fitting point's zone
     * @throws app.layette.core.entry.UnusableEntriesException when the entries contradict each other
     */
    public FittingPlan plan(Practice practice, Sheets sheets, FittingRecord record, LocalDate today) {
        return plan(practice, sheets, record, Situation.of(practice, sheets, record, today));
    }

    /**
     * Plans a fitting for one of its units.
     *
     * @param unit its id
     * @throws app.layette.core.entry.UnusableEntriesException when the entries contradict each other or there is no such
     *     unit
     */
    public FittingPlan plan(Practice practice, Sheets sheets, FittingRecord record, UnitId unit, LocalDate today) {
        return plan(practice, sheets, record, Situation.of(practice, sheets, record, unit, today));
    }

    /** What a plan would be if this place and method had just been chosen; it is never stored. */
    public FittingPlan asIfPlaced(FittingPlan plan, PositionId place, Method method) {
        Situation there = plan.situation().asIfPlaced(place, method);
        Gate gate = Gate.now(rules, there, method);
        return new FittingPlan(
                plan.state(),
                method,
                there,
                gate,
                Run.of(method, there, gate),
                findings(gate),
                ReclineAdvice.of(there),
                plan.dates());
    }

    private FittingPlan plan(Practice practice, Sheets sheets, FittingRecord record, Situation situation) {
        Method method = situation.usualMethod();
        Gate gate = Gate.now(rules, situation, method);
        return new FittingPlan(
                state(situation, practice, sheets, record),
                method,
                situation,
                gate,
                Run.of(method, situation, gate),
                findings(gate),
                ReclineAdvice.of(situation),
                FollowUps.of(situation, wouldDiffer(situation, practice, sheets, record)));
    }

    private FittingState state(Situation situation, Practice practice, Sheets sheets, FittingRecord record) {
        Optional<Stamped<Ended>> ended = situation.ended();
        if (ended.isEmpty()) {
            return isPrepared(situation, practice, sheets, record) ? FittingState.PREPARED : FittingState.OPEN;
        }
        return switch (ended.get().value().ending()) {
            case LEFT_WITH_OPEN_FINDINGS -> FittingState.LEFT_WITH_OPEN_FINDINGS;
            case NOT_FITTED -> FittingState.NOT_FITTED;
            case TAUGHT -> FittingState.TAUGHT;
            case HANDED_OVER ->
                counts(ended.get(), situation, practice, sheets, record) ? FittingState.HANDED_OVER : FittingState.OPEN;
        };
    }

    /**
     * What was signed before the birth stands while the child is expected, if the gate for it was open on its day, and while
     * nothing that was entered since has shut it. A trainee's signature is none.
     */
    private boolean isPrepared(Situation situation, Practice practice, Sheets sheets, FittingRecord record) {
        return situation
                .prepared()
                .filter(signed ->
                        situation.expected().isPresent() && !signed.by().isTrainee())
                .filter(signed -> standsOn(
                        situation.isOfOneRiderAndUnit()
                                ? Situation.of(
                                        practice,
                                        sheets,
                                        record,
                                        situation.unit().id(),
                                        signed.on())
                                : Situation.of(practice, sheets, record, signed.on())))
                .isPresent();
    }

    private boolean standsOn(Situation then) {
        return then.method()
                .filter(Method::staysInTheCar)
                .map(method -> Gate.beforeBirth(rules, then, method).isOpen())
                .orElse(false);
    }

    /**
     * A hand-over counts only if no trainee signed it and the gate was open when it was. What the gate said is kept with the
     * signature; a decision of an earlier edition of the rules stands as it was made. One of this edition, and a hand-over
     * that kept none, are judged once more as of that day.
     */
    private boolean counts(
            Stamped<Ended> ended, Situation situation, Practice practice, Sheets sheets, FittingRecord record) {
        Optional<Decision> kept = Optional.ofNullable(ended.value().decision());
        if (ended.by().isTrainee()) {
            return false;
        }
        if (kept.filter(decision -> !decision.edition().equals(ENGINE_VERSION)).isPresent()) {
            return !kept.get().passed().isEmpty();
        }
        // Nobody can tell whether a newer sheet waited when a decision was made that nobody kept.
        return judgedAgain(ended, situation, practice, sheets, record, kept.isPresent());
    }

    /** Whether the rules of today would have let a hand-over through on its own day. */
    private boolean judgedAgain(
            Stamped<Ended> ended,
            Situation situation,
            Practice practice,
            Sheets sheets,
            FittingRecord record,
            boolean withoutNewer) {
        List<Entry> earlier = record.entries().stream()
                .filter(entry -> entry.seq() < ended.seq())
                .toList();
        FittingRecord then = new FittingRecord(record.riders(), record.units(), earlier);
        Sheets known = withoutNewer ? adoptedAlone(sheets, earlier) : sheets;
        Situation before = situation.isOfOneRiderAndUnit()
                ? Situation.of(practice, known, then, situation.unit().id(), ended.on())
                : Situation.of(practice, known, then, ended.on());
        return before.method()
                .filter(method -> !before.isBedside() && before.expected().isEmpty())
                .map(method -> Gate.judge(rules, before, method).isOpen())
                .orElse(false);
    }

    /** The conclusions that a hand-over signed now would rest on, with the edition that judged them. */
    public static Decision decision(FittingPlan plan) {
        return new Decision(
                ENGINE_VERSION,
                plan.gate().conclusions().stream()
                        .filter(ConclusionState::passed)
                        .map(each -> each.conclusion().name())
                        .toList());
    }

    /** Whether newer rules would judge a hand-over otherwise that earlier ones decided: something due, and no undoing. */
    private boolean wouldDiffer(Situation situation, Practice practice, Sheets sheets, FittingRecord record) {
        return situation
                .ended()
                .filter(ended -> ended.value().ending() == Fact.Ending.HANDED_OVER)
                .filter(ended -> ended.value().decision() != null
                        && !ended.value().decision().edition().equals(ENGINE_VERSION))
                .filter(ended -> !judgedAgain(ended, situation, practice, sheets, record, true))
                .isPresent();
    }

    /** A sheet version that came after a hand-over is something due; it does not undo what was signed. */
    private static Sheets adoptedAlone(Sheets sheets, List<Entry> entries) {
        Set<SheetVersion> adopted = entries.stream()
                .map(Entry::fact)
                .filter(SheetAdopted.class::isInstance)
                .map(SheetAdopted.class::cast)
                .map(SheetAdopted::sheet)
                .collect(Collectors.toSet());
        return new Sheets(
                sheets.seats().stream()
                        .filter(each -> adopted.contains(each.sheet()))
                        .toList(),
                sheets.cars().stream()
                        .filter(each -> adopted.contains(each.sheet()))
                        .toList());
    }

    private static List<Finding> findings(Gate gate) {
        return gate.conclusions().stream()
                .flatMap(each -> each.findings().stream())
                .sorted(Comparator.comparing(Finding::weight))
                .toList();
    }
}
