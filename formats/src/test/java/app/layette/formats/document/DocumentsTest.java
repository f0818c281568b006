package app.layette.formats.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.finding.Finding;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.measure.Mass;
import app.layette.core.measure.UnitSystem;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.Examples;
import app.layette.formats.wording.Wording;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

class DocumentsTest {
    private static final String THIMBLE = Examples.text("sheets/wrenfold-thimble.json");

    @Test
    void aSheetKeepsItsThreeStatesOfEvidenceAndWhereTheyCameFrom() {
        SeatSheet sheet = SheetReader.seat(THIMBLE);
        assertThat(sheet.limits().weightMin().value()).contains(Mass.ofPounds(5));
        assertThat(sheet.limits().weightMin().value().orElseThrow().typed()).contains("5 lb");
        assertThat(sheet.limits().weightMin().source()).hasValueSatisfying(source -> {
            assertThat(source.document()).isEqualTo("Thimble manual");
            assertThat(source.place()).isEqualTo("8");
            assertThat(source.readOn()).isEqualTo(LocalDate.of(2026, 8, 14));
        });
        assertThat(sheet.says(PermissionKey.EUROPEAN_ROUTING).isSilent()).isTrue();
        assertThat(sheet.says(PermissionKey.OVERHANG).value()).contains(Said.NOT_ALLOWED);
        assertThat(sheet.says(PermissionKey.LOAD_LEG_OMITTED)).isEqualTo(Evidence.notLooked());
    }

    static Stream<String> shippedProfiles() {
        return ShippedProfiles.IDS.stream();
    }

    @ParameterizedTest
    @MethodSource("shippedProfiles")
    void shippedProfilesAreInOrder(String id) {
        assertThat(SheetReader.profile(ShippedProfiles.json(id)).id()).isEqualTo(id);
    }

