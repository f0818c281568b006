package app.layette.core.run;

import app.layette.core.entry.Method;
import app.layette.core.practice.PracticeProfile.ChildOrder;
import app.layette.core.step.StepKey;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Which step must come before which, and the order that follows: a topological order with the order of the work as tie
 * break, so that the same method and profile always give the same run.
 */
public final class StepOrder {
    private final Map<StepKey, Set<StepKey>> before = new EnumMap<>(StepKey.class);

    private StepOrder() {}

    /**
     * What besides the method decides the order.
     *
     * @param childOrder child or carrier first
     * @param childFirst whether a car bed's sheet wants the child in first
     * @param deviceAfterFixing whether the recline device is set after the base is fixed (REC-8)
     */
    public record Particulars(ChildOrder childOrder, boolean childFirst, boolean deviceAfterFixing) {}

    /** The preconditions of a method under a profile's child order. */
    public static StepOrder of(Method method, ChildOrder childOrder) {
        return of(method, new Particulars(childOrder, false, false));
    }

    /** The same with what the restraint asks besides. */
    public static StepOrder of(Method method, Particulars particulars) {
        StepOrder order = new StepOrder();
        StepKey connect = method.isByBelt() ? StepKey.ROUTE_BELT : StepKey.HOOK;
        if (method.isOnBase()) {
            order.base(connect, particulars);
            return order;
        }
        switch (method.kind()) {
            case REAR_FACING_ONLY -> order.baseless();
            case CONVERTIBLE -> order.convertible(connect, particulars);
            case CAR_BED -> order.carBed(particulars.childFirst());
            case LAY_FLAT -> order.layFlat();
        }
        return order;
    }

    /** Teaching at the bedside: no car, about three minutes. */
    public static StepOrder bedside() {
        StepOrder order = new StepOrder();
        // The caregiver does it and then it is looked at: looked at before, it would have to be looked at twice.
        order.chain(StepKey.CHILD, StepKey.FITS, StepKey.SHOULDER, StepKey.TEACH, StepKey.HARNESS, StepKey.HAND_OVER);
        return order;
    }

    private void papers() {
        chain(StepKey.CHILD, StepKey.FITS);
        chain(StepKey.LABEL, StepKey.HISTORY_STEP, StepKey.PARTS_STEP, StepKey.FITS, StepKey.INSERT_STEP);
    }

    private void slots() {
        chain(StepKey.INSERT_STEP, StepKey.SHOULDER, StepKey.THREAD, StepKey.PLACE);
    }

    /** The child is always harnessed before the belt. */
    private void baseless() {
        papers();
        slots();
        chain(StepKey.PLACE, StepKey.GROUND, StepKey.PREPARE, StepKey.DEVICE, StepKey.HARNESS, StepKey.ROUTE_BELT);
        chain(StepKey.ROUTE_BELT, StepKey.TIGHTEN, StepKey.INCH, StepKey.LEG_AND_WINDOWS, StepKey.LEVEL_CHILD);
        chain(StepKey.LEVEL_CHILD, StepKey.HANDLE_AND_GAP);
        chain(StepKey.HANDLE_AND_GAP, StepKey.TEACH, StepKey.HAND_OVER);
    }

    /** The child comes last. */
    private void convertible(StepKey connect, Particulars particulars) {
        papers();
        slots();
        chain(StepKey.PLACE, StepKey.GROUND, StepKey.PREPARE);
        fixing(connect, particulars);
        chain(StepKey.INCH, StepKey.LEG_AND_WINDOWS, StepKey.HARNESS, StepKey.TURN_BACK, StepKey.LEVEL_CHILD);
        chain(StepKey.LEVEL_CHILD, StepKey.HANDLE_AND_GAP);
        chain(StepKey.HANDLE_AND_GAP, StepKey.TEACH, StepKey.HAND_OVER);
    }

