package app.layette.web.handout;

import app.layette.core.measure.UnitSystem;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.FamilyErased;
import app.layette.web.fitting.Fittings;
import jakarta.persistence.EntityManager;
import java.security.SecureRandom;
import java.time.LocalDate;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The families' own pages: made on purpose, unguessable, for a year, and taken back at any time. */
@Service
public class FamilyPages {
    private static final int TOKEN_BYTES = 32;
    private static final int GOOD_FOR_MONTHS = 12;

    /** A page that may be read. */
    record Open(Fittings.Planned fitting, Point point, UnitSystem units, LocalDate expiresOn) {}

    private final FamilyPageRows rows;
    private final EntityManager entities;
    private final Fittings fittings;
    private final Viewing viewing;
    private final SecureRandom random = new SecureRandom();

    FamilyPages(FamilyPageRows rows, EntityManager entities, Fittings fittings, Viewing viewing) {
        this.rows = rows;
        this.entities = entities;
        this.fittings = fittings;
        this.viewing = viewing;
    }

    /** The page of a fitting that may be read today. */
    @Transactional(readOnly = true)
    Optional<FamilyPageRow> of(UUID point, UUID fitting) {
        LocalDate today = viewing.today(viewing.point(point));
        return rows.findByPointIdAndFittingIdOrderByMadeAtDesc(point, fitting).stream()
                .filter(page -> page.isOpenOn(today))
                .findFirst();
    }

    @Transactional
    void make(UUID point, UUID fitting, LocalDate today) {
        // Two hands at once make one after the other: of a family's pages one is open.
        entities.createNativeQuery("select id from fitting where point_id = :point and id = :id for update", UUID.class)
                .setParameter("point", point)
                .setParameter("id", fitting)
                .getSingleResult();
        revoke(point, fitting);
        byte[] token = new byte[TOKEN_BYTES];
        random.nextBytes(token);
        entities.persist(new FamilyPageRow(
                Base64.getUrlEncoder().withoutPadding().encodeToString(token),
                point,
                fitting,
                viewing.clock().instant(),
                today.plusMonths(GOOD_FOR_MONTHS)));
    }

    @Transactional
    void revoke(UUID point, UUID fitting) {
        rows.findByPointIdAndFittingIdOrderByMadeAtDesc(point, fitting)
                .forEach(page -> page.revoke(viewing.clock().instant()));
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onErased(FamilyErased erased) {
        erased.fittings().forEach(fitting -> revoke(erased.point(), fitting));
    }

    /** The fitting whose page this is, for whoever reads its code here; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<UUID> fittingOf(String token) {
        return rows.findById(token).map(FamilyPageRow::fittingId);
    }

    /** The page behind an address; empty when there is none, it has expired, or it was taken back. */
    @Transactional(readOnly = true)
    Optional<Open> open(String token) {
        return rows.findById(token).flatMap(page -> {
            UUID pointId = page.pointId();
            Point point = viewing.point(pointId);
            if (!page.isOpenOn(viewing.today(point))) {
                return Optional.empty();
            }
            Fittings.Planned fitting = fittings.planned(page.fittingId(), pointId);
            return Optional.of(new Open(
                    fitting,
                    point,
                    fitting.plan().situation().practice().profile().units(),
                    page.expiresOn()));
        });
    }
}
