package app.layette.core.secure;

import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.seat.LockOff;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.SeatingPosition;
import java.util.List;
import java.util.Optional;

/**
 * The lock-offs that can lock the belt by the chosen method (SEC-2): those on the part of the restraint that is in the
 * car, for a part of the belt that this belt has.
 */
public final class LockOffs {
    private LockOffs() {}

    /** Empty when the sheet was not read, or does not say what one that would matter is built into. */
    public static Optional<List<LockOff>> usable(PlaceNow situation) {
        Optional<List<LockOff>> all = situation.seat().map(SeatSheet::lockOffs).flatMap(each -> each.value());
        if (all.isEmpty()) {
            return Optional.empty();
        }
        Optional<LockOff.On> needed = partInCar(situation);
        List<LockOff> forBelt =
                all.get().stream().filter(each -> takes(each, situation)).toList();
        boolean unknown = needed.isPresent() && forBelt.stream().anyMatch(each -> each.on() == null);
        List<LockOff> usable = forBelt.stream()
                .filter(each -> needed.isEmpty() || each.on() == needed.get())
                .toList();
        return unknown && usable.isEmpty() ? Optional.empty() : Optional.of(usable);
    }

    /** What of a carrier and its base the belt goes over; empty for a restraint of one piece. */
    private static Optional<LockOff.On> partInCar(PlaceNow situation) {
        boolean twoParts = situation
                .seat()
                .filter(seat -> seat.kind() == SeatKind.REAR_FACING_ONLY)
                .isPresent();
        return Optional.of(situation.usualMethod())
                .filter(method -> twoParts)
                .map(method -> method.isBaseless() ? LockOff.On.CARRIER : LockOff.On.BASE);
    }

    private static boolean takes(LockOff lockOff, PlaceNow situation) {
        boolean lapOnly = situation
                .position()
                .map(SeatingPosition::belt)
                .flatMap(belt -> belt.kind().value())
                .filter(kind -> kind == Belt.Kind.LAP_ONLY)
                .isPresent();
        return !lapOnly || lockOff.part() == LockOff.Part.LAP;
    }

    /** Whether a method has a lock-off to close. */
    public static boolean isThereIn(PlaceNow situation) {
        boolean byBelt = situation.method().filter(Method::isByBelt).isPresent();
        return byBelt && usable(situation).filter(list -> !list.isEmpty()).isPresent();
    }
}
