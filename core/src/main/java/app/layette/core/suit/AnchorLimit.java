package app.layette.core.suit;

import app.layette.core.entry.Asking;
import app.layette.core.entry.ChildNow;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Lack;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.practice.AnchorLimits;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Quantities;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.Shell;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * SUIT-10: child and restraint together weigh no more than the lower anchors may hold: the stricter of seat and vehicle
 * manual. Where one of them was not read nothing is known; where both were read and are silent the profile's convention
 * counts.
 */
@AutoService(Asking.class)
public final class AnchorLimit implements Rule.OfChild {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("ANCHOR_LIMIT"), RuleCode.SUIT_10)
            .requiredOf(Method::isByAnchors)
            .saidBeforehand()
            .decidedBy(SheetValue.CARRIER_MASS, SheetValue.BASE_MASS)
            .decidedBy(Fact.Quantity.ANCHOR_LIMIT, Fact.Quantity.CARRIER_MASS, Fact.Quantity.BASE_MASS)
            .at(StepKey.PLACE, 600);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(ChildNow situation) {
        Optional<Stamped<Mass>> weight = situation.weight();
        if (weight.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.WEIGHT);
        }
        if (situation.car().isEmpty()) {
            return Verdict.open(Missing.Entry.PLACE);
        }
        Optional<Mass> restraint = restraintMass(situation.seat().get());
        Optional<Mass> limit = limit(situation);
        if (restraint.isEmpty() || limit.isEmpty()) {
            return Verdict.judged(Finding.of(
                            Weight.NOT_KNOWN,
                            restraint.isEmpty() ? "finding.SUIT-10.massNotKnown" : "finding.SUIT-10.limitNotKnown")
                    .lacks(restraint.isEmpty() ? masses(situation.seat().get()) : List.of())
                    .changedBy(restraint.isEmpty() ? "SEAT_MANUAL" : "BOTH_MANUALS"));
        }
        Mass together = weight.get().value().plus(restraint.get());
        boolean past = together.isMoreThan(limit.get());
        return Verdict.judged(
                Finding.of(past ? Weight.STOP : Weight.HOLDS, past ? "finding.SUIT-10.past" : "finding.SUIT-10.under")
                        .with("together", together)
                        .with("limit", limit.get())
                        .from(situation.anchorLimit(Speaker.SEAT))
                        .from(situation.anchorLimit(Speaker.CAR))
                        .changedBy("BELT"));
    }

    @Override
    public List<String> pages(Finding finding, Situation situation) {
        return finding.weight() == Weight.NOT_KNOWN && limit(situation).isEmpty()
                ? Quantities.unread(
                        Fact.Quantity.ANCHOR_LIMIT,
                        situation.anchorLimit(Speaker.SEAT),
                        situation.anchorLimit(Speaker.CAR))
                : List.of();
    }

    /** Carrier and base together, where the sheet has both; a restraint of one piece is its own carrier. */
    public static Optional<Mass> restraintMass(SeatSheet seat) {
        Shell shell = seat.shell();
        if (seat.kind() != SeatKind.REAR_FACING_ONLY) {
            return shell.carrierMass().value();
        }
        return shell.carrierMass()
                .value()
                .flatMap(carrier -> shell.baseMass().value().map(carrier::plus));
    }

    /** The masses that nobody has looked up. */
    private static List<Lack> masses(SeatSheet seat) {
        List<Lack> lacks = new ArrayList<>();
        if (seat.shell().carrierMass().value().isEmpty()) {
            lacks.add(new Lack(SheetValue.CARRIER_MASS, ""));
        }
        if (seat.kind() == SeatKind.REAR_FACING_ONLY
                && seat.shell().baseMass().value().isEmpty()) {
            lacks.add(new Lack(SheetValue.BASE_MASS, ""));
        }
        return lacks;
    }

    /** The limit that counts here; empty when a document that has a say was not read. */
    public static Optional<Mass> limit(ChildNow situation) {
        Evidence<Mass> seat = situation.anchorLimit(Speaker.SEAT);
        Evidence<Mass> car = situation.anchorLimit(Speaker.CAR);
        if (!seat.isLooked() || !car.isLooked()) {
            return Optional.empty();
        }
        Optional<Mass> stricter =
                Stream.of(seat.value(), car.value()).flatMap(Optional::stream).min(Mass::compareTo);
        return stricter.or(
                () -> Optional.of(AnchorLimits.of(situation.practice().profile().anchorLimit())));
    }
}
