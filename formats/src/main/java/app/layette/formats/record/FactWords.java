package app.layette.formats.record;

import app.layette.core.child.Sex;
import app.layette.core.entry.Act;
import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactField;
import app.layette.core.entry.FactFields;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatKind;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.formats.wording.Wording;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Says an entry's fact in a line: what kind it is, and each thing it says, in the reader's units. */
public final class FactWords {
    /** What stands before the name of a constant, to make the key of its words; the first that knows it. */
    private static final Map<Class<?>, List<String>> PREFIXES = Map.ofEntries(
            prefixes(Act.class, "act"),
            prefixes(Area.class, "drawing.asFound"),
            prefixes(Misuse.class, "misuse"),
            prefixes(Method.class, "method"),
            prefixes(TeachItem.class, "teach"),
            prefixes(HandlePosition.class, "handle"),
            prefixes(SheetValue.class, "value", "asks"),
            prefixes(PermissionKey.class, "asks"),
            prefixes(Speaker.class, "speaker"),
            prefixes(Said.class, "page"),
            prefixes(SeatKind.class, "seatKind"),
            prefixes(Sex.class, "sex"),
            prefixes(Indicator.Kind.class, "indicator"),
            prefixes(Indicator.Pass.class, "pass"),
            prefixes(Indicator.Reading.class, "level"),
            prefixes(Belt.Kind.class, "beltKind"),
            prefixes(Belt.Retractor.class, "retractor"),
            prefixes(Belt.LatchPlate.class, "answer.LATCH_PLATE"),
            prefixes(SeatingPosition.Facing.class, "facing"),
            prefixes(SeatingPosition.Airbag.class, "airbag"),
            prefixes(SeatingPosition.OwnAnchors.class, "anchors"),
            prefixes(SeatingPosition.Floor.class, "floor"),
            prefixes(Fact.OrderKind.class, "order"),
            prefixes(Fact.ScreeningResult.class, "screening"),
            prefixes(Fact.Part.class, "part"),
            prefixes(Fact.Stage.class, "stage"),
            prefixes(Fact.Garment.class, "garment"),
            prefixes(Fact.TeachOutcome.class, "taught"),
            prefixes(Fact.Quantity.class, "asks"),
            prefixes(Fact.Dimension.class, "dimension"),
            prefixes(Fact.InsertState.class, "insertState"),
            prefixes(Fact.PageSays.class, "page"),
            prefixes(Fact.BeltSort.class, "beltSort"),
            prefixes(Fact.RoutingsShown.class, "routings"),
            prefixes(Fact.AngleSource.class, "source"),
            prefixes(Fact.RollKind.class, "roll"),
            prefixes(Fact.Softness.class, "softness"),
            prefixes(Fact.Strap.class, "rethread.strap"),
            prefixes(Fact.WebbingMove.class, "moved"),
            prefixes(Fact.Adoption.class, "adoption"),
            prefixes(Fact.TimeBox.class, "timeBox"),
            prefixes(Fact.Ending.class, "state"));

    private static Map.Entry<Class<?>, List<String>> prefixes(Class<?> type, String... prefixes) {
        return Map.entry(type, List.of(prefixes));
    }

    private static final int DAYS_PER_WEEK = 7;

    private final Wording words;

    public FactWords(Wording words) {
        this.words = words;
    }

    /** The kind of a fact, in words. */
    public String kind(Fact fact) {
        return words.say("fact." + FactFields.nameOf(fact.getClass()));
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
        if (fact instanceof Fact.SheetValueRead read && words.knows("value." + read.value() + "." + read.says())) {
            String place = read.place() == null ? "" : " (" + say(read.place()) + ")";
            said.add(constant(read.value()) + place + " " + words.say("value." + read.value() + "." + read.says()));
            return String.join(" · ", said);
        }
        if (fact instanceof Fact.SheetAdopted sheet) {
            said.add(sheet.of().text());
        }
        for (FactField field : FactFields.of(fact.getClass())) {
            Object value = field.in(fact);
            if (value != null && !field.isSubject() && !value.toString().isBlank()) {
                said.add(say(field, value));
            }
        }
        return String.join(" · ", said);
    }

    private String takenBack(boolean stands) {
        return stands ? "" : " (" + words.say("record.takenBack") + ")";
    }

    /** What a field is called. */
    public String name(FactField field) {
        return words.say("field." + field.name());
    }

    private String say(FactField field, Object value) {
        String name = name(field);
        if (field.isWeeks()) {
            return name + " " + weeks((Integer) value);
        }
        boolean speaksForItself =
                value instanceof Question || value instanceof Enum<?> && !(value instanceof Fact.Strap);
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
            return words.figure(angle.toString());
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
        if (value instanceof Question question) {
            return words.say("question." + question.name());
        }
        if (value instanceof Enum<?> constant) {
            return constant(constant);
        }
        return String.valueOf(value);
    }

    /** Whether there are words for a value that is one of a closed set. */
    boolean hasWordsFor(Enum<?> constant) {
        return key(constant).isPresent();
    }

    private Optional<String> key(Enum<?> constant) {
        return PREFIXES.getOrDefault(constant.getDeclaringClass(), List.of()).stream()
                .map(prefix -> prefix + "." + constant.name())
                .filter(words::knows)
                .findFirst();
    }

    /** A value that is one of a closed set, in words. */
    public String constant(Enum<?> constant) {
        return key(constant)
                .map(words::say)
                .orElseGet(() -> constant.name().toLowerCase(Locale.ROOT).replace('_', ' '));
    }

    /** Days of a pregnancy as weeks and days, as they are typed too: 38+2. */
    public static String weeks(int days) {
        return days / DAYS_PER_WEEK + "+" + days % DAYS_PER_WEEK;
    }
}
