package app.layette.core.suit;

import static app.layette.core.finding.RuleCode.SUIT_3;

import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Shell;
import java.util.Optional;

/**
 * SUIT-3: room above the head along the shell back: what the manual asks; where it was read and is silent, what the
 * profile asks. Answered by tape (crown against the shell's head end) or by eye in bands of 25 mm; the later look counts.
 */
public final class HeadRoom implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.HEAD_ROOM;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<Length>> room = room(situation);
        if (room.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open("HEAD_ROOM");
        }
        Evidence<Length> manual = situation.seat().get().shell().headRoom();
        if (!manual.isLooked()) {
            return Verdict.judged(Finding.of(SUIT_3, Weight.NOT_KNOWN, "manualNotLooked")
                            .changedBy("SEAT_MANUAL"))
                    .restingOn(room.get());
        }
        Length asked = asked(situation).orElseThrow();
        boolean enough = !room.get().value().isLessThan(asked);
        return Verdict.judged(Finding.of(SUIT_3, enough ? Weight.HOLDS : Weight.STOP, enough ? "enough" : "tooLittle")
                        .with("room", room.get().value())
                        .with("asked", asked)
                        .from(manual)
                        .changedBy("OTHER_SEAT"))
                .restingOn(room.get());
    }

    /** What is asked here: the manual's figure, or the profile's where the manual was read and is silent. */
    public static Optional<Length> asked(Situation situation) {
        Evidence<Length> manual =
                situation.seat().map(seat -> seat.shell().headRoom()).orElse(Evidence.notLooked());
        return manual.value()
                .or(() -> manual.isSilent()
                        ? Optional.of(situation.practice().profile().headRoom())
                        : Optional.empty());
    }

    /** The room there is at least: measured, or the lower end of the band seen. */
    private static Optional<Stamped<Length>> room(Situation situation) {
        Optional<Stamped<Length>> byTape = situation
                .crown()
                .flatMap(crown -> situation
                        .seat()
                        .map(seat -> seat.shell())
                        .map(Shell::top)
                        .flatMap(Evidence::value)
                        .map(top ->
                                crown.with(top.isLessThan(crown.value()) ? Length.ZERO : top.minus(crown.value()))));
        Optional<Stamped<Length>> byEye =
                situation.answer(Question.HEAD_ROOM).map(answer -> answer.with(leastOf(answer.value())));
        return byTape.filter(tape -> tape.isAfter(byEye)).or(() -> byEye);
    }

    private static Length leastOf(String answer) {
        return switch (answer) {
            case "AT_LEAST_50" -> Length.ofMillimetres(50);
            case "AT_LEAST_25" -> Length.ofMillimetres(25);
            default -> Length.ZERO;
        };
    }
}
