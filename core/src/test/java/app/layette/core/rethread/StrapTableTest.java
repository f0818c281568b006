package app.layette.core.rethread;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.rethread.StrapState.OnPlate;
import app.layette.core.rethread.StrapTable.State;
import app.layette.core.rethread.StrapTable.Tried;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a screen looks up without a signal is what the rules would have said, state by state and move by move. */
class StrapTableTest {
    private static final int TARGET = 3;

    private static ShellBack start(boolean liftsOut) {
        StrapState at = new StrapState(OnPlate.HOME, 1, 1, false);
        return new ShellBack(false, liftsOut, false, at, at, false, 0);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void everyMoveDoesWhatTheRulesSay(boolean liftsOut) {
        StrapTable table = StrapTable.of(start(liftsOut), TARGET);
        assertThat(table.states()).hasSizeBetween(20, 800);
        for (int number = 0; number < table.states().size(); number++) {
            State state = table.states().get(number);
            for (Tried tried : state.moves()) {
                assertThat(tried.refusal()).isEqualTo(state.back().refuses(tried.move()));
                ShellBack after = table.states().get(tried.to()).back();
                ShellBack meant = state.back().after(tried.move());
                assertThat(after.left()).isEqualTo(meant.left());
                assertThat(after.right()).isEqualTo(meant.right());
                assertThat(after.loosened()).isEqualTo(meant.loosened());
                assertThat(after.liftedOut()).isEqualTo(meant.liftedOut());
                assertThat(after.ranFree()).isEqualTo(meant.ranFree());
                if (tried.refusal().isPresent()) {
                    assertThat(tried.to()).isEqualTo(number);
                }
            }
        }
    }

    /** From every state the move that comes next is in the table, is made, and leads to both straps home. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void fromEveryStateTheNextMovesLeadHome(boolean liftsOut) {
        StrapTable table = StrapTable.of(start(liftsOut), TARGET);
        for (int from = 0; from < table.states().size(); from++) {
            int at = from;
            for (int i = 0; i < 20; i++) {
                Optional<Move> next = table.states().get(at).back().next(TARGET);
                if (next.isEmpty()) {
                    break;
                }
                Tried tried = table.states().get(at).moves().stream()
                        .filter(each -> each.move().equals(next.get()))
                        .findFirst()
                        .orElseThrow();
                assertThat(tried.refusal()).isEmpty();
                at = tried.to();
            }
            ShellBack end = table.states().get(at).back();
            assertThat(end.left().isAt(TARGET) && end.right().isAt(TARGET) && end.ranFree())
                    .as("from state %s", from)
                    .isTrue();
        }
    }
}
