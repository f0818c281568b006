package app.layette.web.echo;

import app.layette.core.entry.PartialDate;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Gestation;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.FactForm;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.roll.RollGoodForm;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;

/** What a typed field was understood as: quantities in both unit systems, weeks and dates in words; or why it was not. */
final class Echo {
    private static final int DAYS_PER_WEEK = 7;

    private final Wording words;
    private final LocalDate today;

    Echo(Wording words, LocalDate today) {
        this.words = words;
        this.today = today;
    }

    /**
     * Empty while nothing is typed, and for what needs no saying.
     *
     * @param fields of the form, the kind of fact among them
     * @param field the one that is typed
     */
    Said of(Map<String, String> fields, String field) {
        if (fields.getOrDefault(field, "").isBlank()) {
            return new Said("", true);
        }
        try {
            return new Said(value(fields, field).map(this::say).orElse(""), true);
        } catch (RefusedEntryException e) {
            return new Said(words.say(e.problems().get(0)), false);
        }
    }

    /** What is said back, and whether the field was understood. */
    record Said(String text, boolean understood) {}

    /** Of a fact; or of a cloth or noodle, which is none. */
    private Optional<Object> value(Map<String, String> fields, String field) {
        Optional<Object> read = FactForm.one(fields, field, today);
        return read.isPresent() ? read : RollGoodForm.one(fields, field).map(length -> length);
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
        if (value instanceof LocalDate day) {
            return day(day);
        }
        if (value instanceof PartialDate printed) {
            return printed.day().map(words::say).orElseGet(() -> month(printed));
        }
        return value instanceof FactForm.Weeks weeks ? weeks(weeks.days()) : "";
    }

    private String day(LocalDate day) {
        long ago = ChronoUnit.DAYS.between(day, today);
        String how = ago == 0 ? "echo.today" : ago == 1 ? "echo.yesterday" : ago > 0 ? "echo.ago" : "echo.ahead";
        return words.say(how, Map.of("day", Argument.of(words.say(day)), "days", Argument.of((double) Math.abs(ago))));
    }

    private String month(PartialDate printed) {
        return words.wholeMonth(printed.month());
    }

    private String weeks(int days) {
        return words.say(
                "echo.weeks",
                Map.of(
                        "weeks", Argument.of((double) (days / DAYS_PER_WEEK)),
                        "days", Argument.of((double) (days % DAYS_PER_WEEK)),
                        "written", Argument.of(Gestation.written(days))));
    }
}
