package app.layette.core.harness;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.practice.PracticeProfile.SnugTest;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Harness;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.Optional;

/** HAR-7: the harness passes the snug test that counts here, and is not too tight. */
@AutoService(Asking.class)
public final class HarnessSnug extends RuleByEye<HarnessSnug.Answer> {
    /** What {@link Question#SNUG} is answered with. */
    public enum Answer {
        SNUG,
        LOOSE,
        TOO_TIGHT
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("SNUG_TEST"), RuleCode.HAR_7)
            .reopenedBy(
                    Change.INSERT,
                    Change.COVER,
                    Change.SLOT,
                    Change.HARNESS_OPENED,
                    Change.CLIP_MOVED,
                    Change.OTHER_SEAT)
            .asks(Asked.about(Question.SNUG, Answer.class)
                    .ofShell()
                    .holds(Answer.SNUG, "finding.HAR-7.snug")
                    .fix(Answer.LOOSE, "finding.HAR-7.loose")
                    .fix(Answer.TOO_TIGHT, "finding.HAR-7.tooTight")
                    .byItself())
            .decidedBy(SheetValue.SNUG_TEST)
            .at(StepKey.HARNESS, 300);

    public HarnessSnug() {
        super(CARD, Answer.class);
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.seat().isPresent() && test(situation).isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.HAR-7.testNotLooked")
                    .lacks(SheetValue.SNUG_TEST)
                    .changedBy("SEAT_MANUAL"));
        }
        return super.judge(situation);
    }

    /** The test that counts here: the manual's own, or the profile's where the manual was read and names none. */
    public static Optional<SnugTest> test(PlaceNow situation) {
        Evidence<SnugTest> manual =
                situation.seat().map(SeatSheet::harness).map(Harness::snugTest).orElse(Evidence.notLooked());
        return manual.value()
                .or(() -> manual.isSilent()
                        ? Optional.of(situation.practice().profile().snugTest())
                        : Optional.empty());
    }
}
