package app.layette.core.recline;

import static app.layette.core.finding.RuleCode.REC_3;

import app.layette.core.entry.Change;
import app.layette.core.entry.Fact.GroundMeasured;
import app.layette.core.entry.Fact.LeanMeasured;
import app.layette.core.entry.Fact.SillsRead;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Angle;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import java.util.Optional;
import java.util.Set;

/**
 * REC-3: gravity indicators tell the truth only on level ground. Up to 1° along the car is fine, up to 3° provisional
 * (which does not pass), beyond that there is no final reading; the same for a sideways lean of more than 3°.
 *
 * <p>By eye, by angle, or from two sill readings with the car turned round: δ = (r₁ − r₂)/2, and (r₁ + r₂)/2 is the
 * sill's own rake. The later look counts.
 */
public final class GroundLevel implements Rule {
    private static final double FINE_DEGREES = 1;
    private static final double PROVISIONAL_DEGREES = 3;

    /** What a reading on this ground is worth. */
    public enum Worth {
        FINAL,
        PROVISIONAL,
        REFUSED
    }

    @Override
    public Conclusion conclusion() {
        return Conclusion.LEVEL_GROUND;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<LeanMeasured>> lean = situation
                .newest(LeanMeasured.class)
                .filter(each -> each.value().lean().absolute().degrees() > PROVISIONAL_DEGREES);
        if (lean.isPresent()) {
            return Verdict.judged(Finding.of(REC_3, Weight.FIX, "leans")
                            .with("lean", lean.get().value().lean())
                            .changedBy("LEVEL_GROUND"))
                    .restingOn(lean.get());
        }
        Optional<Stamped<Angle>> byAngle = byAngle(situation);
        return byAngle.filter(angle -> angle.isAfter(situation.answer(Question.GROUND)))
                .map(angle -> (Verdict) Verdict.judged(judge(angle.value())).restingOn(angle))
                .orElseGet(() -> new AnsweredByEye(Conclusion.LEVEL_GROUND, Question.GROUND).judge(situation));
    }

    private static Finding.Builder judge(Angle pitch) {
        String reason = switch (worth(pitch)) {
            case FINAL -> "levelByAngle";
            case PROVISIONAL -> "provisional";
            case REFUSED -> "refused";
        };
        return Finding.of(REC_3, worth(pitch) == Worth.FINAL ? Weight.HOLDS : Weight.FIX, reason)
                .with("pitch", pitch)
                .changedBy("LEVEL_GROUND");
    }

    private static Worth worth(Angle pitch) {
        double degrees = pitch.absolute().degrees();
        return degrees <= FINE_DEGREES
                ? Worth.FINAL
                : degrees <= PROVISIONAL_DEGREES ? Worth.PROVISIONAL : Worth.REFUSED;
    }

    /** What a reading here is worth, by a measured slope or lean; final where the ground was only judged by eye. */
    public static Worth worth(Situation situation) {
        boolean leans = situation
                .newest(LeanMeasured.class)
                .map(each -> each.value().lean().absolute().degrees() > PROVISIONAL_DEGREES)
                .orElse(false);
        return leans ? Worth.REFUSED : worth(pitch(situation));
    }

    /** δ as measured since the car last moved; level when it was judged by eye later, or only. */
    public static Angle pitch(Situation situation) {
        return byAngle(situation)
                .filter(angle -> angle.isAfter(situation.answer(Question.GROUND)))
                .filter(angle -> angle.seq() > situation.lastChange(Set.of(Change.CAR_MOVED), 0))
                .map(Stamped::value)
                .orElse(Angle.ZERO);
    }

    /** The sill's own rake, from two readings with the car turned round; worth keeping with the car. */
    public static Optional<Angle> sillRake(Situation situation) {
        return situation
                .newest(SillsRead.class)
                .map(Stamped::value)
                .map(sills -> half(sills.first().plus(sills.turned())));
    }

    private static Optional<Stamped<Angle>> byAngle(Situation situation) {
        Optional<Stamped<Angle>> bySills = situation
                .newest(SillsRead.class)
                .map(read ->
                        read.with(half(read.value().first().minus(read.value().turned()))));
        Optional<Stamped<Angle>> onGround = situation
                .newest(GroundMeasured.class)
                .map(read -> read.with(read.value().pitch()));
        return onGround.filter(ground -> ground.isAfter(bySills)).or(() -> bySills);
    }

    private static Angle half(Angle angle) {
        return Angle.ofDegrees(angle.degrees() / 2);
    }
}
