package app.layette.formats.document;

import app.layette.core.entry.Entry;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.Sheets;
import app.layette.core.practice.Practice;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.json.LayetteJson;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Everything that a plan is computed from.
 *
 * @param practice profile, law and zone
 * @param sheets all sheet versions at hand
 * @param record riders, units and entries
 * @param date the day to plan for
 */
public record CaseDocument(Practice practice, Sheets sheets, FittingRecord record, LocalDate date) {

    /**
     * Reads a case.
     *
     * @param json the document
     * @param sibling gives the text of a file that the case names beside itself
     * @throws RefusedDocumentException with every problem found
     */
    public static CaseDocument read(String json, Function<String, String> sibling) {
        JsonNode document = Schemas.checked(DocumentKind.CASE, json);
        PracticeProfile profile = profile(document.get("practice"));
        Optional<String> law = Optional.ofNullable(document.get("law")).map(JsonNode::asString);
        Practice practice = new Practice(profile, law, zone(document.get("zone").asString()));
        LocalDate date = date(document.get("date").asString());
        List<SeatSheet> seats = new ArrayList<>();
        for (JsonNode sheet : document.get("seatSheets")) {
            seats.add(sheet.isString() ? SheetReader.seat(sibling.apply(sheet.asString())) : SheetReader.seat(sheet));
        }
        List<VehicleSheet> cars = new ArrayList<>();
        for (JsonNode sheet : document.get("vehicleSheets")) {
            cars.add(
                    sheet.isString()
                            ? SheetReader.vehicle(sibling.apply(sheet.asString()))
                            : SheetReader.vehicle(sheet));
        }
        return new CaseDocument(practice, new Sheets(seats, cars), record(document.get("fitting"), date), date);
    }

    private static LocalDate date(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw RefusedDocumentException.because("/date", text, "allowed is a day such as 2026-03-10");
        }
    }

    private static PracticeProfile profile(JsonNode practice) {
        return practice.isString()
                ? SheetReader.profile(ShippedProfiles.json(practice.asString()))
                : SheetReader.profile(practice);
    }

    private static ZoneId zone(String name) {
        try {
            return ZoneId.of(name);
        } catch (DateTimeException e) {
            throw RefusedDocumentException.because("/zone", name, "allowed is a time zone such as America/Toronto");
        }
    }

    private static FittingRecord record(JsonNode fitting, LocalDate date) {
        List<RiderId> riders = new ArrayList<>();
        fitting.get("riders").forEach(rider -> riders.add(new RiderId(rider.asString())));
        List<Unit> units = new ArrayList<>();
        fitting.get("units").forEach(unit -> units.add(LayetteJson.lenient().treeToValue(unit, Unit.class)));
        List<Entry> entries = new ArrayList<>();
        JsonNode list = fitting.get("entries");
        for (int i = 0; i < list.size(); i++) {
            entries.add(entry(list.get(i), "/fitting/entries/" + i));
        }
        refuseImpossible(entries, date);
        return new FittingRecord(riders, units, entries);
    }

    /** What a form would not take, a document does not bring in either; every such field is named. */
    private static void refuseImpossible(List<Entry> entries, LocalDate date) {
        List<DocumentProblem> problems = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            String place = "/fitting/entries/" + i + "/fact/";
            for (FieldProblem problem : FactCheck.impossible(entries.get(i).fact(), date)) {
                problems.add(new DocumentProblem(place + problem.field(), problem.value(), allowed(problem)));
            }
        }
        if (!problems.isEmpty()) {
            throw new RefusedDocumentException(problems);
        }
    }

    private static String allowed(FieldProblem problem) {
        return problem.lowest().isEmpty()
                ? "is needed here"
                : "allowed is " + problem.lowest() + (problem.highest().isEmpty() ? "" : " to " + problem.highest());
    }

    private static Entry entry(JsonNode node, String place) {
        try {
            // Nobody says what its author had seen: then it was nothing.
            JsonNode whole = node.has("seen") ? node : ((ObjectNode) node.deepCopy()).put("seen", 0);
            return LayetteJson.strict().treeToValue(whole, Entry.class);
        } catch (JacksonException e) {
            throw RefusedDocumentException.because(place + Places.of(e), "", Places.why(e));
        }
    }
}
