package app.layette.core.ride;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.finding.Finding;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.measure.Mass;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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
        if (european.equals("yes")) {
            seat.says(PermissionKey.CARRIER_WITHOUT_BASE, Said.ALLOWED);
        }
        RideCard card = RideCard.plan(seat.build(), NEWBORN, shown(page), FittingBuilder.TODAY);
        assertThat(card.routing().map(Enum::name).orElse("-")).isEqualTo(expected);
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
        RideCard card = RideCard.plan(seat.build(), NEWBORN, shown("BOTH"), FittingBuilder.TODAY);
        assertThat(card.routing()).isEmpty();
        assertThat(card.findings()).extracting(Finding::reason).contains("withoutBaseNotAllowed");
    }

    @Test
    void aChildOutsideTheLimitsGetsNoCard() {
        RideCard card =
                RideCard.plan(new SeatSheetBuilder().build(), Mass.ofGrams(1700), shown("BOTH"), FittingBuilder.TODAY);
        assertThat(card.routing()).isEmpty();
        assertThat(card.findings().get(0).reason()).isEqualTo("tooLight");
    }
}
