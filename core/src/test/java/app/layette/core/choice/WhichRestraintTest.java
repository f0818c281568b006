package app.layette.core.choice;

import static app.layette.core.fixture.SeatSheetBuilder.mm;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.RiderId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.finding.Finding;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.measure.Mass;
import app.layette.core.seat.CarBedParts;
import app.layette.core.seat.HeadDirection;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.WeightBand;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

class WhichRestraintTest {
    private final FittingBuilder fitting = FittingBuilder.ready();

    private static SeatSheet seat(String id, Consumer<SeatSheetBuilder> change) {
        SeatSheetBuilder builder = new SeatSheetBuilder();
        builder.sheet = new SheetVersion(id, 1);
        change.accept(builder);
        return builder.build();
    }

    private static SeatSheet bed() {
        return seat("bed", builder -> {
            builder.kind = SeatKind.CAR_BED;
            builder.carBed = CarBedParts.builder()
                    .positions(stated(List.of(FittingBuilder.ready().car.place)))
                    .headDirection(stated(HeadDirection.TOWARDS_MIDDLE))
                    .endStraps(stated(false))
                    .build();
        });
    }

    private List<SeatAnswer> among(SeatSheet... shelf) {
        return WhichRestraint.among(List.of(shelf), fitting.plan().situation());
    }

    private static List<String> ids(List<SeatAnswer> answers) {
        return answers.stream().map(answer -> answer.seat().sheet().id()).toList();
    }

    @Test
    void theOneThatLastsLongerLeadsAmongThoseThatSuit() {
        List<SeatAnswer> answers = among(
                seat("short", builder -> builder.weightMax = stated(Mass.ofPounds(12))),
                seat("long", builder -> {}),
                seat("heavy", builder -> builder.weightMin = stated(Mass.ofPounds(20))));
        assertThat(ids(answers)).containsExactly("long", "short", "heavy");
        assertThat(answers)
                .extracting(SeatAnswer::answer)
                .containsExactly(Permission.ALLOWED, Permission.ALLOWED, Permission.NOT_ALLOWED);
        SeatAnswer first = answers.get(0);
        assertThat(first.until()).isPresent();
        assertThat(first.rooms().slot()).hasValue(1);
        assertThat(first.rooms().head()).contains(mm(130));
        assertThat(first.place().orElseThrow().answer()).isEqualTo(Permission.ALLOWED);
        assertThat(first.carry()).contains(Mass.ofKilograms(6.95));
    }

    @Test
    void aFlatOrderLeavesOnlyTheCarBed() {
        fitting.add(new Fact.Ordered(
                RiderId.FIRST, Fact.OrderKind.FLAT, "doctor", FittingBuilder.TODAY, FittingBuilder.TODAY.plusDays(30)));
        List<SeatAnswer> answers = among(seat("one", builder -> {}), bed(), seat("two", builder -> {}));
        assertThat(answers.get(0).seat().kind()).isEqualTo(SeatKind.CAR_BED);
        assertThat(answers.get(0).answer()).isEqualTo(Permission.ALLOWED);
        assertThat(answers.subList(1, 3))
                .allMatch(answer -> answer.answer() == Permission.NOT_ALLOWED)
                .allMatch(answer -> answer.deciding().orElseThrow().reason().equals("against"));
    }

    @Test
    void aShoulderThatNobodyMeasuredIsStillToBeLookedAt() {
        fitting.without(fact -> fact instanceof Fact.LengthMeasured measured && measured.what() != Fact.Dimension.BODY);
        fitting.add(
                new How(How.Kind.ESTIMATED, ""),
                new Fact.LengthMeasured(
                        RiderId.FIRST, Fact.Dimension.SHOULDER, mm(210), Fact.InsertState.AS_IT_WILL_BE));
        SeatAnswer answer = among(seat("one", builder -> {})).get(0);
        assertThat(answer.answer()).isEqualTo(Permission.NOT_KNOWN);
        assertThat(answer.findings())
                .filteredOn(finding -> finding.weight().blocks())
                .extracting(Finding::reason)
                .containsOnly("lookFirst");
    }

    @Test
    void aPieceOfThePresentInsertLiftsNobodyInAnotherSeat() {
        SeatSheet high = seat("high", builder -> {
            builder.slots = stated(List.of(mm(200)));
            builder.insert = stated(List.of());
        });
        SeatAnswer answer = among(high).get(0);
        assertThat(answer.answer()).as("210 with 18 of insert is 192").isEqualTo(Permission.NOT_ALLOWED);
        assertThat(answer.from()).as("growing alone mends that").isPresent();
    }

    @Test
    void anOptionalPieceIsTakenWhereItMakesTheDifference() {
        SeatSheet seat = seat("optional", builder -> {
            builder.slots = stated(List.of(mm(200)));
            builder.insert = stated(List.of(new InsertPiece(
                    new PieceId("o"),
                    "pillow",
                    mm(15),
                    List.of(new InsertPiece.Band(WeightBand.EVERY_WEIGHT, InsertPiece.Use.OPTIONAL)))));
        });
        SeatAnswer answer = among(seat).get(0);
        assertThat(answer.answer()).as("%s", answer.findings()).isEqualTo(Permission.ALLOWED);
        assertThat(answer.pieces()).containsExactly("pillow");
    }

    @Test
    void aDraftIsNotKnownAndWhatSuitsComesBeforeIt() {
        List<SeatAnswer> answers =
                among(seat("draft", builder -> builder.status = SheetStatus.DRAFT), seat("good", builder -> {}));
        assertThat(ids(answers)).containsExactly("good", "draft");
        assertThat(answers.get(1).answer()).isEqualTo(Permission.NOT_KNOWN);
    }

    /** Taking knowledge away never makes an answer better. */
    @Test
    void lessKnowledgeNeverAllowsMore() {
        List<Consumer<SeatSheetBuilder>> gaps = new ArrayList<>();
        gaps.add(builder -> builder.weightMin = Evidence.notLooked());
        gaps.add(builder -> builder.weightMax = Evidence.notLooked());
        gaps.add(builder -> builder.lengthMax = Evidence.notLooked());
        gaps.add(builder -> builder.headRoom = Evidence.notLooked());
        gaps.add(builder -> builder.slots = Evidence.notLooked());
        for (Consumer<SeatSheetBuilder> gap : gaps) {
            assertThat(among(seat("gap", gap)).get(0).answer()).isNotEqualTo(Permission.ALLOWED);
        }
    }

    @Test
    void aHeavierChildHasNoMoreRoomAndIsOutgrownNoLater() {
        SeatSheet seat = seat("one", builder -> {});
        SeatAnswer before = among(seat).get(0);
        fitting.replace(fact -> fact instanceof Fact.Weighed, new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.6)));
        SeatAnswer after = among(seat).get(0);
        assertThat(after.rooms().weight().orElseThrow())
                .isLessThan(before.rooms().weight().orElseThrow());
        assertThat(after.outgrownOn().orElseThrow())
                .isBeforeOrEqualTo(before.outgrownOn().orElseThrow());
    }
}
