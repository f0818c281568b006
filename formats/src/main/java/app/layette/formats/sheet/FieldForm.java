package app.layette.formats.sheet;

import app.layette.core.finding.Argument;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A value of a sheet as the boxes of a form, and back. A box is named by its way through the shape: {@code v.0.name}.
 * What was typed and makes no value is a problem that names the box, what stands in it and what is allowed.
 */
public final class FieldForm {
    /** Name of the box of a value that has only one. */
    public static final String ROOT = "v";

    private static final String NONE = "none";
    private static final String YEARS = "years";
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final int MOST_ROWS = 40;

    private final Map<String, String> typed;
    private final List<Problem> problems = new ArrayList<>();

    private FieldForm(Map<String, String> typed) {
        this.typed = typed;
    }

    /** What is allowed where something else stands; each is the last part of a message key. */
    public enum Allowed {
        MASS,
        LENGTH,
        LENGTH_OR_NONE,
        DATE,
        COUNTRY,
        POSITION,
        SOURCE,
        LETTERS,
        WHOLE_NUMBER,
        NUMBER,
        YES_OR_NO,
        ONE_OF,
        PAIR,
        DOCUMENT_LINE,
        NAME_LINE,
        /** Anything: nothing was typed. */
        SOMETHING,
        /** The page or part at which it stands. */
        PAGE
    }

    /**
     * What was typed and makes no value.
     *
     * @param box name of the box
     * @param value what stands in it
     * @param allowed what would be allowed
     * @param lowest lower end of it, or the list; empty where the kind says it all
     * @param highest upper end of it; empty where the kind says it all
     */
    public record Problem(String box, String value, Allowed allowed, String lowest, String highest) {
        private static final int SHOWN = 80;

        public Problem(String box, String value, Allowed allowed) {
            this(box, value, allowed, "", "");
        }

        /** In words. */
        public String says(String name, Wording words) {
            String shown = value.length() <= SHOWN ? value : value.substring(0, SHOWN) + "…";
            return words.say(
                    "sheet.problem." + allowed,
                    Map.of(
                            "name", Argument.of(name),
                            "value", Argument.of(shown),
                            "lowest", Argument.of(lowest),
                            "highest", Argument.of(highest)));
        }
    }

    /**
     * What a form came to.
     *
     * @param value empty where nothing was typed, or it makes no value
     * @param problems each names a box
     */
    public record Read(Optional<JsonNode> value, List<Problem> problems) {}

    /** The boxes of a value. */
    public static Map<String, String> write(Shape shape, @Nullable JsonNode value) {
        Map<String, String> boxes = new LinkedHashMap<>();
        write(shape, value, ROOT, boxes);
        return boxes;
    }

    /** The value that the boxes of a form make. */
    public static Read read(Shape shape, Map<String, String> typed) {
        FieldForm form = new FieldForm(typed);
        Optional<JsonNode> value = form.value(shape, ROOT);
        return new Read(form.problems.isEmpty() ? value : Optional.empty(), List.copyOf(form.problems));
    }

    /** Whether a form says nothing else than the value that it was filled with. */
    public static boolean isAsItStood(Shape shape, JsonNode value, Map<String, String> typed) {
        Map<String, String> stood = write(shape, value);
        stood.values().removeIf(String::isBlank);
        Map<String, String> now = new LinkedHashMap<>();
        typed.forEach((box, text) -> {
            boolean ours = box.equals(ROOT) || box.startsWith(ROOT + ".");
            if (ours && !text.isBlank()) {
                now.put(box, text.strip().replace("\r\n", "\n"));
            }
        });
        return stood.equals(now);
    }

    /** Whether a list of this shape is written in one box, a line each. */
    public static boolean isLines(Shape shape) {
        return shape instanceof Shape.Several several
                && !(several.each() instanceof Shape.Group)
                && !(several.each() instanceof Shape.Choice);
    }

    private static void write(Shape shape, @Nullable JsonNode value, String box, Map<String, String> boxes) {
        if (value == null || value.isMissingNode() || value.isNull()) {
            return;
        }
        if (shape instanceof Shape.Several several) {
            severals(several, value, box, boxes);
        } else if (shape instanceof Shape.Group group) {
            group.parts().forEach(part -> write(part.shape(), value.get(part.name()), box + "." + part.name(), boxes));
        } else if (shape instanceof Shape.Named named) {
            boxes.put(box, lines(named, value));
        } else if (shape instanceof Shape.YearsOr) {
            if (value.has(YEARS)) {
                boxes.put(box + "." + YEARS, value.get(YEARS).asString());
            } else {
                boxes.put(box, value.asString());
            }
        } else if (shape instanceof Shape.Pair) {
            boxes.put(box, pair(value));
        } else {
            boxes.put(box, value.asString());
        }
    }

