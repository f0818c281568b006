package app.layette.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.recline.learn.SettingChoice;
import app.layette.core.trial.Advised.Reads;
import app.layette.core.trial.Comparison.Result;
import java.util.function.BiConsumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What the advice is worth, on seeds that nobody tuned to. */
class ComparisonTest {
    private static final int CARS = 4_000;
    private static final TrialBand WIDE = TrialBand.of(35, 45);

    @ParameterizedTest
    @CsvSource({"11, NUMBERS, 35", "4242, NUMBERS, 40", "11, ZONES, 35", "90210, ZONES, 40"})
    void theAdviceLandsWithinItsBudgetAndNeverTheWrongWay(long seed, Reads reads, int from) {
        TrialBand band = TrialBand.of(from, 45);
        Advised advised = new Advised(reads, true, SettingChoice.NEWBORN_SLACK);
        Result plain = new Comparison(seed, CARS).run(advised, band, 1);
        assertThat(plain.meanCycles()).isLessThanOrEqualTo(2.25);
        assertThat(plain.cycles90()).isLessThanOrEqualTo(3);
        assertThat(plain.found()).isGreaterThan(0.97);
        Result further = new Comparison(seed, CARS).run(advised.takingOfferedFrom(0.6), band, 1);
        assertThat(further.meanCycles()).isLessThanOrEqualTo(2.40);
        assertThat(further.mostReclined()).isGreaterThan(plain.mostReclined());
        assertThat(plain.wrongWay() + further.wrongWay()).isZero();
    }

    @Test
    void trialAndErrorTakesMore() {
        Result result = new Comparison(11, CARS).run(new TrialAndError(), WIDE, 1);
        assertThat(result.meanCycles()).isCloseTo(3.1, within(0.3));
    }

    /**
     * The cars are those that some step can reach, and a look that ruled steps out is not in the likelihood: both make it
     * say a little less than comes true. It never says more than five points too much.
     */
    @ParameterizedTest
    @EnumSource(Reads.class)
    void theAdviceNeverPromisesTooMuch(Reads reads) {
        Bins promised = new Bins();
        Advised advised = new Advised(
                reads, true, SettingChoice.NEWBORN_SLACK, (stated, came, narrowed) -> promised.add(stated, came));
        new Comparison(77, 3 * CARS).run(advised, TrialBand.of(40, 45), 1);
        promised.check((came, stated) -> assertThat(came).isBetween(stated - 0.05, stated + 0.10));
    }

    /** Stated likelihoods in tenths. */
    private static final class Bins {
        private final double[] stated = new double[10];
        private final int[] came = new int[10];
        private final int[] count = new int[10];

        void add(double likelihood, boolean inside) {
            int bin = (int) Math.min(9, likelihood * 10);
            stated[bin] += likelihood;
            came[bin] += inside ? 1 : 0;
            count[bin]++;
        }

        void check(BiConsumer<Double, Double> claim) {
            for (int bin = 0; bin < 10; bin++) {
                if (count[bin] >= 500) {
                    claim.accept(came[bin] / (double) count[bin], stated[bin] / count[bin]);
                }
            }
        }
    }
}
