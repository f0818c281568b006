package app.layette.core.growth;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Fact.InsertState;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.growth.Coming.What;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.WeightBand;
import app.layette.core.suit.AnchorLimit;
import app.layette.core.suit.HeadRoom;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Stream;

/** What growing will bring to this child in this restraint, from the latest measures on. A new measure re-plans it all. */
public final class WhatComesNext {
    /** Crown over length where the crown was not measured seated. */
    private static final double USUAL_CROWN_SHARE = 0.66;

    private final Situation situation;
    private final SeatSheet seat;
    private final Growth growth;
    private final List<Coming> coming = new ArrayList<>();

    private WhatComesNext(Situation situation, SeatSheet seat, Child child) {
        this.situation = situation;
        this.seat = seat;
        this.growth = new Growth(child.born(), boxed(child.gestationDays()), child.sex(), child.birthWeight());
    }

    /** How this child grows; empty while nobody said when it was born. */
    public static Optional<Growth> growth(Situation situation) {
        return situation
                .child()
                .map(Stamped::value)
                .map(child -> new Growth(child.born(), boxed(child.gestationDays()), child.sex(), child.birthWeight()));
    }

    private static Optional<Integer> boxed(OptionalInt days) {
        return days.isPresent() ? Optional.of(days.getAsInt()) : Optional.empty();
    }

    /** What comes, the likely first day first; nothing while child, restraint or measures are missing. */
    public static List<Coming> of(Situation situation) {
        Optional<Child> child = situation.child().map(Stamped::value);
        if (child.isEmpty() || situation.seat().isEmpty()) {
            return List.of();
        }
        WhatComesNext next = new WhatComesNext(situation, situation.seat().get(), child.get());
        situation.weight().ifPresent(next::byWeight);
        next.seat.insert().value().orElse(List.of()).forEach(piece -> next.insertOutByAge(piece, child.get()));
        situation.measured(Dimension.BODY).ifPresent(next::byLength);
        if (situation.usualMethod().isReclined()) {
            next.rearFacing(child.get().born());
        }
        next.coming.sort(Comparator.comparing(each -> each.outlook().likely().orElse(LocalDate.MAX)));
        return List.copyOf(next.coming);
    }

    /**
     * When a child that is too light for this restraint, or whose shoulder lies below its lowest slot, is big enough:
     * the later of the two. Empty where neither can be dated.
     */
    public static Optional<Outlook> bigEnough(Situation situation) {
        Optional<Child> child = situation.child().map(Stamped::value);
        if (child.isEmpty() || situation.seat().isEmpty()) {
            return Optional.empty();
        }
        WhatComesNext next = new WhatComesNext(situation, situation.seat().get(), child.get());
        return Stream.of(next.heavyEnough(), next.tallEnough())
                .flatMap(Optional::stream)
                .filter(outlook -> !outlook.reached())
                .max(Comparator.comparing(outlook -> outlook.likely().orElse(outlook.horizon())));
    }

    private Optional<Outlook> heavyEnough() {
        return situation
                .weight()
                .flatMap(weight ->
                        seat.limits().weightMin().value().map(min -> growth.weight(weight.value(), weight.on(), min)));
    }

    private Optional<Outlook> tallEnough() {
        Optional<Length> lowest =
                seat.shell().slots().value().flatMap(slots -> slots.stream().findFirst());
        return situation
                .measured(Dimension.BODY)
                .flatMap(measured -> lowest.map(slot -> growth.shoulder(
                        measured.value().length(), measured.on(), bare(Dimension.SHOULDER), slot, insertLift())));
    }

    private void byWeight(Stamped<Mass> weight) {
        seat.insert().value().orElse(List.of()).forEach(piece -> insertOut(piece, weight));
        seat.recline()
                .indicator()
                .value()
                .flatMap(indicator -> indicator.bandFor(weight.value()))
                .map(Indicator.Band::weights)
                .map(WeightBand::below)
                .ifPresent(below -> weightReaches(What.NEXT_BAND, weight, below));
        boolean byAnchors =
                situation.method().filter(method -> !method.isByBelt()).isPresent();
        if (byAnchors) {
            AnchorLimit.limit(situation)
                    .flatMap(limit -> AnchorLimit.restraintMass(seat).map(limit::minus))
                    .ifPresent(left -> weightReaches(What.ANCHOR_LIMIT, weight, left));
        }
        seat.limits().weightMax().value().ifPresent(max -> weightReaches(What.OUTGROWN_BY_WEIGHT, weight, max));
    }

