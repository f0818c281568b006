package app.layette.core.entry;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Source;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPositionParts;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.core.vehicle.VehicleSheetParts;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * A car without a sheet, made from what was seen at it, place by place. What the technician was unsure of stays not
 * looked at; so does everything that was only told.
 */
public final class QuickCar {
    /** Id of the sheet that stands in for a car without one. */
    public static final String SHEET = "quick-car";

    private QuickCar() {}

    /** The car that was looked at last; empty when none was. */
    static Optional<VehicleSheet> sheet(List<Stamped<Fact.QuickCarSeen>> seen) {
        if (seen.isEmpty()) {
            return Optional.empty();
        }
        String name = seen.get(seen.size() - 1).value().name();
        Map<PositionId, List<Stamped<Fact.QuickCarSeen>>> places = new LinkedHashMap<>();
        for (Stamped<Fact.QuickCarSeen> look : seen) {
            if (!look.value().name().equals(name)) {
                // Another car stood here before.
                places.clear();
                continue;
            }
            places.computeIfAbsent(look.value().position(), key -> new ArrayList<>())
                    .add(look);
        }
        List<SeatingPosition> positions =
                places.values().stream().map(QuickCar::position).toList();
        return Optional.of(VehicleSheetParts.builder()
                .sheet(new SheetVersion(SHEET, 1))
                .status(SheetStatus.CONFIRMED)
                .maker("")
                .name(name)
                .positions(positions)
                .build());
    }

    private static SeatingPosition position(List<Stamped<Fact.QuickCarSeen>> looks) {
        Evidence<Belt.Kind> kind = latest(looks, Fact.QuickCarSeen::beltKind);
        return SeatingPositionParts.builder()
                .id(looks.get(0).value().position())
                .facing(latest(looks, Fact.QuickCarSeen::facing))
                .airbag(latest(looks, Fact.QuickCarSeen::airbag))
                .anchors(latest(looks, Fact.QuickCarSeen::anchors))
                .belt(Belt.seen(
                        kind,
                        latest(looks, Fact.QuickCarSeen::retractor),
                        latest(looks, Fact.QuickCarSeen::latchPlate),
                        latest(looks, each -> each.belt() == null ? null : each.belt() == Fact.BeltSort.INFLATABLE)))
                .floor(latest(looks, Fact.QuickCarSeen::floor))
                .build();
    }

    /** The last look that was sure; one that was unsure takes nothing back. */
    private static <T> Evidence<T> latest(
            List<Stamped<Fact.QuickCarSeen>> looks, Function<Fact.QuickCarSeen, T> field) {
        Evidence<T> latest = Evidence.notLooked();
        for (Stamped<Fact.QuickCarSeen> look : looks) {
            T value = field.apply(look.value());
            boolean counts = look.how().isSeenHere()
                    || look.how().isReadInDocument()
                    || look.how().isCarried();
            if (value != null && counts) {
                latest = Evidence.stated(value, Source.seen(look.on()));
            }
        }
        return latest;
    }
}
