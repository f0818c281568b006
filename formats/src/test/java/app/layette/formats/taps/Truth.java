package app.layette.formats.taps;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.SheetValues;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.measure.Mass;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.ServiceLife;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.stream.Collectors;

/** What somebody finds who reads the seat's manual or looks at the car: what the whole sheets say. */
final class Truth {
    private static final UnitId UNIT = UnitId.FIRST;
    static final How PAGE = How.manual("12");

    private final SeatSheet seat;
    private final VehicleSheet car;
    private final Mass weight;
    private final OptionalLong ageDays;
    private final String baseModel;
    private final int slot;

    Truth(SeatSheet seat, VehicleSheet car, Mass weight, OptionalLong ageDays, String baseModel, int slot) {
        this.slot = slot;
        this.seat = seat;
        this.car = car;
        this.weight = weight;
        this.ageDays = ageDays;
        this.baseModel = baseModel;
    }

    int slot() {
        return slot;
    }

    How how(SheetValue value) {
        return value.isOfPlace() ? How.MEASURED : PAGE;
    }

    Fact read(SheetValue value, PositionId place) {
        String says = says(value, place);
        boolean banded = SheetValues.isBanded(value, says);
        return new Fact.SheetValueRead(
                UNIT,
                value,
                place,
                says,
                banded ? weight.minus(Mass.ofGrams(100)) : null,
                banded ? weight.plus(Mass.ofGrams(100)) : null);
    }

    Fact page(String key) {
        String[] parts = key.split(":");
        return switch (parts[0]) {
            case "HANDLE" -> {
                HandlePosition position = HandlePosition.valueOf(parts[1]);
                boolean allowed = seat.handle().value().orElse(List.of()).contains(position);
                yield new Fact.HandlePositionRead(UNIT, position, allowed ? Said.ALLOWED : Said.NOT_ALLOWED);
            }
            case "PERMISSION" -> {
                PermissionKey permission = PermissionKey.valueOf(parts[1]);
                Speaker speaker = Speaker.valueOf(parts[2]);
                Evidence<Said> said = speaker == Speaker.SEAT ? seat.says(permission) : car.says(permission);
                boolean bed = permission == PermissionKey.CAR_BED_POSITION;
                Fact.PageSays says = bed
                        ? Fact.PageSays.ALLOWED
                        : said.value()
                                .map(each -> Fact.PageSays.valueOf(each.name()))
                                .orElse(Fact.PageSays.SILENT);
                yield new Fact.PermissionRead(UNIT, permission, speaker, says);
            }
            default -> quantity(Fact.Quantity.valueOf(parts[1]), Speaker.valueOf(parts[2]));
        };
    }

    private Fact quantity(Fact.Quantity quantity, Speaker speaker) {
        boolean ofSeat = speaker == Speaker.SEAT;
        return switch (quantity) {
            case ANCHOR_LIMIT -> mass(quantity, speaker, ofSeat ? seat.anchorLimit() : car.anchorLimit());
            case WEIGHT_MIN -> mass(quantity, speaker, seat.weightMin());
            case WEIGHT_MAX -> mass(quantity, speaker, seat.weightMax());
            case CARRIER_MASS -> mass(quantity, speaker, seat.shell().carrierMass());
            case BASE_MASS -> mass(quantity, speaker, seat.shell().baseMass());
            case GAP ->
                new Fact.QuantityRead(
                        UNIT,
                        quantity,
                        speaker,
                        null,
                        (ofSeat ? seat.gap() : car.gap()).value().orElse(null));
            case HEAD_ROOM ->
                new Fact.QuantityRead(
                        UNIT,
                        quantity,
                        speaker,
                        null,
                        seat.shell().headRoom().value().orElse(null));
            case LENGTH_MAX ->
                new Fact.QuantityRead(
                        UNIT,
                        quantity,
                        speaker,
                        null,
                        seat.lengthMax().value().flatMap(LengthLimit::max).orElse(null));
            case BORROWED_SPACING ->
                new Fact.QuantityRead(
                        UNIT,
                        quantity,
                        speaker,
                        null,
                        seat.borrowedSpacingMost().value().orElse(null));
        };
    }

    private static Fact mass(Fact.Quantity quantity, Speaker speaker, Evidence<Mass> mass) {
        return new Fact.QuantityRead(UNIT, quantity, speaker, mass.value().orElse(null), null);
    }

