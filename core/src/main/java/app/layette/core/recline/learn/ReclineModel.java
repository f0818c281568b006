package app.layette.core.recline.learn;

import app.layette.core.entry.Fact.Stage;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.cushion.Press;
import app.layette.core.recline.cushion.Tightening;
import java.util.List;

/**
 * What is expected of a base on a nominal cushion.
 *
 * <pre>
 * α = asin(ℓ/L);  r = (180/π) / (L cos α);  H = (1, −r C_r, r C_f)
 * Q = q² + 0.3² + (0.02 α°)² + (0.2 h r)²
 * q = (180/π)(P/L) · 0.10 · (1/k_r + 1/k_f) × {rest 0, pressed 1, tight and child η}
 * </pre>
 *
 * @param contact L
 * @param tightening the cushion, the loads and the pull
 * @param press the press that is assumed
 */
public record ReclineModel(Length contact, Tightening tightening, Press press) {
    private static final double DEGREES = 180 / Math.PI;
    /** Spread of where a hand presses, as a share of L (1 sd). */
    private static final double PRESS_SPREAD = 0.10;

    private static final double ALWAYS = 0.3;
    private static final double OF_TILT = 0.02;
    private static final double OF_ROLL = 0.2;

    /**
     * Row, offset and noise of a reading.
     *
     * @param ground δ, nose-up positive
     * @param before what the foam keeps from earlier presses; counts for a reading at rest
     */
    public Expectation at(Setting setting, Stage stage, Angle ground, Depths before) {
        double length = contact.millimetres();
        double ratio = Math.max(-0.99, Math.min(0.99, setting.lift().millimetres() / length));
        double tilt = Math.asin(ratio);
        double r = DEGREES / (length * Math.cos(tilt));
        Depths depths = depths(stage, before);
        double q = pressNoise(stage);
        double alpha = Math.toDegrees(tilt);
        double noise = q * q
                + ALWAYS * ALWAYS
                + OF_TILT * alpha * OF_TILT * alpha
                + Math.pow(OF_ROLL * setting.roll().millimetres() * r, 2);
        Angle offset = Angle.ofDegrees(alpha).plus(setting.slide()).minus(ground);
        return new Expectation(-r * depths.footEndMm(), r * depths.headEndMm(), offset, noise);
    }

    /** The nominal compressions at a stage. */
    public Depths depths(Stage stage, Depths before) {
        Tightening.Stages stages = tightening.stages(List.of(press), before);
        return switch (stage) {
            case LOOSE -> stages.rest().depths();
            case PRESSED -> stages.pressed().depths();
            case TIGHT -> stages.tight().depths();
            case CHILD -> stages.child().depths();
        };
    }

    /** What the foam keeps after one press. */
    public Depths foam() {
        return tightening.stages(press).foam();
    }

    private double pressNoise(Stage stage) {
        double share = switch (stage) {
            case LOOSE -> 0;
            case PRESSED -> 1;
            case TIGHT, CHILD -> tightening.foamSet();
        };
        double give = 1 / tightening.cushion().footEnd().newtonsPerMm()
                + 1 / tightening.cushion().headEnd().newtonsPerMm();
        return DEGREES * press.hand().newtons() / contact.millimetres() * PRESS_SPREAD * give * share;
    }
}
