package app.layette.core.ride;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.SeatSheet;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class RideCardTest {
    private static final Mass NEWBORN = Mass.ofKilograms(2.95);

    /** Sheet and page: yes, no, silent, or a dash for nobody looked. */
    @ParameterizedTest
    @CsvSource({
        "-, EUROPEAN, EUROPEAN",
        "-, BOTH, EUROPEAN",
        "-, AMERICAN, AMERICAN",
        "-, NEITHER, -",
        "-, -, -",
        "yes, -, EUROPEAN",
        "yes, AMERICAN, AMERICAN",
        "no, BOTH, AMERICAN",
        "no, EUROPEAN, -",
        "silent, BOTH, AMERICAN"
    })
    void theSheetOnEuropeanRoutingAndThePageTogether(String european, String page, String expected) {
        SeatSheetBuilder seat = new SeatSheetBuilder();
        switch (european) {
            case "yes" -> seat.says(PermissionKey.EUROPEAN_ROUTING, Said.ALLOWED);
            case "no" -> seat.says(PermissionKey.EUROPEAN_ROUTING, Said.NOT_ALLOWED);
            case "silent" -> seat.permissions.put(PermissionKey.EUROPEAN_ROUTING, SeatSheetBuilder.silent());
            default -> assertThat(european).isEqualTo("-");
        }
        seat.says(PermissionKey.CARRIER_WITHOUT_BASE, Said.ALLOWED);
        RideCard card = RideCard.plan(ride(seat.build(), NEWBORN, shown(page)));
        assertThat(card.routing().map(Enum::name).orElse("-")).isEqualTo(expected);
        assertThat(card.findings().stream()
                        .filter(each -> each.reason().equals("methodOfKind"))
                        .map(each -> each.arguments().get("method")))
                .as("the carrier is said to be made for the way that is used, and for no other")
                .isEqualTo(card.routing().stream()
                        .map(each -> (Argument) new Argument.OfKey("method." + each.method()))
                        .toList());
    }

    private static Ride ride(SeatSheet seat, Mass weight, Optional<Set<Routing>> shown) {
        return Ride.of(FittingBuilder.ready().practice(), seat, weight, shown, FittingBuilder.TODAY);
    }

    private static Optional<Set<Routing>> shown(String page) {
        return switch (page) {
            case "BOTH" -> Optional.of(EnumSet.allOf(Routing.class));
            case "NEITHER" -> Optional.of(EnumSet.noneOf(Routing.class));
            case "-" -> Optional.empty();
            default -> Optional.of(EnumSet.of(Routing.valueOf(page)));
        };
    }

    @Test
    void aCarrierThatNeedsItsBaseRidesNowhereWithoutIt() {
        SeatSheetBuilder seat = new SeatSheetBuilder().says(PermissionKey.CARRIER_WITHOUT_BASE, Said.NOT_ALLOWED);
        RideCard card = RideCard.plan(ride(seat.build(), NEWBORN, shown("BOTH")));
        assertThat(card.routing()).isEmpty();
        assertThat(card.findings()).extracting(Finding::reason).contains("withoutBaseNotAllowed");
    }

    /** What changed since the fitting in order, and what of the clearing no longer holds. */
    static Stream<Arguments> since() {
        return Stream.of(
                arguments("nothing", (Consumer<FittingBuilder>) f -> {}, List.of(), true),
                arguments(
                        "a weight past the limit",
                        (Consumer<FittingBuilder>) f -> f.add(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(14))),
                        List.of(Conclusion.WEIGHT, Conclusion.SLOT),
                        false),
                arguments(
                        "a new weight inside the limits asks for the slot again",
                        (Consumer<FittingBuilder>) f -> f.add(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.1))),
                        List.of(Conclusion.SLOT_IN_REACH, Conclusion.SLOT),
                        true),
                arguments(
                        "a recall that is open by now",
                        (Consumer<FittingBuilder>) f -> f.answer(Question.RECALL, "OPEN"),
                        List.of(Conclusion.named("RECALL")),
                        false),
                arguments(
                        "an old recall look-up",
                        (Consumer<FittingBuilder>) f -> f.today = FittingBuilder.TODAY.plusDays(31),
                        List.of(Conclusion.named("RECALL")),
                        true),
                arguments(
                        "a seat that expired",
                        (Consumer<FittingBuilder>) f -> f.today = LocalDate.of(2040, 1, 1),
                        List.of(Conclusion.named("EXPIRY")),
                        false));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("since")
    void anEarlierClearingHoldsAsLongAsNothingSpoiledIt(
            String what, Consumer<FittingBuilder> change, List<Conclusion> open, boolean rides) {
        FittingPlan earlier = FittingBuilder.ready().with(change).plan();
        EarlierClearing clearing = EarlierClearing.in(earlier).orElseThrow();
        assertThat(clearing.holds()).isEqualTo(open.isEmpty());
        assertThat(clearing.open()).extracting(ConclusionState::conclusion).containsAll(open);
        assertThat(clearing.on()).isEqualTo(FittingBuilder.TODAY);
        SeatSheetBuilder seat = new SeatSheetBuilder().says(PermissionKey.CARRIER_WITHOUT_BASE, Said.ALLOWED);
        RideCard card = RideCard.plan(
                ride(seat.build(), earlier.situation().weight().orElseThrow().value(), shown("BOTH"))
                        .after(earlier));
        assertThat(card.routing().isPresent()).as("may ride").isEqualTo(rides);
    }

    @Test
    void aChildOutsideTheLimitsGetsNoCard() {
        RideCard card = RideCard.plan(ride(new SeatSheetBuilder().build(), Mass.ofGrams(1700), shown("BOTH")));
        assertThat(card.routing()).isEmpty();
        assertThat(card.findings().get(0).reason()).isEqualTo("tooLight");
    }
}
