package app.layette.core.suit;

import app.layette.core.entry.Asking;
import app.layette.core.entry.ChildNow;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.OrderKind;
import app.layette.core.entry.Fact.Ordered;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatKind;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * SUIT-7: a clinician's order on how the baby rides is enforced, never decided here. "Flat" leaves only a car bed or a
 * lay-flat carrier, "semi-reclined" rules out the car bed, "as screened" needs a passed screening in this restraint.
 */
@AutoService(Asking.class)
public final class Orders implements Rule.OfChild {
    private static final RuleCard CARD =
            RuleCard.of(Conclusion.ORDERS, RuleCode.SUIT_7).clearedEarlier().at(StepKey.CHILD, 200);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(new Ask(
                Kind.ORDER, "", looks.situation().newest(Fact.Ordered.class).isPresent()));
    }

    @Override
    public Verdict judge(ChildNow situation) {
        Optional<Ordered> order = standing(situation);
        if (order.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.ORDER);
        }
        Ordered given = order.get();
        if (given.order() == OrderKind.NONE) {
            return Verdict.judged(Finding.of(Weight.HOLDS, "finding.SUIT-7.noOrder"));
        }
        String role = given.role();
        LocalDate review = given.reviewOn();
        if (role == null || role.isBlank() || given.on() == null || review == null) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-7.orderIncomplete")
                    .with("order", Argument.key("order", given.order()))
                    .changedBy("CLINICIAN"));
        }
        if (situation.today().isAfter(review)) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-7.reviewPast")
                    .with("review", review)
                    .changedBy("CLINICIAN"));
        }
        boolean kept = isKept(given.order(), situation);
        return Verdict.judged(
                Finding.of(kept ? Weight.HOLDS : Weight.STOP, kept ? "finding.SUIT-7.kept" : "finding.SUIT-7.against")
                        .with("order", Argument.key("order", given.order()))
                        .with("role", role)
                        .changedBy("CLINICIAN"));
    }

    /**
     * The order in force; empty when nobody said. A clinician's order is ended only by a clinician's: a family that knows
     * of none does not end it, and neither does one that is known less well.
     */
    public static Optional<Ordered> standing(ChildNow situation) {
        return inForce(situation).map(Stamped::value);
    }

    /** The same, with when and how it is known. */
    public static Optional<Stamped<Ordered>> inForce(ChildNow situation) {
        Stamped<Ordered> standing = null;
        for (Stamped<Ordered> next : situation.history(Ordered.class)) {
            boolean byClinician = !isBlank(next.value().role());
            boolean held = standing != null
                    && (standing.value().order() != OrderKind.NONE
                                    && !byClinician
                                    && next.value().order() == OrderKind.NONE
                            || next.how().kind().rank() > standing.how().kind().rank()
                                    && standing.value().order() != OrderKind.NONE);
            if (!next.how().isEstimate() && !held) {
                standing = next;
            }
        }
        return Optional.ofNullable(standing);
    }

    private static boolean isBlank(@Nullable String text) {
        return text == null || text.isBlank();
    }

    private static boolean isKept(OrderKind order, ChildNow situation) {
        SeatKind kind = situation.seat().orElseThrow().kind();
        return switch (order) {
            case NONE -> true;
            case FLAT -> kind == SeatKind.CAR_BED || kind == SeatKind.LAY_FLAT;
            case SEMI_RECLINED -> kind != SeatKind.CAR_BED;
            case AS_SCREENED -> ScreeningDone.isPassedHere(situation);
        };
    }
}
