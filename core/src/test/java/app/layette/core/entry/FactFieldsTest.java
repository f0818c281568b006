package app.layette.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.evidence.Id;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Bounds;
import app.layette.core.measure.DayBounds;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A kind of entry is described once: what it takes is what its record says, for every kind alike. */
class FactFieldsTest {
    private static final LocalDate TODAY = FittingBuilder.TODAY;

    static List<FactField> fields() {
        return FactFields.byName().values().stream()
                .flatMap(kind -> FactFields.of(kind).stream())
                .toList();
    }

    /** An entry of a kind with nothing in it but what primitives cannot leave out. */
    private static List<Object> nothing(Class<? extends Fact> kind) {
        List<Object> values = new ArrayList<>();
        for (FactField field : FactFields.of(kind)) {
            values.add(field.type() == int.class ? (Object) 1 : field.type() == boolean.class ? Boolean.FALSE : null);
        }
        return values;
    }

    private static Object unsaid(FactField field) {
        return nothing(field.kind()).get(FactFields.of(field.kind()).indexOf(field));
    }

    private static Fact with(FactField field, Object value) {
        List<Object> values = nothing(field.kind());
        values.set(FactFields.of(field.kind()).indexOf(field), value);
        return FactFields.make(field.kind(), values);
    }

    private static List<String> wrong(Fact fact) {
        return FactCheck.impossible(fact, TODAY).stream()
                .map(FieldProblem::field)
                .toList();
    }

    @Test
    void everyIdIsMadeOfItsTextAndOfItsOwnType() {
        assertThat(fields())
                .filteredOn(field -> Id.class.isAssignableFrom(field.type()))
                .hasSizeGreaterThan(FactFields.byName().size())
                .allSatisfy(field -> assertThat(Ids.of(field.type(), "x 1")).hasValueSatisfying(id -> {
                    assertThat(id).isInstanceOf(field.type());
                    assertThat(id.text()).isEqualTo("x 1");
                }));
        assertThat(Ids.of(String.class, "x 1")).isEmpty();
    }

    /** One below and one above what a number, an angle or a text may be. */
    private static List<Object> outside(FactField field) {
        List<Object> all = new ArrayList<>();
        field.from().ifPresent(from -> all.add(number(field, from - 1)));
        field.to().ifPresent(to -> all.add(number(field, to + 1)));
        if (field.type() == String.class) {
            all.add("x".repeat(field.written().longest() + 1));
        }
        return all;
    }

    private static Object number(FactField field, int value) {
        return field.type() == Angle.class ? (Object) Angle.ofDegrees(value) : Integer.valueOf(value);
    }

    @ParameterizedTest
    @MethodSource("fields")
    void whatLiesOutsideIsRefusedByItsName(FactField field) {
        for (Object value : outside(field)) {
            assertThat(wrong(with(field, value))).as("%s", value).contains(field.name());
        }
    }

