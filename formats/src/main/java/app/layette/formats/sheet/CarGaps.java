package app.layette.formats.sheet;

import app.layette.core.evidence.SheetValue;
import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatSheet;
import app.layette.core.unsaid.LeftUnsaid;
import app.layette.core.unsaid.StandardChild;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.text.CamelCase;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a vehicle sheet would leave unknown, by the field that would tell it. */
public final class CarGaps {
    private CarGaps() {}

    /**
     * What came out.
     *
     * @param fittings how many were planned
     * @param gaps the field that would unblock most first
     */
    public record Gaps(int fittings, List<Gap> gaps) {
        public Gaps {
            gaps = List.copyOf(gaps);
        }
    }

    /** A field that nobody answered, and in how many fittings it would block. */
    public record Gap(CarField field, int fittings) {}

    /** Plans a car with restraints, at each of its places. */
    public static Gaps of(VehicleSheet car, List<SeatSheet> seats, Practice practice, LocalDate today) {
        LeftUnsaid.Result result =
                LeftUnsaid.ofCar(car, seats, StandardChild.all().get(1), practice, today);
        List<CarField> fields =
                CarFields.of(car.positions().stream().map(SeatingPosition::id).toList());
        Map<CarField, Integer> byField = new LinkedHashMap<>();
        for (LeftUnsaid.Gap gap : result.gaps()) {
            pointer(gap.key())
                    .ifPresent(pointer -> fields.stream()
                            .filter(each -> each.pointer().equals(pointer))
                            .findFirst()
                            .ifPresent(field -> byField.merge(field, gap.fittings(), Math::max)));
        }
        return new Gaps(
                result.fittings(),
                byField.entrySet().stream()
                        .map(each -> new Gap(each.getKey(), each.getValue()))
                        .sorted(Comparator.comparingInt(Gap::fittings).reversed())
                        .toList());
    }

    /** The field that would tell what a step asks for; empty where no vehicle sheet does. */
    static Optional<String> pointer(String key) {
        String[] parts = key.split("[:@]");
        return switch (parts[0]) {
            case "PERMISSION" -> Optional.of("/permissions/" + CamelCase.of(parts[1]));
            case "QUANTITY" -> quantity(parts[1]);
            case "HANDLE" -> Optional.empty();
            default -> value(SheetValue.valueOf(parts[0])).map(field -> "/positions/" + parts[1] + "/" + field);
        };
    }

    private static Optional<String> quantity(String quantity) {
        return switch (quantity) {
            case "GAP" -> Optional.of("/gap");
            case "ANCHOR_LIMIT" -> Optional.of("/anchorLimit");
            case "BORROWED_SPACING" -> Optional.of("/borrowedSpacing");
            default -> Optional.empty();
        };
    }

    private static Optional<String> value(SheetValue value) {
        return value.isOfPlace() ? Optional.of(value.component()) : Optional.empty();
    }
}
