package app.layette.formats.wording;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.belt.Reach;
import app.layette.core.coming.Coming;
import app.layette.core.coming.DueKind;
import app.layette.core.entry.Act;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingState;
import app.layette.core.gate.ConclusionState;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.measure.UnitSystem;
import app.layette.core.misuse.AsFound;
import app.layette.core.practice.PracticeProfile.SnugTest;
import app.layette.core.recline.WayOut;
import app.layette.core.rethread.Refusal;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.run.Step;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatKind;
import app.layette.core.secure.LockTable;
import app.layette.core.stance.Stance;
import app.layette.core.step.Phase;
import app.layette.core.step.StepKey;
import app.layette.formats.Examples;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

class WordingTest {

    private final Wording words = new Wording(Locale.ENGLISH, UnitSystem.METRIC);

    @Test
    void everythingThatCanBeSaidHasItsWords() {
        List<String> keys = new ArrayList<>();
        Conclusion.values().forEach(each -> keys.add("conclusion." + each));
        all(keys, "open", Missing.Entry.values());
        all(keys, "step", StepKey.values());
        all(keys, "phase", Phase.values());
        all(keys, "weight", Weight.values());
        all(keys, "state", FittingState.values());
        all(keys, "stepState", Step.State.values());
        all(keys, "gateState", ConclusionState.State.values());
        all(keys, "act", Act.values());
        all(keys, "teach", TeachItem.values());
        all(keys, "handle", HandlePosition.values());
        all(keys, "order", Fact.OrderKind.values());
        all(keys, "screening", Fact.ScreeningResult.values());
        all(keys, "part", Fact.Part.values());
        all(keys, "stage", Fact.Stage.values());
        all(keys, "snug", SnugTest.values());
        Question.values().forEach(each -> keys.add("question." + each));
        for (StepKey step : StepKey.values()) {
            keys.add("step." + step + ".do");
        }
        for (Method method : Method.values()) {
            keys.add("method." + method);
            for (int step = 1; step <= 3; step++) {
                keys.add("removal." + method + "." + step);
            }
        }
        all(keys, "date", DueKind.values());
        all(keys, "drawing.timeline", Coming.What.values());
        all(keys, "rethread", Fact.WebbingMove.values());
        for (Refusal refusal : Refusal.values()) {
            keys.add("refused.RETHREAD_" + refusal);
        }
        all(keys, "garment", Fact.Garment.values());
        all(keys, "misuse", Misuse.values());
        all(keys, "drawing.asFound", Area.values());
        all(keys, "drawing.asFound.tap", Area.values());
        all(keys, "found", AsFound.Now.values());
        all(keys, "how", How.Kind.values());
        all(keys, "seatKind", SeatKind.values());
        all(keys, "choice", Permission.values());
        all(keys, "worksheet.INSERT", InsertPiece.Use.values());
        all(keys, "worksheet.SNUG", SnugTest.values());
        all(keys, "state", FittingState.values());
        all(keys, "reach", Reach.Way.values());
        all(keys, "why.reach", Reach.Answer.values());
        all(keys, "drawing.belt.reach", Reach.Answer.values());
        all(keys, "drawing.cabin.reach", Reach.Answer.values());
        all(keys, "pull", Stance.Pull.values());
        all(keys, "lock", LockTable.Lock.values());
        all(keys, "device.title", Recline.DeviceKind.values());
        all(keys, "advice.way", WayOut.Kind.values());
        for (Question question : Question.values()) {
            keys.add("change." + question);
            keys.add("open." + question);
            Answers.to(question).forEach(answer -> keys.add("answer." + question + "." + answer));
        }
        for (Indicator.Kind kind : Indicator.Kind.values()) {
            all(keys, "reading." + kind, Indicator.Reading.values());
        }
        assertThat(keys).filteredOn(key -> !words.knows(key)).isEmpty();
    }

    private static void all(List<String> keys, String prefix, Enum<?>... constants) {
        for (Enum<?> constant : constants) {
            keys.add(prefix + "." + constant.name());
        }
    }

    @Test
    void everyFindingOfTheExamplesIsSaidWithoutAGap() {
        for (Path file : Examples.files("cases")) {
            String name = file.getFileName().toString().replace(".json", "");
            assertThat(Examples.plan(name).findings())
                    .allSatisfy(finding -> assertThat(words.say(finding)).doesNotContain("{", "?finding"));
        }
    }

    @Test
    void quantitiesComeInTheReadersUnits() {
        Wording customary = new Wording(Locale.ENGLISH, UnitSystem.CUSTOMARY);
        assertThat(words.say(Argument.of(Mass.ofKilograms(2.95)))).isEqualTo("2.95 kg");
        assertThat(customary.say(Argument.of(Mass.ofKilograms(2.95)))).isEqualTo("6 lb 8 oz");
        assertThat(customary.both(Length.ofCentimetres(49.5))).isEqualTo("19.5 in (49.5 cm)");
        assertThat(words.say(
                        "head.counts",
                        Map.of("unknown", Argument.of(1), "wrong", Argument.of(0), "todo", Argument.of(3))))
                .isEqualTo("1 answer unknown, 3 checks to do");
    }

    @Test
    void aKeyWithoutWordsIsSeen() {
        assertThat(words.say("nothing.of.the.kind")).isEqualTo("?nothing.of.the.kind?");
    }
}