    @ParameterizedTest
    @MethodSource("fields")
    void whatIsNeededIsAskedForByItsName(FactField field) {
        boolean asked = wrong(with(field, unsaid(field))).contains(field.name());
        assertThat(asked).isEqualTo(field.isNeeded() && !field.type().isPrimitive());
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
                    childDescribed, born
                    weighed, mass
                    answered, question
                    placed, method
                    cameBack, on
                    crashedSince, on
                    caregiverSigned, initials
                    """)
    void someCannotBeLeftOut(String kind, String field) {
        assertThat(FactFields.of(FactFields.byName().get(kind), field))
                .hasValueSatisfying(each -> assertThat(each.isNeeded()).isTrue());
    }

    /** The ranges of masses, lengths and days, a second time: one that is changed or left out is changed in both places. */
    @Test
    void everyRangeIsTheOneThatItsFieldIsTakenIn() {
        assertThat(fields().stream()
                        .filter(each -> each.written().in() != Bounds.OF_ITS_TYPE
                                || each.written().days() != DayBounds.ANY)
                        .map(each -> FactFields.nameOf(each.kind()) + "." + each.name() + " "
                                + (each.written().in() == Bounds.OF_ITS_TYPE
                                        ? each.written().days()
                                        : each.written().in())))
                .containsExactlyInAnyOrder(
                        "childDescribed.born LAST_FIVE_YEARS",
                        "childDescribed.birthWeight BIRTH_MASS",
                        "expected.due DUE",
                        "weighed.mass CHILD_MASS",
                        "labelRead.made MADE",
                        "quantityRead.mass SHEET_MASS",
                        "sheetValueRead.from SHEET_MASS",
                        "sheetValueRead.to SHEET_MASS",
                        "layerSeen.loose LAYER",
                        "layerSeen.pressed LAYER",
                        "rollPlaced.diameter ROLL",
                        "rollPlaced.thickness CLOTH_THICKNESS",
                        "rollPlaced.rolled CLOTH",
                        "ordered.on LAST_FIVE_YEARS",
                        "quickSeatRead.weightMin CHILD_MASS",
                        "quickSeatRead.weightMax CHILD_MASS",
                        "quickSeatRead.lengthMax BODY",
                        "quickSeatRead.zoneFrom CHILD_MASS",
                        "quickSeatRead.zoneTo CHILD_MASS",
                        "crashedSince.on LAST_FIVE_YEARS");
    }

    /** What a mass or a length of a named range must not be is refused, of a new entry. */
    @ParameterizedTest
    @MethodSource("fields")
    void aMassOrLengthOutsideItsRangeIsRefused(FactField field) {
        Situation situation = FittingBuilder.ready().plan().situation();
        List<Object> outside = new ArrayList<>();
        field.written().in().mass().ifPresent(range -> {
            outside.add(Mass.ofGrams(range.max().grams() + 1));
            outside.add(Mass.ofGrams(range.min().grams() - 1));
        });
        field.written().in().length().ifPresent(range -> {
            outside.add(Length.ofMillimetres(range.max().millimetres() + 1));
            outside.add(Length.ofMillimetres(range.min().millimetres() - 1));
        });
        for (Object value : outside) {
            assertThat(FactCheck.problems(with(field, value), situation))
                    .as("%s", value)
                    .extracting(FieldProblem::field)
                    .contains(field.name());
        }
    }

    /** The range of a length follows from what was measured, where the entry says what. */
    @Test
    void aLengthIsTakenInTheRangeOfWhatWasMeasured() {
        FactField length = FactFields.of(Fact.LengthMeasured.class, "length").orElseThrow();
        assertThat(length.decidedBy()).map(FactField::name).contains("what");
        for (Fact.Dimension what : Fact.Dimension.values()) {
            assertThat(length.lengths(Optional.of(what))).isEqualTo(FactCheck.rangeOf(what));
            Length over = Length.ofMillimetres(FactCheck.rangeOf(what).max().millimetres() + 1);
            assertThat(wrong(new Fact.LengthMeasured(RiderId.FIRST, what, over, null)))
                    .containsExactly("length");
        }
        assertThat(FactFields.of(Fact.LayerSeen.class, "loose").orElseThrow().decidedBy())
                .isEmpty();
    }

    /** What an entry of today has to keep is not held against a document of long ago. */
    @Test
    void usualMassesAndDaysAroundTodayAreAskedOfNewEntriesAlone() {
        Fact heavy = new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(45));
        Fact old = new Fact.CrashedSince(UnitId.FIRST, TODAY.minusYears(9));
        Situation situation = FittingBuilder.ready().plan().situation();
        for (Fact each : List.of(heavy, old)) {
            assertThat(FactCheck.impossible(each, TODAY)).isEmpty();
            assertThat(FactCheck.problems(each, situation)).hasSize(1);
        }
    }

    @Test
    void anEntryIsMadeAndReadThroughItsFields() {
        Fact photo = new Fact.PhotoTaken(UnitId.FIRST, UUID.randomUUID(), "label", "ab");
        List<Object> values = FactFields.of(Fact.PhotoTaken.class).stream()
                .map(each -> each.in(photo))
                .toList();
        assertThat(FactFields.make(Fact.PhotoTaken.class, values)).isEqualTo(photo);
        assertThat(FactFields.byName().get(FactFields.nameOf(Fact.PhotoTaken.class)))
                .isEqualTo(Fact.PhotoTaken.class);
    }
}
