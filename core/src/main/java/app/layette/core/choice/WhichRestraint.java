package app.layette.core.choice;

import static app.layette.core.rule.Conclusion.HEAD_ROOM;
import static app.layette.core.rule.Conclusion.LENGTH;
import static app.layette.core.rule.Conclusion.ORDERS;
import static app.layette.core.rule.Conclusion.SCREENING;
import static app.layette.core.rule.Conclusion.SLOT_IN_REACH;
import static app.layette.core.rule.Conclusion.WEIGHT;

import app.layette.core.coming.Coming;
import app.layette.core.coming.WhatComesNext;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.gate.Required;
import app.layette.core.gate.RuleBook;
import app.layette.core.growth.Outlook;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.InsertPiece.Use;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Ranks restraints for a child (SUIT): the clinicians' order, fits now with head room and slot, time until outgrown, fits
 * the car, weight to carry. An estimate of the shoulder passes nothing: where it was not measured the answer is "look".
 */
public final class WhichRestraint {
    /** What can be said of a restraint before the child sits in it. */
    private static final List<Conclusion> BEFOREHAND =
            List.of(ORDERS, WEIGHT, LENGTH, SCREENING, SLOT_IN_REACH, HEAD_ROOM);

    private final Situation present;
    private final RuleBook rules;

    private WhichRestraint(Situation present, RuleBook rules) {
        this.present = present;
        this.rules = rules;
    }

    /** The answers about these sheets for the child and, where there is one, the car of a fitting; the best first. */
    public static List<SeatAnswer> among(List<SeatSheet> shelf, Situation present) {
        WhichRestraint which = new WhichRestraint(present, RuleBook.shipped());
        return shelf.stream().map(which::about).sorted(RANK).toList();
    }

    private static final Comparator<SeatAnswer> RANK = Comparator.<SeatAnswer>comparingInt(
                    each -> each.findings().stream().anyMatch(WhichRestraint::isAgainstOrder) ? 1 : 0)
            .thenComparingInt(each -> rank(each.answer()))
            .thenComparing(each -> each.carKnown() && !each.hasPlace())
            .thenComparing(each -> each.outgrownOn().orElse(LocalDate.MAX), Comparator.reverseOrder())
            .thenComparing(each -> each.carry().orElse(Mass.ofGrams(0)))
            .thenComparing(each -> each.seat().identity().fullName());

    private static boolean isAgainstOrder(Finding finding) {
        return finding.code() == RuleCode.SUIT_7 && finding.weight().blocks();
    }

    private static int rank(Permission answer) {
        return switch (answer) {
            case ALLOWED -> 0;
            case NOT_KNOWN -> 1;
            case NOT_ALLOWED -> 2;
        };
    }

    /** With the optional pieces out; where that does not suit, with them in. */
    private SeatAnswer about(SeatSheet seat) {
        SeatAnswer without = about(seat, false);
        boolean better = without.answer() != Permission.ALLOWED && hasOptionalPiece(seat);
        SeatAnswer with = better ? about(seat, true) : without;
        return rank(with.answer()) < rank(without.answer()) ? with : without;
    }

    private boolean hasOptionalPiece(SeatSheet seat) {
        return pieces(seat, true).size() > pieces(seat, false).size();
    }

    private SeatAnswer about(SeatSheet seat, boolean optionalIn) {
        List<InsertPiece> in = pieces(seat, optionalIn);
        Situation there = present.asIfInSeat(seat, inserted(seat, in));
        List<Finding> findings = findings(there);
        Permission answer = Finding.together(findings);
        return SeatAnswerParts.builder()
                .seat(seat)
                .answer(answer)
                .findings(findings)
                .pieces(in.stream().map(InsertPiece::name).toList())
                .rooms(rooms(there))
                .until(answer == Permission.NOT_ALLOWED ? Optional.empty() : until(there))
                .from(from(there, findings))
                .carry(carry(there))
                .place(answer == Permission.NOT_ALLOWED ? Optional.empty() : place(there))
                .carKnown(there.car().isPresent())
                .there(there)
                .build();
    }

