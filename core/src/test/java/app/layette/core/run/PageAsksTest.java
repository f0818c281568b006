package app.layette.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.evidence.PermissionKey;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A permission that is asked for is asked for at a step, and stays in sight there once its page was read. */
class PageAsksTest {
    static List<PermissionKey> asked() {
        return PageAsks.asked();
    }

    @ParameterizedTest
    @MethodSource("asked")
    void everyPermissionThatIsAskedForStaysInSight(PermissionKey permission) {
        assertThat(PageAsks.stepOf(permission)).isPresent();
    }

    @Test
    void someAreAskedFor() {
        assertThat(asked())
                .contains(PermissionKey.OVERHANG, PermissionKey.NOODLE)
                .doesNotHaveDuplicates();
    }
}
