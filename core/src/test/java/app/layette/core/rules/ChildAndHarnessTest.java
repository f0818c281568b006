package app.layette.core.rules;

import static app.layette.core.fixture.SeatSheetBuilder.silent;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.child.Sex;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Fact.InsertState;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import app.layette.core.practice.PracticeProfile.Screening;
import app.layette.core.practice.PracticeProfile.SnugTest;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.AgeBand;
import app.layette.core.seat.Harness;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.PieceId;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * SUIT and HAR by example, as rows of {@code child-and-harness.csv}: both sides of every limit, in both unit systems.
 * Each row spoils a fitting that is in order in the places named, and says what must follow: a finding, or a conclusion
 * that waits for a look.
 */
class ChildAndHarnessTest {
    private static final int LEAST_ROWS = 100;
    private static final String WAITS = "WAITS";

    /** One row. */
    record Row(RuleCode rule, String what, List<String> given, String expected, String reason) {
        static Row of(String line) {
            String[] cells = line.split(",", -1);
            List<String> given = Stream.of(cells[2].split(";"))
                    .map(String::strip)
                    .filter(each -> !each.isEmpty())
                    .toList();
            return new Row(RuleCode.of(cells[0]), cells[1], given, cells[3], cells[4]);
        }

        @Override
        public String toString() {
            return rule + ": " + what;
        }
    }

    static Stream<Row> rows() {
        return DecisionTest.lines("child-and-harness.csv").map(Row::of);
    }

    @ParameterizedTest
    @MethodSource("rows")
    void isAsTheRowSays(Row row) {
        Method method = row.given().contains("car bed") ? Method.CAR_BED : Method.BASE_FLEXIBLE_ANCHORS;
        FittingBuilder fitting = FittingBuilder.ready(method);
        row.given().stream().filter(each -> !each.equals("car bed")).forEach(each -> give(fitting, method, each));
        FittingPlan plan = fitting.plan();
        if (row.expected().equals(WAITS)) {
            assertThat(plan.gate()
                            .state(Conclusion.valueOf(row.reason()))
                            .orElseThrow()
                            .state())
                    .as(row.toString())
                    .isEqualTo(ConclusionState.State.OPEN);
            assertThat(plan.mayHandOver()).isFalse();
            return;
        }
        Weight weight = Weight.valueOf(row.expected());
        RuleCase.expect(plan, row.rule(), row.reason(), weight, row);
    }

    @Test
    void thereAreEnoughOfThemInBothUnitSystems() {
        assertThat(rows()).hasSizeGreaterThanOrEqualTo(LEAST_ROWS);
        assertThat(rows().map(Row::toString)).doesNotHaveDuplicates();
        assertThat(rows().flatMap(row -> row.given().stream()))
                .anyMatch(given -> given.endsWith(" in"))
                .anyMatch(given -> given.endsWith(" mm"))
                .anyMatch(given -> given.contains(" lb"))
                .anyMatch(given -> given.endsWith(" kg"));
    }

    private static void give(FittingBuilder fitting, Method method, String given) {
        String[] words = given.split("\\s+", 2);
        String rest = words.length > 1 ? words[1] : "";
        switch (words[0]) {
            case "weight" ->
                fitting.replace(fact -> fact instanceof Fact.Weighed, new Fact.Weighed(RiderId.FIRST, mass(rest)));
            case "length" -> height(fitting, Dimension.BODY, rest);
            case "shoulder" -> height(fitting, Dimension.SHOULDER, rest);
            case "crown" -> height(fitting, Dimension.CROWN, rest);
            case "guess" -> guess(fitting, rest);
            case "eye" -> {
                fitting.without(fact -> isHeight(fact, Dimension.SHOULDER));
                fitting.add(new Fact.ShoulderSeen(RiderId.FIRST, Integer.parseInt(rest)));
            }
            case "no" -> fitting.without(fact -> isHeight(fact, Dimension.valueOf(rest)));
            case "born" -> born(fitting, rest.split(" "));
            case "screened" ->
                fitting.add(new Fact.Screened(RiderId.FIRST, result(rest), who(rest), FittingBuilder.TODAY, "M-1"));
            case "set" -> set(fitting, rest.split(" "));
            case "crotch" ->
                fitting.replace(
                        fact -> fact instanceof Fact.CrotchSet,
                        new Fact.CrotchSet(UnitId.FIRST, Integer.parseInt(rest)));
            case "piece" ->
                fitting.replace(
                        fact -> fact instanceof Fact.InsertSet,
                        new Fact.InsertSet(UnitId.FIRST, new PieceId("body"), rest.equals("in")));
            case "layer" -> layer(fitting, rest);
            case "ordered" -> ordered(fitting, rest.split(" "));
            case "moved" ->
                fitting.add(new Fact.WebbingMoved(UnitId.FIRST, Fact.WebbingMove.valueOf(rest), null, null));
            case "instead" -> answerInstead(fitting, rest.split("="));
            case "school" -> school(fitting, rest.split("="));
            case "sheet" -> sheet(fitting.seat, rest.split("=")[0], rest.split("=")[1]);
            default -> DecisionTest.give(fitting, method, given);
        }
    }

    private static Mass mass(String text) {
        return Mass.parse(text, MassRange.SHEET);
    }

    private static Length length(String text) {
        return Length.parse(text, LengthRange.SHEET);
    }

    private static boolean isHeight(Fact fact, Dimension what) {
        return fact instanceof Fact.LengthMeasured measured && measured.what() == what;
    }

    private static void height(FittingBuilder fitting, Dimension what, String text) {
        boolean bare = text.startsWith("bare ");
        Length length = length(bare ? text.substring("bare ".length()) : text);
        fitting.replace(
                fact -> isHeight(fact, what),
                new Fact.LengthMeasured(
                        RiderId.FIRST, what, length, bare ? InsertState.BARE : InsertState.AS_IT_WILL_BE));
    }

