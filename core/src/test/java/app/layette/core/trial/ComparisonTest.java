package app.layette.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.recline.learn.SettingChoice;
import app.layette.core.trial.Advised.Reads;
import app.layette.core.trial.Comparison.Result;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What the advice is worth, on seeds that nobody tuned to. */
class ComparisonTest {
    private static final int CARS = 4_000;
    private static final TrialBand WIDE = TrialBand.of(35, 45);

    @ParameterizedTest
    @CsvSource({"11, NUMBERS", "4242, NUMBERS", "11, ZONES", "90210, ZONES"})
    void theAdviceLandsWithinTwoCyclesInATenDegreeBand(long seed, Reads reads) {
        Result result = new Comparison(seed, CARS).run(new Advised(reads, true, SettingChoice.NEWBORN_SLACK), WIDE, 1);
        assertThat(result.meanCycles()).isLessThanOrEqualTo(2.2);
        assertThat(result.cycles90()).isLessThanOrEqualTo(2);
        assertThat(result.found()).isGreaterThan(0.99);
    }

    @Test
    void trialAndErrorTakesMore() {
        Result result = new Comparison(11, CARS).run(new TrialAndError(), WIDE, 1);
        assertThat(result.meanCycles()).isCloseTo(3.1, within(0.3));
    }

    @ParameterizedTest
    @EnumSource(Reads.class)
    void statedLikelihoodsComeTrueWithinFivePoints(Reads reads) {
        double[] stated = new double[10];
        int[] came = new int[10];
        int[] count = new int[10];
        Advised search = new Advised(reads, true, SettingChoice.NEWBORN_SLACK, (likelihood, inside) -> {
            int bin = (int) Math.min(9, likelihood * 10);
            stated[bin] += likelihood;
            came[bin] += inside ? 1 : 0;
            count[bin]++;
        });
        new Comparison(77, 3 * CARS).run(search, TrialBand.of(40, 45), 1);
        for (int bin = 0; bin < 10; bin++) {
            if (count[bin] >= 1_000) {
                assertThat(came[bin] / (double) count[bin])
                        .as("stated about %s, %s times", bin / 10.0, count[bin])
                        .isCloseTo(stated[bin] / count[bin], within(0.05));
            }
        }
    }
}
