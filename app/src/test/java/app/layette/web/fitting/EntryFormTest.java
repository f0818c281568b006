package app.layette.web.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.UnitId;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When a form was filled in, whatever day it arrives. */
class EntryFormTest {
    private static final ZoneId TORONTO = ZoneId.of("America/Toronto");
    private static final Clock SATURDAY = Clock.fixed(Instant.parse("2026-11-28T15:00:00Z"), TORONTO);
    private static final Fact BOX = new Fact.BoxChosen(UnitId.FIRST, Fact.TimeBox.BEDSIDE);

    private static EntryForm form(String at) {
        return new EntryForm(at.isEmpty() ? Map.of() : Map.of("at", at, "waited", "true"), SATURDAY);
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
                    '',                        2026-11-28
                    2026-11-27T15:00:00Z,      2026-11-27
                    # Past midnight by the browser's zone, and not yet at the fitting point.
                    2026-11-28T03:00:00Z,      2026-11-27
                    2026-11-22T12:00:00-05:00, 2026-11-22
                    """)
    void theDayIsTheOneOnWhichItWasFilledIn(String at, LocalDate day) {
        assertThat(form(at).day(TORONTO)).isEqualTo(day);
    }

    @Test
    void yesterdayTypedOnFridayIsThursdayWhenItArrivesOnSaturday() {
        Map<String, String> fields = Map.of("kind", "childDescribed", "of", "r1", "born", "yesterday");
        LocalDate day = form("2026-11-27T15:00:00Z").day(TORONTO);
        assertThat(((Fact.ChildDescribed) FactForm.read(fields, day)).born()).isEqualTo(LocalDate.of(2026, 11, 26));
    }

    @Test
    void everyEntryOfOneFormWasMadeWhenTheFormWas() {
        EntryForm form = form("2026-11-25T15:00:00Z");
        EntryDraft first = form.oneOfSeveral(BOX, How.MEASURED, 0);
        EntryDraft second = form.oneOfSeveral(BOX, How.MEASURED, 1);
        assertThat(first.at()).isEqualTo(OffsetDateTime.parse("2026-11-25T15:00:00Z"));
        assertThat(second.at()).isEqualTo(first.at());
        assertThat(first.waited()).isTrue();
        assertThat(first.id()).isNotEqualTo(second.id());
        assertThat(form.id()).as("asked twice it is one").isEqualTo(form.id());
    }

    @ParameterizedTest
    @CsvSource({"2026-11-10T15:00:00Z", "2026-11-29T15:00:00Z", "soon"})
    void aTimeThatCannotBeIsRefused(String at) {
        assertThatThrownBy(() -> form(at).day(TORONTO))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        e -> assertThat(e.problems())
                                .singleElement()
                                .satisfies(
                                        problem -> assertThat(problem.field()).isEqualTo("at")));
    }
}
