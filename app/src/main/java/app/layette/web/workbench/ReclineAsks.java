package app.layette.web.workbench;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.AngleSource;
import app.layette.core.entry.Fact.RollKind;
import app.layette.core.entry.Fact.RollPlaced;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.TeachItem;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.measure.Length;
import app.layette.core.recline.GroundLevel;
import app.layette.core.recline.LevelWithChild;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.recline.ReclineAdvice.Setting;
import app.layette.core.recline.ReclineSetUp;
import app.layette.core.recline.RollAllowed;
import app.layette.core.recline.WayOut;
import app.layette.core.recline.roll.RollMaker;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SettingId;
import app.layette.core.step.Ask;
import app.layette.formats.svg.ReadingPicture;
import app.layette.formats.wording.Wording;
import app.layette.web.roll.RollGood;
import app.layette.web.workbench.AskView.Button;
import app.layette.web.workbench.AskView.Form;
import app.layette.web.workbench.AskView.Input;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The asks about the recline: the ground, the device, a roll, and the looks at the level. */
final class ReclineAsks extends AskForms {
    /** More settings than this are chosen from a list, the likely ones before it. */
    private static final int MOST_BUTTONS = 9;

    /** Marks the form that asks for a recipe and enters nothing. */
    static final String HERE = "here";
    /** Field that says what an indicator shows on its other side. */
    static final String BOTH_SIDES = "sides";

    private final Stock stock;

    ReclineAsks(FittingPlan plan, Wording words, Typed typed, Stock stock) {
        super(plan, words, typed);
        this.stock = stock;
    }

    AskView ground(Ask ask) {
        Form byAngle = new Form(
                hidden("groundMeasured", unit()),
                List.of(),
                List.of(input("groundMeasured", "pitch", "text", "", "0.4")),
                words.say("submit.measure"));
        Form bySills = new Form(
                        hidden("sillsRead", unit()),
                        List.of(),
                        List.of(
                                input("sillsRead", "first", "text", "", "1.6"),
                                input("sillsRead", "turned", "text", "", "0.4")),
                        words.say("submit.sills"))
                .foldedUnder(words.say("fold.sills"));
        Form lean = new Form(
                        hidden("leanMeasured", unit()),
                        List.of(),
                        List.of(input("leanMeasured", "lean", "text", "", "2")),
                        words.say("submit.lean"))
                .foldedUnder(words.say("fold.lean"));
        AskView asked = question(ask, Question.GROUND, List.of(byAngle, bySills, lean));
        String rake = GroundLevel.sillRake(situation)
                .map(each -> words.say("current.sillRake", Map.of("rake", Argument.of(each))))
                .orElse("");
        return asked.withHelp((asked.help() + " " + rake).strip());
    }

    AskView device(Ask ask) {
        Optional<SettingId> set =
                situation.newest(Fact.DeviceSet.class).map(each -> each.value().step());
        List<Recline.Step> steps = ReclineSetUp.settings(situation);
        List<Form> forms = new ArrayList<>();
        forms.add(new Form(
                hidden("deviceSet", unit()),
                likely(steps).stream()
                        .map(step -> new Button(
                                "step",
                                step.name().text(),
                                lastLabel(step.name()),
                                "",
                                set.filter(step.name()::equals).isPresent()))
                        .toList(),
                List.of(),
                ""));
        if (steps.size() > MOST_BUTTONS) {
            Map<String, String> options = new LinkedHashMap<>();
            steps.forEach(step -> options.put(step.name().text(), step.name().text()));
            forms.add(new Form(
                    hidden("deviceSet", unit()),
                    List.of(),
                    List.of(select("deviceSet", "step", set.map(SettingId::text).orElse(""), options)),
                    words.say("submit.device")));
        }
        if (ReclineSetUp.cushionSlope(situation).isEmpty()) {
            forms.add(new Form(
                    hidden("cushionMeasured", unit()),
                    List.of(),
                    List.of(input("cushionMeasured", "slope", "text", "", "12")),
                    words.say("submit.slope")));
        }
        String current =
                set.map(each -> say("current.step", "step", each.text())).orElse("");
        String help = plan.recline().isPresent() ? "" : words.say("device.cannotCompute");
        String title = words.say("device.title." + Ladder.device(situation));
        return new AskView(id(ask), title, help, ask.answered(), current, forms);
    }

