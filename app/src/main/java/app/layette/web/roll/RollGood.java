package app.layette.web.roll;

import app.layette.core.entry.Fact.RollKind;
import app.layette.core.entry.Fact.Softness;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Length;
import app.layette.core.recline.roll.Cloth;
import app.layette.core.recline.roll.Noodle;
import app.layette.core.recline.roll.RollMaker;
import app.layette.core.recline.roll.Towel;
import app.layette.formats.svg.RollPicture;
import app.layette.formats.wording.Wording;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/** Something that can be rolled or laid under a foot end. */
public sealed interface RollGood {
    /** What it is called here. */
    String name();

    /** The ways in which it makes a lift; none when it is too short, too thin or too thick for it. */
    List<Way> ways(RollMaker maker, Length lift);

    /**
     * One way.
     *
     * @param kind of roll
     * @param recipe what to do and what it lifts
     * @param fields of the entry that says it was done
     */
    record Way(RollKind kind, RollMaker.Recipe recipe, Map<String, String> fields) {}

    /** How high it holds a foot end at the most, in words. */
    String high(Wording words);

    /** How it lies there, to scale. */
    String picture();

    /** Says what to do. */
    String say(Way way, Wording words);

    /** A cloth. */
    record OfCloth(Cloth cloth) implements RollGood {
        @Override
        public String name() {
            return cloth.name();
        }

        @Override
        public List<Way> ways(RollMaker maker, Length lift) {
            return maker.recipes(lift, List.of(cloth), List.of()).stream()
                    .map(recipe -> {
                        Towel towel = (Towel) recipe.roll();
                        Map<String, String> fields = new LinkedHashMap<>();
                        fields.put("thickness", millimetres(towel.thickness()));
                        fields.put("layers", String.valueOf(towel.layers()));
                        fields.put("rolled", millimetres(towel.rolled()));
                        return new Way(RollKind.TOWEL, recipe, fields);
                    })
                    .toList();
        }

        @Override
        public String say(Way way, Wording words) {
            Towel towel = (Towel) way.recipe().roll();
            return words.say(
                    "ask.ROLL.cloth",
                    Map.of(
                            "cloth", Argument.of(name()),
                            "layers", Argument.of(towel.layers()),
                            "rolled", Argument.of(towel.rolled()),
                            "lift", Argument.of(way.recipe().lift())));
        }

        @Override
        public String high(Wording words) {
            Length highest = RollMaker.whole(cloth).height();
            return words.say("roll.highest", Map.of("height", Argument.of(highest)));
        }

        @Override
        public String picture() {
            return RollPicture.of(RollMaker.whole(cloth));
        }
    }

    /** A foam noodle, one or three taped as a triangle. */
    record OfNoodle(String name, Length diameter, Softness softness) implements RollGood {
        @Override
        public List<Way> ways(RollMaker maker, Length lift) {
            return Stream.of(RollKind.NOODLE, RollKind.NOODLE_TRIANGLE)
                    .flatMap(kind -> {
                        Noodle noodle = of(kind == RollKind.NOODLE ? Noodle.Bundle.ONE : Noodle.Bundle.TRIANGLE);
                        return maker.recipes(lift, List.of(), List.of(noodle)).stream()
                                .map(recipe -> new Way(
                                        kind,
                                        recipe,
                                        Map.of("diameter", millimetres(diameter), "softness", softness.name())));
                    })
                    .toList();
        }

        @Override
        public String say(Way way, Wording words) {
            return words.say(
                    "ask.ROLL." + way.kind(),
                    Map.of(
                            "noodle", Argument.of(name()),
                            "diameter", Argument.of(diameter),
                            "lift", Argument.of(way.recipe().lift())));
        }

        @Override
        public String high(Wording words) {
            return words.say(
                    "roll.noodleHigh",
                    Map.of(
                            "one", Argument.of(of(Noodle.Bundle.ONE).height()),
                            "three", Argument.of(of(Noodle.Bundle.TRIANGLE).height())));
        }

        @Override
        public String picture() {
            return RollPicture.of(of(Noodle.Bundle.ONE), of(Noodle.Bundle.TRIANGLE));
        }

        private Noodle of(Noodle.Bundle bundle) {
            return new Noodle(diameter, softness == Softness.SOFT ? Noodle.SOFT : Noodle.FIRM, bundle);
        }
    }

    private static String millimetres(Length length) {
        return String.format(Locale.ROOT, "%.1f mm", length.millimetres());
    }
}
