package app.layette.core.rethread;

import static app.layette.core.entry.Fact.WebbingMove.HALF_ON;
import static app.layette.core.entry.Fact.WebbingMove.LOOSENED;
import static app.layette.core.entry.Fact.WebbingMove.OFF_PLATE;
import static app.layette.core.entry.Fact.WebbingMove.ON_PLATE;
import static app.layette.core.entry.Fact.WebbingMove.RAN_FREE;
import static app.layette.core.entry.Fact.WebbingMove.SHELL_LIFTED_OUT;
import static app.layette.core.entry.Fact.WebbingMove.STRAIGHTENED;
import static app.layette.core.entry.Fact.WebbingMove.THROUGH_PAD;
import static app.layette.core.entry.Fact.WebbingMove.THROUGH_SHELL;
import static app.layette.core.entry.Fact.WebbingMove.TWISTED;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Strap;
import app.layette.core.entry.Fact.WebbingMove;
import app.layette.core.entry.UnitId;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.rule.Conclusion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** HAR-4: one webbing at a time. */
class ShellBackTest {
    private static final int TARGET = 2;

    private static ShellBack atSlotOne(boolean liftsOut) {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.seat.innerShell = stated(liftsOut);
        return ShellBack.in(fitting.plan().situation()).orElseThrow();
    }

    private static Move move(WebbingMove kind, Strap strap, int slot) {
        return new Move(kind, Optional.ofNullable(strap), slot == 0 ? OptionalInt.empty() : OptionalInt.of(slot));
    }

    private static ShellBack after(ShellBack back, Move... moves) {
        ShellBack now = back;
        for (Move each : moves) {
            assertThat(now.refuses(each)).as("%s in %s", each, now).isEmpty();
            now = now.after(each);
        }
        return now;
    }

    @Test
    void theMovesItNamesLeadFromSlotOneToTwo() {
        ShellBack back = atSlotOne(true);
        List<WebbingMove> made = new ArrayList<>();
        for (Optional<Move> next = back.next(TARGET); next.isPresent(); next = back.next(TARGET)) {
            back = after(back, next.get());
            made.add(next.get().kind());
        }
        assertThat(made)
                .containsExactly(
                        LOOSENED,
                        SHELL_LIFTED_OUT,
                        OFF_PLATE,
                        THROUGH_SHELL,
                        THROUGH_PAD,
                        ON_PLATE,
                        OFF_PLATE,
                        THROUGH_SHELL,
                        THROUGH_PAD,
                        ON_PLATE,
                        RAN_FREE);
        assertThat(back.left()).isEqualTo(back.right());
        assertThat(back.left().isAt(TARGET)).isTrue();
    }

    @Test
    void aWrongOrderIsRefusedWithItsReason() {
        ShellBack back = atSlotOne(true);
        assertThat(back.refuses(move(OFF_PLATE, Strap.LEFT, 0))).contains(Refusal.NOT_LOOSENED);
        assertThat(back.refuses(move(SHELL_LIFTED_OUT, null, 0))).contains(Refusal.NOT_LOOSENED);
        back = after(back, move(LOOSENED, null, 0));
        assertThat(back.refuses(move(OFF_PLATE, Strap.LEFT, 0))).contains(Refusal.SHELL_STILL_IN);
        assertThat(back.refuses(move(THROUGH_SHELL, Strap.LEFT, 2))).contains(Refusal.STILL_ON_PLATE);
        back = after(back, move(SHELL_LIFTED_OUT, null, 0), move(OFF_PLATE, Strap.LEFT, 0));
        assertThat(back.refuses(move(OFF_PLATE, Strap.LEFT, 0))).contains(Refusal.ALREADY_OFF);
        assertThat(back.refuses(move(OFF_PLATE, Strap.RIGHT, 0))).contains(Refusal.OTHER_IS_OFF);
        assertThat(back.refuses(move(RAN_FREE, null, 0))).contains(Refusal.OTHER_IS_OFF);
        back = after(back, move(THROUGH_SHELL, Strap.LEFT, 2));
        assertThat(back.refuses(move(ON_PLATE, Strap.LEFT, 0))).contains(Refusal.PAD_DIFFERS);
        back = after(back, move(THROUGH_PAD, Strap.LEFT, 2), move(TWISTED, Strap.LEFT, 0));
        assertThat(back.refuses(move(ON_PLATE, Strap.LEFT, 0))).contains(Refusal.TWISTED);
        back = after(back, move(STRAIGHTENED, Strap.LEFT, 0), move(HALF_ON, Strap.LEFT, 0));
        assertThat(back.refuses(move(RAN_FREE, null, 0))).contains(Refusal.HALF_ON);
        assertThat(back.next(TARGET)).contains(move(ON_PLATE, Strap.LEFT, 0));
        back = after(back, move(ON_PLATE, Strap.LEFT, 0));
        assertThat(back.refuses(move(RAN_FREE, null, 0))).contains(Refusal.SIDES_DIFFER);
    }

    /** Whatever is tried in whatever order: never both off, never run while something is wrong. */
    @Test
    void noOrderLosesTheWayBack() {
        Random random = new Random(7);
        for (int run = 0; run < 200; run++) {
            ShellBack back = atSlotOne(run % 2 == 0);
            for (int i = 0; i < 60; i++) {
                List<Move> possible = back.possible(TARGET);
                back = back.after(possible.get(random.nextInt(possible.size())));
                assertThat(back.left().isOff() && back.right().isOff()).isFalse();
                if (back.ranFree()) {
                    assertThat(back.left()).isEqualTo(back.right());
                    assertThat(back.left().padSlot()).isEqualTo(back.left().shellSlot());
                    assertThat(back.left().isHome()).isTrue();
                }
            }
        }
    }

    @Test
    void whileItIsUnderWayTheSlotWaitsAndAfterItTheWebbingIsLookedAtAgain() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(new Fact.WebbingMoved(UnitId.FIRST, LOOSENED, null, null));
        assertThat(fitting.state(Conclusion.SLOT).state()).isEqualTo(State.OPEN);
        assertThat(fitting.state(Conclusion.named("WEBBING")).state()).isEqualTo(State.STALE);
        fitting.add(new Fact.WebbingMoved(UnitId.FIRST, RAN_FREE, null, null));
        Fact.SlotsSet set = ShellBack.in(fitting.plan().situation())
                .flatMap(back -> back.asSet(fitting.plan().situation()))
                .orElseThrow();
        assertThat(set).isEqualTo(new Fact.SlotsSet(UnitId.FIRST, 1, 1, 1, 1, "short"));
        fitting.add(set);
        assertThat(fitting.state(Conclusion.SLOT).passed()).isTrue();
        assertThat(fitting.state(Conclusion.named("SNUG_TEST")).state()).isEqualTo(State.STALE);
    }
}
