package app.layette.core.suit;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.growth.ChildHeights;
import app.layette.core.growth.Share;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * SUIT-3: room above the head along the shell back: what the manual asks; where it was read and is silent, what the
 * profile asks. Answered by tape (crown against the shell's head end) or by eye in bands of 25 mm; the later look counts.
 */
@AutoService(Asking.class)
public final class HeadRoom implements Rule.OfRestraint {
    /** What {@link Question#HEAD_ROOM} is answered with. */
    public enum Answer {
        AT_LEAST_50,
        AT_LEAST_25,
        LESS
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.HEAD_ROOM, RuleCode.SUIT_3)
            .requiredOf(Method::isThroughSlots)
            .clearedEarlier()
            .reopenedBy(Change.INSERT, Change.COVER, Change.MEASURES_RENEWED, Change.OTHER_SEAT)
            .asks(Asked.about(Question.HEAD_ROOM, Answer.class)
                    .ofShell()
                    .leftToRule(Answer.AT_LEAST_50, Answer.AT_LEAST_25, Answer.LESS))
            .decidedBy(SheetValue.HEAD_ROOM)
            .decidedBy(Fact.Quantity.HEAD_ROOM)
            .at(StepKey.SHOULDER, 200);

    private static final Length AN_INCH = Length.ofMillimetres(25);
    private static final Length TWO_INCHES = Length.ofMillimetres(50);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(looks.looked(Kind.HEAD_ROOM, conclusion()));
    }

    /** How much room there is above the head: at least this much, and less than that where a look tells. */
    private record Room(Length atLeast, Optional<Length> lessThan, Stamped<?> look, boolean byEye) {}

    @Override
    public Verdict judge(RestraintNow situation) {
        Optional<Room> room = room(situation);
        if (room.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.HEAD_ROOM);
        }
        Evidence<Length> manual = situation.headRoomAsked();
        if (!manual.isLooked()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-3.manualNotLooked")
                            .lacks(SheetValue.HEAD_ROOM)
                            .changedBy("SEAT_MANUAL"))
                    .restingOn(room.get().look());
        }
        Length asked = asked(situation).orElseThrow();
        return Verdict.judged(judge(room.get(), asked, situation).from(manual))
                .restingOn(room.get().look());
    }

    private static Finding.Builder judge(Room room, Length asked, RestraintNow situation) {
        if (room.atLeast().isLessThan(asked)) {
            boolean decided = !room.byEye()
                    || room.lessThan().filter(less -> !less.isMoreThan(asked)).isPresent();
            return decided
                    ? Finding.of(Weight.STOP, "finding.SUIT-3.tooLittle")
                            .with("room", room.atLeast())
                            .with("asked", asked)
                            .changedBy("OTHER_SEAT")
                    // A hand's breadth says too little where something between is asked.
                    : Verdict.again("finding.SUIT-3.measureIt")
                            .with("asked", asked)
                            .changedBy("MEASURE");
        }
        Optional<LocalDate> on = room.look().freshOn(situation.today());
        if (on.isEmpty() || mayHaveGrown(room, asked, on.get(), situation)) {
            return Verdict.again(on.isEmpty() ? "finding.SUIT-3.timeInDoubt" : "finding.SUIT-3.mayHaveGrown")
                    .with("looked", room.look().on())
                    .changedBy("MEASURE");
        }
        return Finding.of(Weight.HOLDS, "finding.SUIT-3.enough")
                .with("room", room.atLeast())
                .with("asked", asked)
                .changedBy("OTHER_SEAT");
    }

    /** Where neither shell nor length is known, a look of another day says nothing of today. */
    private static boolean mayHaveGrown(Room room, Length asked, LocalDate on, RestraintNow situation) {
        if (!on.isBefore(situation.today())) {
            return false;
        }
        Optional<Length> top =
                situation.seat().flatMap(seat -> seat.shell().top().value());
        Optional<ChildHeights> heights = ChildHeights.of(situation);
        if (top.isEmpty() || heights.isEmpty()) {
            return true;
        }
        Length crown = top.get().minus(room.atLeast());
        if (room.byEye()) {
            Length likely = heights.get().usual(Share.USUAL_CROWN, on);
            Length low = room.lessThan().map(top.get()::minus).orElse(Length.ZERO);
            crown = likely.isLessThan(low) ? low : likely.isMoreThan(crown) ? crown : likely;
        }
        return heights.get()
                .today(crown, on, Dimension.CROWN)
                .map(today -> top.get().minus(today.most()).isLessThan(asked))
                .orElse(true);
    }

    /** What is asked here: the manual's figure, or the profile's where the manual was read and is silent. */
    public static Optional<Length> asked(RestraintNow situation) {
        Evidence<Length> manual = situation.headRoomAsked();
        return manual.value()
                .or(() -> manual.isSilent()
                        ? Optional.of(situation.practice().profile().headRoom())
                        : Optional.empty());
    }

    private static Optional<Room> room(RestraintNow situation) {
        Optional<Room> byEye = situation
                .answer(Question.HEAD_ROOM)
                .filter(answer -> Question.HEAD_ROOM.isPassedBy(answer.how()))
                .map(HeadRoom::seen);
        Optional<Stamped<Length>> crown = situation.crown();
        Optional<Length> top =
                situation.seat().flatMap(seat -> seat.shell().top().value());
        if (crown.isPresent() && top.isEmpty()) {
            // A later tape that nobody can reckon with must not bring an earlier look back.
            return byEye.filter(eye -> eye.look().seq() > crown.get().seq());
        }
        Optional<Room> byTape = crown.map(height -> new Room(
                top.get().isLessThan(height.value()) ? Length.ZERO : top.get().minus(height.value()),
                Optional.empty(),
                height,
                false));
        return byTape.filter(tape -> byEye.isEmpty()
                        || tape.look().seq() > byEye.get().look().seq())
                .or(() -> byEye);
    }

    /** The answer by eye that is enough for what is asked; empty where only a tape tells. */
    public static Optional<Answer> enoughByEye(Length asked) {
        if (asked.isMoreThan(TWO_INCHES)) {
            return Optional.empty();
        }
        return Optional.of(asked.isMoreThan(AN_INCH) ? Answer.AT_LEAST_50 : Answer.AT_LEAST_25);
    }

    private static Room seen(Stamped<String> answer) {
        // What nobody can read is no room.
        return switch (Answers.as(Answer.class, answer.value()).orElse(Answer.LESS)) {
            case AT_LEAST_50 -> new Room(TWO_INCHES, Optional.empty(), answer, true);
            case AT_LEAST_25 -> new Room(AN_INCH, Optional.of(TWO_INCHES), answer, true);
            case LESS -> new Room(Length.ZERO, Optional.of(AN_INCH), answer, true);
        };
    }
}
