package app.layette.core.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Act;
import app.layette.core.entry.Asked.Whose;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Part;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** One carrier fixed in two cars in one visit: child, seat and harness are judged once, place and securing in each. */
class SeveralCarsTest {
    private static final UnitId SECOND = new UnitId("u2");
    private static final UnitId THIRD = new UnitId("u3");
    private static final SheetId SEAT = new SheetId("test-seat");
    /** What is told once of the seat; everything else is asked anew in each car. Said here a second time. */
    private static final Set<String> OF_THE_SHELL = Set.of(
            "CONDITION",
            "APPROVAL",
            "OWN_CONDITIONS",
            "LIFTING",
            "HEAD_ROOM",
            "SNUG_SHORTEST",
            "WEBBING",
            "COVERS",
            "SUPPORT",
            "CLOTHING",
            "SNUG",
            "CLIP");

    private static final Set<String> OF_THE_RESTRAINT =
            Set.of("HISTORY", "CRASH", "RECALL", "REGISTRATION", "PARTS", "SINCE");

    private FittingBuilder fitting;

    @BeforeEach
    void oneCarrierGoesOnIntoAnotherCar() {
        fitting = FittingBuilder.ready();
        fitting.add(new Fact.UnitJoined(SECOND, RiderId.FIRST, SEAT, UnitId.FIRST));
    }

    private FittingPlan plan(UnitId unit) {
        FittingRecord record = FittingRecord.begunWith(Unit.first(fitting.unitSheet), List.copyOf(fitting.entries()));
        return new FittingPlanner().plan(fitting.practice(), fitting.sheets(), record, unit, fitting.today);
    }

    private State state(UnitId unit, Conclusion conclusion) {
        return plan(unit).gate().state(conclusion).orElseThrow().state();
    }

    private void theSecondCarIsTheSame() {
        fitting.add(new Fact.SheetAdopted(new SheetId("test-car"), 1, Fact.Adoption.ADOPTED, null, SECOND));
    }

    private void standsThereOnABase() {
        theSecondCarIsTheSame();
        fitting.add(new Fact.Placed(SECOND, fitting.car.place, Method.BASE_FLEXIBLE_ANCHORS));
    }

    private void everythingIsDoneThereToo() {
        standsThereOnABase();
        List.copyOf(fitting.entries()).stream()
                .filter(entry -> entry.fact().of().is(UnitId.FIRST))
                .filter(entry -> !(entry.fact() instanceof Fact.Placed))
                .forEach(entry -> fitting.add(entry.how(), TwinsTest.as(SECOND.text(), entry.fact())));
    }

    @Test
    void theFirstIsAsReadyAsBefore() {
        assertThat(plan(UnitId.FIRST).gate().blocking()).isEmpty();
        everythingIsDoneThereToo();
        assertThat(plan(UnitId.FIRST).gate().blocking()).isEmpty();
    }

    @Test
    void childSeatAndHarnessAreJudgedOncePlaceAndSecuringAnew() {
        standsThereOnABase();
        Set<Conclusion> passed = plan(SECOND).gate().conclusions().stream()
                .filter(each -> each.state() == State.PASSED)
                .map(ConclusionState::conclusion)
                .collect(Collectors.toSet());
        assertThat(passed)
                .contains(
                        Conclusion.WEIGHT,
                        Conclusion.named("LENGTH"),
                        Conclusion.named("SLOT"),
                        Conclusion.named("SNUG_TEST"),
                        Conclusion.named("CLIP"),
                        Conclusion.named("CLOTHING"),
                        Conclusion.named("HEAD_ROOM"));
        assertThat(plan(SECOND).gate().blocking().stream().map(ConclusionState::conclusion))
                .contains(
                        Conclusion.named("ANCHORS_CLICKED"),
                        Conclusion.named("INCH_TEST"),
                        Conclusion.LEVEL,
                        Conclusion.named("CLICK_AND_LIFT"),
                        Conclusion.named("LEVEL_GROUND"),
                        Conclusion.named("HANDLE"),
                        Conclusion.named("GAP"),
                        Conclusion.TEACH_BACK,
                        Conclusion.named("CAUTIONS"));
    }