    static Stream<Path> cases() {
        return Examples.files("cases").stream();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void everyExampleGivesAPlanThatKeepsItsOwnSchema(Path file) {
        FittingPlan plan = Examples.plan(file.getFileName().toString().replace(".json", ""));
        Optional<Wording> words = Optional.of(new Wording(Locale.ENGLISH, UnitSystem.CUSTOMARY));
        for (Optional<Wording> wording : List.of(words, Optional.<Wording>empty())) {
            JsonNode document = PlanDocument.of(plan, wording, true);
            assertThat(Schemas.problems(DocumentKind.PLAN, document)).isEmpty();
            namesInOrder(document);
        }
    }

    /** A map of names keeps no order of its own, and another machine's is another: the document's is that of the names. */
    private static void namesInOrder(JsonNode document) {
        for (String maps : new String[] {"arguments", "facts"}) {
            document.findValues(maps)
                    .forEach(map -> assertThat(List.copyOf(map.propertyNames())).isSorted());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "ready, true, ''",
        "ready-rotating-base, true, ''",
        "ready-belt-lock-off, true, ''",
        "ready-belt-switchable, true, ''",
        "ready-belt-latch-plate, true, ''",
        "ready-belt-locking-clip, true, finding.SEC-1.locks",
        "ready-belt-slide, true, ''",
        "ready-baseless-american, true, ''",
        "ready-baseless-european, true, ''",
        "ready-convertible-belt, true, ''",
        "ready-convertible-anchors, true, ''",
        "ready-car-bed, true, finding.SUIT-7.kept",
        "ready-lay-flat, true, ''",
        "expired, false, finding.CND-1.expired",
        "slot-above-shoulder, false, finding.HAR-1.aboveShoulder",
        "handle-not-known, false, finding.SEC-9.notKnown",
        "loosened-after-the-check, false, ''"
    })
    void theExamplesComeToWhatTheySay(String name, boolean mayHandOver, String message) {
        FittingPlan plan = Examples.plan(name);
        assertThat(plan.mayHandOver()).isEqualTo(mayHandOver);
        if (!message.isEmpty()) {
            assertThat(plan.findings()).extracting(Finding::message).contains(message);
        }
    }

    @Test
    void theLoosenedOneAsksForThreeNewLooks() {
        assertThat(Examples.plan("loosened-after-the-check").gate().blocking())
                .extracting(each -> each.conclusion())
                .containsExactly(Conclusion.named("INCH_TEST"), Conclusion.WINDOWS, Conclusion.LEVEL);
    }

    static Stream<Damage> damages() {
        return Stream.of(
                new Damage("\"stated\": \"5 lb\"", "\"stated\": \"four\"", "/limits/weightMin/stated", "four"),
                new Damage("\"stated\": \"5 lb\"", "\"stated\": 4", "/limits/weightMin/stated", "4"),
                new Damage("\"status\": \"confirmed\"", "\"status\": \"sure\"", "/status", "sure"),
                new Damage("\"version\": 3", "\"version\": 0", "/version", "0"),
                new Damage("\"kind\": \"rearFacingOnly\"", "\"kind\": \"sofa\"", "/kind", "sofa"),
                new Damage("\"touchingFrontSeat\"", "\"touchingEverything\"", "/permissions", "touchingEverything"),
                new Damage("\"232 mm\"", "\"190 mm\"", "/shell/slots/1", "190 mm"),
                new Damage("\"formatVersion\": 1", "\"formatVersion\": 2", "/formatVersion", "2"),
                new Damage("\"stated\": \"pinch\"", "\"stated\": \"roughly\"", "/harness/snugTest/stated", "roughly"));
    }

    record Damage(String good, String bad, String place, String value) {}

    @ParameterizedTest
    @MethodSource("damages")
    void aDamagedSheetIsRefusedWithPlaceValueAndWhatIsAllowed(Damage damage) {
        assertThat(THIMBLE).contains(damage.good());
        assertThatThrownBy(() -> SheetReader.seat(THIMBLE.replace(damage.good(), damage.bad())))
                .isInstanceOfSatisfying(
                        RefusedDocumentException.class,
                        e -> assertThat(e.problems()).anySatisfy(problem -> {
                            assertThat(problem.place()).startsWith(damage.place());
                            assertThat(problem.value() + problem.allowed()).contains(damage.value());
                            assertThat(problem.allowed()).isNotBlank();
                        }));
    }

    @Test
    void allProblemsOfADocumentAreCollected() {
        String twice = THIMBLE.replace("\"5 lb\"", "\"four\"").replace("\"29 in\"", "\"thirty\"");
        assertThatThrownBy(() -> SheetReader.seat(twice))
                .isInstanceOfSatisfying(
                        RefusedDocumentException.class,
                        e -> assertThat(e.problems())
                                .extracting(DocumentProblem::place)
                                .contains("/limits/weightMin/stated", "/limits/lengthMax/stated"));
    }

    @Test
    void whatIsNoDocumentIsRefused() {
        for (String text : List.of("", "[]", "{", "\"sheet\"", "null")) {
            assertThatThrownBy(() -> SheetReader.seat(text)).isInstanceOf(RefusedDocumentException.class);
        }
        assertThatThrownBy(() -> Schemas.parse("{" + " ".repeat(1_000_001) + "}"))
                .hasMessageContaining("characters");
    }

    @Test
    void aDraftPassesNothing() {
        SeatSheet draft =
                SheetReader.seat(THIMBLE.replace("\"confirmed\"", "\"draft\"")).asReliedOn();
        assertThat(draft.limits().weightMax()).isEqualTo(Evidence.notLooked());
        assertThat(draft.says(PermissionKey.AMERICAN_ROUTING)).isEqualTo(Evidence.notLooked());
        assertThat(draft.identity().coversModel("WT-210")).isTrue();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    "kind": "weighed"           | "kind": "guessed"          | /fact
                    "mass": "6 lb 8 oz"         | "mass": "6 lb 8 oz", "x":1 | /fact
                    "mass": "6 lb 8 oz"         | "mass": "heavy"            | /fact
                    "how": "told"               | "how": "dreamt"            | /how
                    "zone": "America/Toronto"   | "zone": "Nowhere"          | /zone
                    "date": "2026-03-10"        | "date": "tomorrow"         | /date
                    """)
    void anEntryOfAnUnknownKindOrFormFailsClosed(String good, String bad, String place) {
        String text = Examples.text("cases/ready.json").replaceFirst(Pattern.quote(good), bad);
        UnaryOperator<String> sibling = name -> Examples.text("cases/" + name);
        assertThatThrownBy(() -> CaseDocument.read(text, sibling)).hasMessageContaining(place);
    }

    static Stream<Path> format1() throws IOException {
        return Files.list(Path.of("src", "test", "resources", "app", "layette", "formats", "format1", "cases"));
    }

    /** Documents written before fields were added stay readable; the result may be stricter, never the other way. */
    @ParameterizedTest
    @MethodSource("format1")
    void aCaseOfTheFirstFormatIsReadAndNeverOpensMore(Path file) throws IOException {
        CaseDocument document = CaseDocument.read(Files.readString(file), name -> {
            try {
                return Files.readString(file.resolveSibling(name));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        FittingPlan plan =
                new FittingPlanner().plan(document.practice(), document.sheets(), document.record(), document.date());
        assertThat(plan.mayHandOver()).isFalse();
        assertThat(plan.gate().blocking()).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    "kind": "weighed"       | "kind": "lengthMeasured", "what": "movement", "length": "-5 mm"   | /fact/length
                    "kind": "weighed"       | "kind": "rollPlaced", "roll": "noodle"                            | /fact/diameter
                    "kind": "weighed"       | "kind": "rollPlaced", "roll": "towel"                             | /fact/rolled
                    "kind": "weighed"       | "kind": "rollPlaced", "roll": "towel", "thickness": "4 mm", "layers": 0, "rolled": "20 cm" | /fact/layers
                    "kind": "weighed"       | "kind": "childDescribed", "born": "2026-03-11"                    | /fact/born
                    """)
    void whatNoFittingCouldHaveIsRefusedWithItsPlace(String good, String bad, String place) {
        String text = Examples.text("cases/ready.json")
                .replaceFirst(
                        "\"kind\": \"weighed\",\\s*\"of\": \"r1\",\\s*\"mass\": \"[^\"]*\"", bad + ", \"of\": \"r1\"");
        UnaryOperator<String> sibling = name -> Examples.text("cases/" + name);
        assertThatThrownBy(() -> CaseDocument.read(text, sibling))
                .isInstanceOf(RefusedDocumentException.class)
                .hasMessageContaining(place);
    }

    @Test
    void aCaseWithoutItsLawOrWhatItsAuthorsHadSeenIsReadAndStaysShut() {
        UnaryOperator<String> sibling = name -> Examples.text("cases/" + name);
        String lawless = Examples.text("cases/ready.json").replaceFirst("\"law\": \"US\",", "");
        FittingPlan plan = planned(CaseDocument.read(lawless, sibling));
        assertThat(plan.findings()).extracting(Finding::message).contains("finding.CND-7.lawNotKnown");
        String unseen = Examples.text("cases/ready.json").replaceAll("\"seen\": \\d+,", "");
        assertThat(planned(CaseDocument.read(unseen, sibling)).mayHandOver()).isFalse();
    }

    private static FittingPlan planned(CaseDocument document) {
        return new FittingPlanner().plan(document.practice(), document.sheets(), document.record(), document.date());
    }

    @Test
    void aSheetWhoseLimitsContradictItsModeIsRefused() {
        String treadle = Examples.text("sheets/ostler-treadle.json");
        String other = treadle.replaceFirst("\"37 lb\"", "\"38 lb\"");
        assertThatThrownBy(() -> SheetReader.seat(other)).hasMessageContaining("/modes/0/weightMax");
        String contact = THIMBLE.replace("\"400 mm\"", "\"0 mm\"");
        assertThatThrownBy(() -> SheetReader.seat(contact)).hasMessageContaining("/recline/contact");
    }

    @Test
    void anExampleReadsAsItStands() {
        assertThatCode(() -> Examples.read("ready")).doesNotThrowAnyException();
    }
}
