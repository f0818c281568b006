package app.layette.benchmarks.gate;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import java.util.Set;

/** Whether the manuals let something be, written down a second time: who has to say so, and what silence means. */
final class PlainPermissions {
    private static final Set<PermissionKey> BOTH = Set.of(
            PermissionKey.BORROWED_INNER_ANCHORS,
            PermissionKey.INFLATABLE_BELT,
            PermissionKey.UNUSUAL_VEHICLE_SEAT,
            PermissionKey.FRONT_ROW,
            PermissionKey.TOUCHING_FRONT_SEAT);
    private static final Set<PermissionKey> CAR_ALONE = Set.of(PermissionKey.LEG_OVER_STORAGE);
    private static final Set<PermissionKey> SILENCE_LEAVES_OPEN = Set.of(
            PermissionKey.OVERHANG,
            PermissionKey.LOAD_LEG_OMITTED,
            PermissionKey.BASE_LIFTED_BY_LEG,
            PermissionKey.LAY_FLAT_POSITION);

    private final SeatSheet seat;
    private final VehicleSheet car;
    private final Permission school;

    PlainPermissions(SeatSheet seat, VehicleSheet car, Permission school) {
        this.seat = seat;
        this.car = car;
        this.school = school;
    }

    /** True where everybody who has a say allows it. */
    boolean allow(PermissionKey key) {
        return answer(key) == Permission.ALLOWED;
    }

    Permission answer(PermissionKey key) {
        if (CAR_ALONE.contains(key)) {
            return read(key, car.says(key));
        }
        Permission bySeat = read(key, seat.says(key));
        if (!BOTH.contains(key)) {
            return bySeat;
        }
        Permission byCar = read(key, car.says(key));
        if (bySeat == Permission.NOT_ALLOWED || byCar == Permission.NOT_ALLOWED) {
            return Permission.NOT_ALLOWED;
        }
        return bySeat == Permission.ALLOWED && byCar == Permission.ALLOWED ? Permission.ALLOWED : Permission.NOT_KNOWN;
    }

    private Permission read(PermissionKey key, Evidence<Said> says) {
        if (says.value().isPresent()) {
            return says.value().get() == Said.ALLOWED ? Permission.ALLOWED : Permission.NOT_ALLOWED;
        }
        if (!says.isLooked() || SILENCE_LEAVES_OPEN.contains(key)) {
            return Permission.NOT_KNOWN;
        }
        if (key == PermissionKey.FEET_PAST_END) {
            return Permission.ALLOWED;
        }
        boolean ofSchool = key == PermissionKey.ROLLS_BESIDE_CHILD || key == PermissionKey.CROTCH_CLOTH;
        return ofSchool ? school : Permission.NOT_ALLOWED;
    }

    /** What the car's sheet says on the whole about something that it says place by place as well. */
    boolean doesNotTakeBack(PermissionKey key) {
        Evidence<Said> says = car.says(key);
        return !says.isLooked()
                || says.value().filter(each -> each == Said.ALLOWED).isPresent();
    }
}