    private String says(SheetValue value, PositionId place) {
        return switch (value) {
            case AIRBAG -> name(at(place).airbag());
            case ANCHORS -> name(at(place).anchors());
            case BELT_KIND -> name(at(place).belt().kind());
            case INFLATABLE -> yes(at(place).belt().inflatable());
            case FACING -> name(at(place).facing());
            case FLOOR -> name(at(place).floor());
            case APPROVED_HERE -> SheetValues.YES;
            case LIFE ->
                seat.life()
                        .value()
                        .filter(life -> life.kind() == ServiceLife.Kind.YEARS)
                        .map(life -> String.valueOf(life.years()))
                        .orElse(SheetValues.NOT_STATED);
            case CRASH_RULE -> seat.crash().value().map(Enum::name).orElse("MINOR_MAY_STAY");
            case PARTS -> names(seat.parts());
            case BASE_LISTED -> {
                boolean listed = seat.bases().value().orElse(List.of()).stream()
                        .anyMatch((BaseFit base) -> base.coversModel(baseModel));
                yield listed ? SheetValues.YES : SheetValues.NO;
            }
            case OWN_CONDITIONS -> names(seat.ownConditions());
            case WINDOWS -> names(seat.windows());
            case INSERT ->
                seat.insert().value().orElse(List.of()).stream()
                        .map((InsertPiece piece) ->
                                piece.useAt(weight, ageDays).orElseThrow().name())
                        .reduce((first, second) -> second)
                        .orElse(SheetValues.NONE);
            case SLOTS ->
                String.valueOf(seat.shell().slots().value().orElseThrow().size());
            case LOOPS ->
                seat.harness().loops().value().orElse(List.of()).stream()
                        .filter(loop -> loop.isFor(slot))
                        .map(loop -> loop.name().toUpperCase(Locale.ROOT))
                        .findFirst()
                        .orElse(SheetValues.NONE);
            case CROTCH -> String.valueOf(crotch());
            case SNUG_TEST -> seat.harness().snugTest().value().map(Enum::name).orElse("PINCH");
            case CLIP -> yes(seat.harness().clip());
            case COVERS -> name(seat.harness().covers());
            case INDICATOR ->
                seat.recline().indicator().value().orElseThrow().kind().name();
            case LEVEL_PASS ->
                seat.recline().indicator().value().orElseThrow().pass().name();
            case SIDES ->
                seat.recline().indicator().value().orElseThrow().sides().name();
            case CONNECTORS -> seat.connectors().value().orElseThrow().kind().name();
            case LOCK_OFFS ->
                seat.lockOffs().value().orElse(List.of()).stream()
                        .findFirst()
                        .map(lockOff ->
                                lockOff.on() == null ? "BASE" : lockOff.on().name())
                        .orElse(SheetValues.NONE);
            case PANEL -> yes(seat.tensionPanel());
            case LEG -> name(seat.leg());
            case REBOUND_BAR -> name(seat.reboundBar());
            case ROTATION -> name(seat.rotation());
            case SIDE_ELEMENT -> name(seat.sideElement());
            case END_STRAPS -> yes(seat.carBed().endStraps());
            case HEAD_DIRECTION ->
                name(seat.carBed().headDirection().orElse(seat.layFlat().headDirection()));
            default -> throw new IllegalStateException(value + " is a quantity");
        };
    }

    private int crotch() {
        List<CrotchOpening> openings = seat.shell().crotch().value().orElseThrow();
        for (int i = 0; i < openings.size(); i++) {
            if (openings.get(i).weights().contains(weight)) {
                return i + 1;
            }
        }
        throw new IllegalStateException("No opening at " + weight);
    }

    private SeatingPosition at(PositionId place) {
        return car.position(place).orElseThrow();
    }

    private static String name(Evidence<? extends Enum<?>> evidence) {
        return evidence.value().orElseThrow().name();
    }

    private static String yes(Evidence<Boolean> evidence) {
        return evidence.value().orElse(false) ? SheetValues.YES : SheetValues.NO;
    }

    private static String names(Evidence<List<String>> evidence) {
        List<String> list = evidence.value().orElse(List.of());
        return list.isEmpty()
                ? SheetValues.NONE
                : list.stream().map(each -> each.replace(",", " ")).collect(Collectors.joining(", "));
    }
}
