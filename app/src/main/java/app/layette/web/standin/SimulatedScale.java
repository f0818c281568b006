package app.layette.web.standin;

import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.growth.ChildHeights;
import app.layette.core.growth.Growth;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.web.workbench.BabyScale;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * A scale and a length board that pretend: the child as it has likely grown since it was last measured, or an ordinary
 * newborn, read with noise; now and then they do not answer. What they send is entered as simulated and checks nothing.
 */
@Component
class SimulatedScale implements BabyScale {
    private static final double NEWBORN_GRAMS = 3300;
    private static final double NEWBORN_MM = 500;
    private static final double NOISE_GRAMS = 4;
    private static final double NOISE_MM = 3;
    private static final double READS_TO_GRAMS = 5;
    private static final double DROP_OUT = 0.1;

    private final Random noise;

    SimulatedScale() {
        this(new Random());
    }

    SimulatedScale(Random noise) {
        this.noise = noise;
    }

    @Override
    public Optional<Mass> weigh(UUID fitting, Situation situation) {
        double truth = situation
                .weight()
                .map(weight -> grown(situation, weight))
                .orElse(Mass.ofGrams(NEWBORN_GRAMS))
                .grams();
        double read = truth + noise.nextGaussian() * NOISE_GRAMS;
        return answers(Mass.ofGrams(Math.round(read / READS_TO_GRAMS) * READS_TO_GRAMS));
    }

    private static Mass grown(Situation situation, Stamped<Mass> weight) {
        boolean today = !weight.on().isBefore(situation.today());
        Optional<Growth> growth = ChildHeights.growth(situation);
        if (today || growth.isEmpty()) {
            return weight.value();
        }
        List<Growth.Expected> path = growth.get().weights(weight.value(), weight.on(), situation.today(), 1);
        return path.get(path.size() - 1).likely();
    }

    @Override
    public Optional<Length> measure(UUID fitting, Situation situation) {
        double truth = situation
                .measured(Dimension.BODY)
                .map(measured -> measured.value().length().millimetres())
                .orElse(NEWBORN_MM);
        return answers(Length.ofMillimetres(Math.round(truth + noise.nextGaussian() * NOISE_MM)));
    }

    private <T> Optional<T> answers(T reading) {
        return noise.nextDouble() < DROP_OUT ? Optional.empty() : Optional.of(reading);
    }
}
