package app.layette.formats.sheet;

import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.DocumentKind;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.Schemas;
import app.layette.formats.document.SheetReader;
import app.layette.formats.json.LayetteJson;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A vehicle sheet that is being written. */
public final class CarWork extends WorkingSheet {
    private static final String POSITIONS = "positions";
    private static final String AT_A_PLACE = "/positions/";

    private CarWork(String begun) {
        super(begun);
    }

    /** Goes on with a document. */
    public static CarWork of(String json) {
        return new CarWork(json);
    }

    /** Begins with what names a car, and its places. */
    public static CarWork begin(String id, String maker, String name, List<PositionId> places) {
        ObjectNode sheet = JsonNodeFactory.instance.objectNode();
        sheet.put("formatVersion", 1).put("id", id).put("version", 1).put("status", "draft");
        sheet.put("maker", maker).put("name", name).putArray(POSITIONS);
        CarWork work = of(LayetteJson.pretty(sheet));
        places.forEach(work::add);
        return of(work.json());
    }

    @Override
    public String title() {
        return (document().path("maker").asString("") + " "
                        + document().path("name").asString(""))
                .strip();
    }

    /** Its seating positions, from the front, left to right. */
    public List<PositionId> places() {
        List<PositionId> places = new ArrayList<>();
        positions().forEach(each -> places.add(PositionId.parse(each.path("id").asString(""))));
        return places;
    }

    /** Every field, of the car and of each of its places. */
    public List<CarField> fields() {
        return CarFields.of(places());
    }

    /** Adds a place, in its order; one that is there already stays as it is. */
    public void add(PositionId place) {
        List<PositionId> there = places();
        if (!there.contains(place)) {
            Comparator<PositionId> order = Comparator.comparing(PositionId::row).thenComparing(PositionId::side);
            int at = (int) there.stream()
                    .filter(each -> order.compare(each, place) < 0)
                    .count();
            positions().insertObject(at).put("id", place.toString());
            changed();
        }
    }

    /** Takes a place out with everything that is said of it; the last one stays. */
    public void remove(PositionId place) {
        int at = places().indexOf(place);
        if (at >= 0 && positions().size() > 1) {
            positions().remove(at);
            changed();
        }
    }

    private ArrayNode positions() {
        return (ArrayNode) document().get(POSITIONS);
    }

    /** A place that is not there stands at no index. */
    @Override
    String real(String pointer) {
        if (!pointer.startsWith(AT_A_PLACE)) {
            return pointer;
        }
        String rest = pointer.substring(AT_A_PLACE.length());
        int end = rest.indexOf('/');
        int at = places().indexOf(PositionId.parse(rest.substring(0, end)));
        return AT_A_PLACE + at + rest.substring(end);
    }

    @Override
    public List<DocumentProblem> problems() {
        List<DocumentProblem> problems = Schemas.problems(DocumentKind.VEHICLE_SHEET, document());
        if (!problems.isEmpty()) {
            return problems;
        }
        try {
            SheetReader.vehicle(json());
            return List.of();
        } catch (RefusedDocumentException e) {
            return e.problems();
        }
    }

    /** The sheet as far as it makes sense. */
    public Optional<VehicleSheet> sheet() {
        try {
            return Optional.of(SheetReader.vehicle(json()));
        } catch (RefusedDocumentException e) {
            return Optional.empty();
        }
    }

    /** What contradicts itself at its places, by the field that says it. */
    public List<CarField> doubts() {
        return fields().stream().filter(this::contradicts).toList();
    }

    /** No anchors have no distance; no belt has no parts; a lap belt has no shoulder part. */
    private boolean contradicts(CarField field) {
        if (field.place().isEmpty() || state(field) != State.STATED) {
            return false;
        }
        String place = AT_A_PLACE + field.place().get();
        return switch (field.key()) {
            case "anchorSpacing" -> says(place + "/anchors", "none");
            case "belt.plateToUpperGuide", "belt.shoulderAvailable" ->
                says(place + "/belt/kind", "none") || says(place + "/belt/kind", "lapOnly");
            case "belt.latchPlate", "belt.available", "belt.anchorToGuide", "belt.guideToPlate", "belt.lapAvailable" ->
                says(place + "/belt/kind", "none");
            case "belt.inflatable" ->
                value(field).filter(JsonNode::booleanValue).isPresent() && says(place + "/belt/kind", "none");
            default -> false;
        };
    }

    private boolean says(String pointer, String word) {
        return document().at(real(pointer) + "/stated").asString("").equals(word);
    }
}
