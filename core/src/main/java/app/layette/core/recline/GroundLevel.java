package app.layette.core.recline;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.GroundMeasured;
import app.layette.core.entry.Fact.LeanMeasured;
import app.layette.core.entry.Fact.SillsRead;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Angle;
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
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * REC-3: gravity indicators tell the truth only on level ground. Up to 1° along the car is fine, up to 3° provisional
 * (which does not pass), beyond that there is no final reading; the same for a sideways lean of more than 3°.
 *
 * <p>By eye, by angle, or from two sill readings with the car turned round: δ = (r₁ − r₂)/2, and (r₁ + r₂)/2 is the
 * sill's own rake. The later look counts.
 */
@AutoService(Asking.class)
public final class GroundLevel implements Rule.OfPlace {
    /** What {@link Question#GROUND} is answered with. */
    public enum Answer {
        LEVEL,
        SLIGHT_SLOPE,
        STEEP
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("LEVEL_GROUND"), RuleCode.REC_3)
            .requiredOf(Method::isReclined)
            .countsBeforeBirth()
            .reopenedBy(Change.CAR_MOVED, Change.OTHER_CAR, Change.PLACE_OR_METHOD)
            .asks(Asked.about(Question.GROUND, Answer.class)
                    .holds(Answer.LEVEL, "finding.REC-3.level")
                    .fix(Answer.SLIGHT_SLOPE, "finding.REC-3.slightSlope")
                    .fix(Answer.STEEP, "finding.REC-3.steep"))
            .at(StepKey.GROUND, 100);

    private static final double FINE_DEGREES = 1;
    private static final double PROVISIONAL_DEGREES = 3;

    private static final Set<Change> OTHER_GROUND = EnumSet.of(Change.CAR_MOVED, Change.OTHER_CAR);

    /** What a reading on this ground is worth. */
    public enum Worth {
        FINAL,
        PROVISIONAL,
        REFUSED
    }

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(looks.looked(Kind.GROUND, conclusion()));
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<Stamped<LeanMeasured>> lean = tooMuchLean(situation);
        if (lean.isPresent()) {
            return Verdict.judged(Finding.of(Weight.FIX, "finding.REC-3.leans")
                            .with("lean", lean.get().value().lean())
                            .changedBy("LEVEL_GROUND"))
                    .restingOn(lean.get());
        }
        Optional<Stamped<Angle>> byAngle = byAngle(situation);
        return byAngle.filter(angle -> angle.isAfter(situation.answer(Question.GROUND)))
                .map(angle -> (Verdict) Verdict.judged(judge(angle.value())).restingOn(angle))
                .orElseGet(() -> new AnsweredByEye<>(Question.GROUND, Answer.class).judge(situation));
    }

    private static Finding.Builder judge(Angle pitch) {
        String message = switch (worth(pitch)) {
            case FINAL -> "finding.REC-3.levelByAngle";
            case PROVISIONAL -> "finding.REC-3.provisional";
            case REFUSED -> "finding.REC-3.refused";
        };
        return Finding.of(worth(pitch) == Worth.FINAL ? Weight.HOLDS : Weight.FIX, message)
                .with("pitch", pitch)
                .changedBy("LEVEL_GROUND");
    }

    private static Worth worth(Angle pitch) {
        double degrees = pitch.absolute().degrees();
        return degrees <= FINE_DEGREES
                ? Worth.FINAL
                : degrees <= PROVISIONAL_DEGREES ? Worth.PROVISIONAL : Worth.REFUSED;
    }

    /** A sideways lean past what is allowed, measured since the car last moved. */
    private static Optional<Stamped<LeanMeasured>> tooMuchLean(PlaceNow situation) {
        return situation
                .seen(LeanMeasured.class)
                .filter(each -> each.value().lean().absolute().degrees() > PROVISIONAL_DEGREES)
                .filter(each -> each.seen() >= situation.lastChange(OTHER_GROUND, each.seq()));
    }

    /** What a reading here is worth, by a measured slope or lean; final where the ground was only judged by eye. */
    public static Worth worth(PlaceNow situation) {
        return tooMuchLean(situation).isPresent() ? Worth.REFUSED : worth(pitch(situation));
    }

    /** δ as measured since the car last moved; level when it was judged by eye later, or only. */
    public static Angle pitch(PlaceNow situation) {
        return pitchAt(situation, Integer.MAX_VALUE);
    }

    /**
     * δ of the ground that a look was made on: what was found out about it between the move of the car before the look and
     * the next one after it.
     */
    static Angle pitchAt(PlaceNow situation, int seq) {
        int since = 0;
        int until = Integer.MAX_VALUE;
        for (int move : situation.changes(OTHER_GROUND)) {
            since = move <= seq ? move : since;
            until = move > seq ? Math.min(until, move) : until;
        }
        int from = since;
        int to = until;
        Predicate<Stamped<?>> there = look -> look.seq() > from && look.seq() < to;
        Optional<Stamped<Angle>> byAngle = byAngles(situation).filter(there).reduce((first, second) -> second);
        Optional<Stamped<Fact.Answered>> byEye = situation.history(Fact.Answered.class).stream()
                .filter(each -> each.value().question() == Question.GROUND)
                .filter(there)
                .reduce((first, second) -> second);
        return byAngle.filter(angle -> angle.isAfter(byEye)).map(Stamped::value).orElse(Angle.ZERO);
    }

    /** The sill's own rake, from two readings with the car turned round; worth keeping with the car. */
    public static Optional<Angle> sillRake(PlaceNow situation) {
        return situation
                .newest(SillsRead.class)
                .map(Stamped::value)
                .map(sills -> half(sills.first().plus(sills.turned())));
    }

    private static Optional<Stamped<Angle>> byAngle(PlaceNow situation) {
        return byAngles(situation).reduce((first, second) -> second);
    }

    /** Every slope that was measured here, in its order. */
    private static Stream<Stamped<Angle>> byAngles(PlaceNow situation) {
        Stream<Stamped<Angle>> bySills = situation.history(SillsRead.class).stream()
                .map(read ->
                        read.with(half(read.value().first().minus(read.value().turned()))));
        Stream<Stamped<Angle>> onGround = situation.history(GroundMeasured.class).stream()
                .map(read -> read.with(read.value().pitch()));
        return Stream.concat(bySills, onGround)
                .filter(each -> each.how().isSeenHere())
                .sorted(Comparator.comparingInt(Stamped::seq));
    }

    private static Angle half(Angle angle) {
        return Angle.ofDegrees(angle.degrees() / 2);
    }
}
