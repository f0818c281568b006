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
        "SWITCHABLE, SLIDING, SWITCHED_RETRACTOR, LOCK_OFF",
        "SWITCHABLE, CRASH_LOCKING, SWITCHED_RETRACTOR, LOCK_OFF",
        "AUTOMATIC, SLIDING, AUTOMATIC_RETRACTOR, LOCK_OFF",
        "EMERGENCY_ONLY, LOCKING, LATCH_PLATE, LOCK_OFF",
        "EMERGENCY_ONLY, SWITCHABLE, LATCH_PLATE, LOCK_OFF",
        "EMERGENCY_ONLY, SLIDING, NOTHING, LOCK_OFF",
        "EMERGENCY_ONLY, CRASH_LOCKING, NOTHING, LOCK_OFF",
        "EMERGENCY_ONLY, SEWN_ON, NOTHING, LOCK_OFF",
        "NONE, LOCKING, LATCH_PLATE, LATCH_PLATE",
        "SWITCHABLE, SEWN_ON, SWITCHED_RETRACTOR, LOCK_OFF",
        "AUTOMATIC, SEWN_ON, AUTOMATIC_RETRACTOR, LOCK_OFF"
    })
    void eachCell(Retractor retractor, LatchPlate plate, Lock without, Lock with) {
        assertThat(LockTable.lock(Optional.of(retractor), Optional.of(plate), false))
                .contains(without);
        assertThat(LockTable.lock(Optional.of(retractor), Optional.of(plate), true))
                .contains(with);
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
