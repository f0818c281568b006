package app.layette.core.cabin;

import app.layette.core.entry.PlaceNow;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.vehicle.SeatingPosition;

/** A rule about the chosen seating position alone. */
abstract class AtPlace implements Rule.OfPlace {
    private final RuleCard card;

    AtPlace(RuleCard card) {
        this.card = card;
    }

    @Override
    public final RuleCard card() {
        return card;
    }

    @Override
    public final Verdict judge(PlaceNow situation) {
        if (situation.placed().isEmpty() || situation.car().isEmpty()) {
            return Verdict.open(Missing.Entry.PLACE);
        }
        return situation
                .position()
                .map(position -> judge(situation, position))
                .orElseGet(() -> Verdict.judged(Finding.of(card.code(), Weight.NOT_KNOWN, "placeNotOnSheet")
                        .with(
                                "place",
                                situation.placed().get().value().position().toString())
                        .changedBy("OTHER_PLACE")));
    }

    /** The verdict on a position that the vehicle's sheet has. */
    protected abstract Verdict judge(PlaceNow situation, SeatingPosition position);

    static Finding.Builder at(Finding.Builder finding, SeatingPosition position) {
        return finding.with("place", new Argument.OfKey("place." + position.id()))
                .changedBy("OTHER_PLACE");
    }
}
