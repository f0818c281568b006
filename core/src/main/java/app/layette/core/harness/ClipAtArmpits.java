package app.layette.core.harness;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PapersNow;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Harness;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** HAR-8: the chest clip at armpit level; falls away where the sheet states that there is none. */
@AutoService(Asking.class)
public final class ClipAtArmpits extends RuleByEye<ClipAtArmpits.Answer> {
    /** What {@link Question#CLIP} is answered with. */
    public enum Answer {
        ARMPIT,
        LOWER,
        HIGHER,
        OPEN,
        NONE_HERE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("CLIP"), RuleCode.HAR_8)
            .reopenedBy(
                    Change.INSERT,
                    Change.COVER,
                    Change.SLOT,
                    Change.HARNESS_OPENED,
                    Change.CLIP_MOVED,
                    Change.OTHER_SEAT)
            .asks(Asked.about(Question.CLIP, Answer.class)
                    .ofShell()
                    .holds(Answer.ARMPIT, "finding.HAR-8.armpit")
                    .fix(Answer.LOWER, "finding.HAR-8.lower")
                    .fix(Answer.HIGHER, "finding.HAR-8.higher")
                    .fix(Answer.OPEN, "finding.HAR-8.open")
                    .leftToRule(Answer.NONE_HERE)
                    .shownIn(LookKey.HARNESSED, 390, Answer.ARMPIT))
            .decidedBy(SheetValue.CLIP)
            .at(StepKey.HARNESS, 400);

    public ClipAtArmpits() {
        super(CARD, Answer.class);
    }

    @Override
    public Verdict judge(PlaceNow place) {
        return mayHaveOne(place)
                ? super.judge(place)
                : Verdict.judged(
                        Finding.of(Weight.HOLDS, "finding.HAR-8.noClip").from(clip(place)));
    }

    /** None was seen: right where the sheet does not say that there is one. */
    @Override
    protected Verdict.Judged further(PlaceNow place, Stamped<Answer> answer) {
        Evidence<Boolean> clip = clip(place);
        if (!clip.isLooked()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.HAR-8.clipNotLooked")
                    .lacks(SheetValue.CLIP)
                    .changedBy("SEAT_MANUAL"));
        }
        boolean missing = clip.value().isPresent();
        return Verdict.judged(Finding.of(
                        missing ? Weight.FIX : Weight.HOLDS,
                        missing ? "finding.HAR-8.clipMissing" : "finding.HAR-8.noClip")
                .from(clip)
                .changedBy("CLIP"));
    }

    @Override
    public boolean isAsked(Situation situation) {
        return mayHaveOne(situation);
    }

    private static boolean mayHaveOne(PapersNow papers) {
        return clip(papers).value().orElse(true);
    }

    private static Evidence<Boolean> clip(PapersNow papers) {
        return papers.seat().map(SeatSheet::harness).map(Harness::clip).orElse(Evidence.notLooked());
    }
}
