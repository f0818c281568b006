package app.layette.core.run;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.gate.Gate;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Ask.Kind;
import java.util.ArrayList;
import java.util.List;

/** What each step asks in this situation. Nothing is asked that cannot change a finding. */
final class StepAsks {
    private final Situation situation;
    private final Looks looks;
    private final SeatAndChildAsks seatAndChild;
    private final SecuringAsks securing;

    StepAsks(Situation situation, Gate gate) {
        this.situation = situation;
        this.looks = new Looks(situation, gate);
        this.seatAndChild = new SeatAndChildAsks(looks);
        this.securing = new SecuringAsks(looks);
    }

    List<Ask> of(StepKey step) {
        List<Ask> asks = new ArrayList<>(ofStep(step));
        List<Ask> pages = PageAsks.of(step, situation, looks.gate());
        asks.addAll(pages);
        asks.addAll(PageAsks.read(step, situation, pages));
        return asks;
    }

    private List<Ask> ofStep(StepKey step) {
        return switch (step) {
            case CHILD -> seatAndChild.child();
            case LABEL -> seatAndChild.label();
            case HISTORY_STEP -> seatAndChild.history();
            case PARTS_STEP -> looks.questions(Question.PARTS, Question.MANUALS);
            case FITS -> seatAndChild.fits();
            case INSERT_STEP -> seatAndChild.insert();
            case SHOULDER -> shoulder();
            case THREAD -> seatAndChild.thread();
            case PLACE ->
                securing.place(new Ask(Kind.PLACE, "", situation.placed().isPresent() && isPlaceSettled()));
            case GROUND -> List.of(new Ask(Kind.GROUND, "", looks.isLooked(Conclusion.LEVEL_GROUND)));
            case PREPARE -> List.of(looks.act(Act.PREPARED));
            case DEVICE -> securing.device();
            case HOOK -> looks.questions(Question.ANCHORS_HOOKED);
            case ROUTE_BELT -> securing.routeBelt();
            case TIGHTEN -> securing.tighten();
            case INCH -> List.of(new Ask(Kind.MOVEMENT, "", looks.isLooked(Conclusion.INCH_TEST)));
            case LEG_AND_WINDOWS -> securing.legAndWindows();
            case HARNESS -> seatAndChild.harness();
            case CARRIER_ON -> carrierOn();
            case TURN_BACK -> securing.turnBack();
            case LEVEL_CHILD -> securing.levelWithChild();
            case HANDLE_AND_GAP -> handleAndGap();
            case TEACH -> teach();
            case HAND_OVER -> handOver();
        };
    }

    private List<Ask> shoulder() {
        List<Ask> asks = new ArrayList<>();
        boolean seen = ShoulderAndSlots.in(situation).isPresent();
        if (situation.slotCount() == 0 && situation.seat().isPresent() && !seen) {
            asks.add(PageAsks.slots());
        }
        asks.add(new Ask(Kind.SHOULDER, "", seen && looks.isSettled(Conclusion.SLOT_IN_REACH)));
        asks.add(new Ask(Kind.HEAD_ROOM, "", looks.isLooked(Conclusion.HEAD_ROOM)));
        return asks;
    }

    private List<Ask> carrierOn() {
        return List.of(looks.act(Act.CARRIER_ON), looks.question(Question.CLICK, Conclusion.CLICK_AND_LIFT));
    }

    private List<Ask> handleAndGap() {
        List<Ask> asks = new ArrayList<>();
        if (looks.isRequired(Conclusion.HANDLE)) {
            asks.add(new Ask(Kind.HANDLE, "", looks.isLooked(Conclusion.HANDLE)));
        }
        if (looks.isRequired(Conclusion.GAP)) {
            asks.add(new Ask(Kind.GAP, "", looks.isLooked(Conclusion.GAP)));
        }
        return asks;
    }

    private List<Ask> teach() {
        List<Ask> asks = new ArrayList<>();
        for (TeachItem item : TeachItem.values()) {
            boolean here = situation.isBedside() ? item.isAtBedside() : item.isPartOf(situation.usualMethod());
            if (!here) {
                continue;
            }
            asks.add(new Ask(
                    Kind.TEACH,
                    item.name(),
                    situation
                            .seen(Fact.Taught.class, fact -> fact.item() == item)
                            .isPresent()));
        }
        boolean maybeBaseless = situation.usualMethod().isOnBase()
                && situation.permission(PermissionKey.CARRIER_WITHOUT_BASE) == Permission.ALLOWED;
        if (maybeBaseless && !situation.isBedside()) {
            asks.add(Ask.offered(
                    Kind.TEACH,
                    TeachItem.BASELESS_ONCE.name(),
                    situation
                            .seen(Fact.Taught.class, fact -> fact.item() == TeachItem.BASELESS_ONCE)
                            .isPresent()));
        }
        return asks;
    }

    private List<Ask> handOver() {
        List<Ask> asks = new ArrayList<>();
        boolean expecting = situation.expected().isPresent();
        if (!expecting) {
            asks.add(looks.question(Question.CAUTIONS, Conclusion.CAUTIONS));
        }
        boolean traineeWorked =
                situation.everything().stream().anyMatch(entry -> entry.by().isTrainee());
        if (traineeWorked) {
            asks.add(new Ask(Kind.COUNTERSIGN, "", looks.isGood(Conclusion.SIGNED_FOR)));
        }
        if (expecting) {
            asks.add(new Ask(Kind.END, "", situation.prepared().isPresent()));
            return asks;
        }
        asks.add(Ask.offered(
                Kind.INITIALS, "", situation.newest(Fact.CaregiverSigned.class).isPresent()));
        asks.add(new Ask(Kind.END, "", situation.ended().isPresent()));
        return asks;
    }

    private boolean isPlaceSettled() {
        return looks.isSettled(Conclusion.METHOD)
                && looks.isSettled(Conclusion.AIRBAG)
                && looks.isSettled(Conclusion.VEHICLE_SEAT)
                && looks.isSettled(Conclusion.OWN_ANCHORS)
                && looks.isSettled(Conclusion.ANCHOR_LIMIT)
                && looks.isSettled(Conclusion.BELT_LOCKS);
    }
}
