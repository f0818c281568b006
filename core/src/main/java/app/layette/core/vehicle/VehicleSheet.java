package app.layette.core.vehicle;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One version of one vehicle's sheet.
 *
 * @param sheet id and version
 * @param status draft or confirmed
 * @param maker of the vehicle
 * @param name of the model
 * @param yearFrom first model year; {@code null} when open
 * @param yearTo last model year; {@code null} when open
 * @param kerbSide the side that stops at the kerb where it drives
 * @param positions every seating position
 * @param anchorLimit limit of the lower anchors as printed in the vehicle manual (SUIT-10)
 * @param gap room asked in front of a rear-facing restraint (CAB-10)
 * @param permissions what the vehicle manual says on each permission
 * @param borrowedSpacing distance of the inner anchors that the middle would borrow (CAB-4)
 * @param lawCountry country that it was built for, ISO 3166 alpha-2; {@code null} where nobody has looked
 * @param sillRake how far the door sill itself rises towards the front on level ground (REC-3)
 */
@Built
public record VehicleSheet(
        SheetVersion sheet,
        @Written(needed = true) SheetStatus status,
        @Written(needed = true) String maker,
        @Written(needed = true) String name,
        @Written(from = 1980, to = 2100) @Nullable Integer yearFrom,
        @Written(from = 1980, to = 2100) @Nullable Integer yearTo,
        @Written(among = {"LEFT", "RIGHT"}) Side kerbSide,
        @Written(needed = true, fewest = 1) List<SeatingPosition> positions,
        Evidence<Mass> anchorLimit,
        Evidence<Length> gap,
        Map<PermissionKey, Evidence<Said>> permissions,
        Evidence<Length> borrowedSpacing,
        @Written(as = "country") @Nullable String lawCountry,
        Evidence<Angle> sillRake) {

    public VehicleSheet {
        positions = positions == null ? List.of() : List.copyOf(positions);
        anchorLimit = orNotLooked(anchorLimit);
        gap = orNotLooked(gap);
        permissions = permissions == null ? Map.of() : Map.copyOf(permissions);
        borrowedSpacing = orNotLooked(borrowedSpacing);
        sillRake = orNotLooked(sillRake);
    }

    public String fullName() {
        return maker + " " + name;
    }

    public Optional<SeatingPosition> position(PositionId id) {
        return positions.stream().filter(each -> each.id().equals(id)).findFirst();
    }

    /** What the vehicle manual says on a permission. */
    public Evidence<Said> says(PermissionKey key) {
        return permissions.getOrDefault(key, Evidence.notLooked());
    }

    /** The sheet as far as it may be relied on: a draft keeps its positions and loses what is said about them. */
    public VehicleSheet asReliedOn() {
        if (status == SheetStatus.CONFIRMED) {
            return this;
        }
        List<SeatingPosition> bare =
                positions.stream().map(each -> SeatingPosition.bare(each.id())).toList();
        return VehicleSheetParts.builder()
                .sheet(sheet)
                .status(status)
                .maker(maker)
                .name(name)
                .yearFrom(yearFrom)
                .yearTo(yearTo)
                .kerbSide(kerbSide)
                .positions(bare)
                .lawCountry(lawCountry)
                .build();
    }
}