    /** The first band from which a piece that is in must be out. */
    private void insertOut(InsertPiece piece, Stamped<Mass> weight) {
        boolean isIn = situation
                .insert(piece)
                .map(Stamped::value)
                .filter(Fact.InsertSet::in)
                .isPresent();
        if (isIn) {
            piece.bands().stream()
                    .filter(band -> band.use() == InsertPiece.Use.MUST_BE_OUT)
                    .map(band -> band.weights().from())
                    .filter(Objects::nonNull)
                    .filter(from -> from.isMoreThan(weight.value()))
                    .min(Mass::compareTo)
                    .ifPresent(from -> weightReaches(What.INSERT_OUT, weight, from));
        }
    }

    /** The first day from which a piece that is in must be out by age. */
    private void insertOutByAge(InsertPiece piece, Child child) {
        boolean isIn = situation
                .insert(piece)
                .map(Stamped::value)
                .filter(Fact.InsertSet::in)
                .isPresent();
        piece.bands().stream()
                .filter(band -> isIn && band.use() == InsertPiece.Use.MUST_BE_OUT)
                .filter(band -> band.ageMonths().firstDay() > child.ageDays(situation.today()))
                .map(band -> child.born().plusDays(band.ageMonths().firstDay()))
                .min(LocalDate::compareTo)
                .ifPresent(day -> coming.add(new Coming(
                        What.INSERT_OUT,
                        new Outlook(Optional.of(day), Optional.of(day), Optional.of(day), false, day, false))));
    }

    private void weightReaches(What what, Stamped<Mass> weight, Mass threshold) {
        coming.add(new Coming(what, growth.weight(weight.value(), weight.on(), threshold)));
    }

    private void byLength(Stamped<Fact.LengthMeasured> measured) {
        Stamped<Length> length = measured.with(measured.value().length());
        seat.limits()
                .lengthMax()
                .value()
                .flatMap(limit -> limit.max())
                .ifPresent(max -> coming.add(
                        new Coming(What.OUTGROWN_BY_LENGTH, growth.length(length.value(), length.on(), max))));
        nextSlot()
                .ifPresent(slot -> coming.add(new Coming(
                        What.NEXT_SLOT,
                        growth.shoulder(length.value(), length.on(), bare(Dimension.SHOULDER), slot, insertLift()))));
        headLimit().ifPresent(limit -> coming.add(new Coming(What.OUTGROWN_BY_HEAD_ROOM, crown(length, limit))));
    }

    /** SUIT-11: the age, which counts from birth, and the length where one is asked besides: the later of the two. */
    private void rearFacing(LocalDate born) {
        PracticeProfile.RearFacing least = situation.practice().profile().rearFacing();
        LocalDate oldEnough = born.plusMonths(least.months());
        Outlook byAge = new Outlook(
                Optional.of(oldEnough), Optional.of(oldEnough), Optional.of(oldEnough), false, oldEnough, false);
        Optional<Outlook> byLength = Optional.ofNullable(least.length())
                .flatMap(asked -> situation
                        .measured(Dimension.BODY)
                        .map(measured -> growth.length(measured.value().length(), measured.on(), asked)));
        coming.add(
                new Coming(What.REAR_FACING_UNTIL, byLength.map(byAge::andAlso).orElse(byAge)));
    }

    /** The slot above the one in use. */
    private Optional<Length> nextSlot() {
        List<Length> slots = seat.shell().slots().value().orElse(List.of());
        return situation
                .newest(Fact.SlotsSet.class)
                .map(set -> set.value().leftShell())
                .filter(inUse -> inUse >= 1 && inUse < slots.size())
                .map(slots::get);
    }

    /** How high the top of the head may come. */
    private Optional<Length> headLimit() {
        return seat.shell()
                .top()
                .value()
                .flatMap(top -> HeadRoom.asked(situation).map(top::minus));
    }

    private Outlook crown(Stamped<Length> length, Length limit) {
        double share = bare(Dimension.CROWN)
                .map(crown -> crown.millimetres() / length.value().millimetres())
                .orElse(USUAL_CROWN_SHARE);
        double atLength = (limit.millimetres() - insertLift().millimetres()) / share;
        return growth.length(length.value(), length.on(), Length.ofMillimetres(atLength));
    }

    /** A height along the shell back without the insert that was in when it was measured. */
    private Optional<Length> bare(Dimension what) {
        Function<Fact.LengthMeasured, Length> less = height -> height.insert() == InsertState.BARE
                ? height.length()
                : height.length().minus(insertLift());
        return situation.measured(what).map(Stamped::value).map(less);
    }

    private Length insertLift() {
        return situation.insertLift();
    }
}
