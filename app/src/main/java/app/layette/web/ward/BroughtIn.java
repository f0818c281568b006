package app.layette.web.ward;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.RiderId;
import app.layette.core.evidence.SheetVersion;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.fhir.Newborn;
import app.layette.formats.fhir.NewbornBundle;
import app.layette.formats.text.Sha256;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.FamilyErased;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Newborns that a ward described. A ward's measures are told, not seen: they suit a restraint to the child, and are asked
 * again like every told measure.
 */
@Service
public class BroughtIn {
    private static final int MOST_WAITING = 100;

    private final JdbcClient jdbc;
    private final Beginnings beginnings;
    private final Viewing viewing;

    BroughtIn(JdbcClient jdbc, Beginnings beginnings, Viewing viewing) {
        this.jdbc = jdbc;
        this.beginnings = beginnings;
        this.viewing = viewing;
    }

    /**
     * One that waits for a fitting to be begun with it.
     *
     * @param newborn empty where its document is refused by what is known today, which may be more than when it came
     */
    public record Waiting(UUID id, String given, String source, Instant at, Optional<Newborn> newborn) {}

    /** What was kept: the same document twice is one. */
    public record Kept(UUID id, boolean isNew) {}

    /**
     * Takes in what a ward sent.
     *
     * @param source whence it came, in words
     * @param by who or which program brought it
     * @throws RefusedDocumentException with everything that is wrong
     */
    @Transactional
    public Kept take(UUID pointId, String json, String source, String by) {
        Point point = viewing.point(pointId);
        Newborn newborn = NewbornBundle.read(json, viewing.today(point));
        String sha = Sha256.of(json);
        UUID id = UUID.randomUUID();
        int added = jdbc.sql("insert into brought_in (point_id, id, source, brought_by, at, given, sha256, document)"
                        + " values (:point, :id, :source, :by, :at, :given, :sha, :document)"
                        + " on conflict (point_id, sha256) do nothing")
                .param("point", pointId)
                .param("id", id)
                .param("source", source)
                .param("by", by)
                .param("at", Timestamp.from(viewing.clock().instant()))
                .param("given", newborn.given())
                .param("sha", sha)
                .param("document", json)
                .update();
        if (added == 1) {
            return new Kept(id, true);
        }
        return new Kept(
                jdbc.sql("select id from brought_in where point_id = :point and sha256 = :sha")
                        .param("point", pointId)
                        .param("sha", sha)
                        .query(UUID.class)
                        .single(),
                false);
    }

    /** Who waits, the newest first. */
    @Transactional(readOnly = true)
    public List<Waiting> waiting(UUID pointId) {
        Point point = viewing.point(pointId);
        return jdbc.sql("select id, given, source, at, document from brought_in where point_id = :point"
                        + " and fitting_id is null order by at desc limit " + MOST_WAITING)
                .param("point", pointId)
                .query((row, number) -> new Waiting(
                        row.getObject("id", UUID.class),
                        row.getString("given"),
                        row.getString("source"),
                        row.getTimestamp("at").toInstant(),
                        newborn(row.getString("document"), viewing.today(point))))
                .list();
    }

    private static Optional<Newborn> newborn(String document, LocalDate today) {
        try {
            return Optional.of(NewbornBundle.read(document, today));
        } catch (RefusedDocumentException e) {
            return Optional.empty();
        }
    }

    /** One of them; empty where it is gone, begun, or another point's. */
    @Transactional(readOnly = true)
    public Optional<Waiting> one(UUID pointId, UUID id) {
        return waiting(pointId).stream().filter(each -> each.id().equals(id)).findFirst();
    }

    /**
     * Begins a fitting with one of them. Begun twice it is one fitting.
     *
     * @throws app.layette.web.fitting.RefusedEntryException when the reference is taken or a measure is refused
     */
    @Transactional
    public UUID begin(SignedIn user, Waiting of, String reference, String child, SheetVersion seat) {
        Newborn newborn = of.newborn().orElseThrow();
        List<EntryDraft> drafts = new ArrayList<>();
        drafts.add(EntryDraft.now(How.MEASURED, 0, new Fact.SheetAdopted(seat, Fact.Adoption.ADOPTED, null)));
        RiderId rider = RiderId.FIRST;
        drafts.add(EntryDraft.now(
                How.TOLD,
                drafts.size(),
                new Fact.ChildDescribed(
                        rider,
                        newborn.born(),
                        newborn.gestationDays().isPresent()
                                ? newborn.gestationDays().getAsInt()
                                : null,
                        newborn.sex().orElse(null),
                        newborn.birthWeight().orElse(null))));
        // As old as it is: a told weight of last week is asked for again, whenever it was brought in.
        newborn.weight()
                .ifPresent(each -> drafts.add(
                        EntryDraft.now(from(each.day()), drafts.size(), new Fact.Weighed(rider, each.value()))));
        newborn.length()
                .ifPresent(each -> drafts.add(EntryDraft.now(
                        from(each.day()),
                        drafts.size(),
                        new Fact.LengthMeasured(rider, Fact.Dimension.BODY, each.value(), null))));
        UUID fitting = beginnings.begin(
                new Beginnings.Begin(of.id(), reference, child, seat, drafts, false), user.pointId(), user.author());
        jdbc.sql("update brought_in set fitting_id = :fitting where point_id = :point and id = :id")
                .param("fitting", fitting)
                .param("point", user.pointId())
                .param("id", of.id())
                .update();
        return fitting;
    }

    private static How from(LocalDate day) {
        return new How(How.Kind.CARRIED_FROM, day.toString());
    }

    /** Throws one away that nobody comes with; false where there is none. */
    @Transactional
    public boolean drop(UUID pointId, UUID id) {
        return jdbc.sql("delete from brought_in where point_id = :point and id = :id and fitting_id is null")
                        .param("point", pointId)
                        .param("id", id)
                        .update()
                == 1;
    }

    /** What a ward wrote of a family goes with it. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onErased(FamilyErased erased) {
        if (!erased.fittings().isEmpty()) {
            jdbc.sql("delete from brought_in where point_id = :point and fitting_id in (:fittings)")
                    .param("point", erased.point())
                    .param("fittings", erased.fittings())
                    .update();
        }
    }
}