    @Test
    void eachIsHandedOverForItself() {
        everythingIsDoneThereToo();
        assertThat(plan(SECOND).gate().blocking()).isEmpty();
        assertThat(plan(SECOND)
                        .gate()
                        .state(Conclusion.WHOLE_FITTING)
                        .orElseThrow()
                        .findings())
                .extracting(finding -> finding.message())
                .containsExactly("finding.OUT-4.inThisCar");
        fitting.add(new Fact.Ended(SECOND, Fact.Ending.HANDED_OVER, null, null, null));
        assertThat(plan(SECOND).state()).isEqualTo(FittingState.HANDED_OVER);
        assertThat(plan(UnitId.FIRST).state()).isEqualTo(FittingState.OPEN);
    }

    @Test
    void whatTheFirstCarIsSaysNothingOfTheOther() {
        assertThat(plan(SECOND).situation().car()).isEmpty();
        assertThat(state(SECOND, Conclusion.WHOLE_FITTING)).isNotEqualTo(State.PASSED);
        theSecondCarIsTheSame();
        assertThat(plan(SECOND).situation().car()).isPresent();
        assertThat(plan(SECOND).situation().placed()).isEmpty();
    }

    @Test
    void whatIsDoneInOneCarSpoilsNothingInTheOther() {
        everythingIsDoneThereToo();
        fitting.add(new Fact.Acted(SECOND, Act.TIGHTENED));
        fitting.add(new Fact.Acted(SECOND, Act.CAR_MOVED));
        fitting.add(new Fact.Acted(SECOND, Act.CARRIER_OFF));
        assertThat(plan(UnitId.FIRST).gate().blocking()).isEmpty();
        assertThat(state(SECOND, Conclusion.named("INCH_TEST"))).isNotEqualTo(State.PASSED);
        assertThat(state(SECOND, Conclusion.named("LEVEL_GROUND"))).isNotEqualTo(State.PASSED);
    }

    @ParameterizedTest
    @EnumSource(
            value = Act.class,
            names = {"HARNESS_OPENED", "CLOTHING_CHANGED", "CLIP_MOVED", "COVER_CHANGED"})
    void whatIsDoneToTheHarnessIsDoneInBoth(Act act) {
        everythingIsDoneThereToo();
        fitting.add(new Fact.Acted(SECOND, act));
        assertThat(state(UnitId.FIRST, Conclusion.named("CLIP"))).isNotEqualTo(State.PASSED);
        assertThat(state(SECOND, Conclusion.named("CLIP"))).isNotEqualTo(State.PASSED);
    }

