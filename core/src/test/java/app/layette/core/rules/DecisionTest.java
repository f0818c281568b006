package app.layette.core.rules;

import static app.layette.core.fixture.SeatSheetBuilder.mm;
import static app.layette.core.fixture.SeatSheetBuilder.silent;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.seat.CarBedParts;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.LegUse;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.ReboundBar;
import app.layette.core.seat.Rotation;
import app.layette.core.seat.SideElement;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Decisions by rule and method, as rows of {@code decisions.csv}: a fitting in order by that method, what is given
 * besides, and the finding that must follow; or the answer about the place before anything is fixed there.
 */
class DecisionTest {
    private static final int LEAST_ROWS = 120;
    private static final String NOT_LOOKED = "-";

    /** One row. */
    record Decision(RuleCode rule, Method method, String what, List<String> given, String expected, String reason) {
        static Decision of(String line) {
            String[] cells = line.split(",", -1);
            List<String> given = Stream.of(cells[3].split(";"))
                    .map(String::strip)
                    .filter(each -> !each.isEmpty())
                    .toList();
            return new Decision(RuleCode.of(cells[0]), Method.valueOf(cells[1]), cells[2], given, cells[4], cells[5]);
        }

        FittingBuilder fitting() {
            FittingBuilder fitting = FittingBuilder.ready(method);
            given.forEach(each -> give(fitting, method, each));
            return fitting;
        }

        @Override
        public String toString() {
            return rule + " " + method + ": " + what;
        }
    }

    static Stream<Decision> decisions() {
        return lines("decisions.csv").map(Decision::of);
    }

