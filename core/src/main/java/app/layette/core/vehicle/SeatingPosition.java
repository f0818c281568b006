package app.layette.core.vehicle;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import java.util.List;

/**
 * What is known about one seating position.
 *
 * @param id row and side
 * @param facing how the vehicle seat is built and stands (CAB-2)
 * @param airbag state of the front airbag in front of it (CAB-1)
 * @param anchors whether it has its own pair of lower anchors (CAB-4)
 * @param belt what its belt is (SEC-1, CAB-6)
 * @param cushionSlope γ, positive when the cushion drops towards the bight, with the car on level ground
 * @param firmness of the cushion
 * @param anchorHeight height of the lower anchors above the floor in front of the seat
 * @param backAngle β, how far the vehicle seat back leans back from the vertical
 * @param floor what a load leg would stand on (CAB-8)
 * @param width of the place (CAB-13)
 * @param buckleSide the side on which its buckle stands
 * @param armrest whether a fold-down armrest is behind it (CAB-9)
 * @param accessBehind whether somebody can reach it from behind
 * @param frontSeat distance from the bight to the front seat at heights above the cushion
 * @param anchorSpacing distance of its own lower anchors, usually 280 mm
 * @param stalk length of the buckle's stalk
 * @param headRestraint whether its head restraint comes off
 * @param tether whether it has a top tether anchor
 * @param cushionDepth from the bight to the front edge of the cushion
 */
@Built
public record SeatingPosition(
        @Written(needed = true) PositionId id,
        Evidence<Facing> facing,
        Evidence<Airbag> airbag,
        Evidence<OwnAnchors> anchors,
        Belt belt,
        Evidence<Angle> cushionSlope,
        Evidence<Angle> backAngle,
        Evidence<Floor> floor,
        @Written(fewest = 1) Evidence<List<Clearance>> frontSeat,
        Evidence<Firmness> firmness,
        Evidence<Length> anchorHeight,
        Evidence<Length> width,
        @Written(among = {"LEFT", "RIGHT"}) Evidence<Side> buckleSide,
        Evidence<Boolean> armrest,
        Evidence<Boolean> accessBehind,
        Evidence<Length> anchorSpacing,
        Evidence<Length> stalk,
        Evidence<HeadRestraint> headRestraint,
        Evidence<Boolean> tether,
        Evidence<Length> cushionDepth) {

    public SeatingPosition {
        facing = orNotLooked(facing);
        airbag = orNotLooked(airbag);
        anchors = orNotLooked(anchors);
        belt = belt == null ? Belt.NOT_LOOKED : belt;
        cushionSlope = orNotLooked(cushionSlope);
        backAngle = orNotLooked(backAngle);
        floor = orNotLooked(floor);
        frontSeat = orNotLooked(frontSeat);
        firmness = orNotLooked(firmness);
        anchorHeight = orNotLooked(anchorHeight);
        width = orNotLooked(width);
        buckleSide = orNotLooked(buckleSide);
        armrest = orNotLooked(armrest);
        accessBehind = orNotLooked(accessBehind);
        anchorSpacing = orNotLooked(anchorSpacing);
        stalk = orNotLooked(stalk);
        headRestraint = orNotLooked(headRestraint);
        tether = orNotLooked(tether);
        cushionDepth = orNotLooked(cushionDepth);
    }

    /** The head restraint of a place. */
    public enum HeadRestraint {
        FIXED,
        REMOVABLE,
        NONE
    }

    /** A position of which nothing is known but that it is there. */
    public static SeatingPosition bare(PositionId id) {
        return SeatingPositionParts.builder().id(id).build();
    }

    /** How hard a cushion is. */
    public enum Firmness {
        SOFT,
        MEDIUM,
        FIRM
    }

    /** How a vehicle seat faces. */
    public enum Facing {
        FORWARD,
        SIDEWAYS,
        REARWARD,
        FOLDED_OR_DAMAGED
    }

    /** The front airbag in front of a position. */
    public enum Airbag {
        NONE,
        /** Off, confirmed by key or sensor lamp. */
        OFF_CONFIRMED,
        ACTIVE
    }

    /** Lower anchors of a position. */
    public enum OwnAnchors {
        OWN_PAIR,
        NONE
    }

    /** The floor under a load leg. */
    public enum Floor {
        SOLID,
        STORAGE,
        /** Storage with a fix that the vehicle manual names, in place. */
        STORAGE_FIXED
    }

    /**
     * Distance to the front seat.
     *
     * @param height above the bight
     * @param distance from the bight to the front seat at that height, with the front seat moved well forward
     */
    public record Clearance(
            @Written(needed = true) Length height,
            @Written(needed = true) Length distance) {}
}
