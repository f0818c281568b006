package app.layette.core.gate;

import app.layette.core.entry.Change;
import app.layette.core.entry.Situation;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import app.layette.core.seat.Rotation;
import app.layette.core.seat.SeatSheet;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.Set;

/** What spoils what: which changes make which conclusions be looked at again, as each rule says of itself. */
public final class Spoils {
    private Spoils() {}

    /** The changes that re-open a conclusion on this restraint. */
    public static Set<Change> of(Conclusion conclusion, Situation situation) {
        // A restraint of which nobody knows whether it turns is treated as one that does.
        boolean still = situation
                .seat()
                .map(SeatSheet::rotation)
                .flatMap(rotation -> rotation.value())
                .filter(rotation -> rotation == Rotation.NONE)
                .isPresent();
        return of(Rules.card(conclusion), !still);
    }

    /** The changes that re-open what a rule gives, on a restraint that may turn or does not. */
    static Set<Change> of(RuleCard card, boolean turns) {
        if (!turns || card.reopenedOnTurningBaseBy().isEmpty()) {
            return card.reopenedBy();
        }
        Set<Change> changes = EnumSet.noneOf(Change.class);
        changes.addAll(card.reopenedBy());
        changes.addAll(card.reopenedOnTurningBaseBy());
        return changes;
    }

    /** The conclusions that a change re-opens, on whatever restraint. */
    public static Set<Conclusion> by(Change change) {
        return new LinkedHashSet<>(Rules.conclusions(card -> card.reopenedBy().contains(change)
                || card.reopenedOnTurningBaseBy().contains(change)));
    }
}
