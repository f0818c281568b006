package app.layette.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.drawing.cabin.CabinPlan;
import app.layette.core.drawing.cabin.CabinPlan.Place;
import app.layette.core.drawing.cabin.CabinPlan.Restraint;
import app.layette.core.drawing.cabin.CabinView;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Clearance;
import app.layette.core.vehicle.Side;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The car in plan agrees with the rules and the planner, over many cars that nobody drew. */
class CabinPlanTest {
    private static final int CARS = 1000;

    private static double mm(Length length) {
        return length.millimetres();
    }

    private static Length some(Random random, double from, double to) {
        return SeatSheetBuilder.mm(Math.round(from + random.nextDouble() * (to - from)));
    }

    private static FittingBuilder generated(Random random) {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.car.slope = SeatSheetBuilder.stated(Angle.ofDegrees(6 + random.nextInt(12)));
        fitting.car.width = SeatSheetBuilder.stated(some(random, 380, 560));
        fitting.car.depth =
                random.nextBoolean() ? Evidence.notLooked() : SeatSheetBuilder.stated(some(random, 420, 540));
        fitting.car.frontSeat = random.nextInt(5) == 0
                ? Evidence.notLooked()
                : SeatSheetBuilder.stated(List.of(
                        new Clearance(SeatSheetBuilder.mm(0), some(random, 620, 840)),
                        new Clearance(SeatSheetBuilder.mm(400), some(random, 600, 860))));
        fitting.car.forgetSome(random);
        fitting.seat.width = SeatSheetBuilder.stated(some(random, 400, 520));
        fitting.seat.outline = SeatSheetBuilder.stated(List.of(
                new OutlinePoint(0, 0),
                new OutlinePoint(420 + random.nextInt(120), 0),
                new OutlinePoint(560 + random.nextInt(140), 380),
                new OutlinePoint(120, 420)));
        fitting.car.more.add(fitting.car.another(new PositionId(2, Side.LEFT)));
        if (random.nextBoolean()) {
            fitting.car.more.add(fitting.car.another(new PositionId(2, Side.MIDDLE)));
        }
        if (random.nextInt(3) == 0) {
            fitting.car.more.add(fitting.car.another(new PositionId(3, Side.RIGHT)));
        }
        return fitting;
    }

    @Test
    void gapWidthAndOverhangAreThePlannersOwn() {
        Random random = new Random(2611);
        int gaps = 0;
        int over = 0;
        for (int i = 0; i < CARS; i++) {
            Situation situation = generated(random).plan().situation();
            SeatSheet seat = situation.seat().orElseThrow();
            CabinAnswers answers = CabinAnswers.of(situation);
            CabinPlan plan = CabinPlan.of(situation.car().orElseThrow(), answers::at);
            for (PlaceAnswer answer : answers.answers()) {
                Place place = plan.place(answer.place()).orElseThrow();
                Restraint there = plan.restraint(answer, seat);
                SeatingPosition position = place.position();
                position.width()
                        .value()
                        .ifPresent(width -> assertThat(place.across().length()).isCloseTo(mm(width), within(0.01)));
                seat.shell()
                        .width()
                        .ifPresent(width -> assertThat(there.across().length()).isCloseTo(mm(width), within(0.01)));
                if (position.width().value().isPresent() && there.over(place) > 0) {
                    over++;
                    assertThat(there.over(place) * 2)
                            .isCloseTo(
                                    mm(seat.shell().width().orElseThrow())
                                            - mm(position.width().value().orElseThrow()),
                                    within(0.01));
                }
                if (answer.gap().isPresent()) {
                    gaps++;
                    double plane = place.bight() - place.ahead().length();
                    double drawn = there.along().from() - plane;
                    assertThat(Math.max(0, drawn)).isCloseTo(mm(answer.gap().get()), within(0.01));
                }
            }
        }
        assertThat(gaps).as("gaps compared").isGreaterThan(CARS);
        assertThat(over).as("overhangs compared").isGreaterThan(CARS / 4);
    }

    @Test
    void noTwoPlacesOfARowLieOnOneAnother() {
        Random random = new Random(7);
        for (int i = 0; i < CARS / 4; i++) {
            Situation situation = generated(random).plan().situation();
            CabinPlan plan = CabinPlan.of(situation.car().orElseThrow(), CabinAnswers.of(situation)::at);
            for (Place one : plan.places()) {
                for (Place other : plan.places()) {
                    boolean besides =
                            one.id().row() == other.id().row() && !one.id().equals(other.id());
                    assertThat(!besides
                                    || one.across().to() <= other.across().from() + 0.01
                                    || other.across().to() <= one.across().from() + 0.01)
                            .as("%s and %s", one.id(), other.id())
                            .isTrue();
                    boolean behind = one.id().row() < other.id().row();
                    assertThat(!behind
                                    || one.bight()
                                            < other.bight() - other.depth().length())
                            .as("%s before %s", one.id(), other.id())
                            .isTrue();
                }
            }
        }
    }

    private static Stream<Shape> flat(List<Shape> shapes) {
        return shapes.stream()
                .flatMap(shape -> shape instanceof Shape.Link link
                        ? Stream.concat(Stream.of(shape), flat(link.shapes()))
                        : Stream.of(shape));
    }

    /** A place is drawn free by a tick only where some way is allowed there, and each place leads to its best way. */
    @Test
    void aPlaceDrawnFreeIsAllowed() {
        Random random = new Random(99);
        int free = 0;
        for (int i = 0; i < CARS / 4; i++) {
            FittingBuilder fitting = generated(random).without(fact -> fact instanceof Fact.Placed);
            Situation situation = fitting.plan().situation();
            CabinAnswers answers = CabinAnswers.of(situation);
            Drawing drawing = CabinView.of(situation, answers);
            for (Shape shape : drawing.shapes()) {
                if (!(shape instanceof Shape.Link link)) {
                    continue;
                }
                PlaceAnswer best = answers.at(PositionId.parse(link.target().split("/")[0]))
                        .get(0);
                assertThat(link.target()).isEqualTo(best.place() + "/" + best.method());
                boolean tick = flat(link.shapes())
                        .anyMatch(each -> each.ink() == Ink.MEASURED && each instanceof Shape.Outline);
                boolean first = answers.first().filter(best::equals).isPresent();
                if (!first) {
                    assertThat(tick).isEqualTo(best.answer() == Permission.ALLOWED);
                    free += tick ? 1 : 0;
                }
            }
        }
        assertThat(free).isGreaterThan(20);
    }
}
