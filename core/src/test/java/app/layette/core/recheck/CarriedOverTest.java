package app.layette.core.recheck;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FactQuickCarSeenParts;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnitId;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.rule.Conclusion;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What an earlier fitting says of the same seat, and what it never says. */
class CarriedOverTest {
    private static final Situation NEW = FittingBuilder.ready()
            .without(fact -> !(fact instanceof Fact.SheetAdopted) && !(fact instanceof Fact.ChildDescribed))
            .plan()
            .situation();

    private static List<Fact> carried(FittingBuilder earlier, Situation now) {
        return CarriedOver.of(earlier.plan().situation(), now).stream()
                .map(CarriedOver::fact)
                .toList();
    }

    @Test
    void labelPapersPlaceAndSettingsAreCarriedAndNothingThatIsTested() {
        List<Fact> carried = carried(FittingBuilder.ready(), NEW);
        assertThat(carried)
                .hasAtLeastOneElementOfType(Fact.LabelRead.class)
                .hasAtLeastOneElementOfType(Fact.Placed.class)
                .hasAtLeastOneElementOfType(Fact.DeviceSet.class)
                .hasAtLeastOneElementOfType(Fact.InsertSet.class)
                .noneMatch(fact -> fact instanceof Fact.SlotsSet
                        || fact instanceof Fact.LevelRead
                        || fact instanceof Fact.Taught
                        || fact instanceof Fact.HandleSet);
        assertThat(carried)
                .filteredOn(Fact.Answered.class::isInstance)
                .extracting(fact -> ((Fact.Answered) fact).question())
                .contains(Question.PARTS, Question.MANUALS, Question.RECALL)
                .doesNotContain(
                        Question.MOVEMENT,
                        Question.SNUG,
                        Question.WEBBING,
                        Question.CLICK,
                        Question.CLOTHING,
                        Question.LOCK_PROOF,
                        Question.AIRBAG_LAMP);
    }

    @Test
    void nothingThatWasSaidHereIsSaidAgain() {
        FittingBuilder now = FittingBuilder.ready()
                .without(fact -> !(fact instanceof Fact.SheetAdopted) && !(fact instanceof Fact.ChildDescribed));
        now.add(How.TOLD, new Fact.Answered(UnitId.FIRST, Question.HISTORY, "UNKNOWN"));
        assertThat(carried(FittingBuilder.ready(), now.plan().situation()))
                .noneMatch(fact -> fact instanceof Fact.Answered answered && answered.question() == Question.HISTORY);
    }

    @Test
    void nothingIsCarriedOfASeatThatWasInACrashSince() {
        FittingBuilder earlier = FittingBuilder.ready();
        earlier.add(new Fact.CrashedSince(UnitId.FIRST, FittingBuilder.TODAY));
        assertThat(carried(earlier, NEW)).isEmpty();
    }

    @Test
    void theOrderInForceIsCarriedNotAFamilysWordAfterIt() {
        FittingBuilder earlier = FittingBuilder.ready();
        earlier.add(new Fact.Ordered(
                RiderId.FIRST,
                Fact.OrderKind.SEMI_RECLINED,
                "neonatologist",
                FittingBuilder.TODAY,
                FittingBuilder.TODAY.plusDays(60)));
        earlier.add(new Fact.Ordered(RiderId.FIRST, Fact.OrderKind.NONE, null, null, null));
        assertThat(carried(earlier, NEW))
                .filteredOn(Fact.Ordered.class::isInstance)
                .extracting(fact -> ((Fact.Ordered) fact).order())
                .containsExactly(Fact.OrderKind.SEMI_RECLINED);
    }

    @Test
    void thatAnAirbagWasOffIsSeenAnewEachTime() {
        FittingBuilder earlier = FittingBuilder.ready();
        earlier.add(FactQuickCarSeenParts.builder()
                .of(UnitId.FIRST)
                .name("Old estate")
                .position(earlier.car.place)
                .airbag(Airbag.OFF_CONFIRMED)
                .build());
        Situation withoutCar = FittingBuilder.ready()
                .without(fact -> !(fact instanceof Fact.ChildDescribed))
                .plan()
                .situation();
        assertThat(CarriedOver.of(earlier.plan().situation(), withoutCar))
                .filteredOn(each -> each.fact() instanceof Fact.QuickCarSeen)
                .allSatisfy(each -> {
                    assertThat(((Fact.QuickCarSeen) each.fact()).airbag()).isNull();
                    assertThat(each.how().isCarried()).isTrue();
                })
                .isNotEmpty();
    }

    /** SUIT-4, HAR-3: where the shoulder was the last time is where to look first, on no day a look. */
    @Test
    void theShoulderOfTheLastTimeIsDrawnAndPassesNothing() {
        assertThat(carried(FittingBuilder.ready(), NEW)).hasAtLeastOneElementOfType(Fact.ShoulderSeen.class);
        FittingBuilder now = FittingBuilder.ready()
                .without(fact -> fact instanceof Fact.ShoulderSeen
                        || fact instanceof Fact.LengthMeasured length && length.what() == Fact.Dimension.SHOULDER);
        Fact.ShoulderSeen last = new Fact.ShoulderSeen(RiderId.FIRST, 1);
        now.add(new How(How.Kind.CARRIED_FROM, FittingBuilder.TODAY.toString()), last);
        assertThat(now.state(Conclusion.SLOT_IN_REACH).passed()).isFalse();
        assertThat(now.state(Conclusion.SLOT_IN_REACH).asksAgain()).isTrue();
        assertThat(now.plan().gate().isOpen()).isFalse();
        now.add(How.MEASURED, last);
        assertThat(now.state(Conclusion.SLOT_IN_REACH).passed()).isTrue();
    }
}
