package app.layette.web.handon;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.QuickSeat;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.SheetVersion;
import app.layette.formats.document.HandedOn;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.FamilyErased;
import app.layette.web.fitting.Fittings;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Hands a case on to another fitting point, and takes one in: what was seen elsewhere is looked at again here. */
@Service
class HandOn {
    private final JdbcClient jdbc;
    private final Fittings fittings;
    private final Beginnings beginnings;
    private final Shelf shelf;
    private final Profiles profiles;
    private final Viewing viewing;

    HandOn(JdbcClient jdbc, Fittings fittings, Beginnings beginnings, Shelf shelf, Profiles profiles, Viewing viewing) {
        this.jdbc = jdbc;
        this.fittings = fittings;
        this.beginnings = beginnings;
        this.shelf = shelf;
        this.profiles = profiles;
        this.viewing = viewing;
    }

    /** What came from elsewhere with a fitting. */
    record Received(String from, String sha256, HandedOn document) {}

    /** The case as a document. */
    @Transactional(readOnly = true)
    String document(SignedIn user, UUID fitting) {
        Point point = viewing.point(user);
        Fittings.Planned planned = fittings.planned(fitting, user.pointId());
        Situation situation = planned.plan().situation();
        List<FittingRecord.Unit> units = new ArrayList<>();
        units.add(situation.unit());
        units.addAll(situation.neighbours().units());
        units.addAll(situation.neighbours().inOtherCars());
        List<String> seats = new ArrayList<>();
        List<String> cars = new ArrayList<>();
        situation.everything().stream()
                .map(entry -> entry.fact())
                .filter(Fact.SheetAdopted.class::isInstance)
                .map(Fact.SheetAdopted.class::cast)
                .filter(adopted -> adopted.adoption() == Fact.Adoption.ADOPTED)
                .map(Fact.SheetAdopted::sheet)
                .distinct()
                .forEach(version -> shelf.document(user.pointId(), version)
                        .ifPresent(json -> (Shelf.isCar(json) ? cars : seats).add(json)));
        return HandedOn.write(
                point.name(),
                planned.childName(),
                planned.reference(),
                new HandedOn.Content(
                        viewing.today(point).toString(),
                        point.zone().getId(),
                        Optional.ofNullable(point.lawCountry()),
                        profiles.document(point),
                        seats,
                        cars,
                        units,
                        fittings.documents(user.pointId(), fitting)));
    }

    /**
     * Takes a case in as a new fitting of a new family: who the child is and its measures, carried from their days; the
     * record of the other point stays beside it to be read.
     *
     * @throws RefusedDocumentException with everything that is wrong with the document or its sheets
     * @throws app.layette.web.fitting.RefusedEntryException when the reference is taken
     */
    @Transactional
    UUID take(SignedIn user, UUID id, HandedOn handed, String reference, String child) {
        Situation there = Situation.of(
                handed.read().practice(),
                handed.read().sheets(),
                handed.read().record(),
                handed.read().record().units().get(0).id(),
                handed.read().date());
        for (String sheet : handed.seatSheets()) {
            shelf.takeInAsDraft(user.pointId(), sheet, user.author());
        }
        for (String sheet : handed.vehicleSheets()) {
            shelf.takeInAsDraft(user.pointId(), sheet, user.author());
        }
        SheetId sheet = there.unit().sheet();
        SheetVersion seat = shelf.newestSeat(user.pointId(), sheet.text())
                .map(each -> each.sheet())
                .orElse(QuickSeat.VERSION);
        List<EntryDraft> drafts = new ArrayList<>();
        drafts.add(EntryDraft.now(How.MEASURED, 0, new Fact.SheetAdopted(seat, Fact.Adoption.ADOPTED, null)));
        carry(drafts, there.newest(Fact.ChildDescribed.class), HandOn::child);
        carry(drafts, there.expected(), each -> new Fact.Expected(RiderId.FIRST, each.due()));
        carry(drafts, there.newest(Fact.Weighed.class), each -> new Fact.Weighed(RiderId.FIRST, each.mass()));
        carry(
                drafts,
                there.newest(Fact.LengthMeasured.class, fact -> fact.what() == Fact.Dimension.BODY),
                each -> new Fact.LengthMeasured(RiderId.FIRST, Fact.Dimension.BODY, each.length(), null));
        UUID fitting = beginnings.begin(
                new Beginnings.Begin(id, reference, child, seat, drafts, false), user.pointId(), user.author());
        jdbc.sql(
                        "insert into received_case (fitting_id, point_id, from_point, sha256, document, received_at, received_by)"
                                + " values (:fitting, :point, :from, :sha, :document, :at, :by) on conflict do nothing")
                .param("fitting", fitting)
                .param("point", user.pointId())
                .param("from", handed.from())
                .param("sha", handed.sha256())
                .param("document", handed.document())
                .param("at", Timestamp.from(viewing.clock().instant()))
                .param("by", user.author().id())
                .update();
        return fitting;
    }

    private static Fact child(Fact.ChildDescribed there) {
        return new Fact.ChildDescribed(
                RiderId.FIRST, there.born(), there.gestationDays(), there.sex(), there.birthWeight());
    }

    private static <F extends Fact> void carry(
            List<EntryDraft> drafts, Optional<Stamped<F>> known, Function<F, Fact> here) {
        known.ifPresent(each -> drafts.add(EntryDraft.now(
                new How(How.Kind.CARRIED_FROM, each.on().toString()), drafts.size(), here.apply(each.value()))));
    }

    private record Kept(String fromPoint, String sha256, String document) {}

    /** What came with a fitting from another point; empty where it began here. */
    @Transactional(readOnly = true)
    Optional<Received> received(UUID point, UUID fitting) {
        return jdbc.sql(
                        "select from_point, sha256, document from received_case where fitting_id = :fitting and point_id = :point")
                .param("fitting", fitting)
                .param("point", point)
                .query(Kept.class)
                .optional()
                .map(row -> new Received(
                        row.fromPoint(), row.sha256(), HandedOn.kept(row.fromPoint(), row.sha256(), row.document())));
    }

    /** What another point wrote of a family goes with it. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onErased(FamilyErased erased) {
        if (!erased.fittings().isEmpty()) {
            jdbc.sql("delete from received_case where point_id = :point and fitting_id in (:fittings)")
                    .param("point", erased.point())
                    .param("fittings", erased.fittings())
                    .update();
        }
    }
}