    /** The shoulder was only guessed. */
    private static void guess(FittingBuilder fitting, String text) {
        fitting.without(fact -> isHeight(fact, Dimension.SHOULDER));
        fitting.add(
                new How(How.Kind.ESTIMATED, ""),
                new Fact.LengthMeasured(RiderId.FIRST, Dimension.SHOULDER, length(text), InsertState.AS_IT_WILL_BE));
    }

    /** Days of age, days of gestation, and the birth weight in grams where it matters; {@code ?} where nobody knows it. */
    private static void born(FittingBuilder fitting, String[] words) {
        LocalDate born = FittingBuilder.TODAY.minusDays(Integer.parseInt(words[0]));
        Integer gestation = words[1].equals("-") ? null : Integer.valueOf(words[1]);
        boolean unknown = words.length > 2 && words[2].equals("?");
        double grams = words.length > 2 && !unknown ? Double.parseDouble(words[2]) : 3100;
        Mass birth = unknown ? null : Mass.ofGrams(grams);
        fitting.replace(
                fact -> fact instanceof Fact.ChildDescribed,
                new Fact.ChildDescribed(RiderId.FIRST, born, gestation, Sex.FEMALE, birth));
    }

    private static Fact.ScreeningResult result(String text) {
        return Fact.ScreeningResult.valueOf(text.split(" ")[0]);
    }

    private static String who(String text) {
        return text.contains(" ") ? text.substring(text.indexOf(' ') + 1) : null;
    }

    private static void set(FittingBuilder fitting, String[] slots) {
        fitting.replace(
                fact -> fact instanceof Fact.SlotsSet,
                new Fact.SlotsSet(
                        UnitId.FIRST,
                        Integer.parseInt(slots[0]),
                        Integer.parseInt(slots[1]),
                        Integer.parseInt(slots[2]),
                        Integer.parseInt(slots[3]),
                        slots[4]));
    }

    private static void layer(FittingBuilder fitting, String text) {
        boolean measured = text.contains(" by ");
        String[] parts = text.split(" by ");
        fitting.add(
                measured
                        ? new Fact.LayerSeen(UnitId.FIRST, null, length(parts[0].strip()), length(parts[1].strip()))
                        : new Fact.LayerSeen(UnitId.FIRST, Fact.Garment.valueOf(text), null, null));
    }

    private static void ordered(FittingBuilder fitting, String[] words) {
        LocalDate review = FittingBuilder.TODAY.plusDays(words.length > 1 ? Integer.parseInt(words[1]) : 30);
        fitting.add(new Fact.Ordered(
                RiderId.FIRST, Fact.OrderKind.valueOf(words[0]), "doctor", FittingBuilder.TODAY, review));
    }

    /** Another answer in its place, so that nothing after it is spoiled. */
    private static void answerInstead(FittingBuilder fitting, String[] pair) {
        Question question = Question.valueOf(pair[0]);
        fitting.replace(
                fact -> fact instanceof Fact.Answered answered && answered.question() == question,
                new Fact.Answered(UnitId.FIRST, question, pair[1]));
    }

    private static void school(FittingBuilder fitting, String[] pair) {
        switch (pair[0]) {
            case "rolls" -> fitting.rolls = Permission.valueOf(pair[1]);
            case "screening" -> fitting.screening = Screening.valueOf(pair[1]);
            default -> throw new IllegalArgumentException("No school of " + pair[0]);
        }
    }

    private static void sheet(SeatSheetBuilder seat, String field, String value) {
        switch (field) {
            case "weightMin" -> seat.weightMin = evidence(value, ChildAndHarnessTest::mass);
            case "weightMax" -> seat.weightMax = evidence(value, ChildAndHarnessTest::mass);
            case "lengthMax" ->
                seat.lengthMax = evidence(
                        value, text -> text.equals("none") ? LengthLimit.none() : LengthLimit.of(length(text)));
            case "headRoom" -> seat.headRoom = evidence(value, ChildAndHarnessTest::length);
            case "anchorLimit" -> seat.anchorLimit = evidence(value, ChildAndHarnessTest::mass);
            case "slots" ->
                seat.slots = evidence(
                        value,
                        text -> Stream.of(text.split(" "))
                                .map(each -> length(each + " mm"))
                                .toList());
            case "insert" -> seat.insert = evidence(value, text -> List.of());
            case "insertMonths" -> seat.insert = stated(List.of(byAge(Double.valueOf(value))));
            case "crotch" -> seat.crotch = evidence(value, text -> List.of());
            case "loops" -> seat.loops = evidence(value, text -> List.of());
            case "snugTest" -> seat.snugTest = evidence(value, SnugTest::valueOf);
            case "clip" -> seat.clip = evidence(value, Boolean::valueOf);
            case "covers" -> seat.covers = evidence(value, Harness.Covers::valueOf);
            default -> throw new IllegalArgumentException("No row may give " + field);
        }
    }

    /** A piece that must be out from an age on. */
    private static InsertPiece byAge(Double months) {
        return new InsertPiece(
                new PieceId("body"),
                "body piece",
                Length.ofMillimetres(18),
                List.of(
                        new InsertPiece.Band(null, new AgeBand(null, months), InsertPiece.Use.REQUIRED),
                        new InsertPiece.Band(null, new AgeBand(months, null), InsertPiece.Use.MUST_BE_OUT)));
    }

    private static <T> Evidence<T> evidence(String text, Function<String, T> value) {
        return switch (text) {
            case "-" -> Evidence.notLooked();
            case "silent" -> silent();
            default -> stated(value.apply(text));
        };
    }
}
