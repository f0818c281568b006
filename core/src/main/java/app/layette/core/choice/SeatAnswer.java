package app.layette.core.choice;

import app.layette.core.coming.Coming;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Complete;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Finding;
import app.layette.core.growth.Outlook;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.seat.SeatSheet;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What is to be said about one restraint for this child, before anything is set.
 *
 * @param seat its sheet
 * @param answer allowed: it suits as far as can be said; not known: something is still to be looked at; not allowed
 * @param findings the reasons, what forbids first
 * @param pieces names of the insert pieces that were thought to be in
 * @param rooms what is left to each limit
 * @param until the first limit that growing brings; empty where no limit can be dated
 * @param from when a child that is still too small for it comes into its limits; empty otherwise
 * @param carry child and carrier together, what has to be lifted; empty where the sheet has no mass or nothing is lifted
 * @param place the best place for it in this car; empty without a car, and where no place is left
 * @param carKnown whether there is a car to answer for
 * @param there the child as if it were in this restraint
 */
@Complete
public record SeatAnswer(
        SeatSheet seat,
        Permission answer,
        List<Finding> findings,
        List<String> pieces,
        Rooms rooms,
        Optional<Coming> until,
        Optional<Outlook> from,
        Optional<Mass> carry,
        Optional<PlaceAnswer> place,
        boolean carKnown,
        Situation there) {
    public SeatAnswer {
        findings = List.copyOf(findings);
        pieces = List.copyOf(pieces);
    }

    /**
     * What is left to each limit; empty where it is not known or there is no such limit.
     *
     * @param slot the slot at or next below the shoulder, by a measured shoulder
     * @param slots how many there are; 0 when nobody knows
     */
    public record Rooms(
            Optional<Mass> weight, Optional<Length> length, Optional<Length> head, OptionalInt slot, int slots) {}

    /** The finding that decides against it, or leaves it open; empty when it suits. */
    public Optional<Finding> deciding() {
        return findings.stream().filter(finding -> finding.weight().blocks()).findFirst();
    }

    /** The likely day on which it is outgrown; empty where that is beyond what is looked at. */
    public Optional<LocalDate> outgrownOn() {
        return until.flatMap(coming -> coming.outlook().likely());
    }

    /** Whether the car, as far as it is known, has a place for it. */
    public boolean hasPlace() {
        return place.filter(each -> each.answer() == Permission.ALLOWED).isPresent();
    }
}
