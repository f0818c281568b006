package app.layette.web.standin;

import app.layette.core.entry.Fact.RollPlaced;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.measure.Angle;
import app.layette.core.recline.GroundLevel;
import app.layette.core.recline.ReclineSetUp;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.seat.Recline;
import app.layette.web.workbench.AngleGauge;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * An angle gauge that pretends. Each fitting has a car of its own, as far off its sheet as cars are, which nothing else in
 * the application knows; the gauge reads that car with noise, and now and then does not answer.
 */
@StandIn
@Component
class SimulatedGauge implements AngleGauge {
    /** 1 sd by which a cushion and a seat together differ from their sheets. */
    private static final double OFF_SHEET_DEGREES = 2.1;

    private static final double NOISE_DEGREES = 0.2;
    private static final double DROP_OUT = 0.15;
    private static final double SHOWN_TO = 10;

    private final Random noise;

    SimulatedGauge() {
        this(new Random());
    }

    SimulatedGauge(Random noise) {
        this.noise = noise;
    }

    @Override
    public Optional<Angle> read(UUID fitting, Situation situation, Stage stage) {
        Optional<Angle> truth = truth(fitting, situation, stage);
        if (truth.isEmpty() || noise.nextDouble() < DROP_OUT) {
            return Optional.empty();
        }
        double read = truth.get().degrees() + noise.nextGaussian() * NOISE_DEGREES;
        return Optional.of(Angle.ofDegrees(Math.round(read * SHOWN_TO) / SHOWN_TO));
    }

    /** What a perfect gauge would read; empty where the sheets do not tell enough to pretend from. */
    static Optional<Angle> truth(UUID fitting, Situation situation, Stage stage) {
        Optional<ReclineSetUp> setUp = ReclineSetUp.of(situation);
        Optional<RollPlaced> roll = situation.newest(RollPlaced.class).map(Stamped::value);
        List<Recline.Step> settings = ReclineSetUp.settings(situation);
        Optional<Recline.Step> step = ReclineSetUp.stepNow(situation)
                .or(() -> settings.isEmpty() ? Optional.of(Recline.Step.PLAIN) : Optional.empty());
        double off = new Random(fitting.getLeastSignificantBits()).nextGaussian() * OFF_SHEET_DEGREES;
        return setUp.flatMap(each -> step.flatMap(
                        at -> each.expect(at, roll, stage, false, GroundLevel.pitch(situation), Depths.NONE))
                .map(expected -> each.prior().predict(expected).mean().plus(Angle.ofDegrees(off))));
    }

    @Override
    public boolean isSimulated() {
        return true;
    }
}
