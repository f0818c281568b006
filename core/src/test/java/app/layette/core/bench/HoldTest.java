package app.layette.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Hold;
import app.layette.core.bench.state.Straps;
import app.layette.core.bench.state.Truth;
import app.layette.core.entry.Method;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Force;
import app.layette.core.recline.cushion.Press;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What the physics of the bench never does, over random cushions and hands. */
class HoldTest {
    private static final int TIMES = 400;

    private final Random random = new Random(5);

    private Hold somewhere() {
        Scene scene = Scene.of(1 + random.nextInt(500), Method.BASE_BELT, FittingBuilder.TODAY);
        Hold hold = scene.truth().hold().fastened(true);
        for (int i = random.nextInt(4); i > 0; i--) {
            hold = random.nextBoolean() ? hold.pulled(press(random.nextDouble())) : hold.pressed(press(0.5));
        }
        return hold.locked(true).loaded(random.nextBoolean());
    }

    private Press press(double at) {
        return press(at, 50 + 400 * random.nextDouble(), 10 + 150 * random.nextDouble());
    }

    private static Press press(double at, double force, double pull) {
        return new Press(Force.ofNewtons(force), at, Force.ofNewtons(pull));
    }

    @Test
    void moreForceOrPullNeverLoosens() {
        for (int i = 0; i < TIMES; i++) {
            Hold hold = somewhere();
            double at = random.nextDouble();
            double force = 400 * random.nextDouble();
            double pull = 150 * random.nextDouble();
            double before = hold.movementMm();
            double less = hold.pulled(press(at, force, pull)).movementMm();
            double harder = hold.pulled(press(at, force + 100, pull)).movementMm();
            double pulled = hold.pulled(press(at, force, pull + 60)).movementMm();
            assertThat(harder).isLessThanOrEqualTo(less + 1e-9);
            assertThat(pulled).isLessThanOrEqualTo(less + 1e-9);
            if (hold.tight()) {
                assertThat(less).as("no pull ever loosens").isLessThanOrEqualTo(before + 1e-9);
            }
        }
    }

    @Test
    void tighteningWithTheFootEndPressedNeverReclines() {
        for (int i = 0; i < TIMES; i++) {
            Hold hold = somewhere().loosened();
            Press foot = press(0, 100 + 300 * random.nextDouble(), 60);
            Hold pressedInTheMiddle =
                    hold.pulled(press(0.5, foot.hand().newtons(), foot.pull().newtons()));
            assertThat(hold.pulled(foot).recline(Angle.ZERO).degrees())
                    .isLessThanOrEqualTo(pressedInTheMiddle.recline(Angle.ZERO).degrees() + 1e-9);
        }
    }

    @Test
    void slackIsNeverNegativeAndNothingHeldMovesLessThanSomethingLoose() {
        for (int i = 0; i < TIMES; i++) {
            Hold hold = somewhere();
            assertThat(hold.slackMm()).isNotNegative();
            assertThat(hold.tensionNewtons()).isNotNegative();
            assertThat(hold.loosened().movementMm()).isGreaterThan(Truth.AN_INCH_MM);
            assertThat(hold.fastened(false).movementMm()).isGreaterThan(Truth.AN_INCH_MM);
            assertThat(hold.locked(false).movementMm()).isGreaterThan(Truth.AN_INCH_MM);
            assertThat(hold.pressed(press(0.5)).tensionNewtons())
                    .as("pressed without pulling")
                    .isLessThanOrEqualTo(hold.tensionNewtons() + 1e-9);
        }
    }

    @Test
    void theFootEndHigherReclinesAndATightStrapPullsDeeper() {
        for (int i = 0; i < TIMES; i++) {
            Hold hold = somewhere().loosened();
            int step = hold.lifts().size() - 1;
            assertThat(hold.at(step).recline(Angle.ZERO).degrees())
                    .isGreaterThanOrEqualTo(hold.at(0).recline(Angle.ZERO).degrees());
            Hold tight = hold.at(0).pulled(press(0.5, 300, 80));
            assertThat(tight.at(step).tensionNewtons()).isGreaterThanOrEqualTo(tight.tensionNewtons());
            assertThat(tight.at(step).at(0).recline(Angle.ZERO).degrees())
                    .isCloseTo(tight.recline(Angle.ZERO).degrees(), within(1e-9));
        }
    }

    @Test
    void theTailDrawsWhatIsAtTheShouldersAndNothingElse() {
        for (int i = 0; i < TIMES; i++) {
            Straps straps = Straps.OPEN.latched(true).slack(80 * random.nextDouble(), 60 * random.nextDouble());
            double newtons = 150 * random.nextDouble();
            Straps pulled = straps.tail(newtons);
            assertThat(pulled.shoulderMm()).isBetween(0.0, straps.shoulderMm());
            assertThat(pulled.hipMm()).as("what was not touched").isEqualTo(straps.hipMm());
            assertThat(straps.tail(newtons + 20).shoulderMm()).isLessThanOrEqualTo(pulled.shoulderMm());
            Straps lifted = straps.fromTheHips();
            assertThat(lifted.hipMm()).isZero();
            assertThat(lifted.shoulderMm()).isEqualTo(straps.shoulderMm() + straps.hipMm());
            assertThat(straps.latched(false).tail(newtons)).isEqualTo(straps.latched(false));
        }
    }
}
