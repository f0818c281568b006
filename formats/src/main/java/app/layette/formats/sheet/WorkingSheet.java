package app.layette.formats.sheet;

import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.Schemas;
import app.layette.formats.json.LayetteJson;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A sheet that is being written. What was not changed keeps its bytes: as long as nothing was put in or taken out, the
 * text is the one that it was begun with.
 */
public abstract class WorkingSheet {
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

    WorkingSheet(String begun) {
        this.begun = begun;
        this.document = (ObjectNode) Schemas.parse(begun);
    }

    final ObjectNode document() {
        return document;
    }

    final void changed() {
        changed = true;
    }

    /** Where a pointer stands in the very document. */
    String real(String pointer) {
        return pointer;
    }

    /** What is wrong with it as it stands; empty where it can be put on the shelf. */
    public abstract List<DocumentProblem> problems();

    /** What it is called. */
    public abstract String title();

    public String id() {
        return document.path("id").asString("");
    }

    /** How a field stands. */
    public State state(WrittenField field) {
        JsonNode there = document.at(real(field.pointer()));
        if (there.isMissingNode()) {
            return State.NOT_LOOKED;
        }
        return field.evidence() && there.has(SILENT) ? State.SILENT : State.STATED;
    }

    /** What a field says; empty where it says nothing. */
    public Optional<JsonNode> value(WrittenField field) {
        JsonNode there = document.at(real(field.pointer()) + (field.evidence() ? "/" + STATED : ""));
        return there.isMissingNode() ? Optional.empty() : Optional.of(there);
    }

    /** Where it was read: {@code manual 12}; empty where nobody looked, or where no source is asked for. */
    public String source(WrittenField field) {
        JsonNode there = document.at(real(field.pointer()));
        return field.evidence() ? there.path(SOURCE).asString(there.path(SILENT).asString("")) : "";
    }

    /** A source says this. */
    public void put(WrittenField field, JsonNode value, String source) {
        if (field.evidence()) {
            ObjectNode said = document.objectNode();
            said.set(STATED, value);
            said.put(SOURCE, source);
            set(real(field.pointer()), said);
        } else {
            set(real(field.pointer()), value);
        }
    }

    /** Somebody looked there, and it says nothing. */
    public void silent(WrittenField field, String source) {
        set(real(field.pointer()), document.objectNode().put(SILENT, source));
    }

    /** As if nobody had looked. */
    public void forget(WrittenField field) {
        String pointer = real(field.pointer());
        ObjectNode home = home(pointer, false);
        changed |= home != null && home.remove(last(pointer)) != null;
        if (home != null && home.isEmpty() && home != document) {
            String above = pointer.substring(0, pointer.lastIndexOf('/'));
            ObjectNode parent = home(above, false);
            if (parent != null) {
                parent.remove(last(above));
            }
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
        ObjectNode home = Objects.requireNonNull(home(pointer, true));
        String name = last(pointer);
        if (!value.equals(home.get(name))) {
            home.set(name, value);
            changed = true;
        }
    }

    /** The object that holds a field; {@code null} where there is none and none is made. */
    private @Nullable ObjectNode home(String pointer, boolean make) {
        ObjectNode home = document;
        String[] names = pointer.substring(1).split("/");
        for (int i = 0; i < names.length - 1; i++) {
            JsonNode next = home.get(names[i]);
            if (next instanceof ArrayNode list) {
                i++;
                next = list.get(Integer.parseInt(names[i]));
            }
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
}
