package app.layette.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.measure.UnitSystem;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.document.SheetReader;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Wording;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

class SheetWorkTest {
    private static final Wording ENGLISH = new Wording(Locale.ENGLISH, UnitSystem.METRIC);

    /** What no form asks for: the shelf gives it, or it is chosen when the sheet is begun. */
    private static final Set<String> GIVEN = Set.of("/formatVersion", "/id", "/version", "/sha256", "/status", "/kind");

    private static JsonNode schema() throws IOException {
        try (var in = SheetFields.class.getResourceAsStream("/app/layette/formats/schemas/seat-sheet.schema.json")) {
            return LayetteJson.strict().readTree(in);
        }
    }

    private static void leaves(String pointer, JsonNode node, Set<String> found) {
        boolean inside = node.has("properties") && !node.path("properties").has("stated");
        if (inside) {
            node.path("properties")
                    .properties()
                    .forEach(each -> leaves(pointer + "/" + each.getKey(), each.getValue(), found));
        } else {
            found.add(pointer);
        }
    }

    /** A field that is added to the schema has to be given a section and a drawing. */
    @Test
    void everyFieldOfTheSchemaIsWritten() throws IOException {
        Set<String> wanted = new TreeSet<>();
        leaves("", schema(), wanted);
        wanted.removeAll(GIVEN);
        wanted.remove("/permissions");
        Set<String> there = new TreeSet<>();
        SheetFields.all().stream()
                .map(SheetField::pointer)
                .filter(each -> !each.startsWith("/permissions"))
                .forEach(there::add);
        assertThat(there).isEqualTo(wanted);
        assertThat(SheetFields.all())
                .filteredOn(each -> each.section() == SheetField.Section.MAY)
                .hasSizeGreaterThan(19);
        for (SeatKind kind : SeatKind.values()) {
            assertThat(SheetFields.of(kind)).as(kind.name()).hasSizeGreaterThan(40);
        }
    }

