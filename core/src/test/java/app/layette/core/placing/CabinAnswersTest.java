package app.layette.core.placing;

import static app.layette.core.fixture.SeatSheetBuilder.mm;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Length;
import app.layette.core.seat.Connectors;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CabinAnswersTest {
    private static final PositionId LEFT = new PositionId(2, Side.LEFT);
    private static final PositionId MIDDLE = new PositionId(2, Side.MIDDLE);
    private static final PositionId RIGHT = new PositionId(2, Side.RIGHT);

    /** A car with a whole second row; the kerb is at its right. */
    private static FittingBuilder row(Method method) {
        FittingBuilder fitting = FittingBuilder.ready(method);
        fitting.car.more.clear();
        fitting.car.more.add(fitting.car.another(LEFT));
        fitting.car.more.add(fitting.car.another(MIDDLE));
        return fitting;
    }

    private static CabinAnswers answers(FittingBuilder fitting) {
        return CabinAnswers.of(fitting.plan().situation());
    }

    @Test
    void theMiddleLeadsWhereItInstallsAsWellThenTheKerbSide() {
        assertThat(answers(row(Method.BASE_FLEXIBLE_ANCHORS)).answers())
                .filteredOn(each -> each.method() == Method.BASE_FLEXIBLE_ANCHORS)
                .extracting(PlaceAnswer::place)
                .containsExactly(MIDDLE, RIGHT, LEFT);
    }

    @Test
    void theBestInstallationBeatsThePosition() {
        FittingBuilder fitting = row(Method.BASE_FLEXIBLE_ANCHORS);
        fitting.car.armrest = stated(true);
        fitting.car.more.set(1, fitting.car.another(MIDDLE));
        fitting.car.armrest = Evidence.notLooked();
        assertThat(answers(fitting).answers())
                .filteredOn(each -> each.method() == Method.BASE_FLEXIBLE_ANCHORS)
                .extracting(PlaceAnswer::place)
                .containsExactly(RIGHT, LEFT, MIDDLE);
    }

    @Test
    void aMiddleWithoutAnchorsOfItsOwnIsLeftToTheBelt() {
        FittingBuilder fitting = row(Method.BASE_FLEXIBLE_ANCHORS);
        fitting.car.anchors = stated(OwnAnchors.NONE);
        fitting.car.more.set(1, fitting.car.another(MIDDLE));
        fitting.car.anchors = stated(OwnAnchors.OWN_PAIR);
        fitting.seat.says(PermissionKey.BORROWED_INNER_ANCHORS, Said.NOT_ALLOWED);
        CabinAnswers answers = answers(fitting);
        assertThat(answers.about(MIDDLE, Method.BASE_FLEXIBLE_ANCHORS)
                        .orElseThrow()
                        .answer())
                .isEqualTo(Permission.NOT_ALLOWED);
        assertThat(answers.about(MIDDLE, Method.BASE_BELT).orElseThrow().answer())
                .isEqualTo(Permission.ALLOWED);
        assertThat(answers.first()).map(PlaceAnswer::place).contains(MIDDLE);
        assertThat(answers.first()).map(PlaceAnswer::method).contains(Method.BASE_BELT);
    }

    @Test
    void aCarrierRidesOnItsBaseBeforeWithoutIt() {
        List<Method> order = answers(row(Method.BASE_FLEXIBLE_ANCHORS)).at(RIGHT).stream()
                .map(PlaceAnswer::method)
                .toList();
        assertThat(order.subList(0, 2)).noneMatch(Method::isBaseless);
        assertThat(order.subList(2, 4)).allMatch(Method::isBaseless);
    }

    @ParameterizedTest
    @CsvSource({
        "KERB_DOOR_ONLY, MIDDLE RIGHT LEFT",
        "NO_LEANING_IN, RIGHT LEFT MIDDLE",
        "EITHER_DOOR, MIDDLE RIGHT LEFT"
    })
    void whatTheCaregiverReachesRanksAndForbidsNothing(String answer, String order) {
        FittingBuilder fitting = row(Method.BASE_FLEXIBLE_ANCHORS).answer(Question.REACH, answer);
        assertThat(answers(fitting).answers())
                .filteredOn(each -> each.method() == Method.BASE_FLEXIBLE_ANCHORS)
                .allMatch(each -> each.answer() == Permission.ALLOWED)
                .extracting(each -> each.place().side().name())
                .containsExactly(order.split(" "));
    }

    @Test
    void theGapIsComputedFromTheOutlineAndTheCar() {
        FittingBuilder fitting = row(Method.BASE_FLEXIBLE_ANCHORS);
        fitting.seat.outline = stated(List.of(
                new app.layette.core.seat.OutlinePoint(0, 0),
                new app.layette.core.seat.OutlinePoint(400, 0),
                new app.layette.core.seat.OutlinePoint(620, 520),
                new app.layette.core.seat.OutlinePoint(-60, 300)));
        fitting.car.frontSeat = stated(List.of(
                new SeatingPosition.Clearance(mm(0), mm(700)), new SeatingPosition.Clearance(mm(700), mm(560))));
        PlaceAnswer answer =
                answers(fitting).about(RIGHT, Method.BASE_FLEXIBLE_ANCHORS).orElseThrow();
        assertThat(answer.gap()).isPresent();
        assertThat(answer.gap().orElseThrow().isLessThan(Length.ofMillimetres(80)))
                .isTrue();
    }

    @Test
    void onlyTheMethodsThatTheConnectorsAreMadeForAreAsked() {
        SeatSheet flexible = FittingBuilder.ready().seat.build();
        assertThat(flexible.connectors().value().map(Connectors::kind)).contains(Connectors.Kind.HOOK_OPENING_DOWN);
        assertThat(CabinAnswers.methods(flexible))
                .containsExactly(
                        Method.BASE_FLEXIBLE_ANCHORS,
                        Method.BASE_BELT,
                        Method.BASELESS_AMERICAN,
                        Method.BASELESS_EUROPEAN);
        assertThat(CabinAnswers.methods(
                        FittingBuilder.ready(Method.CAR_BED).seat.build()))
                .containsExactly(Method.CAR_BED);
        assertThat(CabinAnswers.methods(
                        FittingBuilder.ready(Method.CONVERTIBLE_BELT).seat.build()))
                .containsExactly(Method.CONVERTIBLE_BELT, Method.CONVERTIBLE_ANCHORS);
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void neverAnActiveAirbagAndNothingForgottenIsAllowed(Method method) {
        Random random = new Random(17);
        for (int i = 0; i < 60; i++) {
            FittingBuilder fitting = row(method);
            boolean active = random.nextInt(3) == 0;
            fitting.car.airbag = stated(active ? Airbag.ACTIVE : Airbag.NONE);
            fitting.car.anchors = stated(random.nextBoolean() ? OwnAnchors.OWN_PAIR : OwnAnchors.NONE);
            CabinAnswers known = answers(fitting);
            long seed = random.nextLong();
            fitting.car.forgetSome(new Random(seed));
            fitting.seat.forgetSome(new Random(seed));
            Situation lessKnown = fitting.plan().situation();
            for (PlaceAnswer less : CabinAnswers.of(lessKnown).answers()) {
                boolean allowedBefore = known.about(less.place(), less.method())
                        .filter(each -> each.answer() == Permission.ALLOWED)
                        .isPresent();
                boolean wasAsked = known.about(less.place(), less.method()).isPresent();
                if (wasAsked && !allowedBefore) {
                    assertThat(less.answer()).as("%s", less).isNotEqualTo(Permission.ALLOWED);
                }
            }
            if (active) {
                assertThat(known.at(RIGHT))
                        .allSatisfy(each -> assertThat(each.answer()).isEqualTo(Permission.NOT_ALLOWED));
            }
        }
    }

    @Test
    void everyAnswerThatIsNoSaysWhy() {
        FittingBuilder fitting = row(Method.BASE_FLEXIBLE_ANCHORS);
        fitting.car.airbag = Evidence.notLooked();
        assertThat(answers(fitting).about(RIGHT, Method.BASE_BELT).orElseThrow().deciding())
                .map(Finding::code)
                .contains(RuleCode.CAB_1);
    }
}
