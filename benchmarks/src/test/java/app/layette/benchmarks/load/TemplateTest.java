package app.layette.benchmarks.load;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Entry;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.record.Seal;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What the load is made of: every case, on any day of three years, may be handed over and is sealed over its own entries. */
class TemplateTest {
    private static final Path CASES = Path.of("..", "examples", "cases");

    static Stream<Path> cases() throws IOException {
        return Files.list(CASES)
                .filter(file -> file.getFileName().toString().startsWith("ready"))
                .sorted();
    }

    private static String read(Path file) {
        try {
            return Files.readString(file.normalize());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void isHandedOverAndSealedOnAnyDay(Path file) {
        Template template = new Template(CaseDocument.read(read(file), name -> read(file.resolveSibling(name))));
        UUID fitting = UUID.fromString("00000000-0000-4000-8000-00000000000f");
        for (LocalDate day : List.of(
                LocalDate.of(2023, 12, 1),
                LocalDate.of(2024, 2, 29),
                LocalDate.of(2025, 3, 31),
                LocalDate.of(2026, 11, 30))) {
            Template.OfDay of = template.on(day);
            List<String> documents = of.documents(fitting);
            assertThat(of.seal(fitting)).isEqualTo(Seal.over(documents).sha256());
            assertThat(of.plan()).contains("handedOver");
            List<Entry> entries = documents.stream()
                    .map(each -> LayetteJson.strict().readValue(each, Entry.class))
                    .toList();
            assertThat(entries).extracting(Entry::id).doesNotHaveDuplicates();
            assertThat(entries.get(0).at().toLocalDate()).isEqualTo(day);
            assertThat(entries).extracting(Entry::seq).startsWith(1, 2, 3).hasSize(of.entries());
        }
    }
}
