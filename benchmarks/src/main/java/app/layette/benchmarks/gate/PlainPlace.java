package app.layette.benchmarks.gate;

import app.layette.benchmarks.gate.PlainLog.Line;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.seat.Connectors;
import app.layette.core.vehicle.SeatingPosition;
import java.util.List;
import java.util.Optional;

/** What has to be so of the place and the way of fixing. */
final class PlainPlace extends PlainFitting {
    PlainPlace(PlainFitting fitting) {
        super(fitting);
    }

    void place(List<String> wrong, Method method) {
        Optional<SeatingPosition> position = car.position(placed.position());
        if (position.isEmpty()) {
            wrong.add("no such place");
            return;
        }
        require(wrong, "method", methodFits(method));
        atPlace(wrong, position.get(), method);
        if (placed.position().row() == 1) {
            require(wrong, "front row", may.allow(PermissionKey.FRONT_ROW));
            require(
                    wrong,
                    "back row",
                    answered(Question.BACK_ROW).isEmpty() || looked(Question.BACK_ROW, "FRONT_ROW", "NO_PLACE_CAN"));
            doubt(answered(Question.BACK_ROW).isEmpty());
        }
        if (!method.isByBelt()) {
            require(wrong, "anchors", anchors(position.get()));
            Double limit = anchorLimitGrams();
            Double restraint = restraintGrams();
            require(
                    wrong,
                    "anchor limit",
                    limit != null && restraint != null && weight() != null && grams(weight()) + restraint <= limit);
        }
        if (method == Method.BASELESS_AMERICAN || method == Method.BASELESS_EUROPEAN) {
            require(wrong, "routing", routing(position.get(), method));
        }
        if (method == Method.CAR_BED) {
            var named = seat.carBed().positions().value();
            var whole = seat.says(PermissionKey.CAR_BED_POSITION);
            boolean said =
                    named.filter(list -> list.contains(placed.position())).isPresent();
            boolean takenBack = whole.isLooked()
                    && whole.value()
                            .filter(each -> each.name().equals("ALLOWED"))
                            .isEmpty();
            boolean filled = named.isEmpty()
                    && whole.value()
                            .filter(each -> each.name().equals("ALLOWED"))
                            .isPresent();
            require(wrong, "place of the bed", filled || said && !takenBack);
        }
        if (method == Method.LAY_FLAT) {
            require(wrong, "lay-flat here", may.allow(PermissionKey.LAY_FLAT_POSITION));
            Optional<SeatingPosition> second = car.position(placed.position().besides());
            require(wrong, "second place", second.isPresent());
            second.ifPresent(each -> atPlace(wrong, each, method));
        }
        if (method.isReclined()) {
            require(wrong, "ground", looked(Question.GROUND, "LEVEL_GROUND", "LEVEL"));
        }
    }

    private boolean methodFits(Method method) {
        boolean onBaseOrBaseless =
                method.isOnBase() || method == Method.BASELESS_AMERICAN || method == Method.BASELESS_EUROPEAN;
        boolean convertible = method == Method.CONVERTIBLE_BELT || method == Method.CONVERTIBLE_ANCHORS;
        boolean kind = switch (seat.kind()) {
            case REAR_FACING_ONLY -> onBaseOrBaseless;
            case CONVERTIBLE -> convertible;
            case CAR_BED -> method == Method.CAR_BED;
            case LAY_FLAT -> method == Method.LAY_FLAT;
        };
        if (!kind || method.isByBelt()) {
            return kind;
        }
        if (seat.connectors().value().isEmpty()) {
            return false;
        }
        boolean rigid = seat.connectors().value().get().kind() == Connectors.Kind.RIGID_ARMS;
        return convertible || rigid == (method == Method.BASE_RIGID_LEG);
    }

