package app.layette.formats;

import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.json.LayetteJson;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Example sheets with one field less. */
public final class SheetsLess {
    private SheetsLess() {}

    /**
     * A sheet without each of its fields in turn.
     *
     * @param name of the case that uses it
     * @param field of the case that names it
     * @return by the path of what is missing
     */
    public static <S> Map<String, S> without(String name, String field, Function<String, S> reading) {
        JsonNode document = LayetteJson.strict().readTree(Examples.text("cases/" + name + ".json"));
        String file = document.get(field).get(0).asString();
        JsonNode sheet = LayetteJson.strict().readTree(Examples.text("cases/" + file));
        List<String> places = new ArrayList<>();
        fields(sheet, "", places);
        Map<String, S> all = new LinkedHashMap<>();
        for (String place : places) {
            ObjectNode copy = (ObjectNode) sheet.deepCopy();
            int last = place.lastIndexOf('/');
            ((ObjectNode) (last == 0 ? copy : copy.at(place.substring(0, last)))).remove(place.substring(last + 1));
            try {
                all.put(place, reading.apply(copy.toString()));
            } catch (RefusedDocumentException e) {
                // Needed: no sheet comes in without it.
            }
        }
        return all;
    }

    private static void fields(JsonNode node, String path, List<String> places) {
        if (node instanceof ObjectNode object) {
            for (Map.Entry<String, JsonNode> field : object.properties()) {
                String place = path + "/" + field.getKey();
                boolean kept = field.getKey().equals("source")
                        || place.startsWith("/documents")
                        || place.startsWith("/shell/outline")
                        || place.contains("frontSeat");
                if (!kept) {
                    places.add(place);
                    fields(field.getValue(), place, places);
                }
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                fields(array.get(i), path + "/" + i, places);
            }
        }
    }
}
