package app.layette.core.ride;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.QuickSeat;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Speaker;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.gate.ConclusionState;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.core.vehicle.VehicleSheetParts;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a ride without the base is planned from.
 *
 * @param practice where and how
 * @param seat the carrier's sheet
 * @param weight of the child, as known now
 * @param shown the routings that the seat manual at hand shows; empty when nobody has looked
 * @param withoutBase what a page of that manual says of the carrier without its base: that it shows a routing does not say
 *     so; empty when nobody has looked
 * @param earlier the latest fitting of the same child, planned as of today: its orders and conditions are in force
 * @param car the car of the ride and the place in it; empty while it is not known
 * @param today the day
 */
public record Ride(
        Practice practice,
        SeatSheet seat,
        Mass weight,
        Optional<Set<Routing>> shown,
        Optional<Fact.PageSays> withoutBase,
        Optional<FittingPlan> earlier,
        Optional<Car> car,
        LocalDate today) {
    private static final String PAGE = "at hand";
    private static final PositionId ANY_PLACE = new PositionId(2, Side.RIGHT);

    /** The car of a ride. */
    public record Car(VehicleSheet sheet, PositionId place) {}

    /** A ride of a family that nobody knows, in a car that nobody has seen. */
    public static Ride of(
            Practice practice, SeatSheet seat, Mass weight, Optional<Set<Routing>> shown, LocalDate today) {
        return new Ride(practice, seat, weight, shown, Optional.empty(), Optional.empty(), Optional.empty(), today);
    }

    /** The same for a family whose latest fitting is known. */
    public Ride after(FittingPlan fitting) {
        return new Ride(practice, seat, weight, shown, withoutBase, Optional.of(fitting), car, today);
    }

    /** The same where a page was read on the carrier without its base. */
    public Ride reading(Fact.PageSays says) {
        return new Ride(practice, seat, weight, shown, Optional.of(says), earlier, car, today);
    }

    /** The same in a car that is known. */
    public Ride in(Car known) {
        return new Ride(practice, seat, weight, shown, withoutBase, earlier, Optional.of(known), today);
    }

    PositionId place() {
        return car.map(Car::place).orElse(ANY_PLACE);
    }

    private boolean isSameSeat() {
        return earlier.map(plan -> plan.situation().unit().sheet())
                .filter(SheetId.of(seat.sheet())::equals)
                .isPresent();
    }

    /** What the earlier fitting of the same child in this very seat found wrong. */
    List<ConclusionState> foundWrong() {
        return earlier.filter(plan -> isSameSeat())
                .flatMap(EarlierClearing::in)
                .map(EarlierClearing::failed)
                .orElse(List.of());
    }

    /** The child in this carrier with its weight as of now, in this car or in none. */
    Situation situation() {
        Situation known = earlier.map(this::ofFamily).orElseGet(this::ofNobody);
        Situation there = known.asIfIn(car.map(Car::sheet).orElseGet(Ride::nowhere));
        if (shown.isPresent()) {
            for (Routing routing : Routing.values()) {
                Fact.PageSays says = shown.get().contains(routing) ? Fact.PageSays.ALLOWED : Fact.PageSays.NOT_ALLOWED;
                there = there.asIfRead(PAGE, page(there, routing.permission(), says));
            }
        }
        if (withoutBase.isPresent()) {
            there = there.asIfRead(PAGE, page(there, PermissionKey.CARRIER_WITHOUT_BASE, withoutBase.get()));
        }
        return there.asIf(new Fact.Weighed(there.unit().rider(), weight));
    }

    private static Fact page(Situation there, PermissionKey key, Fact.PageSays says) {
        return new Fact.PermissionRead(there.unit().id(), key, Speaker.SEAT, says);
    }

    private Situation ofFamily(FittingPlan plan) {
        return isSameSeat() ? plan.situation() : plan.situation().asIfInSeat(seat, List.of());
    }

    private Situation ofNobody() {
        FittingRecord nothing = new FittingRecord(
                List.of(RiderId.FIRST), List.of(FittingRecord.Unit.first(QuickSeat.SHEET)), List.of());
        return Situation.of(practice, new Sheets(List.of(seat), List.of()), nothing, today)
                .asIfInSeat(seat, List.of());
    }

    /** A car of which nothing is known, not even its places. */
    private static VehicleSheet nowhere() {
        return VehicleSheetParts.builder()
                .sheet(new SheetVersion("no-car", 1))
                .status(SheetStatus.CONFIRMED)
                .maker("")
                .name("")
                .positions(List.of())
                .build();
    }
}
