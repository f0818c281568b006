package app.layette.core.recheck;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FactQuickCarSeenParts;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnitId;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.seat.SettingId;
import org.junit.jupiter.api.Test;

class LastSetUpTest {
    private static final Situation NOW = FittingBuilder.ready().plan().situation();

    private static FittingBuilder ended(Fact.Ending ending) {
        FittingBuilder earlier = FittingBuilder.ready();
        earlier.add(new Fact.Ended(UnitId.FIRST, ending, null, null, null));
        return earlier;
    }

    @Test
    void placeWaySettingAndGoesOfTheSameSeatInTheSameCarAreTold() {
        LastSetUp last = LastSetUp.of(ended(Fact.Ending.HANDED_OVER).plan().situation(), NOW)
                .orElseThrow();
        Fact.Placed placed = NOW.placed().orElseThrow().value();
        assertThat(last.place()).isEqualTo(placed.position());
        assertThat(last.method()).isEqualTo(placed.method());
        assertThat(last.setting())
                .isEqualTo(
                        NOW.newest(Fact.DeviceSet.class).map(set -> set.value().step()));
        assertThat(last.goes()).isOne();
        assertThat(last.on()).isEqualTo(FittingBuilder.TODAY);
    }

    @Test
    void eachSettingUntilItHeldIsAGo() {
        FittingBuilder earlier = FittingBuilder.ready();
        earlier.add(new Fact.DeviceSet(UnitId.FIRST, new SettingId("2")));
        earlier.add(new Fact.DeviceSet(UnitId.FIRST, new SettingId("3")));
        earlier.add(new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null));
        assertThat(LastSetUp.of(earlier.plan().situation(), NOW)).hasValueSatisfying(last -> {
            assertThat(last.goes()).isEqualTo(3);
            assertThat(last.setting()).contains(new SettingId("3"));
        });
    }

    @Test
    void nothingIsTakenFromWhatWasNotHandedOver() {
        assertThat(LastSetUp.of(NOW, NOW)).isEmpty();
        assertThat(LastSetUp.of(ended(Fact.Ending.NOT_FITTED).plan().situation(), NOW))
                .isEmpty();
    }

    /** Two cars that are called the same are not the same car. */
    @Test
    void norFromACarThatWasOnlyDescribed() {
        FittingBuilder earlier = FittingBuilder.ready();
        earlier.add(FactQuickCarSeenParts.builder()
                .of(UnitId.FIRST)
                .name("Old estate")
                .position(earlier.car.place)
                .build());
        earlier.add(new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null));
        Situation described = earlier.plan().situation();
        assertThat(LastSetUp.of(described, NOW)).isEmpty();
        assertThat(LastSetUp.of(described, described)).isEmpty();
    }
}
