package app.layette.core.suit;

import app.layette.core.child.Child;
import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.ChildNow;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Screened;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile.Screening;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * SUIT-8: for a child born before 37 weeks, under 2500 g, with a condition that affects breathing or tone, or of unknown
 * gestation or birth weight, the answer about the hospital's seat tolerance screening in this restraint. Unanswered and not passed block.
 */
@AutoService(Asking.class)
public final class ScreeningDone implements Rule.OfChild {
    /** What {@link Question#CONDITION} is answered with. */
    public enum Answer {
        NONE,
        YES,
        UNSURE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.SCREENING, RuleCode.SUIT_8)
            .clearedEarlier()
            .asks(Asked.about(Question.CONDITION, Answer.class)
                    .ofShell()
                    .holds(Answer.NONE)
                    .leftToRule(Answer.YES)
                    .notKnown(Answer.UNSURE, "finding.SUIT-8.unsure")
                    .told()
                    .carried()
                    .byItself())
            .at(StepKey.CHILD, 100);

    private static final Mass LOW_WEIGHT = Mass.ofGrams(2500);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        ChildNow situation = looks.situation();
        List<Ask> asks = new ArrayList<>();
        asks.add(looks.question(Question.CONDITION, conclusion()));
        if (situation.child().isPresent() && isAskedOf(situation)) {
            asks.add(new Ask(
                    Kind.SCREENING, "", situation.newest(Fact.Screened.class).isPresent()));
        }
        return asks;
    }

    @Override
    public Verdict judge(ChildNow situation) {
        Optional<Stamped<String>> condition = situation.answer(Question.CONDITION);
        if (situation.child().isEmpty() || situation.weight().isEmpty() || condition.isEmpty()) {
            return Verdict.open(Missing.Entry.CONDITION);
        }
        if (!isAskedOf(situation)) {
            return Verdict.judged(Finding.of(Weight.HOLDS, "finding.SUIT-8.notAsked"));
        }
        return situation
                .newest(Screened.class)
                .map(screened -> answered(situation, screened.value()))
                .orElseGet(() -> Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-8.unanswered")
                        .changedBy("SCREENING")));
    }

    /** Whether the question has to be asked for this child, as far as the child is known. */
    public static boolean isAskedOf(ChildNow situation) {
        if (situation.practice().profile().screening() == Screening.EVERYONE) {
            return true;
        }
        Optional<Child> child = situation.child().map(Stamped::value);
        boolean early = child.map(each -> each.gestationDays().isEmpty() || each.isBeforeTerm())
                .orElse(true);
        boolean light = situation
                        .weight()
                        .map(each -> each.value().isLessThan(LOW_WEIGHT))
                        .orElse(false)
                // A birth weight that nobody knows may have been low.
                || child.flatMap(Child::birthWeight)
                        .map(each -> each.isLessThan(LOW_WEIGHT))
                        .orElse(true);
        boolean condition = situation
                .answer(Question.CONDITION)
                .map(answer -> !answer.value().equals(Answer.NONE.name()))
                .orElse(false);
        return early || light || condition;
    }

    private static Verdict answered(ChildNow situation, Screened screened) {
        String who = screened.who() == null ? "" : screened.who().strip();
        return switch (screened.result()) {
            case PASSED -> Verdict.judged(passed(situation, screened));
            case NOT_PASSED ->
                Verdict.judged(
                        Finding.of(Weight.STOP, "finding.SUIT-8.notPassed").changedBy("CLINICIAN"));
            case NOT_OFFERED_CLINICIAN_INFORMED ->
                who.isEmpty() || screened.on() == null
                        ? Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-8.whoWasInformed")
                                .changedBy("SCREENING"))
                        : Verdict.judged(Finding.of(Weight.ADVISE, "finding.SUIT-8.clinicianInformed")
                                .with("who", who));
        };
    }

    private static Finding.Builder passed(ChildNow situation, Screened screened) {
        if (screened.restraint() == null || screened.restraint().isBlank()) {
            return Finding.of(Weight.NOT_KNOWN, "finding.SUIT-8.whichRestraint").changedBy("SCREENING");
        }
        return isThisRestraint(situation, screened)
                ? Finding.of(Weight.HOLDS, "finding.SUIT-8.passed").with("restraint", screened.restraint())
                : Finding.of(Weight.NOT_KNOWN, "finding.SUIT-8.otherRestraint")
                        .with("restraint", screened.restraint())
                        .changedBy("SCREENING");
    }

    private static boolean isThisRestraint(ChildNow situation, Screened screened) {
        String restraint = screened.restraint();
        return restraint != null
                && situation
                        .seat()
                        .filter(seat -> seat.identity().coversModel(restraint))
                        .isPresent();
    }

    /** Whether the screening was passed in this restraint. */
    static boolean isPassedHere(ChildNow situation) {
        return situation
                .newest(Screened.class)
                .map(Stamped::value)
                .filter(screened -> screened.result() == Fact.ScreeningResult.PASSED)
                .filter(screened -> isThisRestraint(situation, screened))
                .isPresent();
    }
}
