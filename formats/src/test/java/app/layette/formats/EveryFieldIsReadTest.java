package app.layette.formats;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.drawing.BeltView;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.HarnessView;
import app.layette.core.drawing.cabin.CabinView;
import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.gate.Gate;
import app.layette.core.gate.RuleBook;
import app.layette.core.measure.Mass;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.Demands;
import app.layette.core.ride.Ride;
import app.layette.core.ride.RideCard;
import app.layette.core.ride.Routing;
import app.layette.core.run.SheetSays;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.PlanDocument;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.SheetReader;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * No field of a sheet is written down in vain: for each field of both schemas, and each permission, there is a case in which
 * changing it changes a finding, a step, a sentence or a drawing.
 */
class EveryFieldIsReadTest {
    /** What names or describes the document and says nothing of seat or car. */
    private static final Set<String> OF_THE_DOCUMENT = Set.of(
            "seat /formatVersion",
            "seat /id",
            "seat /version",
            "seat /sha256",
            "seat /documents",
            "seat /kind",
            "car /formatVersion",
            "car /id",
            "car /version",
            "car /sha256",
            "car /documents",
            "car /positions/*/id",
            // Only ever printed on a family's page, where PaperIT of the application reads it.
            "seat /names",
            "car /note",
            "car /maker",
            "car /name");

    private static final Wording WORDS = new Wording(Locale.ENGLISH, Wording.DEFAULT_UNITS);

    /** A case in which a field that no shipped sheet has is tried. */
    private record Tried(String from, String part, Map<String, String> sheet, Map<String, String> before) {}

    /** Reading a sheet is most of the work here, and of two sheets one stays as it is. */
    private static final int SHEETS_KEPT = 64;

    private final Map<String, Said> plans = new LinkedHashMap<>();
    private final Map<JsonNode, SeatSheet> seats = lastUsed();
    private final Map<JsonNode, VehicleSheet> cars = lastUsed();
    private final Map<String, List<Variant>> variants = new LinkedHashMap<>();

    @Test
    void everyFieldChangesSomething() {
        List<String> unread = new ArrayList<>();
        for (String part : List.of("seat", "car")) {
            Set<String> fields = new LinkedHashSet<>();
            walk(schema(part), "", fields);
            for (String field : fields) {
                String name = part + " " + field;
                if (!OF_THE_DOCUMENT.contains(name) && !isRead(part, field)) {
                    unread.add(name);
                }
            }
        }
        assertThat(unread).isEmpty();
    }

    @Test
    void everyPermissionChangesSomething() {
        List<String> unread = new ArrayList<>();
        for (PermissionKey key : PermissionKey.values()) {
            if (key != PermissionKey.HANDLE_POSITION && !isRead(key)) {
                unread.add(key.name());
            }
        }
        assertThat(unread).isEmpty();
    }

    // Fields.

