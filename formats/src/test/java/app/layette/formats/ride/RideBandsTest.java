package app.layette.formats.ride;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.ride.Ride;
import app.layette.core.ride.RideBands;
import app.layette.core.ride.RideCard;
import app.layette.core.ride.Routing;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.Examples;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A card that stands for a band of weights says nothing that is otherwise for one weight in it. */
class RideBandsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);
    private static final int WEIGHTS = 40;
    private static final List<Optional<Set<Routing>>> SHOWN = List.of(
            Optional.empty(),
            Optional.of(Set.of()),
            Optional.of(Set.of(Routing.EUROPEAN)),
            Optional.of(Set.of(Routing.AMERICAN)),
            Optional.of(Set.of(Routing.values())));

    static Stream<SeatSheet> carriers() {
        return Examples.files("sheets").stream()
                .map(Path::toString)
                .filter(file -> file.endsWith(".json"))
                .map(file -> Examples.text(Path.of(file)))
                .filter(text -> text.contains("\"rearFacingOnly\""))
                .map(text -> SheetReader.seat(text).asReliedOn());
    }

    private static RideCard card(SeatSheet seat, Mass weight, Optional<Set<Routing>> shown) {
        Practice practice = new Practice(
                SheetReader.profile(ShippedProfiles.json("north-american-clinic")), "US", ZoneId.of("UTC"));
        return RideCard.plan(Ride.of(practice, seat, weight, shown, TODAY));
    }

    /** What a card says beside how much weight is left. */
    private static List<Object> saying(RideCard card) {
        List<Finding> findings = card.findings().stream()
                .filter(each -> each.code() != RuleCode.SUIT_1 || each.weight() != Weight.HOLDS)
                .toList();
        return List.of(card.routing(), findings, card.prove(), card.handles(), card.says());
    }

    @ParameterizedTest
    @MethodSource("carriers")
    void everyWeightOfABandHasTheSameCard(SeatSheet seat) {
        Random random = new Random(16);
        List<RideBands.Between> bands = RideBands.of(seat);
        assertThat(bands).isNotEmpty();
        assertThat(bands.get(0).from()).isEqualTo(seat.weightMin().value().orElseThrow());
        assertThat(bands.get(bands.size() - 1).below())
                .isEqualTo(seat.weightMax().value().orElseThrow());
        for (RideBands.Between band : bands) {
            for (Optional<Set<Routing>> shown : SHOWN) {
                List<Object> told = saying(card(seat, band.inside(), shown));
                for (int i = 0; i < WEIGHTS; i++) {
                    double part = i == 0 ? 0 : random.nextDouble();
                    Mass weight = Mass.ofGrams(band.from().grams()
                            + part * (band.below().grams() - band.from().grams()));
                    assertThat(saying(card(seat, weight, shown)))
                            .as(weight + " " + shown)
                            .isEqualTo(told);
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("carriers")
    void outsideTheBandsNobodyRides(SeatSheet seat) {
        Mass least = seat.weightMin().value().orElseThrow();
        Mass most = seat.weightMax().value().orElseThrow();
        for (Mass outside : List.of(Mass.ofGrams(least.grams() - 50), Mass.ofGrams(most.grams() + 50))) {
            assertThat(card(seat, outside, SHOWN.get(SHOWN.size() - 1)).routing())
                    .as(outside.toString())
                    .isEmpty();
        }
    }
}
