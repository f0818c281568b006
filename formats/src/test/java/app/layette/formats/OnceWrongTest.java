package app.layette.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.evidence.Permission;
import app.layette.core.finding.Finding;
import app.layette.core.fitting.DatedEvent;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.gate.ConclusionState;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.ride.Ride;
import app.layette.core.ride.RideCard;
import app.layette.core.ride.Routing;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Step;
import app.layette.core.seat.SettingId;
import app.layette.core.step.StepKey;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Wording;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every case that was once judged wrongly, a file each: a shipped case, what is otherwise in it, and what is expected of it
 * now. The files say in their own words what was wrong.
 */
class OnceWrongTest {
    private static final Path FOLDER =
            Path.of("..", "core", "src", "test", "resources", "app", "layette", "core", "once-wrong");
    private static final int ITEMS = 25;
    private static final Wording WORDS = new Wording(Locale.ENGLISH, Wording.DEFAULT_UNITS);

    private static List<Path> files() {
        try (Stream<Path> files = Files.list(FOLDER)) {
            return files.sorted().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void everyItemHasItsCase() {
        Set<Integer> items = files().stream()
                .map(file -> Integer.valueOf(file.getFileName().toString().substring(0, 2)))
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(items)
                .containsExactlyElementsOf(
                        IntStream.rangeClosed(1, ITEMS).boxed().toList());
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("files")
    void isRightNow(Path file) {
        JsonNode wrong = LayetteJson.strict().readTree(Examples.text(file));
        ObjectNode document = document(wrong);
        JsonNode expected = wrong.get("expect");
        if (expected.has("refused")) {
            assertThatThrownBy(() -> read(document))
                    .as(wrong.get("wrong").asString())
                    .hasMessageContaining(expected.get("refused").asString());
            return;
        }
        CaseDocument read = read(document);
        FittingPlan plan = new FittingPlanner().plan(read.practice(), read.sheets(), read.record(), read.date());
        expectGate(expected, plan);
        expectRun(expected, plan);
        expectPlaces(expected, plan);
        expectDates(expected, plan);
        expectAdvice(expected, plan);
        if (expected.has("ride")) {
            expectRide(expected.get("ride"), read, plan);
        }
    }

    private static CaseDocument read(ObjectNode document) {
        return CaseDocument.read(document.toString(), name -> Examples.text("cases/" + name));
    }

    // What is otherwise.

    private static ObjectNode document(JsonNode wrong) {
        ObjectNode document = (ObjectNode) LayetteJson.strict()
                .readTree(Examples.text("cases/" + wrong.get("from").asString() + ".json"));
        for (String field : List.of("date", "practice")) {
            if (wrong.has(field)) {
                document.set(field, wrong.get(field));
            }
        }
        if (wrong.has("law") && wrong.get("law").isNull()) {
            document.remove("law");
        }
        sheet(document, "seatSheets", wrong.path("seat"));
        sheet(document, "vehicleSheets", wrong.path("car"));
        for (JsonNode more : wrong.path("moreSeats")) {
            ArrayNode seats = (ArrayNode) document.get("seatSheets");
            ObjectNode other = (ObjectNode) LayetteJson.strict()
                    .readTree(Examples.text("cases/" + seats.get(0).asString()));
            other.set("version", more.get("/version"));
            seats.add(other);
        }
        for (JsonNode more : wrong.path("moreCars")) {
            ((ArrayNode) document.get("vehicleSheets")).add(more);
        }
        ObjectNode fitting = (ObjectNode) document.get("fitting");
        for (JsonNode rider : wrong.path("riders")) {
            ((ArrayNode) fitting.get("riders")).add(rider);
        }
        fitting.set("entries", entries(wrong, (ArrayNode) fitting.get("entries")));
        return document;
    }

    private static void sheet(ObjectNode document, String field, JsonNode otherwise) {
        if (otherwise.isMissingNode()) {
            return;
        }
        ArrayNode sheets = (ArrayNode) document.get(field);
        ObjectNode sheet = (ObjectNode) LayetteJson.strict()
                .readTree(Examples.text("cases/" + sheets.get(0).asString()));
        otherwise.properties().forEach(each -> {
            int last = each.getKey().lastIndexOf('/');
            JsonNode parent = last == 0 ? sheet : sheet.at(each.getKey().substring(0, last));
            String name = each.getKey().substring(last + 1);
            if (parent instanceof ArrayNode array) {
                array.set(Integer.parseInt(name), each.getValue());
            } else if (each.getValue().isNull()) {
                ((ObjectNode) parent).remove(name);
            } else {
                ((ObjectNode) parent).set(name, each.getValue());
            }
        });
        sheets.removeAll();
        sheets.add(sheet);
    }

    private static ArrayNode entries(JsonNode wrong, ArrayNode before) {
        List<ObjectNode> entries = new ArrayList<>();
        before.forEach(each -> entries.add((ObjectNode) each));
        for (JsonNode without : wrong.path("without")) {
            assertThat(entries.removeIf(entry -> fits(entry, without)))
                    .as("%s", without)
                    .isTrue();
        }
        for (JsonNode instead : wrong.path("instead")) {
            long changed = entries.stream()
                    .filter(entry -> fits(entry, instead.get("of")))
                    .peek(entry -> change(entry, instead.get("is")))
                    .count();
            assertThat(changed).as("%s", instead).isPositive();
        }
        for (JsonNode more : wrong.path("first")) {
            entries.add(0, made(more, entries.get(0)));
        }
        for (JsonNode more : wrong.path("then")) {
            ObjectNode entry = made(more, entries.get(entries.size() - 1));
            JsonNode corrected = entry.remove("correctsFact");
            if (corrected != null) {
                entry.set(
                        "corrects",
                        entries.stream()
                                .filter(each -> fits(each, corrected))
                                .findFirst()
                                .orElseThrow()
                                .get("id"));
            }
            entries.add(entry);
        }
        ArrayNode numbered = LayetteJson.strict().createArrayNode();
        for (int i = 0; i < entries.size(); i++) {
            ObjectNode entry = entries.get(i);
            int unseen = entry.path("unseen").asInt(0);
            boolean unseenAtAll = entry.path("seenNothing").asBoolean(false);
            entry.remove("unseen");
            entry.remove("seenNothing");
            entry.put("seq", i + 1);
            entry.put("seen", unseenAtAll ? 0 : i - unseen);
            numbered.add(entry);
        }
        return numbered;
    }

    private static boolean fits(ObjectNode entry, JsonNode wanted) {
        return wanted.properties().stream()
                .allMatch(each -> each.getValue().equals(entry.get("fact").get(each.getKey())));
    }

    private static void change(ObjectNode entry, JsonNode is) {
        is.properties().forEach(each -> {
            boolean ofEntry = Set.of("how", "at", "by", "arrived", "waited", "unseen", "seenNothing")
                    .contains(each.getKey());
            ObjectNode of = ofEntry ? entry : (ObjectNode) entry.get("fact");
            if (each.getValue().isNull()) {
                of.remove(each.getKey());
            } else {
                of.set(each.getKey(), each.getValue());
            }
        });
    }

    private static ObjectNode made(JsonNode more, ObjectNode like) {
        ObjectNode entry = like.deepCopy();
        List.of("corrects", "arrived", "waited", "unseen", "seenNothing").forEach(entry::remove);
        entry.put("id", UUID.randomUUID().toString());
        entry.put("how", "measured");
        more.properties().forEach(each -> entry.set(each.getKey(), each.getValue()));
        return entry;
    }

    // What is expected.

    private static void expectGate(JsonNode expected, FittingPlan plan) {
        if (expected.has("state")) {
            assertThat(plan.state()).hasToString(expected.get("state").asString());
        }
        expected.path("conclusions").properties().forEach(each -> {
            ConclusionState state =
                    plan.gate().state(Conclusion.valueOf(each.getKey())).orElseThrow();
            String reasons = state.findings().stream().map(Finding::reason).collect(Collectors.joining(" "));
            assertThat((state.state() + " " + reasons).strip())
                    .as(each.getKey())
                    .isEqualTo(each.getValue().asString());
        });
        if (expected.has("gate")) {
            assertThat(plan.gate().blocking())
                    .extracting(each -> each.conclusion() + " " + each.state())
                    .containsExactlyInAnyOrderElementsOf(texts(expected.get("gate")));
        }
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(each -> texts.add(each.asString()));
        return texts;
    }

    private static void expectRun(JsonNode expected, FittingPlan plan) {
        List<String> run =
                plan.run().steps().stream().map(each -> each.key().name()).toList();
        if (expected.has("steps")) {
            List<String> wanted = texts(expected.get("steps"));
            assertThat(run.stream().filter(wanted::contains).toList()).isEqualTo(wanted);
        }
        expected.path("stepStates")
                .properties()
                .forEach(each -> assertThat(step(plan, each.getKey()).state())
                        .as(each.getKey())
                        .hasToString(each.getValue().asString()));
        expected.path("asks").properties().forEach(each -> {
            List<String> asks = step(plan, each.getKey()).asks().stream()
                    .map(ask -> (ask.kind() + " " + ask.key()).strip())
                    .toList();
            assertThat(asks).as(each.getKey()).containsSubsequence(texts(each.getValue()));
        });
        expected.path("asksNot").properties().forEach(each -> {
            List<String> asks = step(plan, each.getKey()).asks().stream()
                    .map(ask -> (ask.kind() + " " + ask.key()).strip())
                    .toList();
            assertThat(asks).as(each.getKey()).doesNotContainAnyElementsOf(texts(each.getValue()));
        });
        expected.path("says").properties().forEach(each -> {
            String said = step(plan, each.getKey()).says().stream()
                    .map(saying -> WORDS.say(saying.message(), saying.arguments()))
                    .collect(Collectors.joining(" "));
            texts(each.getValue()).forEach(wanted -> assertThat(said).contains(wanted));
        });
    }

    private static Step step(FittingPlan plan, String key) {
        return plan.run().step(StepKey.valueOf(key)).orElseThrow(() -> new AssertionError("no step " + key));
    }

    private static void expectPlaces(JsonNode expected, FittingPlan plan) {
        if (!expected.has("places")) {
            return;
        }
        List<String> places = CabinAnswers.of(plan.situation()).answers().stream()
                .filter(each -> each.answer() != Permission.NOT_ALLOWED)
                .map(OnceWrongTest::written)
                .toList();
        assertThat(places).containsSubsequence(texts(expected.get("places")));
        texts(expected.path("placesNot")).forEach(each -> assertThat(places).doesNotContain(each));
    }

    private static String written(PlaceAnswer answer) {
        return answer.place() + " " + answer.method();
    }

    private static void expectDates(JsonNode expected, FittingPlan plan) {
        expected.path("dates").properties().forEach(each -> {
            Optional<DatedEvent> event = plan.dates().stream()
                    .filter(date -> date.key().equals("date." + each.getKey()))
                    .findFirst();
            assertThat(event.map(date -> (date.after() ? "after " : "") + date.on())
                            .orElse("never"))
                    .as(each.getKey())
                    .isEqualTo(each.getValue().asString());
        });
    }

    private static void expectAdvice(JsonNode expected, FittingPlan plan) {
        JsonNode wanted = expected.path("advice");
        if (wanted.has("recommended")) {
            assertThat(plan.recline()
                            .orElseThrow()
                            .recommended()
                            .map(SettingId::text)
                            .orElse("none"))
                    .isEqualTo(wanted.get("recommended").asString());
        }
        if (wanted.has("looks")) {
            assertThat(plan.recline().orElseThrow().looks())
                    .isEqualTo(wanted.get("looks").asInt());
        }
    }

    private static void expectRide(JsonNode wanted, CaseDocument read, FittingPlan plan) {
        Set<Routing> shown = EnumSet.noneOf(Routing.class);
        texts(wanted.get("shown")).forEach(each -> shown.add(Routing.valueOf(each)));
        Ride ride = Ride.of(
                read.practice(),
                read.sheets().seats().get(0),
                Mass.parse(wanted.get("weight").asString(), MassRange.CHILD),
                Optional.of(shown),
                read.date());
        RideCard card = RideCard.plan(wanted.path("ofFamily").asBoolean(false) ? ride.after(plan) : ride);
        assertThat(card.routing().map(Enum::name).orElse("none"))
                .isEqualTo(wanted.get("routing").asString());
        List<String> reasons = card.findings().stream()
                .map(each -> each.weight() + " " + each.reason())
                .toList();
        assertThat(reasons).containsAll(texts(wanted.get("findings")));
    }
}