    private boolean isRead(String part, String field) {
        for (Tried tried : EXTRA.getOrDefault(part + " " + field, List.of())) {
            ObjectNode before = document(tried.from());
            tried.before().forEach((place, json) -> {
                String[] parts = place.split(":");
                if (parts[0].equals("answer")) {
                    change(before, parts[1], json);
                } else {
                    put(sheet(before, parts[0]), parts[1], json);
                }
            });
            ObjectNode after = before.deepCopy();
            tried.sheet().forEach((place, json) -> put(sheet(after, tried.part()), place, json));
            if (changes(before, after)) {
                return true;
            }
        }
        for (String from : READY) {
            ObjectNode before = document(from);
            for (String place : places(sheet(before, part), field)) {
                for (ObjectNode after : otherwise(before, part, place)) {
                    if (changes(before, after)) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    private boolean changes(ObjectNode before, ObjectNode after) {
        try {
            Said was = plans.computeIfAbsent(before.toString(), key -> new Said(read(before)));
            Said now = new Said(withSheets(was.read, after));
            // Most fields change the plan: what is drawn and printed is computed for the others alone.
            for (int part = 0; part < Said.PARTS; part++) {
                if (!now.part(part).equals(was.part(part))) {
                    return true;
                }
            }
            return false;
        } catch (RefusedDocumentException e) {
            return false;
        }
    }

    private static final List<String> READY = Examples.ready().toList();

    /** Everything that a fitting says to anybody, part by part, each computed when it is asked for. */
    private static final class Said {
        static final int PARTS = 4;

        private final CaseDocument read;
        private final FittingPlan plan;
        private final Situation situation;
        private final String[] parts = new String[PARTS];

        Said(CaseDocument read) {
            this.read = read;
            plan = new FittingPlanner().plan(read.practice(), read.sheets(), read.record(), read.date());
            situation = plan.situation();
        }

        String part(int number) {
            if (parts[number] == null) {
                parts[number] = switch (number) {
                    case 0 -> PlanDocument.of(plan, Optional.of(WORDS), false).toString();
                    case 1 -> places();
                    case 2 -> drawings();
                    default -> rides();
                };
            }
            return parts[number];
        }

        private String places() {
            CabinAnswers places = CabinAnswers.of(situation);
            StringBuilder said = new StringBuilder().append(places.answers()).append(SheetSays.removal(situation));
            // Beside other riders: how wide, which buckles it covers.
            situation
                    .car()
                    .ifPresent(car -> said.append(
                                    Demands.child("child", situation.seat().orElseThrow(), places, car))
                            .append(Demands.rowWidths(car)));
            return said.toString();
        }

        private String drawings() {
            List<Drawing> drawings = new ArrayList<>(List.of(
                    CabinView.of(situation, CabinAnswers.of(situation)),
                    HarnessView.of(situation),
                    BeltView.of(situation)));
            if (plan.method().isReclined()) {
                drawings.add(SideView.of(situation));
            }
            StringBuilder said = new StringBuilder();
            drawings.forEach(each -> said.append(SvgWriter.write(each, WORDS)));
            return said.toString();
        }

        private String rides() {
            StringBuilder said = new StringBuilder();
            read.sheets().seats().stream()
                    .map(seat -> RideCard.plan(Ride.of(
                            read.practice(),
                            seat,
                            Mass.ofGrams(3000),
                            Optional.of(EnumSet.allOf(Routing.class)),
                            read.date())))
                    .forEach(said::append);
            return said.toString();
        }
    }

    private static CaseDocument read(ObjectNode document) {
        return CaseDocument.read(document.toString(), name -> Examples.text("cases/" + name));
    }

    /** The same fitting with the sheets of another document: its entries are read and checked once. */
    private CaseDocument withSheets(CaseDocument read, ObjectNode document) {
        Sheets sheets = new Sheets(
                List.of(seats.computeIfAbsent(sheet(document, "seat"), each -> SheetReader.seat(each.toString()))),
                List.of(cars.computeIfAbsent(sheet(document, "car"), each -> SheetReader.vehicle(each.toString()))));
        return new CaseDocument(read.practice(), sheets, read.record(), read.date());
    }

    private static <V> Map<JsonNode, V> lastUsed() {
        return new LinkedHashMap<>(SHEETS_KEPT, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<JsonNode, V> eldest) {
                return size() > SHEETS_KEPT;
            }
        };
    }

    private static ObjectNode document(String from) {
        ObjectNode document = (ObjectNode) LayetteJson.strict().readTree(Examples.text("cases/" + from + ".json"));
        for (String field : List.of("seatSheets", "vehicleSheets")) {
            ArrayNode sheets = (ArrayNode) document.get(field);
            JsonNode sheet = LayetteJson.strict()
                    .readTree(Examples.text("cases/" + sheets.get(0).asString()));
            sheets.removeAll();
            sheets.add(sheet);
        }
        return document;
    }

    private static ObjectNode sheet(ObjectNode document, String part) {
        return (ObjectNode) document.get(part.equals("seat") ? "seatSheets" : "vehicleSheets")
                .get(0);
    }

    private static void put(ObjectNode node, String place, String json) {
        int last = place.lastIndexOf('/');
        JsonNode parent = node;
        for (String step : place.substring(0, last).split("/")) {
            if (step.isEmpty()) {
                continue;
            }
            JsonNode next = parent.isArray() ? parent.get(Integer.parseInt(step)) : parent.get(step);
            parent = next == null ? ((ObjectNode) parent).putObject(step) : next;
        }
        ((ObjectNode) parent)
                .set(place.substring(last + 1), LayetteJson.strict().readTree(json));
    }

    /** Where a field stands in a sheet; a stated value may lie between. */
    private static List<String> places(JsonNode sheet, String field) {
        List<String> here = List.of("");
        for (String step : field.substring(1).split("/")) {
            List<String> next = new ArrayList<>();
            for (String place : here) {
                JsonNode node = place.isEmpty() ? sheet : sheet.at(place);
                String inside = node.has("stated") ? place + "/stated" : place;
                JsonNode in = inside.isEmpty() ? sheet : sheet.at(inside);
                if (step.equals("*")) {
                    for (int i = 0; i < in.size(); i++) {
                        next.add(inside + "/" + i);
                    }
                } else if (in.has(step)) {
                    next.add(inside + "/" + step);
                }
            }
            here = next;
        }
        return here;
    }

    /** The document with this field gone, or saying something else. */
    private static List<ObjectNode> otherwise(ObjectNode document, String part, String place) {
        List<ObjectNode> all = new ArrayList<>();
        int last = place.lastIndexOf('/');
        String parent = place.substring(0, last);
        String name = place.substring(last + 1);
        ObjectNode gone = document.deepCopy();
        JsonNode in = parent.isEmpty() ? sheet(gone, part) : sheet(gone, part).at(parent);
        if (in instanceof ObjectNode object) {
            object.remove(name);
            all.add(gone);
        }
        JsonNode value = sheet(document, part).at(place);
        String inner = value.has("stated") ? place + "/stated" : place;
        JsonNode stated = sheet(document, part).at(inner);
        for (String other : others(stated)) {
            ObjectNode changed = document.deepCopy();
            put(sheet(changed, part), inner, other);
            all.add(changed);
        }
        return all;
    }

    private static List<String> others(JsonNode stated) {
        if (stated.isNumber()) {
            return List.of(String.valueOf(stated.asInt() + 1), String.valueOf(stated.asInt() + 20));
        }
        if (stated.isBoolean()) {
            return List.of(String.valueOf(!stated.asBoolean()));
        }
        if (!stated.isString()) {
            return List.of();
        }
        String text = stated.asString();
        String[] parts = text.split(" ");
        if (text.matches("\\d+(\\.\\d+)? (kg|lb|mm|cm|in)")) {
            return List.of(
                    "\"" + Double.parseDouble(parts[0]) * 1.3 + " " + parts[1] + "\"",
                    "\"" + Double.parseDouble(parts[0]) * 0.6 + " " + parts[1] + "\"");
        }
        List<String> words = new ArrayList<>();
        for (String word : WORD_LIST) {
            if (!word.equals(text)) {
                words.add("\"" + word + "\"");
            }
        }
        words.add("\"" + text + " too\"");
        return words;
    }

    private static final List<String> WORD_LIST = List.of(
            "none",
            "always",
            "whenPossible",
            "noLeg",
            "base",
            "carrier",
            "left",
            "right",
            "middle",
            "lap",
            "both",
            "button",
            "handle",
            "front",
            "back",
            "required",
            "optional",
            "mustBeOut",
            "wholeInside",
            "anyPart",
            "one",
            "foot",
            "dial",
            "slide",
            "bubble",
            "ball",
            "line",
            "rigidArms",
            "hooks",
            "pushOn",
            "before",
            "after",
            "draft",
            "2019-01-01",
            "2024-12-31",
            "fixed",
            "removable",
            "soft",
            "firm",
            "CA");

    // What no shipped sheet has, tried in a case.

    private static final Map<String, List<Tried>> EXTRA = new LinkedHashMap<>();

    private static void extra(String field, String from, String part, String place, String json) {
        EXTRA.computeIfAbsent(field, key -> new ArrayList<>())
                .add(new Tried(from, part, Map.of(place, json), Map.of()));
    }

    private static void after(
            String field, String from, Map<String, String> before, String part, String place, String json) {
        EXTRA.computeIfAbsent(field, key -> new ArrayList<>()).add(new Tried(from, part, Map.of(place, json), before));
    }

    static {
        String said = ",\"source\":\"manual 9\"}";
        extra("seat /note", "ready", "seat", "/note", "\"a note\"");
        extra("car /note", "ready", "car", "/note", "\"a note\"");
        extra("seat /standards", "ready", "seat", "/standards", "{\"stated\":[\"213\"]" + said);
        extra("seat /rearFacingMinimum", "ready", "seat", "/rearFacingMinimum", "{\"stated\":{\"months\":36}" + said);
        extra(
                "seat /rearFacingMinimum/months",
                "ready",
                "seat",
                "/rearFacingMinimum",
                "{\"stated\":{\"months\":36}" + said);
        extra(
                "seat /rearFacingMinimum/length",
                "ready",
                "seat",
                "/rearFacingMinimum",
                "{\"stated\":{\"length\":\"105 cm\"}" + said);
        extra(
                "seat /harness/snugTestWords",
                "ready",
                "seat",
                "/harness/snugTestWords",
                "{\"stated\":\"two fingers lie flat\"" + said);
        extra(
                "seat /harness/shortestSnugFrom",
                "ready",
                "seat",
                "/harness/shortestSnugFrom",
                "{\"stated\":\"4 kg\"" + said);
        extra("seat /recline/rollWidth", "ready", "seat", "/recline/rollWidth", "{\"stated\":\"300 mm\"" + said);
        extra("seat /shell/seatDepth", "ready", "seat", "/shell/seatDepth", "{\"stated\":\"300 mm\"" + said);
        extra(
                "seat /shell/innerShellLiftsOut",
                "ready",
                "seat",
                "/shell/innerShellLiftsOut",
                "{\"stated\":true" + said);
        extra("seat /legIndicator", "ready", "seat", "/legIndicator", "{\"stated\":\"green\"" + said);
        for (String each : List.of("widthShell", "widthBase")) {
            extra("seat /shell/" + each, "ready", "seat", "/shell/" + each, "{\"stated\":\"700 mm\"" + said);
        }
        extra("car /positions/*/accessBehind", "ready", "car", "/positions/3/accessBehind", "{\"stated\":true" + said);
        extra("seat /identity/modelNumbers", "ready", "seat", "/identity/modelNumbers", "[\"ZZ-9\"]");
        after(
                "seat /crash",
                "ready",
                Map.of("answer:crash", "MINOR"),
                "seat",
                "/crash",
                "{\"stated\":\"minorMayStay\"" + said);
        Map<String, String> unlimited = Map.of("seat:/limits", "{}");
        String limits = "\"weightMin\":{\"stated\":\"5 lb\"" + said + ",\"weightMax\":{\"stated\":\"29 lb\"" + said
                + ",\"lengthMax\":{\"stated\":\"29 in\"" + said;
        for (String each : List.of("", "/*/mode", "/*/weightMin", "/*/weightMax", "/*/lengthMax")) {
            after(
                    "seat /modes" + each,
                    "ready",
                    unlimited,
                    "seat",
                    "/modes",
                    "[{\"mode\":\"rearFacing\"," + limits + "}]");
        }
        extra(
                "seat /shell/crotch/*/weights/below",
                "ready",
                "seat",
                "/shell/crotch/stated/0/weights",
                "{\"below\":\"6 lb\"}");
        extra("seat /insert/*/bands", "ready", "seat", "/insert/stated/1/bands", "[]");
        extra(
                "seat /insert/*/bands/*/weights/below",
                "ready",
                "seat",
                "/insert/stated/1/bands/0/weights",
                "{\"below\":\"6 lb\"}");
        for (String each : List.of("from", "below")) {
            String ages = "{\"" + each + "\":" + (each.equals("from") ? 3 : 0.1) + "}";
            extra(
                    "seat /insert/*/bands/*/ageMonths/" + each,
                    "ready",
                    "seat",
                    "/insert/stated/1/bands/0/ageMonths",
                    ages);
            extra(
                    "seat /recline/indicator/bands/*/ageMonths/" + each,
                    "ready",
                    "seat",
                    "/recline/indicator/stated/bands/0/ageMonths",
                    ages);
        }
        extra("seat /bases/*/name", "ready", "seat", "/bases/stated/0/name", "\"Another name\"");
        extra("seat /bases/*/modelNumbers", "ready", "seat", "/bases/stated/0/modelNumbers", "[\"ZZ-9\"]");
        extra("seat /bases/*/theta0", "ready", "seat", "/bases/stated/0/theta0", "52");
        extra("seat /bases/*/contact", "ready", "seat", "/bases/stated/0/contact", "\"300 mm\"");
        extra(
                "seat /recline/arms/anchorAlong",
                "ready-rotating-base",
                "seat",
                "/recline/arms/stated/anchorAlong",
                "\"-120 mm\"");
        extra(
                "seat /recline/indicator/bands",
                "ready",
                "seat",
                "/recline/indicator/stated/bands",
                "[{\"weights\":{\"from\":\"20 lb\"},\"from\":40,\"to\":45}]");
        String round = "{\"stated\":\"1500 mm\"" + said;
        Map<String, String> routed =
                Map.of("seat:/routing/overShell", "{\"stated\":\"400 mm\"" + said, "seat:/routing/roundShell", round);
        after(
                "seat /routing/whenBuckledFirst",
                "ready-baseless-european",
                routed,
                "seat",
                "/routing/whenBuckledFirst",
                "{\"stated\":\"900 mm\"" + said);
        String allowed = "{\"stated\":\"allowed\"" + said;
        after(
                "seat /borrowedSpacingMost",
                "ready",
                Map.of(
                        "seat:/permissions/borrowedInnerAnchors",
                        allowed,
                        "car:/permissions/borrowedInnerAnchors",
                        allowed),
                "seat",
                "/borrowedSpacingMost",
                "{\"stated\":\"600 mm\"" + said);
        extra("car /positions", "ready", "car", "/positions", "[{\"id\":\"2-LEFT\"}]");
        extra(
                "car /positions/*/anchorSpacing",
                "ready",
                "car",
                "/positions/3/anchorSpacing",
                "{\"stated\":\"280 mm\"" + said);
        extra(
                "car /positions/*/headRestraint",
                "ready",
                "car",
                "/positions/3/headRestraint",
                "{\"stated\":\"fixed\"" + said);
        extra("car /positions/*/tether", "ready", "car", "/positions/3/tether", "{\"stated\":true" + said);
        extra(
                "car /positions/*/stalk",
                "ready-baseless-american",
                "car",
                "/positions/2/stalk",
                "{\"stated\":\"90 mm\"" + said);
        String plate = "{\"stated\":\"sewnOn\"" + said;
        String long1 = "{\"stated\":\"2000 mm\"" + said;
        for (String each : List.of("lapAvailable", "shoulderAvailable")) {
            String other = each.equals("lapAvailable") ? "shoulderAvailable" : "lapAvailable";
            after(
                    "car /positions/*/belt/" + each,
                    "ready-baseless-european",
                    Map.of(
                            "seat:/routing/overShell",
                            "{\"stated\":\"400 mm\"" + said,
                            "seat:/routing/roundShell",
                            round,
                            "car:/positions/2/belt/latchPlate",
                            plate,
                            "car:/positions/2/belt/" + other,
                            long1),
                    "car",
                    "/positions/2/belt/" + each,
                    long1);
        }
        for (String each : List.of("mark", "tail", "adjusters")) {
            extra(
                    "seat /connectors/" + each,
                    "ready",
                    "seat",
                    "/connectors/stated/" + each,
                    each.equals("mark") ? "\"this side up\"" : each.equals("tail") ? "\"back\"" : "\"two\"");
        }
    }

    // Permissions.

    private boolean isRead(PermissionKey key) {
        String name = camel(key.name());
        for (String from : READY) {
            for (Variant each : variants.computeIfAbsent(from, EveryFieldIsReadTest::readVariants)) {
                ObjectNode variant = each.document();
                ObjectNode allowed = variant.deepCopy();
                ObjectNode forbidden = variant.deepCopy();
                for (String part : List.of("seat", "car")) {
                    put(
                            sheet(allowed, part),
                            "/permissions/" + name,
                            "{\"stated\":\"allowed\",\"source\":\"manual 9\"}");
                    put(
                            sheet(forbidden, part),
                            "/permissions/" + name,
                            "{\"stated\":\"notAllowed\",\"source\":\"manual 9\"}");
                }
                try {
                    CaseDocument read = each.read();
                    if (!judged(withSheets(read, allowed)).equals(judged(withSheets(read, forbidden)))) {
                        return true;
                    }
                } catch (RefusedDocumentException e) {
                    // A permission that this sheet has no say in.
                }
            }
        }
        return false;
    }

    private static String judged(CaseDocument read) {
        Situation situation = Situation.of(read.practice(), read.sheets(), read.record(), read.date());
        return situation
                .method()
                .map(method -> Gate.judge(RuleBook.shipped(), situation, method)
                        .conclusions()
                        .toString())
                .orElse("");
    }

    /** A case in which a permission may matter, read once for all permissions. */
    private record Variant(ObjectNode document, CaseDocument read) {}

    /** Those that can be read: one that its schema refuses is no fitting. */
    private static List<Variant> readVariants(String from) {
        List<Variant> all = new ArrayList<>();
        for (ObjectNode each : variants(from)) {
            try {
                all.add(new Variant(each, read(each)));
            } catch (RefusedDocumentException e) {
                // A place or an answer that this car or seat does not have.
            }
        }
        return all;
    }

    /** The case, and what in it makes a permission matter. */
    private static List<ObjectNode> variants(String from) {
        List<ObjectNode> all = new ArrayList<>(List.of(document(from)));
        Map<String, String> answers = Map.of(
                "sitsWhole",
                "OVERHANGS",
                "strap",
                "UNDER_LOCK_OFF",
                "support",
                "ROLLS_BESIDE",
                "gap",
                "TOUCHES",
                "feet",
                "PAST_END");
        answers.forEach((question, answer) -> add(all, from, question, answer));
        add(all, from, "systems", "ANCHORS_AND_BELT");
        add(all, from, "systems", "WITH_TOP_TETHER");
        add(all, from, "support", "CROTCH_CLOTH");
        add(all, from, "leg", "LIFTS_THE_BASE");
        for (String[] car : new String[][] {
            {"facing", "\"sideways\""},
            {"airbag", "\"offConfirmed\""},
            {"floor", "\"storage\""},
            {"anchors", "\"none\""}
        }) {
            ObjectNode other = document(from);
            for (JsonNode place : sheet(other, "car").get("positions")) {
                put((ObjectNode) place, "/" + car[0], "{\"stated\":" + car[1] + ",\"source\":\"manual 9\"}");
            }
            all.add(other);
            ObjectNode leg = other.deepCopy();
            change(leg, "leg", "NOT_USED");
            put(sheet(leg, "seat"), "/leg", "{\"stated\":\"whenPossible\",\"source\":\"manual 9\"}");
            put(
                    sheet(leg, "car"),
                    "/permissions/legOverStorage",
                    "{\"stated\":\"notAllowed\",\"source\":\"manual 9\"}");
            all.add(leg);
        }
        for (String[] belt : new String[][] {{"inflatable", "true"}, {"retractor", "\"emergencyOnly\""}}) {
            ObjectNode other = document(from);
            for (JsonNode place : sheet(other, "car").get("positions")) {
                put((ObjectNode) place, "/belt/" + belt[0], "{\"stated\":" + belt[1] + ",\"source\":\"manual 9\"}");
            }
            all.add(other);
        }
        ObjectNode middle = document(from);
        place(middle, "2-MIDDLE");
        all.add(middle);
        ObjectNode front = document(from);
        place(front, "1-RIGHT");
        all.add(front);
        for (String roll : List.of(
                "\"towel\",\"thickness\":\"4 mm\",\"layers\":2,\"rolled\":\"300 mm\"",
                "\"noodle\",\"diameter\":\"65 mm\",\"softness\":\"firm\"",
                "\"noodleTriangle\",\"diameter\":\"65 mm\",\"softness\":\"firm\"")) {
            ObjectNode rolled = document(from);
            append(rolled, "{\"kind\":\"rollPlaced\",\"of\":\"u1\",\"roll\":" + roll + "}");
            all.add(rolled);
            ObjectNode allowed = rolled.deepCopy();
            for (String each : List.of("towel", "noodle", "noodleTriangle")) {
                put(sheet(allowed, "seat"), "/permissions/" + each, "{\"stated\":\"allowed\",\"source\":\"manual 9\"}");
            }
            all.add(allowed);
        }
        return all;
    }

    private static void add(List<ObjectNode> all, String from, String question, String answer) {
        ObjectNode other = document(from);
        if (change(other, question, answer)) {
            all.add(other);
        }
        if (question.equals("feet")) {
            append(other, "{\"kind\":\"answered\",\"of\":\"u1\",\"question\":\"feet\",\"answer\":\"PAST_END\"}");
            all.add(other);
        }
    }

    private static void append(ObjectNode document, String fact) {
        ArrayNode entries = (ArrayNode) document.get("fitting").get("entries");
        ObjectNode last = (ObjectNode) entries.get(entries.size() - 1).deepCopy();
        last.put("id", UUID.randomUUID().toString());
        last.put("seq", entries.size() + 1);
        last.put("seen", entries.size());
        last.set("fact", LayetteJson.strict().readTree(fact));
        entries.add(last);
    }

    private static boolean change(ObjectNode document, String question, String answer) {
        boolean changed = false;
        for (JsonNode entry : document.get("fitting").get("entries")) {
            ObjectNode fact = (ObjectNode) entry.get("fact");
            if (fact.path("question").asString("").equals(question)) {
                fact.put("answer", answer);
                changed = true;
            }
        }
        return changed;
    }

    private static void place(ObjectNode document, String position) {
        for (JsonNode entry : document.get("fitting").get("entries")) {
            ObjectNode fact = (ObjectNode) entry.get("fact");
            if (fact.path("kind").asString("").equals("placed")) {
                fact.put("position", position);
            }
        }
    }

    private static String camel(String name) {
        StringBuilder camel = new StringBuilder();
        for (String word : name.toLowerCase(Locale.ROOT).split("_")) {
            camel.append(camel.isEmpty() ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1));
        }
        return camel.toString();
    }

    // The schemas.

    private static final String SCHEMAS = "/app/layette/formats/schemas/";

    private static JsonNode schema(String part) {
        return resource(part.equals("seat") ? "seat-sheet.schema.json" : "vehicle-sheet.schema.json");
    }

    private static JsonNode resource(String name) {
        return LayetteJson.strict().readTree(EveryFieldIsReadTest.class.getResourceAsStream(SCHEMAS + name));
    }

    private static final JsonNode COMMON = resource("common.schema.json").get("$defs");

    private static JsonNode resolved(JsonNode node) {
        JsonNode here = node;
        while (here.has("$ref")) {
            String ref = here.get("$ref").asString();
            here = COMMON.get(ref.substring(ref.lastIndexOf('/') + 1));
        }
        return here;
    }

    private static void walk(JsonNode node, String path, Set<String> fields) {
        JsonNode here = resolved(node);
        for (String either : List.of("oneOf", "anyOf")) {
            for (JsonNode alternative : here.path(either)) {
                walk(alternative, path, fields);
            }
        }
        if (here.path("properties").has("stated")) {
            fields.add(path);
            walk(here.get("properties").get("stated"), path, fields);
            return;
        }
        if (path.equals("/permissions") || path.equals("/documents") || path.equals("/shell/outline")) {
            return;
        }
        for (Map.Entry<String, JsonNode> property : here.path("properties").properties()) {
            if (property.getKey().equals("source")) {
                continue;
            }
            String field = path + "/" + property.getKey();
            boolean room = resolved(property.getValue()).has("properties")
                    && !resolved(property.getValue()).get("properties").has("stated");
            if (!room) {
                fields.add(field);
            }
            walk(property.getValue(), field, fields);
        }
        if (here.has("items")) {
            walk(here.get("items"), path + "/*", fields);
        }
    }
}
