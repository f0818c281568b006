package app.layette.formats.sheet;

import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.document.DocumentKind;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.Schemas;
import app.layette.formats.document.SheetReader;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.text.CamelCase;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A seat sheet that is being written. */
public final class SheetWork extends WorkingSheet {
    private SheetWork(String begun) {
        super(begun);
    }

    /** Goes on with a document. */
    public static SheetWork of(String json) {
        return new SheetWork(json);
    }

    /** Begins with what names a restraint. */
    public static SheetWork begin(SeatKind kind, String id, String maker, String name, String modelNumber) {
        ObjectNode sheet = JsonNodeFactory.instance.objectNode();
        sheet.put("formatVersion", 1)
                .put("id", id)
                .put("version", 1)
                .put("status", "draft")
                .put("kind", CamelCase.of(kind.name()));
        sheet.putObject("identity")
                .put("maker", maker)
                .put("name", name)
                .putArray("modelNumbers")
                .add(modelNumber);
        return of(LayetteJson.pretty(sheet));
    }

    public SeatKind kind() {
        return SheetFields.kind(document().path("kind").asString(""));
    }

    @Override
    public String title() {
        JsonNode identity = document().path("identity");
        return (identity.path("maker").asString("") + " "
                        + identity.path("name").asString(""))
                .strip();
    }

    /** The same under another id, to begin a sister model with: nobody has looked at that one's own label yet. */
    public SheetWork sister(String id, String maker, String name, String modelNumber) {
        ObjectNode copy = document().deepCopy();
        copy.put("id", id).put("version", 1).put("status", "draft");
        copy.putObject("identity")
                .put("maker", maker)
                .put("name", name)
                .putArray("modelNumbers")
                .add(modelNumber);
        return of(LayetteJson.pretty(copy));
    }

    @Override
    public List<DocumentProblem> problems() {
        List<DocumentProblem> problems = Schemas.problems(DocumentKind.SEAT_SHEET, document());
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
