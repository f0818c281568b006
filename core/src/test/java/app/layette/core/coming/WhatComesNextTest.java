package app.layette.core.coming;

import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.coming.Coming.What;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.RiderId;
import app.layette.core.fitting.DatedEvent;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.growth.Outlook;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.WeightBand;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class WhatComesNextTest {
    private static Map<What, Outlook> next(FittingBuilder fitting) {
        return WhatComesNext.of(fitting.plan().situation()).stream()
                .collect(Collectors.toMap(Coming::what, Coming::outlook));
    }

    @Test
    void slotInsertAnchorLimitAndTheEndOfTheSeatAreSeenComing() {
        Map<What, Outlook> next = next(FittingBuilder.ready());
        assertThat(next)
                .containsOnlyKeys(
                        What.NEXT_SLOT,
                        What.INSERT_OUT,
                        What.ANCHOR_LIMIT,
                        What.REAR_FACING_UNTIL,
                        What.OUTGROWN_BY_WEIGHT,
                        What.OUTGROWN_BY_LENGTH,
                        What.OUTGROWN_BY_HEAD_ROOM);
        assertThat(next.get(What.NEXT_SLOT).likely().orElseThrow())
                .isBefore(next.get(What.OUTGROWN_BY_LENGTH).likely().orElseThrow());
        assertThat(WhatComesNext.of(FittingBuilder.ready().plan().situation()))
                .extracting(each -> each.outlook().likely().orElse(LocalDate.MAX))
                .isSorted();
    }

    @Test
    void aBandOfTheLevelThatEndsIsADate() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.seat.indicator = stated(new Indicator(
                Indicator.Kind.BUBBLE,
                Indicator.Mount.BASE,
                Indicator.Pass.WHOLLY_INSIDE,
                List.of(
                        new Indicator.Band(
                                new WeightBand(null, Mass.ofPounds(20)), Angle.ofDegrees(40), Angle.ofDegrees(45)),
                        new Indicator.Band(
                                new WeightBand(Mass.ofPounds(20), null), Angle.ofDegrees(30), Angle.ofDegrees(45)))));
        assertThat(next(fitting)).containsKey(What.NEXT_BAND);
    }

    @Test
    void aNewWeightReplansEveryDateThatRestsOnIt() {
        FittingBuilder fitting = FittingBuilder.ready();
        Map<What, Outlook> before = next(fitting);
        Map<What, Outlook> after = next(fitting.add(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.4))));
        Function<Map<What, Outlook>, LocalDate> out = each -> each.get(What.OUTGROWN_BY_WEIGHT)
                .likely()
                .orElse(each.get(What.OUTGROWN_BY_WEIGHT).horizon());
        assertThat(out.apply(after)).isBeforeOrEqualTo(out.apply(before));
        assertThat(after.get(What.NEXT_SLOT)).isEqualTo(before.get(What.NEXT_SLOT));
    }

    @Test
    void byTheBeltNoAnchorLimitComes() {
        assertThat(next(FittingBuilder.ready(Method.BASE_BELT))).doesNotContainKey(What.ANCHOR_LIMIT);
    }

    @Test
    void theInsertThatLiftedTheChildIsTakenOutOfItsShare() {
        FittingBuilder measured = FittingBuilder.ready();
        FittingBuilder bare = FittingBuilder.ready()
                .without(fact -> fact instanceof Fact.LengthMeasured height && height.what() == Fact.Dimension.SHOULDER)
                .add(new Fact.LengthMeasured(
                        RiderId.FIRST, Fact.Dimension.SHOULDER, Length.ofMillimetres(192), Fact.InsertState.BARE));
        assertThat(next(bare).get(What.NEXT_SLOT)).isEqualTo(next(measured).get(What.NEXT_SLOT));
    }

    @Test
    void withoutMeasuresOnlyAgeIsForetold() {
        assertThat(WhatComesNext.of(FittingBuilder.ready()
                        .without(fact -> fact instanceof Fact.Weighed || fact instanceof Fact.LengthMeasured)
                        .plan()
                        .situation()))
                .extracting(Coming::what)
                .containsExactly(What.REAR_FACING_UNTIL);
    }

    @Test
    void thePlanCarriesTheDatesWithTheirRange() {
        assertThat(FittingBuilder.ready().plan().dates())
                .filteredOn(event -> event.kind() == DueKind.NEXT_SLOT)
                .singleElement()
                .satisfies(event -> {
                    assertThat(event.earliest()).isPresent();
                    assertThat(event.on()).isAfterOrEqualTo(event.earliest().orElseThrow());
                });
        assertThat(FittingBuilder.ready().plan().dates())
                .extracting(DatedEvent::on)
                .isSorted();
    }
}
