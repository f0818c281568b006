package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Length;
import app.layette.core.vehicle.PositionId;
import java.util.List;

/**
 * What a car bed's sheet says beyond that of other restraints (CAB-3, CAB-11, HAR-12).
 *
 * @param positions the seating positions that it may lie on
 * @param headDirection where the child's head lies
 * @param feet how many feet stand on the cushion
 * @param guides how many guides the lap part goes through
 * @param endStraps whether straps of its own go round the lap part
 * @param buckleHeight of its harness
 * @param child harnessed before the bed is fixed, or after
 */
@Built
public record CarBed(
        Evidence<List<PositionId>> positions,
        Evidence<HeadDirection> headDirection,
        @Written(from = 0, to = 8) Evidence<Integer> feet,
        Evidence<Integer> guides,
        Evidence<Boolean> endStraps,
        Evidence<Length> buckleHeight,
        Evidence<ChildWhen> child) {
    static final CarBed NOT_LOOKED = CarBedParts.builder().build();

    public CarBed {
        positions = orNotLooked(positions);
        headDirection = orNotLooked(headDirection);
        feet = orNotLooked(feet);
        guides = orNotLooked(guides);
        endStraps = orNotLooked(endStraps);
        buckleHeight = orNotLooked(buckleHeight);
        child = orNotLooked(child);
    }
}
