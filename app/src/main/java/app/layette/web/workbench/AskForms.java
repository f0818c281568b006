package app.layette.web.workbench;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.TeachItem;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import app.layette.formats.svg.AnswerPicture;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.FactForm;
import app.layette.web.fitting.Unusual;
import app.layette.web.roll.RollGoodForm;
import app.layette.web.workbench.AskView.Button;
import app.layette.web.workbench.AskView.Form;
import app.layette.web.workbench.AskView.Input;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Builds the forms of asks: shared parts, and the asks that are a plain question by eye. */
class AskForms {
    /** The sayings that stand in the place of "as the sheet says". */
    private static final Map<Question, String> SAID = Map.of(
            Question.BASE_SET_UP, "baseSetUp",
            Question.SIDE_ELEMENT, "sideElement",
            Question.LIES_FLAT, "head",
            Question.COVERS, "covers");

    /** Field that says that the caregiver did it, the technician watching. */
    static final String TAUGHT = "taught";

    protected final FittingPlan plan;
    protected final Situation situation;
    protected final Wording words;
    protected final Typed typed;

    /** What was typed into a form that was refused, and what was wrong with it. */
    record Typed(Map<String, String> fields, List<FieldProblem> problems) {
        static final Typed NOTHING = new Typed(Map.of(), List.of());

        boolean isFor(String kind) {
            return kind.equals(fields.get("kind"));
        }
    }

    AskForms(FittingPlan plan, Wording words, Typed typed) {
        this.plan = plan;
        this.situation = plan.situation();
        this.words = words;
        this.typed = typed;
    }

    /** A question by eye: one button for each answer. */
    AskView question(Ask ask, Question question, List<Form> more) {
        Optional<PositionId> place =
                Optional.of(ask.place()).filter(each -> !each.isEmpty()).map(PositionId::parse);
        Optional<String> given = place.map(each -> situation.answerAt(question, each))
                .orElseGet(() -> situation.answer(question))
                .map(Stamped::value);
        List<Button> buttons = Answers.to(question).stream()
                .map(answer -> new Button(
                        "answer",
                        answer,
                        Wording.capital(answer(question, answer)),
                        AnswerPicture.of(question.name(), answer).orElse(""),
                        given.filter(answer::equals).isPresent()))
                .toList();
        List<Form> forms = new ArrayList<>();
        Map<String, String> hidden = hidden("answered", unit(), "question", question.name());
        place.ifPresent(each -> hidden.put("place", each.toString()));
        forms.add(new Form(hidden, buttons, List.of(), ""));
        forms.addAll(more);
        String current = given.map(answer -> answer(question, answer)).orElse("");
        return new AskView(
                id(ask),
                place.map(each -> words.say(
                                "question.at",
                                Map.of(
                                        "question",
                                        Argument.of(ofMethod("question." + question)),
                                        "place",
                                        new Argument.OfKey("place." + each))))
                        .orElseGet(() -> ofMethod("question." + question)),
                help("question." + question),
                ask.answered(),
                current,
                forms);
    }

    /** An answer in words; instead of "as the sheet says" what the sheet says, where it says it. */
    private String answer(Question question, String answer) {
        String key = "answer." + question + "." + answer;
        return SAID.entrySet().stream()
                .filter(each -> each.getKey() == question && words.knows(key + ".said"))
                .flatMap(each -> plan.run().steps().stream()
                        .flatMap(step -> step.says().stream())
                        .filter(saying -> saying.isAbout(each.getValue())))
                .findFirst()
                .map(saying -> words.say(key + ".said", saying.arguments()))
                .orElseGet(() -> ofMethod(key));
    }

    /** Id of the actual seat that the form is about. */
    String unit() {
        return situation.unit().id().text();
    }

    /** Id of the child that the form is about. */
    String rider() {
        return situation.unit().rider().text();
    }

    /** The words of the chosen method where it has its own. */
    private String ofMethod(String key) {
        String own = key + "." + plan.method();
        return words.say(words.knows(own) ? own : key);
    }

