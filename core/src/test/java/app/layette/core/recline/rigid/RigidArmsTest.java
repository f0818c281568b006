package app.layette.core.recline.rigid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RigidArmsTest {
    private static final RigidArms ARMS = new RigidArms(mm(-60), mm(40), mm(430), mm(20));
    private static final Length ANCHORS = mm(330);

    private static Length mm(double millimetres) {
        return Length.ofMillimetres(millimetres);
    }

    @ParameterizedTest
    @ValueSource(doubles = {250, 290, 310, 340, 400})
    void theSolutionSatisfiesItsEquation(double leg) {
        double phi = ARMS.rise(ANCHORS, mm(leg)).orElseThrow().radians();
        assertThat(330 + (430 + 60) * Math.sin(phi) + (20 - 40) * Math.cos(phi) - leg)
                .isCloseTo(0, within(1e-9));
    }

    @Test
    void aLevelBaseKeepsItsOwnAngle() {
        Angle theta0 = Angle.ofDegrees(43);
        assertThat(ARMS.recline(theta0, ANCHORS, mm(310), Angle.ZERO, Angle.ZERO)
                        .orElseThrow()
                        .degrees())
                .isCloseTo(43, within(1e-9));
    }

    @Test
    void aLongerLegMakesUprightAndOneThatCannotReachHasNoAngle() {
        double before = 90;
        for (double leg = 250; leg <= 420; leg += 10) {
            double now = ARMS.recline(Angle.ofDegrees(43), ANCHORS, mm(leg), Angle.ZERO, Angle.ZERO)
                    .orElseThrow()
                    .degrees();
            assertThat(now).isLessThan(before);
            before = now;
        }
        assertThat(ARMS.rise(ANCHORS, mm(1000))).isEmpty();
        assertThat(ARMS.rise(ANCHORS, mm(800))).isEmpty();
    }
}
