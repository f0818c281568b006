package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;

/** CAB-7: the buckle that belongs to the place; two belts have two of them. */
@AutoService(Asking.class)
public final class OwnBuckle implements Rule.OfPlace {
    /** What {@link Question#BUCKLE} is answered with. */
    public enum Answer {
        ITS_OWN,
        ANOTHER
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("BUCKLE"), RuleCode.CAB_7)
            .requiredOf(Method::isByBelt)
            .countsBeforeBirth()
            .reopenedElsewhere()
            .asks(Asked.about(Question.BUCKLE, Answer.class)
                    .holds(Answer.ITS_OWN, "finding.CAB-7.itsOwn")
                    .fix(Answer.ANOTHER, "finding.CAB-7.another")
                    .shownIn(LookKey.FIXED, 220, Answer.ITS_OWN))
            .at(StepKey.ROUTE_BELT, 400);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        List<Ask> asks = new ArrayList<>(Rule.OfPlace.super.asks(looks));
        BeltRules.secondPlace(looks.situation())
                .ifPresent(second -> asks.add(BeltRules.askAt(looks.situation(), Question.BUCKLE, second)));
        return asks;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        AnsweredByEye<PlaceNow, Answer> byEye = new AnsweredByEye<>(Question.BUCKLE, Answer.class);
        Verdict first = byEye.judge(situation);
        boolean two =
                situation.method().filter(method -> method.takesTwoPlaces()).isPresent();
        if (!two || !(first instanceof Verdict.Judged here) || !here.passes()) {
            return first;
        }
        PositionId second = situation.placed().orElseThrow().value().position().besides();
        return situation
                .answerAt(Question.BUCKLE, second)
                .map(answer -> both(byEye.judge(situation, answer), here))
                .orElseGet(() -> Verdict.open(Missing.Entry.BUCKLE_SECOND));
    }

    private static Verdict both(Verdict second, Verdict.Judged first) {
        if (!(second instanceof Verdict.Judged judged)) {
            return second;
        }
        List<Verdict.Check> checks = new ArrayList<>(judged.checks());
        checks.addAll(first.checks());
        return new Verdict.Judged(judged.findings(), checks);
    }
}
