package app.layette.web.drill;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.hands.Sensed;
import app.layette.core.bench.run.TakenApart.Point;
import app.layette.core.entry.Question;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Force;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.wording.Wording;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Says what is done on the bench and what is seen or felt of it; so that a whole run can be done by ear. */
final class DrillWords {
    private static final double GRAMS_PER_KG = 1000;
    private static final double GRAMS_PER_LB = 453.59237;
    private static final double NEWTONS_PER_GRAM = 0.00980665;

    private final Wording words;

    DrillWords(Wording words) {
        this.words = words;
    }

    /** What is done, as a button and as a line of what was done. */
    String of(Doing doing) {
        return switch (doing.hand()) {
            case MAKE -> made(doing.what());
            case PRESS ->
                words.say(
                        doing.pull() > 0 ? "drill.do.PRESS.PULL" : "drill.do.PRESS",
                        Map.of(
                                "at",
                                new Argument.OfKey("drill.at." + doing.what()),
                                "force",
                                Argument.of(weight(doing.force())),
                                "pull",
                                Argument.of(weight(doing.pull()))));
            case PULL_TAIL -> words.say("drill.do.PULL_TAIL", Map.of("force", Argument.of(weight(doing.force()))));
            case INSERT -> {
                String[] parts = doing.what().split("=");
                yield words.say(
                        "drill.do.INSERT." + parts[1], Map.of("piece", new Argument.OfKey("drill.piece." + parts[0])));
            }
            case HANDLE -> words.say("drill.do.HANDLE", Map.of("to", new Argument.OfKey("handle." + doing.what())));
            case TEACH -> words.say("drill.do.TEACH", Map.of("item", new Argument.OfKey("teach." + doing.what())));
            case PUT_RIGHT, RULE_OUT, STOP ->
                words.say("drill.do." + doing.hand(), Map.of("what", new Argument.OfKey("misuse." + doing.what())));
            case SET_DEVICE, THREAD, CROTCH ->
                words.say("drill.do." + doing.hand(), Map.of("number", Argument.of(doing.what())));
            case MOVE_FRONT_SEAT -> {
                double by = Double.parseDouble(doing.what());
                yield words.say(
                        by > 0 ? "drill.do.MOVE_FRONT_SEAT.AWAY" : "drill.do.MOVE_FRONT_SEAT.NEAR",
                        Map.of("by", Argument.of(Length.ofMillimetres(Math.abs(by)))));
            }
            default -> {
                String key = "drill.do." + doing.hand();
                yield words.say(doing.what().isEmpty() ? key : key + "." + doing.what());
            }
        };
    }

    private String made(String what) {
        String[] parts = what.split("=");
        return words.say("question." + parts[0]) + " " + words.say("answer." + parts[0] + "." + parts[1]);
    }

    /** A force as a weight, in whole units: nobody presses to the ounce. */
    private Mass weight(double newtons) {
        double unit = words.units() == UnitSystem.METRIC ? GRAMS_PER_KG : GRAMS_PER_LB;
        return Mass.ofGrams(Math.round(newtons / NEWTONS_PER_GRAM / unit) * unit);
    }

    /** What was seen or felt; empty where there is nothing to say beyond that it was done. */
    Optional<String> of(Sensed sensed) {
        if (sensed.says().equals("DONE")) {
            return Optional.empty();
        }
        if (sensed.about().equals("MARK")) {
            return Optional.of(words.say("misuse." + sensed.says()));
        }
        if (sensed.about().startsWith("PIECE_")) {
            String piece = words.say("drill.piece." + sensed.about().substring("PIECE_".length()));
            return Optional.of(words.say("drill.sense.PIECE." + sensed.says(), Map.of("piece", Argument.of(piece))));
        }
        if (sensed.about().equals("CROTCH")) {
            return Optional.of(words.say("drill.sense.CROTCH", Map.of("number", Argument.of(sensed.says()))));
        }
        if (sensed.about().equals("HANDLE")) {
            return Optional.of(
                    words.say("drill.sense.HANDLE", Map.of("to", new Argument.OfKey("handle." + sensed.says()))));
        }
        String own = "drill.sense." + sensed.about() + "." + sensed.says();
        if (words.knows(own)) {
            return Optional.of(words.say(own));
        }
        if (sensed.says().equals("NOT_YET")) {
            return Optional.of(words.say("question." + sensed.about()) + " " + words.say("drill.sense.NOT_YET"));
        }
        return Optional.of(words.say("question." + Question.valueOf(sensed.about())) + " "
                + words.say("answer." + sensed.about() + "." + sensed.says()));
    }

    /** What a point of the taking apart is about. */
    String of(Point point) {
        return words.say((point.isMisuse() ? "misuse." : "conclusion.") + point.about());
    }

    /** Newtons of a weight typed in this person's units. */
    double newtons(double typed) {
        double grams = typed * (words.units() == UnitSystem.METRIC ? GRAMS_PER_KG : GRAMS_PER_LB);
        return grams * NEWTONS_PER_GRAM;
    }

    /** The unit in which a force is typed. */
    String unit() {
        return words.units() == UnitSystem.METRIC ? "kg" : "lb";
    }

    /** A force as it is typed. */
    String typed(Force force) {
        double grams = force.newtons() / NEWTONS_PER_GRAM;
        double unit = words.units() == UnitSystem.METRIC ? GRAMS_PER_KG : GRAMS_PER_LB;
        return String.format(Locale.ROOT, "%.0f", grams / unit);
    }
}
