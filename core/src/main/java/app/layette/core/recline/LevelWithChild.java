package app.layette.core.recline;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.LevelRead;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/**
 * REC-1: with the child in, the seat's own indicator passes by its own criterion, in the band for the child's weight. A
 * computed angle never stands in for the look.
 */
@AutoService(Asking.class)
public final class LevelWithChild implements Rule {
    /** What {@link Question#SIDES} is answered with. */
    public enum Answer {
        ALIKE,
        ONE_ONLY,
        DIFFER
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.LEVEL, RuleCode.REC_1)
            .requiredOf(Method::isReclined)
            .reopenedBy(
                    Change.TIGHTENED,
                    Change.BELT_TOUCHED,
                    Change.ANCHOR_TOUCHED,
                    Change.ARMS_WALKED_IN,
                    Change.CARRIER_ON_OFF,
                    Change.CAR_MOVED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.SIDES, Answer.class)
                    .of(RuleCode.REC_3)
                    .leftToRule(Answer.ALIKE, Answer.ONE_ONLY, Answer.DIFFER)
                    .byItself())
            .decidedBy(SheetValue.INDICATOR, SheetValue.LEVEL_PASS, SheetValue.SIDES)
            .at(StepKey.LEVEL_CHILD, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        Situation situation = looks.situation();
        List<Ask> asks = new ArrayList<>();
        asks.add(new Ask(
                Kind.LEVEL,
                Fact.Stage.CHILD.name(),
                situation
                        .level(Fact.Stage.CHILD)
                        .filter(level -> looks.isSettledBy(conclusion(), level))
                        .isPresent()));
        Optional<Stamped<String>> sides = situation.answer(Question.SIDES);
        if (areSidesAsked(situation) || sides.isPresent()) {
            asks.add(new Ask(
                    Kind.QUESTION,
                    Question.SIDES.name(),
                    sides.filter(said -> looks.isSettledBy(conclusion(), said)).isPresent()));
        }
        return asks;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<LevelRead>> level = situation.level(Stage.CHILD);
        Optional<Stamped<Mass>> weight = situation.weight();
        if (level.isEmpty() || weight.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.LEVEL);
        }
        Evidence<Indicator> indicator =
                situation.seat().map(SeatSheet::recline).map(Recline::indicator).orElseThrow();
        if (indicator.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.REC-1.indicatorNotKnown")
                    .lacks(SheetValue.INDICATOR, SheetValue.LEVEL_PASS)
                    .from(indicator)
                    .changedBy("SEAT_MANUAL"));
        }
        Indicator here = indicator.value().get();
        if (here.bandFor(weight.get().value(), situation.ageDays()).isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.REC-1.noBand")
                    .lacks(SheetValue.LEVEL_PASS)
                    .with("weight", weight.get().value())
                    .from(indicator)
                    .changedBy("SEAT_MANUAL"));
        }
        if (isOfAnotherBand(level.get(), here, situation)) {
            return new Verdict.Stale(level.get().seq());
        }
        Optional<Verdict> sides = sides(situation, here);
        Verdict.Judged verdict = GroundLevel.worth(situation) == GroundLevel.Worth.FINAL
                ? Verdict.judged(judge(level.get().value().reading(), here)
                        .from(indicator)
                        .changedBy("DEVICE"))
                : onSlope(situation, level.get(), here);
        Verdict.Judged resting = verdict.restingOn(level.get());
        boolean alike = sides.isEmpty() || sides.get() instanceof Verdict.Judged judged && judged.passes();
        if (!alike) {
            // A reading that is out is said at once; one that passes waits for the other side.
            return resting.passes() ? sides.get() : resting;
        }
        return situation
                        .answer(Question.SIDES)
                        .filter(answer -> sides.isPresent())
                        .isPresent()
                ? resting.restingOn(situation.answer(Question.SIDES).get())
                : resting;
    }

    /** REC-3: an indicator on both sides shows the same on both; empty where there is one and nobody saw another. */
    private static Optional<Verdict> sides(Situation situation, Indicator indicator) {
        boolean asked = indicator.sides() != Indicator.Sides.ONE;
        if (!asked && situation.answer(Question.SIDES).isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                new AnsweredByEye<>(Question.SIDES, Answer.class, (here, answer) -> compared(indicator, answer.value()))
                        .judge(situation));
    }

    private static Verdict.Judged compared(Indicator indicator, Answer answer) {
        if (answer == Answer.DIFFER) {
            return Verdict.judged(
                    Finding.of(Weight.FIX, "finding.REC-3.sidesDiffer").changedBy("LEVEL_GROUND"));
        }
        if (answer == Answer.ONE_ONLY && indicator.sides() == null) {
            // Whether the other one fell off or never was there stands in the seat manual.
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.REC-3.sidesNotLooked")
                    .lacks(SheetValue.SIDES)
                    .changedBy("SEAT_MANUAL"));
        }
        boolean missing = answer == Answer.ONE_ONLY && indicator.sides() == Indicator.Sides.BOTH;
        return Verdict.judged(Finding.of(
                        missing ? Weight.FIX : Weight.HOLDS,
                        missing ? "finding.REC-3.otherSideMissing" : "finding.REC-3.sidesAlike")
                .changedBy("LEVEL_GROUND"));
    }

    /** Whether both sides have to be looked at and compared. */
    public static boolean areSidesAsked(Situation situation) {
        return situation
                .seat()
                .flatMap(seat -> seat.recline().indicator().value())
                .filter(indicator -> indicator.sides() != Indicator.Sides.ONE)
                .isPresent();
    }

    /** Whether another band counts now than when the level was read, by weight or by age. */
    private static boolean isOfAnotherBand(Stamped<LevelRead> level, Indicator indicator, Situation situation) {
        Mass now = situation.weight().orElseThrow().value();
        boolean renewed = situation.lastChange(Set.of(Change.MEASURES_RENEWED), 0) > level.seen();
        Optional<Mass> then = renewed ? situation.weightAsSeen(level.seen()).map(Stamped::value) : Optional.of(now);
        OptionalLong ageThen = situation
                .child()
                .map(child -> OptionalLong.of(child.value().ageDays(level.on())))
                .orElse(OptionalLong.empty());
        return then.isEmpty()
                || !indicator.bandFor(then.get(), ageThen).equals(indicator.bandFor(now, situation.ageDays()));
    }

    /** On a slope the indicator does not tell the truth; what it would show on level ground is computed, and no pass. */
    private static Verdict.Judged onSlope(Situation situation, Stamped<LevelRead> level, Indicator indicator) {
        boolean refused = GroundLevel.worth(situation) == GroundLevel.Worth.REFUSED;
        Optional<Reading> onLevel = refused
                ? Optional.empty()
                : ReclineAdvice.of(situation).flatMap(ReclineAdvice::now).flatMap(ReclineAdvice.Setting::shows);
        String message = refused
                ? "finding.REC-3.readingRefused"
                : onLevel.isPresent() ? "finding.REC-3.readingWouldBe" : "finding.REC-3.readingProvisional";
        Finding.Builder finding = Finding.of(Weight.FIX, message)
                .with("reading", key(indicator, level.value().reading()))
                .changedBy("LEVEL_GROUND");
        onLevel.ifPresent(reading -> finding.with("onLevel", key(indicator, reading)));
        return Verdict.judged(finding);
    }

    private static Argument key(Indicator indicator, Reading reading) {
        return new Argument.OfKey("reading." + indicator.kind() + "." + reading);
    }

    static Finding.Builder judge(Reading reading, Indicator indicator) {
        boolean passes = indicator.passes(reading);
        String failed = reading.isUpright() ? "finding.REC-1.tooUpright" : "finding.REC-1.tooReclined";
        return Finding.of(passes ? Weight.HOLDS : Weight.FIX, passes ? "finding.REC-1.inBand" : failed)
                .with("reading", key(indicator, reading));
    }
}
