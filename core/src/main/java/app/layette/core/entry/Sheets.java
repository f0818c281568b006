package app.layette.core.entry;

import app.layette.core.evidence.SheetVersion;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import java.util.List;
import java.util.Optional;

/** The sheets that a fitting may refer to, in every version at hand. */
public record Sheets(List<SeatSheet> seats, List<VehicleSheet> cars) {
    public Sheets {
        seats = List.copyOf(seats);
        cars = List.copyOf(cars);
    }

    Optional<SeatSheet> seat(SheetVersion wanted) {
        return seats.stream().filter(sheet -> sheet.sheet().equals(wanted)).findFirst();
    }

    Optional<VehicleSheet> car(SheetVersion wanted) {
        return cars.stream().filter(sheet -> sheet.sheet().equals(wanted)).findFirst();
    }

    boolean isCar(SheetId id) {
        return cars.stream().anyMatch(sheet -> SheetId.of(sheet.sheet()).equals(id));
    }
}
