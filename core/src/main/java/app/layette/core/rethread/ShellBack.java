package app.layette.core.rethread;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.SlotsSet;
import app.layette.core.entry.Fact.Strap;
import app.layette.core.entry.Fact.WebbingMove;
import app.layette.core.entry.Fact.WebbingMoved;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Stamped;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.rethread.StrapState.OnPlate;
import app.layette.core.seat.Harness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The back of the shell in the middle of a rethread (HAR-4). One webbing at a time: the other shows how it was.
 *
 * @param loosened whether the harness is fully loose
 * @param liftsOut whether this restraint has an inner shell that comes out first
 * @param liftedOut whether it is out
 * @param left webbing, seen from in front of the child
 * @param right webbing
 * @param ranFree whether it was run tight and loose after the last move
 * @param moves how many moves were made
 */
public record ShellBack(
        boolean loosened,
        boolean liftsOut,
        boolean liftedOut,
        StrapState left,
        StrapState right,
        boolean ranFree,
        int moves) {

    /** As it is now; empty while nobody has looked which slots the straps are in. */
    public static Optional<ShellBack> in(RestraintNow situation) {
        return situation.newest(SlotsSet.class).map(set -> {
            boolean liftsOut = situation
                    .seat()
                    .flatMap(seat -> seat.shell().innerShellLiftsOut().value())
                    .orElse(false);
            ShellBack back = new ShellBack(
                    false,
                    liftsOut,
                    false,
                    new StrapState(
                            OnPlate.HOME, set.value().leftShell(), set.value().leftPad(), false),
                    new StrapState(
                            OnPlate.HOME, set.value().rightShell(), set.value().rightPad(), false),
                    false,
                    0);
            for (Stamped<WebbingMoved> moved : situation.history(WebbingMoved.class)) {
                if (moved.seq() > set.seq()) {
                    back = back.after(Move.from(moved.value()));
                }
            }
            return back;
        });
    }

    /** Whether moves were made that no look at the slots has closed yet. */
    public boolean isUnderWay() {
        return moves > 0;
    }

    public StrapState strap(Strap which) {
        return which == Strap.LEFT ? left : right;
    }

    /** Why a move is refused in this state; empty when it may be made. */
    public Optional<Refusal> refuses(Move move) {
        Optional<StrapState> moved = move.strap().map(this::strap);
        boolean otherOff = move.strap()
                .map(ShellBack::other)
                .map(this::strap)
                .filter(StrapState::isOff)
                .isPresent();
        return switch (move.kind()) {
            case LOOSENED -> Optional.empty();
            case SHELL_LIFTED_OUT -> when(!loosened, Refusal.NOT_LOOSENED);
            case OFF_PLATE ->
                first(
                        when(!loosened, Refusal.NOT_LOOSENED),
                        when(liftsOut && !liftedOut, Refusal.SHELL_STILL_IN),
                        when(moved.orElseThrow().isOff(), Refusal.ALREADY_OFF),
                        when(otherOff, Refusal.OTHER_IS_OFF));
            case THROUGH_SHELL, THROUGH_PAD, HALF_ON, TWISTED, STRAIGHTENED ->
                when(!moved.orElseThrow().isOff() && move.kind() != WebbingMove.HALF_ON, Refusal.STILL_ON_PLATE);
            case ON_PLATE ->
                first(
                        when(moved.orElseThrow().twisted(), Refusal.TWISTED),
                        when(moved.get().padSlot() != moved.get().shellSlot(), Refusal.PAD_DIFFERS));
            case RAN_FREE ->
                first(
                        when(left.isOff() || right.isOff(), Refusal.OTHER_IS_OFF),
                        when(!left.isHome() || !right.isHome(), Refusal.HALF_ON),
                        when(left.shellSlot() != right.shellSlot(), Refusal.SIDES_DIFFER));
        };
    }

    private static Optional<Refusal> when(boolean so, Refusal refusal) {
        return so ? Optional.of(refusal) : Optional.empty();
    }

    @SafeVarargs
    private static Optional<Refusal> first(Optional<Refusal>... refusals) {
        for (Optional<Refusal> refusal : refusals) {
            if (refusal.isPresent()) {
                return refusal;
            }
        }
        return Optional.empty();
    }

    /** After a move; a refused one changes nothing. */
    public ShellBack after(Move move) {
        if (refuses(move).isPresent()) {
            return this;
        }
        int slot = move.slot().orElse(0);
        return switch (move.kind()) {
            case LOOSENED -> new ShellBack(true, liftsOut, liftedOut, left, right, false, moves + 1);
            case SHELL_LIFTED_OUT -> new ShellBack(loosened, liftsOut, true, left, right, false, moves + 1);
            case OFF_PLATE -> with(move, strap(move).on(OnPlate.OFF));
            case THROUGH_SHELL -> with(move, strap(move).throughShell(slot));
            case THROUGH_PAD -> with(move, strap(move).throughPad(slot));
            case ON_PLATE -> with(move, strap(move).on(OnPlate.HOME));
            case HALF_ON -> with(move, strap(move).on(OnPlate.HALF));
            case TWISTED -> with(move, strap(move).twisted(true));
            case STRAIGHTENED -> with(move, strap(move).twisted(false));
            case RAN_FREE -> new ShellBack(loosened, liftsOut, liftedOut, left, right, true, moves + 1);
        };
    }

    private StrapState strap(Move move) {
        return strap(move.strap().orElseThrow());
    }

    private ShellBack with(Move move, StrapState state) {
        boolean isLeft = move.strap().orElseThrow() == Strap.LEFT;
        return new ShellBack(
                loosened, liftsOut, liftedOut, isLeft ? state : left, isLeft ? right : state, false, moves + 1);
    }

    private static Strap other(Strap strap) {
        return strap == Strap.LEFT ? Strap.RIGHT : Strap.LEFT;
    }

    /** The move to make next towards a slot; empty when all is done. */
    public Optional<Move> next(int target) {
        // The one that is off is put back before anything is done about the other.
        for (OnPlate how : List.of(OnPlate.OFF, OnPlate.HALF)) {
            for (Strap strap : Strap.values()) {
                if (strap(strap).onPlate() == how) {
                    return Optional.of(goOn(strap, target));
                }
            }
        }
        boolean there = left.isAt(target) && right.isAt(target);
        if (there) {
            return ranFree ? Optional.empty() : Optional.of(Move.of(WebbingMove.RAN_FREE));
        }
        if (!loosened) {
            return Optional.of(Move.of(WebbingMove.LOOSENED));
        }
        if (liftsOut && !liftedOut) {
            return Optional.of(Move.of(WebbingMove.SHELL_LIFTED_OUT));
        }
        return Optional.of(Move.of(WebbingMove.OFF_PLATE, left.isAt(target) ? Strap.RIGHT : Strap.LEFT));
    }

    private Move goOn(Strap strap, int target) {
        StrapState state = strap(strap);
        if (state.onPlate() == OnPlate.HALF) {
            // Twisted, or bunched between shell and pad, it goes no further: off again first.
            boolean goesHome = !state.twisted() && state.padSlot() == state.shellSlot();
            return Move.of(goesHome ? WebbingMove.ON_PLATE : WebbingMove.OFF_PLATE, strap);
        }
        if (state.twisted()) {
            return Move.of(WebbingMove.STRAIGHTENED, strap);
        }
        if (state.shellSlot() != target) {
            return Move.of(WebbingMove.THROUGH_SHELL, strap, target);
        }
        return state.padSlot() != target
                ? Move.of(WebbingMove.THROUGH_PAD, strap, target)
                : Move.of(WebbingMove.ON_PLATE, strap);
    }

    /** The slot to go to: at or next below the shoulder; empty while nobody has looked at it, or none is low enough. */
    public static Optional<Integer> target(RestraintNow situation) {
        return ShoulderAndSlots.in(situation).map(ShoulderAndSlots::best).filter(slot -> slot > 0);
    }

    /** The moves that somebody might make now, the wrong ones among them: they are refused with their reason. */
    public List<Move> possible(int target) {
        List<Move> moves = new ArrayList<>();
        if (!loosened) {
            moves.add(Move.of(WebbingMove.LOOSENED));
        }
        if (liftsOut && !liftedOut) {
            moves.add(Move.of(WebbingMove.SHELL_LIFTED_OUT));
        }
        for (Strap strap : Strap.values()) {
            if (!strap(strap).isOff()) {
                moves.add(Move.of(WebbingMove.OFF_PLATE, strap));
                continue;
            }
            moves.add(Move.of(WebbingMove.THROUGH_SHELL, strap, target));
            moves.add(Move.of(WebbingMove.THROUGH_PAD, strap, target));
            moves.add(Move.of(strap(strap).twisted() ? WebbingMove.STRAIGHTENED : WebbingMove.TWISTED, strap));
            moves.add(Move.of(WebbingMove.HALF_ON, strap));
            moves.add(Move.of(WebbingMove.ON_PLATE, strap));
        }
        moves.add(Move.of(WebbingMove.RAN_FREE));
        return moves;
    }

    /** The loop of the webbing that the sheet wants on the plate at a slot (HAR-4). */
    public static Optional<String> loopAt(RestraintNow situation, int slot) {
        return situation.seat().flatMap(seat -> seat.harness().loops().value()).orElse(List.of()).stream()
                .filter(loop -> loop.isFor(slot))
                .map(Harness.Loop::name)
                .findFirst();
    }

    /** What a look would find now, once it has run free; empty before. */
    public Optional<SlotsSet> asSet(RestraintNow situation) {
        return ranFree
                ? Optional.of(new Fact.SlotsSet(
                        situation.unit().id(),
                        left.shellSlot(),
                        right.shellSlot(),
                        left.padSlot(),
                        right.padSlot(),
                        loopAt(situation, left.shellSlot()).orElse("")))
                : Optional.empty();
    }
}
