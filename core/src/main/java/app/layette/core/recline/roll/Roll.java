package app.layette.core.recline.roll;

import app.layette.core.measure.Length;

/**
 * Something rolled that lies under the foot end at the bight.
 *
 * <p>It lies nearer the seat back than the foot-end contact, so it counts as an equivalent lift <b>ℓ_t = L h / (L + x₀ −
 * x_n)</b>. Handbook, section 6.
 */
public sealed interface Roll permits Noodle, Towel {
    /** h, how high it holds when loaded. */
    Length height();

    /** x_n, how far its middle lies from the vehicle seat back. */
    Length fromSeatBack();

    /**
     * ℓ_t, the lift at the foot-end contact that does the same.
     *
     * @param contact L, distance of the two contact points
     * @param footFromSeatBack x₀, the foot-end contact's distance from the seat back, usually zero
     * @throws IllegalArgumentException when the roll would lie beyond the head-end contact
     */
    default Length equivalentLift(Length contact, Length footFromSeatBack) {
        double reach = contact.millimetres()
                + footFromSeatBack.millimetres()
                - fromSeatBack().millimetres();
        if (reach <= 0) {
            throw new IllegalArgumentException("The roll (" + fromSeatBack()
                    + " from the seat back) must lie behind the " + "head-end contact (" + contact + ")");
        }
        return Length.ofMillimetres(contact.millimetres() * height().millimetres() / reach);
    }

    /**
     * The lift with a foot: added when the roll lies under the foot, else the larger counts.
     *
     * @param equivalent ℓ_t of the roll
     */
    static Length withFoot(Length equivalent, Length foot, boolean underFoot) {
        if (underFoot) {
            return equivalent.plus(foot);
        }
        return equivalent.isMoreThan(foot) ? equivalent : foot;
    }
}
