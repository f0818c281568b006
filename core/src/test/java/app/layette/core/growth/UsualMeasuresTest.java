package app.layette.core.growth;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.time.LocalDate;
import java.util.OptionalInt;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UsualMeasuresTest {
    private static final LocalDate BORN = LocalDate.of(2026, 3, 1);

    @ParameterizedTest
    @CsvSource(nullValues = "?", textBlock = """
                    # age, weeks, kg, usual
                    3, 40, 3.4, true
                    3, 40, 1.9, true
                    3, 40, 1.5, false
                    3, 33, 1.5, true
                    3, ?, 1.5, true
                    3, ?, 0.9, false
                    3, 40, 5.4, true
                    3, 40, 6.4, false
                    3, 40, 12, false
                    200, 40, 8, true
                    200, 33, 3, false
                    """)
    void aWeightThatHardlyAnyChildHasIsAskedAbout(int age, Integer weeks, double kilograms, boolean usual) {
        assertThat(UsualMeasures.weight(BORN, days(weeks), BORN.plusDays(age)).contains(Mass.ofKilograms(kilograms)))
                .isEqualTo(usual);
    }

    @ParameterizedTest
    @CsvSource(nullValues = "?", textBlock = """
                    3, 40, 50, true
                    3, 40, 38, false
                    3, 33, 38, true
                    3, ?, 30, false
                    3, 40, 62, false
                    """)
    void soIsALength(int age, Integer weeks, double centimetres, boolean usual) {
        assertThat(UsualMeasures.length(BORN, days(weeks), BORN.plusDays(age))
                        .contains(Length.ofCentimetres(centimetres)))
                .isEqualTo(usual);
    }

    private static OptionalInt days(Integer weeks) {
        return weeks == null ? OptionalInt.empty() : OptionalInt.of(weeks * 7);
    }
}
