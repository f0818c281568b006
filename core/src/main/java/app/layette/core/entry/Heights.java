package app.layette.core.entry;

import app.layette.core.entry.Fact.Dimension;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Length;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import java.util.List;
import java.util.Optional;

/** Heights along the shell back, which an insert moves (HAR-3), and which pieces of it are in. */
record Heights(Facts facts, Optional<SeatSheet> seat) {
    /** Whether a piece of the insert was last seen in or out; empty when nobody said. */
    Optional<Stamped<Fact.InsertSet>> insert(InsertPiece piece) {
        return facts.best(Fact.InsertSet.class, fact -> fact.piece().equals(piece.key()))
                .filter(each -> each.how().isSeenHere() || each.how().isCarried());
    }

    /** How much the pieces now in lift the child. */
    Length lift() {
        Length lift = Length.ZERO;
        for (InsertPiece piece :
                seat.map(SeatSheet::insert).flatMap(Evidence::value).orElse(List.of())) {
            if (insert(piece).map(set -> set.value().in()).orElse(false)) {
                lift = lift.plus(piece.lift());
            }
        }
        return lift;
    }

    /** A height on the bare shell needs the lift of an insert that is known; else it says nothing. */
    Optional<Stamped<Length>> withInsert(Stamped<Fact.LengthMeasured> height) {
        Length length = height.value().length();
        if (height.value().insert() != Fact.InsertState.BARE) {
            return Optional.of(height.with(length));
        }
        return isInsertKnown() ? Optional.of(height.with(length.plus(lift()))) : Optional.empty();
    }

    /** A height of the child as it would be on the bare shell; a height of anything else stays as it is. */
    Optional<Fact> bare(Fact.LengthMeasured height) {
        boolean onChild = height.what() == Dimension.SHOULDER || height.what() == Dimension.CROWN;
        if (height.insert() == Fact.InsertState.BARE || !onChild) {
            return Optional.of(height);
        }
        return isInsertKnown()
                ? Optional.of(new Fact.LengthMeasured(
                        height.of(), height.what(), height.length().minus(lift()), Fact.InsertState.BARE))
                : Optional.empty();
    }

    private boolean isInsertKnown() {
        return seat.flatMap(each -> each.insert().value())
                .map(pieces -> pieces.stream().allMatch(piece -> insert(piece).isPresent()))
                .orElse(false);
    }
}
