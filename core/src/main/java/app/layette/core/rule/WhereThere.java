package app.layette.core.rule;

import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
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
 * @param <T> what the sheet says of it
 * @param <A> the answers to the look
 */
public abstract class WhereThere<T, A extends Enum<A>> extends RuleByEye<A> {
    /** The whole keys of what is said where nobody has looked, where there is none, and where it is in order. */
    public record Says(String notKnown, String none, String inOrder) {}

    private final Says says;
    private final SheetValue value;
    private final Function<SeatSheet, Evidence<T>> has;
    private final Predicate<T> isThere;

    /**
     * Such a rule.
     *
     * @param says the whole keys of what it can come to
     * @param value what a page tells where no sheet does
     * @param has where the sheet says whether there is one
     * @param isThere whether that value means one
     */
    protected WhereThere(
            RuleCard card,
            Class<A> answers,
            Says says,
            SheetValue value,
            Function<SeatSheet, Evidence<T>> has,
            Predicate<T> isThere) {
        super(card, answers);
        this.says = says;
        this.value = value;
        this.has = has;
        this.isThere = isThere;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.SHEET);
        }
        Evidence<T> said = has.apply(situation.seat().get());
        if (said.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, says.notKnown())
                    .lacks(value)
                    .from(said)
                    .changedBy("SEAT_MANUAL"));
        }
        if (!isThere.test(said.value().get())) {
            return Verdict.judged(Finding.of(Weight.HOLDS, says.none()).from(said));
        }
        return byEye().judge(situation);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<A> answer) {
        return Verdict.judged(Finding.of(Weight.HOLDS, says.inOrder())
                .from(situation.seat().map(has).orElse(Evidence.notLooked()))
                .changedBy(question().name()));
    }

    @Override
    public boolean isAsked(Situation situation) {
        return hasOne(situation);
    }

    /** Whether the restraint has one, as far as is known. */
    protected final boolean hasOne(PlaceNow situation) {
        return situation
                .seat()
                .flatMap(seat -> has.apply(seat).value())
                .filter(isThere)
                .isPresent();
    }
}
