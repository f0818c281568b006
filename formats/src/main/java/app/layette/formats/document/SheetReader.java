package app.layette.formats.document;

import app.layette.core.evidence.Evidence;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.seat.Mode;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.json.LayetteJson;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads seat sheets, vehicle sheets and practice profiles. Their short sources ({@code manual 12}) are replaced by the
 * document's title, place and the date it was read.
 */
public final class SheetReader {
    private SheetReader() {}

    /**
     * Reads a seat sheet.
     *
     * @throws RefusedDocumentException with every problem found
     */
    public static SeatSheet seat(String json) {
        return seat(Schemas.checked(DocumentKind.SEAT_SHEET, json));
    }

    /**
     * Reads a seat sheet that was checked against its schema when it came in: a shelf of thousands is read in a moment.
     *
     * @throws RefusedDocumentException when it cannot be read at all
     */
    public static SeatSheet keptSeat(String json) {
        return seat(LayetteJson.strict().readTree(json));
    }

    /**
     * Reads a vehicle sheet that was checked against its schema when it came in.
     *
     * @throws RefusedDocumentException when it cannot be read at all
     */
    public static VehicleSheet keptVehicle(String json) {
        return vehicle(LayetteJson.strict().readTree(json));
    }

    /** Reads a seat sheet whose schema has been checked. */
    static SeatSheet seat(JsonNode checked) {
        SeatSheet sheet = bind(withVersion(checked), SeatSheet.class);
        sheet.shell().slots().value().ifPresent(slots -> {
            for (int i = 1; i < slots.size(); i++) {
                if (!slots.get(i).isMoreThan(slots.get(i - 1))) {
                    throw RefusedDocumentException.because(
                            "/shell/slots/" + i, slots.get(i).toString(), "allowed is more than the slot before it");
                }
            }
        });
        contradictions(sheet);
        return sheet;
    }

    /** The limits are those of the rear-facing mode: where a sheet gives both, they have to agree. */
    private static void contradictions(SeatSheet sheet) {
        for (int i = 0; i < sheet.modes().size(); i++) {
            Mode mode = sheet.modes().get(i);
            if (mode.isRearFacing()) {
                String place = "/modes/" + i + "/";
                agree(place + "weightMin", mode.weightMin(), sheet.limits().weightMin());
                agree(place + "weightMax", mode.weightMax(), sheet.limits().weightMax());
                agree(place + "lengthMax", mode.lengthMax(), sheet.limits().lengthMax());
            }
        }
        sheet.layFlat().handle().value().ifPresent(lying -> {
            if (sheet.handle().value().filter(list -> !list.contains(lying)).isPresent()) {
                throw RefusedDocumentException.because(
                        "/layFlat/handle",
                        lying.toString(),
                        "allowed is one of " + sheet.handle().value().get());
            }
        });
        if (sheet.weightMin().value().isPresent()
                && sheet.weightMax().value().isPresent()
                && sheet.weightMax()
                        .value()
                        .get()
                        .isLessThan(sheet.weightMin().value().get())) {
            throw RefusedDocumentException.because(
                    "/limits/weightMax",
                    sheet.weightMax().value().get().toString(),
                    "allowed is at least the minimum, "
                            + sheet.weightMin().value().get());
        }
    }

    private static <T> void agree(String place, Evidence<T> mode, Evidence<T> limit) {
        boolean differ = mode.value().isPresent()
                && limit.value().isPresent()
                && !mode.value().get().equals(limit.value().get());
        if (differ) {
            throw RefusedDocumentException.because(
                    place,
                    mode.value().get().toString(),
                    "allowed is the limit, " + limit.value().get());
        }
    }

    /**
     * Reads a vehicle sheet.
     *
     * @throws RefusedDocumentException with every problem found
     */
    public static VehicleSheet vehicle(String json) {
        return vehicle(Schemas.checked(DocumentKind.VEHICLE_SHEET, json));
    }

    /** Reads a vehicle sheet whose schema has been checked. */
    static VehicleSheet vehicle(JsonNode checked) {
        VehicleSheet sheet = bind(withVersion(checked), VehicleSheet.class);
        long distinct =
                sheet.positions().stream().map(each -> each.id()).distinct().count();
        if (distinct != sheet.positions().size()) {
            throw RefusedDocumentException.because(
                    "/positions", sheet.positions().size() + " positions", "allowed is each position once");
        }
        return sheet;
    }

    /**
     * Reads a practice profile.
     *
     * @throws RefusedDocumentException with every problem found
     */
    public static PracticeProfile profile(String json) {
        return profile(Schemas.checked(DocumentKind.PRACTICE_PROFILE, json));
    }

    /** Reads a practice profile whose schema has been checked. */
    static PracticeProfile profile(JsonNode checked) {
        return bind(checked, PracticeProfile.class);
    }

    private static ObjectNode withVersion(JsonNode checked) {
        ObjectNode sheet = (ObjectNode) checked.deepCopy();
        ObjectNode version = sheet.putObject("sheet");
        version.set("id", sheet.get("id"));
        version.set("version", sheet.get("version"));
        expand(sheet, sheet.path("documents"));
        return sheet;
    }

    private static void expand(JsonNode node, JsonNode documents) {
        if (node instanceof ArrayNode array) {
            array.forEach(each -> expand(each, documents));
        }
        if (node instanceof ObjectNode object) {
            for (String field : List.of("source", "silent")) {
                if (object.path(field).isString()) {
                    object.set(field, source(object.get(field).asString(), documents, object));
                }
            }
            object.forEach(each -> expand(each, documents));
        }
    }

    private static ObjectNode source(String text, JsonNode documents, ObjectNode home) {
        String[] parts = text.split(" ", 2);
        JsonNode document = documents.path(parts[0]);
        ObjectNode source = home.objectNode();
        source.put("document", document.has("title") ? document.get("title").asString() : parts[0]);
        source.put("place", parts.length > 1 ? parts[1] : "");
        if (document.has("readOn")) {
            source.set("readOn", document.get("readOn"));
        }
        return source;
    }

    private static <T> T bind(JsonNode node, Class<T> type) {
        try {
            return LayetteJson.lenient().treeToValue(node, type);
        } catch (JacksonException e) {
            throw RefusedDocumentException.because(Places.of(e), "", Places.why(e));
        }
    }
}
