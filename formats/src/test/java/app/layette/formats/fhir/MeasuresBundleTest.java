package app.layette.formats.fhir;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.How;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.wording.Wording;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class MeasuresBundleTest {
    private static final Path CASE = Path.of("..", "examples", "cases", "ready.json");

    private static String read(Path path) {
        try {
            return Files.readString(path);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What goes out comes in again: what one ward is sent another can be told. */
    @Test
    void whatIsWrittenIsReadBackTheSame() {
        CaseDocument document = CaseDocument.read(read(CASE), name -> read(CASE.resolveSibling(name)));
        FittingPlan plan =
                new FittingPlanner().plan(document.practice(), document.sheets(), document.record(), document.date());
        UUID fitting = UUID.fromString("00000000-0000-4000-8000-000000000001");
        Instant now = Instant.parse("2026-11-29T10:00:00Z");
        Wording words = new Wording(Locale.ENGLISH, UnitSystem.METRIC);
        String out = MeasuresBundle.of(fitting, plan, now, words);
        assertThat(out)
                .contains("\"type\": \"document\"", "Composition", "no clinical measure")
                .doesNotContain("\"name\"", "Immunization");
        assertThat(MeasuresBundle.of(fitting, plan, now, words)).isEqualTo(out);
        Newborn back = NewbornBundle.read(out, document.date());
        assertThat(back.born())
                .isEqualTo(plan.situation().child().orElseThrow().value().born());
        assertThat(Math.round(back.weight().orElseThrow().value().grams()))
                .isEqualTo(Math.round(
                        plan.situation().weight().orElseThrow().value().grams()));
        assertThat(back.given()).isEmpty();
    }

    /** Beside the car it was only said: a ward is not told that it was measured, and a reader takes it for no measure. */
    @Test
    void whatWasNotMeasuredHereIsNoMeasure() {
        String told = read(CASE)
                .replaceAll(
                        "\"how\": \"measured\",(\\s*\"fact\": \\{\\s*\"kind\": \"weighed\")", "\"how\": \"told\",$1");
        CaseDocument document = CaseDocument.read(told, name -> read(CASE.resolveSibling(name)));
        FittingPlan plan =
                new FittingPlanner().plan(document.practice(), document.sheets(), document.record(), document.date());
        assertThat(plan.situation().weight().orElseThrow().how()).isEqualTo(How.TOLD);
        String out = MeasuresBundle.of(
                UUID.randomUUID(),
                plan,
                Instant.parse("2026-11-29T10:00:00Z"),
                new Wording(Locale.ENGLISH, UnitSystem.METRIC));
        assertThat(out).contains("\"status\": \"unknown\"", "Not measured at this fitting");
        assertThat(NewbornBundle.read(out, document.date()).weight()).isEmpty();
    }
}
