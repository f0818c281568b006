package app.layette.web.standin;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Situation;
import app.layette.core.measure.Angle;
import app.layette.formats.Examples;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SimulatedGaugeTest {
    private static final UUID FITTING = UUID.fromString("00000000-0000-4000-8000-00000000002a");
    private static final Situation SITUATION = Examples.plan("ready").situation();

    @Test
    void itReadsItsOwnCarWithNoiseAndNowAndThenNothing() {
        SimulatedGauge gauge = new SimulatedGauge(new Random(11));
        double truth = SimulatedGauge.truth(FITTING, SITUATION, Stage.TIGHT)
                .orElseThrow()
                .degrees();
        var read = IntStream.range(0, 400)
                .mapToObj(each -> gauge.read(FITTING, SITUATION, Stage.TIGHT))
                .toList();
        assertThat(read.stream().filter(Optional::isEmpty).count()).isBetween(30L, 90L);
        assertThat(read.stream().flatMap(Optional::stream).mapToDouble(Angle::degrees))
                .allMatch(each -> Math.abs(each - truth) < 1.2);
        assertThat(read.stream().flatMap(Optional::stream).distinct().count()).isGreaterThan(5);
    }

    @Test
    void everyFittingHasAnotherCar() {
        assertThat(IntStream.range(0, 20)
                        .mapToObj(each -> SimulatedGauge.truth(UUID.randomUUID(), SITUATION, Stage.TIGHT))
                        .distinct())
                .hasSizeGreaterThan(15);
    }

    @Test
    void whereTheSheetsSayTooLittleItIsSilent() {
        assertThat(new SimulatedGauge(new Random(1))
                        .read(FITTING, Examples.plan("slot-above-shoulder").situation(), Stage.PRESSED))
                .isEmpty();
    }
}
