package app.layette.core.run;

import static app.layette.core.rule.Conclusion.AIRBAG;
import static app.layette.core.rule.Conclusion.ANCHORS_CLICKED;
import static app.layette.core.rule.Conclusion.ANCHOR_LIMIT;
import static app.layette.core.rule.Conclusion.APPROVAL;
import static app.layette.core.rule.Conclusion.BASE_FITS_CARRIER;
import static app.layette.core.rule.Conclusion.BED_PLACE;
import static app.layette.core.rule.Conclusion.BELT_LOCKS;
import static app.layette.core.rule.Conclusion.BELT_PATH;
import static app.layette.core.rule.Conclusion.BUCKLE;
import static app.layette.core.rule.Conclusion.CAUTIONS;
import static app.layette.core.rule.Conclusion.CLICK_AND_LIFT;
import static app.layette.core.rule.Conclusion.CLIP;
import static app.layette.core.rule.Conclusion.CLOTHING;
import static app.layette.core.rule.Conclusion.COVERS;
import static app.layette.core.rule.Conclusion.CRASH;
import static app.layette.core.rule.Conclusion.CROTCH;
import static app.layette.core.rule.Conclusion.END_STRAPS;
import static app.layette.core.rule.Conclusion.EXPIRY;
import static app.layette.core.rule.Conclusion.FEET;
import static app.layette.core.rule.Conclusion.FLOOR_AND_LEG;
import static app.layette.core.rule.Conclusion.FRONT_ROW;
import static app.layette.core.rule.Conclusion.GAP;
import static app.layette.core.rule.Conclusion.HANDLE;
import static app.layette.core.rule.Conclusion.HEAD_ROOM;
import static app.layette.core.rule.Conclusion.HISTORY;
import static app.layette.core.rule.Conclusion.INCH_TEST;
import static app.layette.core.rule.Conclusion.INFLATABLE_BELT;
import static app.layette.core.rule.Conclusion.INSERT;
import static app.layette.core.rule.Conclusion.LAY_FLAT_PLACES;
import static app.layette.core.rule.Conclusion.LENGTH;
import static app.layette.core.rule.Conclusion.LEVEL;
import static app.layette.core.rule.Conclusion.LEVEL_GROUND;
import static app.layette.core.rule.Conclusion.LEVEL_TIGHT;
import static app.layette.core.rule.Conclusion.LIES_FLAT;
import static app.layette.core.rule.Conclusion.LIFTING;
import static app.layette.core.rule.Conclusion.LOCK_OFF;
import static app.layette.core.rule.Conclusion.LOCK_PROOF;
import static app.layette.core.rule.Conclusion.MANUALS;
import static app.layette.core.rule.Conclusion.METHOD;
import static app.layette.core.rule.Conclusion.ONE_SYSTEM;
import static app.layette.core.rule.Conclusion.ORDERS;
import static app.layette.core.rule.Conclusion.OWN_ANCHORS;
import static app.layette.core.rule.Conclusion.OWN_CONDITIONS;
import static app.layette.core.rule.Conclusion.PANEL;
import static app.layette.core.rule.Conclusion.PARTS;
import static app.layette.core.rule.Conclusion.REBOUND_BAR;
import static app.layette.core.rule.Conclusion.RECALL;
import static app.layette.core.rule.Conclusion.REGISTRATION;
import static app.layette.core.rule.Conclusion.ROLL;
import static app.layette.core.rule.Conclusion.ROUTING_ALLOWED;
import static app.layette.core.rule.Conclusion.SCREENING;
import static app.layette.core.rule.Conclusion.SHEETS_CURRENT;
import static app.layette.core.rule.Conclusion.SHEET_MATCHES_LABEL;
import static app.layette.core.rule.Conclusion.SIDE_ELEMENT;
import static app.layette.core.rule.Conclusion.SIGNED_FOR;
import static app.layette.core.rule.Conclusion.SITS_WHOLE;
import static app.layette.core.rule.Conclusion.SLOT;
import static app.layette.core.rule.Conclusion.SLOT_IN_REACH;
import static app.layette.core.rule.Conclusion.SNUG_AT_SHORTEST;
import static app.layette.core.rule.Conclusion.SNUG_TEST;
import static app.layette.core.rule.Conclusion.STRAP;
import static app.layette.core.rule.Conclusion.SUPPORT;
import static app.layette.core.rule.Conclusion.TEACH_BACK;
import static app.layette.core.rule.Conclusion.THREADED_ALIKE;
import static app.layette.core.rule.Conclusion.TURNED_BACK;
import static app.layette.core.rule.Conclusion.VEHICLE_SEAT;
import static app.layette.core.rule.Conclusion.WEBBING;
import static app.layette.core.rule.Conclusion.WEIGHT;
import static app.layette.core.rule.Conclusion.WHOLE_FITTING;
import static app.layette.core.rule.Conclusion.WINDOWS;

