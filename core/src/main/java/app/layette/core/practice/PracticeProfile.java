package app.layette.core.practice;

import app.layette.core.evidence.Complete;
import app.layette.core.evidence.Permission;
import app.layette.core.measure.Length;
import app.layette.core.measure.UnitSystem;
import org.jspecify.annotations.Nullable;

/**
 * A practice profile: one answer for each question on which schools differ.
 *
 * @param id stable name of the profile
 * @param version grows with each change; a fitting keeps the version it used
 * @param name as people call it
 * @param units shown first
 * @param snugTest used where the seat manual names none (HAR-7)
 * @param headRoom asked where the seat manual was read and is silent (SUIT-3)
 * @param gap asked to the front seat where both manuals were read and are silent (CAB-10)
 * @param newbornTarget which setting inside the band a newborn gets (REC-1)
 * @param childOrder whether the child is harnessed before the carrier goes on its base
 * @param rollsBeside the school on rolled blankets beside the child where the manual is silent (HAR-10)
 * @param screening who is asked for the hospital's tolerance screening (SUIT-8)
 * @param recallDays how many days a recall look-up stays good, at least 1
 * @param newbornDays below this corrected age in days a child counts as newborn
 * @param slotFarBelow a slot further than this below the shoulder is worth saying (HAR-2)
 * @param anchorLimit used where both manuals were read and are silent (SUIT-10)
 * @param rearFacing how long a child stays rear-facing at least (SUIT-11)
 * @param breaks how long it stays in the seat at a time (JRN-1)
 * @param routingFirst which baseless routing is offered first where both are allowed
 * @param retractorBesides whether a retractor that switches is switched in addition to a lock-off
 */
@Complete
public record PracticeProfile(
        String id,
        int version,
        String name,
        UnitSystem units,
        SnugTest snugTest,
        Length headRoom,
        Length gap,
        NewbornTarget newbornTarget,
        ChildOrder childOrder,
        Permission rollsBeside,
        Screening screening,
        int recallDays,
        int newbornDays,
        Length slotFarBelow,
        AnchorLimitDefault anchorLimit,
        RearFacing rearFacing,
        Breaks breaks,
        RoutingFirst routingFirst,
        RetractorBesides retractorBesides) {

    /**
     * How long a child stays rear-facing at least (SUIT-11). Legal ages count from birth.
     *
     * @param months of age
     * @param length that has to be reached besides; {@code null} where none is asked
     */
    public record RearFacing(int months, @Nullable Length length) {
        /** By age alone. */
        public RearFacing(int months) {
            this(months, null);
        }
    }

    /**
     * How long a child stays in the seat at a time (JRN-1).
     *
     * @param firstWeeksMinutes below four weeks of corrected age
     * @param laterMinutes from then on
     */
    public record Breaks(int firstWeeksMinutes, int laterMinutes) {}

    /** Which baseless routing comes first. */
    public enum RoutingFirst {
        /** It rotates and rebounds less. */
        EUROPEAN,
        AMERICAN
    }

    /** Whether a retractor is switched to locking although a lock-off holds. */
    public enum RetractorBesides {
        LOCK_OFF_ALONE,
        BOTH
    }

    /** A version that was written before these were asked keeps what was usual then. */
    public PracticeProfile {
        rearFacing = rearFacing == null ? new RearFacing(24) : rearFacing;
        breaks = breaks == null ? new Breaks(30, 120) : breaks;
        routingFirst = routingFirst == null ? RoutingFirst.EUROPEAN : routingFirst;
        retractorBesides = retractorBesides == null ? RetractorBesides.LOCK_OFF_ALONE : retractorBesides;
    }

    /** Ways to test that the harness is snug (HAR-7). */
    public enum SnugTest {
        PINCH,
        ONE_FINGER_SHOULDER,
        ONE_FINGER_CLIP,
        TWO_FINGERS,
        INCH_PINCHABLE
    }

    /** Where inside the allowed band a newborn's recline is set (REC-1). */
    public enum NewbornTarget {
        MOST_RECLINED,
        MIDDLE
    }

    /** What comes first: the child into the carrier, or the carrier onto the base. */
    public enum ChildOrder {
        CHILD_ON_TABLE_FIRST,
        CARRIER_ON_BASE_FIRST
    }

    /** Who is asked about tolerance screening. */
    public enum Screening {
        WHERE_INDICATED,
        EVERYONE
    }

    /** The combined-mass limit of lower anchors where no document prints one. */
    public enum AnchorLimitDefault {
        /** 65 lb, child and restraint together. */
        NORTH_AMERICA_65_LB,
        /** 33 kg, child and restraint together. */
        R129_33_KG
    }
}
