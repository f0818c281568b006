package app.layette.benchmarks.gate;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import app.layette.formats.json.LayetteJson;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A fitting of each method, read from the shipped cases, with every sheet that differs from its own in one field. */
final class Bases {
    /**
     * A fitting that may be handed over as it stands.
     *
     * @param seats its seat sheet first, then every one that differs in one field
     * @param cars the same for its vehicle sheet
     */
    record Base(
            String name,
            ZoneId zone,
            String law,
            LocalDate day,
            List<SeatSheet> seats,
            List<VehicleSheet> cars,
            List<Entry> entries) {}

    private static final List<String> CASES = List.of(
            "ready",
            "ready-rotating-base",
            "ready-belt-lock-off",
            "ready-belt-switchable",
            "ready-belt-latch-plate",
            "ready-belt-locking-clip",
            "ready-belt-slide",
            "ready-baseless-american",
            "ready-baseless-european",
            "ready-convertible-belt",
            "ready-convertible-anchors",
            "ready-car-bed",
            "ready-lay-flat");

    private final List<Base> all = new ArrayList<>();
    private final List<PracticeProfile> profiles = ShippedProfiles.IDS.stream()
            .map(id -> SheetReader.profile(ShippedProfiles.json(id)))
            .toList();
    private final Path examples;

    Bases(Path examples) {
        this.examples = examples;
        for (String name : CASES) {
            all.add(base(
                    name.equals("ready") ? "base-flexible-anchors" : name.substring(6), name, sheet -> {}, e -> e));
        }
        all.add(base("belt-tension-panel", "ready-belt-lock-off", Bases::withPanel, Bases::throughThePanel));
        all.add(base("rigid-leg-slide", "ready-rotating-base", Bases::withoutTurning, Bases::withoutTurning));
    }

    List<Base> all() {
        return all;
    }

    List<PracticeProfile> profiles() {
        return profiles;
    }

    private static void withPanel(ObjectNode seat) {
        ((ObjectNode) seat.get("tensionPanel")).put("stated", true);
        ((ObjectNode) seat.get("lockOffs")).putArray("stated");
    }

    private static List<Entry> throughThePanel(List<Entry> entries) {
        return entries.stream()
                .map(entry -> entry.fact() instanceof Fact.Answered answered && answered.question() == Question.LOCK_OFF
                        ? Fitting.saying(entry, new Fact.Answered(answered.of(), Question.PANEL, "CLOSED_AND_LOCKED"))
                        : entry)
                .toList();
    }

    private static void withoutTurning(ObjectNode seat) {
        ((ObjectNode) seat.get("rotation")).put("stated", "none");
        ((ArrayNode) seat.get("windows").get("stated")).remove(3);
        ObjectNode device = (ObjectNode) seat.get("recline").get("device").get("stated");
        device.put("kind", "slide");
        ArrayNode steps = device.putArray("steps");
        for (int step = 1; step <= 4; step++) {
            steps.addObject().put("name", String.valueOf(step)).put("slide", 3 * (step - 1));
        }
    }

    private static List<Entry> withoutTurning(List<Entry> entries) {
        return entries.stream()
                .filter(entry -> !(entry.fact() instanceof Fact.Answered answered
                        && answered.question() == Question.TURNED_BACK))
                .toList();
    }

    private interface Rewrite {
        List<Entry> of(List<Entry> entries);
    }

    private Base base(String name, String file, Consumer<ObjectNode> seatOtherwise, Rewrite otherwise) {
        JsonNode document = read("cases/" + file + ".json");
        ObjectNode seat = sheet(document, "seatSheets");
        seatOtherwise.accept(seat);
        ObjectNode car = sheet(document, "vehicleSheets");
        CaseDocument whole = CaseDocument.read(document.toString(), sibling -> text("cases/" + sibling));
        onlyUsed(car, whole);
        List<SeatSheet> seats = taken(differing(seat), SheetReader::seat);
        List<VehicleSheet> cars = taken(differing(car), SheetReader::vehicle);
        return new Base(
                name,
                whole.practice().zone(),
                whole.practice().lawCountry().orElseThrow(),
                whole.date(),
                seats,
                cars,
                Fitting.numbered(otherwise.of(whole.record().entries())));
    }

    /** Places that the fitting does not touch say nothing about it, beyond that they are there. */
    private static void onlyUsed(ObjectNode car, CaseDocument whole) {
        List<String> used = new ArrayList<>(List.of("1-RIGHT"));
        for (Entry entry : whole.record().entries()) {
            if (entry.fact() instanceof Fact.Placed placed) {
                used.add(placed.position().toString());
                used.add(placed.position().besides().toString());
            }
        }
        ArrayNode places = (ArrayNode) car.get("positions");
        for (int i = places.size() - 1; i >= 0; i--) {
            if (!used.contains(places.get(i).get("id").asString())) {
                places.remove(i);
            }
        }
    }

