package app.layette.core.entry;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.InsertPiece;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Predicate;

/** The child now, beside what the papers say of children: who it is, how old, how heavy, how long. */
public interface ChildNow extends PapersNow {
    Optional<Stamped<Child>> child();

    /** Days since birth; empty while nobody said when the child was born. */
    OptionalLong ageDays();

    Optional<Stamped<Mass>> weight();

    /** The same fitting as its author saw it: of the entries up to a place. */
    Optional<Stamped<Mass>> weightAsSeen(int seen);

    /**
     * Length of the child, or another length of the set-up, by tape. A length of the child may be told; a seated height
     * was taken here or at an earlier fitting; what is measured at the set-up is measured here.
     */
    Optional<Stamped<Fact.LengthMeasured>> measured(Dimension what);

    /**
     * A weight or length that was told or carried over later than the measured one in force: then that measure is asked
     * for again.
     */
    <F extends Fact> boolean isToldLater(Stamped<?> inForce, Class<F> kind, Predicate<F> fits);

    /** The day on which a child is due that is not born yet; empty once its birth is told. */
    Optional<Stamped<Fact.Expected>> expected();

    /** Top of the shoulder along the shell back with the insert as it is, by tape; empty when only seen by eye. */
    Optional<Stamped<Length>> shoulder();

    /** Top of the head along the shell back with the insert as it is, by tape. */
    Optional<Stamped<Length>> crown();

    /** What the sheet says about a piece for this child now; empty without a weight, or where no band covers it. */
    Optional<InsertPiece.Use> useOf(InsertPiece piece);
}
