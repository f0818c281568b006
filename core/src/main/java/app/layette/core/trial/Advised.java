package app.layette.core.trial;

import app.layette.core.entry.Fact.Stage;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Force;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.cushion.Load;
import app.layette.core.recline.cushion.Press;
import app.layette.core.recline.cushion.Tightening;
import app.layette.core.recline.learn.Belief;
import app.layette.core.recline.learn.Expectation;
import app.layette.core.recline.learn.Learned;
import app.layette.core.recline.learn.Look;
import app.layette.core.recline.learn.ReclineModel;
import app.layette.core.recline.learn.Setting;
import app.layette.core.recline.learn.SettingChoice;
import app.layette.core.recline.learn.Zone;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;

/**
 * As the advice says: one look while it is pressed at the advised step, learn, tighten at the step then advised, child in,
 * look; when out, learn and again.
 *
 * @param reads how the indicator is read
 * @param looksFirst whether it is looked at before tightening
 * @param slack likelihood that a more reclined step may cost
 * @param check is told the likelihood stated for each tightening and whether it came true
 */
public record Advised(Reads reads, boolean looksFirst, double slack, BiConsumer<Double, Boolean> check)
        implements Search {
    private static final int GIVES_UP = 15;

    /** How the indicator is read. */
    public enum Reads {
        NUMBERS,
        ZONES
    }

    public Advised(Reads reads, boolean looksFirst, double slack) {
        this(reads, looksFirst, slack, (likelihood, came) -> {});
    }

    @Override
    public Outcome search(TrialCar car, TrialBand band) {
        return new Hand(car, band).search();
    }

    private final class Hand {
        private final TrialCar car;
        private final TrialBand band;
        private final ReclineModel model;
        private Learned learned;

        Hand(TrialCar car, TrialBand band) {
            this.car = car;
            this.band = band;
            Tightening usual = Tightening.usual(
                    car.nominalCushion(),
                    Tightening.USUAL_PULL,
                    new Load(Force.ofNewtons(40), 0.5),
                    new Load(Force.ofNewtons(112), 0.5));
            this.model = new ReclineModel(car.seat().contact(), usual, Press.USUAL);
            this.learned = Learned.nothing(Belief.prior(car.seat().theta0().minus(car.sheetSlope())));
        }

        Outcome search() {
            int cycles = 0;
            if (looksFirst) {
                int step = advised();
                learn(at(step, Stage.PRESSED), car.press(car.seat().lifts().get(step)));
                cycles++;
            }
            int tightenings = 0;
            while (true) {
                int step = advised();
                double stated = learned.belief().likelihood(at(step, Stage.CHILD), band.zone());
                Angle angle = car.tighten(car.seat().lifts().get(step));
                boolean inside = band.contains(angle);
                check.accept(stated, inside);
                cycles++;
                tightenings++;
                if (inside || cycles >= GIVES_UP) {
                    return new Outcome(cycles, tightenings, inside, step);
                }
                learn(at(step, Stage.CHILD), angle);
            }
        }

        private Expectation at(int step, Stage stage) {
            return model.at(Setting.lifted(car.seat().lifts().get(step)), stage, Angle.ZERO, Depths.NONE);
        }

        private int advised() {
            List<Double> likelihoods = new ArrayList<>();
            for (int step = 0; step < car.seat().lifts().size(); step++) {
                likelihoods.add(learned.belief().likelihood(at(step, Stage.CHILD), band.zone()));
            }
            return SettingChoice.of(likelihoods, slack);
        }

        private void learn(Expectation expected, Angle truth) {
            Zone zone = band.zoneOf(car.seen(truth));
            Look look = reads == Reads.NUMBERS
                    ? new Look.OfNumber(expected, car.number(truth), Look.OfNumber.USUAL_SPREAD)
                    : new Look.OfZone(expected, zone);
            learned = learned.and(look);
        }
    }
}
