package app.layette.core.placing;

import static app.layette.core.fixture.SeatSheetBuilder.mm;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.cabin.Occupied;
import app.layette.core.cabin.Occupied.Use;
import app.layette.core.entry.Method;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Length;
import app.layette.core.placing.Demand.Way;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatingTest {
    private static final PositionId LEFT = new PositionId(2, Side.LEFT);
    private static final PositionId MIDDLE = new PositionId(2, Side.MIDDLE);
    private static final PositionId RIGHT = new PositionId(2, Side.RIGHT);

    private static Demand demand(String name, double width, Way... ways) {
        return new Demand(name, List.of(ways), width == 0 ? Optional.empty() : Optional.of(mm(width)));
    }

    private static Way at(PositionId place) {
        return new Way(place, Optional.empty(), Occupied.byPerson(place));
    }

    private static Way using(PositionId place, Use use) {
        return new Way(place, Optional.empty(), new Occupied(Set.of(place), Set.of(use)));
    }

    @Test
    void twinsTakeTwoPlacesAndTheBestOfBoth() {
        Seating.Result result = Seating.solve(
                List.of(demand("one", 0, at(MIDDLE), at(RIGHT), at(LEFT)), demand("two", 0, at(MIDDLE), at(RIGHT))),
                Map.of());
        assertThat(result.arrangements()).hasSize(3);
        Seating.Arrangement best = result.arrangements().get(0);
        assertThat(best.cost()).isEqualTo(1);
        assertThat(best.ways()).extracting(Way::place).doesNotHaveDuplicates();
        assertThat(result.arrangements()).extracting(Seating.Arrangement::cost).isSorted();
    }

    @Test
    void whatEachGivesUpIsHowFarDownItsOwnListItIs() {
        List<Demand> demands = List.of(demand("one", 0, at(MIDDLE), at(RIGHT)), demand("two", 0, at(MIDDLE)));
        Seating.Arrangement only =
                Seating.solve(demands, Map.of()).arrangements().get(0);
        assertThat(only.givesUp(demands, 0)).isEqualTo(1);
        assertThat(only.givesUp(demands, 1)).isZero();
    }

    @Test
    void noArrangementIsExplainedByTheFewestThatConflict() {
        Demand one = demand("one", 0, at(MIDDLE));
        Demand two = demand("two", 0, at(MIDDLE));
        Demand free = demand("free", 0, at(LEFT), at(RIGHT));
        Seating.Result result = Seating.solve(List.of(free, one, two), Map.of());
        assertThat(result.arrangements()).isEmpty();
        assertThat(result.conflict()).containsExactly(one, two);
        assertThat(result.clashes()).containsExactly(new Clash(Clash.Kind.PLACE, 2, Optional.of(MIDDLE)));
        Demand nowhere = demand("nowhere", 0);
        assertThat(Seating.solve(List.of(free, nowhere, one), Map.of()).conflict())
                .containsExactly(nowhere);
    }

    /** Where it fails is what the two would share: a buckle, an anchor, the width of a row. */
    @Test
    void whatTwoWouldShareIsNamed() {
        Use inner = new Use(LEFT, Occupied.Kind.INNER_ANCHOR);
        Way right = using(RIGHT, new Use(MIDDLE, Occupied.Kind.BELT));
        Way left = using(LEFT, inner);
        Way borrowed = using(MIDDLE, inner);
        assertThat(Seating.solve(List.of(demand("one", 0, right), demand("two", 0, at(MIDDLE))), Map.of())
                        .clashes())
                .containsExactly(new Clash(Clash.Kind.BELT, 2, Optional.of(MIDDLE)));
        assertThat(Seating.solve(List.of(demand("one", 0, left), demand("two", 0, borrowed)), Map.of())
                        .clashes())
                .containsExactly(new Clash(Clash.Kind.ANCHOR, 2, Optional.of(LEFT)));
        assertThat(Seating.solve(
                                List.of(demand("one", 500, at(LEFT)), demand("two", 500, at(RIGHT))),
                                Map.of(2, mm(900)))
                        .clashes())
                .containsExactly(new Clash(Clash.Kind.WIDTH, 2, Optional.empty()));
    }

    @Test
    void aRowHoldsNoMoreThanItsWidth() {
        List<Demand> wide = List.of(
                demand("one", 480, at(LEFT), at(MIDDLE)),
                demand("two", 480, at(RIGHT), at(MIDDLE)),
                demand("three", 480, at(MIDDLE), at(LEFT)));
        assertThat(Seating.solve(wide, Map.of(2, mm(1400))).arrangements()).isEmpty();
        assertThat(Seating.solve(wide, Map.of(2, mm(1440))).arrangements()).isNotEmpty();
    }

    /** CAB-13: a restraint wider than its place covers a neighbour's buckle where that stands on its side. */
    @ParameterizedTest
    @CsvSource({"500, RIGHT, true", "500, LEFT, false", "440, RIGHT, false", "0, RIGHT, false"})
    void aWideRestraintCoversTheBuckleBesideIt(double seatWidth, Side buckle, boolean covers) {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.seat.width = seatWidth == 0 ? Evidence.notLooked() : stated(mm(seatWidth));
        fitting.car.width = stated(mm(450));
        fitting.car.buckleSide = stated(buckle);
        fitting.car.more.add(fitting.car.another(MIDDLE));
        VehicleSheet car = fitting.car.build();
        CabinAnswers answers = CabinAnswers.of(fitting.plan().situation().asIfIn(car));
        Demand child = Demands.child("child", fitting.seat.build(), answers, car);
        Way outboard = child.ways().stream()
                .filter(way -> way.place().equals(RIGHT))
                .findFirst()
                .orElseThrow();
        assertThat(outboard.occupied().uses().contains(new Use(MIDDLE, Occupied.Kind.BELT)))
                .isEqualTo(covers);
    }

    @Test
    void innerAnchorsAreNotBorrowedFromANeighbourWhoUsesThem() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.car.more.add(fitting.car.another(LEFT));
        fitting.car.more.add(fitting.car.another(RIGHT));
        fitting.car.place = MIDDLE;
        fitting.car.anchors = stated(OwnAnchors.NONE);
        fitting.seat.says(PermissionKey.BORROWED_INNER_ANCHORS, Said.ALLOWED);
        fitting.car.says(PermissionKey.BORROWED_INNER_ANCHORS, Said.ALLOWED);
        fitting.car.borrowedSpacing = stated(Length.ofMillimetres(400));
        fitting.seat.borrowedSpacingMost = stated(Length.ofMillimetres(420));
        VehicleSheet car = fitting.car.build();
        CabinAnswers answers = CabinAnswers.of(fitting.plan().situation().asIfIn(car));
        Demand child = Demands.child("child", fitting.seat.build(), answers, car);
        Set<Use> middle = child.ways().stream()
                .filter(way ->
                        way.place().equals(MIDDLE) && way.method().equals(Optional.of(Method.BASE_FLEXIBLE_ANCHORS)))
                .findFirst()
                .orElseThrow()
                .occupied()
                .uses();
        Set<Use> right = child.ways().stream()
                .filter(way ->
                        way.place().equals(RIGHT) && way.method().equals(Optional.of(Method.BASE_FLEXIBLE_ANCHORS)))
                .findFirst()
                .orElseThrow()
                .occupied()
                .uses();
        assertThat(middle).containsAnyElementsOf(right);
    }

    @Test
    void aLayFlatCarrierTakesItsSecondPlaceAndBelt() {
        FittingBuilder fitting = FittingBuilder.ready(Method.LAY_FLAT);
        VehicleSheet car = fitting.car.build();
        Demand flat = Demands.child(
                "flat", fitting.seat.build(), CabinAnswers.of(fitting.plan().situation()), car);
        assertThat(flat.ways()).isNotEmpty().allSatisfy(way -> {
            assertThat(way.occupied().takes()).hasSize(2);
            assertThat(way.occupied().uses()).hasSize(2);
        });
        Demand person = Demands.person("adult", car);
        Seating.Result result = Seating.solve(List.of(flat, person), Map.of());
        assertThat(result.arrangements()).isEmpty();
        assertThat(result.conflict()).hasSize(2);
    }

    /** Against plain trying of everything. */
    @Test
    void theBestIsTheBest() {
        Random random = new Random(23);
        for (int round = 0; round < 200; round++) {
            List<Demand> demands = randomDemands(random);
            Seating.Result result = Seating.solve(demands, Map.of());
            int least = leastCost(demands, 0, new HashSet<>());
            if (least == Integer.MAX_VALUE) {
                assertThat(result.arrangements()).isEmpty();
                assertThat(result.conflict()).isNotEmpty();
            } else {
                assertThat(result.arrangements().get(0).cost()).isEqualTo(least);
            }
        }
    }

    private static List<Demand> randomDemands(Random random) {
        List<Demand> demands = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(3); i++) {
            List<Way> ways = new ArrayList<>();
            for (Side side : Side.values()) {
                for (int row = 1; row <= 2; row++) {
                    if (random.nextInt(3) > 0) {
                        ways.add(random.nextInt(ways.size() + 1), at(new PositionId(row, side)));
                    }
                }
            }
            demands.add(new Demand("d" + i, ways, Optional.empty()));
        }
        return demands;
    }

    private static int leastCost(List<Demand> demands, int from, Set<PositionId> taken) {
        if (from == demands.size()) {
            return 0;
        }
        int least = Integer.MAX_VALUE;
        List<Way> ways = demands.get(from).ways();
        for (int i = 0; i < ways.size(); i++) {
            if (taken.add(ways.get(i).place())) {
                int rest = leastCost(demands, from + 1, taken);
                least = rest == Integer.MAX_VALUE ? least : Math.min(least, rest + i);
                taken.remove(ways.get(i).place());
            }
        }
        return least;
    }

    @Test
    void rowWidthsCountOnlyWhereEveryPlaceHasOne() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.car.width = stated(mm(460));
        fitting.car.more.add(fitting.car.another(LEFT));
        assertThat(Demands.rowWidths(fitting.car.build())).containsEntry(2, Length.ofMillimetres(920));
        fitting.car.width = Evidence.notLooked();
        assertThat(Demands.rowWidths(fitting.car.build())).isEmpty();
    }

    @Test
    void whoIsHeldInAPlaceRidesThereOrNowhere() {
        Demand free = demand("free", 0, at(MIDDLE), at(RIGHT));
        Seating.Result held = Seating.solve(List.of(free.heldAt(RIGHT)), Map.of());
        assertThat(held.arrangements()).hasSize(1);
        assertThat(held.arrangements().get(0).ways().get(0).place()).isEqualTo(RIGHT);
        Demand refused = free.heldAt(LEFT);
        Seating.Result nowhere = Seating.solve(List.of(demand("other", 0, at(MIDDLE)), refused), Map.of());
        assertThat(nowhere.arrangements()).isEmpty();
        assertThat(nowhere.conflict()).containsExactly(refused);
        assertThat(nowhere.clashes()).containsExactly(Clash.at(Clash.Kind.REFUSED, LEFT));
    }
}
