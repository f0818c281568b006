package app.layette.core.entry;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Source;
import app.layette.core.measure.Mass;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.Limits;
import app.layette.core.seat.ReclineParts;
import app.layette.core.seat.SeatIdentity;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.SeatSheetParts;
import app.layette.core.seat.WeightBand;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A seat that is not on the shelf, made from what was read of it. What nobody read stays not looked at: without a pass
 * criterion and the weights of its zone no reading passes, and a handle position that was not read is not known.
 */
public final class QuickSeat {
    /** Id that a unit carries in place of a sheet's. */
    public static final SheetId SHEET = new SheetId("quick-seat");

    /** The one version that there is of it. */
    public static final SheetVersion VERSION = new SheetVersion(SHEET.text(), 1);

    private QuickSeat() {}

    static SeatSheet sheet(Stamped<Fact.QuickSeatRead> read) {
        Fact.QuickSeatRead seat = read.value();
        Source source = new Source("manual", read.how().place(), read.on());
        Evidence<Indicator> indicator = asRead(indicator(seat), source);
        return SeatSheetParts.builder()
                .sheet(VERSION)
                .status(SheetStatus.CONFIRMED)
                .kind(seat.sort() == null ? SeatKind.REAR_FACING_ONLY : seat.sort())
                .identity(new SeatIdentity("", seat.name(), List.of(seat.model()), null, null))
                .limits(new Limits(
                        asRead(seat.weightMin(), source),
                        asRead(seat.weightMax(), source),
                        asRead(seat.lengthMax() == null ? null : LengthLimit.of(seat.lengthMax()), source)))
                .recline(ReclineParts.builder().indicator(indicator).build())
                .permissions(permissions(seat.routings(), source))
                .build();
    }

    private static @Nullable Indicator indicator(Fact.QuickSeatRead seat) {
        if (seat.indicator() == null) {
            return null;
        }
        Mass from = seat.zoneFrom();
        Mass to = seat.zoneTo();
        List<Indicator.Band> zone = seat.pass() == null || from == null || to == null
                ? List.of()
                : List.of(new Indicator.Band(WeightBand.fromToInclusive(from, to), null, null));
        Indicator.Pass pass = seat.pass() == null ? Indicator.Pass.WHOLLY_INSIDE : seat.pass();
        return new Indicator(seat.indicator(), Indicator.Mount.CARRIER, pass, zone);
    }

    private static Map<PermissionKey, Evidence<Said>> permissions(Fact.@Nullable RoutingsShown shown, Source source) {
        if (shown == null) {
            return Map.of();
        }
        boolean european = shown == Fact.RoutingsShown.EUROPEAN || shown == Fact.RoutingsShown.BOTH;
        boolean american = shown == Fact.RoutingsShown.AMERICAN || shown == Fact.RoutingsShown.BOTH;
        return Map.of(
                PermissionKey.EUROPEAN_ROUTING,
                Evidence.stated(european ? Said.ALLOWED : Said.NOT_ALLOWED, source),
                PermissionKey.AMERICAN_ROUTING,
                Evidence.stated(american ? Said.ALLOWED : Said.NOT_ALLOWED, source));
    }

    private static <T> Evidence<T> asRead(@Nullable T value, Source source) {
        return value == null ? Evidence.notLooked() : Evidence.stated(value, source);
    }
}
