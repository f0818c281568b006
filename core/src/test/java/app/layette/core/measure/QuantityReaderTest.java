package app.layette.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.measure.UnreadableMeasureException.Reason;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class QuantityReaderTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    6 lb 4 oz    | 2835.0
                    6lb4oz       | 2835.0
                    6.5 lb       | 2948.4
                    2.95 kg      | 2950.0
                    2,95 kg      | 2950.0
                    2950 g       | 2950.0
                    2950         | 2950.0
                    104 oz       | 2948.4
                    """)
    void readsAWeightAsItIsTyped(String typed, double grams) {
        assertThat(Mass.parse(typed, MassRange.CHILD).grams()).isCloseTo(grams, within(0.05));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    49.5          | 495
                    49,5 cm       | 495
                    495 mm        | 495
                    19 1/2 in     | 495.3
                    19½ in        | 495.3
                    19.5          | 495.3
                    3/4 m         | 750
                    """)
    void readsALengthAsItIsTyped(String typed, double millimetres) {
        assertThat(Length.parse(typed, LengthRange.BODY).millimetres()).isCloseTo(millimetres, within(0.01));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "null", textBlock = """
                    6           | UNIT_NEEDED
                    2,950 g     | AMBIGUOUS_COMMA
                    half a kilo | UNREADABLE
                    3 stone     | UNREADABLE
                    40 kg       | OUT_OF_RANGE
                    -3 kg       | OUT_OF_RANGE
                    0.2         | OUT_OF_RANGE
                    null        | UNREADABLE
                    ''          | UNREADABLE
                    """)
    void refusesAWeightWithItsReasonAndTheRange(String typed, Reason reason) {
        assertThatThrownBy(() -> Mass.parse(typed, MassRange.CHILD))
                .isInstanceOfSatisfying(UnreadableMeasureException.class, e -> {
                    assertThat(e.reason()).isEqualTo(reason);
                    assertThat(e.typed()).isEqualTo(typed == null ? "" : typed);
                    assertThat(e.lowest()).isEqualTo("0.4 kg (14 oz)");
                    assertThat(e.highest()).isEqualTo("30 kg (66 lb 2 oz)");
                });
    }

    @Test
    void aBareLengthThatFitsTwoUnitsAsksForOne() {
        assertThatThrownBy(() -> Length.parse("30", LengthRange.BODY)).hasMessageContaining("UNIT_NEEDED");
        assertThatThrownBy(() -> Length.parse("1/0 in", LengthRange.BODY)).hasMessageContaining("UNREADABLE");
    }

    @Test
    void whatWasTypedIsKeptWithItsUnit() {
        assertThat(Mass.parse(" 6 lb 4 oz ", MassRange.CHILD).typed()).contains("6 lb 4 oz");
        assertThat(Mass.parse("2950", MassRange.CHILD).typed()).contains("2950 g");
        assertThat(Length.parse("49.5", LengthRange.BODY).typed()).contains("49.5 cm");
    }

    @Test
    void fourPoundsEqualFourPoundsHoweverTheyWereWritten() {
        Mass printed = Mass.ofPounds(4);
        assertThat(Mass.parse("1814.4 g", MassRange.CHILD)).isEqualTo(printed).hasSameHashCodeAs(printed);
        assertThat(Mass.parse("64 oz", MassRange.CHILD)).isEqualByComparingTo(printed);
    }

    @Test
    void whatIsPrintedReadsBackWithinItsRounding() {
        Random random = new Random(20260310);
        for (int i = 0; i < 2_000; i++) {
            Mass mass = Mass.ofGrams(400 + random.nextInt(29_000));
            Length length = Length.ofMillimetres(250 + random.nextInt(850));
            for (UnitSystem system : UnitSystem.values()) {
                assertThat(Mass.parse(mass.in(system), MassRange.SHEET).grams())
                        .isCloseTo(mass.grams(), within(system == UnitSystem.METRIC ? 5.1 : 7.2));
                assertThat(Length.parse(length.in(system), LengthRange.SHEET).millimetres())
                        .isCloseTo(length.millimetres(), within(1.3));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"0.4, 0.4", "-1.5°, -1.5", "12 deg, 12", "3 degrees, 3"})
    void readsDegrees(String typed, double degrees) {
        assertThat(Angle.parse(typed, -30, 30).degrees()).isEqualTo(degrees);
    }

    @ParameterizedTest
    @CsvSource({"31", "-31", "steep"})
    void refusesDegrees(String typed) {
        assertThatThrownBy(() -> Angle.parse(typed, -30, 30)).isInstanceOf(UnreadableMeasureException.class);
    }
}