    String help(String key) {
        return words.knows(key + ".help") ? words.say(key + ".help") : "";
    }

    Button button(String name, String value, String key, boolean chosen) {
        return new Button(name, value, Wording.capital(words.say(key)), "", chosen);
    }

    /** A button for each constant of an enum. */
    <E extends Enum<E>> List<Button> buttons(String name, Class<E> type, String prefix, Optional<E> chosen) {
        List<Button> buttons = new ArrayList<>();
        for (E constant : type.getEnumConstants()) {
            buttons.add(button(
                    name,
                    constant.name(),
                    prefix + "." + constant.name(),
                    chosen.filter(each -> each == constant).isPresent()));
        }
        return buttons;
    }

    /** Hidden fields: the kind, whom it is about, and further names and values in turn. */
    static Map<String, String> hidden(String kind, String of, String... more) {
        Map<String, String> hidden = new LinkedHashMap<>();
        hidden.put("kind", kind);
        hidden.put("of", of);
        for (int i = 0; i + 1 < more.length; i += 2) {
            hidden.put(more[i], more[i + 1]);
        }
        return hidden;
    }

    Input input(String kind, String name, String type, String value, String hint) {
        return new Input(
                name,
                words.say("field." + name),
                type,
                typedOr(kind, name, value),
                words.figure(hint),
                Map.of(),
                problem(kind, name),
                unusual(kind, name),
                FactForm.reads(kind, name) || RollGoodForm.measures(name));
    }

    Input select(String kind, String name, String value, Map<String, String> options) {
        return new Input(
                name,
                words.say("field." + name),
                "select",
                typedOr(kind, name, value),
                "",
                options,
                problem(kind, name),
                Optional.empty(),
                false);
    }

    /** Options of a select from an enum, an empty one first where nothing need be chosen. */
    <E extends Enum<E>> Map<String, String> options(Class<E> type, String prefix, boolean mayBeEmpty) {
        Map<String, String> options = new LinkedHashMap<>();
        if (mayBeEmpty) {
            options.put("", words.say("option.unsure"));
        }
        for (E constant : type.getEnumConstants()) {
            options.put(constant.name(), Wording.capital(words.say(prefix + "." + constant.name())));
        }
        return options;
    }

    private String typedOr(String kind, String name, String value) {
        return typed.isFor(kind) ? typed.fields().getOrDefault(name, value) : value;
    }

    private Optional<String> problem(String kind, String name) {
        if (!typed.isFor(kind)) {
            return Optional.empty();
        }
        return typed.problems().stream()
                .filter(problem -> problem.field().equals(name))
                .findFirst()
                .map(problem -> words.say(problem));
    }

    private Optional<String> unusual(String kind, String name) {
        boolean asked = typed.isFor(kind)
                && typed.problems().stream()
                        .anyMatch(problem ->
                                problem.field().equals(name) && problem.reason().equals(Unusual.REASON));
        return asked
                ? Optional.of(words.say(
                        "submit.sure",
                        Map.of("value", Argument.of(typed.fields().getOrDefault(name, "")))))
                : Optional.empty();
    }

    /** Whether an item of the teach-back is still to be done: then a test by the caregiver's own hand is one with it. */
    boolean isToTeach(TeachItem item) {
        return plan.run().step(StepKey.TEACH).stream()
                .flatMap(step -> step.asks().stream())
                .anyMatch(ask -> ask.kind() == Ask.Kind.TEACH
                        && ask.key().equals(item.name())
                        && !ask.answered()
                        && !ask.optional());
    }

    static String id(Ask ask) {
        String key = ask.key().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return ask.kind().name().toLowerCase(Locale.ROOT) + (key.isEmpty() ? "" : "-" + key);
    }

    <F extends Fact> String current(Class<F> kind, Function<F, String> say) {
        return situation.newest(kind).map(Stamped::value).map(say).orElse("");
    }

    String say(String key, String name, Object value) {
        return words.say(key, Map.of(name, Argument.of(value)));
    }
}
