package app.layette.web.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.Method;
import app.layette.core.entry.UnitId;
import app.layette.core.measure.Length;
import app.layette.core.seat.PieceId;
import app.layette.core.vehicle.PositionId;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FactFormTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 28);

    private static Map<String, String> fields(String kind, String... more) {
        Map<String, String> fields = new HashMap<>(Map.of("kind", kind, "of", "u1"));
        for (int i = 0; i < more.length; i += 2) {
            fields.put(more[i], more[i + 1]);
        }
        return fields;
    }

    @Test
    void readsEachFieldByItsType() {
        assertThat(FactForm.read(fields("placed", "position", "2-RIGHT", "method", "BASE_FLEXIBLE_ANCHORS"), TODAY))
                .isEqualTo(new Fact.Placed(UnitId.FIRST, PositionId.parse("2-RIGHT"), Method.BASE_FLEXIBLE_ANCHORS));
        assertThat(FactForm.read(fields("insertSet", "piece", "body", "in", "true"), TODAY))
                .isEqualTo(new Fact.InsertSet(UnitId.FIRST, new PieceId("body"), true));
        Fact child = FactForm.read(fields("childDescribed", "born", "2026-03-01", "gestationDays", "38+2"), TODAY);
        assertThat(((Fact.ChildDescribed) child).gestationDays()).isEqualTo(268);
        Fact length = FactForm.read(fields("lengthMeasured", "what", "BODY", "length", "19 1/2 in"), TODAY);
        assertThat(((Fact.LengthMeasured) length).length()).isEqualTo(Length.ofInches(19.5));
    }

    /** What only a page may say that looked whether it is so: read as a document, never from a hand's own form. */
    @ParameterizedTest
    @ValueSource(strings = {"unitJoined", "cameBack", "photoTaken"})
    void whatComesAnotherWayIsNotEnteredByHand(String kind) {
        String id = "0b1c2d3e-0000-4000-8000-000000000001";
        Map<String, String> fields = fields(kind);
        fields.putAll(Map.of("unit", "u2", "rider", "r2", "sheet", "wrenfold-thimble"));
        fields.putAll(
                Map.of("fitting", id, "on", "2026-11-01", "photo", id, "about", "label", "sha256", "a".repeat(64)));
        assertThat(FactForm.read(fields, TODAY)).isNotNull();
        assertThatThrownBy(() -> FactForm.readByHand(fields, TODAY)).hasMessageContaining("UNKNOWN_KIND");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    weighed        | mass          | 6          | UNIT_NEEDED.MASS
                    weighed        | mass          | 2,950 g    | AMBIGUOUS_COMMA
                    weighed        | mass          | 90 lb      | OUT_OF_RANGE
                    weighed        | mass          | ''         | NEEDED
                    childDescribed | born          | 03/04/2026 | WHICH_DAY
                    childDescribed | born          | noon       | NOT_A_DATE
                    childDescribed | gestationDays | nine       | NOT_WEEKS
                    labelRead      | made          | March      | YEAR_NEEDED
                    levelRead      | reading       | SIDEWAYS   | NOT_TAKEN
                    slotsSet       | leftShell     | top        | NOT_TAKEN
                    groundMeasured | pitch         | steep      | UNREADABLE.ANGLE
                    groundMeasured | pitch         | 95         | OUT_OF_RANGE
                    placed         | position      | boot       | NOT_TAKEN
                    """)
    void refusesABadFieldByItsNameAndValue(String kind, String field, String typed, String reason) {
        assertThatThrownBy(() -> FactForm.read(fields(kind, field, typed), TODAY))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        e -> assertThat(e.problems())
                                .filteredOn(problem -> problem.field().equals(field))
                                .singleElement()
                                .satisfies(problem -> {
                                    assertThat(problem.reason()).isEqualTo(reason);
                                    assertThat(problem.value()).isEqualTo(typed);
                                }));
    }

    @Test
    void collectsAllProblems() {
        assertThatThrownBy(() -> FactForm.read(fields("slotsSet", "leftShell", "x", "rightShell", "1"), TODAY))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        e -> assertThat(e.problems())
                                .extracting(FieldProblem::field)
                                .containsExactly("leftShell", "leftPad", "rightPad"));
    }

    @Test
    void anUnknownKindIsRefused() {
        assertThatThrownBy(() -> FactForm.read(fields("handedOver"), TODAY))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class, e -> assertThat(e.reason()).isEqualTo("UNKNOWN_KIND"));
    }
}
