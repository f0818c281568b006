package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Bodies that trickle in for ever hold some threads, and never all. */
class BodiesAtOnceTest {
    private static final int EACH = 16;
    private static final int ALL = 40;

    private final BodiesAtOnce bodies = new BodiesAtOnce();

    private long taken(IntStream addresses) {
        return addresses.filter(each -> bodies.begin("10.0.0." + each)).count();
    }

    @Test
    void oneAddressHoldsSomeAndSomebodyElseIsTaken() {
        assertThat(taken(IntStream.generate(() -> 1).limit(20))).isEqualTo(EACH);
        assertThat(bodies.begin("10.0.0.2")).isTrue();
        IntStream.range(0, 20).forEach(each -> bodies.end("10.0.0.1"));
        assertThat(bodies.begin("10.0.0.1")).as("let go of afterwards").isTrue();
    }

    @Test
    void allAddressesTogetherHoldSomeToo() {
        assertThat(taken(IntStream.range(0, 100))).isEqualTo(ALL);
    }
}
