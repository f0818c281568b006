package app.layette.web.standin;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Situation;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.Examples;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SimulatedScaleTest {
    private static final UUID FITTING = UUID.fromString("00000000-0000-4000-8000-00000000002a");
    private static final Situation SITUATION = Examples.plan("ready").situation();

    @Test
    void itWeighsTheChildAsItHasLikelyGrownAndNowAndThenDoesNotAnswer() {
        SimulatedScale scale = new SimulatedScale(new Random(3));
        double known = SITUATION.weight().orElseThrow().value().grams();
        var read = IntStream.range(0, 400)
                .mapToObj(each -> scale.weigh(FITTING, SITUATION))
                .toList();
        assertThat(read.stream().filter(Optional::isEmpty).count()).isBetween(15L, 75L);
        assertThat(read.stream().flatMap(Optional::stream).mapToDouble(Mass::grams))
                .allMatch(each -> each % 5 == 0 && each > known - 30 && each < known * 1.3);
    }

    @Test
    void theBoardReadsNearTheLastLength() {
        SimulatedScale scale = new SimulatedScale(new Random(4));
        double known = SITUATION
                .measured(Dimension.BODY)
                .orElseThrow()
                .value()
                .length()
                .millimetres();
        assertThat(IntStream.range(0, 100)
                        .mapToObj(each -> scale.measure(FITTING, SITUATION))
                        .flatMap(Optional::stream)
                        .mapToDouble(Length::millimetres))
                .allMatch(each -> Math.abs(each - known) < 15);
    }
}
