package app.layette.core.cabin;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.ChildNow;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Quantities;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * CAB-10: the gap to the front seat, with the carrier on, the handle as it will be and the front seat where its occupant
 * needs it: what both manuals ask (the larger), else the profile. Touching only if both manuals allow it.
 *
 * <p>By eye: a flat hand stands for 30 mm.
 */
@AutoService(Asking.class)
public final class GapToFrontSeat implements Rule.OfPlace {
    /** What {@link Question#GAP} is answered with. */
    public enum Answer {
        FLAT_HAND,
        LESS,
        TOUCHES
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("GAP"), RuleCode.CAB_10)
            .requiredOf(Method::isReclined)
            .reopenedBy(Change.CARRIER_ON_OFF, Change.FRONT_SEAT_MOVED, Change.HANDLE_MOVED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.GAP, Answer.class).leftToRule(Answer.FLAT_HAND, Answer.LESS, Answer.TOUCHES))
            .decidedBy(PermissionKey.TOUCHING_FRONT_SEAT)
            .decidedBy(Fact.Quantity.GAP)
            .at(StepKey.HANDLE_AND_GAP, 200);

    /** What a flat hand stands for. */
    private static final Length FLAT_HAND = Length.ofMillimetres(30);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(looks.looked(Kind.GAP, conclusion()));
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<Stamped<Fact.LengthMeasured>> byTape = situation.measured(Dimension.GAP);
        Optional<Stamped<String>> byEye = situation.answer(Question.GAP);
        if (byTape.isEmpty() && byEye.isEmpty()) {
            return Verdict.open(Missing.Entry.GAP);
        }
        boolean tapeIsLater = byTape.isPresent()
                && (byEye.isEmpty() || byTape.get().seq() > byEye.get().seq());
        if (tapeIsLater) {
            return Verdict.judged(measured(situation, byTape.get().value().length()))
                    .restingOn(byTape.get());
        }
        Verdict.Judged seen = Verdict.judged(seen(
                        situation,
                        // What nobody can read is no hand's breadth.
                        Answers.as(Answer.class, byEye.get().value()).orElse(Answer.LESS)))
                .restingOn(byEye.get());
        boolean onlyTold = seen.passes() && !Question.GAP.isPassedBy(byEye.get().how());
        return onlyTold ? Verdict.open(Missing.Entry.LOOK_HERE) : seen;
    }

    @Override
    public List<String> pages(Finding finding, Situation situation) {
        return finding.weight() == Weight.NOT_KNOWN && asked(situation).isEmpty()
                ? Quantities.unread(
                        Fact.Quantity.GAP, situation.gapAsked(Speaker.SEAT), situation.gapAsked(Speaker.CAR))
                : List.of();
    }

    /** Whether a flat hand tells that a gap is wide enough; where more is asked only a tape does. */
    public static boolean isToldByHand(Length asked) {
        return !asked.isMoreThan(FLAT_HAND);
    }

    /** What is asked here; empty when a manual that has a say was not read. */
    public static Optional<Length> asked(ChildNow situation) {
        Evidence<Length> seat = situation.gapAsked(Speaker.SEAT);
        Evidence<Length> car = situation.gapAsked(Speaker.CAR);
        if (!seat.isLooked() || !car.isLooked()) {
            return Optional.empty();
        }
        return Stream.of(seat.value(), car.value())
                .flatMap(Optional::stream)
                .max(Length::compareTo)
                .or(() -> Optional.of(situation.practice().profile().gap()));
    }

    private static Finding.Builder measured(ChildNow situation, Length gap) {
        if (gap.equals(Length.ZERO)) {
            return touching(situation);
        }
        return asked(situation)
                .map(asked -> enough(!gap.isLessThan(asked), asked).with("gap", gap))
                .orElseGet(GapToFrontSeat::notKnown);
    }

    private static Finding.Builder seen(ChildNow situation, Answer answer) {
        if (answer == Answer.TOUCHES) {
            return touching(situation);
        }
        Optional<Length> asked = asked(situation);
        if (asked.isEmpty()) {
            return notKnown();
        }
        boolean handFits = answer == Answer.FLAT_HAND;
        boolean handDecides =
                handFits ? !asked.get().isMoreThan(FLAT_HAND) : !asked.get().isLessThan(FLAT_HAND);
        return handDecides
                ? enough(handFits, asked.get())
                // A hand says too little here: the same gap is asked for once more, by tape.
                : Verdict.again("finding.CAB-10.measureIt")
                        .with("asked", asked.get())
                        .changedBy("GAP");
    }

    private static Finding.Builder enough(boolean enough, Length asked) {
        return Finding.of(
                        enough ? Weight.HOLDS : Weight.FIX,
                        enough ? "finding.CAB-10.enough" : "finding.CAB-10.tooClose")
                .with("asked", asked)
                .changedBy("FRONT_SEAT");
    }

    private static Finding.Builder notKnown() {
        return Finding.of(Weight.NOT_KNOWN, "finding.CAB-10.manualsNotLooked").changedBy("BOTH_MANUALS");
    }

    private static Finding.Builder touching(ChildNow situation) {
        return PlaceRules.permitted(
                        situation,
                        PermissionKey.TOUCHING_FRONT_SEAT,
                        new PlaceRules.ByPage(
                                "finding.CAB-10.touchingAllowed",
                                "finding.CAB-10.touchingNotAllowed",
                                "finding.CAB-10.touchingNotKnown"))
                .changedBy("FRONT_SEAT");
    }
}