    /** The rows of a file without its comments. */
    static Stream<String> lines(String file) {
        try (BufferedReader reader = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(DecisionTest.class.getResourceAsStream("/app/layette/core/" + file)),
                StandardCharsets.UTF_8))) {
            return reader
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#") && !line.startsWith("rule,"))
                    .toList()
                    .stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("decisions")
    void isAsTheRowSays(Decision row) {
        FittingPlan plan = row.fitting().plan();
        if (row.expected().startsWith("answer ")) {
            answersBeforehand(row, plan);
            return;
        }
        Weight weight = Weight.valueOf(row.expected());
        RuleCase.expect(plan, row.rule(), row.reason(), weight, row);
    }

    private static void answersBeforehand(Decision row, FittingPlan plan) {
        PositionId place = plan.situation().placed().orElseThrow().value().position();
        PlaceAnswer answer =
                CabinAnswers.of(plan.situation()).about(place, row.method()).orElseThrow();
        assertThat(answer.findings()).extracting(Finding::reason).contains(row.reason());
        assertThat(answer.answer()).isEqualTo(Permission.valueOf(row.expected().substring("answer ".length())));
    }

    @Test
    void thereAreEnoughOfThem() {
        assertThat(decisions()).hasSizeGreaterThanOrEqualTo(LEAST_ROWS);
        assertThat(decisions().map(Decision::toString)).doesNotHaveDuplicates();
    }

    static void give(FittingBuilder fitting, Method method, String given) {
        String[] words = given.split("\\s+", 2);
        String rest = words.length > 1 ? words[1] : "";
        switch (words[0]) {
            case "answer" -> fitting.answer(Question.valueOf(key(rest)), value(rest));
            case "seat" -> says(rest, fitting.seat.permissions);
            case "car" -> says(rest, fitting.car.permissions);
            case "label" -> label(fitting, rest.substring("carrier ".length()));
            case "weight" -> fitting.add(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(Double.parseDouble(rest))));
            case "length" ->
                fitting.add(new Fact.LengthMeasured(
                        RiderId.FIRST, Fact.Dimension.BODY, Length.ofCentimetres(Double.parseDouble(rest)), null));
            case "order" ->
                fitting.add(new Fact.Ordered(
                        RiderId.FIRST,
                        Fact.OrderKind.valueOf(rest),
                        "doctor",
                        FittingBuilder.TODAY,
                        FittingBuilder.TODAY.plusDays(30)));
            case "insert" -> fitting.add(new Fact.InsertSet(UnitId.FIRST, new PieceId("body"), false));
            case "place" -> moved(fitting, method, rest);
            case "beside" -> beside(fitting, key(rest.replace(' ', '=')), value(rest.replace(' ', '=')));
            case "middle" -> middleBetweenPairs(fitting, method);
            case "alone" -> fitting.car.more.clear();
            case "level" -> fitting.level(Indicator.Reading.valueOf(rest));
            case "ground" ->
                fitting.add(new Fact.GroundMeasured(UnitId.FIRST, Angle.ofDegrees(Double.parseDouble(rest))));
            case "lean" -> fitting.add(new Fact.LeanMeasured(UnitId.FIRST, Angle.ofDegrees(Double.parseDouble(rest))));
            case "roll" ->
                fitting.add(new Fact.RollPlaced(
                        UnitId.FIRST, Fact.RollKind.valueOf(rest), null, null, mm(4), 2, mm(100), false));
            case "handle" -> fitting.add(new Fact.HandleSet(UnitId.FIRST, HandlePosition.valueOf(rest)));
            default -> field(fitting, words[0], rest);
        }
    }

    private static String key(String pair) {
        return pair.substring(0, pair.indexOf('='));
    }

    private static String value(String pair) {
        return pair.substring(pair.indexOf('=') + 1);
    }

    private static void says(String rest, Map<PermissionKey, Evidence<Said>> permissions) {
        String pair = rest.substring("says ".length());
        PermissionKey key = PermissionKey.valueOf(key(pair));
        switch (value(pair)) {
            case NOT_LOOKED -> permissions.remove(key);
            case "SILENT" -> permissions.put(key, silent());
            default -> permissions.put(key, stated(Said.valueOf(value(pair))));
        }
    }

    private static void label(FittingBuilder fitting, String made) {
        boolean other = made.equals("other");
        String month = made.equals(NOT_LOOKED) ? null : other ? "2022-05" : made;
        fitting.label(Fact.Part.CARRIER, other ? "X-9" : "M-1", month);
    }

    /** {@code place X}: it was there all the time; {@code place again X}: chosen anew, another place like the first. */
    private static void moved(FittingBuilder fitting, Method method, String rest) {
        if (rest.startsWith("again ")) {
            PositionId other = PositionId.parse(rest.substring("again ".length()));
            fitting.car.more.add(fitting.car.another(other));
            fitting.add(new Fact.Placed(UnitId.FIRST, other, method));
        } else {
            place(fitting, method, PositionId.parse(rest));
        }
    }

    /** Changes the second place of a lay-flat carrier alone. */
    private static void beside(FittingBuilder fitting, String field, String value) {
        Evidence<Airbag> airbag = fitting.car.airbag;
        Evidence<Belt.Retractor> retractor = fitting.car.retractor;
        Evidence<Boolean> inflatable = fitting.car.inflatable;
        field(fitting, "car." + field, value);
        fitting.car.more.replaceAll(position -> fitting.car.another(position.id()));
        fitting.car.airbag = airbag;
        fitting.car.retractor = retractor;
        fitting.car.inflatable = inflatable;
    }

    /** Moves the good place, and everything that was fixed there with it. */
    private static void place(FittingBuilder fitting, Method method, PositionId place) {
        fitting.car.place = place;
        fitting.replace(fact -> fact instanceof Fact.Placed, new Fact.Placed(UnitId.FIRST, place, method));
    }

    private static void middleBetweenPairs(FittingBuilder fitting, Method method) {
        fitting.car.more.add(fitting.car.another(new PositionId(2, Side.LEFT)));
        fitting.car.more.add(fitting.car.another(new PositionId(2, Side.RIGHT)));
        fitting.car.anchors = stated(OwnAnchors.NONE);
        place(fitting, method, new PositionId(2, Side.MIDDLE));
    }

    private static void field(FittingBuilder fitting, String field, String value) {
        SeatSheetBuilder seat = fitting.seat;
        switch (field) {
            case "seat.limit" -> seat.anchorLimit = evidence(value, text -> Mass.ofKilograms(Double.parseDouble(text)));
            case "seat.leg" -> seat.leg = evidence(value, LegUse::valueOf);
            case "seat.side" -> seat.sideElement = evidence(value, SideElement::valueOf);
            case "seat.rotation" -> seat.rotation = evidence(value, Rotation::valueOf);
            case "seat.panel" -> seat.tensionPanel = evidence(value, Boolean::valueOf);
            case "seat.lockOffs" -> seat.lockOffs = evidence(value, none -> List.of());
            case "seat.bedPlaces" ->
                seat.carBed =
                        CarBedParts.builder().endStraps(seat.carBed.endStraps()).build();
            case "seat.endStraps" ->
                seat.carBed = CarBedParts.builder()
                        .positions(seat.carBed.positions())
                        .headDirection(seat.carBed.headDirection())
                        .endStraps(evidence(value, Boolean::valueOf))
                        .build();
            case "seat.head" ->
                seat.carBed = CarBedParts.builder()
                        .positions(seat.carBed.positions())
                        .endStraps(seat.carBed.endStraps())
                        .build();
            case "seat.bar" -> seat.reboundBar = evidence(value, ReboundBar::valueOf);
            case "seat.borrowed" -> seat.borrowedSpacingMost = evidence(value, text -> mm(Double.parseDouble(text)));
            case "car.borrowed" -> fitting.car.borrowedSpacing = evidence(value, text -> mm(Double.parseDouble(text)));
            case "car.airbag" -> fitting.car.airbag = evidence(value, Airbag::valueOf);
            case "car.facing" -> fitting.car.facing = evidence(value, Facing::valueOf);
            case "car.anchors" -> fitting.car.anchors = evidence(value, OwnAnchors::valueOf);
            case "car.floor" -> fitting.car.floor = evidence(value, Floor::valueOf);
            case "car.inflatable" -> fitting.car.inflatable = evidence(value, Boolean::valueOf);
            case "car.armrest" -> fitting.car.armrest = evidence(value, Boolean::valueOf);
            case "car.retractor" -> fitting.car.retractor = evidence(value, Belt.Retractor::valueOf);
            case "car.belt" -> fitting.car.beltKind = evidence(value, Belt.Kind::valueOf);
            case "car.plate" -> fitting.car.latchPlate = evidence(value, Belt.LatchPlate::valueOf);
            default -> throw new IllegalArgumentException("No row may give " + field);
        }
    }

    private static <T> Evidence<T> evidence(String text, Function<String, T> value) {
        return text.equals(NOT_LOOKED) ? Evidence.notLooked() : stated(value.apply(text));
    }
}
