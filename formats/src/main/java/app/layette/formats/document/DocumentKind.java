package app.layette.formats.document;

import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Kinds of document, each with its published schema. */
public enum DocumentKind {
    SEAT_SHEET("seat-sheet"),
    VEHICLE_SHEET("vehicle-sheet"),
    PRACTICE_PROFILE("practice-profile"),
    CASE("case"),
    PLAN("plan");

    private final String schema;

    DocumentKind(String schema) {
        this.schema = schema;
    }

    String schemaFile() {
        return schema + ".schema.json";
    }

    /** What a document seems to be, by the fields it has; empty when it is none of ours. */
    public static Optional<DocumentKind> of(JsonNode document) {
        if (document.has("fitting")) {
            return Optional.of(CASE);
        }
        if (document.has("engineVersion")) {
            return Optional.of(PLAN);
        }
        if (document.has("positions")) {
            return Optional.of(VEHICLE_SHEET);
        }
        if (document.has("snugTest") && document.has("units")) {
            return Optional.of(PRACTICE_PROFILE);
        }
        return document.has("kind") || document.has("identity") ? Optional.of(SEAT_SHEET) : Optional.empty();
    }
}
