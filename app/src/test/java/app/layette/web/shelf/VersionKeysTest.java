package app.layette.web.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class VersionKeysTest {
    private static final UUID POINT = new UUID(1, 1);
    private static final List<String> IDS = List.of("thimble");
    private static final SheetRow.Kind SEAT = SheetRow.Kind.SEAT;

    private final SheetRows rows = mock();
    private long seq;
    private final VersionKeys keys = new VersionKeys(rows, point -> seq);

    @BeforeEach
    void aTransaction() {
        TransactionSynchronizationManager.initSynchronization();
        when(rows.versionKeys(POINT, SEAT, IDS)).thenReturn(List.of(key(1)));
    }

    @AfterEach
    void noTransaction() {
        TransactionSynchronizationManager.clearSynchronization();
    }

    @Test
    void whatIsThereIsReadOnceAndByEveryOtherQuestionAnew() {
        keys.of(POINT, SEAT, IDS);
        assertThat(keys.of(POINT, SEAT, IDS)).containsExactly(key(1));
        keys.of(POINT, SheetRow.Kind.VEHICLE, IDS);
        keys.of(new UUID(1, 2), SEAT, IDS);
        verify(rows, times(1)).versionKeys(POINT, SEAT, IDS);
        verify(rows, times(1)).versionKeys(POINT, SheetRow.Kind.VEHICLE, IDS);
        verify(rows, times(1)).versionKeys(new UUID(1, 2), SEAT, IDS);
    }

    @Test
    void whatAnotherProcessChangedIsReadAnew() {
        keys.of(POINT, SEAT, IDS);
        when(rows.versionKeys(POINT, SEAT, IDS)).thenReturn(List.of(key(1), key(2)));
        assertThat(keys.of(POINT, SEAT, IDS)).containsExactly(key(1));
        seq++;
        assertThat(keys.of(POINT, SEAT, IDS)).containsExactly(key(1), key(2));
    }

    @Test
    void whileOneComesEverybodyReadsAndAfterwardsItIsThere() {
        keys.of(POINT, SEAT, IDS);
        keys.changes(POINT);
        when(rows.versionKeys(POINT, SEAT, IDS)).thenReturn(List.of(key(1), key(2)));
        assertThat(keys.of(POINT, SEAT, IDS)).as("not yet certain").containsExactly(key(1), key(2));
        when(rows.versionKeys(POINT, SEAT, IDS)).thenReturn(List.of(key(1)));
        assertThat(keys.of(POINT, SEAT, IDS)).as("kept for nobody").containsExactly(key(1));
        when(rows.versionKeys(POINT, SEAT, IDS)).thenReturn(List.of(key(1), key(2)));
        complete(TransactionSynchronization.STATUS_COMMITTED);
        assertThat(keys.of(POINT, SEAT, IDS)).as("committed").containsExactly(key(1), key(2));
    }

    @Test
    void whatIsRolledBackLeavesNothingBehind() {
        keys.changes(POINT);
        keys.changes(POINT);
        complete(TransactionSynchronization.STATUS_ROLLED_BACK);
        assertThat(keys.of(POINT, SEAT, IDS)).containsExactly(key(1));
        keys.of(POINT, SEAT, IDS);
        verify(rows, times(1)).versionKeys(POINT, SEAT, IDS);
    }

    private static void complete(int how) {
        TransactionSynchronizationManager.getSynchronizations().forEach(each -> each.afterCompletion(how));
    }

    private static SheetRow.Key key(int version) {
        return new SheetRow.Key(POINT, SEAT, "thimble", version);
    }
}
