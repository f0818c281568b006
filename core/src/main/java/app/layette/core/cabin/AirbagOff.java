package app.layette.core.cabin;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Source;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import com.google.auto.service.AutoService;

/** CAB-1: no active airbag; off counts only where somebody saw its lamp or key in this very car. */
@AutoService(Asking.class)
public final class AirbagOff extends AtPlace {
    /** What {@link Question#AIRBAG_LAMP} is answered with. */
    public enum Answer {
        OFF_SEEN,
        ON,
        NOT_FOUND
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.AIRBAG, RuleCode.CAB_1)
            .countsBeforeBirth()
            .saidBeforehand()
            .ofPlaceAlone()
            .reopenedBy(Change.OTHER_CAR, Change.PLACE_OR_METHOD)
            .asks(Asked.about(Question.AIRBAG_LAMP, Answer.class)
                    .holds(Answer.OFF_SEEN, "finding.CAB-1.offSeen")
                    .stop(Answer.ON, "finding.CAB-1.on")
                    .notKnown(Answer.NOT_FOUND, "finding.CAB-1.notFound")
                    .byItself())
            .decidedBy(PermissionKey.FRONT_AIRBAG_OFF)
            .decidedBy(SheetValue.AIRBAG)
            .at(StepKey.PLACE, 200);

    public AirbagOff() {
        super(CARD);
    }

    @Override
    protected Verdict judge(PlaceNow situation, SeatingPosition position) {
        Evidence<Airbag> airbag = position.airbag();
        if (airbag.value().isEmpty()) {
            return Verdict.judged(at(
                    Finding.of(Weight.NOT_KNOWN, "finding.CAB-1.airbagNotKnown")
                            .lacks(SheetValue.AIRBAG)
                            .from(airbag),
                    position));
        }
        return switch (airbag.value().get()) {
            case ACTIVE ->
                Verdict.judged(
                        at(Finding.of(Weight.STOP, "finding.CAB-1.airbagActive").from(airbag), position));
            case NONE ->
                Verdict.judged(
                        at(Finding.of(Weight.HOLDS, "finding.CAB-1.noAirbag").from(airbag), position));
            case OFF_CONFIRMED -> off(situation, position);
        };
    }

    private static Verdict off(PlaceNow situation, SeatingPosition position) {
        Evidence<Airbag> airbag = position.airbag();
        Permission mayBeOff = situation.permission(PermissionKey.FRONT_AIRBAG_OFF, Speaker.CAR, Permission.ALLOWED);
        if (mayBeOff != Permission.ALLOWED) {
            Finding.Builder finding = mayBeOff == Permission.NOT_ALLOWED
                    ? Finding.of(Weight.STOP, "finding.CAB-1.airbagNotSwitched")
                    : Finding.of(Weight.NOT_KNOWN, "finding.CAB-1.airbagNotKnown")
                            .toldBy(PermissionKey.FRONT_AIRBAG_OFF);
            return Verdict.judged(at(finding.from(airbag), position));
        }
        boolean seenHere = airbag.source().filter(Source::isSeen).isPresent();
        return seenHere
                ? Verdict.judged(
                        at(Finding.of(Weight.HOLDS, "finding.CAB-1.airbagOff").from(airbag), position))
                : new AnsweredByEye<>(Question.AIRBAG_LAMP, Answer.class).judge(situation);
    }

    /** Whether the lamp or key of an airbag has to be looked at here. */
    @Override
    public boolean isAsked(Situation situation) {
        return situation
                .position()
                .map(SeatingPosition::airbag)
                .filter(airbag -> airbag.value()
                        .filter(state -> state == Airbag.OFF_CONFIRMED)
                        .isPresent())
                .flatMap(Evidence::source)
                .filter(source -> !source.isSeen())
                .isPresent();
    }
}
