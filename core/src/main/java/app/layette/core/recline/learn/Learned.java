package app.layette.core.recline.learn;

import java.util.List;
import java.util.Optional;

/**
 * What a row of looks teaches.
 *
 * @param belief after all of them
 * @param looks that were taken in
 * @param lookAgain the last look, when it contradicted everything known so far and should be repeated
 */
public record Learned(Belief belief, int looks, Optional<Look> lookAgain) {
    private static final double AGREES_DEGREES = 1;

    /** Before any look. */
    public static Learned nothing(Belief prior) {
        return new Learned(prior, 0, Optional.empty());
    }

    /** From a row of looks, in their order. */
    public static Learned from(Belief prior, List<Look> looks) {
        Learned learned = nothing(prior);
        for (Look look : looks) {
            learned = learned.and(look);
        }
        return learned;
    }

    /** After one more look. */
    public Learned and(Look look) {
        return look instanceof Look.OfNumber number ? and(number) : and((Look.OfZone) look);
    }

    private Learned and(Look.OfZone look) {
        boolean hopeless = belief.isHopeless(look.expected(), look.zone());
        Belief after = belief.withZone(look.expected(), look.zone());
        return new Learned(after, looks + 1, hopeless ? Optional.of(look) : Optional.empty());
    }

    /** A number far off is not taken in; one that confirms a refused one is, with the belief widened for it. */
    private Learned and(Look.OfNumber look) {
        double degrees = look.angle().degrees();
        double spread = look.spread().degrees();
        if (!belief.isFarOff(look.expected(), degrees, spread)) {
            return new Learned(belief.withNumber(look.expected(), degrees, spread), looks + 1, Optional.empty());
        }
        boolean confirms = lookAgain
                .filter(before -> before instanceof Look.OfNumber number
                        && Math.abs(number.angle().degrees() - degrees) <= AGREES_DEGREES)
                .isPresent();
        if (!confirms) {
            return new Learned(belief, looks, Optional.of(look));
        }
        Belief wide = belief.widenedFor(look.expected(), degrees, spread);
        return new Learned(wide.withNumber(look.expected(), degrees, spread), looks + 1, Optional.empty());
    }
}
