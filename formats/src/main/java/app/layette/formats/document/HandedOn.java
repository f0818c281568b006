package app.layette.formats.document;

import app.layette.core.entry.FittingRecord.Unit;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.record.Seal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A case as one fitting point hands it on to another: record and sheets, under the seal of its entries. Whoever receives it
 * knows by the seal that the entries are those that were handed on; what they say was seen elsewhere, and is looked at
 * again.
 *
 * @param from name of the point that hands it on
 * @param child what the child is called
 * @param reference of the family there
 * @param sha256 of the entries, in canonical form
 * @param document the case itself, without names
 * @param read the same, read
 */
public record HandedOn(String from, String child, String reference, String sha256, String document, CaseDocument read) {
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST = 8_000_000;
    private static final String KIND = "handedOn";

    /**
     * What is handed on.
     *
     * @param entries the documents of the entries, as they are stored
     * @param seats the documents of the seat sheets that they go by
     * @param cars the same of vehicle sheets
     * @param practice the document of the practice
     */
    public record Content(
            String date,
            String zone,
            Optional<String> law,
            String practice,
            List<String> seats,
            List<String> cars,
            List<Unit> units,
            List<String> entries) {}

    /** Writes it. */
    public static String write(String from, String child, String reference, Content content) {
        JsonNodeFactory json = JsonNodeFactory.instance;
        ObjectNode whole = json.objectNode();
        whole.put("formatVersion", 1).put("kind", KIND).put("from", from).put("child", child);
        whole.put("reference", reference)
                .put("sha256", Seal.over(content.entries()).sha256());
        ObjectNode inside = whole.putObject("case");
        inside.put("formatVersion", 1).put("date", content.date()).put("zone", content.zone());
        content.law().ifPresent(law -> inside.put("law", law));
        inside.set("practice", Schemas.parse(content.practice()));
        all(inside.putArray("seatSheets"), content.seats());
        all(inside.putArray("vehicleSheets"), content.cars());
        ObjectNode fitting = inside.putObject("fitting");
        ArrayNode riders = fitting.putArray("riders");
        ArrayNode units = fitting.putArray("units");
        for (Unit unit : content.units()) {
            ObjectNode one = units.addObject()
                    .put("id", unit.id().text())
                    .put("rider", unit.rider().text())
                    .put("sheet", unit.sheet().text());
            if (unit.seatOf() == null) {
                riders.add(unit.rider().text());
            } else {
                one.put("seatOf", unit.seatOf().text());
            }
        }
        all(fitting.putArray("entries"), content.entries());
        return LayetteJson.pretty(whole);
    }

    private static void all(ArrayNode list, List<String> documents) {
        documents.forEach(each -> list.add(Schemas.parse(each)));
    }

    /**
     * Reads it, and holds its entries to their seal.
     *
     * @throws RefusedDocumentException with everything that is wrong with it
     */
    public static HandedOn read(String text) {
        if (text.length() > LONGEST) {
            throw RefusedDocumentException.because(
                    "(document)", text.length() + " characters", "allowed up to " + LONGEST);
        }
        JsonNode whole = Schemas.parse(text);
        List<DocumentProblem> problems = new ArrayList<>();
        if (!whole.path("kind").asString("").equals(KIND) || !whole.path("case").isObject()) {
            problems.add(new DocumentProblem("/kind", whole.path("kind").asString(""), "allowed is " + KIND));
            throw new RefusedDocumentException(problems);
        }
        String from = name(whole, "from", problems);
        String child = name(whole, "child", problems);
        String reference = name(whole, "reference", problems);
        if (!problems.isEmpty()) {
            throw new RefusedDocumentException(problems);
        }
        String document = whole.get("case").toString();
        CaseDocument read = CaseDocument.read(document, sibling -> {
            throw RefusedDocumentException.because("/case", sibling, "a sheet stands in the document itself");
        });
        List<String> entries = new ArrayList<>();
        whole.get("case").path("fitting").path("entries").forEach(entry -> entries.add(entry.toString()));
        String sha256 = whole.path("sha256").asString("");
        if (!Seal.over(entries).sha256().equals(sha256)) {
            throw RefusedDocumentException.because(
                    "/sha256", sha256, "the seal does not hold: the entries are not those that were handed on");
        }
        return new HandedOn(from, child, reference, sha256, document, read);
    }

    /** One that was taken in before, and is read again. */
    public static HandedOn kept(String from, String sha256, String document) {
        CaseDocument read = CaseDocument.read(document, sibling -> {
            throw RefusedDocumentException.because("/case", sibling, "a sheet stands in the document itself");
        });
        return new HandedOn(from, "", "", sha256, document, read);
    }

    private static String name(JsonNode whole, String field, List<DocumentProblem> problems) {
        String text = whole.path(field).asString("").strip();
        if (text.isEmpty() || text.length() > LONGEST_NAME) {
            problems.add(new DocumentProblem("/" + field, text, "allowed are 1 to " + LONGEST_NAME + " characters"));
        }
        return text;
    }

    /** The documents of its seat sheets. */
    public List<String> seatSheets() {
        return texts("seatSheets");
    }

    /** The documents of its vehicle sheets. */
    public List<String> vehicleSheets() {
        return texts("vehicleSheets");
    }

    private List<String> texts(String list) {
        List<String> texts = new ArrayList<>();
        Schemas.parse(document).path(list).forEach(each -> texts.add(each.toString()));
        return texts;
    }
}
