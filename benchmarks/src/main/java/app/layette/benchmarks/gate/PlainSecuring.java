package app.layette.benchmarks.gate;

import app.layette.benchmarks.gate.PlainLog.Line;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.seat.LegUse;
import java.util.List;
import java.util.Optional;

/** What has to be so when it is fixed. */
final class PlainSecuring extends PlainFitting {
    private static final double INCH_MM = 25.4;

    PlainSecuring(PlainFitting fitting) {
        super(fitting);
    }

    void securing(List<String> wrong, Method method) {
        require(wrong, "roll", roll(method));
        boolean whole = looked(Question.SITS_WHOLE, "SITS_WHOLE", "WHOLE")
                || may.allow(PermissionKey.OVERHANG) && looked(Question.SITS_WHOLE, "SITS_WHOLE", "OVERHANGS");
        require(wrong, "sits whole", whole);
        if (method.isByBelt()) {
            byBelt(wrong, method);
        } else {
            require(wrong, "clicked", looked(Question.ANCHORS_HOOKED, "ANCHORS_CLICKED", "BOTH_CLICKED"));
            if (method != Method.BASE_RIGID_LEG) {
                boolean strap = looked(Question.STRAP, "STRAP", "STRAIGHT_AND_STOWED")
                        || may.allow(PermissionKey.ANCHOR_STRAP_UNDER_LOCK_OFF)
                                && looked(Question.STRAP, "STRAP", "UNDER_LOCK_OFF");
                require(wrong, "strap", strap);
            }
        }
        require(wrong, "inch", inch());
        if (method.isReclined() && !method.isBaseless()) {
            String alone = method.isByBelt() ? "BELT_ALONE" : "ANCHORS_ALONE";
            boolean one = looked(Question.SYSTEMS, "ONE_SYSTEM", alone)
                    || may.allow(PermissionKey.BOTH_SYSTEMS)
                            && looked(Question.SYSTEMS, "ONE_SYSTEM", "ANCHORS_AND_BELT")
                    || may.allow(PermissionKey.TOP_TETHER_REAR_FACING)
                            && looked(Question.SYSTEMS, "ONE_SYSTEM", "WITH_TOP_TETHER");
            require(wrong, "one system", one);
            require(wrong, "leg", leg());
            require(
                    wrong,
                    "bar",
                    isThereAndLooked(
                            seat.reboundBar().value().map(each -> !each.name().equals("NONE")),
                            Question.BAR,
                            "REBOUND_BAR",
                            "AGAINST_BACK"));
            require(
                    wrong,
                    "turned back",
                    isThereAndLooked(
                            seat.rotation().value().map(each -> !each.name().equals("NONE")),
                            Question.TURNED_BACK,
                            "TURNED_BACK",
                            "BACK_AND_LOCKED"));
        }
        if (!method.isBaseless()) {
            require(
                    wrong,
                    "windows",
                    isThereAndLooked(
                            seat.windows().value().map(each -> !each.isEmpty()),
                            Question.WINDOWS,
                            "WINDOWS",
                            "ALL_LOCKED"));
        }
        require(
                wrong,
                "side element",
                isThereAndLooked(
                        seat.sideElement().value().map(each -> !each.name().equals("NONE")),
                        Question.SIDE_ELEMENT,
                        "SIDE_ELEMENT",
                        "AS_SHEET"));
        if (method.isOnBase()) {
            require(wrong, "click and lift", looked(Question.CLICK, "CLICK_AND_LIFT", "CLICKED_AND_LIFTED"));
        }
    }

    private boolean roll(Method method) {
        Optional<Line> line = log.best(Fact.RollPlaced.class);
        if (line.isEmpty()) {
            return true;
        }
        // The fittings made for this never need one.
        return ((Fact.RollPlaced) line.get().fact()).roll() == Fact.RollKind.NONE;
    }

    private void byBelt(List<String> wrong, Method method) {
        require(wrong, "belt path", looked(Question.BELT_ROUTE, "BELT_PATH", "STRAIGHT_IN_PATH"));
        require(wrong, "buckle", looked(Question.BUCKLE, "BUCKLE", "ITS_OWN"));
        if (method == Method.LAY_FLAT) {
            Optional<Line> second = log.best(
                    Fact.Answered.class,
                    fact -> fact.question() == Question.BUCKLE
                            && placed.position().besides().equals(fact.place()));
            boolean own = second.filter(
                            line -> ((Fact.Answered) line.fact()).answer().equals("ITS_OWN")
                                    && line.isHere()
                                    && counts(line, "BUCKLE"))
                    .isPresent();
            require(wrong, "second buckle", own);
        }
        boolean lockOffsKnown = seat.lockOffs().value().isPresent();
        int usable = car.position(placed.position())
                .map(position -> lockOffs(position, method))
                .orElse(-1);
        require(
                wrong,
                "lock-off",
                lockOffsKnown && (usable == 0 || usable > 0 && looked(Question.LOCK_OFF, "LOCK_OFF", "CLOSED")));
        require(wrong, "lock proof", looked(Question.LOCK_PROOF, "LOCK_PROOF", "HELD"));
        if (method == Method.BASE_BELT || method == Method.CONVERTIBLE_BELT) {
            require(
                    wrong,
                    "panel",
                    isThereAndLooked(seat.tensionPanel().value(), Question.PANEL, "PANEL", "CLOSED_AND_LOCKED"));
        }
        if (method == Method.CAR_BED) {
            require(
                    wrong,
                    "end straps",
                    isThereAndLooked(
                            seat.carBed().endStraps().value(),
                            Question.END_STRAPS,
                            "END_STRAPS",
                            "ROUND_THE_LAP_PART"));
        }
    }

    private boolean inch() {
        Optional<Line> tape = log.best(Fact.LengthMeasured.class, fact -> fact.what() == Fact.Dimension.MOVEMENT)
                .filter(Line::isHere);
        Optional<Line> eye = answered(Question.MOVEMENT);
        if (tape.isPresent() && (eye.isEmpty() || tape.get().seq() > eye.get().seq())) {
            return mm(((Fact.LengthMeasured) tape.get().fact()).length()) < INCH_MM && counts(tape.get(), "INCH_TEST");
        }
        return looked(Question.MOVEMENT, "INCH_TEST", "UNDER_AN_INCH");
    }

    private boolean leg() {
        if (seat.leg().value().isEmpty()) {
            return false;
        }
        LegUse use = seat.leg().value().get();
        if (use == LegUse.NO_LEG) {
            return true;
        }
        String floor = car.position(placed.position())
                .flatMap(position -> position.floor().value())
                .map(Enum::name)
                .orElse("");
        boolean storage = floor.equals("STORAGE");
        boolean stands = !floor.isEmpty() && (!storage || may.allow(PermissionKey.LEG_OVER_STORAGE));
        boolean mayNotStand = storage && may.answer(PermissionKey.LEG_OVER_STORAGE) == Permission.NOT_ALLOWED;
        if (looked(Question.LEG, "FLOOR_AND_LEG", "LOCKED_ON_FLOOR")) {
            return stands;
        }
        if (looked(Question.LEG, "FLOOR_AND_LEG", "LIFTS_THE_BASE")) {
            return may.allow(PermissionKey.BASE_LIFTED_BY_LEG) && stands;
        }
        return looked(Question.LEG, "FLOOR_AND_LEG", "NOT_USED")
                && use != LegUse.ALWAYS
                && mayNotStand
                && may.allow(PermissionKey.LOAD_LEG_OMITTED);
    }
}
