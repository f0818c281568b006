package app.layette.core.suit;

import static app.layette.core.finding.RuleCode.SUIT_7;

import app.layette.core.entry.Fact.OrderKind;
import app.layette.core.entry.Fact.Ordered;
import app.layette.core.entry.Fact.Screened;
import app.layette.core.entry.Fact.ScreeningResult;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatKind;
import java.util.Optional;

/**
 * SUIT-7: a clinician's order on how the baby rides is enforced, never decided here. "Flat" leaves only a car bed or a
 * lay-flat carrier, "semi-reclined" rules out the car bed, "as screened" needs a passed screening in this restraint.
 */
public final class Orders implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.ORDERS;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<Ordered>> order = situation.newest(Ordered.class);
        if (order.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open("ORDER");
        }
        Ordered given = order.get().value();
        if (given.order() == OrderKind.NONE) {
            return Verdict.judged(Finding.of(SUIT_7, Weight.HOLDS, "noOrder"));
        }
        if (given.reviewOn() != null && situation.today().isAfter(given.reviewOn())) {
            return Verdict.judged(Finding.of(SUIT_7, Weight.NOT_KNOWN, "reviewPast")
                    .with("review", given.reviewOn())
                    .changedBy("CLINICIAN"));
        }
        boolean kept = isKept(given.order(), situation);
        return Verdict.judged(Finding.of(SUIT_7, kept ? Weight.HOLDS : Weight.STOP, kept ? "kept" : "against")
                .with("order", Argument.key("order", given.order()))
                .with("role", given.role() == null ? "" : given.role())
                .changedBy("CLINICIAN"));
    }

    private static boolean isKept(OrderKind order, Situation situation) {
        SeatKind kind = situation.seat().orElseThrow().kind();
        return switch (order) {
            case NONE -> true;
            case FLAT -> kind == SeatKind.CAR_BED || kind == SeatKind.LAY_FLAT;
            case SEMI_RECLINED -> kind != SeatKind.CAR_BED;
            case AS_SCREENED ->
                situation
                        .newest(Screened.class)
                        .map(screened -> screened.value().result() == ScreeningResult.PASSED)
                        .orElse(false);
        };
    }
}
