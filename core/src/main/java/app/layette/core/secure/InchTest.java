package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/**
 * SEC-6: at the belt path, by an ordinary handshake, sideways and then fore and aft, the base moves less than one inch
 * (25.4 mm). By eye or by tape; the later look counts.
 */
@AutoService(Asking.class)
public final class InchTest implements Rule.OfPlace {
    /** What {@link Question#MOVEMENT} is answered with. */
    public enum Answer {
        UNDER_AN_INCH,
        AN_INCH_OR_MORE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("INCH_TEST"), RuleCode.SEC_6)
            .countsBeforeBirth()
            .reopenedBy(Change.TIGHTENED, Change.BELT_TOUCHED, Change.ANCHOR_TOUCHED, Change.ARMS_WALKED_IN)
            .reopenedElsewhere()
            .asks(Asked.about(Question.MOVEMENT, Answer.class)
                    .holds(Answer.UNDER_AN_INCH, "finding.SEC-6.underAnInch")
                    .fix(Answer.AN_INCH_OR_MORE, "finding.SEC-6.anInchOrMore")
                    .byItself())
            .at(StepKey.INCH, 100);

    /** One inch; the movement has to stay below it. */
    public static final Length LIMIT = Length.ofInches(1);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(looks.looked(Kind.MOVEMENT, conclusion()));
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<Stamped<Fact.LengthMeasured>> byTape = situation.measured(Dimension.MOVEMENT);
        Optional<Stamped<String>> byEye = situation.answer(Question.MOVEMENT);
        if (byTape.filter(tape -> tape.isAfter(byEye)).isEmpty()) {
            return new AnsweredByEye<>(Question.MOVEMENT, Answer.class).judge(situation);
        }
        Length movement = byTape.get().value().length();
        boolean under = movement.isLessThan(LIMIT);
        return Verdict.judged(Finding.of(
                                under ? Weight.HOLDS : Weight.FIX,
                                under ? "finding.SEC-6.underAnInch" : "finding.SEC-6.anInchOrMore")
                        .with("movement", movement)
                        .changedBy("TIGHTEN"))
                .restingOn(byTape.get());
    }
}
