package app.layette.web.fitting;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.growth.UsualMeasures;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.MassRange;
import app.layette.formats.wording.Wording;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/** Asks about a measure that hardly any child of the age has; whoever says that it is right is believed. */
public final class Unusual {
    public static final String REASON = "UNUSUAL";
    /** Field in which the form says that this very text is right. */
    public static final String SURE = "sure";

    private Unusual() {}

    /** What is to be asked about; empty when nothing is, or when it was answered. */
    public static Optional<FieldProblem> problem(
            Fact fact, Child child, LocalDate today, Map<String, String> fields, Wording words) {
        if (child.born().isAfter(today)) {
            return Optional.empty();
        }
        if (fact instanceof Fact.Weighed weighed) {
            MassRange usual = UsualMeasures.weight(child.born(), child.gestationDays(), today);
            return usual.contains(weighed.mass())
                    ? Optional.empty()
                    : asked("mass", fields, words.both(usual.min()), words.both(usual.max()));
        }
        if (fact instanceof Fact.LengthMeasured measured && measured.what() == Fact.Dimension.BODY) {
            LengthRange usual = UsualMeasures.length(child.born(), child.gestationDays(), today);
            return usual.contains(measured.length())
                    ? Optional.empty()
                    : asked("length", fields, words.both(usual.min()), words.both(usual.max()));
        }
        return Optional.empty();
    }

    private static Optional<FieldProblem> asked(
            String field, Map<String, String> fields, String lowest, String highest) {
        String typed = fields.getOrDefault(field, "").strip();
        boolean sure =
                !typed.isEmpty() && typed.equals(fields.getOrDefault(SURE, "").strip());
        return sure ? Optional.empty() : Optional.of(new FieldProblem(field, typed, REASON, lowest, highest));
    }
}
