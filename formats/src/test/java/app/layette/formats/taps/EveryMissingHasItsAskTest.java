package app.layette.formats.taps;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactQuickCarSeenParts;
import app.layette.core.entry.FactQuickSeatReadParts;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.QuickSeat;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetValue;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.gate.ConclusionState;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.Ask;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.Examples;
import app.layette.formats.SheetsLess;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.SheetReader;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Whatever value is taken out of a sheet, the fitting asks for it, and what a manual or a look answers there opens it again.
 */
class EveryMissingHasItsAskTest {
    private static final int MOST_ROUNDS = 80;
    private static final Author TECHNICIAN = new Author("marit", Author.Role.TECHNICIAN);

    @ParameterizedTest
    @MethodSource("app.layette.formats.Examples#ready")
    void aValueThatNobodyLookedUpIsAskedForAndTheAnswerOpens(String name) {
        CaseDocument example = Examples.read(name);
        SeatSheet seat = example.sheets().seats().get(0);
        VehicleSheet car = example.sheets().cars().get(0);
        List<String> deadEnds = new ArrayList<>();
        SheetsLess.without(name, "seatSheets", SheetReader::seat)
                .forEach((place, less) -> carry(example, new Sheets(List.of(less), List.of(car)))
                        .ifPresent(shut -> deadEnds.add("seat " + place + ": " + shut)));
        SheetsLess.without(name, "vehicleSheets", SheetReader::vehicle)
                .forEach((place, less) -> carry(example, new Sheets(List.of(seat), List.of(less)))
                        .ifPresent(shut -> deadEnds.add("car " + place + ": " + shut)));
        assertThat(deadEnds).isEmpty();
    }

    /** A seat that is not on the shelf in a car without a sheet, both manuals at hand. */
    @ParameterizedTest
    @MethodSource("app.layette.formats.Examples#ready")
    void aWalkInSeatInACarWithoutASheetIsHandedOverLikeAnyOther(String name) {
        CaseDocument example = Examples.read(name);
        SeatSheet seat = example.sheets().seats().get(0);
        List<Entry> entries = new ArrayList<>();
        for (Entry entry : example.record().entries()) {
            boolean ofSheets = entry.fact() instanceof Fact.SheetAdopted
                    || entry.fact() instanceof Fact.PermissionRead
                    || entry.fact() instanceof Fact.HandlePositionRead
                    || entry.fact() instanceof Fact.QuantityRead
                    || entry.fact() instanceof Fact.InsertSet
                    || entry.fact() instanceof Fact.DeviceSet;
            if (entry.fact() instanceof Fact.Placed placed) {
                add(entries, example, How.MEASURED, car(placed.position()));
                if (placed.method() == Method.LAY_FLAT) {
                    add(entries, example, How.MEASURED, car(placed.position().besides()));
                }
            }
            if (!ofSheets) {
                add(entries, example, entry.how(), entry.fact());
            }
        }
        String model = entries.stream()
                .map(Entry::fact)
                .filter(Fact.LabelRead.class::isInstance)
                .map(fact -> ((Fact.LabelRead) fact).model())
                .findFirst()
                .orElseThrow();
        add(
                entries,
                example,
                Truth.PAGE,
                FactQuickSeatReadParts.builder()
                        .of(UnitId.FIRST)
                        .name("Walk-in")
                        .model(model)
                        .sort(seat.kind())
                        .build());
        Sheets none = new Sheets(List.of(), List.of());
        FittingRecord.Unit unit = FittingRecord.Unit.first(QuickSeat.SHEET);
        assertThat(carry(example, none, entries, unit)).isEmpty();
    }

    private static Fact car(PositionId place) {
        return FactQuickCarSeenParts.builder()
                .of(UnitId.FIRST)
                .name("Old estate")
                .position(place)
                .build();
    }

    private static Optional<String> carry(CaseDocument example, Sheets sheets) {
        return carry(
                example,
                sheets,
                new ArrayList<>(example.record().entries()),
                example.record().units().get(0));
    }

