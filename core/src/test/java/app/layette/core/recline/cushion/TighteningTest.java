package app.layette.core.recline.cushion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Force;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineGeometry;
import app.layette.core.recline.cushion.Tightening.Held;
import app.layette.core.recline.cushion.Tightening.Stages;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The worked tables of the handbook, section 6, and what must hold for any cushion. */
class TighteningTest {
    private static final double CLOSE = 0.01;

    private static Load load(double newtons, double at) {
        return new Load(Force.ofNewtons(newtons), at);
    }

    private static Press press(double hand, double at, double pull) {
        return new Press(Force.ofNewtons(hand), at, Force.ofNewtons(pull));
    }

    private static final class Table {
        private final ReclineGeometry geometry;
        private final Length lift;

        Table(double a, double lift, double contact) {
            this.geometry = new ReclineGeometry(Angle.ofDegrees(a), Angle.ZERO, Length.ofMillimetres(contact));
            this.lift = Length.ofMillimetres(lift);
        }

        void row(String stage, Held held, double footEnd, double headEnd, double tension, double recline) {
            assertThat(held.depths().footEndMm()).as("c_r, %s", stage).isCloseTo(footEnd, within(CLOSE));
            assertThat(held.depths().headEndMm()).as("c_f, %s", stage).isCloseTo(headEnd, within(CLOSE));
            assertThat(held.tension().newtons()).as("T, %s", stage).isCloseTo(tension, within(CLOSE));
            assertThat(geometry.recline(lift, Angle.ZERO, Angle.ZERO, held.depths())
                            .degrees())
                    .as("θ, %s", stage)
                    .isCloseTo(recline, within(CLOSE));
        }
    }

    private static void foam(Stages stages, double footEnd, double headEnd, double lockDepth) {
        assertThat(stages.foam().footEndMm()).as("m_r").isCloseTo(footEnd, within(CLOSE));
        assertThat(stages.foam().headEndMm()).as("m_f").isCloseTo(headEnd, within(CLOSE));
        assertThat(stages.lockDepthMm()).as("d*").isCloseTo(lockDepth, within(CLOSE));
    }

    @Test
    void tableE1() {
        Stages stages = new Tightening(Cushion.even(15), 0.4, load(40, 0.5), load(112, 0.5), 0.5, 0)
                .stages(press(300, 0.5, 50));
        Table table = new Table(34, 30, 400);
        table.row("rest", stages.rest(), 1.33, 1.33, 0, 38.30);
        table.row("pressed", stages.pressed(), 13.33, 12.67, 50, 38.21);
        foam(stages, 6.00, 5.67, 13.07);
        table.row("tight", stages.tight(), 14.10, 11.51, 169.23, 37.93);
        table.row("child", stages.child(), 13.73, 12.07, 100.00, 38.06);
    }

    @Test
    void tableE2() {
        Stages stages = new Tightening(Cushion.of(8, 10), 0.4, load(40, 0.5), load(112, 0.55), 0.5, 0)
                .stages(press(300, 0, 50));
        Table table = new Table(34, 45, 400);
        table.row("rest", stages.rest(), 2.50, 2.00, 0, 40.39);
        table.row("pressed", stages.pressed(), 43.75, 4.00, 50, 34.75);
        foam(stages, 20.63, 1.00, 27.85);
        table.row("tight", stages.tight(), 38.83, 11.38, 209.43, 36.51);
        table.row("child", stages.child(), 37.78, 12.95, 144.77, 36.89);
    }

    @Test
    void tableE3() {
        Stages stages =
                new Tightening(Cushion.even(8), 0.45, load(40, 0.5), load(140, 0.6), 0.5, 2).stages(press(60, 1, 0));
        Table table = new Table(36, 30, 420);
        table.row("rest", stages.rest(), 2.50, 2.50, 0, 40.10);
        table.row("pressed", stages.pressed(), 2.50, 10.00, 0, 41.12);
        foam(stages, 0, 3.75, 3.88);
        table.row("tight", stages.tight(), 2.50, 6.25, 0, 40.61);
        table.row("child", stages.child(), 7.00, 14.25, 0, 41.09);
        assertThat(stages.tight().isSlack()).isTrue();
    }

    @Test
    void aLoadBeyondAnEndTips() {
        assertThat(load(40, 1.2).tips()).isTrue();
        assertThat(load(40, -0.01).tips()).isTrue();
        assertThat(load(40, 1).tips()).isFalse();
    }

    @Test
    void overAnyCushion() {
        Random random = new Random(20261);
        for (int i = 0; i < 500; i++) {
            double kr = 5 + 30 * random.nextDouble();
            double kf = 5 + 30 * random.nextDouble();
            double b = 0.3 + 0.3 * random.nextDouble();
            double eta = random.nextDouble();
            Tightening tightening =
                    new Tightening(Cushion.of(kr, kf), b, load(40, 0.5), load(112, 0.5), eta, 3 * random.nextDouble());
            Press press = press(80 + 400 * random.nextDouble(), random.nextDouble(), 50);
            Stages once = tightening.stages(press);
            assertThat(once.child().tension().newtons())
                    .as("a heavier load never tightens")
                    .isLessThanOrEqualTo(once.tight().tension().newtons());
            Stages twice = tightening.stages(List.of(press, press), Depths.NONE);
            assertThat(twice.lockDepthMm())
                    .as("a second press never locks shallower")
                    .isGreaterThanOrEqualTo(once.lockDepthMm());
            Stages again = tightening.stages(List.of(press), once.foam());
            assertThat(again.foam().footEndMm())
                    .isGreaterThanOrEqualTo(once.foam().footEndMm());
            double towardsFoot =
                    tightening.stages(press.movedTo(0)).tight().depths().differenceMm();
            double towardsHead =
                    tightening.stages(press.movedTo(1)).tight().depths().differenceMm();
            assertThat(towardsHead)
                    .as("pressing at the head end reclines, at the foot end makes upright")
                    .isGreaterThanOrEqualTo(towardsFoot - 1e-9);
        }
    }
}