    /** The setting that this seat had at this place of this car the last time, and how many goes it took, is named. */
    private String lastLabel(SettingId setting) {
        return stock.lastSetUp()
                .get()
                .filter(last -> last.setting().filter(setting::equals).isPresent())
                .filter(last -> situation
                        .placed()
                        .filter(placed -> placed.value().position().equals(last.place())
                                && placed.value().method() == last.method())
                        .isPresent())
                .map(last -> words.say(
                        "last.setting",
                        Map.of(
                                "setting", Argument.of(deviceLabel(setting)),
                                "on", Argument.of(last.on()),
                                "goes", Argument.of(last.goes()))))
                .orElseGet(() -> deviceLabel(setting));
    }

    /** All settings where they are few; else the advised one with its neighbours, and the one it stands at. */
    private List<Recline.Step> likely(List<Recline.Step> steps) {
        if (steps.size() <= MOST_BUTTONS) {
            return steps;
        }
        List<SettingId> names = steps.stream().map(Recline.Step::name).toList();
        int advised = plan.recline()
                .flatMap(ReclineAdvice::recommended)
                .map(names::indexOf)
                .orElse(0);
        Optional<SettingId> now = ReclineSetUp.stepNow(situation).map(Recline.Step::name);
        return steps.stream()
                .filter(step -> Math.abs(names.indexOf(step.name()) - advised) <= 2
                        || now.filter(step.name()::equals).isPresent())
                .toList();
    }

    private String deviceLabel(SettingId step) {
        return plan.recline()
                .flatMap(advice -> advice.setting(step).map(setting -> deviceLabel(advice, setting)))
                .orElseGet(step::text);
    }

    private String deviceLabel(ReclineAdvice advice, Setting setting) {
        AdviceWords said = Ladder.words(situation, advice, words);
        String tryIt = advice.recommended().filter(setting.name()::equals).isPresent()
                ? " · " + words.say("device.tryIt")
                : "";
        String chance = said.chance(setting);
        return words.say(
                        "device.setting",
                        Map.of("step", Argument.of(setting.name()), "recline", Argument.of(setting.recline())))
                + (chance.isEmpty() ? "" : " · " + chance)
                + tryIt;
    }

    AskView level(Ask ask) {
        Stage stage = Stage.valueOf(ask.key());
        Optional<Indicator> indicator =
                situation.seat().flatMap(seat -> seat.recline().indicator().value());
        Optional<Indicator.Reading> read = situation
                .level(stage)
                .filter(each -> stage == Stage.CHILD || each.seq() > situation.lastDeviceChange())
                .map(each -> each.value().reading());
        Indicator.Kind kind = indicator.map(Indicator::kind).orElse(Indicator.Kind.BUBBLE);
        List<Form> forms = new ArrayList<>();
        if (stage == Stage.CHILD && LevelWithChild.areSidesAsked(situation)) {
            forms.add(bothSides(kind, false));
        }
        if (indicator.isPresent() || stage == Stage.CHILD) {
            forms.add(pictures(stage, kind, read));
        }
        boolean twoSides = indicator
                .flatMap(each -> Optional.ofNullable(each.sides()))
                .map(sides -> sides == Indicator.Sides.BOTH)
                .orElse(false);
        if (twoSides && stage == Stage.CHILD) {
            forms.add(sides());
        }
        if (stage == Stage.CHILD && indicator.isPresent() && isToTeach(TeachItem.READ_LEVEL)) {
            forms.add(bothSides(kind, true));
        }
        forms.add(byNumber(stage));
        String current =
                read.map(each -> words.say("reading." + kind + "." + each)).orElse("");
        String where =
                indicator.map(each -> words.say("ask.LEVEL." + each.mount())).orElse("");
        String help = stage == Stage.CHILD ? where : (where + " " + words.say("ask.LEVEL.look")).strip();
        boolean onArms = situation
                .method()
                .filter(method -> method.isByRigidArms() && stage == Stage.PRESSED)
                .isPresent();
        String title = words.say(onArms ? "ask.LEVEL.ARMS" : stage == Stage.CHILD ? "ask.LEVEL" : "ask.LEVEL." + stage);
        return new AskView(id(ask), title, help, ask.answered(), current, forms);
    }