    private List<InsertPiece> pieces(SeatSheet seat, boolean optionalIn) {
        return seat.asReliedOn().insert().value().orElse(List.of()).stream()
                .filter(piece -> present.useOf(piece)
                        .filter(use -> use == Use.REQUIRED || use == Use.OPTIONAL && optionalIn)
                        .isPresent())
                .toList();
    }

    private List<Fact.InsertSet> inserted(SeatSheet seat, List<InsertPiece> in) {
        return seat.asReliedOn().insert().value().orElse(List.of()).stream()
                .map(piece -> new Fact.InsertSet(present.unit().id(), piece.key(), in.contains(piece)))
                .toList();
    }

    private List<Finding> findings(Situation there) {
        Set<Conclusion> required =
                Required.by(Method.usual(there.seat().orElseThrow().kind()));
        List<Finding> findings = new ArrayList<>();
        for (Conclusion conclusion : BEFOREHAND) {
            if (required.contains(conclusion)) {
                ConclusionState state = Gate.judge(conclusion, rules, there);
                findings.addAll(state.findings().isEmpty() ? List.of(lookFirst(conclusion)) : state.findings());
            }
        }
        findings.sort(Comparator.comparing(Finding::weight));
        return findings;
    }

    /** What nobody has measured yet, or only estimated, is still to be looked at (HAR-3). */
    private static Finding lookFirst(Conclusion conclusion) {
        return Finding.of(conclusion.code(), Weight.NOT_KNOWN, "lookFirst").build();
    }

    private static SeatAnswer.Rooms rooms(Situation there) {
        SeatSheet seat = there.seat().orElseThrow();
        Optional<Mass> weight = there.weight()
                .flatMap(each -> there.weightMax()
                        .value()
                        .filter(max -> !max.isLessThan(each.value()))
                        .map(max -> max.minus(each.value())));
        Optional<Length> length = there.measured(Dimension.BODY)
                .map(each -> each.value().length())
                .flatMap(each -> there.lengthMax()
                        .value()
                        .flatMap(LengthLimit::max)
                        .filter(max -> !max.isLessThan(each))
                        .map(max -> max.minus(each)));
        Optional<Length> head = there.crown()
                .map(Stamped::value)
                .flatMap(crown -> seat.shell()
                        .top()
                        .value()
                        .filter(top -> !top.isLessThan(crown))
                        .map(top -> top.minus(crown)));
        Optional<ShoulderAndSlots> shoulder = ShoulderAndSlots.in(there);
        OptionalInt slot = shoulder.map(each -> OptionalInt.of(each.best())).orElse(OptionalInt.empty());
        return new SeatAnswer.Rooms(weight, length, head, slot, there.slotCount());
    }

    private static Optional<Coming> until(Situation there) {
        return WhatComesNext.of(there).stream()
                .filter(coming -> coming.what().isOutgrown())
                .filter(coming -> !coming.outlook().reached())
                .min(Comparator.comparing(coming ->
                        coming.outlook().likely().orElse(coming.outlook().horizon())));
    }

    /** Too light, or the shoulder below the lowest slot: growing alone mends that. */
    private static Optional<Outlook> from(Situation there, List<Finding> findings) {
        boolean onlySmall = findings.stream()
                .filter(finding -> finding.weight() == Weight.STOP)
                .allMatch(finding ->
                        finding.reason().equals("tooLight") || finding.reason().equals("belowLowest"));
        boolean small = findings.stream().anyMatch(finding -> finding.weight() == Weight.STOP);
        return small && onlySmall ? WhatComesNext.bigEnough(there) : Optional.empty();
    }

    /** A carrier is lifted with the child in it; the others stay in the car. */
    private static Optional<Mass> carry(Situation there) {
        SeatSheet seat = there.seat().orElseThrow();
        boolean lifted = seat.kind() == SeatKind.REAR_FACING_ONLY || seat.kind() == SeatKind.LAY_FLAT;
        Evidence<Mass> carrier = seat.shell().carrierMass();
        return carrier.value()
                .filter(mass -> lifted)
                .flatMap(mass -> there.weight().map(weight -> weight.value().plus(mass)));
    }

    private static Optional<PlaceAnswer> place(Situation there) {
        return CabinAnswers.of(there).answers().stream().findFirst();
    }
}