    static Stream<String> shipped() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("../examples/sheets"))) {
            return files.map(SheetWorkTest::read).filter(json -> json.contains("\"identity\"")).toList().stream();
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Opened, every box sent back as it stood: the same bytes. Each field taken out and put back: the same sheet. */
    @ParameterizedTest
    @MethodSource("shipped")
    void aSheetComesBackThroughItsBoxesAsItWas(String json) {
        SheetWork work = SheetWork.of(json);
        for (SheetField field : SheetFields.all()) {
            work.value(field).ifPresent(value -> {
                Map<String, String> boxes = FieldForm.write(field.shape(), value);
                assertThat(FieldForm.isAsItStood(field.shape(), value, boxes)).isTrue();
                FieldForm.Read back = FieldForm.read(field.shape(), boxes);
                assertThat(back.problems()).as(field.pointer()).isEmpty();
                boolean emptyList = value.toString().contains("[]");
                if (!emptyList) {
                    assertThat(back.value()).as(field.pointer()).contains(value);
                }
                work.put(field, emptyList ? value : back.value().orElseThrow(), work.source(field));
            });
        }
        assertThat(work.json()).isEqualTo(json);
        for (SheetField field : SheetFields.of(work.kind())) {
            SheetWork.State state = work.state(field);
            if (state != SheetWork.State.NOT_LOOKED && field.evidence()) {
                String source = work.source(field);
                JsonNode value = work.value(field).orElse(null);
                work.forget(field);
                assertThat(work.state(field)).isEqualTo(SheetWork.State.NOT_LOOKED);
                if (value == null) {
                    work.silent(field, source);
                } else {
                    work.put(field, value, source);
                }
            }
        }
        assertThat(work.problems()).isEmpty();
        assertThat(LayetteJson.strict().readTree(work.json()))
                .isEqualTo(LayetteJson.strict().readTree(json));
        SeatSheet before = SheetReader.seat(json);
        assertThat(SheetReader.seat(work.json())).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/shell/top | v | 472 | a length with its unit",
                "/shell/top | v | four | a length with its unit",
                "/limits/weightMax | v | 29 | a mass with its unit",
                "/recline/theta0 | v | 300 | a number from -90 to 120",
                "/recline/beltPullFraction | v | 2 | a number from 0 to 1",
                "/carBed/feet | v | 1.5 | a whole number from 0 to 8",
                "/crash | v | maybe | one of replaceAlways, minorMayStay",
                "/life | v.years | 99 | a whole number from 1 to 25",
                "/approvals | v | Germany | a country’s two capitals",
                "/identity/manufacturedTo | v | soon | a day",
                "/shell/outline | v | 12 | two numbers in millimetres",
                "/harness/loops | v.0.name | short | it is needed",
                "/names | v | head piece = x | allowed is a line such as es",
                "/bases | v.0.lifeYears | 4 | it is needed"
            })
    void whatMakesNoValueNamesItsBoxAndWhatIsAllowed(String pointer, String box, String typed, String allowed) {
        FieldForm.Read read =
                FieldForm.read(SheetFields.at(pointer).orElseThrow().shape(), Map.of(box, typed));
        assertThat(read.value()).isEmpty();
        assertThat(read.problems()).isNotEmpty();
        FieldForm.Problem problem = read.problems().get(0);
        assertThat(problem.box()).startsWith("v");
        assertThat(problem.says("the field", ENGLISH))
                .contains("the field", allowed)
                .contains(problem.allowed() == FieldForm.Allowed.SOMETHING ? "" : "(" + typed + ")");
    }

    /** Whatever is sent, it is a value that the schema takes, or a problem: never an exception, never half of both. */
    @Test
    void nothingThatIsTypedBreaksIt() {
        Random random = new Random(7);
        List<String> words = List.of(
                "",
                " ",
                "0",
                "-1",
                "1e9",
                "NaN",
                "472 mm",
                "\u0000",
                "<b>",
                "true",
                "none",
                "a, b",
                "1, 2",
                "x".repeat(3000),
                "2026-13-40",
                "manual",
                "es: a = b",
                "a: b = c; d = e",
                "1/2 in",
                "٣ mm");
        for (SheetField field : SheetFields.all()) {
            for (int i = 0; i < 40; i++) {
                Map<String, String> typed = new java.util.HashMap<>();
                for (String box : List.of(
                        "v", "v.years", "v.0.name", "v.0.key", "v.0.from", "v.kind", "v.0.bands.0.use", "v.a.b")) {
                    typed.put(box, words.get(random.nextInt(words.size())));
                }
                FieldForm.Read read = FieldForm.read(field.shape(), typed);
                assertThat(read.value().isPresent() && !read.problems().isEmpty())
                        .isFalse();
            }
        }
    }

    @Test
    void aNewSheetIsWrittenUntilItIsWhole() {
        SheetWork work = SheetWork.begin(SeatKind.CAR_BED, "ostler-tester", "Ostler", "Tester", "OT-1");
        assertThat(work.problems()).isEmpty();
        assertThat(work.title()).isEqualTo("Ostler Tester");
        SheetField top = SheetFields.at("/limits/weightMax").orElseThrow();
        work.put(top, LayetteJson.strict().readTree("\"5 lb\""), "manual 3");
        SheetField least = SheetFields.at("/limits/weightMin").orElseThrow();
        work.put(least, LayetteJson.strict().readTree("\"6 lb\""), "manual 3");
        assertThat(work.problems()).singleElement().satisfies(each -> {
            assertThat(each.place()).isEqualTo("/limits/weightMax");
            assertThat(each.allowed()).contains("at least the minimum");
        });
        work.forget(least);
        work.forget(top);
        assertThat(work.json()).doesNotContain("limits");
        assertThat(work.sister("other", "Ostler", "Other", "OT-2").title()).isEqualTo("Ostler Other");
    }

    @ParameterizedTest
    @CsvSource({"20 lb, 20 lb, ''", "20 lb, 21 lb, HOLE", "20 lb, 19 lb, OVERLAP"})
    void bandsThatDoNotMeetAreDoubted(String below, String from, String doubt) throws IOException {
        String json = Files.readString(Path.of("../examples/sheets/wrenfold-thimble.json"))
                .replace("\"below\": \"20 lb\"", "\"below\": \"" + below + "\"")
                .replace("\"from\": \"20 lb\"", "\"from\": \"" + from + "\"");
        List<String> doubts = SheetDoubts.of(SheetReader.seat(json)).stream()
                .map(each -> each.kind().name())
                .toList();
        assertThat(doubts).isEqualTo(doubt.isEmpty() ? List.of() : List.of(doubt));
    }

    @Test
    void loopsThatLeaveASlotOutAreDoubted() throws IOException {
        String json = Files.readString(Path.of("../examples/sheets/wrenfold-thimble.json"))
                .replace("\"fromSlot\": 3", "\"fromSlot\": 4");
        assertThat(SheetDoubts.of(SheetReader.seat(json)))
                .containsExactly(new SheetDoubts.Doubt("/harness/loops", SheetDoubts.Kind.LOOPS));
    }
}
