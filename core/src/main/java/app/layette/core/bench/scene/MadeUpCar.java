package app.layette.core.bench.scene;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Source;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.BeltParts;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Firmness;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.SeatingPositionParts;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.core.vehicle.VehicleSheetParts;
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
        return VehicleSheetParts.builder()
                .sheet(new SheetVersion(ID, 1))
                .status(SheetStatus.CONFIRMED)
                .maker(MAKERS[random.nextInt(MAKERS.length)])
                .name(NAMES[random.nextInt(NAMES.length)])
                .yearFrom(2018)
                .kerbSide(Side.RIGHT)
                .positions(List.of(
                        position(place, OwnAnchors.OWN_PAIR, slope, firmness),
                        position(new PositionId(2, Side.MIDDLE), OwnAnchors.NONE, slope, firmness),
                        position(new PositionId(2, other), OwnAnchors.OWN_PAIR, slope, firmness)))
                .anchorLimit(Evidence.silent(MANUAL))
                .gap(Evidence.silent(MANUAL))
                .permissions(Map.of())
                .borrowedSpacing(Evidence.notLooked())
                .build();
    }

    private static <T> Evidence<T> stated(T value) {
        return Evidence.stated(value, MANUAL);
    }

    private static SeatingPosition position(PositionId id, OwnAnchors anchors, Angle slope, Firmness firmness) {
        return SeatingPositionParts.builder()
                .id(id)
                .facing(stated(Facing.FORWARD))
                .airbag(stated(Airbag.NONE))
                .anchors(stated(anchors))
                .belt(BeltParts.builder()
                        .kind(stated(Belt.Kind.LAP_SHOULDER))
                        .retractor(stated(Belt.Retractor.SWITCHABLE))
                        .latchPlate(stated(Belt.LatchPlate.SLIDING))
                        .inflatable(stated(false))
                        .available(Evidence.notLooked())
                        .anchorToGuide(Evidence.notLooked())
                        .guideToPlate(Evidence.notLooked())
                        .plateToUpperGuide(Evidence.notLooked())
                        .build())
                .cushionSlope(stated(slope))
                .backAngle(stated(Angle.ofDegrees(22)))
                .floor(stated(Floor.SOLID))
                .frontSeat(Evidence.notLooked())
                .firmness(stated(firmness))
                .anchorHeight(Evidence.notLooked())
                .width(stated(Length.ofMillimetres(470)))
                .buckleSide(Evidence.notLooked())
                .armrest(Evidence.notLooked())
                .accessBehind(Evidence.notLooked())
                .cushionDepth(stated(Length.ofMillimetres(480)))
                .build();
    }
}
