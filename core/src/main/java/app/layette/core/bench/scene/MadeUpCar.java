package app.layette.core.bench.scene;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Source;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Firmness;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** A car that nobody builds, with its manual: three places in the second row. */
final class MadeUpCar {
    static final String ID = "bench-car";
    private static final Source MANUAL = new Source("Bench car manual", "1", LocalDate.of(2026, 1, 1));
    private static final String[] MAKERS = {"Hestrel", "Ivorne", "Quillan", "Marrow & Dale"};
    private static final String[] NAMES = {"Plover", "Sandling", "Heron", "Drover"};

    private MadeUpCar() {}

    static VehicleSheet sheet(PositionId place, Angle slope, Firmness firmness, Random random) {
        Side other = place.side() == Side.LEFT ? Side.RIGHT : Side.LEFT;
        return new VehicleSheet(
                new SheetVersion(ID, 1),
                SheetStatus.CONFIRMED,
                MAKERS[random.nextInt(MAKERS.length)],
                NAMES[random.nextInt(NAMES.length)],
                2018,
                null,
                Side.RIGHT,
                List.of(
                        position(place, OwnAnchors.OWN_PAIR, slope, firmness),
                        position(new PositionId(2, Side.MIDDLE), OwnAnchors.NONE, slope, firmness),
                        position(new PositionId(2, other), OwnAnchors.OWN_PAIR, slope, firmness)),
                Evidence.silent(MANUAL),
                Evidence.silent(MANUAL),
                Map.of(),
                Evidence.notLooked(),
                null,
                null);
    }

    private static <T> Evidence<T> stated(T value) {
        return Evidence.stated(value, MANUAL);
    }

    private static SeatingPosition position(PositionId id, OwnAnchors anchors, Angle slope, Firmness firmness) {
        return new SeatingPosition(
                id,
                stated(Facing.FORWARD),
                stated(Airbag.NONE),
                stated(anchors),
                new Belt(
                        stated(Belt.Kind.LAP_SHOULDER),
                        stated(Belt.Retractor.SWITCHABLE),
                        stated(Belt.LatchPlate.SLIDING),
                        stated(false),
                        Evidence.notLooked(),
                        Evidence.notLooked(),
                        Evidence.notLooked(),
                        Evidence.notLooked(),
                        null,
                        null),
                stated(slope),
                stated(Angle.ofDegrees(22)),
                stated(Floor.SOLID),
                Evidence.notLooked(),
                stated(firmness),
                Evidence.notLooked(),
                stated(Length.ofMillimetres(470)),
                Evidence.notLooked(),
                Evidence.notLooked(),
                Evidence.notLooked(),
                null,
                null,
                null,
                null,
                stated(Length.ofMillimetres(480)));
    }
}
