package app.layette.core.bench.act;

import app.layette.core.entry.Question;
import app.layette.core.recline.ReclineAdvice.PressPoint;
import java.util.Locale;

/**
 * One thing done on the bench.
 *
 * @param what which of those that a hand has: a setting, an area, {@code QUESTION=ANSWER}; empty where there is one only
 * @param force with which it is done, in newtons; 0 where none is meant
 * @param pull with which the other hand pulls webbing in, in newtons
 */
public record Doing(Hand hand, String what, double force, double pull) {
    /** More than anybody can press or pull. */
    public static final double MOST_NEWTONS = 1000;

    public Doing {
        if (!hand.takes(what)) {
            throw new IllegalArgumentException("There is nothing of the kind (" + hand + " " + what + ")");
        }
        if (!(force >= 0 && force <= MOST_NEWTONS) || !(pull >= 0 && pull <= MOST_NEWTONS)) {
            throw new IllegalArgumentException(
                    "A force (" + force + ", " + pull + " N) must be one of a person; allowed 0 to " + MOST_NEWTONS);
        }
    }

    public static Doing of(Hand hand) {
        return new Doing(hand, "", 0, 0);
    }

    public static Doing of(Hand hand, Object what) {
        return new Doing(hand, what.toString(), 0, 0);
    }

    public static Doing make(Question question, String answer) {
        return new Doing(Hand.MAKE, question + "=" + answer, 0, 0);
    }

    public static Doing make(Question question, Enum<?> answer) {
        return make(question, answer.name());
    }

    public static Doing press(PressPoint at, double force, double pull) {
        return new Doing(Hand.PRESS, at.name(), force, pull);
    }

    public static Doing tail(double newtons) {
        return new Doing(Hand.PULL_TAIL, "", newtons, 0);
    }

    /** As it is kept: {@code PRESS MIDDLE 300 50}. */
    public String text() {
        return String.format(Locale.ROOT, "%s %s %.0f %.0f", hand, what.isEmpty() ? "-" : what, force, pull);
    }

    /**
     * As it was kept.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Doing parse(String text) {
        String[] parts = text.split(" ");
        if (parts.length != 4) {
            throw new IllegalArgumentException("What was done (" + text + ") must have four parts");
        }
        return new Doing(
                Hand.valueOf(parts[0]),
                parts[1].equals("-") ? "" : parts[1],
                Double.parseDouble(parts[2]),
                Double.parseDouble(parts[3]));
    }
}
