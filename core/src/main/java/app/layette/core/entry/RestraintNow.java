package app.layette.core.entry;

import app.layette.core.entry.Fact.Part;
import app.layette.core.measure.Length;
import app.layette.core.seat.InsertPiece;
import java.util.Optional;

/** The restraint now, with the child it is set for: its labels, its insert, its slots. Where it stands is another matter. */
public interface RestraintNow extends ChildNow {
    /** A label that somebody read here; one that was only told of was not read. */
    Optional<Stamped<Fact.LabelRead>> label(Part part);

    /** How many harness slots the shell has, by the sheet or counted on a quick seat; 0 when nobody knows. */
    int slotCount();

    /** Whether a piece of the insert was last seen in or out; empty when nobody said. */
    Optional<Stamped<Fact.InsertSet>> insert(InsertPiece piece);

    /** How much the pieces now in lift the child along the shell back. */
    Length insertLift();
}