    private static void severals(Shape.Several several, JsonNode value, String box, Map<String, String> boxes) {
        if (several.each() instanceof Shape.Choice) {
            value.forEach(each -> boxes.put(box + "." + each.asString(), "true"));
        } else if (isLines(several)) {
            if (value.isEmpty()) {
                return;
            }
            List<String> lines = new ArrayList<>();
            value.forEach(each -> lines.add(several.each() instanceof Shape.Pair ? pair(each) : each.asString()));
            boxes.put(box, String.join("\n", lines));
        } else {
            for (int i = 0; i < value.size(); i++) {
                write(several.each(), value.get(i), box + "." + i, boxes);
            }
        }
    }

    private static String pair(JsonNode value) {
        return value.get(0).asString() + ", " + value.get(1).asString();
    }

    /** {@code es: head piece = pieza de la cabeza}, a line each; of groups {@code manual: title = Manual; edition = 4}. */
    private static String lines(Shape.Named named, JsonNode value) {
        List<String> lines = new ArrayList<>();
        value.properties().forEach(each -> {
            if (named.each() instanceof Shape.Group) {
                lines.add(each.getKey() + ": "
                        + each.getValue().properties().stream()
                                .map(part ->
                                        part.getKey() + " = " + part.getValue().asString())
                                .collect(Collectors.joining("; ")));
            } else {
                each.getValue()
                        .properties()
                        .forEach(word -> lines.add(each.getKey() + ": " + word.getKey() + " = "
                                + word.getValue().asString()));
            }
        });
        return String.join("\n", lines);
    }

    private String typed(String box) {
        return typed.getOrDefault(box, "").strip();
    }

    private Optional<JsonNode> value(Shape shape, String box) {
        if (shape instanceof Shape.Several several) {
            return several(several, box);
        }
        if (shape instanceof Shape.Group group) {
            return group(group, box);
        }
        if (shape instanceof Shape.Named named) {
            return named(named, box);
        }
        if (shape instanceof Shape.YearsOr years && !typed(box + "." + YEARS).isEmpty()) {
            return number(new Shape.Figure(1, 25, true), box + "." + YEARS, typed(box + "." + YEARS))
                    .map(each -> JSON.objectNode().set(YEARS, each));
        }
        String text = typed(box);
        return text.isEmpty() ? Optional.empty() : scalar(shape, box, text);
    }

    private Optional<JsonNode> scalar(Shape shape, String box, String text) {
        if (shape instanceof Shape.Text words) {
            return text.length() <= words.longest()
                    ? Optional.of(JSON.stringNode(text))
                    : problem(box, text, Allowed.LETTERS, "1", String.valueOf(words.longest()));
        }
        if (shape instanceof Shape.Pattern pattern) {
            return text.matches(pattern.regex())
                    ? Optional.of(JSON.stringNode(text))
                    : problem(box, text, Allowed.valueOf(pattern.kind().toUpperCase(Locale.ROOT)));
        }
        if (shape instanceof Shape.Quantity quantity) {
            boolean none = quantity.orNone() && text.equals(NONE);
            return none || text.matches(quantity.regex())
                    ? Optional.of(JSON.stringNode(text))
                    : problem(box, text, allowed(quantity));
        }
        if (shape instanceof Shape.Figure figure) {
            return number(figure, box, text);
        }
        if (shape instanceof Shape.Flag) {
            return text.equals("true") || text.equals("false")
                    ? Optional.of(JSON.booleanNode(text.equals("true")))
                    : problem(box, text, Allowed.YES_OR_NO);
        }
        if (shape instanceof Shape.Pair) {
            return pair(box, text);
        }
        List<String> words = shape instanceof Shape.Choice choice ? choice.words() : ((Shape.YearsOr) shape).words();
        return words.contains(text)
                ? Optional.of(JSON.stringNode(text))
                : problem(box, text, Allowed.ONE_OF, String.join(", ", words), "");
    }

    private static Allowed allowed(Shape.Quantity quantity) {
        if (quantity.kind().equals("mass")) {
            return Allowed.MASS;
        }
        return quantity.orNone() ? Allowed.LENGTH_OR_NONE : Allowed.LENGTH;
    }

