package app.layette.core.harness;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** HAR-9: nothing thick under the harness; an estimate of what a layer hides may warn besides, and passes nothing. */
@AutoService(Asking.class)
public final class NothingThickUnder extends RuleByEye<NothingThickUnder.Answer> {
    /** What {@link Question#CLOTHING} is answered with. */
    public enum Answer {
        THIN,
        COAT_TESTED,
        COAT_HID_SLACK,
        SET_BEFORE_COAT,
        COAT_UNDER_STRAPS
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("CLOTHING"), RuleCode.HAR_9)
            .reopenedBy(Change.HARNESS_OPENED, Change.OTHER_SEAT)
            .asks(Asked.about(Question.CLOTHING, Answer.class)
                    .ofShell()
                    .holds(Answer.THIN, "finding.HAR-9.thin")
                    .holds(Answer.COAT_TESTED, "finding.HAR-9.coatTested")
                    .fix(Answer.COAT_HID_SLACK, "finding.HAR-9.coatHidSlack")
                    .advises(Answer.SET_BEFORE_COAT, "finding.HAR-9.setBeforeCoat")
                    .fix(Answer.COAT_UNDER_STRAPS, "finding.HAR-9.coatUnderStraps")
                    .shownIn(LookKey.HARNESSED, 380, Answer.THIN))
            .at(StepKey.HARNESS, 200);

    public NothingThickUnder() {
        super(CARD, Answer.class);
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Verdict looked = super.judge(situation);
        Optional<Stamped<Fact.LayerSeen>> layer = situation.newest(Fact.LayerSeen.class);
        if (!(looked instanceof Verdict.Judged judged) || layer.isEmpty()) {
            return looked;
        }
        // A direct check that came later has the last word.
        boolean newer = layer.get().isAfter(situation.answer(Question.CLOTHING));
        ClothingSlack slack = ClothingSlack.under(layer.get().value());
        return newer && slack.shoulder().isMoreThan(Length.ZERO)
                ? judged.andAlso(Finding.of(Weight.ADVISE, "finding.HAR-9.mayHide")
                        .with("shoulder", slack.shoulder())
                        .with("withHips", slack.withHips())
                        .changedBy("CLOTHING")
                        .build())
                : looked;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        List<Ask> asks = new ArrayList<>(super.asks(looks));
        boolean thick = looks.situation()
                .said(Question.CLOTHING, Answer.class)
                .filter(answer -> answer.value() != Answer.THIN)
                .isPresent();
        if (thick) {
            asks.add(Ask.offered(
                    Kind.LAYER,
                    "",
                    looks.situation().newest(Fact.LayerSeen.class).isPresent()));
        }
        return asks;
    }
}
