package app.layette.web.record;

import app.layette.core.entry.Fact;
import app.layette.core.fitting.FittingPlanner;
import app.layette.formats.document.PlanDocument;
import app.layette.formats.record.Seal;
import app.layette.web.fitting.FittingChanged;
import app.layette.web.fitting.Fittings;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Seals a fitting when it is closed, in the transaction that closes it. */
@Component
class Sealing {
    private final SealRows seals;
    private final EntityManager entities;
    private final Fittings fittings;
    private final Clock clock;

    Sealing(SealRows seals, EntityManager entities, Fittings fittings, Clock clock) {
        this.seals = seals;
        this.entities = entities;
        this.fittings = fittings;
        this.clock = clock;
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onChange(FittingChanged changed) {
        boolean closed = changed.entry().fact() instanceof Fact.Ended
                && !changed.plan().state().isUnderWay();
        if (closed) {
            Seal seal = Seal.over(fittings.documents(changed.point(), changed.fitting()));
            // Persisted, never merged: a seal that is there cannot be replaced.
            entities.persist(new SealRow(
                    changed.point(),
                    changed.fitting(),
                    seal,
                    FittingPlanner.ENGINE_VERSION,
                    clock.instant(),
                    changed.entry().by().id(),
                    PlanDocument.of(changed.plan(), Optional.empty(), false).toString()));
        }
    }

    Optional<SealRow> of(UUID point, UUID fitting) {
        return seals.findByPointIdAndFittingId(point, fitting);
    }
}
