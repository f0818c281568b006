package app.layette.core.entry;

import app.layette.core.entry.Fact.Adoption;
import app.layette.core.entry.Fact.SheetAdopted;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The sheet versions that a fitting has taken. The first adoption of a sheet is anybody's; going to a newer version, or
 * turning one down, is a lead's.
 */
record AdoptedSheets(Optional<SeatSheet> seat, Optional<VehicleSheet> car, int carSince, List<SheetVersion> pending) {

    static AdoptedSheets of(Sheets sheets, SheetId seatSheet, List<Entry> entries) {
        Map<SheetId, Integer> adopted = new HashMap<>();
        Set<SheetVersion> declined = new HashSet<>();
        SheetId carSheet = null;
        int carSince = 0;
        for (Entry entry : entries) {
            if (!(entry.fact() instanceof SheetAdopted choice)) {
                continue;
            }
            boolean lead = entry.by().role() == Author.Role.LEAD;
            if (choice.adoption() == Adoption.DECLINED && lead) {
                declined.add(choice.sheet());
            } else if (choice.adoption() == Adoption.ADOPTED && (lead || !adopted.containsKey(choice.of()))) {
                adopted.put(choice.of(), choice.version());
            }
            // Coming back to a car that was adopted before is anybody's.
            if (choice.adoption() == Adoption.ADOPTED && sheets.isCar(choice.of())) {
                carSheet = choice.of();
                carSince = entry.seq();
            }
        }
        Optional<SeatSheet> seat = chosen(seatSheet, adopted).flatMap(sheets::seat);
        Optional<VehicleSheet> car = chosen(carSheet, adopted).flatMap(sheets::car);
        List<SheetVersion> pending = new ArrayList<>();
        seat.ifPresent(sheet -> sheets.seats().stream()
                .filter(each -> each.status() == SheetStatus.CONFIRMED)
                .map(SeatSheet::sheet)
                .filter(each -> isNewer(each, sheet.sheet()) && !declined.contains(each))
                .forEach(pending::add));
        car.ifPresent(sheet -> sheets.cars().stream()
                .filter(each -> each.status() == SheetStatus.CONFIRMED)
                .map(VehicleSheet::sheet)
                .filter(each -> isNewer(each, sheet.sheet()) && !declined.contains(each))
                .forEach(pending::add));
        return new AdoptedSheets(seat, car, carSince, List.copyOf(pending));
    }

    private static Optional<SheetVersion> chosen(@Nullable SheetId id, Map<SheetId, Integer> adopted) {
        return Optional.ofNullable(id)
                .flatMap(each ->
                        Optional.ofNullable(adopted.get(each)).map(version -> new SheetVersion(each.text(), version)));
    }

    private static boolean isNewer(SheetVersion candidate, SheetVersion inUse) {
        return candidate.id().equals(inUse.id()) && candidate.version() > inUse.version();
    }
}
