package app.layette.core.belt;

import static app.layette.core.fixture.SeatSheetBuilder.mm;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.belt.Reach.Answer;
import app.layette.core.belt.Reach.Way;
import app.layette.core.evidence.Evidence;
import app.layette.core.seat.BaselessRoute;
import app.layette.core.seat.BaselessRouteParts;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.BeltParts;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReachTest {
    private static final BaselessRoute ROUTE = route(194.0);

    private static BaselessRoute route(Double over) {
        return BaselessRouteParts.builder()
                .overShell(stated(mm(390)))
                .roundShell(stated(mm(1771)))
                .whenBuckledFirst(over == null ? null : stated(mm(over)))
                .build();
    }

    private static Belt belt(double available, Belt.Kind kind, Belt.LatchPlate plate) {
        return BeltParts.builder()
                .kind(stated(kind))
                .latchPlate(stated(plate))
                .available(stated(mm(available)))
                .anchorToGuide(stated(mm(405)))
                .guideToPlate(stated(mm(256)))
                .plateToUpperGuide(stated(mm(729)))
                .build();
    }

    private static Reach way(List<Reach> reaches, Way way) {
        return reaches.stream().filter(each -> each.way() == way).findFirst().orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({"AMERICAN, 1800", "EUROPEAN_BUCKLE_LAST, 2872", "EUROPEAN_BUCKLE_FIRST, 3036"})
    void workedExampleOfTheBeltLengths(Way way, double need) {
        List<Reach> reaches = Reach.of(belt(2900, Belt.Kind.LAP_SHOULDER, Belt.LatchPlate.SLIDING), ROUTE);
        assertThat(way(reaches, way).need().millimetres()).isCloseTo(need, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({
        "2931.9, EUROPEAN_BUCKLE_LAST, JUST",
        "2932, EUROPEAN_BUCKLE_LAST, REACHES",
        "2872, EUROPEAN_BUCKLE_LAST, JUST",
        "2871.9, EUROPEAN_BUCKLE_LAST, TOO_SHORT",
        "2932, EUROPEAN_BUCKLE_FIRST, TOO_SHORT",
        "1860, AMERICAN, REACHES",
        "1799, AMERICAN, TOO_SHORT"
    })
    void theMarginDecides(double available, Way way, Answer answer) {
        List<Reach> reaches = Reach.of(belt(available, Belt.Kind.LAP_SHOULDER, Belt.LatchPlate.SLIDING), ROUTE);
        assertThat(way(reaches, way).answer()).isEqualTo(answer);
    }

    @Test
    void anUnknownLiftOverTheShellCountsAsAThirdOfAMetreAndMore() {
        List<Reach> reaches = Reach.of(belt(3000, Belt.Kind.LAP_SHOULDER, Belt.LatchPlate.SLIDING), route(null));
        assertThat(way(reaches, Way.EUROPEAN_BUCKLE_FIRST).need().millimetres()).isCloseTo(3192, within(0.01));
    }

    @Test
    void aLapOnlyBeltHasTheAmericanWayAlone() {
        assertThat(Reach.of(belt(1400, Belt.Kind.LAP_ONLY, Belt.LatchPlate.LOCKING), ROUTE))
                .extracting(Reach::way)
                .containsExactly(Way.AMERICAN);
    }

    /** No shoulder part, so that the sewn-on plate leaves one belt: by its whole length, or by that of its lap part. */
    @ParameterizedTest
    @CsvSource({"1200, , REACHES", ", 1200, REACHES", ", 1000, TOO_SHORT"})
    void aLapOnlyBeltWithASewnOnPlateHasItsNumber(Double whole, Double lap, Answer answer) {
        Belt belt = BeltParts.builder()
                .kind(stated(Belt.Kind.LAP_ONLY))
                .latchPlate(stated(Belt.LatchPlate.SEWN_ON))
                .available(whole == null ? null : stated(mm(whole)))
                .anchorToGuide(stated(mm(405)))
                .guideToPlate(stated(mm(256)))
                .lapAvailable(lap == null ? null : stated(mm(lap)))
                .build();
        assertThat(way(Reach.of(belt, ROUTE), Way.AMERICAN).answer()).isEqualTo(answer);
    }

    /** A margin of less than half a hundredth of a millimetre is none. */
    @ParameterizedTest
    @CsvSource({"-0.004, JUST", "-0.006, TOO_SHORT", "59.996, REACHES", "59.99, JUST"})
    void marginsCompareInHundredths(double margin, Answer answer) {
        assertThat(new Reach(Way.AMERICAN, mm(1000), margin).answer()).isEqualTo(answer);
    }

    @Test
    void aSewnOnPlateOfUnknownPartsAndAnUnknownLengthSayNothing() {
        assertThat(Reach.of(belt(3000, Belt.Kind.LAP_SHOULDER, Belt.LatchPlate.SEWN_ON), ROUTE))
                .isEmpty();
        Belt unknown = Belt.seen(null, null, null, Evidence.notLooked());
        assertThat(Reach.of(unknown, ROUTE)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "1200, 1900, EUROPEAN_BUCKLE_LAST, REACHES",
        "1200, 1830, EUROPEAN_BUCKLE_LAST, JUST",
        "1200, 1820, EUROPEAN_BUCKLE_LAST, TOO_SHORT",
        "1060, 1900, EUROPEAN_BUCKLE_LAST, TOO_SHORT",
        "1200, 1900, EUROPEAN_BUCKLE_FIRST, TOO_SHORT",
        "1200, 810, AMERICAN, REACHES"
    })
    void theTwoPartsOfASewnOnPlateEachHaveToReach(double lap, double shoulder, Way way, Answer answer) {
        Belt belt = BeltParts.builder()
                .kind(stated(Belt.Kind.LAP_SHOULDER))
                .latchPlate(stated(Belt.LatchPlate.SEWN_ON))
                .anchorToGuide(stated(mm(405)))
                .guideToPlate(stated(mm(256)))
                .plateToUpperGuide(stated(mm(729)))
                .lapAvailable(stated(mm(lap)))
                .shoulderAvailable(stated(mm(shoulder)))
                .build();
        assertThat(way(Reach.of(belt, ROUTE), way).answer()).isEqualTo(answer);
    }

    @Test
    void moreBeltNeverReachesLess() {
        Random random = new Random(3);
        for (int i = 0; i < 300; i++) {
            double available = 1500 + random.nextDouble() * 2000;
            double more = available + random.nextDouble() * 300;
            List<Reach> shorter = Reach.of(belt(available, Belt.Kind.LAP_SHOULDER, Belt.LatchPlate.SLIDING), ROUTE);
            List<Reach> longer = Reach.of(belt(more, Belt.Kind.LAP_SHOULDER, Belt.LatchPlate.SLIDING), ROUTE);
            for (Way way : Way.values()) {
                assertThat(way(longer, way).answer())
                        .isLessThanOrEqualTo(way(shorter, way).answer());
            }
        }
    }
}