    @Test
    void whatComesAfterTheHandOverBelongsToTheNextCar() {
        fitting.add(new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null));
        fitting.add(new Fact.Acted(SECOND, Act.HARNESS_OPENED));
        assertThat(state(UnitId.FIRST, Conclusion.named("CLIP"))).isEqualTo(State.PASSED);
        assertThat(state(SECOND, Conclusion.named("CLIP"))).isNotEqualTo(State.PASSED);
        fitting.add(new Fact.CrashedSince(SECOND, fitting.today));
        assertThat(plan(UnitId.FIRST).situation().newest(Fact.CrashedSince.class))
                .isPresent();
    }

    @Test
    void aBaseOfItsOwnHasAHistoryOfItsOwn() {
        assertThat(state(SECOND, Conclusion.CRASH)).isEqualTo(State.PASSED);
        standsThereOnABase();
        assertThat(state(SECOND, Conclusion.CRASH)).isNotEqualTo(State.PASSED);
        assertThat(state(SECOND, Conclusion.named("RECALL"))).isNotEqualTo(State.PASSED);
        assertThat(state(SECOND, Conclusion.named("APPROVAL"))).isEqualTo(State.PASSED);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void theSameBaseIsKnownByItsWholeLabel(boolean same) {
        standsThereOnABase();
        Fact.LabelRead there =
                plan(UnitId.FIRST).situation().label(Part.BASE).orElseThrow().value();
        PartialDate made = same ? there.made() : PartialDate.parse("2019-02");
        fitting.add(
                new How(How.Kind.LABEL, ""),
                new Fact.LabelRead(SECOND, Part.BASE, there.model(), made, there.doNotUseAfter()));
        assertThat(state(SECOND, Conclusion.CRASH) == State.PASSED).isEqualTo(same);
    }

    /** What a page said of one base is not known of another: an unread permission stays unread. */
    @ParameterizedTest
    @CsvSource({
        "BASE_LISTED,false",
        "INDICATOR,false",
        "LEG,false",
        "WINDOWS,false",
        "PARTS,false",
        "CLIP,true",
        "SLOTS,true",
        "SNUG_TEST,true",
        "LIFE,true"
    })
    void whatAPageSaysOfOneBaseIsNotKnownOfAnother(SheetValue value, boolean known) {
        fitting.add(How.manual("12"), new Fact.SheetValueRead(UnitId.FIRST, value, null, "YES", null, null));
        fitting.add(
                How.manual("12"),
                new Fact.PermissionRead(UnitId.FIRST, PermissionKey.LOCKING_CLIP, Speaker.SEAT, Fact.PageSays.ALLOWED));
        standsThereOnABase();
        assertThat(plan(SECOND).situation().history(Fact.SheetValueRead.class).isEmpty())
                .isNotEqualTo(known);
        assertThat(plan(SECOND).situation().history(Fact.PermissionRead.class)).isEmpty();
        assertThat(plan(UnitId.FIRST).situation().history(Fact.SheetValueRead.class))
                .hasSize(1);
    }

    @Test
    void ofThreeCarsNoneSpeaksOfAnother() {
        everythingIsDoneThereToo();
        fitting.add(new Fact.UnitJoined(THIRD, RiderId.FIRST, SEAT, UnitId.FIRST));
        fitting.add(new Fact.SheetAdopted(new SheetId("test-car"), 1, Fact.Adoption.ADOPTED, null, THIRD));
        assertThat(plan(THIRD).situation().placed()).isEmpty();
        assertThat(plan(SECOND).gate().blocking()).isEmpty();
        assertThat(plan(UnitId.FIRST).gate().blocking()).isEmpty();
    }

    /** A document may name the seat where the child in it is meant: what was measured says whose it is. */
    @ParameterizedTest
    @CsvSource({"BODY, true", "SHOULDER, true", "CROWN, true", "MOVEMENT, false", "GAP, false"})
    void aLengthOfTheChildIsTheSameInEveryCar(Fact.Dimension what, boolean ofTheChild) {
        fitting.without(Fact.LengthMeasured.class::isInstance);
        Fact.LengthMeasured length = new Fact.LengthMeasured(UnitId.FIRST, what, Length.ofMillimetres(300), null);
        assertThat(length.of()).isInstanceOf(ofTheChild ? RiderId.class : UnitId.class);
        fitting.add(length);
        assertThat(plan(SECOND).situation().history(Fact.LengthMeasured.class)).hasSize(ofTheChild ? 1 : 0);
        assertThat(plan(UnitId.FIRST).situation().history(Fact.LengthMeasured.class))
                .hasSize(1);
    }

    @Test
    void everyQuestionSaysWhoseItIs() {
        for (Question question : Question.values()) {
            Whose wanted = OF_THE_SHELL.contains(question.name())
                    ? Whose.SHELL
                    : OF_THE_RESTRAINT.contains(question.name()) ? Whose.RESTRAINT : Whose.CAR;
            assertThat(question.asked().whose()).as(question.name()).isEqualTo(wanted);
        }
    }

    /** A document may say that another child's seat, or another seat, is this one: it is not believed. */
    @ParameterizedTest
    @CsvSource({"r2,test-seat,u1", "r1,other-seat,u1", "r1,test-seat,u9"})
    void onlyTheSameSeatForTheSameChildIsTheSame(String rider, String sheet, String seatOf) {
        fitting.replace(
                Fact.UnitJoined.class::isInstance,
                new Fact.UnitJoined(SECOND, new RiderId(rider), new SheetId(sheet), new UnitId(seatOf)));
        theSecondCarIsTheSame();
        assertThat(plan(SECOND).gate().state(Conclusion.named("SNUG_TEST")).map(ConclusionState::state))
                .isNotEqualTo(java.util.Optional.of(State.PASSED));
        assertThat(plan(SECOND).gate().isOpen()).isFalse();
    }

    /** A seat that only looks as if it were another unit's is a second seat for the child, and is stopped. */
    @Test
    void withoutBeingSaidToBeTheSameItIsAnotherSeat() {
        fitting.replace(Fact.UnitJoined.class::isInstance, new Fact.UnitJoined(SECOND, RiderId.FIRST, SEAT));
        assertThat(state(UnitId.FIRST, Conclusion.WHOLE_FITTING)).isEqualTo(State.FAILED);
    }
}