    private Optional<JsonNode> number(Shape.Figure figure, String box, String text) {
        Allowed kind = figure.whole() ? Allowed.WHOLE_NUMBER : Allowed.NUMBER;
        String least = plain(figure.least());
        String most = plain(figure.most());
        try {
            double number = Double.parseDouble(text.replace(',', '.'));
            boolean fits = number >= figure.least()
                    && number <= figure.most()
                    && (!figure.whole() || number == Math.rint(number));
            if (!fits) {
                return problem(box, text, kind, least, most);
            }
            return Optional.of(
                    number == Math.rint(number) && !text.contains(".")
                            ? JSON.numberNode((int) number)
                            : JSON.numberNode(number));
        } catch (NumberFormatException e) {
            return problem(box, text, kind, least, most);
        }
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }

    private Optional<JsonNode> pair(String box, String text) {
        String[] halves = text.split("[,;\\s]+");
        if (halves.length != 2) {
            return problem(box, text, Allowed.PAIR);
        }
        Shape.Figure millimetres = new Shape.Figure(-3000, 3000, false);
        Optional<JsonNode> x = number(millimetres, box, halves[0]);
        Optional<JsonNode> y = number(millimetres, box, halves[1]);
        return x.isPresent() && y.isPresent()
                ? Optional.of(JSON.arrayNode().add(x.get()).add(y.get()))
                : Optional.empty();
    }

    private Optional<JsonNode> several(Shape.Several several, String box) {
        ArrayNode all = JSON.arrayNode();
        if (several.each() instanceof Shape.Choice choice) {
            choice.words().stream()
                    .filter(word -> !typed(box + "." + word).isEmpty())
                    .forEach(all::add);
        } else if (isLines(several)) {
            typed(box)
                    .lines()
                    .map(String::strip)
                    .filter(line -> !line.isEmpty())
                    .forEach(line -> scalar(several.each(), box, line).ifPresent(all::add));
        } else {
            for (int i = 0; i < MOST_ROWS; i++) {
                String row = box + "." + i + ".";
                boolean filled = typed.entrySet().stream()
                        .anyMatch(each -> each.getKey().startsWith(row)
                                && !each.getValue().isBlank());
                if (filled) {
                    value(several.each(), box + "." + i).ifPresent(all::add);
                }
            }
        }
        return all.isEmpty() ? Optional.empty() : Optional.of(all);
    }

    private Optional<JsonNode> group(Shape.Group group, String box) {
        ObjectNode all = JSON.objectNode();
        for (Shape.Part part : group.parts()) {
            String inside = box + "." + part.name();
            Optional<JsonNode> value = value(part.shape(), inside);
            value.ifPresent(each -> all.set(part.name(), each));
            boolean refused = problems.stream().anyMatch(each -> each.box().startsWith(inside));
            if (part.needed() && value.isEmpty() && !refused && isBegun(box)) {
                problem(inside, "", Allowed.SOMETHING);
            }
        }
        return all.isEmpty() ? Optional.empty() : Optional.of(all);
    }

    private boolean isBegun(String box) {
        return typed.entrySet().stream()
                .anyMatch(each ->
                        each.getKey().startsWith(box + ".") && !each.getValue().isBlank());
    }

    private Optional<JsonNode> named(Shape.Named named, String box) {
        ObjectNode all = JSON.objectNode();
        for (String line : typed(box)
                .lines()
                .map(String::strip)
                .filter(each -> !each.isEmpty())
                .toList()) {
            int colon = line.indexOf(':');
            String name = colon < 0 ? "" : line.substring(0, colon).strip();
            String[] words = line.substring(colon + 1).split(named.each() instanceof Shape.Group ? ";" : "\0");
            boolean whole = !name.isEmpty();
            for (String word : words) {
                String[] halves = word.split("=", 2);
                if (!whole || halves.length != 2 || halves[0].isBlank() || halves[1].isBlank()) {
                    whole = false;
                    break;
                }
                ObjectNode there = all.path(name).isObject() ? (ObjectNode) all.get(name) : all.putObject(name);
                there.put(halves[0].strip(), halves[1].strip());
            }
            if (!whole) {
                problem(box, line, named.each() instanceof Shape.Group ? Allowed.DOCUMENT_LINE : Allowed.NAME_LINE);
            }
        }
        return all.isEmpty() ? Optional.empty() : Optional.of(all);
    }

    private Optional<JsonNode> problem(String box, String value, Allowed allowed) {
        return problem(box, value, allowed, "", "");
    }

    private Optional<JsonNode> problem(String box, String value, Allowed allowed, String lowest, String highest) {
        problems.add(new Problem(box, value, allowed, lowest, highest));
        return Optional.empty();
    }
}
