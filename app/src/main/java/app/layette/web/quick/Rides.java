package app.layette.web.quick;

import app.layette.core.evidence.PermissionKey;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.ride.Ride;
import app.layette.core.ride.RideCard;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.svg.CarrierPicture;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Beginnings.ClearedBefore;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Plans rides for a fitting point: its practice, its law, its shelf. */
@Component
class Rides {
    private final Shelf shelf;
    private final Profiles profiles;
    private final Viewing viewing;

    /** A carrier to pick by its drawing. */
    public record Carrier(String id, String title, String picture, boolean ofBase) {}

    Rides(Shelf shelf, Profiles profiles, Viewing viewing) {
        this.shelf = shelf;
        this.profiles = profiles;
        this.viewing = viewing;
    }

    /** What may be picked: carriers that come off a base first, whatever else is on the shelf after them. */
    List<Carrier> carriers(Point point) {
        return shelf.seats(point.id()).stream()
                .flatMap(each -> shelf.newestSeat(point.id(), each.id()).stream())
                .map(seat -> new Carrier(
                        seat.sheet().id(),
                        seat.identity().fullName(),
                        CarrierPicture.of(seat),
                        seat.kind() == SeatKind.REAR_FACING_ONLY))
                .sorted(Comparator.comparing(each -> !each.ofBase()))
                .toList();
    }

    Optional<SeatSheet> seat(Point point, String id) {
        return shelf.newestSeat(point.id(), id);
    }

    RideCard card(Point point, SeatSheet seat, Mass weight, Answers answers, Optional<ClearedBefore> before) {
        Practice practice = new Practice(profiles.current(point), point.lawCountry(), point.zone());
        Ride ride = Ride.of(practice, seat.asReliedOn(), weight, answers.shown(), viewing.today(point));
        Ride read = answers.withoutBase().map(ride::reading).orElse(ride);
        return RideCard.plan(before.map(each -> read.after(each.plan())).orElse(read));
    }

    /** Whether the sheet leaves open if the carrier may ride without its base: then it is asked. */
    static boolean isSilentOnBase(SeatSheet sheet) {
        return sheet.asReliedOn()
                .says(PermissionKey.CARRIER_WITHOUT_BASE)
                .value()
                .isEmpty();
    }
}