    /** The device before tightening, because afterwards it means starting over; a slide or leg once the base is fixed. */
    private void fixing(StepKey connect, Particulars particulars) {
        if (particulars.deviceAfterFixing()) {
            chain(StepKey.PREPARE, connect, StepKey.TIGHTEN, StepKey.DEVICE, StepKey.INCH);
        } else {
            chain(StepKey.PREPARE, StepKey.DEVICE, connect, StepKey.TIGHTEN, StepKey.INCH);
        }
    }

    private void carBed(boolean childFirst) {
        papers();
        chain(StepKey.PREPARE, StepKey.DEVICE, StepKey.ROUTE_BELT);
        chain(StepKey.INSERT_STEP, StepKey.PLACE, StepKey.PREPARE, StepKey.ROUTE_BELT, StepKey.TIGHTEN, StepKey.INCH);
        chain(StepKey.INCH, StepKey.LEG_AND_WINDOWS, StepKey.TEACH, StepKey.HAND_OVER);
        if (childFirst) {
            chain(StepKey.PREPARE, StepKey.HARNESS, StepKey.ROUTE_BELT);
        } else {
            chain(StepKey.LEG_AND_WINDOWS, StepKey.HARNESS, StepKey.TEACH);
        }
    }

    private void layFlat() {
        papers();
        slots();
        chain(StepKey.PREPARE, StepKey.DEVICE, StepKey.HARNESS);
        chain(StepKey.PLACE, StepKey.PREPARE, StepKey.HARNESS, StepKey.ROUTE_BELT, StepKey.TIGHTEN, StepKey.INCH);
        chain(StepKey.INCH, StepKey.LEG_AND_WINDOWS, StepKey.HANDLE_AND_GAP, StepKey.TEACH, StepKey.HAND_OVER);
    }

    private void base(StepKey connect, Particulars particulars) {
        chain(StepKey.CHILD, StepKey.FITS, StepKey.INSERT_STEP, StepKey.SHOULDER, StepKey.THREAD, StepKey.HARNESS);
        chain(StepKey.LABEL, StepKey.HISTORY_STEP, StepKey.PARTS_STEP, StepKey.FITS);
        chain(StepKey.THREAD, StepKey.PLACE, StepKey.GROUND, StepKey.PREPARE);
        fixing(connect, particulars);
        chain(StepKey.INCH, StepKey.LEG_AND_WINDOWS, StepKey.CARRIER_ON);
        chain(StepKey.CARRIER_ON, StepKey.TURN_BACK, StepKey.LEVEL_CHILD, StepKey.HANDLE_AND_GAP, StepKey.TEACH);
        chain(StepKey.TEACH, StepKey.HAND_OVER);
        chain(StepKey.HARNESS, StepKey.TURN_BACK);
        if (particulars.childOrder() == ChildOrder.CHILD_ON_TABLE_FIRST) {
            chain(StepKey.LEG_AND_WINDOWS, StepKey.HARNESS, StepKey.CARRIER_ON);
        } else {
            chain(StepKey.CARRIER_ON, StepKey.HARNESS);
        }
    }

    private void chain(StepKey... steps) {
        for (int i = 0; i < steps.length; i++) {
            Set<StepKey> earlier = before.computeIfAbsent(steps[i], key -> EnumSet.noneOf(StepKey.class));
            if (i > 0) {
                earlier.add(steps[i - 1]);
            }
        }
    }

    /** What must come before a step. */
    public Set<StepKey> before(StepKey step) {
        return Set.copyOf(before.getOrDefault(step, Set.of()));
    }

    /**
     * All steps in order.
     *
     * @throws IllegalStateException when the preconditions contradict each other
     */
    public List<StepKey> inOrder() {
        List<StepKey> done = new ArrayList<>();
        Set<StepKey> left = EnumSet.copyOf(before.keySet());
        while (!left.isEmpty()) {
            StepKey next = left.stream()
                    .filter(step -> done.containsAll(before.get(step)))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("The steps " + left + " wait for each other"));
            done.add(next);
            left.remove(next);
        }
        return List.copyOf(done);
    }
}
