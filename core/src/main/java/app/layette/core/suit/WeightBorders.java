package app.layette.core.suit;

import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Mass;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import java.util.List;
import java.util.Optional;

/**
 * Everything that hangs on the child's weight: two weights with the same answers here are the same to every rule.
 *
 * @param heavyEnough at or above the minimum (SUIT-1)
 * @param lightEnough at or below the maximum
 * @param insert what the sheet says of each piece (SUIT-9)
 * @param crotch the openings that fit (HAR-5)
 * @param band of the level indicator (REC-2)
 * @param anchors under the lower anchors' limit, where they hold it (SUIT-10)
 * @param snug at or above the weight from which the shortest setting is snug (SUIT-5)
 */
record WeightBorders(
        boolean heavyEnough,
        boolean lightEnough,
        List<Optional<InsertPiece.Use>> insert,
        List<Boolean> crotch,
        Optional<Indicator.Band> band,
        boolean anchors,
        boolean snug) {

    static WeightBorders at(Mass weight, PlaceNow situation) {
        SeatSheet seat = situation.seat().orElseThrow();
        return new WeightBorders(
                situation.weightMin().value().filter(weight::isLessThan).isEmpty(),
                situation.weightMax().value().filter(weight::isMoreThan).isEmpty(),
                pieces(seat.insert(), weight, situation),
                seat.shell().crotch().value().orElse(List.of()).stream()
                        .map(opening -> opening.weights().contains(weight))
                        .toList(),
                seat.recline().indicator().value().flatMap(indicator -> indicator.bandFor(weight, situation.ageDays())),
                underAnchorLimit(weight, seat, situation),
                seat.harness()
                        .shortestSnugFrom()
                        .value()
                        .filter(weight::isLessThan)
                        .isEmpty());
    }

    private static List<Optional<InsertPiece.Use>> pieces(
            Evidence<List<InsertPiece>> insert, Mass weight, PlaceNow situation) {
        return insert.value().orElse(List.of()).stream()
                .map(piece -> piece.useAt(weight, situation.ageDays()))
                .toList();
    }

    private static boolean underAnchorLimit(Mass weight, SeatSheet seat, PlaceNow situation) {
        boolean byAnchors = situation.method().filter(Method::isByBelt).isEmpty();
        Optional<Mass> limit = AnchorLimit.limit(situation);
        Optional<Mass> restraint = AnchorLimit.restraintMass(seat);
        return !byAnchors
                || limit.isEmpty()
                || restraint.isEmpty()
                || !weight.plus(restraint.get()).isMoreThan(limit.get());
    }
}
