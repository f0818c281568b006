package app.layette.core.rule;

import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.seat.SeatSheet;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * A rule about something that not every restraint has: where the sheet says that there is none it holds, where it says
 * that there is one a look decides, and where nobody has read the sheet nothing is known.
 *
 * @param conclusion what it concludes
 * @param question what is looked at
 * @param has where the sheet says whether there is one
 * @param isThere whether that value means one
 * @param value what a page tells where no sheet does
 * @param name start of the reasons: {@code …NotKnown}, {@code …None}, {@code …InOrder}
 */
public record WhereThere<T>(
        Conclusion conclusion,
        Question question,
        Function<SeatSheet, Evidence<T>> has,
        Predicate<T> isThere,
        String name,
        SheetValue value)
        implements Rule {

    @Override
    public Verdict judge(Situation situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.open("SHEET");
        }
        Evidence<T> said = has.apply(situation.seat().get());
        if (said.value().isEmpty()) {
            return Verdict.judged(Finding.of(conclusion.code(), Weight.NOT_KNOWN, name + "NotKnown")
                    .lacks(value)
                    .from(said)
                    .changedBy("SEAT_MANUAL"));
        }
        if (!isThere.test(said.value().get())) {
            return Verdict.judged(
                    Finding.of(conclusion.code(), Weight.HOLDS, name + "None").from(said));
        }
        return new AnsweredByEye(
                        conclusion,
                        question,
                        (here, answer) -> Verdict.judged(Finding.of(conclusion.code(), Weight.HOLDS, name + "InOrder")
                                .from(said)
                                .changedBy(question.name())))
                .judge(situation);
    }

    /** Whether the restraint has one, as far as is known. */
    public boolean isThereIn(Situation situation) {
        return situation
                .seat()
                .flatMap(seat -> has.apply(seat).value())
                .filter(isThere)
                .isPresent();
    }
}
