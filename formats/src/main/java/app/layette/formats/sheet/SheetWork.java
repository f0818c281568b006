package app.layette.formats.sheet;

import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.document.DocumentKind;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.Schemas;
import app.layette.formats.document.SheetReader;
import app.layette.formats.json.LayetteJson;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A seat sheet that is being written. What was not changed keeps its bytes: as long as nothing was put in or taken out,
 * the text is the one that it was begun with.
 */
public final class SheetWork {
    private static final String STATED = "stated";
    private static final String SOURCE = "source";
    private static final String SILENT = "silent";

    private final String begun;
    private final ObjectNode document;
    private boolean changed;

    /** How a field stands. */
    public enum State {
        /** Nobody looked. */
        NOT_LOOKED,
        /** Somebody looked, and the document says nothing. */
        SILENT,
        STATED
    }

    private SheetWork(String begun, ObjectNode document) {
        this.begun = begun;
        this.document = document;
    }

    /** Goes on with a document. */
    public static SheetWork of(String json) {
        return new SheetWork(json, (ObjectNode) Schemas.parse(json));
    }

    /** Begins with what names a restraint. */
    public static SheetWork begin(SeatKind kind, String id, String maker, String name, String modelNumber) {
        ObjectNode sheet = JsonNodeFactory.instance.objectNode();
        sheet.put("formatVersion", 1)
                .put("id", id)
                .put("version", 1)
                .put("status", "draft")
                .put("kind", SheetFields.camel(kind.name()));
        sheet.putObject("identity")
                .put("maker", maker)
                .put("name", name)
                .putArray("modelNumbers")
                .add(modelNumber);
        return of(LayetteJson.pretty(sheet));
    }

    public SeatKind kind() {
        return SheetFields.kind(document.path("kind").asString(""));
    }

    public String id() {
        return document.path("id").asString("");
    }

    public String title() {
        JsonNode identity = document.path("identity");
        return (identity.path("maker").asString("") + " "
                        + identity.path("name").asString(""))
                .strip();
    }

    /** How a field stands. */
    public State state(SheetField field) {
        JsonNode there = document.at(field.pointer());
        if (there.isMissingNode()) {
            return State.NOT_LOOKED;
        }
        return field.evidence() && there.has(SILENT) ? State.SILENT : State.STATED;
    }

    /** What a field says; empty where it says nothing. */
    public Optional<JsonNode> value(SheetField field) {
        JsonNode there = document.at(field.evidence() ? field.pointer() + "/" + STATED : field.pointer());
        return there.isMissingNode() ? Optional.empty() : Optional.of(there);
    }

    /** Where it was read: {@code manual 12}; empty where nobody looked, or where no source is asked for. */
    public String source(SheetField field) {
        JsonNode there = document.at(field.pointer());
        return field.evidence() ? there.path(SOURCE).asString(there.path(SILENT).asString("")) : "";
    }

    /** A source says this. */
    public void put(SheetField field, JsonNode value, String source) {
        if (field.evidence()) {
            ObjectNode said = document.objectNode();
            said.set(STATED, value);
            said.put(SOURCE, source);
            set(field.pointer(), said);
        } else {
            set(field.pointer(), value);
        }
    }

    /** Somebody looked there, and it says nothing. */
    public void silent(SheetField field, String source) {
        set(field.pointer(), document.objectNode().put(SILENT, source));
    }

    /** As if nobody had looked. */
    public void forget(SheetField field) {
        ObjectNode home = home(field.pointer(), false);
        changed |= home != null && home.remove(last(field.pointer())) != null;
        if (home != null && home.isEmpty() && home != document) {
            document.remove(field.pointer().split("/")[1]);
        }
    }

    /** Names one of the sheet's documents, unless it is named already. */
    public void document(String key, String title, String readOn, String readBy) {
        JsonNode documents = document.path("documents");
        if (!documents.has(key)) {
            ObjectNode all = documents.isObject() ? (ObjectNode) documents : document.putObject("documents");
            all.putObject(key).put("title", title).put("readOn", readOn).put("readBy", readBy);
            changed = true;
        }
    }

    private void set(String pointer, JsonNode value) {
        ObjectNode home = home(pointer, true);
        String name = last(pointer);
        if (!value.equals(home.get(name))) {
            home.set(name, value);
            changed = true;
        }
    }

    private ObjectNode home(String pointer, boolean make) {
        ObjectNode home = document;
        String[] names = pointer.substring(1).split("/");
        for (int i = 0; i < names.length - 1; i++) {
            JsonNode next = home.get(names[i]);
            if (next == null) {
                if (!make) {
                    return null;
                }
                next = home.putObject(names[i]);
            }
            home = (ObjectNode) next;
        }
        return home;
    }

    private static String last(String pointer) {
        return pointer.substring(pointer.lastIndexOf('/') + 1);
    }

    /** The document; the very text that it was begun with while nothing is changed. */
    public String json() {
        return changed ? LayetteJson.pretty(document) : begun;
    }

    /** The same under another id, to begin a sister model with: nobody has looked at that one's own label yet. */
    public SheetWork sister(String id, String maker, String name, String modelNumber) {
        ObjectNode copy = document.deepCopy();
        copy.put("id", id).put("version", 1).put("status", "draft");
        copy.putObject("identity")
                .put("maker", maker)
                .put("name", name)
                .putArray("modelNumbers")
                .add(modelNumber);
        return of(LayetteJson.pretty(copy));
    }

    /** What is wrong with it as it stands; empty where it can be put on the shelf. */
    public List<DocumentProblem> problems() {
        List<DocumentProblem> problems = Schemas.problems(DocumentKind.SEAT_SHEET, document);
        if (!problems.isEmpty()) {
            return problems;
        }
        try {
            SheetReader.seat(json());
            return List.of();
        } catch (RefusedDocumentException e) {
            return e.problems();
        }
    }

    /** The sheet as far as it makes sense: to be drawn, and to see what it would leave unknown. */
    public Optional<SeatSheet> sheet() {
        try {
            return Optional.of(SheetReader.seat(json()));
        } catch (RefusedDocumentException e) {
            return Optional.empty();
        }
    }
}
