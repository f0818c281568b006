package app.layette.web.standin;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.growth.ChildHeights;
import app.layette.core.growth.Growth;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.web.workbench.BabyScale;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * A scale and a length board that pretend: the child as it has likely grown since it was last measured, or an ordinary
 * newborn, read with noise; now and then they do not answer. What they send is entered as simulated and checks nothing.
 */
@StandIn
@Component
class SimulatedScale implements BabyScale {
    private static final double NEWBORN_GRAMS = 3300;
    private static final double NEWBORN_MM = 500;
    private static final double NOISE_GRAMS = 4;
    private static final double NOISE_MM = 3;
    private static final double READS_TO_GRAMS = 5;
    private static final Duration REMEMBERED = Duration.ofHours(2);
    private static final int MOST_REMEMBERED = 5000;
    private static final double DROP_OUT = 0.1;

    private final Random noise;
    /** What was given out of late: whoever enters it as measured entered what nobody measured. */
    private final Cache<Given, Boolean> given = Caffeine.newBuilder()
            .maximumSize(MOST_REMEMBERED)
            .expireAfterWrite(REMEMBERED)
            .build();

    private record Given(UUID fitting, Object reading) {}

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
        return answers(fitting, Mass.ofGrams(Math.round(read / READS_TO_GRAMS) * READS_TO_GRAMS));
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
        return answers(fitting, Length.ofMillimetres(Math.round(truth + noise.nextGaussian() * NOISE_MM)));
    }

    private <T> Optional<T> answers(UUID fitting, T reading) {
        if (noise.nextDouble() < DROP_OUT) {
            return Optional.empty();
        }
        given.put(new Given(fitting, number(reading)), Boolean.TRUE);
        return Optional.of(reading);
    }

    @Override
    public boolean pretended(UUID fitting, Fact fact) {
        Object reading = fact instanceof Fact.Weighed weighed
                ? weighed.mass()
                : fact instanceof Fact.LengthMeasured measured && measured.what() == Dimension.BODY
                        ? measured.length()
                        : null;
        return reading != null && given.getIfPresent(new Given(fitting, number(reading))) != null;
    }

    /** However it was typed. */
    private static String number(Object reading) {
        return reading instanceof Mass mass
                ? Math.round(mass.grams()) + " g"
                : Math.round(((Length) reading).millimetres()) + " mm";
    }
}
