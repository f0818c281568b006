package app.layette.core.entry;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Source;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.util.List;

/** A car without a sheet, made from what was seen at it. What the technician was unsure of stays not looked at. */
final class QuickCar {
    private QuickCar() {}

    static VehicleSheet sheet(Stamped<Fact.QuickCarSeen> seen) {
        Fact.QuickCarSeen car = seen.value();
        Source source = Source.seen(seen.on());
        SeatingPosition position = new SeatingPosition(
                car.position(),
                asSeen(car.facing(), source),
                asSeen(car.airbag(), source),
                asSeen(car.anchors(), source),
                Belt.seen(
                        Evidence.notLooked(),
                        asSeen(car.retractor(), source),
                        asSeen(car.latchPlate(), source),
                        asSeen(car.belt() == null ? null : car.belt() == Fact.BeltSort.INFLATABLE, source)),
                null,
                null,
                asSeen(car.floor(), source),
                null,
                null,
                null,
                null,
                null,
                null,
                null);
        return new VehicleSheet(
                new SheetVersion("quick-car", 1),
                SheetStatus.CONFIRMED,
                "",
                car.name(),
                null,
                null,
                null,
                List.of(position),
                null,
                null,
                null,
                null);
    }

    private static <T> Evidence<T> asSeen(T value, Source source) {
        return value == null ? Evidence.notLooked() : Evidence.stated(value, source);
    }
}
