package app.layette.web.due;

import app.layette.core.fitting.DatedEvent;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.web.fitting.FittingChanged;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes what comes due with each entry, in its transaction: a new weight re-plans it all. */
@Component
class DueProjection {
    private final DueItems items;

    DueProjection(DueItems items) {
        this.items = items;
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onChange(FittingChanged changed) {
        items.replace(changed.fitting(), changed.point(), due(changed));
    }

    /** Nothing comes due for a seat that was never fitted. */
    private static List<DueItems.Item> due(FittingChanged changed) {
        FittingPlan plan = changed.plan();
        boolean nothing = plan.state() == FittingState.NOT_FITTED || plan.state() == FittingState.TAUGHT;
        return plan.dates().stream()
                .filter(event -> !nothing)
                .map(event -> item(changed, event))
                .distinct()
                .toList();
    }

    private static DueItems.Item item(FittingChanged changed, DatedEvent event) {
        return new DueItems.Item(
                changed.fitting(),
                "",
                "",
                event.key(),
                event.earliest().orElse(event.on()),
                event.on(),
                event.latest().orElse(event.earliest().isPresent() ? null : event.on()));
    }
}
