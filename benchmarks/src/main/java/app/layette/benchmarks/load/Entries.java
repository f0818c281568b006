package app.layette.benchmarks.load;

import app.layette.formats.json.LayetteJson;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;

/** The entries of a shipped case as forms send them, in their order, up to its end. */
final class Entries {
    static final String[] NAMES = {"Ald", "Greta", "yrs", "Thea", "zit", "Orla", "nils"};

    private static final Set<String> BEGUN_WITH = Set.of("sheetAdopted", "childDescribed", "weighed");
    /** Fields whose values are texts, not constants. */
    private static final Set<String> TEXTS =
            Set.of("of", "kind", "answer", "model", "made", "piece", "length", "mass", "position", "step", "loop");

    static final List<Map<String, String>> ALL = all();

    private Entries() {}

    private static List<Map<String, String>> all() {
        try {
            Path file = Path.of(System.getProperty("layette.examples", "examples"), "cases", "ready.json");
            JsonNode document = LayetteJson.strict().readTree(Files.readString(file));
            return StreamSupport.stream(document.get("fitting").get("entries").spliterator(), false)
                    .filter(entry ->
                            !BEGUN_WITH.contains(entry.get("fact").get("kind").asString()))
                    .map(Entries::form)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Map<String, String> form(JsonNode entry) {
        Map<String, String> fields = new HashMap<>();
        entry.get("fact")
                .propertyStream()
                .forEach(field -> fields.put(
                        field.getKey(),
                        field.getValue().isString()
                                ? value(entry, field)
                                : field.getValue().asString()));
        fields.put("how", entry.get("how").asString().replaceAll(" .*", ""));
        return fields;
    }

    private static String value(JsonNode entry, Map.Entry<String, JsonNode> field) {
        String text = field.getValue().asString();
        boolean handle = entry.get("fact").get("kind").asString().equals("handleSet");
        boolean handlePlace = handle && field.getKey().equals("position");
        return TEXTS.contains(field.getKey()) && !handlePlace
                ? text
                : text.replaceAll("([a-z0-9])([A-Z])", "$1_$2").toUpperCase(Locale.ROOT);
    }
}
