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
import app.layette.core.recline.learn.RuledOut;
import app.layette.core.recline.learn.Setting;
import app.layette.core.recline.learn.SettingChoice;
import app.layette.core.recline.learn.Zone;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * As the advice says: one look while it is pressed at the advised step, learn, tighten at the step then advised, child in,
 * look; when out, that step and all on its side are ruled out, learn and again. After a pass the offered further step may
 * be taken; when it fails, it goes back.
 *
 * @param reads how the indicator is read
 * @param looksFirst whether it is looked at before tightening
 * @param slack likelihood that a more reclined step may cost
 * @param takesOffered the offered step is taken from this likelihood on; more than 1 never takes it
 * @param check is told the likelihood stated for each tightening and whether it came true
 */
public record Advised(Reads reads, boolean looksFirst, double slack, double takesOffered, Calibration check)
        implements Search {
    private static final int GIVES_UP = 15;
    private static final double NEVER = 2;

    /** Told of each tightening. */
    @FunctionalInterface
    public interface Calibration {
        /**
         * One tightening.
         *
         * @param stated likelihood that was stated for it
         * @param came whether it came true
         * @param narrowed whether a look had already ruled settings out, which the likelihood does not know of
         */
        void told(double stated, boolean came, boolean narrowed);
    }

    /** How the indicator is read. */
    public enum Reads {
        NUMBERS,
        ZONES
    }

    public Advised(Reads reads, boolean looksFirst, double slack) {
        this(reads, looksFirst, slack, NEVER, (likelihood, came, narrowed) -> {});
    }

    /** The same, telling how the stated likelihoods come out. */
    public Advised(Reads reads, boolean looksFirst, double slack, Calibration check) {
        this(reads, looksFirst, slack, NEVER, check);
    }

    /** The same, taking what is offered from a likelihood on. */
    public Advised takingOfferedFrom(double likelihood) {
        return new Advised(reads, looksFirst, slack, likelihood, check);
    }

    @Override
    public Outcome search(SearchedCar car, TrialBand band) {
        return new Hand(car, band).search();
    }

    private final class Hand {
        private final SearchedCar car;
        private final TrialBand band;
        private final ReclineModel model;
        private Learned learned;
        private RuledOut ruledOut = RuledOut.NOTHING;
        private int wrongWay;

        Hand(SearchedCar car, TrialBand band) {
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
                int first = advised().orElse(car.seat().lifts().size() - 1);
                learn(at(first, Stage.PRESSED), car.press(car.seat().lifts().get(first)));
                cycles++;
            }
            int tightenings = 0;
            OptionalInt step = advised();
            while (step.isPresent()) {
                int here = step.getAsInt();
                Angle angle = tighten(here);
                cycles++;
                tightenings++;
                if (band.contains(angle)) {
                    return further(here, angle, cycles, tightenings);
                }
                if (cycles >= GIVES_UP) {
                    return new Outcome(cycles, tightenings, false, here, angle, wrongWay);
                }
                look(here, angle);
                step = advised();
                wrongWay += isWrongWay(step, here, angle) ? 1 : 0;
            }
            return Outcome.nothingNamed(cycles, tightenings, wrongWay);
        }

        private Angle tighten(int step) {
            double stated = learned.belief().likelihood(at(step, Stage.CHILD), band.zone());
            Angle angle = car.tighten(car.seat().lifts().get(step));
            check.told(stated, band.contains(angle), !ruledOut.equals(RuledOut.NOTHING));
            return angle;
        }

        /** With the child in: what is out of the band, as the eye sees it, rules its side out. */
        private void look(int step, Angle angle) {
            learn(at(step, Stage.CHILD), angle);
            ruledOut = band.isBelow(angle) ? ruledOut.tooUprightAt(step) : ruledOut.tooReclinedAt(step);
        }

        private boolean isWrongWay(OptionalInt next, int here, Angle angle) {
            return next.isPresent() && (band.isBelow(angle) ? next.getAsInt() <= here : next.getAsInt() >= here);
        }

        /** The offered step: taken where it is likely enough, and taken back where it fails. */
        private Outcome further(int passed, Angle angle, int cycles, int tightenings) {
            learn(at(passed, Stage.CHILD), angle);
            int next = passed + 1;
            boolean offered = next < car.seat().lifts().size()
                    && ruledOut.leaves(next)
                    && learned.belief().likelihood(at(next, Stage.CHILD), band.zone()) >= takesOffered;
            if (!offered) {
                return new Outcome(cycles, tightenings, true, passed, angle, wrongWay);
            }
            Angle further = tighten(next);
            return band.contains(further)
                    ? further(next, further, cycles + 1, tightenings + 1)
                    : new Outcome(cycles + 2, tightenings + 2, true, passed, angle, wrongWay);
        }

        private Expectation at(int step, Stage stage) {
            return model.at(Setting.lifted(car.seat().lifts().get(step)), stage, Angle.ZERO, Depths.NONE);
        }

        private OptionalInt advised() {
            List<Double> likelihoods = new ArrayList<>();
            for (int step = 0; step < car.seat().lifts().size(); step++) {
                likelihoods.add(learned.belief().likelihood(at(step, Stage.CHILD), band.zone()));
            }
            return SettingChoice.of(likelihoods, ruledOut, slack);
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
