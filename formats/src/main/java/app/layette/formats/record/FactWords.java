package app.layette.formats.record;

import app.layette.core.entry.Fact;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Wording;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Says an entry's fact in a line: what kind it is, and each thing it says, in the reader's units. */
public final class FactWords {
    /** Where the words of a constant are, for kinds of constants that have words of their own. */
    private static final Map<Class<?>, String> PREFIXES = Map.ofEntries(
            Map.entry(app.layette.core.entry.Act.class, "act"),
            Map.entry(app.layette.core.entry.Area.class, "drawing.asFound"),
            Map.entry(app.layette.core.entry.Misuse.class, "misuse"),
            Map.entry(app.layette.core.entry.Method.class, "method"),
            Map.entry(app.layette.core.entry.Question.class, "question"),
            Map.entry(app.layette.core.entry.TeachItem.class, "teach"),
            Map.entry(app.layette.core.seat.HandlePosition.class, "handle"),
            Map.entry(Fact.OrderKind.class, "order"),
            Map.entry(Fact.ScreeningResult.class, "screening"),
            Map.entry(Fact.Part.class, "part"),
            Map.entry(Fact.Stage.class, "stage"),
            Map.entry(Fact.Garment.class, "garment"),
            Map.entry(Fact.TeachOutcome.class, "taught"),
            Map.entry(Belt.Kind.class, "beltKind"),
            Map.entry(Fact.Ending.class, "state"));

    private static final int DAYS_PER_WEEK = 7;

    private final Wording words;

    public FactWords(Wording words) {
        this.words = words;
    }

    /** The kind of a fact, in words. */
    public String kind(Fact fact) {
        return words.say("fact." + LayetteJson.kindOf(fact.getClass()));
    }

    /** What it says; empty where its kind says it all. */
    public String says(Fact fact) {
        if (fact instanceof Fact.Answered answered) {
            String question = words.say("question." + answered.question());
            String asked = answered.place() == null ? question : question + " (" + say(answered.place()) + ")";
            return asked + " " + words.say("answer." + answered.question() + "." + answered.answer());
        }
        if (fact instanceof Fact.Noted noted) {
            return noted.text();
        }
        if (fact instanceof Fact.CorrectionSigned signed) {
            return words.say(signed.taken() ? "record.itCounts" : "record.itDoesNot");
        }
        if (fact instanceof Fact.PhotoTaken photo) {
            return PhotoWords.of(photo.about(), words);
        }
        if (fact instanceof Fact.FoundSo found) {
            return words.say("misuse." + found.misuse()) + takenBack(found.there());
        }
        if (fact instanceof Fact.AreaLooked looked) {
            return words.say("drawing.asFound." + looked.area()) + ": " + words.say("record.nothingWrong")
                    + takenBack(looked.clear());
        }
        List<String> said = new ArrayList<>();
        if (fact instanceof Fact.SheetAdopted sheet) {
            said.add(sheet.of());
        }
        for (RecordComponent component : fact.getClass().getRecordComponents()) {
            Object value = value(fact, component);
            if (value != null
                    && !component.getName().equals("of")
                    && !value.toString().isBlank()) {
                said.add(say(component, value));
            }
        }
        return String.join(" · ", said);
    }

    private String takenBack(boolean stands) {
        return stands ? "" : " (" + words.say("record.takenBack") + ")";
    }

    private String say(RecordComponent component, Object value) {
        String key = "field." + component.getName();
        String name = words.knows(key)
                ? words.say(key)
                : component.getName().replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
        if (component.getName().equals("gestationDays")) {
            int days = (Integer) value;
            return name + " " + days / DAYS_PER_WEEK + "+" + days % DAYS_PER_WEEK;
        }
        boolean speaksForItself = value instanceof Enum<?> && !(value instanceof Fact.Strap);
        return speaksForItself ? say(value) : name + " " + say(value);
    }

    private String say(Object value) {
        if (value instanceof Mass mass) {
            return words.both(mass);
        }
        if (value instanceof Length length) {
            return words.both(length);
        }
        if (value instanceof Angle angle) {
            return angle.toString();
        }
        if (value instanceof LocalDate date) {
            return words.say(date);
        }
        if (value instanceof PositionId position) {
            return words.say("place." + position);
        }
        if (value instanceof Fact.Decision decision) {
            return decision.edition();
        }
        if (value instanceof Boolean yes) {
            return words.say(yes ? "record.yes" : "record.no");
        }
        if (value instanceof Enum<?> constant) {
            return constant(constant);
        }
        return String.valueOf(value);
    }

    /** A value that is one of a closed set, in words where it has any. */
    public String constant(Enum<?> constant) {
        String prefix = PREFIXES.get(constant.getDeclaringClass());
        String key = prefix + "." + constant.name();
        return prefix != null && words.knows(key)
                ? words.say(key)
                : constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static Object value(Fact fact, RecordComponent component) {
        try {
            return component.getAccessor().invoke(fact);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("The fact " + fact + " cannot be read", e);
        }
    }
}