    /** In the band on both sides, looked at on both: two answers with one press. */
    private Form bothSides(Indicator.Kind kind, boolean byCaregiver) {
        Indicator.Reading inside = Indicator.Reading.INSIDE;
        boolean both = LevelWithChild.areSidesAsked(situation);
        String plain = words.say("reading." + kind + "." + inside);
        String sides = both ? words.say("reading.bothSides", Map.of("reading", Argument.of(plain))) : plain;
        String said = byCaregiver ? words.say("taught.withLevel", Map.of("reading", Argument.of(sides))) : sides;
        Map<String, String> hidden = hidden("levelRead", unit(), "stage", Stage.CHILD.name());
        if (both) {
            hidden.put(BOTH_SIDES, LevelWithChild.Answer.ALIKE.name());
        }
        if (byCaregiver) {
            hidden.put(TAUGHT, TeachItem.READ_LEVEL.name());
        }
        Button button =
                new Button("reading", inside.name(), Wording.capital(said), ReadingPicture.of(kind, inside), false);
        return new Form(hidden, List.of(button), List.of(), "");
    }

    private Form pictures(Stage stage, Indicator.Kind kind, Optional<Indicator.Reading> read) {
        List<Button> buttons = new ArrayList<>();
        for (Indicator.Reading reading : Indicator.Reading.values()) {
            buttons.add(new Button(
                    "reading",
                    reading.name(),
                    Wording.capital(words.say("reading." + kind + "." + reading)),
                    ReadingPicture.of(kind, reading),
                    read.filter(each -> each == reading).isPresent()));
        }
        return new Form(hidden("levelRead", unit(), "stage", stage.name()), buttons, List.of(), "");
    }

    /** Where the indicator is on both sides: whether they show the same. */
    private Form sides() {
        Optional<String> given = situation.answer(Question.SIDES).map(Stamped::value);
        List<Button> buttons = Answers.to(Question.SIDES).stream()
                .map(answer -> new Button(
                        "answer",
                        answer,
                        words.say("answer.SIDES." + answer),
                        "",
                        given.filter(answer::equals).isPresent()))
                .toList();
        return new Form(hidden("answered", unit(), "question", Question.SIDES.name()), buttons, List.of(), "");
    }

    private Form byNumber(Stage stage) {
        String kind = "angleRead";
        boolean here = !typed.isFor(kind) || stage.name().equals(typed.fields().get("stage"));
        ReclineAsks view = here ? this : new ReclineAsks(plan, words, Typed.NOTHING, stock);
        List<Input> inputs = List.of(
                view.input(kind, "angle", "text", "", "41"),
                view.select(kind, "source", AngleSource.LEVEL.name(), options(AngleSource.class, "source", false)));
        return new Form(hidden(kind, unit(), "stage", stage.name()), List.of(), inputs, words.say("submit.angle"))
                .foldedUnder(words.say("fold.number"));
    }

    AskView roll(Ask ask) {
        Optional<RollPlaced> placed = situation.newest(RollPlaced.class).map(Stamped::value);
        List<Form> forms = new ArrayList<>();
        Optional<Length> lift = wantedLift();
        lift.ifPresent(wanted -> recipes(wanted).forEach(forms::add));
        forms.add(new Form(
                hidden("rollPlaced", unit()),
                List.of(new Button(
                        "roll",
                        RollKind.NONE.name(),
                        words.say("roll.none"),
                        "",
                        placed.filter(each -> each.roll() == RollKind.NONE).isPresent())),
                List.of(),
                ""));
        if (lift.isPresent()) {
            forms.add(here());
        }
        forms.add(typedTowel());
        forms.add(typedNoodle());
        String current = placed.map(each -> words.say("roll." + each.roll())).orElse("");
        String help = words.say("ask.ROLL.help")
                + lift.map(each -> " " + words.say("ask.ROLL.lift", Map.of("lift", Argument.of(each))))
                        .orElse("");
        return new AskView(id(ask), words.say("ask.ROLL"), help, ask.answered(), current, forms);
    }

