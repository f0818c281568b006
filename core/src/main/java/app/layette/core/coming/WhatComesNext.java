package app.layette.core.coming;

import app.layette.core.child.Child;
import app.layette.core.coming.Coming.What;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.growth.ChildHeights;
import app.layette.core.growth.Growth;
import app.layette.core.growth.Outlook;
import app.layette.core.growth.Share;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.RearFacingMinimum;
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
import java.util.function.Function;
import java.util.stream.Stream;

/** What growing will bring to this child in this restraint, from the latest measures on. A new measure re-plans it all. */
public final class WhatComesNext {
    /** Nothing bounds a shoulder above the highest slot of a shell without a known top. */
    private static final Length TALLEST = Length.ofMillimetres(1000);

    private static final Function<Situation, List<Coming>> ALL = WhatComesNext::all;

    private final Situation situation;
    private final SeatSheet seat;
    private final Growth growth;
    private final List<Coming> coming = new ArrayList<>();

    private WhatComesNext(Situation situation, SeatSheet seat) {
        this.situation = situation;
        this.seat = seat;
        this.growth = ChildHeights.growth(situation).orElseThrow();
    }

    /** What comes, the likely first day first; nothing while child, restraint or measures are missing. */
    public static List<Coming> of(Situation situation) {
        return situation.once(ALL);
    }

    private static List<Coming> all(Situation situation) {
        Optional<Child> child = situation.child().map(Stamped::value);
        if (child.isEmpty() || situation.seat().isEmpty()) {
            return List.of();
        }
        WhatComesNext next = new WhatComesNext(situation, situation.seat().get());
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
        WhatComesNext next = new WhatComesNext(situation, situation.seat().get());
        return Stream.of(next.heavyEnough(), next.tallEnough())
                .flatMap(Optional::stream)
                .filter(outlook -> !outlook.reached())
                .max(Comparator.comparing(outlook -> outlook.likely().orElse(outlook.horizon())));
    }

    private Optional<Outlook> heavyEnough() {
        return situation
                .weight()
                .flatMap(weight ->
                        situation.weightMin().value().map(min -> growth.weight(weight.value(), weight.on(), min)));
    }

    private Optional<Outlook> tallEnough() {
        return seat.shell()
                .slots()
                .value()
                .flatMap(slots -> slots.stream().findFirst())
                .flatMap(lowest ->
                        ChildHeights.of(situation).map(heights -> heights.reaches(lowest, shoulder(heights))));
    }

    private void byWeight(Stamped<Mass> weight) {
        seat.insert().value().orElse(List.of()).forEach(piece -> insertOut(piece, weight));
        seat.recline()
                .indicator()
                .value()
                .flatMap(indicator -> indicator.bandFor(weight.value(), situation.ageDays()))
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
        situation.weightMax().value().ifPresent(max -> weightReaches(What.OUTGROWN_BY_WEIGHT, weight, max));
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
        situation
                .lengthMax()
                .value()
                .flatMap(limit -> limit.max())
                .ifPresent(max -> coming.add(
                        new Coming(What.OUTGROWN_BY_LENGTH, growth.length(length.value(), length.on(), max))));
        ChildHeights heights = ChildHeights.of(situation).orElseThrow();
        nextSlot().ifPresent(slot -> coming.add(new Coming(What.NEXT_SLOT, heights.reaches(slot, shoulder(heights)))));
        headLimit()
                .ifPresent(limit -> coming.add(new Coming(
                        What.OUTGROWN_BY_HEAD_ROOM, heights.reaches(limit, heights.share(Dimension.CROWN)))));
    }

    /** SUIT-11: the age, which counts from birth, and the length where one is asked besides: the later of the two. */
    private void rearFacing(LocalDate born) {
        PracticeProfile.RearFacing profile = situation.practice().profile().rearFacing();
        Optional<RearFacingMinimum> own = seat.rearFacingMinimum().value();
        int months =
                Math.max(profile.months(), own.map(RearFacingMinimum::months).orElse(0));
        LocalDate oldEnough = born.plusMonths(months);
        Outlook byAge = new Outlook(
                Optional.of(oldEnough), Optional.of(oldEnough), Optional.of(oldEnough), false, oldEnough, false);
        Optional<Outlook> byLength = Stream.of(
                        Optional.ofNullable(profile.length()), own.map(RearFacingMinimum::length))
                .flatMap(Optional::stream)
                .max(Length::compareTo)
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

    /** A shoulder that was seen between two slots after it was last measured lies between them on that day. */
    private Share shoulder(ChildHeights heights) {
        Optional<Stamped<Fact.ShoulderSeen>> seen = situation
                .seen(Fact.ShoulderSeen.class)
                .filter(each -> each.isAfter(situation.measured(Dimension.SHOULDER)));
        List<Length> slots = seat.shell().slots().value().orElse(List.of());
        if (seen.isEmpty() || slots.isEmpty() || seen.get().value().slotAtOrBelow() > slots.size()) {
            return heights.share(Dimension.SHOULDER);
        }
        int at = seen.get().value().slotAtOrBelow();
        Length low = at == 0 ? situation.insertLift().plus(Length.ofMillimetres(1)) : slots.get(at - 1);
        Length high = at == slots.size() ? seat.shell().top().value().orElse(TALLEST) : slots.get(at);
        return heights.shoulderBetween(low, high, seen.get().on());
    }
}
