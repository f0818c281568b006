package app.layette.core.rethread;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Strap;
import app.layette.core.entry.Fact.WebbingMove;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A move of a rethread.
 *
 * @param kind what is done
 * @param strap with which webbing; empty where it is about both
 * @param slot through which slot or opening; empty where through none
 */
public record Move(WebbingMove kind, Optional<Strap> strap, OptionalInt slot) {
    static Move of(WebbingMove kind) {
        return new Move(kind, Optional.empty(), OptionalInt.empty());
    }

    static Move of(WebbingMove kind, Strap strap) {
        return new Move(kind, Optional.of(strap), OptionalInt.empty());
    }

    static Move of(WebbingMove kind, Strap strap, int slot) {
        return new Move(kind, Optional.of(strap), OptionalInt.of(slot));
    }

    /** The move that a fact tells of. */
    public static Move from(Fact.WebbingMoved fact) {
        return new Move(
                fact.move(),
                Optional.ofNullable(fact.strap()),
                fact.slot() == null ? OptionalInt.empty() : OptionalInt.of(fact.slot()));
    }
}