    private void atPlace(List<String> wrong, SeatingPosition position, Method method) {
        String airbag = position.airbag().value().map(Enum::name).orElse("");
        boolean lamp = may.doesNotTakeBack(PermissionKey.FRONT_AIRBAG_OFF)
                && (position.airbag().source().filter(source -> source.isSeen()).isPresent()
                        || looked(Question.AIRBAG_LAMP, "AIRBAG", "OFF_SEEN"));
        require(wrong, "airbag", airbag.equals("NONE") || airbag.equals("OFF_CONFIRMED") && lamp);
        String facing = position.facing().value().map(Enum::name).orElse("");
        boolean unusual = facing.equals("SIDEWAYS") || facing.equals("REARWARD");
        require(
                wrong,
                "vehicle seat",
                facing.equals("FORWARD") || unusual && may.allow(PermissionKey.UNUSUAL_VEHICLE_SEAT));
        if (method.isByBelt()) {
            require(wrong, "belt locks", beltLocks(position, method));
            Optional<Boolean> inflatable = position.belt().inflatable().value();
            require(
                    wrong,
                    "inflatable belt",
                    inflatable.isPresent() && (!inflatable.get() || may.allow(PermissionKey.INFLATABLE_BELT)));
        }
    }

    private boolean beltLocks(SeatingPosition position, Method method) {
        String kind = position.belt().kind().value().map(Enum::name).orElse("");
        if (kind.isEmpty() || kind.equals("NONE") || seat.lockOffs().value().isEmpty()) {
            return false;
        }
        if (!may.doesNotTakeBack(PermissionKey.BELT_LOCKABLE)) {
            return false;
        }
        boolean withPanel = method == Method.BASE_BELT || method == Method.CONVERTIBLE_BELT;
        if (withPanel && seat.tensionPanel().value().orElse(false)) {
            return true;
        }
        String retractor = tested(
                Question.RETRACTOR,
                position.belt().retractor().value().map(Enum::name).orElse(""),
                "EMERGENCY_ONLY");
        boolean holdsByPlate = retractor.equals("NONE");
        if (lockOffs(position, method) > 0 && !holdsByPlate) {
            return true;
        }
        if (retractor.equals("SWITCHABLE") || retractor.equals("AUTOMATIC") || holdsByPlate) {
            return true;
        }
        String plate = position.belt().latchPlate().value().map(Enum::name).orElse("");
        String seen = tested(Question.LATCH_PLATE, plate, "SLIDING", "SEWN_ON", "CRASH_LOCKING");
        if (retractor.isEmpty() || seen.isEmpty()) {
            return false;
        }
        if (seen.equals("LOCKING") || seen.equals("SWITCHABLE")) {
            return true;
        }
        return lockOffs(position, method) == 0 && !seen.equals("SEWN_ON") && may.allow(PermissionKey.LOCKING_CLIP);
    }

    /** What the sheet says; a test here fills it, or says that it is worse. */
    private String tested(Question question, String bySheet, String... worse) {
        Optional<Line> line = answered(question).filter(each -> isKnownWell(each, question));
        String here = line.map(each -> ((Fact.Answered) each.fact()).answer()).orElse("");
        boolean known = !here.isEmpty() && !here.equals("UNSURE");
        return known && (bySheet.isEmpty() || List.of(worse).contains(here)) ? here : bySheet;
    }

    private boolean anchors(SeatingPosition position) {
        String anchors = position.anchors().value().map(Enum::name).orElse("");
        if (anchors.isEmpty() || !may.doesNotTakeBack(PermissionKey.LOWER_ANCHORS_AT_POSITION)) {
            return false;
        }
        if (anchors.equals("OWN_PAIR")) {
            return true;
        }
        boolean middle = position.id().side().name().equals("MIDDLE");
        long pairs = car.positions().stream()
                .filter(each -> each.id().row() == position.id().row()
                        && !each.id().side().name().equals("MIDDLE")
                        && each.anchors().value().map(Enum::name).orElse("").equals("OWN_PAIR"))
                .count();
        return middle
                && pairs == 2
                && may.allow(PermissionKey.BORROWED_INNER_ANCHORS)
                && car.borrowedSpacing().value().isPresent()
                && seat.borrowedSpacingMost().value().isPresent()
                && mm(car.borrowedSpacing().value().get())
                        <= mm(seat.borrowedSpacingMost().value().get());
    }

    private boolean routing(SeatingPosition position, Method method) {
        if (!may.allow(PermissionKey.CARRIER_WITHOUT_BASE)) {
            return false;
        }
        if (method == Method.BASELESS_AMERICAN) {
            return may.allow(PermissionKey.AMERICAN_ROUTING);
        }
        String kind = position.belt().kind().value().map(Enum::name).orElse("");
        return !kind.isEmpty() && !kind.equals("LAP_ONLY") && may.allow(PermissionKey.EUROPEAN_ROUTING);
    }
}
