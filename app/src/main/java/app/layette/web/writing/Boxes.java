package app.layette.web.writing;

import app.layette.core.finding.Argument;
import app.layette.formats.sheet.FieldForm;
import app.layette.formats.sheet.Shape;
import app.layette.formats.sheet.WrittenField;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** A field of a sheet as boxes on the screen, and what it says in words. */
final class Boxes {
    private static final String KIND = "kind";
    private static final int MOST_SHOWN = 3;

    private final Wording words;
    private final Map<String, String> filled;

    /** How a box is filled in. */
    public enum Way {
        TEXT,
        LINES,
        SELECT,
        CHECKS,
        GROUP,
        ROWS
    }

    /**
     * One box.
     *
     * @param name of the field of the form
     * @param label what it is called; empty for the only one
     * @param inside the boxes of a group, or the rows of a list
     */
    public record Box(String name, String label, Way way, String value, List<Option> options, List<Box> inside) {}

    /** A word to choose. */
    public record Option(String value, String label, boolean chosen) {}

    Boxes(Wording words, Map<String, String> filled) {
        this.words = words;
        this.filled = filled;
    }

    Box of(Shape shape) {
        return box(shape, FieldForm.ROOT, "");
    }

    private Box box(Shape shape, String name, String label) {
        if (shape instanceof Shape.Group group) {
            List<Box> inside = group.parts().stream()
                    .map(part -> box(part.shape(), name + "." + part.name(), words.say("sheet.part." + part.name())))
                    .toList();
            return new Box(name, label, Way.GROUP, "", List.of(), inside);
        }
        if (shape instanceof Shape.Several several) {
            return several(several, name, label);
        }
        if (shape instanceof Shape.Choice choice) {
            return new Box(name, label, Way.SELECT, value(name), options(choice.words(), value(name)), List.of());
        }
        if (shape instanceof Shape.Flag) {
            return new Box(
                    name, label, Way.SELECT, value(name), options(List.of("true", "false"), value(name)), List.of());
        }
        if (shape instanceof Shape.YearsOr years) {
            Box number = new Box(
                    name + ".years",
                    words.say("sheet.part.years"),
                    Way.TEXT,
                    value(name + ".years"),
                    List.of(),
                    List.of());
            Box word = new Box(name, "", Way.SELECT, value(name), options(years.words(), value(name)), List.of());
            return new Box(name, label, Way.GROUP, "", List.of(), List.of(number, word));
        }
        Way way = shape instanceof Shape.Named ? Way.LINES : Way.TEXT;
        return new Box(name, label, way, value(name), List.of(), List.of());
    }

    private Box several(Shape.Several several, String name, String label) {
        if (several.each() instanceof Shape.Choice choice) {
            List<Option> options = choice.words().stream()
                    .map(word -> new Option(
                            name + "." + word,
                            word(word),
                            !value(name + "." + word).isEmpty()))
                    .toList();
            return new Box(name, label, Way.CHECKS, "", options, List.of());
        }
        if (FieldForm.isLines(several)) {
            return new Box(name, label, Way.LINES, value(name), List.of(), List.of());
        }
        List<Box> rows = new ArrayList<>();
        int count = rows(name);
        for (int i = 0; i <= count; i++) {
            rows.add(box(several.each(), name + "." + i, ""));
        }
        return new Box(name, label, Way.ROWS, "", List.of(), rows);
    }

    /** How many rows are filled, the last of them counted from the first: none is lost for a blank one before it. */
    private int rows(String name) {
        int rows = 0;
        for (Map.Entry<String, String> each : filled.entrySet()) {
            if (each.getKey().startsWith(name + ".") && !each.getValue().isBlank()) {
                String number = each.getKey().substring(name.length() + 1).split("\\.")[0];
                if (number.matches("\\d{1,2}")) {
                    rows = Math.max(rows, Integer.parseInt(number) + 1);
                }
            }
        }
        return rows;
    }

    private String value(String name) {
        return filled.getOrDefault(name, "");
    }

    private List<Option> options(List<String> all, String chosen) {
        return all.stream()
                .map(word -> new Option(word, word(word), word.equals(chosen)))
                .toList();
    }

    private String word(String word) {
        return words.say("sheet.word." + word);
    }

    /** What a field says, in a few words. */
    static String said(WrittenField field, JsonNode value, Wording words) {
        return said(field.shape(), value, words);
    }

    private static String said(Shape shape, JsonNode value, Wording words) {
        if (shape instanceof Shape.Choice || shape instanceof Shape.Flag) {
            return words.say("sheet.word." + value.asString());
        }
        if (shape instanceof Shape.YearsOr) {
            return value.has("years")
                    ? value.get("years").asString() + " " + words.say("sheet.part.years")
                    : words.say("sheet.word." + value.asString());
        }
        if (shape instanceof Shape.Quantity && value.asString().equals("none")) {
            return words.say("sheet.noneOfThem");
        }
        if (shape instanceof Shape.Several several) {
            return several(several, value, words);
        }
        if (shape instanceof Shape.Group group) {
            return group(group, value, words);
        }
        return value.isContainer() ? counted(value.size(), words) : value.asString();
    }

    private static String several(Shape.Several several, JsonNode value, Wording words) {
        if (value.isEmpty()) {
            return words.say("sheet.noneOfThem");
        }
        if (several.each() instanceof Shape.Group || value.size() > MOST_SHOWN + 1) {
            return counted(value.size(), words);
        }
        List<String> each = new ArrayList<>();
        value.forEach(one -> each.add(said(several.each(), one, words)));
        return String.join(", ", each);
    }

    private static String group(Shape.Group group, JsonNode value, Wording words) {
        List<String> each = new ArrayList<>();
        for (Shape.Part part : group.parts()) {
            JsonNode there = value.get(part.name());
            boolean tells = there != null && (part.name().equals(KIND) || !there.isContainer());
            if (tells && each.size() < MOST_SHOWN) {
                each.add(said(part.shape(), there, words));
            }
        }
        return each.isEmpty() ? counted(value.size(), words) : String.join(", ", each);
    }

    private static String counted(int count, Wording words) {
        return words.say("sheet.count", Map.of("count", Argument.of(count)));
    }
}
