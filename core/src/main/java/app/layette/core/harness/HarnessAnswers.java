package app.layette.core.harness;

import static app.layette.core.finding.RuleCode.HAR_10;
import static app.layette.core.finding.RuleCode.HAR_7;
import static app.layette.core.finding.RuleCode.HAR_8;
import static app.layette.core.finding.RuleCode.HAR_9;
import static app.layette.core.finding.RuleCode.SUIT_5;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile.SnugTest;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.rule.WhereThere;
import app.layette.core.seat.Harness;
import app.layette.core.seat.SeatSheet;
import java.util.List;
import java.util.Optional;

/** The harness rules that an answer by eye decides: HAR-4, SUIT-5, HAR-7 to HAR-10. */
public final class HarnessAnswers {
    /** HAR-11: covers on the straps as the sheet says, clear of the clip, off the neck. */
    public static final WhereThere<Harness.Covers> COVERS = new WhereThere<>(
            Conclusion.COVERS,
            Question.COVERS,
            seat -> seat.harness().covers(),
            covers -> covers != Harness.Covers.NONE,
            "covers",
            SheetValue.COVERS);

    private HarnessAnswers() {}

    public static List<Rule> rules() {
        return List.of(
                new AnsweredByEye(Conclusion.WEBBING, Question.WEBBING),
                new AnsweredByEye(Conclusion.SNUG_AT_SHORTEST, Question.SNUG_SHORTEST, HarnessAnswers::snugAtShortest),
                new Clothing(),
                COVERS,
                new AnsweredByEye(Conclusion.SUPPORT, Question.SUPPORT, HarnessAnswers::rolls),
                new Snug(),
                new Clip());
    }

    /** SUIT-5: what is seen at the shortest setting; a manual that says from which weight it is snug wins. */
    private static Verdict.Judged snugAtShortest(Situation situation, Stamped<String> answer) {
        Evidence<Mass> from = situation
                .seat()
                .map(SeatSheet::harness)
                .map(Harness::shortestSnugFrom)
                .orElse(Evidence.notLooked());
        Optional<Mass> weight = situation.weight().map(Stamped::value);
        boolean tooLight = from.value().isPresent()
                && weight.filter(each -> each.isLessThan(from.value().get())).isPresent();
        Finding.Builder finding = tooLight
                // What is felt here decides; the figure only says to feel it twice.
                ? Finding.of(SUIT_5, Weight.ADVISE, "tooLightForShortest")
                        .with("from", from.value().get())
                        .with("weight", weight.get())
                : Finding.of(SUIT_5, Weight.HOLDS, "snug");
        return Verdict.judged(finding.from(from).changedBy("OTHER_SEAT"));
    }

    /**
     * HAR-10: rolls beside the child, or a cloth at the crotch, by the seat manual; where it was read and is silent, by the
     * profile's school.
     */
    private static Verdict.Judged rolls(Situation situation, Stamped<String> answer) {
        boolean cloth = answer.value().equals("CROTCH_CLOTH");
        String what = cloth ? "cloth" : "rolls";
        PermissionKey key = cloth ? PermissionKey.CROTCH_CLOTH : PermissionKey.ROLLS_BESIDE_CHILD;
        Finding.Builder finding = switch (situation.permission(key)) {
            case ALLOWED -> Finding.of(HAR_10, Weight.HOLDS, what + "Allowed");
            case NOT_ALLOWED -> Finding.of(HAR_10, Weight.FIX, what + "NotAllowed");
            case NOT_KNOWN ->
                Finding.of(HAR_10, Weight.NOT_KNOWN, what + "NotKnown").toldBy(key);
        };
        return Verdict.judged(finding.changedBy("SUPPORT"));
    }

    /** The test that counts here: the manual's own, or the profile's where the manual was read and names none. */
    public static Optional<SnugTest> snugTest(Situation situation) {
        Evidence<SnugTest> manual =
                situation.seat().map(SeatSheet::harness).map(Harness::snugTest).orElse(Evidence.notLooked());
        return manual.value()
                .or(() -> manual.isSilent()
                        ? Optional.of(situation.practice().profile().snugTest())
                        : Optional.empty());
    }

    /** HAR-7: the harness passes the snug test that counts here, and is not too tight. */
    private static final class Snug implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.SNUG_TEST;
        }

        @Override
        public Verdict judge(Situation situation) {
            if (situation.seat().isPresent() && snugTest(situation).isEmpty()) {
                return Verdict.judged(Finding.of(HAR_7, Weight.NOT_KNOWN, "testNotLooked")
                        .lacks(SheetValue.SNUG_TEST)
                        .changedBy("SEAT_MANUAL"));
            }
            return new AnsweredByEye(Conclusion.SNUG_TEST, Question.SNUG).judge(situation);
        }
    }

    /** HAR-9: nothing thick under the harness; an estimate of what a layer hides may warn besides, and passes nothing. */
    private static final class Clothing implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.CLOTHING;
        }

        @Override
        public Verdict judge(Situation situation) {
            Verdict looked = new AnsweredByEye(Conclusion.CLOTHING, Question.CLOTHING).judge(situation);
            Optional<Stamped<Fact.LayerSeen>> layer = situation.newest(Fact.LayerSeen.class);
            if (!(looked instanceof Verdict.Judged judged) || layer.isEmpty()) {
                return looked;
            }
            // A direct check that came later has the last word.
            boolean newer = layer.get().isAfter(situation.answer(Question.CLOTHING));
            ClothingSlack slack = ClothingSlack.under(layer.get().value());
            return newer && slack.shoulder().isMoreThan(Length.ZERO)
                    ? judged.andAlso(Finding.of(HAR_9, Weight.ADVISE, "mayHide")
                            .with("shoulder", slack.shoulder())
                            .with("withHips", slack.withHips())
                            .changedBy("CLOTHING")
                            .build())
                    : looked;
        }
    }

    /** HAR-8: the chest clip at armpit level; falls away where the sheet states that there is none. */
    private static final class Clip implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.CLIP;
        }

        @Override
        public Verdict judge(Situation situation) {
            Evidence<Boolean> clip =
                    situation.seat().map(SeatSheet::harness).map(Harness::clip).orElse(Evidence.notLooked());
            boolean statedNone = clip.value().map(has -> !has).orElse(false);
            return statedNone
                    ? Verdict.judged(Finding.of(HAR_8, Weight.HOLDS, "noClip").from(clip))
                    : new AnsweredByEye(Conclusion.CLIP, Question.CLIP, (here, answer) -> noneSeen(clip))
                            .judge(situation);
        }

        /** None was seen: right where the sheet does not say that there is one. */
        private static Verdict.Judged noneSeen(Evidence<Boolean> clip) {
            if (!clip.isLooked()) {
                return Verdict.judged(Finding.of(HAR_8, Weight.NOT_KNOWN, "clipNotLooked")
                        .lacks(SheetValue.CLIP)
                        .changedBy("SEAT_MANUAL"));
            }
            boolean missing = clip.value().isPresent();
            return Verdict.judged(
                    Finding.of(HAR_8, missing ? Weight.FIX : Weight.HOLDS, missing ? "clipMissing" : "noClip")
                            .from(clip)
                            .changedBy("CLIP"));
        }
    }
}
