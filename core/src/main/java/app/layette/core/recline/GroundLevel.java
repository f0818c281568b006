package app.layette.core.recline;

import static app.layette.core.finding.RuleCode.REC_3;

import app.layette.core.entry.Fact.GroundMeasured;
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

/**
 * REC-3: gravity indicators tell the truth only on level ground. Up to 1° along the car is fine, up to 3° provisional
 * (which does not pass), beyond that there is no final reading. By eye or by angle; the later look counts.
 */
public final class GroundLevel implements Rule {
    private static final double FINE_DEGREES = 1;
    private static final double PROVISIONAL_DEGREES = 3;

    @Override
    public Conclusion conclusion() {
        return Conclusion.LEVEL_GROUND;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<GroundMeasured>> byAngle = situation.newest(GroundMeasured.class);
        Optional<Stamped<String>> byEye = situation.answer(Question.GROUND);
        boolean angleIsLater = byAngle.isPresent()
                && (byEye.isEmpty() || byAngle.get().seq() > byEye.get().seq());
        return angleIsLater
                ? Verdict.judged(judge(byAngle.get().value().pitch())).restingOn(byAngle.get())
                : new AnsweredByEye(Conclusion.LEVEL_GROUND, Question.GROUND).judge(situation);
    }

    private static Finding.Builder judge(Angle pitch) {
        double degrees = pitch.absolute().degrees();
        boolean fine = degrees <= FINE_DEGREES;
        String reason = fine ? "levelByAngle" : degrees <= PROVISIONAL_DEGREES ? "provisional" : "refused";
        return Finding.of(REC_3, fine ? Weight.HOLDS : Weight.FIX, reason)
                .with("pitch", pitch)
                .changedBy("LEVEL_GROUND");
    }

    /** The slope of the ground as measured; level when it was only judged by eye. */
    public static Angle pitch(Situation situation) {
        return situation
                .newest(GroundMeasured.class)
                .map(measured -> measured.value().pitch())
                .orElse(Angle.ZERO);
    }
}