    private static <S> List<S> taken(List<String> documents, Function<String, S> reading) {
        return documents.parallelStream()
                .flatMap(each -> {
                    try {
                        return Stream.of(reading.apply(each));
                    } catch (RefusedDocumentException e) {
                        // A sheet that nobody could bring in says nothing about the gate.
                        return Stream.empty();
                    }
                })
                .toList();
    }

    private ObjectNode sheet(JsonNode document, String field) {
        return (ObjectNode) read("cases/" + document.get(field).get(0).asString());
    }

    private JsonNode read(String file) {
        return LayetteJson.strict().readTree(text(file));
    }

    private String text(String file) {
        try {
            return Files.readString(examples.resolve(file).normalize());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The sheet, and every one that lacks one of its fields, is silent on it, or says something else there. */
    private static List<String> differing(ObjectNode sheet) {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("as it is", sheet.toString());
        walk(sheet, sheet, "", all);
        ObjectNode draft = sheet.deepCopy();
        draft.put("status", "draft");
        all.put("draft", draft.toString());
        return List.copyOf(all.values());
    }

    private static void walk(ObjectNode sheet, JsonNode node, String path, Map<String, String> all) {
        if (node instanceof ObjectNode object) {
            for (Map.Entry<String, JsonNode> field : object.properties()) {
                String place = path + "/" + field.getKey();
                boolean named = place.equals("/documents") || place.equals("/id") || place.equals("/version");
                if (named || place.equals("/formatVersion") || field.getKey().equals("source")) {
                    continue;
                }
                boolean evidence =
                        field.getValue() instanceof ObjectNode said && (said.has("stated") || said.has("silent"));
                if (evidence) {
                    says(sheet, (ObjectNode) field.getValue(), place, all);
                }
                walk(sheet, field.getValue(), place, all);
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                walk(sheet, array.get(i), path + "/" + i, all);
            }
        }
    }

    private static void says(ObjectNode sheet, ObjectNode evidence, String place, Map<String, String> all) {
        int last = place.lastIndexOf('/');
        put(
                all,
                sheet,
                place + " missing",
                parent -> parent.remove(place.substring(last + 1)),
                place.substring(0, last));
        JsonNode stated = evidence.get("stated");
        if (stated != null) {
            put(
                    all,
                    sheet,
                    place + " silent",
                    here -> {
                        here.removeAll();
                        here.put("silent", "manual 1–90");
                    },
                    place);
            for (Object other : others(stated)) {
                put(all, sheet, place + " " + other, here -> here.putPOJO("stated", other), place);
            }
        }
    }

    private static void put(
            Map<String, String> all, ObjectNode sheet, String name, Consumer<ObjectNode> change, String at) {
        ObjectNode copy = sheet.deepCopy();
        JsonNode here = at.isEmpty() ? copy : copy.at(at);
        change.accept((ObjectNode) here);
        all.put(name, copy.toString());
    }

    /** What could be stated instead. */
    private static List<Object> others(JsonNode stated) {
        if (stated.isBoolean()) {
            return List.of(!stated.asBoolean());
        }
        if (stated.isArray()) {
            return stated.isEmpty() ? List.of() : List.of(List.of());
        }
        if (stated.isNumber()) {
            return List.of();
        }
        String text = stated.isString() ? stated.asString() : "";
        if (text.equals("allowed")) {
            return List.of("notAllowed");
        }
        if (text.equals("notAllowed")) {
            return List.of("allowed");
        }
        if (text.matches("\\d+(\\.\\d+)? (kg|lb|mm|cm|in)")) {
            String[] parts = text.split(" ");
            double number = Double.parseDouble(parts[0]);
            return List.of(number / 3 + " " + parts[1], number * 2 + " " + parts[1]);
        }
        return OTHER_WORDS.getOrDefault(text, List.of());
    }

    private static final Map<String, List<Object>> OTHER_WORDS = Map.of(
            "none", List.of("active", "ownPair", "toDoor", "required", "fixed"),
            "ownPair", List.of("none"),
            "forward", List.of("sideways", "foldedOrDamaged"),
            "solid", List.of("storage"),
            "lapShoulder", List.of("lapOnly", "none"),
            "switchable", List.of("emergencyOnly", "automatic"),
            "emergencyOnly", List.of("switchable"),
            "locking", List.of("sliding", "sewnOn"),
            "noLeg", List.of("always", "whenPossible"),
            "always", List.of("whenPossible", "noLeg"));
}
