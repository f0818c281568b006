package app.layette.core.secure;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.secure.LockTable.Lock;
import app.layette.core.vehicle.Belt.LatchPlate;
import app.layette.core.vehicle.Belt.Retractor;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LockTableTest {
    @ParameterizedTest
    @CsvSource({
        "SWITCHABLE, SLIDING, SWITCHED_RETRACTOR",
        "SWITCHABLE, CRASH_LOCKING, SWITCHED_RETRACTOR",
        "AUTOMATIC, SLIDING, AUTOMATIC_RETRACTOR",
        "EMERGENCY_ONLY, LOCKING, LATCH_PLATE",
        "EMERGENCY_ONLY, SWITCHABLE, LATCH_PLATE",
        "EMERGENCY_ONLY, SLIDING, NOTHING",
        "EMERGENCY_ONLY, CRASH_LOCKING, NOTHING",
        "EMERGENCY_ONLY, SEWN_ON, NOTHING",
        "NONE, LOCKING, LATCH_PLATE"
    })
    void eachCell(Retractor retractor, LatchPlate plate, Lock lock) {
        assertThat(LockTable.lock(Optional.of(retractor), Optional.of(plate), false))
                .contains(lock);
        assertThat(LockTable.lock(Optional.of(retractor), Optional.of(plate), true))
                .contains(Lock.LOCK_OFF);
    }

    @Test
    void whatIsNotKnownDecidesNothing() {
        assertThat(LockTable.lock(Optional.empty(), Optional.of(LatchPlate.LOCKING), false))
                .isEmpty();
        assertThat(LockTable.lock(Optional.of(Retractor.EMERGENCY_ONLY), Optional.empty(), false))
                .isEmpty();
        assertThat(LockTable.lock(Optional.empty(), Optional.empty(), true)).contains(Lock.LOCK_OFF);
    }
}
