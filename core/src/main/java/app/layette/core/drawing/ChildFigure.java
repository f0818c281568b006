package app.layette.core.drawing;

import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Situation;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.measure.Length;
import java.util.Optional;

/**
 * The sizes a child is drawn with: what was measured, else the usual proportions of a newborn. Proportions are for
 * drawing alone; no rule reads them.
 *
 * @param shoulder seated height of the shoulder's top along the shell back, in mm
 * @param crown seated height of the head's top, in mm
 * @param shoulderMeasured whether the shoulder was measured
 * @param crownMeasured whether the crown was measured
 */
public record ChildFigure(double shoulder, double crown, boolean shoulderMeasured, boolean crownMeasured) {
    private static final double TYPICAL_NEWBORN_MM = 500;
    private static final double SHOULDER_SHARE = 0.43;
    private static final double CROWN_SHARE = 0.66;
    private static final double ARMPIT_BELOW_SHOULDER_SHARE = 0.09;

    public static ChildFigure of(Situation situation) {
        double body = situation
                .measured(Dimension.BODY)
                .map(measured -> measured.value().length().millimetres())
                .orElse(TYPICAL_NEWBORN_MM);
        var shoulder = situation.shoulder();
        var crown = situation.crown();
        double lift = situation.insertLift().millimetres();
        double shoulderMm = shoulder.map(each -> each.value().millimetres())
                .or(() -> betweenSlots(situation))
                .orElse(SHOULDER_SHARE * body + lift);
        double crownMm = crown.map(each -> each.value().millimetres())
                .orElse(shoulderMm + (CROWN_SHARE - SHOULDER_SHARE) * body);
        return new ChildFigure(shoulderMm, crownMm, shoulder.isPresent(), crown.isPresent());
    }

    /** Seen by eye only: drawn half-way between the slot below and the one above it. */
    private static Optional<Double> betweenSlots(Situation situation) {
        return ShoulderAndSlots.in(situation)
                .filter(look -> look.best() >= 1 && look.best() < look.slots().size())
                .map(look -> (look.slots().get(look.best() - 1).millimetres()
                                + look.slots().get(look.best()).millimetres())
                        / 2);
    }

    /** Height of the armpit, where the chest clip belongs. */
    public double armpit() {
        return shoulder - ARMPIT_BELOW_SHOULDER_SHARE * shoulder / SHOULDER_SHARE;
    }

    public Length shoulderLength() {
        return Length.ofMillimetres(shoulder);
    }

    public double headRadius() {
        return Math.max(45, (crown - shoulder) * 0.54);
    }
}