import app.layette.core.rule.Conclusion;
import java.util.List;

/** Every step there is, with its phase and the conclusions it serves. Its order among others is the run's business. */
public enum StepKey {
    CHILD(Phase.SEAT_AND_CHILD, ORDERS, SCREENING),
    LABEL(Phase.SEAT_AND_CHILD, SHEETS_CURRENT, SHEET_MATCHES_LABEL, EXPIRY, APPROVAL, BASE_FITS_CARRIER),
    HISTORY_STEP(Phase.SEAT_AND_CHILD, HISTORY, CRASH, RECALL, REGISTRATION),
    PARTS_STEP(Phase.SEAT_AND_CHILD, PARTS, MANUALS),
    FITS(Phase.SEAT_AND_CHILD, WEIGHT, LENGTH, FEET, LIFTING, OWN_CONDITIONS),
    INSERT_STEP(Phase.SEAT_AND_CHILD, INSERT),
    SHOULDER(Phase.SEAT_AND_CHILD, SLOT_IN_REACH, HEAD_ROOM),
    THREAD(Phase.SEAT_AND_CHILD, SLOT, THREADED_ALIKE, CROTCH, WEBBING, COVERS, SNUG_AT_SHORTEST),
    PLACE(
            Phase.CAR,
            METHOD,
            AIRBAG,
            FRONT_ROW,
            VEHICLE_SEAT,
            OWN_ANCHORS,
            ANCHOR_LIMIT,
            ROUTING_ALLOWED,
            BED_PLACE,
            LAY_FLAT_PLACES),
    GROUND(Phase.CAR, LEVEL_GROUND),
    PREPARE(Phase.CAR),
    DEVICE(Phase.BASE, ROLL),
    HOOK(Phase.BASE, ANCHORS_CLICKED),
    ROUTE_BELT(Phase.BASE, BELT_LOCKS, INFLATABLE_BELT, BELT_PATH, BUCKLE),
    TIGHTEN(Phase.BASE, STRAP, LOCK_OFF, LOCK_PROOF, PANEL, END_STRAPS, SITS_WHOLE, ONE_SYSTEM, LEVEL_TIGHT),
    INCH(Phase.BASE, INCH_TEST),
    LEG_AND_WINDOWS(Phase.BASE, FLOOR_AND_LEG, WINDOWS, REBOUND_BAR, SIDE_ELEMENT),
    HARNESS(Phase.CHILD, CLOTHING, SNUG_TEST, CLIP, LIES_FLAT, SUPPORT),
    CARRIER_ON(Phase.CHILD, CLICK_AND_LIFT),
    /** A shell that turns, turned back and locked. */
    TURN_BACK(Phase.CHILD, TURNED_BACK),
    LEVEL_CHILD(Phase.CHILD, LEVEL),
    HANDLE_AND_GAP(Phase.CHILD, HANDLE, GAP),
    TEACH(Phase.FAMILY, TEACH_BACK),
    HAND_OVER(Phase.FAMILY, CAUTIONS, SIGNED_FOR, WHOLE_FITTING);

    private final Phase phase;
    private final List<Conclusion> serves;

    StepKey(Phase phase, Conclusion... serves) {
        this.phase = phase;
        this.serves = List.of(serves);
    }

    public Phase phase() {
        return phase;
    }

    /** The conclusions that this step's looks and answers are for. */
    public List<Conclusion> serves() {
        return serves;
    }

    /** The step that serves a conclusion. */
    public static StepKey serving(Conclusion conclusion) {
        for (StepKey step : values()) {
            if (step.serves.contains(conclusion)) {
                return step;
            }
        }
        throw new IllegalStateException("No step serves " + conclusion);
    }
}
