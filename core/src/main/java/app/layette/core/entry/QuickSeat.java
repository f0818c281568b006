package app.layette.core.entry;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Source;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.Limits;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatIdentity;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import java.util.List;

/**
 * A seat that is not on the shelf, made from what was read of it. What nobody read stays not looked at; of the level
 * indicator only its kind is read, so no band is known and no reading passes.
 */
public final class QuickSeat {
    /** Id that a unit carries in place of a sheet's. */
    public static final String SHEET = "quick-seat";

    private QuickSeat() {}

    static SeatSheet sheet(Stamped<Fact.QuickSeatRead> read) {
        Fact.QuickSeatRead seat = read.value();
        Source source = new Source("manual", read.how().place(), read.on());
        Evidence<Indicator> indicator = asRead(
                seat.indicator() == null
                        ? null
                        : new Indicator(
                                seat.indicator(), Indicator.Mount.CARRIER, Indicator.Pass.WHOLLY_INSIDE, List.of()),
                source);
        return new SeatSheet(
                new SheetVersion(SHEET, 1),
                SheetStatus.CONFIRMED,
                SeatKind.REAR_FACING_ONLY,
                new SeatIdentity("", seat.name(), List.of(seat.model()), null, null),
                null,
                null,
                null,
                null,
                new Limits(
                        asRead(seat.weightMin(), source),
                        asRead(seat.weightMax(), source),
                        asRead(seat.lengthMax() == null ? null : LengthLimit.of(seat.lengthMax()), source)),
                null,
                null,
                null,
                null,
                new Recline(null, null, null, indicator),
                null,
                null,
                null,
                null,
                asRead(seat.handle() == null ? null : List.of(seat.handle()), source),
                null,
                null,
                null);
    }

    private static <T> Evidence<T> asRead(T value, Source source) {
        return value == null ? Evidence.notLooked() : Evidence.stated(value, source);
    }
}
