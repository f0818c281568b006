package app.layette.core.rethread;

import app.layette.core.entry.Fact.Strap;
import app.layette.core.entry.Fact.WebbingMove;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Every state that hands may come to from here on the way to a slot, and what each move there does (HAR-4): made, or
 * refused with its reason. A screen without a signal looks moves up in it and computes none.
 *
 * @param states the first one is how it is now
 */
public record StrapTable(List<State> states) {
    /** More states than any restraint has; a table that would be longer is cut, and a move out of it is not offered. */
    private static final int MOST_STATES = 800;

    /**
     * One state.
     *
     * @param back the shell's back in it
     * @param moves what may be tried in it, the wrong moves too
     */
    public record State(ShellBack back, List<Tried> moves) {}

    /**
     * A move that is tried.
     *
     * @param refusal why it is not made; empty where it is
     * @param to the state after it; its own where it is refused
     */
    public record Tried(Move move, Optional<Refusal> refusal, int to) {}

    /** Two backs are one state however many moves led there. */
    private record Key(boolean loosened, boolean liftedOut, StrapState left, StrapState right, boolean ranFree) {
        static Key of(ShellBack back) {
            return new Key(back.loosened(), back.liftedOut(), back.left(), back.right(), back.ranFree());
        }
    }

    public StrapTable {
        states = List.copyOf(states);
    }

    /** The table from a state to a slot. */
    public static StrapTable of(ShellBack now, int target) {
        Map<Key, Integer> numbers = new LinkedHashMap<>();
        List<ShellBack> backs = new ArrayList<>();
        ArrayDeque<ShellBack> open = new ArrayDeque<>();
        numbers.put(Key.of(now), 0);
        backs.add(now);
        open.add(now);
        while (!open.isEmpty()) {
            ShellBack at = open.poll();
            for (Move move : tried(at, target)) {
                ShellBack after = at.after(move);
                if (numbers.size() < MOST_STATES && numbers.putIfAbsent(Key.of(after), numbers.size()) == null) {
                    backs.add(after);
                    open.add(after);
                }
            }
        }
        List<State> states = new ArrayList<>();
        for (ShellBack back : backs) {
            int own = states.size();
            List<Tried> moves = new ArrayList<>();
            for (Move move : tried(back, target)) {
                Optional<Refusal> refusal = back.refuses(move);
                Integer to = refusal.isPresent() ? Integer.valueOf(own) : numbers.get(Key.of(back.after(move)));
                if (to != null) {
                    moves.add(new Tried(move, refusal, to));
                }
            }
            states.add(new State(back, List.copyOf(moves)));
        }
        return new StrapTable(states);
    }

    /** What hands might try: what a screen offers, and the moves that a drag can make out of their order. */
    private static List<Move> tried(ShellBack at, int target) {
        List<Move> moves = new ArrayList<>(at.possible(target));
        for (Strap strap : Strap.values()) {
            for (Move move : List.of(
                    Move.of(WebbingMove.OFF_PLATE, strap),
                    Move.of(WebbingMove.THROUGH_SHELL, strap, target),
                    Move.of(WebbingMove.THROUGH_PAD, strap, target),
                    Move.of(WebbingMove.ON_PLATE, strap))) {
                if (!moves.contains(move)) {
                    moves.add(move);
                }
            }
        }
        return moves;
    }
}