    /** Answers what is asked until nothing is; gives what keeps the gate shut all the same. */
    private static Optional<String> carry(
            CaseDocument example, Sheets sheets, List<Entry> entries, FittingRecord.Unit unit) {
        FittingPlan plan = plan(example, sheets, entries, unit);
        Situation now = plan.situation();
        Truth truth = new Truth(
                example.sheets().seats().get(0),
                example.sheets().cars().get(0),
                now.weight().orElseThrow().value(),
                now.ageDays(),
                now.label(Fact.Part.BASE).map(label -> label.value().model()).orElse(""),
                ShoulderAndSlots.in(Examples.plan(example).situation())
                        .map(ShoulderAndSlots::best)
                        .orElse(0));
        for (int round = 0; round < MOST_ROUNDS && !plan.gate().isOpen(); round++) {
            Optional<Ask> ask = plan.run().steps().stream()
                    .flatMap(step -> step.asks().stream())
                    .filter(each -> !each.answered() && !each.optional())
                    .filter(each -> each.kind() != Ask.Kind.END)
                    .findFirst();
            if (ask.isEmpty()) {
                break;
            }
            add(entries, example, ask.get(), truth);
            plan = plan(example, sheets, entries, unit);
        }
        return plan.gate().isOpen()
                ? Optional.empty()
                : Optional.of(plan.gate().blocking().stream()
                        .map(EveryMissingHasItsAskTest::say)
                        .toList()
                        .toString());
    }

    private static String say(ConclusionState state) {
        return state.conclusion() + " " + state.state() + " "
                + (state.findings().isEmpty() ? "" : state.findings().get(0).message());
    }

    private static void add(List<Entry> entries, CaseDocument example, Ask ask, Truth truth) {
        switch (ask.kind()) {
            case SHEET_VALUE -> {
                SheetValue value = SheetValue.valueOf(ask.question());
                PositionId place = ask.place().isEmpty() ? null : PositionId.parse(ask.place());
                add(entries, example, truth.how(value), truth.read(value, place));
            }
            case PAGE -> add(entries, example, Truth.PAGE, truth.page(ask.key()));
            case INSERT ->
                add(entries, example, How.MEASURED, new Fact.InsertSet(UnitId.FIRST, new PieceId(ask.key()), true));
            case ROLL ->
                add(
                        entries,
                        example,
                        How.MEASURED,
                        new Fact.RollPlaced(UnitId.FIRST, Fact.RollKind.NONE, null, null, null, null, null, null));
            case HEAD_ROOM ->
                add(entries, example, How.MEASURED, new Fact.Answered(UnitId.FIRST, Question.HEAD_ROOM, "AT_LEAST_50"));
            case SHOULDER -> add(entries, example, How.MEASURED, new Fact.ShoulderSeen(RiderId.FIRST, truth.slot()));
            case QUESTION -> {
                Question question = Question.valueOf(ask.question());
                PositionId place = ask.place().isEmpty() ? null : PositionId.parse(ask.place());
                Optional<Entry> said = example.record().entries().stream()
                        .filter(entry ->
                                entry.fact() instanceof Fact.Answered answered && answered.question() == question)
                        .reduce((first, second) -> second);
                String answer = said.map(entry -> ((Fact.Answered) entry.fact()).answer())
                        .orElseGet(() -> question == Question.LATCH_PLATE
                                ? "LOCKING"
                                : Answers.to(question).get(0));
                add(entries, example, How.MEASURED, new Fact.Answered(UnitId.FIRST, question, answer, place));
            }
            default -> {
                Entry again = example.record().entries().stream()
                        .filter(entry -> Walker.answers(ask, entry.fact()))
                        .reduce((first, second) -> second)
                        .orElseThrow(() -> new IllegalStateException("Nobody said " + ask));
                add(entries, example, again.how(), again.fact());
            }
        }
    }

    private static void add(List<Entry> entries, CaseDocument example, How how, Fact fact) {
        int seq = entries.size() + 1;
        entries.add(new Entry(
                new UUID(11, seq),
                seq,
                seq - 1,
                example.date().atTime(10, 0).atOffset(ZoneOffset.UTC).plusSeconds(seq),
                TECHNICIAN,
                how,
                null,
                fact));
    }

    private static FittingPlan plan(CaseDocument example, Sheets sheets, List<Entry> entries, FittingRecord.Unit unit) {
        FittingRecord record = new FittingRecord(example.record().riders(), List.of(unit), entries);
        return new FittingPlanner().plan(example.practice(), sheets, record, example.date());
    }
}
