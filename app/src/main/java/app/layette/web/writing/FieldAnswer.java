package app.layette.web.writing;

import app.layette.core.finding.Argument;
import app.layette.formats.sheet.FieldForm;
import app.layette.formats.sheet.WorkingSheet;
import app.layette.formats.sheet.WrittenField;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** What one form said of one field. */
final class FieldAnswer {
    static final String PLACE = "place";
    private static final String SILENT = "silent";
    private static final String NOBODY = "nobody";
    private static final int LONGEST_PLACE = 120;
    /** By whatever the sheet says of it already. */
    static final String KEPT = "kept";

    private static final String TAPE = "tape";
    private static final String SEEN = "seen";
    private static final List<String> HOW = List.of("manual", "label", TAPE, SEEN, SILENT, NOBODY, KEPT);

    private final WrittenField field;
    private final Map<String, String> fields;
    private final String how;
    private final FieldForm.Read read;
    private final boolean none;

    FieldAnswer(WrittenField field, Map<String, String> fields) {
        this.field = field;
        this.fields = fields;
        this.how = fields.getOrDefault("how", "manual");
        this.none = fields.containsKey("none");
        this.read = FieldForm.read(field.shape(), fields);
    }

    WrittenField field() {
        return field;
    }

    Map<String, String> fields() {
        return fields;
    }

    boolean isForgotten() {
        boolean emptied = !field.evidence() && read.value().isEmpty();
        return field.evidence() && how.equals(NOBODY) || emptied;
    }

    boolean isSilent() {
        return field.evidence() && how.equals(SILENT);
    }

    Optional<JsonNode> value() {
        return none ? Optional.of(JsonNodeFactory.instance.arrayNode()) : read.value();
    }

    /** Where it stands, as a document writes it. */
    String source(String today, String reader) {
        String place = fields.getOrDefault(PLACE, "").strip();
        String key = how.equals(SILENT) ? "manual" : how;
        boolean isHere = key.equals(TAPE) || key.equals(SEEN);
        return isHere ? key + " " + today + " " + reader : (key + " " + place).strip();
    }

    List<FieldForm.Problem> problems() {
        if (!HOW.contains(how)) {
            return List.of(new FieldForm.Problem("how", how, FieldForm.Allowed.ONE_OF, String.join(", ", HOW), ""));
        }
        if (isForgotten() && field.evidence()) {
            return List.of();
        }
        List<FieldForm.Problem> problems = new ArrayList<>(isSilent() || none ? List.of() : read.problems());
        if (isForgotten()) {
            boolean naming = field.pointer().matches("(/identity)?/(maker|name|modelNumbers)");
            if (naming && problems.isEmpty()) {
                problems.add(new FieldForm.Problem(FieldForm.ROOT, "", FieldForm.Allowed.SOMETHING));
            }
            return problems;
        }
        String place = fields.getOrDefault(PLACE, "").strip();
        boolean needsPage = field.evidence() && (how.equals("manual") || how.equals(SILENT));
        if (needsPage && place.isEmpty() || place.length() > LONGEST_PLACE) {
            problems.add(new FieldForm.Problem(PLACE, place, FieldForm.Allowed.PAGE));
        }
        if (!isSilent() && !none && read.value().isEmpty() && read.problems().isEmpty()) {
            problems.add(new FieldForm.Problem(FieldForm.ROOT, "", FieldForm.Allowed.SOMETHING));
        }
        return problems;
    }

    /** Keeps it in the sheet, with the document that its source leads to. */
    void keepIn(WorkingSheet sheet, Wording words, String today, String reader) {
        boolean asItStood = sheet.value(field)
                .filter(value -> FieldForm.isAsItStood(field.shape(), value, fields))
                .isPresent();
        // Nobody measured again what stays as it was.
        boolean isStillSo = asItStood && !isSilent() && sheet.source(field).startsWith(how);
        boolean keepsSource =
                field.evidence() && (how.equals(KEPT) || isStillSo && (how.equals(TAPE) || how.equals(SEEN)));
        String source = keepsSource ? sheet.source(field) : source(today, reader);
        if (isForgotten()) {
            sheet.forget(field);
        } else if (isSilent()) {
            sheet.silent(field, source);
        } else {
            sheet.put(field, asItStood ? sheet.value(field).orElseThrow() : value().orElseThrow(), source);
        }
        if (field.evidence() && !isForgotten() && !keepsSource) {
            Writings.Said said = new Writings.Said(
                    words.say("sheet.kept.manual", Map.of("title", Argument.of(sheet.title()))),
                    words.say("sheet.kept.label"),
                    words.say("sheet.kept.tape"),
                    words.say("sheet.kept.seen"));
            Writings.name(sheet, field, source, said, today, reader);
        }
    }

    /** What is wrong with it, in words. */
    List<String> said(String name, Wording words) {
        return problems().stream()
                .map(each -> each.says(each.box().equals(PLACE) ? words.say("page.writing.where") : name, words))
                .toList();
    }
}
