package app.layette.core.recline.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.entry.Fact.Stage;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Force;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Cushion;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.cushion.Load;
import app.layette.core.recline.cushion.Press;
import app.layette.core.recline.cushion.Tightening;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The worked examples of the handbook: θ0 47, γ 13, L 400, k 15/15, b .4, W₂ 112 at .5, band 40 to 45. */
class BeliefTest {
    private static final ReclineModel MODEL = new ReclineModel(
            Length.ofMillimetres(400),
            Tightening.usual(
                    Cushion.even(15), 0.4, new Load(Force.ofNewtons(40), 0.5), new Load(Force.ofNewtons(112), 0.5)),
            Press.USUAL);
    private static final Zone BAND = Zone.between(Angle.ofDegrees(40), Angle.ofDegrees(45));
    private static final Belief PRIOR = Belief.prior(Angle.ofDegrees(34));

    private static Expectation at(double lift, Stage stage) {
        return MODEL.at(Setting.lifted(Length.ofMillimetres(lift)), stage, Angle.ZERO, Depths.NONE);
    }

    private static Look number(double lift, Stage stage, double degrees) {
        return new Look.OfNumber(at(lift, stage), Angle.ofDegrees(degrees), Look.OfNumber.USUAL_SPREAD);
    }

    private static void state(Belief belief, double a, double footEnd, double headEnd) {
        assertThat(belief.levelRecline().degrees()).as("a").isCloseTo(a, within(0.005));
        assertThat(belief.footEndGive()).as("u_r").isCloseTo(footEnd, within(0.0005));
        assertThat(belief.headEndGive()).as("u_f").isCloseTo(headEnd, within(0.0005));
    }

    private static void child(Belief belief, double lift, double mean, double spread, double likelihood) {
        Prediction child = belief.predict(at(lift, Stage.CHILD));
        assertThat(child.mean().degrees()).as("child at %s", lift).isCloseTo(mean, within(0.01));
        assertThat(child.spread().degrees()).as("spread at %s", lift).isCloseTo(spread, within(0.01));
        assertThat(belief.likelihood(at(lift, Stage.CHILD), BAND))
                .as("p at %s", lift)
                .isCloseTo(likelihood, within(0.001));
    }

    @Test
    void priorExpectationsAndLikelihoods() {
        double[] lifts = {0, 15, 30, 45, 60};
        double[] means = {33.76, 35.91, 38.06, 40.22, 42.39};
        double[] likelihoods = {0.003, 0.035, 0.195, 0.521, 0.728};
        for (int i = 0; i < lifts.length; i++) {
            Expectation child = at(lifts[i], Stage.CHILD);
            assertThat(PRIOR.predict(child).mean().degrees()).isCloseTo(means[i], within(0.01));
            assertThat(PRIOR.likelihood(child, BAND)).as("p at %s", lifts[i]).isCloseTo(likelihoods[i], within(0.001));
        }
    }

    @Test
    void learningFromTwoNumbers() {
        Learned once = Learned.nothing(PRIOR).and(number(45, Stage.PRESSED, 38.5));
        state(once.belief(), 32.687, 1.0386, 0.9686);
        assertThat(once.belief().levelReclineSpread().degrees()).isCloseTo(1.153, within(0.001));
        child(once.belief(), 60, 40.94, 1.15, 0.794);
        Learned twice = once.and(number(60, Stage.CHILD, 42.0));
        state(twice.belief(), 33.149, 1.0167, 0.9710);
        child(twice.belief(), 60, 41.45, 0.88, 0.950);
    }

    @Test
    void learningFromAZone() {
        Expectation pressed = at(45, Stage.PRESSED);
        Learned zone = Learned.nothing(PRIOR).and(new Look.OfZone(pressed, Zone.below(Angle.ofDegrees(40))));
        state(zone.belief(), 32.271, 1.0508, 0.9586);
        assertThat(zone.belief().likelihood(at(60, Stage.CHILD), BAND)).isCloseTo(0.628, within(0.001));
    }

    @Test
    void aNumberFarOffIsRefusedAndItsRepetitionTakenIn() {
        Learned refused = Learned.nothing(PRIOR).and(number(45, Stage.PRESSED, 55));
        assertThat(refused.looks()).isZero();
        assertThat(refused.lookAgain()).isPresent();
        state(refused.belief(), 34, 1, 1);
        Learned other = refused.and(number(45, Stage.PRESSED, 58));
        assertThat(other.looks()).as("it does not agree within 1°").isZero();
        Learned confirmed = refused.and(number(45, Stage.PRESSED, 55.8));
        assertThat(confirmed.looks()).isEqualTo(1);
        assertThat(confirmed.lookAgain()).isEmpty();
        assertThat(confirmed.belief().predict(at(45, Stage.PRESSED)).mean().degrees())
                .isBetween(45.0, 55.8);
    }

    @Test
    void aHopelessZoneMovesToItsNearerBorderAndAsksAgain() {
        Expectation pressed = at(0, Stage.PRESSED);
        Learned learned = Learned.nothing(PRIOR).and(new Look.OfZone(pressed, Zone.from(Angle.ofDegrees(60))));
        assertThat(learned.lookAgain()).isPresent();
        assertThat(learned.belief().predict(pressed).mean().degrees()).isBetween(50.0, 60.0);
    }

    @Test
    void theSlopeOfTheGroundIsTakenOutOfAReading() {
        Setting setting = Setting.lifted(Length.ofMillimetres(45));
        Expectation onSlope = MODEL.at(setting, Stage.CHILD, Angle.ofDegrees(2), Depths.NONE);
        assertThat(PRIOR.predict(onSlope).mean().degrees()).isCloseTo(38.22, within(0.01));
    }

    @Test
    void everyLookNarrowsAndNeverTurnsTheOrderOfTheSettings() {
        Random random = new Random(7);
        for (int run = 0; run < 200; run++) {
            Learned learned = Learned.nothing(Belief.prior(Angle.ofDegrees(28 + 12 * random.nextDouble())));
            double before =
                    learned.belief().predict(at(30, Stage.CHILD)).spread().degrees();
            for (int look = 0; look < 3; look++) {
                Stage stage = Stage.values()[random.nextInt(4)];
                double lift = 15 * random.nextInt(5);
                Expectation expected = at(lift, stage);
                double seen = learned.belief().predict(expected).mean().degrees() + random.nextGaussian();
                Zone zone = Zone.between(Angle.ofDegrees(seen - 1), Angle.ofDegrees(seen + 1));
                learned =
                        learned.and(random.nextBoolean() ? number(lift, stage, seen) : new Look.OfZone(expected, zone));
                double after =
                        learned.belief().predict(at(30, Stage.CHILD)).spread().degrees();
                assertThat(after).isLessThanOrEqualTo(before + 1e-9);
                before = after;
            }
            double last = 0;
            for (double lift : List.of(0.0, 15.0, 30.0, 45.0, 60.0)) {
                double mean =
                        learned.belief().predict(at(lift, Stage.CHILD)).mean().degrees();
                assertThat(mean).as("more lift reclines more").isGreaterThan(last);
                last = mean;
            }
        }
    }
}