    /** The lift a roll has to make: of the advised setting where a roll is all there is, else what is missing. */
    private Optional<Length> wantedLift() {
        return plan.recline()
                .flatMap(advice -> advice.byRoll()
                        ? advice.toTry().map(Setting::lift)
                        : advice.waysOut().stream()
                                .map(WayOut::lift)
                                .flatMap(Optional::stream)
                                .findFirst())
                .filter(lift -> lift.isMoreThan(Length.ZERO));
    }

    private List<Form> recipes(Length lift) {
        Length contact = situation
                .seat()
                .flatMap(seat -> seat.recline().contact().value())
                .orElseThrow();
        Length width = situation
                .seat()
                .flatMap(seat -> seat.recline().rollWidth().value())
                .orElse(RollMaker.USUAL_WIDTH);
        RollMaker maker = new RollMaker(contact, width);
        return stock.rolls()
                .flatMap(good -> good.ways(maker, lift).stream().map(way -> recipe(good, way)))
                .toList();
    }

    private Form recipe(RollGood good, RollGood.Way way) {
        Map<String, String> hidden = hidden("rollPlaced", unit());
        hidden.putAll(way.fields());
        hidden.put("underFoot", String.valueOf(RollAllowed.isWithFoot(situation)));
        String permission = words.say("permission." + RollAllowed.permission(situation, way.kind()));
        String label = good.say(way, words) + " " + Wording.capital(permission) + ".";
        return new Form(hidden, List.of(new Button("roll", way.kind().name(), label, "", false)), List.of(), "");
    }

    /** A cloth at hand, by its sizes: nothing is entered, the recipe is worked out. */
    private Form here() {
        String kind = HERE;
        return new Form(
                        hidden(kind, unit()),
                        List.of(),
                        List.of(
                                input(kind, "clothLength", "text", "", "900 mm, 35 in"),
                                input(kind, "clothWidth", "text", "", "500 mm, 20 in"),
                                input(kind, "clothThickness", "text", "", "4 mm")),
                        words.say("submit.here"))
                .foldedUnder(words.say("roll.here"));
    }

    private Form typedTowel() {
        String kind = "rollPlaced";
        return new Form(
                        hidden(kind, unit(), "roll", RollKind.TOWEL.name()),
                        List.of(),
                        List.of(
                                input(kind, "thickness", "text", "", "4 mm"),
                                input(kind, "layers", "text", "", "2"),
                                input(kind, "rolled", "text", "", "160 mm, 6 1/4 in"),
                                underFoot(kind)),
                        words.say("submit.rollTowel"))
                .foldedUnder(words.say("fold.rollTowel"));
    }

    private Form typedNoodle() {
        String kind = "rollPlaced";
        Map<String, String> kinds = new LinkedHashMap<>();
        for (RollKind each : new RollKind[] {RollKind.NOODLE, RollKind.NOODLE_TRIANGLE}) {
            kinds.put(each.name(), words.say("roll." + each));
        }
        return new Form(
                        hidden(kind, unit()),
                        List.of(),
                        List.of(
                                select(kind, "roll", RollKind.NOODLE.name(), kinds),
                                input(kind, "diameter", "text", "", "65 mm, 2 1/2 in"),
                                select(
                                        kind,
                                        "softness",
                                        Fact.Softness.FIRM.name(),
                                        options(Fact.Softness.class, "softness", false)),
                                underFoot(kind)),
                        words.say("submit.rollNoodle"))
                .foldedUnder(words.say("fold.rollNoodle"));
    }

    private Input underFoot(String kind) {
        Map<String, String> options = new LinkedHashMap<>();
        options.put("true", words.say("underFoot.true"));
        options.put("false", words.say("underFoot.false"));
        return select(kind, "underFoot", String.valueOf(RollAllowed.isWithFoot(situation)), options);
    }
}
