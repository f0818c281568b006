package app.layette.core.cabin;

import static app.layette.core.finding.RuleCode.CAB_10;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * CAB-10: the gap to the front seat, with the carrier on, the handle as it will be and the front seat where its occupant
 * needs it: what both manuals ask (the larger), else the profile. Touching only if both manuals allow it.
 *
 * <p>By eye: a flat hand stands for 30 mm.
 */
public final class GapToFrontSeat implements Rule {
    /** What a flat hand stands for. */
    private static final Length FLAT_HAND = Length.ofMillimetres(30);

    @Override
    public Conclusion conclusion() {
        return Conclusion.GAP;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<Fact.LengthMeasured>> byTape = situation.measured(Dimension.GAP);
        Optional<Stamped<String>> byEye = situation.answer(Question.GAP);
        if (byTape.isEmpty() && byEye.isEmpty()) {
            return Verdict.open("GAP");
        }
        boolean tapeIsLater = byTape.isPresent()
                && (byEye.isEmpty() || byTape.get().seq() > byEye.get().seq());
        if (tapeIsLater) {
            return Verdict.judged(measured(situation, byTape.get().value().length()))
                    .restingOn(byTape.get());
        }
        Verdict.Judged seen =
                Verdict.judged(seen(situation, byEye.get().value())).restingOn(byEye.get());
        boolean onlyTold = seen.passes() && !Question.GAP.isPassedBy(byEye.get().how());
        return onlyTold ? Verdict.open(AnsweredByEye.TOLD_ONLY) : seen;
    }

    /** Whether a flat hand tells that a gap is wide enough; where more is asked only a tape does. */
    public static boolean isToldByHand(Length asked) {
        return !asked.isMoreThan(FLAT_HAND);
    }

    /** What is asked here; empty when a manual that has a say was not read. */
    public static Optional<Length> asked(Situation situation) {
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

    private static Finding.Builder measured(Situation situation, Length gap) {
        if (gap.equals(Length.ZERO)) {
            return touching(situation);
        }
        return asked(situation)
                .map(asked -> enough(!gap.isLessThan(asked), asked).with("gap", gap))
                .orElseGet(GapToFrontSeat::notKnown);
    }

    private static Finding.Builder seen(Situation situation, String answer) {
        if (answer.equals("TOUCHES")) {
            return touching(situation);
        }
        Optional<Length> asked = asked(situation);
        if (asked.isEmpty()) {
            return notKnown();
        }
        boolean handFits = answer.equals("FLAT_HAND");
        boolean handDecides =
                handFits ? !asked.get().isMoreThan(FLAT_HAND) : !asked.get().isLessThan(FLAT_HAND);
        return handDecides
                ? enough(handFits, asked.get())
                // A hand says too little here: the same gap is asked for once more, by tape.
                : Verdict.again(CAB_10, "measureIt").with("asked", asked.get()).changedBy("GAP");
    }

    private static Finding.Builder enough(boolean enough, Length asked) {
        return Finding.of(CAB_10, enough ? Weight.HOLDS : Weight.FIX, enough ? "enough" : "tooClose")
                .with("asked", asked)
                .changedBy("FRONT_SEAT");
    }

    private static Finding.Builder notKnown() {
        return Finding.of(CAB_10, Weight.NOT_KNOWN, "manualsNotLooked").changedBy("BOTH_MANUALS");
    }

    private static Finding.Builder touching(Situation situation) {
        return PlaceRules.permitted(situation, CAB_10, PermissionKey.TOUCHING_FRONT_SEAT, "touching")
                .changedBy("FRONT_SEAT");
    }
}
