package app.layette.core.recline;

import static app.layette.core.finding.RuleCode.REC_1;
import static app.layette.core.finding.RuleCode.REC_3;

import app.layette.core.entry.Fact.LevelRead;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import java.util.Optional;

/**
 * REC-1: with the child in, the seat's own indicator passes by its own criterion, in the band for the child's weight. A
 * computed angle never stands in for the look.
 */
public final class LevelWithChild implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.LEVEL;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<LevelRead>> level = situation.level(Stage.CHILD);
        Optional<Stamped<Mass>> weight = situation.weight();
        Optional<Stamped<String>> sides =
                situation.answer(Question.SIDES).filter(each -> each.value().equals("DIFFER"));
        if (sides.isPresent() && sides.get().isAfter(level)) {
            return Verdict.judged(Finding.of(REC_3, Weight.FIX, "sidesDiffer").changedBy("LEVEL_GROUND"))
                    .restingOn(sides.get());
        }
        if (level.isEmpty() || weight.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open("LEVEL");
        }
        Evidence<Indicator> indicator =
                situation.seat().map(SeatSheet::recline).map(Recline::indicator).orElseThrow();
        if (indicator.value().isEmpty()) {
            return Verdict.judged(Finding.of(REC_1, Weight.NOT_KNOWN, "indicatorNotKnown")
                    .from(indicator)
                    .changedBy("SEAT_MANUAL"));
        }
        if (indicator.value().get().bandFor(weight.get().value()).isEmpty()) {
            return Verdict.judged(Finding.of(REC_1, Weight.NOT_KNOWN, "noBand")
                    .with("weight", weight.get().value())
                    .from(indicator)
                    .changedBy("SEAT_MANUAL"));
        }
        if (GroundLevel.worth(situation) != GroundLevel.Worth.FINAL) {
            return onSlope(situation, level.get(), indicator.value().get());
        }
        return Verdict.judged(
                        judge(level.get().value().reading(), indicator.value().get())
                                .from(indicator)
                                .changedBy("DEVICE"))
                .restingOn(level.get());
    }

    /** On a slope the indicator does not tell the truth; what it would show on level ground is computed, and no pass. */
    private static Verdict onSlope(Situation situation, Stamped<LevelRead> level, Indicator indicator) {
        boolean refused = GroundLevel.worth(situation) == GroundLevel.Worth.REFUSED;
        Optional<Reading> onLevel = refused
                ? Optional.empty()
                : ReclineAdvice.of(situation).flatMap(ReclineAdvice::now).flatMap(ReclineAdvice.Setting::shows);
        String reason = refused ? "readingRefused" : onLevel.isPresent() ? "readingWouldBe" : "readingProvisional";
        Finding.Builder finding = Finding.of(REC_3, Weight.FIX, reason)
                .with("reading", key(indicator, level.value().reading()))
                .changedBy("LEVEL_GROUND");
        onLevel.ifPresent(reading -> finding.with("onLevel", key(indicator, reading)));
        return Verdict.judged(finding).restingOn(level);
    }

    private static Argument key(Indicator indicator, Reading reading) {
        return new Argument.OfKey("reading." + indicator.kind() + "." + reading);
    }

    private static Finding.Builder judge(Reading reading, Indicator indicator) {
        boolean passes = indicator.passes(reading);
        String failed = reading.isUpright() ? "tooUpright" : "tooReclined";
        return Finding.of(REC_1, passes ? Weight.HOLDS : Weight.FIX, passes ? "inBand" : failed)
                .with("reading", key(indicator, reading));
    }
}
