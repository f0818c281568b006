package app.layette.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every way of writing in the data file means what stands beside it, or is refused for the reason beside it. */
class SpellingsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 28);
    private static final int LEAST = 200;

    record Spelling(String kind, String typed, String means) {}

    static List<Spelling> spellings() throws IOException {
        try (InputStream file = SpellingsTest.class.getResourceAsStream("spellings.csv")) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\\|", -1))
                    .map(cells -> new Spelling(
                            cells[0], cells[1].replace('·', '\u00a0').replace('‹', '\u202f'), cells[2]))
                    .toList();
        }
    }

    @ParameterizedTest
    @MethodSource("spellings")
    void isReadAsItWasMeant(Spelling spelling) {
        assertThat(understood(spelling)).isEqualTo(spelling.means());
    }

    @Test
    void thereAreManyAndNoneIsThereTwice() throws IOException {
        assertThat(spellings()).hasSizeGreaterThanOrEqualTo(LEAST);
        assertThat(spellings().stream().map(each -> each.kind() + each.typed() + each.means()))
                .doesNotHaveDuplicates();
    }

    /** What is kept with a reading is what a document carries: read again it must be the same. */
    @ParameterizedTest
    @MethodSource("quantities")
    void readsTheSameFromADocument(Spelling spelling) {
        if (spelling.kind().equals("mass")) {
            Mass read = Mass.parse(spelling.typed(), MassRange.CHILD);
            assertThat(Mass.parse(read.typed().orElseThrow(), MassRange.SHEET)).isEqualTo(read);
        } else {
            Length read = Length.parse(spelling.typed(), range(spelling.kind()));
            assertThat(Length.parse(read.typed().orElseThrow(), LengthRange.SHEET))
                    .isEqualTo(read);
        }
    }

    static Stream<Spelling> quantities() throws IOException {
        return spellings().stream()
                .filter(each -> List.of("mass", "length", "gap").contains(each.kind()))
                .filter(each -> Character.isDigit(each.means().charAt(0)));
    }

    private static String understood(Spelling spelling) {
        try {
            return switch (spelling.kind()) {
                case "mass" ->
                    tenths(Mass.parse(spelling.typed(), MassRange.CHILD).grams());
                case "length", "gap" ->
                    tenths(Length.parse(spelling.typed(), range(spelling.kind()))
                            .millimetres());
                case "week" -> Gestation.written(Gestation.days(spelling.typed()));
                case "day" -> DateReader.day(spelling.typed(), TODAY).toString();
                case "label" -> label(spelling.typed());
                default -> throw new IllegalStateException(spelling.kind());
            };
        } catch (UnreadableMeasureException e) {
            return e.reason().name();
        } catch (UnreadableDateException e) {
            return e.reason().name();
        } catch (IllegalArgumentException e) {
            return "NOT_WEEKS";
        }
    }

    private static LengthRange range(String kind) {
        return kind.equals("gap") ? LengthRange.GAP : LengthRange.BODY;
    }

    private static String label(String typed) {
        DateReader.MonthOrDay read = DateReader.monthOrDay(typed);
        return read.day().map(LocalDate::toString).orElse(read.month().toString());
    }

    private static String tenths(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
